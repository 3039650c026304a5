import { CONTACTS, FILM_KINDS, GROUNDS, HANDS_ON, PRESSING, TECHNIQUES } from '../facts';
import { isCoated } from '../blanks';
import { dryingFactor, pressOf, type FittedLayer } from '../finish';
import { makeAs } from '../fit';
import { aboutMark, filmInstead, type Film, type Making, type Press, type Reading, type Remedy } from '../job';
import { counted, formatLength, formatTemperature, inSentence } from '../units';
import { leaveBare } from './leaveBare';
import type { JobMark, LaidMark, TechniqueFile, TechniqueShop } from './technique';

type Heat = Extract<Making, { technique: 'heat' }>;

/** How often a plate comes down for a mark, side by side with some overlap; once where no press is known. */
function pressesFor({ width, height }: { readonly width: number; readonly height: number }, presses: readonly Press[] = []): number {
  const along = (side: number, plate: number) =>
    side <= plate ? 1 : Math.ceil((side - PRESSING.overlap) / Math.max(1, plate - PRESSING.overlap));
  const each = presses.flatMap((press) => [
    along(width, press.width) * along(height, press.height),
    along(width, press.height) * along(height, press.width),
  ]);
  return each.length === 0 ? 1 : Math.min(...each);
}

const hotOn = ({ layers }: Pick<JobMark, 'layers'>): FittedLayer[] => layers.filter(({ press }) => press !== undefined);

/** Whether the cloth stands the heat that the films want. */
function scorchReading(work: JobMark<Heat>, { films, paints, temperatures }: TechniqueShop): Reading {
  const { job, mark, layers } = work;
  const { piece } = job;
  const { name, stands, material } = GROUNDS[piece.ground];
  const hottest = hotOn(work).toSorted((a, b) => b.press!.celsius - a.press!.celsius)[0];
  const celsius = hottest?.press?.celsius ?? FILM_KINDS[TECHNIQUES.heat.usualFilm].press!.celsius.typical;
  const say = (degrees: number) => formatTemperature(degrees, temperatures);
  const coated = isCoated(piece);
  const over = stands === undefined || coated || celsius > stands.typical;
  const cooler =
    stands && !coated
      ? films.filter((film) => film.id !== hottest?.film.id && pressOf(film) && pressOf(film)!.celsius <= stands.typical)
      : [];
  const decal = stands === undefined && material !== 'cloth' ? makeAs('decal', mark, { films, paints }, piece.colour) : undefined;
  const remedies: Remedy[] = [
    ...(hottest && layers.length === 1
      ? cooler.slice(0, 2).map((film) => ({ label: `Cut it from ${film.name}`, patch: filmInstead(mark, hottest.film.id, film.id) }))
      : []),
    ...(decal ? [{ label: 'Make it a decal', patch: decal }] : []),
    ...(coated && stands ? leaveBare(piece) : []),
  ];
  return {
    id: `scorch:${mark.id}`,
    station: 'paint',
    verdict: over ? 'stop' : 'fine',
    title: 'Heat',
    ...aboutMark(mark, job.marks.length > 1),
    value: say(celsius),
    limit: stands === undefined ? 'no press' : `${say(stands.typical)} on ${name}`,
    why:
      coated && stands
        ? 'Paint and sealer soften under the press and stick to it.'
        : stands === undefined
          ? `Nothing may be pressed on ${name}: it melts, scorches or cracks.`
          : over
            ? `${inSentence(name).replace(/^./, (c) => c.toUpperCase())} does not stand the heat of ${inSentence(hottest?.film.name ?? 'this film')}.`
            : 'The cloth stands it. Press a hidden spot first all the same: dyes and mixed fibres differ.',
    remedies: over ? remedies : [],
    ...(over && remedies.length === 0
      ? {
          advice:
            piece.painted && stands
              ? 'Press it on a piece that is bare, or sew the mark on as a patch.'
              : stands
                ? 'Take a film that is pressed cooler, by its own sheet, or sew the mark on as a patch.'
                : 'Press the mark on a patch of cotton and sew or pin that on.',
        }
      : {}),
  };
}

