import { COATS, type CleaningId, type StepKind } from '../facts';
import type { LayerAbout, Pieces, SnipsAbout, StepAbout, WorkStep } from '../finish';
import { capital, counted, formatDuration, formatLength, inSentence, listed, plural, times, type LengthSystem } from '../units';
import { beforeCutWords } from './beforeCut';
import { PULL_WORDS } from './waitWords';
import { weedWords } from './weedWords';

/** What is said of a step. */
export interface StepWords {
  /** What to do, as an order: "Wipe the 12 glasses with alcohol". Its first word is the verb, and the rest what it is done to. */
  readonly title: string;
  readonly verb: string;
  readonly rest: string;
  /** A word or two for the ribbon. */
  readonly short: string;
}

type About<K extends StepKind> = Extract<StepAbout, { kind: K }>;
type Say = (mm: number) => string;

interface Words<K extends StepKind> {
  readonly verb: (about: About<K>) => string;
  readonly rest: (about: About<K>) => string;
  readonly short: (about: About<K>) => string;
  readonly text: (about: About<K>, say: Say) => string;
}

/** All the pieces: "the 12 pint glasses". */
const all = ({ count, name, fixed }: Pieces): string => (count === 1 || fixed ? `the ${name}` : `the ${count} ${plural(name)}`);

const layerOf = ({ mark, film, layered, count }: LayerAbout): string =>
  `${count === 1 ? '' : `${count} × `}${layered ? `the ${inSentence(film)} layer of ${mark}` : mark}`;

/** Where tape is snipped: the tape, never the film. */
const snipped = ({ count, length }: SnipsAbout, say: Say): string =>
  `Snip it ${times(count)} from its edge toward the middle, ${say(length)} deep, between letters and never into the film.`;

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];

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

