import { COATS, GROUNDS, HANDS_ON, SEALED_SHARE, SEALERS, TECHNIQUES, type SealerId } from '../facts';
import { isWashed } from '../blanks';
import { removeAt, setAt, type Job, type Reading, type Remedy } from '../job';
import { inSentence } from '../units';
import { dryingTimes } from './drying';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { Lag } from './workStep';

/** Adds the sealer over the finished marks, where the maker wants one; what comes next waits for it. */
export function sealOver({ input, id, add, pieces, care, face }: RecipeDraft, before: readonly Lag[]): readonly Lag[] {
  const sealer = input.job.piece.sealedAfter;
  if (sealer === undefined) return before;
  const times = dryingTimes('sealer', input.climate);
  const step = id('sealOver');
  add({
    id: step,
    about: { kind: 'sealOver', pieces, sealer },
    hands: minutesFor(HANDS_ON.seal, pieces.count, face * SEALED_SHARE),
    after: before,
    cautions: ['vapour', 'paint'],
  });
  care.push({ after: step, minutes: times.fullCure, coat: 'sealer', then: 'water', packed: true });
  return [{ step, least: times.recoat, why: 'sealedOver', dries: COATS.sealer.base }];
}

/** Why a sealer does not do for a job; undefined where it does. */
function against(job: Job, id: SealerId): string | undefined {
  const { on, overFilm, washed, name, stands } = SEALERS[id];
  const { piece, marks } = job;
  const { material } = GROUNDS[piece.ground];
  const film = marks.some(({ technique }) => TECHNIQUES[technique].stays === 'film');
  if (!on.includes(material)) return `${name} is not made for ${GROUNDS[piece.ground].name}: it flakes off, or stays soft.`;
  if (film && !overFilm) return `${name} does not go over film.`;
  if (isWashed(piece) && !washed) return `${name} stands ${stands}, and no washing up.`;
  return undefined;
}

/** Whether the sealer that goes over the marks does for this piece. */
export function sealerReadings(job: Job): Reading[] {
  const sealer = job.piece.sealedAfter;
  if (sealer === undefined) return [];
  const why = against(job, sealer);
  const food = job.piece.use.food;
  const bad = why !== undefined || food;
  const other = (Object.keys(SEALERS) as SealerId[]).find((id) => against(job, id) === undefined);
  const remedies: Remedy[] = [
    ...(!food && other && why !== undefined
      ? [{ label: `Take ${SEALERS[other].name}`, patch: setAt(['piece', 'sealedAfter'], other) }]
      : []),
    { label: 'Leave it unsealed', patch: removeAt(['piece', 'sealedAfter']) },
  ];
  return [
    {
      id: 'sealer',
      station: 'cure',
      verdict: bad ? 'stop' : 'fine',
      title: 'Sealer over the marks',
      value: SEALERS[sealer].name,
      limit: 'made for this piece and its use',
      why: food
        ? 'No sealer makes a mark fit for food, whatever its tin says of wood alone.'
        : why !== undefined
          ? why.replace(/^./, (c) => c.toUpperCase())
          : `It stands ${inSentence(SEALERS[sealer].stands)} once it has cured. Film holds no better for it on a ground that refuses film.`,
      remedies: bad ? remedies : [],
    },
  ];
}
