import { cutMirrored, keptOf } from '../cut';
import { TECHNIQUES, type TechniqueId } from '../facts';
import { aOrAn } from '../units';
import { oneOf, type Drill } from './round';
import { withInside } from './shapes';

const MADE: readonly TechniqueId[] = ['decal', 'stencil', 'mask', 'etched'];
const SHAPES = [
  ['heart', 'star'],
  ['disc', 'triangle'],
  ['box', 'disc'],
  ['hexagon', 'heart'],
] as const;

/** Which side goes when it is weeded. */
export const sides: Drill = {
  name: 'Which side goes',
  about: 'What is lifted, and what stays on the liner.',
  round: (random) => {
    const technique = oneOf(MADE, random);
    const [outer, inner] = oneOf(SHAPES, random);
    const { name, stays } = TECHNIQUES[technique];
    const kept = keptOf({ technique, edits: [], film: 'f' }, 'f');
    const shapesGo = kept === 'surround';
    const best = shapesGo ? 'shape' : 'around';
    return {
      topic: name,
      question: `It is to become ${aOrAn(name)}. What do you pull off?`,
      scene: { kind: 'film', region: withInside(outer, inner, 60), technique, colour: '#0e5a61' },
      ask: {
        kind: 'choose',
        answers: [
          { id: 'shape', label: 'The shape; the film around it stays' },
          { id: 'around', label: 'The film around it and its inside; the shape stays' },
        ],
      },
      judge: (answer) => ({
        right: answer === best,
        best,
        why: shapesGo
          ? `The ${stays === 'etching' ? 'cream' : 'paint'} goes where the film is open: the shape comes out, and the surround masks the rest.`
          : stays === 'ground'
            ? 'The film keeps the ground under the shape bare while all around it is painted: the surround goes, the shape stays.'
            : 'The film itself is the mark: the surround and the inside go, the shape stays.',
      }),
    };
  },
};

const CASES = [
  { technique: 'decal', seenThrough: false, said: 'a decal on the front of a sign' },
  { technique: 'decal', seenThrough: true, said: 'a decal on the inside of a shop window, read from the street' },
  { technique: 'decal', seenThrough: true, said: 'a decal on the back of a clear plate, seen from the front' },
  { technique: 'heat', seenThrough: false, said: 'heat-applied film on a shirt' },
  { technique: 'stencil', seenThrough: false, said: 'a painted stencil on a board' },
  { technique: 'decal', seenThrough: false, said: 'a decal around a mug' },
] as const satisfies readonly { technique: TechniqueId; seenThrough: boolean; said: string }[];

/** Whether the cut is mirrored. */
export const mirrored: Drill = {
  name: 'Flipped or not',
  about: 'Whether the knife has to cut it mirrored.',
  round: (random) => {
    const { technique, seenThrough, said } = oneOf(CASES, random);
    const flips = cutMirrored({ technique, seenThrough });
    const best = flips ? 'yes' : 'no';
    return {
      topic: said,
      question: `It is ${said}. Is it cut mirrored?`,
      scene: { kind: 'film', region: withInside('arrow', 'disc', 60), technique, colour: '#d98e16' },
      ask: {
        kind: 'choose',
        answers: [
          { id: 'yes', label: 'Yes, mirrored' },
          { id: 'no', label: 'No, as it reads' },
        ],
      },
      judge: (answer) => ({
        right: answer === best,
        best,
        why: flips
          ? seenThrough
            ? 'It is seen through what it sticks to: its adhesive side is the side that is read, so it is cut mirrored.'
            : 'Heat-applied film lies with its carrier down and is cut from behind: always mirrored.'
          : 'Its face is up on the roll and up on the piece: it is cut as it reads. Flipping it wastes the film.',
      }),
    };
  },
};
