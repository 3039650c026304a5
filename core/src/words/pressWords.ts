import { all, layerOf, formatSeconds, type WordsOf } from './stepRow';

/** Steps under the press. */
export const PRESS_WORDS: WordsOf<'prePress' | 'press' | 'pressBack'> = {
  prePress: {
    verb: () => 'Warm',
    rest: ({ pieces }) => `${all(pieces)} under the press`,
    short: () => 'warm',
    text: ({ seconds, wood }) =>
      wood
        ? `${formatSeconds(seconds)}, empty: it drives the damp out.`
        : `${formatSeconds(seconds)}, empty: it drives the damp and the creases out. ` +
          'Something firm goes under the place, so that seams, zips and buttons lie lower than the plate.',
  },
  press: {
    verb: () => 'Press',
    rest: ({ layer }) => layerOf(layer),
    short: () => 'press',
    text: ({ press, nth: [n, of], presses, rough, pieces }, _say, heat) =>
      [
        'Film side down, its carrier on top; it reads the right way round now.',
        `${heat(press.celsius)}, ${formatSeconds(press.seconds)}, ${press.pressure} pressure${rough ? ', for the cloth is rough' : ''}.`,
        n < of
          ? 'Just long enough to hold: the last layer is pressed in full.'
          : of > 1
            ? 'In full now, with a sheet over film that lies bare.'
            : '',
        presses > 1 ? `${presses} presses side by side, each a little over the one before.` : '',
        press.peel === 'cold'
          ? 'Let it go cold before you peel the carrier, flat and slow.'
          : 'Peel the carrier while it is warm, flat and slow. If film comes along, lay it back and press again.',
        pieces.count > 1 ? 'One piece at a time.' : '',
      ]
        .filter(Boolean)
        .join(' '),
  },
  pressBack: {
    verb: () => 'Press',
    rest: ({ mark, back }) => `${mark} once more, ${back ? 'from behind' : 'under a sheet'}`,
    short: () => 'press again',
    text: ({ seconds, celsius, back }, _say, heat) =>
      `${heat(celsius)}, ` +
      `${formatSeconds(seconds)}${back ? ', turned over or inside out' : ', with a sheet over the film'}. Let it go cold, ` +
      'then try an edge with a fingernail.',
  },
};
