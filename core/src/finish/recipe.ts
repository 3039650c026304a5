import { COATS, FIRST_WASH, GROUNDS, HANDS_ON, LAYOUT, PAINT, WAITS, type CautionId, type GroundId } from '../facts';
import { formatDuration, formatLength, type LengthSystem } from '../units';
import type { Climate, Id, Job, Mark, Paint, PullAt } from '../job';
import { dryingFactor, dryingTimes, type DryingTimes } from './drying';
import type { CareWait, Lag, Recipe, WorkStep } from './workStep';

/** What earlier stations found out about one layer of one mark. */
export interface RecipeLayer {
  readonly mark: Mark;
  readonly film: { readonly id: Id; readonly name: string };
  readonly width: number;
  readonly height: number;
  /** mm² of shapes. */
  readonly area: number;
  /** Height of its lower edge above the foot, mm. */
  readonly foot: number;
  readonly cutMinutes: number;
  /** mm of film taken for the whole set. */
  readonly taken: number;
  readonly weedMinutes: number;
  readonly weedText: string;
  readonly tapeText: string;
  readonly tapePieces: number;
}

export interface RecipeInput {
  readonly job: Job;
  readonly layers: readonly RecipeLayer[];
  readonly climate: Climate;
  readonly paints: readonly Paint[];
  readonly lengths: LengthSystem;
}

interface Rate {
  readonly start: number;
  readonly piece: number;
  readonly squareMetre?: number;
}

/** Minutes of a step for a set. */
const minutesFor = (rate: Rate, count: number, squareMetres: number): number => Math.max(1, Math.round(rate.start + count * (rate.piece + (rate.squareMetre ?? 0) * squareMetres)));

type Cleaning = { title: (what: string) => string; short: string; text: string; cautions: CautionId[]; rate: Rate; dry: boolean };

const WIPE: Cleaning = {
  title: (what) => `Wipe ${what} with alcohol and a lint-free cloth`,
  short: 'wipe',
  text: 'Inside the marked zone only. Leave them until no streak shows, and keep fingers off afterwards.',
  cautions: ['vapour'],
  rate: HANDS_ON.wipe,
  dry: true,
};
const DUST: Cleaning = {
  title: (what) => `Dust off ${what} with a dry brush and a tack cloth`,
  short: 'dust off',
  text: 'No wet cloth: it raises the grain and needs a day to dry.',
  cautions: [],
  rate: HANDS_ON.dustOff,
  dry: false,
};

/** How each ground is made ready for film. Grounds not named here are wiped or dusted by their material, and that is said. */
const CLEANING: Partial<Record<GroundId, Cleaning>> = {
  glass: WIPE,
  glazedCeramic: WIPE,
  bareMetal: WIPE,
  powderCoat: { ...WIPE, text: 'Light strokes, no scouring: the coat scratches. Leave until no streak shows, and keep fingers off afterwards.' },
  acrylic: { ...WIPE, title: (what) => `Peel the cover sheet and wipe ${what} with alcohol`, text: 'Try the alcohol on an edge first: some acrylic crazes, and then soapy water has to do. Let the static settle before film comes near.' },
  sealedWood: DUST,
  stainedWood: DUST,
};

const PULL_WORDS: Record<PullAt, string> = { halfDry: 'half dry', nearlyDry: 'nearly dry', dry: 'dry' };

/** When a stencil may come off after the last coat, minutes. */
export function pullWindow(pullAt: PullAt, times: DryingTimes): { least: number; most?: number } {
  if (pullAt === 'halfDry') return { least: 0.5 * times.touchDry, most: times.touchDry };
  if (pullAt === 'nearlyDry') return { least: times.touchDry, most: times.recoat };
  return { least: times.recoat };
}

/** Paint for a set's stencils, millilitres. */
export const paintNeeded = (areaMm2: number, coats: number, count: number): number => Math.max(PAINT.leastMl, ((areaMm2 / 1e6) * coats * count * 1000 * (1 + PAINT.loss)) / PAINT.spreadDabbed);

