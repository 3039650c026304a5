import { boxHeight, boxOf, boxWidth } from '../geometry';
import { formatLength } from '../units';
import { oneOf, type Drill } from './round';
import { shapeRegion } from './shapes';

const PIECES = [
  { name: 'a sign', width: 300, height: 160 },
  { name: 'a plate', width: 120, height: 150 },
  { name: 'a lid', width: 180, height: 180 },
  { name: 'the face of a box', width: 240, height: 90 },
] as const;
const MARKS = ['heart', 'star', 'pennant', 'arrow', 'hexagon'] as const;
/** An eighth of the smaller side stays free all round. */
const FREE = 1 / 8;
/** So near below the largest that fits is well judged. */
const NEAR = 0.1;

/** Judging by eye how large a mark may be. */
export const sizes: Drill = {
  name: 'How large by eye',
  about: 'The largest mark that still has room to breathe.',
  round: (random, { lengths }) => {
    const say = (mm: number) => formatLength(mm, lengths, { digits: 0 });
    const piece = oneOf(PIECES, random);
    const region = shapeRegion(oneOf(MARKS, random), 100);
    const box = boxOf(region);
    const breathing = Math.min(piece.width, piece.height) * FREE;
    const largest = Math.min(piece.width - 2 * breathing, ((piece.height - 2 * breathing) * boxWidth(box)) / boxHeight(box));
    const best = Math.floor(largest);
    return {
      topic: piece.name,
      question: `${piece.name.replace(/^./, (c) => c.toUpperCase())} of ${say(piece.width)} by ${say(piece.height)}. Make the mark as wide as it may be with an eighth of the smaller side left free all round.`,
      scene: { kind: 'size', width: piece.width, height: piece.height, breathing, region },
      ask: { kind: 'slide', least: 10, most: piece.width, start: 20, step: 1, unit: 'mm' },
      judge: (answer) => {
        const width = Number(answer);
        const right = width <= largest + 0.5 && width >= largest * (1 - NEAR);
        const why =
          width > largest + 0.5
            ? `Too large: ${say(width - largest)} wider than its room to breathe allows.`
            : right
              ? 'Well judged.'
              : `It could be ${say(largest - width)} wider.`;
        return { right, best, why: `${why} The largest is ${say(best)} wide.` };
      },
    };
  },
};
