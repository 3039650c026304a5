import { EDGE_SEALS, PAINT_TOOLS } from '../facts';
import { capital, counted, formatDuration, inSentence } from '../units';
import { all, type WordsOf } from './stepRow';
import { PULL_WORDS } from './waitWords';

/** Steps of painting and etching. */
export const PAINT_WORDS: WordsOf<'edge' | 'dab' | 'pull' | 'cover' | 'pullLetters' | 'touchUp' | 'etch' | 'rinse'> = {
  edge: {
    verb: () => 'Seal',
    rest: ({ mark, seal }) => `the edges of ${mark} with ${EDGE_SEALS[seal].name}`,
    short: () => 'edges',
    text: ({ seal, paint }) =>
      seal === 'ground'
        ? `A thin dab of ${paint ? inSentence(paint) : 'the colour that lies under the film'} along every edge: what creeps ` +
          'under is not seen, and stops the next colour.'
        : 'A thin dab along every edge: what creeps under is clear, and stops the colour.',
  },
  dab: {
    verb: () => 'Dab',
    rest: ({ mark, nth: [n, of] }) => `${mark}, ${of === 1 ? 'one coat' : `coat ${n} of ${of}`}`,
    short: ({ nth: [n] }) => `coat ${n}`,
    text: ({ paint, nth: [n], millilitres, tool }) =>
      `${paint ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}${PAINT_TOOLS[tool].how}`,
  },
  pull: {
    verb: () => 'Pull',
    rest: ({ mark }) => `the stencil of ${mark}`,
    short: () => 'pull',
    text: ({ pullAt, window: { least, most } }) =>
      `${capital(PULL_WORDS[pullAt])}: from a corner, flat and slow, islands with ` +
      `tweezers.${most === undefined ? '' : ` Between ${formatDuration(least)} and ${formatDuration(most)} after the last coat.`}`,
  },
  cover: {
    verb: () => 'Paint',
    rest: ({ mark, pieces, nth: [n, of] }) => `over ${mark} and all of ${all(pieces)}, ${of === 1 ? 'one coat' : `coat ${n} of ${of}`}`,
    short: ({ nth: [n] }) => `coat ${n}`,
    text: ({ paint, nth: [n], millilitres, tool }) =>
      `${paint ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}thin, over the film and beyond, edges too; ${PAINT_TOOLS[tool].how}`,
  },
  pullLetters: {
    verb: () => 'Pull',
    rest: ({ mark, count, letters }) => `the ${counted(count, letters ? 'letter' : 'shape')} of ${mark}`,
    short: () => 'pull',
    text: ({ pullAt, count, window: { least, most } }) =>
      `${capital(PULL_WORDS[pullAt])}: lift a corner of each with the hook, then flat and slow, ` +
      `${count === 1 ? 'in one' : 'one after the other'}; count ` +
      `them.${most === undefined ? '' : ` Between ${formatDuration(least)} and ${formatDuration(most)} after the last coat.`}`,
  },
  touchUp: {
    verb: () => 'Touch',
    rest: ({ mark }) => `up ${mark}`,
    short: () => 'touch up',
    text: ({ left }) =>
      'Traces of adhesive come off with a ball of tape or a fingertip, never with solvent on fresh paint. What has crept ' +
      'under: scrape it off a hard ground with a wooden stick, or cover it with a fine brush in ' +
      `${left === 'ground' ? "the ground's own colour" : 'the colour around it'}.`,
  },
  etch: {
    verb: () => 'Etch',
    rest: ({ mark, pieces }) => `${mark} into ${all(pieces)}`,
    short: () => 'etch',
    text: ({ millilitres, dwell, most }) =>
      `Gloves and goggles on, window open. Spread about ${millilitres} ml of cream thick and even over the openings, well ` +
      `inside the masking. It stays on for ${formatDuration(dwell)}, ` +
      `${most > dwell ? `and no longer than ${formatDuration(most)}: ` : ''}more time does not make it whiter.`,
  },
  rinse: {
    verb: () => 'Rinse,',
    rest: ({ pieces }) => `peel and wash ${all(pieces)}`,
    short: () => 'rinse',
    text: () =>
      'Scrape the cream back into its pot first, where its sheet allows that. Rinse under running water with gloves on ' +
      'until nothing is slippery, then peel the film, wash with soap and dry. Wet glass hides the mark: judge it dry. A ' +
      'pale patch is etched again only with the film still on.',
  },
};