const article = (count: number, name: string) => (count === 1 ? `the ${name}` : `the ${count} ${name}`);

/**
 * The steps of a job: paint first, cut while it dries, weed the same day, then clean, place, paint stencils, pack.
 *
 * @returns steps in working order with their waits, corrected for the room, and the dates that matter afterwards
 */
export function recipeFor({ job, layers, climate, paints, lengths }: RecipeInput): Recipe {
  const { piece, count } = job;
  const steps: WorkStep[] = [];
  const care: CareWait[] = [];
  const say = (mm: number) => formatLength(mm, lengths, { digits: 0 });
  const id = (key: string) => `${job.id}/${key}`;
  const whole = article(count, piece.name);
  const shape = piece.shape;
  const face = (shape.kind === 'flat' ? shape.width * shape.height : Math.PI * shape.diameter * shape.height) / 1e6;
  const add = (step: Omit<WorkStep, 'job'>) => steps.push({ ...step, job: job.id });

  // the ground: stain or paint, then sealer
  let ground: Lag | undefined;
  if (piece.coat) {
    const coat = COATS[piece.coat];
    const times = dryingTimes(piece.coat, climate);
    const stain = piece.coat === 'waterStain' || piece.coat === 'oilStain';
    const cautions: CautionId[] = coat.base === 'solvent' ? ['vapour', 'paint'] : ['paint'];
    if (stain) {
      add({ id: id('coat1'), station: 'prepare', title: `Stain ${whole} and wipe off what stands`, short: 'stain', text: `${coat.name[0]!.toUpperCase()}${coat.name.slice(1)}, with the grain, edges too. Wipe after a few minutes.`, hands: minutesFor(HANDS_ON.stain, count, face), after: [], cautions, mayPause: false });
    } else {
      add({ id: id('coat0'), station: 'prepare', title: `Paint ${whole}, first thin coat`, short: 'coat 1', text: `${coat.name[0]!.toUpperCase()}${coat.name.slice(1)}, thin, edges too.`, hands: minutesFor(HANDS_ON.coat, count, face), after: [], cautions, mayPause: false });
      add({ id: id('coat1'), station: 'prepare', title: `Paint ${whole}, second thin coat`, short: 'coat 2', text: 'Across the first, just as thin.', hands: minutesFor(HANDS_ON.coat, count, face), after: [{ step: id('coat0'), least: times.recoat, why: `${coat.name} dries to recoat` }], cautions, mayPause: false });
    }
    ground = { step: id('coat1'), least: piece.sealedFirst ? times.recoat : times.beforeFilm, why: piece.sealedFirst ? `${coat.name} dries before the sealer` : `${coat.name} dries before film` };
    if (!piece.sealedFirst) care.push({ after: id('coat1'), minutes: times.fullCure, what: `${coat.name} cures`, then: 'water', packed: true });
  }
  if (piece.sealedFirst) {
    const times = dryingTimes('sealer', climate);
    add({ id: id('seal'), station: 'prepare', title: `Seal ${whole} with one thin clear coat`, short: 'seal', text: 'A soft brush, thin, no going back over it. The tape then lifts no paint and film lies flat.', hands: minutesFor(HANDS_ON.seal, count, face), after: ground ? [ground] : [], cautions: ['paint'], mayPause: false });
    ground = { step: id('seal'), least: times.beforeFilm, why: 'sealer dries before film' };
    care.push({ after: id('seal'), minutes: times.fullCure, what: 'sealer cures', then: 'water', packed: true });
  }

  // film: cut, weed, tape
  const films = [...new Set(layers.map((layer) => layer.film.id))];
  films.forEach((film, i) => {
    const own = layers.filter((layer) => layer.film.id === film);
    const name = own[0]!.film.name;
    const minutes = own.reduce((sum, layer) => sum + layer.cutMinutes, 0);
    const taken = own.reduce((sum, layer) => sum + layer.taken, 0);
    add({ id: id(`cut:${film}`), station: 'cut', title: `Cut ${name}, ${say(taken)} of film`, short: 'cut', text: `A small test cut first${i === 0 ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. Colour side up, smooth, no curl.`, hands: Math.max(1, Math.round(minutes + HANDS_ON.testCut)), after: [], cautions: ['cutter', 'blade'], mayPause: true, takes: { film, length: taken } });
  });
  const taped = new Map<Id, Lag[]>();
  for (const layer of layers) {
    const key = `${layer.mark.id}:${layer.film.id}`;
    add({ id: id(`weed:${key}`), station: 'weed', title: `Weed ${count === 1 ? '' : `${count} × `}${layer.mark.name}`, short: 'weed', text: layer.weedText, hands: Math.max(1, Math.round(layer.weedMinutes * count)), after: [{ step: id(`cut:${layer.film.id}`), least: 0, most: WAITS.weedWithin, why: 'weed within a day' }], cautions: ['blade', 'smallParts'], mayPause: true });
    add({ id: id(`tape:${key}`), station: 'tape', title: `Tape ${count === 1 ? '' : `${count} × `}${layer.mark.name}`, short: 'tape', text: layer.tapeText, hands: minutesFor(HANDS_ON.tape, count, (layer.width * layer.height) / 1e6), after: [{ step: id(`weed:${key}`), least: 0, why: 'weeded' }], cautions: [], mayPause: true });
    taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), { step: id(`tape:${key}`), least: 0, why: 'taped' }]);
  }

  // the piece made ready for film
  const written = CLEANING[piece.ground];
  const cleaning = written ?? (GROUNDS[piece.ground].porous || GROUNDS[piece.ground].material === 'wood' ? DUST : WIPE);
  add({ id: id('clean'), station: 'prepare', title: cleaning.title(whole), short: cleaning.short, text: cleaning.text, hands: minutesFor(cleaning.rate, count, face / 3), after: ground ? [ground] : [], cautions: cleaning.cautions, mayPause: false });
  const alcohol = COATS.alcohol.touchDry * dryingFactor('solvent', climate).factor;
  const clean: Lag = cleaning.dry ? { step: id('clean'), least: alcohol, most: WAITS.placeAfterWipe, why: 'alcohol dries' } : { step: id('clean'), least: 0, why: 'dusted off' };

  // stencils first: their paint must not run onto decals
  const inOrder = [...new Set(layers.map((layer) => layer.mark))].toSorted((a, b) => Number(b.technique === 'stencil') - Number(a.technique === 'stencil'));
  let before: Lag[] = [clean];
  const last: Lag[] = [];
  for (const mark of inOrder) {
    const own = layers.filter((layer) => layer.mark === mark);
    const [first] = own;
    if (!first) continue;
    const flat = shape.kind === 'flat';
    const area = own.reduce((sum, layer) => sum + layer.area, 0);
    const size = (first.width * first.height) / 1e6;
    const place = id(`place:${mark.id}`);
    const method = flat ? 'Masking tape across the middle as a hinge: press one half, cut its liner away, then the other.' : 'Hold the tape in a curve, touch down in the middle, smooth outward. Steady the piece so that it cannot roll.';
    const stop = !flat && count > 1 ? ` Foot stop ${say(first.foot)} under the mark, the same for every piece.` : '';
    const hands = minutesFor(flat ? HANDS_ON.hinge : HANDS_ON.centreOut, count, size) * own.length;
    const dryFit = HANDS_ON.dryFit;
    add({ id: place, station: 'place', title: mark.technique === 'stencil' ? `Lay the stencil of ${mark.name} and mask around it` : `Place ${mark.name} on ${whole}`, short: 'place', text: `Dry fit first, liner still on. ${method}${stop}${own.length > 1 ? ' Lowest and largest film first.' : ''}${mark.technique === 'stencil' ? ` Mask ${say(LAYOUT.maskingBorder)} beyond the film, and press every edge down.` : ''}`, hands: hands + dryFit + (mark.technique === 'stencil' ? minutesFor(HANDS_ON.mask, count, size) : 0), after: [...(taped.get(mark.id) ?? []), ...before], cautions: mark.technique === 'decal' && piece.use.drink ? ['food'] : [], mayPause: cleaning.dry ? false : true });
    if (mark.technique === 'stencil') {
      const paint = paints.find((p) => p.id === mark.paint);
      const coat = paint?.coat ?? 'acrylic';
      const times = dryingTimes(coat, climate);
      const sealTimes = dryingTimes('sealer', climate);
      const dab = minutesFor(HANDS_ON.dab, count, area / 1e6);
      const millilitres = Math.ceil(paintNeeded(area, mark.coats, count));
      add({ id: id(`edge:${mark.id}`), station: 'paint', title: `Seal the edges of ${mark.name} with clear sealer`, short: 'edges', text: 'A thin dab along every edge: what creeps under is clear, and stops the colour.', hands: dab, after: [{ step: place, least: 0, most: 4 * 60, why: 'stencil laid' }], cautions: ['paint'], mayPause: false });
      let previous: Lag = { step: id(`edge:${mark.id}`), least: sealTimes.touchDry, most: 6 * 60, why: 'edge sealer dries' };
      for (let n = 1; n <= mark.coats; n++) {
        const own2 = id(`paint:${mark.id}:${n}`);
        add({ id: own2, station: 'paint', title: `Dab ${mark.name}, ${mark.coats === 1 ? 'one coat' : `coat ${n} of ${mark.coats}`}`, short: `coat ${n}`, text: `${paint?.name ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}a sponge nearly dry, straight down. Brushing pushes paint under the edge.`, hands: dab, after: [previous], cautions: ['paint'], mayPause: false });
        previous = { step: own2, least: times.recoat, most: 8 * 60 + times.recoat, why: `${COATS[coat].name} dries to recoat` };
      }
      const window = pullWindow(mark.pullAt, times);
      const pull = id(`pull:${mark.id}`);
      add({ id: pull, station: 'paint', title: `Pull the stencil of ${mark.name}`, short: 'pull', text: `${PULL_WORDS[mark.pullAt][0]!.toUpperCase()}${PULL_WORDS[mark.pullAt].slice(1)}: from a corner, flat and slow, islands with tweezers.${window.most ? ` Between ${formatDuration(window.least)} and ${formatDuration(window.most)} after the last coat.` : ''}`, hands: minutesFor(HANDS_ON.pull, count, size), after: [{ step: previous.step, ...window, why: `paint ${PULL_WORDS[mark.pullAt]}` }], cautions: ['blade'], mayPause: false });
      before = [{ step: pull, least: times.touchDry, why: 'paint touch dry' }];
      last.push({ step: pull, least: times.beforeFilm, why: 'paint firm enough to wrap' });
      care.push({ after: pull, minutes: times.fullCure, what: `${COATS[coat].name} cures`, then: 'water', packed: true });
    } else {
      before = [{ step: place, least: 0, ...(cleaning.dry ? { most: WAITS.placeAfterWipe } : {}), why: 'placed' }];
      last.push({ step: place, least: 0, why: 'placed' });
      care.push({ after: place, minutes: FIRST_WASH * dryingFactor('adhesive', climate, true).factor, what: 'adhesive dwells', then: 'first wash', packed: true });
    }
  }
  add({ id: id('pack'), station: 'cure', title: `Check, wrap and label ${whole}`, short: 'pack', text: 'Look along the edges once more. The care card goes in with it.', hands: minutesFor(HANDS_ON.pack, count, 0), after: last.length > 0 ? last : [clean], cautions: ['smallParts'], mayPause: true });
  return { steps, care, unknownGround: written === undefined };
}