const STEP_WORDS: { readonly [K in StepKind]: Words<K> } = {
  label: {
    verb: () => 'Take',
    rest: ({ pieces }) => `the ${pieces.count === 1 ? 'label' : 'labels'} off ${all(pieces)}`,
    short: () => 'label',
    text: ({ of }) =>
      of === 'paper'
        ? 'Soak it with warm soapy water and slide it off; rub what sticks with cooking oil, then wash the oil away. What got wet dries until the next day.'
        : 'Warm it with a hair dryer and peel it slowly, flat along itself. Rub off what sticks with oil or a remover that the surface stands, tried on a hidden spot first, then wash that away.',
  },
  sand: {
    verb: () => 'Sand',
    rest: ({ pieces }) => `${all(pieces)} lightly, and dust off`,
    short: () => 'sand',
    text: () =>
      'Fine paper, just until the shine is gone; along the grain where it has one. Feel with a fingertip, then take the dust off.',
  },
  stain: {
    verb: () => 'Stain',
    rest: ({ pieces }) => `${all(pieces)} and wipe off the excess`,
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
    rest: ({ pieces }) => `${all(pieces)} with one thin clear coat`,
    short: () => 'seal',
    text: () => 'A soft brush, thin, and no going back over it. The tape then lifts no paint, and film lies flat.',
  },
  cut: {
    verb: () => 'Cut',
    rest: ({ film }) => film,
    short: () => 'cut',
    text: ({ taken, first, before }, say) =>
      `${beforeCutWords(before, say)}It takes ${say(taken)} of film. A small test cut first${first ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. Colour side up, smooth, no curl.`,
  },
  weed: {
    verb: () => 'Weed',
    rest: ({ layer }) => layerOf(layer),
    short: () => 'weed',
    text: ({ weeding: { kept, letters, waste, small, onCarrier } }) =>
      [
        weedWords(kept, letters),
        `${capital(counted(waste, 'bit'))} to weed out on each piece${small > 0 ? `, ${small} of them tiny` : ''}.`,
        onCarrier
          ? 'Keep it flat on the cutting mat while you weed.'
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
        : `${tape.name}: ${tape.pieces === 1 ? 'one piece' : `${tape.pieces} pieces`} of ${say(Math.ceil(tape.width))} × ${say(Math.ceil(tape.height))}, used ${tape.usesEach === 1 ? 'once' : `up to ${times(tape.usesEach)}`}${tape.pieces === 1 ? '' : ' each'}.${tape.dull > 0 ? ` Press it on clean cloth ${times(tape.dull)} first.` : ''}${tape.snips ? ` ${snipped(tape.snips, say)}` : ''} Burnish both sides; peel the liner away flat.`,
  },
  clean: {
    verb: ({ cleaning }) => CLEANING[cleaning].verb,
    rest: ({ pieces, cleaning }) => CLEANING[cleaning].rest(all(pieces)),
    short: ({ cleaning }) => CLEANING[cleaning].short,
    text: ({ pieces: { build }, cleaning }) => `${build ? BUILT[build] : ''}${CLEANING[cleaning].text}`,
  },
  place: {
    verb: ({ mask }) => (mask === undefined ? 'Place' : 'Lay'),
    rest: ({ pieces, mark, mask }) => (mask === undefined ? `${mark} on ${all(pieces)}` : `the stencil of ${mark} and mask around it`),
    short: () => 'place',
    text: ({ method, stop, perPiece, parts, slats, films, mask, snips }, say) =>
      [
        'Dry fit first, liner still on.',
        method === 'hinge'
          ? 'Masking tape across the middle as a hinge: press one half, cut its liner away, then the other.'
          : 'Hold the tape in a curve, touch down in the middle, smooth outward. Steady the piece so that it cannot roll.',
        stop === undefined ? '' : `A stop ${say(stop)} above the foot keeps the mark at one height on every piece.`,
        perPiece > 1 ? `${perPiece} on each piece; mark their places from the jig.` : '',
        parts === undefined
          ? ''
          : `It comes in ${parts} parts, each on tape of its own: mark the place of each from the drawing, and place them by eye from the middle out.`,
        slats ? 'Over the gaps between slats, part the film with a sharp blade once it holds.' : '',
        snips === undefined
          ? ''
          : `The tape has ${counted(snips.count, 'snip')}, ${say(snips.length)} deep: press the middle down first, then let each flap follow the belly by itself.`,
        films.length > 1 ? `In this order: ${listed(films.map(inSentence))}, each pressed down before the next.` : '',
        mask === undefined ? '' : `Mask ${say(mask)} beyond the film, and press every edge down.`,
      ]
        .filter(Boolean)
        .join(' '),
  },
  edge: {
    verb: () => 'Seal',
    rest: ({ mark }) => `the edges of ${mark} with clear sealer`,
    short: () => 'edges',
    text: () => 'A thin dab along every edge: what creeps under is clear, and stops the colour.',
  },
  dab: {
    verb: () => 'Dab',
    rest: ({ mark, nth: [n, of] }) => `${mark}, ${of === 1 ? 'one coat' : `coat ${n} of ${of}`}`,
    short: ({ nth: [n] }) => `coat ${n}`,
    text: ({ paint, nth: [n], millilitres }) =>
      `${paint ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}with a sponge that is nearly dry, straight down. Brushing pushes paint under the edge.`,
  },
  pull: {
    verb: () => 'Pull',
    rest: ({ mark }) => `the stencil of ${mark}`,
    short: () => 'pull',
    text: ({ pullAt, window: { least, most } }) =>
      `${capital(PULL_WORDS[pullAt])}: from a corner, flat and slow, islands with tweezers.${most === undefined ? '' : ` Between ${formatDuration(least)} and ${formatDuration(most)} after the last coat.`}`,
  },
  pack: {
    verb: () => 'Check,',
    rest: ({ pieces }) => (pieces.fixed ? `from where it will be seen, ${all(pieces)}` : `wrap and label ${all(pieces)}`),
    short: ({ pieces }) => (pieces.fixed ? 'check' : 'pack'),
    text: ({ pieces }) =>
      `${pieces.build === 'apart' ? 'Put it together again. ' : ''}Look along the edges once more. ${pieces.fixed ? 'The care card stays with whoever owns the wall.' : 'The care card goes in with it.'}`,
  },
};

// the row and what it is about are of one kind, which the type of a table cannot say
const rowOf = ({ kind }: StepAbout): Words<StepKind> => STEP_WORDS[kind] as Words<StepKind>;

/** What a step is called. */
export function stepWords({ about }: Pick<WorkStep, 'about'>): StepWords {
  const row = rowOf(about);
  const [verb, rest] = [row.verb(about), row.rest(about)];
  return { verb, rest, title: `${verb} ${rest}`, short: row.short(about) };
}

/** What a step is called: "Wipe the 12 glasses with alcohol". */
export const stepTitle = (step: Pick<WorkStep, 'about'>): string => stepWords(step).title;

/** How a step is done, in whole sentences. */
export const stepText = ({ about }: Pick<WorkStep, 'about'>, lengths: LengthSystem): string =>
  rowOf(about).text(about, (mm) => formatLength(mm, lengths, { digits: 0 }));