/** Whether the films go along with the cloth, and lie over one another in an order that holds. */
function layersReading({ job, mark, layers }: JobMark<Heat>, { films }: TechniqueShop): Reading[] {
  const readings: Reading[] = [];
  const about = aboutMark(mark, job.marks.length > 1);
  const kindOf = ({ film }: FittedLayer): Film['kind'] | undefined => films.find(({ id }) => id === film.id)?.kind;
  if (job.piece.stretches) {
    const stiff = layers.filter((layer) => FILM_KINDS[kindOf(layer) ?? 'heatPlain'].press?.stretches === false);
    const better = films.find(({ kind }) => FILM_KINDS[kind].press?.stretches);
    readings.push({
      id: `stretch:${mark.id}`,
      station: 'paint',
      verdict: stiff.length > 0 ? 'watch' : 'fine',
      title: 'Cloth that stretches',
      ...about,
      value: stiff.length > 0 ? 'film does not' : 'film does too',
      limit: 'film that stretches along',
      why: stiff.length > 0 ? 'Film that does not stretch cracks when the cloth is pulled.' : 'It goes along with the cloth.',
      remedies:
        better && stiff.length === 1 && layers.length === 1
          ? [{ label: `Cut it from ${better.name}`, patch: filmInstead(mark, stiff[0]!.film.id, better.id) }]
          : [],
      ...(stiff.length > 0 ? { advice: 'Keep it small, and off the places that are pulled most.' } : {}),
    });
  }
  const lower = layers.filter((layer) => layer.covered && FILM_KINDS[kindOf(layer) ?? 'heatPlain'].press?.under === false);
  if (layers.length > 1)
    readings.push({
      id: `over:${mark.id}:films`,
      station: 'paint',
      verdict: lower.length > 0 ? 'stop' : 'fine',
      title: 'Film over film',
      ...about,
      value: lower.length > 0 ? `nothing holds on ${inSentence(lower[0]!.film.name)}` : counted(layers.length, 'film'),
      limit: 'glitter, flock and foil only on top',
      why:
        lower.length > 0
          ? `No film holds on ${inSentence(lower[0]!.film.name)}: it has to lie uppermost.`
          : 'Each holds on the one below it.',
      remedies: [],
      ...(lower.length > 0
        ? { advice: 'Change the order of the films in Draw, or let the ground show in the lower one where the upper one goes.' }
        : {}),
    });
  return readings;
}

/** Rough cloth: film holds on the ridges only. */
function weaveReading({ job, mark }: JobMark<Heat>): Reading[] {
  if (job.piece.contact !== 'ribbed') return [];
  return [
    {
      id: `weave:${mark.id}`,
      station: 'paint',
      verdict: 'watch',
      title: 'The weave',
      ...aboutMark(mark, job.marks.length > 1),
      value: CONTACTS[job.piece.contact].name,
      limit: 'smooth cloth',
      why: 'On waffle and rib, film holds on the ridges only, and fine strokes break over the gaps.',
      remedies: [],
      advice: 'Take bold letters and firm pressure with something padded under the place, and press a corner of a spare piece first.',
    },
  ];
}

/** Whether the plate reaches over the mark. */
function plateReading(work: JobMark<Heat>, { presses = [], lengths }: TechniqueShop): Reading {
  const { job, mark, layers } = work;
  const [first] = layers;
  const times = first ? pressesFor(first, presses) : 1;
  const say = (mm: number) => formatLength(mm, lengths, { digits: 0 });
  const plate = presses[0];
  return {
    id: `plate:${mark.id}`,
    station: 'paint',
    verdict: presses.length === 0 || times > 1 ? 'watch' : 'fine',
    title: 'The press',
    ...aboutMark(mark, job.marks.length > 1),
    value:
      presses.length === 0
        ? 'none in the workshop'
        : times === 1
          ? 'reaches over it'
          : `${counted(times, 'press', 'presses')} side by side`,
    limit: plate ? `a plate of ${say(plate.width)} × ${say(plate.height)}` : 'a press',
    why:
      presses.length === 0
        ? 'Temperature and pressure are held evenly only by a press; an iron is a makeshift for small marks.'
        : times === 1
          ? 'One press does the whole mark.'
          : `The plate is smaller than the mark: press side by side, ${say(PRESSING.overlap)} over one another, and keep a sheet ` +
            'over film that is pressed already.',
    remedies: [],
    ...(presses.length === 0 ? { advice: 'Put your press into Workshop.' } : {}),
  };
}

