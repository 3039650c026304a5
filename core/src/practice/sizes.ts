import { DRILL_FACES, DRILLING, LIMITS } from '../facts';
import { boxHeight, boxOf, boxWidth } from '../geometry';
import { capital, formatLength } from '../units';
import { oneOf, type Drill } from './round';
import { shapeRegion } from './shapes';

const MARKS = ['heart', 'star', 'pennant', 'arrow', 'hexagon'] as const;

/** Judging by eye how large a mark may be. */
export const sizes: Drill = {
  name: 'How large by eye',
  about: 'The largest mark that still has room to breathe.',
  round: (random, { lengths }) => {
    const say = (mm: number) => formatLength(mm, lengths, { digits: 0 });
    const piece = oneOf(DRILL_FACES, random);
    const region = shapeRegion(oneOf(MARKS, random), 100);
    const box = boxOf(region);
    const breathing = Math.min(piece.width, piece.height) * LIMITS.breathing;
    const largest = Math.min(piece.width - 2 * breathing, ((piece.height - 2 * breathing) * boxWidth(box)) / boxHeight(box));
    const best = Math.floor(largest);
    return {
      topic: piece.name,
      question: `${capital(piece.name)} of ${say(piece.width)} by ${say(piece.height)}. Make the mark as wide as it may be with an eighth of the smaller side left free all round.`,
      scene: { kind: 'size', width: piece.width, height: piece.height, breathing, region },
      ask: { kind: 'slide', least: 10, most: piece.width, start: 20, step: 1, unit: 'mm' },
      judge: (answer) => {
        const width = Number(answer);
        const right = width <= largest + 0.5 && width >= largest * (1 - DRILLING.near);
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
