import { TAPINGS } from '../facts';
import type { TestCutWhy } from '../cut';
import type { SnipsAbout, StepAbout } from '../finish';
import { capital, counted, inSentence, listed, times } from '../units';
import { beforeCutWords } from './beforeCut';
import { layerOf, type WordsOf } from './stepRow';
import { HELD_FLAT } from './weedStages';
import { weedWords } from './weedWords';

/** Where tape is snipped: the tape, never the film. */
const snipped = ({ count, length }: SnipsAbout, say: (mm: number) => string): string =>
  `Snip it ${times(count)} from its edge toward the middle, ${say(length)} deep, between letters and never into the film.`;

/** Why a test cut comes first. */
const TEST_WHY: Record<TestCutWhy, string> = {
  blade: 'The blade is new, and this film was not cut with it yet.',
  bargain: 'Bargain film differs from roll to roll, and its liner is thin.',
  roll: 'The roll is new: film of one name is not always of one thickness.',
};

/** What beside the roll is cut from. */
const PIECES = { sheet: 'the sheet', offcut: 'the offcut', pieces: 'sheets and offcuts' } as const;

/** How much film a cut takes, and of what. */
const takesWords = ({ taken, piece }: Extract<StepAbout, { kind: 'cut' }>, say: (mm: number) => string): string =>
  !piece
    ? `It takes ${say(taken)} of film. `
    : piece.all
      ? `All of it comes from ${PIECES[piece.kind]}, and nothing from the roll. `
      : `As much as finds room comes from ${PIECES[piece.kind]}, the rest from the roll. `;

/** Steps on the film: cutting, weeding, taping. */
export const FILM_WORDS: WordsOf<'testCut' | 'cut' | 'write' | 'backFilm' | 'weed' | 'tape'> = {
  testCut: {
    verb: () => 'Test',
    rest: ({ film, machine }) => `how ${inSentence(film)} cuts on the ${inSentence(machine)}`,
    short: () => 'test cut',
    text: ({ why }) =>
      `${TEST_WHY[why]} Cut a square with a circle in it at the edge of the film, lift the square, and say what you see: the next force is worked out from that.`,
  },
  cut: {
    verb: () => 'Cut',
    rest: ({ film, again }) => (again ? `again what was lost of ${listed(again)}, ${inSentence(film)}` : film),
    short: () => 'cut',
    text: (about, say) => {
      const { taken, first, before, hot, written, again, tested } = about;
      return again
        ? `Only what was lost${written ? ', the pen first, then pen out and knife in' : ''}: it takes ${say(taken)} of film. With the settings of the first cut; a test cut only if the blade or the roll is ` +
            `another. ${hot ? 'Carrier side down again, mirrored.' : 'Colour side up, smooth, no curl.'}`
        : written
          ? `Pen out, knife in, and the sheet is not moved. ${takesWords(about, say)}Only the film is cut through, so ` +
            'that the labels stay on the liner.'
          : `${beforeCutWords(before, say)}${takesWords(about, say)}` +
            (tested
              ? 'No test cut: it goes straight on with the same film. '
              : `A small test cut first${first ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. `) +
            (hot
              ? 'Carrier side down, its dull side up, mirrored: the file is mirrored already, so let the machine not mirror it again.'
              : 'Colour side up, smooth, no curl.');
    },
  },
  backFilm: {
    verb: () => 'Back',
    rest: ({ film }) => `${inSentence(film)} with tape, for its liner is cut`,
    short: () => 'back with tape',
    text: () =>
      'The knife went through the liner, so that the marks would fall apart. While all lies flat, lay tape over the whole cut and rub it down. Turn it ' +
      'over, peel the liner off piece by piece, and weed from behind, on the tape.',
  },
  write: {
    verb: () => 'Write',
    rest: ({ film }) => `the labels on ${inSentence(film)}`,
    short: () => 'write',
    text: () =>
      'Pen in first: a test line on a scrap shows whether the ink takes and dries on this film. Keep the sheet in the ' +
      'machine afterwards, for the knife follows in the same place.',
  },
  weed: {
    verb: () => 'Weed',
    rest: ({ layer }) => layerOf(layer),
    short: () => 'weed',
    text: ({ weeding: { kept, letters, waste, small, onCarrier, mat } }) =>
      [
        weedWords(kept, letters),
        `${capital(counted(waste, 'bit'))} to weed out on each piece${small > 0 ? `, ${small} of them tiny` : ''}.`,
        onCarrier
          ? mat
            ? 'Keep it flat on the cutting mat while you weed.'
            : HELD_FLAT
          : waste > 2
            ? 'Count them at the end: the insides are forgotten most easily.'
            : '',
      ]
        .filter(Boolean)
        .join(' '),
  },
  tape: {
    verb: () => 'Tape',
    rest: ({ layer }) => layerOf(layer),
    short: () => 'tape',
    text: ({ tape }, say) =>
      !tape
        ? 'No tape in stock works here: see the Tape station.'
        : `${tape.name}: ${tape.pieces === 1 ? 'one piece' : `${tape.pieces} pieces`} of ${say(Math.ceil(tape.width))} × ` +
          `${say(Math.ceil(tape.height))}, used ` +
          `${tape.usesEach === 1 ? 'once' : `up to ${times(tape.usesEach)}`}${tape.pieces === 1 ? '' : ' each'}.${tape.dull > 0 ? ` Press it on clean cloth ${times(tape.dull)} first.` : ''}${tape.snips ? ` ${snipped(tape.snips, say)}` : ''} ` +
          TAPINGS[tape.taping].text,
  },
};
