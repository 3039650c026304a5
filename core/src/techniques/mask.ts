import { HANDS_ON, MASK, PAINT } from '../facts';
import { faceOf, minutesFor } from '../finish';
import { makeAs } from '../fit';
import { aboutMark, type Making, type Reading } from '../job';
import { counted } from '../units';
import { coveredArea, paintOn, paintReading } from './paintWork';
import { placeFilm } from './placeFilm';
import type { JobMark, TechniqueFile, TechniqueShop } from './technique';

type Mask = Extract<Making, { technique: 'mask' }>;

/** Minutes that pulling takes, one shape after the other. */
const pulling = (shapes: number, count: number): number =>
  Math.max(1, Math.round(HANDS_ON.pull.start + HANDS_ON.pullLetter * shapes * count));

const shapesOf = (layers: JobMark['layers']): number => layers.reduce((sum, layer) => sum + layer.shapes.count * layer.perPiece, 0);

/** Many letters, or small ones: each is pulled by itself. */
function pullReading({ job, mark, layers, count }: JobMark, { paints, films }: TechniqueShop): Reading {
  const shapes = shapesOf(layers);
  const small = layers.some((layer) => layer.shapes.least < MASK.smallPart);
  const many = shapes > MASK.many || small;
  const patch = many ? makeAs('stencil', mark, { films, paints }, job.piece.colour) : undefined;
  return {
    id: `pull:${mark.id}`,
    station: 'paint',
    verdict: many ? 'watch' : 'fine',
    title: 'Pulling the letters',
    ...aboutMark(mark, job.marks.length > 1),
    value: `${counted(shapes, 'piece')} of film, ${counted(pulling(shapes, count), 'minute')} of work`,
    limit: `up to ${MASK.many}, none tiny`,
    why: many
      ? `Each ${small ? 'letter and dot' : 'letter'} has to be found under the paint and pulled by itself${small ? ', and some are tiny' : ''}.`
      : 'Each letter is found again easily and pulled by itself.',
    remedies: patch ? [{ label: 'Paint the letters through a stencil instead', patch }] : [],
    ...(many
      ? { advice: 'Leave a corner of each letter thinly painted, or take a photo before you paint, so that you find them again.' }
      : {}),
  };
}

/** Film keeps the ground's colour while all around is painted, edges too; then each letter is pulled. */
export const mask: TechniqueFile<Mask> = {
  make: (draft, laid, after) => {
    const { id, add, input } = draft;
    const { mark, making, layers } = laid;
    const place = placeFilm(draft, laid, after);
    const { last, times, window, coat, dries } = paintOn(draft, laid, place, true);
    const pull = id(`pull:${mark.id}`);
    const count = shapesOf(layers);
    add({
      id: pull,
      about: { kind: 'pullLetters', mark: mark.name, pullAt: making.pullAt, letters: mark.artwork.kind === 'text', count, window },
      hands: pulling(count, input.job.count),
      after: [{ step: last, ...window, why: making.pullAt, dries, closesDry: true }],
      cautions: ['blade'],
    });
    const touch = id(`touch:${mark.id}`);
    add({
      id: touch,
      about: { kind: 'touchUp', mark: mark.name, left: 'paint' },
      hands: minutesFor(HANDS_ON.touchUp, input.job.count, 0),
      after: [{ step: pull, least: times.touchDry, why: 'touchDry', dries }],
      cautions: [],
    });
    return {
      // what comes on it lies on the new paint
      ready: { step: touch, least: Math.max(0, times.beforeFilm - times.touchDry), why: 'firm', dries },
      firm: { step: touch, least: Math.max(0, times.beforeFilm - times.touchDry), why: 'firm', dries },
      care: [{ after: touch, minutes: times.fullCure, coat, then: 'water', packed: true }],
    };
  },
  readings: (work, shop) => {
    const area = coveredArea(
      { face: faceOf(work.job.piece) },
      work.layers.reduce((sum, layer) => sum + layer.area, 0),
    );
    return [paintReading(work, area, PAINT.spreadBrushed, shop), pullReading(work, shop)];
  },
};
