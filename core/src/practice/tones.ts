import { DRILL_PIECES, DRILL_TONES } from '../facts';
import { contrastOf } from '../fit';
import { capital } from '../units';
import { oneOf, type Drill } from './round';

const SAID = {
  fine: 'It stands out from far away.',
  watch: 'It can be read close by, and is lost across a room.',
  stop: 'The two tones are too near: it is hardly seen.',
} as const;

/** Whether a film stands out on a piece, when on the roll everything does. */
export const tones: Drill = {
  name: 'Does it stand out',
  about: 'Film against the piece, not against the roll.',
  round: (random) => {
    const film = oneOf(DRILL_TONES, random);
    const piece = oneOf(DRILL_PIECES, random);
    const { verdict, ratio } = contrastOf(film.colour, piece.colour);
    return {
      topic: `${film.name} on ${piece.name}`,
      question: `${capital(film.name)} film, for ${piece.name}. Will it stand out?`,
      scene: { kind: 'tones', film: film.colour, piece: piece.colour },
      ask: {
        kind: 'choose',
        answers: [
          { id: 'fine', label: 'Yes, from far away' },
          { id: 'watch', label: 'Only close by' },
          { id: 'stop', label: 'No, hardly at all' },
        ],
      },
      judge: (answer) => ({
        right: answer === verdict,
        best: verdict,
        why: `${SAID[verdict]} The lighter is ${ratio.toFixed(1)} times as bright.`,
      }),
    };
  },
};
