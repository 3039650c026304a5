import {
  COATS,
  EDGE_SEALS,
  PAINT_TOOLS,
  PLACINGS,
  SEALED_BEYOND,
  SEALERS,
  TECHNIQUES,
  type CleaningId,
  type SandedFor,
  type StepKind,
} from '../facts';
import type { LayerAbout, Pieces, SnipsAbout, StepAbout, WorkStep } from '../finish';
import {
  capital,
  counted,
  formatDuration,
  formatLength,
  formatTemperature,
  inSentence,
  listed,
  plural,
  times,
  type LengthSystem,
  type TemperatureSystem,
} from '../units';
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

/** What a step of the maker's own says to do, its first word as the verb. */
function orderIn(name: string): { verb: string; rest: string } {
  const [first = '', ...others] = name.trim().split(/\s+/);
  return others.length > 0
    ? { verb: capital(first), rest: others.join(' ') }
    : { verb: 'Do', rest: first === '' ? 'a step of your own' : inSentence(first) };
}

/** A step of the maker's own: its name says what to do. */
const ownText = (pieces: Pieces): string => `A step of your own, for ${all(pieces)}.`;

const formatSeconds = (seconds: number): string => counted(Math.round(seconds), 'second');

interface Words<K extends StepKind> {
  readonly verb: (about: About<K>) => string;
  readonly rest: (about: About<K>) => string;
  readonly short: (about: About<K>) => string;
  readonly text: (about: About<K>, say: Say, heat: (celsius: number) => string) => string;
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
};

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
      'Try alcohol on a hidden spot first; what it softens comes off with a plastic scraper, held flat. What does not come off is covered, or goes to the back.',
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
  finish: {
    verb: ({ name }) => orderIn(name).verb,
    rest: ({ name }) => orderIn(name).rest,
    short: () => 'own step',
    text: ({ pieces }) => ownText(pieces),
  },
  sealOver: {
    verb: () => 'Seal',
    rest: ({ pieces, sealer }) => `the marks on ${all(pieces)} with ${SEALERS[sealer].name}`,
    short: () => 'seal',
    text: (_about, say) =>
      `One thin coat with a soft brush, ${say(SEALED_BEYOND)} beyond the edge of each mark, and no going back over it. It never makes a piece fit for food.`,
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
    text: ({ taken, first, before, hot, written }, say) =>
      written
        ? `Pen out, knife in, and the sheet is not moved. It takes ${say(taken)} of film. Only the film is cut through, so that the labels stay on the liner.`
        : `${beforeCutWords(before, say)}It takes ${say(taken)} of film. A small test cut first${first ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. ${hot ? 'Carrier side down, its dull side up, mirrored: the file is mirrored already, so let the machine not mirror it again.' : 'Colour side up, smooth, no curl.'}`,
  },
  write: {
    verb: () => 'Write',
    rest: ({ film }) => `the labels on ${inSentence(film)}`,
    short: () => 'write',
    text: () =>
      'Pen in first: a test line on a scrap shows whether the ink takes and dries on this film. Keep the sheet in the machine afterwards, for the knife follows in the same place.',
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
    rest: ({ pieces, mark, mask, technique }) =>
      mask !== undefined
        ? `the stencil of ${mark} and mask around it`
        : TECHNIQUES[technique].stays === 'ground'
          ? `the mask of ${mark} on ${all(pieces)}`
          : `${mark} on ${all(pieces)}`,
    short: () => 'place',
    text: ({ method, rough, stop, perPiece, parts, slats, films, mask, paper, snips }, say) =>
      [
        ...PLACINGS[method].stages.map((stage) => stage.text),
        rough ? 'Here rub again while you peel: where film follows the tape, lay it back and rub harder.' : '',
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
        mask === undefined
          ? ''
          : `Mask ${say(mask)} beyond the film${paper ? ', and cover all else with paper' : ''}, and press every edge down.`,
      ]
        .filter(Boolean)
        .join(' '),
  },
  trim: {
    verb: () => 'Trim',
    rest: ({ mark, pieces }) => `${mark} along the edge of ${all(pieces)}`,
    short: () => 'trim',
    text: () =>
      'Once it is rubbed down: a fresh blade held flat against the edge, in one stroke away from the hand. Then rub the cut edge down.',
  },
  edge: {
    verb: () => 'Seal',
    rest: ({ mark, seal }) => `the edges of ${mark} with ${EDGE_SEALS[seal].name}`,
    short: () => 'edges',
    text: ({ seal, paint }) =>
      seal === 'ground'
        ? `A thin dab of ${paint ? inSentence(paint) : 'the colour that lies under the film'} along every edge: what creeps under is not seen, and stops the next colour.`
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
      `${capital(PULL_WORDS[pullAt])}: from a corner, flat and slow, islands with tweezers.${most === undefined ? '' : ` Between ${formatDuration(least)} and ${formatDuration(most)} after the last coat.`}`,
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
      `${capital(PULL_WORDS[pullAt])}: lift a corner of each with the hook, then flat and slow, ${count === 1 ? 'in one' : 'one after the other'}; count them.${most === undefined ? '' : ` Between ${formatDuration(least)} and ${formatDuration(most)} after the last coat.`}`,
  },
  touchUp: {
    verb: () => 'Touch',
    rest: ({ mark }) => `up ${mark}`,
    short: () => 'touch up',
    text: ({ left }) =>
      `Traces of adhesive come off with a ball of tape or a fingertip, never with solvent on fresh paint. What has crept under: scrape it off a hard ground with a wooden stick, or cover it with a fine brush in ${left === 'ground' ? "the ground's own colour" : 'the colour around it'}.`,
  },
  etch: {
    verb: () => 'Etch',
    rest: ({ mark, pieces }) => `${mark} into ${all(pieces)}`,
    short: () => 'etch',
    text: ({ millilitres, dwell, most }) =>
      `Gloves and goggles on, window open. Spread about ${millilitres} ml of cream thick and even over the openings, well inside the masking. It stays on for ${formatDuration(dwell)}, ${most > dwell ? `and no longer than ${formatDuration(most)}: ` : ''}more time does not make it whiter.`,
  },
  rinse: {
    verb: () => 'Rinse,',
    rest: ({ pieces }) => `peel and wash ${all(pieces)}`,
    short: () => 'rinse',
    text: () =>
      'Scrape the cream back into its pot first, where its sheet allows that. Rinse under running water with gloves on until nothing is slippery, then peel the film, wash with soap and dry. Wet glass hides the mark: judge it dry. A pale patch is etched again only with the film still on.',
  },
  prePress: {
    verb: () => 'Warm',
    rest: ({ pieces }) => `${all(pieces)} under the press`,
    short: () => 'warm',
    text: ({ seconds, wood }) =>
      `${formatSeconds(seconds)}, empty: it drives the damp out${wood ? '' : ' and the creases'}. ${wood ? '' : 'Something firm goes under the place, so that seams, zips and buttons lie lower than the plate.'}`.trim(),
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
      `${heat(celsius)}, ${formatSeconds(seconds)}${back ? ', turned over or inside out' : ', with a sheet over the film'}. Let it go cold, then try an edge with a fingernail.`,
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
export const stepText = ({ about }: Pick<WorkStep, 'about'>, lengths: LengthSystem, temperatures: TemperatureSystem = 'C'): string =>
  rowOf(about).text(
    about,
    (mm) => formatLength(mm, lengths, { digits: 0 }),
    (celsius) => formatTemperature(celsius, temperatures),
  );