/** Adds a mark's presses: the lower films short, the last in full, then from behind. */
function make(
  draft: Parameters<TechniqueFile<Heat>['make']>[0],
  { mark, layers }: LaidMark<Heat>,
  after: Parameters<TechniqueFile<Heat>['make']>[2],
) {
  const { id, add, pieces, input } = draft;
  const { job, presses } = input;
  const { piece, count } = job;
  const rough = piece.contact === 'ribbed';
  const times = layers[0] ? pressesFor(layers[0], presses) : 1;
  const perPiece = layers[0]?.perPiece ?? 1;
  const cloth = GROUNDS[piece.ground].material === 'cloth';
  const pre = id(`pre:${mark.id}`);
  add({
    id: pre,
    about: { kind: 'prePress', pieces, seconds: PRESSING.prePress, wood: !cloth },
    hands: Math.max(1, Math.round(HANDS_ON.prePress * count * times * perPiece)),
    after: [...after.film, ...after.piece],
    cautions: ['heat'],
  });
  let before = { step: pre, least: 0, most: PRESSING.onWarm as number, why: 'pressed' as const };
  layers.forEach((layer, i) => {
    const last = i === layers.length - 1;
    const press = layer.press ?? pressOf({ kind: TECHNIQUES.heat.usualFilm })!;
    const own = id(`press:${mark.id}:${layer.film.id}`);
    const seconds = last ? press.seconds : Math.min(PRESSING.layer, press.seconds);
    add({
      id: own,
      about: {
        ...{ kind: 'press', pieces, rough, presses: times, nth: [i + 1, layers.length] as const },
        layer: { mark: mark.name, film: layer.film.name, layered: layers.length > 1, count },
        press: { ...press, seconds, pressure: rough ? 'firm' : press.pressure },
      },
      hands: Math.max(1, Math.round(HANDS_ON.press * count * times * perPiece)),
      after: [before],
      cautions: ['heat'],
    });
    before = { step: own, least: press.peel === 'cold' ? PRESSING.cools : 0, most: PRESSING.nextLayer, why: 'pressed' };
  });
  const last = layers.at(-1)?.press ?? pressOf({ kind: TECHNIQUES.heat.usualFilm })!;
  const back = id(`back:${mark.id}`);
  add({
    id: back,
    about: {
      kind: 'pressBack',
      mark: mark.name,
      pieces,
      celsius: last.celsius,
      seconds: Math.max(PRESSING.leastSecond, Math.round(last.seconds * PRESSING.second)),
      back: cloth,
    },
    hands: Math.max(1, Math.round(HANDS_ON.pressBack * count * times * perPiece)),
    after: [{ ...before, why: layers.at(-1)?.press?.peel === 'cold' ? 'cooled' : 'pressed' }],
    cautions: ['heat'],
  });
  return {
    ready: { step: back, least: PRESSING.cools, why: 'cooled' as const },
    firm: { step: back, least: PRESSING.cools, why: 'cooled' as const },
    care: cloth
      ? [
          {
            after: back,
            minutes: PRESSING.firstWash * 60 * dryingFactor('adhesive', input.climate, true).factor,
            then: 'clothWash' as const,
            packed: true,
          },
        ]
      : [],
  };
}

/** Film that is pressed on hot: mirrored, weeded on its own carrier, no tape. */
export const heat: TechniqueFile<Heat> = {
  make,
  readings: (work, shop) => [scorchReading(work, shop), ...layersReading(work, shop), ...weaveReading(work), plateReading(work, shop)],
};
