import { COATS, type CleaningId, type SandedFor } from '../facts';
import { capital } from '../units';
import { all, orderIn, ownText, type WordsOf } from './stepRow';

/** How each way of cleaning is said. */
const CLEANING: Record<CleaningId, { verb: string; rest: (what: string) => string; short: string; text: string }> = {
  wipe: {
    verb: 'Wipe',
    rest: (what) => `${what} with alcohol and a lint-free cloth`,
    short: 'wipe',
    text: 'Where the marks go is enough. Wait until no streak shows, and keep your fingers off afterwards.',
  },
  wipeGently: {
    verb: 'Wipe',
    rest: (what) => `${what} with alcohol and a lint-free cloth`,
    short: 'wipe',
    text: 'With light strokes, for the coat scratches. Wait until no streak shows, and keep your fingers off afterwards.',
  },
  soap: {
    verb: 'Wash',
    rest: (what) => `${what} with soapy water and dry with a lint-free cloth`,
    short: 'wash',
    text: 'No alcohol: this plastic may craze. If it has a cover sheet, peel that off first, and let the static settle before film comes near.',
  },
  dust: {
    verb: 'Dust',
    rest: (what) => `off ${what} with a dry brush and a tack cloth`,
    short: 'dust off',
    text: 'Nothing wet and no alcohol: it would soften the coat.',
  },
  dustWood: {
    verb: 'Dust',
    rest: (what) => `off ${what} with a dry brush and a tack cloth`,
    short: 'dust off',
    text: 'No wet cloth: it raises the grain and needs a day to dry.',
  },
  dustPaper: {
    verb: 'Dust',
    rest: (what) => `off ${what} with a soft dry brush`,
    short: 'dust off',
    text: 'Nothing wet: it would stain or warp.',
  },
  brush: {
    verb: 'Brush',
    rest: (what) => `${what} down with a stiff dry brush`,
    short: 'brush',
    text: 'Until no dust comes off on a fingertip.',
  },
  degrease: {
    verb: 'Wash',
    rest: (what) => `the grease off ${what}`,
    short: 'degrease',
    text: 'Warm water and a little washing-up liquid, rinsed and dried. Water that runs off in a film, not in drops, shows that it is clean.',
  },
  launder: {
    verb: 'Wash',
    rest: (what) => `${what} without softener`,
    short: 'wash',
    text: 'Grease and softener keep film from holding. Dry it through, and do not iron starch into it.',
  },
  lint: {
    verb: 'Roll',
    rest: (what) => `the lint off ${what}`,
    short: 'lint',
    text: 'With a lint roller, until it comes away clean. Nothing wet.',
  },
};

const BUILT = {
  joined: 'Joined boards: clamp them as the sheet of the glue says; they have their full strength the next day. ',
  apart: 'Take it apart first, and keep its screws together. ',
} as const;

/** What is sanded, and what for. */
const SANDED: Record<SandedFor, (what: string) => string> = {
  print: (what) => `the old print off ${what}`,
  grease: (what) => `the greasy wood of ${what} until it is bright`,
  filler: (what) => `the filler on ${what} flat`,
  paint: (what) => `the old coat of ${what} until it is dull, and dust off`,
};

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];

/** Steps that make the piece ready. */
export const PREPARE_WORDS: WordsOf<'label' | 'sand' | 'scrape' | 'fill' | 'own' | 'stain' | 'coat' | 'seal' | 'clean'> = {
  label: {
    verb: () => 'Take',
    rest: ({ pieces }) => `the ${pieces.count === 1 ? 'label' : 'labels'} off ${all(pieces)}`,
    short: () => 'label',
    text: ({ of }) =>
      of === 'paper'
        ? 'Soak it with warm soapy water and slide it off; rub what sticks with cooking oil, then wash the oil away. What got ' +
          'wet dries until the next day.'
        : 'Warm it with a hair dryer and peel it slowly, flat along itself. Rub off what sticks with oil or a remover that the ' +
          'surface stands, tried on a hidden spot first, then wash that away.',
  },
  sand: {
    verb: () => 'Sand',
    rest: ({ pieces, of }) => (of === undefined ? `${all(pieces)} lightly, and dust off` : SANDED[of](all(pieces))),
    short: () => 'sand',
    text: () =>
      'Fine paper, just until the shine is gone; along the grain where it has one. Feel with a fingertip, then take the dust off.',
  },
  scrape: {
    verb: () => 'Scrape',
    rest: ({ pieces }) => `the old print off ${all(pieces)}`,
    short: () => 'scrape',
    text: () =>
      'Try alcohol on a hidden spot first; what it softens comes off with a plastic scraper, held flat. What does not come ' +
      'off is covered, or goes to the back.',
  },
  fill: {
    verb: () => 'Fill',
    rest: ({ pieces }) => `the grooves of ${all(pieces)}`,
    short: () => 'fill',
    text: () => 'Press filler in across the grooves, a little proud, and pull it level with a wide knife. It hardens before it is sanded.',
  },
  own: {
    verb: ({ name }) => orderIn(name).verb,
    rest: ({ name }) => orderIn(name).rest,
    short: () => 'own step',
    text: ({ pieces }) => ownText(pieces),
  },
  stain: {
    verb: () => 'Stain',
    rest: ({ pieces, nth }) => `${all(pieces)} and wipe off the excess${nth && nth[0] > 1 ? `, ${ORDINALS[nth[0] - 1]} time` : ''}`,
    short: () => 'stain',
    text: ({ coat }) => `${capital(COATS[coat].name)}, with the grain, edges too. Wipe after a few minutes.`,
  },
  coat: {
    verb: () => 'Paint',
    rest: ({ pieces, nth: [n] }) => `${all(pieces)}, ${ORDINALS[n - 1] ?? `${n}th`} thin coat`,
    short: ({ nth: [n] }) => `coat ${n}`,
    text: ({ coat, nth: [n] }) => (n === 1 ? `${capital(COATS[coat].name)}, thin, edges too.` : 'Across the one before, just as thin.'),
  },
  seal: {
    verb: () => 'Seal',
    rest: ({ pieces, first }) => `${all(pieces)} with one thin clear coat${first ? ' before any paint' : ''}`,
    short: ({ first }) => (first ? 'prime' : 'seal'),
    text: ({ first }) =>
      first
        ? 'Thin, into the edges too: a thirsty ground then drinks no paint. Smooth raised fibres with fine paper once it is dry.'
        : 'A soft brush, thin, and no going back over it. The tape then lifts no paint, and film lies flat.',
  },
  clean: {
    verb: ({ cleaning }) => CLEANING[cleaning].verb,
    rest: ({ pieces, cleaning }) => CLEANING[cleaning].rest(all(pieces)),
    short: ({ cleaning }) => CLEANING[cleaning].short,
    text: ({ pieces: { build }, cleaning }) => `${build ? BUILT[build] : ''}${CLEANING[cleaning].text}`,
  },
};
