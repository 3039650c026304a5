import { ETCHING, GROUNDS, HANDS_ON, LAYOUT } from '../facts';
import { isCoated } from '../blanks';
import { minutesFor } from '../finish';
import { makeAs } from '../fit';
import { aboutMark, setAt, type Making, type Reading, type Remedy } from '../job';
import { formatDuration } from '../units';
import { leaveBare } from './leaveBare';
import { placeFilm } from './placeFilm';
import type { JobMark, TechniqueFile, TechniqueShop } from './technique';

type Etched = Extract<Making, { technique: 'etched' }>;

/** Cream for a set, ml. */
const creamNeeded = (areaMm2: number, count: number): number =>
  Math.max(ETCHING.leastMl, Math.ceil((areaMm2 * ETCHING.thick * count) / 1000));

/** Whether cream bites what the piece is made of. */
function biteReading({ job, mark }: JobMark<Etched>, { films, paints }: TechniqueShop): Reading {
  const { piece } = job;
  const bites = GROUNDS[piece.ground].etches === true;
  const coated = isCoated(piece);
  const decal = makeAs('decal', mark, { films, paints }, piece.behind);
  const remedies: Remedy[] = [...(bites ? leaveBare(piece) : []), ...(!bites && decal ? [{ label: 'Make it a decal', patch: decal }] : [])];
  return {
    id: `bite:${mark.id}`,
    station: 'paint',
    verdict: !bites || coated ? 'stop' : 'fine',
    title: 'Does it etch',
    ...aboutMark(mark, job.marks.length > 1),
    value: !bites ? 'no' : coated ? 'not through a coat' : 'yes',
    limit: 'bare, plain glass',
    why: !bites
      ? `Etching cream bites plain glass only: on ${GROUNDS[piece.ground].name} it does nothing, or harm.`
      : coated
        ? 'The cream does not get through paint or sealer.'
        : 'Plain glass etches. Coated glass does not, and lead crystal only where the sheet of the cream says so: try the foot ' +
          'or a spare piece first.',
    remedies: !bites || coated ? remedies : [],
    ...((!bites || coated) && remedies.length === 0
      ? {
          advice: bites
            ? 'Take the old coat off first, or choose another way to make the mark in Draw.'
            : 'Choose another way to make the mark in Draw.',
        }
      : {}),
  };
}

/** Whether the cream stays on as long as it has to, and no longer. */
function dwellReading({ job, mark, making: { dwell } }: JobMark<Etched>): Reading {
  const short = dwell < ETCHING.least;
  return {
    id: `dwell:${mark.id}`,
    station: 'paint',
    verdict: short ? 'watch' : 'fine',
    title: 'Time of the cream',
    ...aboutMark(mark, job.marks.length > 1),
    value: formatDuration(dwell),
    limit: `${ETCHING.least} to ${ETCHING.most} min`,
    why: short
      ? 'So short it may etch unevenly, unless the sheet of your cream says so.'
      : 'Long enough to etch evenly; more would not make it whiter, and creeps under the film. The sheet of your cream comes first.',
    remedies: short ? [{ label: `Leave it on for ${ETCHING.usual} min`, patch: setAt(['marks', mark.id, 'dwell'], ETCHING.usual) }] : [],
  };
}

/** Whether there is cream, and enough of it. */
function creamReading({ job, mark, layers, count }: JobMark<Etched>, { supplies = [] }: TechniqueShop): Reading {
  const needs = creamNeeded(
    layers.reduce((sum, layer) => sum + layer.area, 0),
    count,
  );
  const creams = supplies.filter(({ kind, unit }) => kind === 'cream' && unit === 'ml');
  const left = creams.reduce((sum, { amount }) => sum + amount, 0);
  const enough = left >= needs;
  return {
    id: `cream:${mark.id}`,
    station: 'paint',
    verdict: enough ? 'fine' : 'watch',
    title: 'Cream',
    ...aboutMark(mark, job.marks.length > 1),
    value: creams.length === 0 ? 'none in stock' : `${Math.floor(left)} ml left`,
    limit: `${needs} ml`,
    why: enough
      ? 'There is enough for a thick, even layer; most of it is scraped back where its sheet allows that.'
      : 'A layer that is too thin etches in patches.',
    remedies: [],
    ...(enough ? {} : { advice: `Buy etching cream${creams.length === 0 ? ', and put it into Stock' : ''}.` }),
  };
}

/** Film as a stencil, cream that etches the glass through it, and the film comes off again. */
export const etched: TechniqueFile<Etched> = {
  make: (draft, laid, after) => {
    const { id, add, input, pieces } = draft;
    const { mark, making, size, area } = laid;
    const { count } = input.job;
    const place = placeFilm(draft, laid, after, { mask: LAYOUT.maskingBorder, hands: minutesFor(HANDS_ON.mask, count, size) });
    const [etch, rinse] = [id(`etch:${mark.id}`), id(`rinse:${mark.id}`)];
    const most = Math.max(making.dwell, ETCHING.most);
    add({
      id: etch,
      about: { kind: 'etch', mark: mark.name, pieces, millilitres: creamNeeded(area, count), dwell: making.dwell, most },
      hands: minutesFor(HANDS_ON.etch, count, area / 1e6),
      after: [{ step: place, least: 0, why: 'stencilLaid' }],
      cautions: ['etching'],
    });
    add({
      id: rinse,
      about: { kind: 'rinse', mark: mark.name, pieces },
      hands: minutesFor(HANDS_ON.rinse, count, 0),
      after: [{ step: etch, least: making.dwell, most, why: 'etched' }],
      cautions: ['etching', 'blade'],
    });
    return {
      ready: { step: rinse, least: ETCHING.rinsed, why: 'rinsed' },
      firm: { step: rinse, least: ETCHING.rinsed, why: 'rinsed' },
      care: [],
    };
  },
  readings: (work, shop) => [biteReading(work, shop), dwellReading(work), creamReading(work, shop)],
};
