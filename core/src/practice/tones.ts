import { contrastOf } from '../fit';
import { oneOf, type Drill } from './round';

const TONES = [
  { name: 'white', colour: '#fbfbf8' },
  { name: 'cream', colour: '#efe3c8' },
  { name: 'silver', colour: '#b4bcbd' },
  { name: 'petrol', colour: '#0e5a61' },
  { name: 'harbour blue', colour: '#2d5d8c' },
  { name: 'ink', colour: '#22302f' },
  { name: 'amber', colour: '#d98e16' },
  { name: 'brick', colour: '#ad3f27' },
  { name: 'moss', colour: '#4c7231' },
] as const;
const PIECES = [
  { name: 'a dark flask', colour: '#22302f' },
  { name: 'a stained oak board', colour: '#8a5f36' },
  { name: 'a grey wall', colour: '#c9c9c4' },
  { name: 'a steel bucket', colour: '#a9b1b1' },
  { name: 'a white mug', colour: '#f6f4ee' },
  { name: 'a terracotta pot', colour: '#b5653f' },
  { name: 'a blue tin', colour: '#35618a' },
] as const;

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
    const film = oneOf(TONES, random);
    const piece = oneOf(PIECES, random);
    const { verdict, ratio } = contrastOf(film.colour, piece.colour);
    return {
      topic: `${film.name} on ${piece.name}`,
      question: `${film.name.replace(/^./, (c) => c.toUpperCase())} film, for ${piece.name}. Will it stand out?`,
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
