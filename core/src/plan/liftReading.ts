import { filmPrice, type CutPart } from '../cut';
import { HANDS_ON, TECHNIQUES } from '../facts';
import { aboutMark, type Film, type Job, type JobId, type Machine, type Mark, type Reading, type Shop } from '../job';
import { formatDuration, formatLength, formatMoney, type LengthSystem } from '../units';
import { apartParts, layoutStage, togetherParts, type FilmPart } from './film';
import type { Memo } from './memo';
import type { MarkPlan } from './planMark';

/** More boxes than this are not laid out only to compare. */
const MOST_BOXES = 150;

interface LiftInput {
  readonly mark: Pick<Mark, 'id' | 'name' | 'lift'>;
  readonly several: boolean;
  readonly films: readonly Film[];
  readonly one: readonly FilmPart[];
  readonly apart: readonly FilmPart[];
  /** How many parts are placed by eye where they are apart. */
  readonly places: number;
  readonly machines: readonly Machine[];
  readonly gap: Shop['gap'];
  readonly lengths: LengthSystem;
  readonly currency: string;
}

/**
 * The two schools of lifting side by side: all parts as one, in register, or laid out where they waste least film and placed by eye.
 *
 * @returns undefined where there is nothing to choose
 */
export function liftReading(
  job: Job,
  plan: MarkPlan,
  shop: Pick<Shop, 'machines' | 'gap' | 'lengths' | 'currency'>,
  memo: Memo,
): Reading | undefined {
  const { mark, cutFlat: flat, inspections, perPiece, variants } = plan;
  if (!TECHNIQUES[mark.technique].mayLieApart || variants.length > 0 || flat.length === 0 || inspections.length === 0) return undefined;
  const copies = job.count * perPiece;
  // whose parts they are changes nothing of what they take: copies of a job are compared once
  const whole = { job: '' as JobId, mark, flat, inspections, copies };
  const apart = apartParts(whole, memo);
  if (apart.length < 2 * inspections.length || apart.length > 40 || apart.length * copies > MOST_BOXES) return undefined;
  const input = {
    mark: { id: mark.id, name: mark.name, lift: mark.lift },
    several: job.marks.length > 1,
    films: inspections.map(({ film }) => film),
    one: togetherParts(whole, memo),
    apart,
    places: apart.length * copies,
    machines: shop.machines,
    gap: shop.gap,
    lengths: shop.lengths,
    currency: shop.currency,
  };
  return memo.stage('lift', input, liftStage);
}

function liftStage({ mark, several, films, one, apart, places, machines, gap, lengths, currency }: LiftInput): Reading {
  const partsOf = (film: Film, all: readonly FilmPart[]): CutPart[] => all.filter((p) => p.film.id === film.id).map((p) => p.part);
  const laid = (all: readonly FilmPart[]) =>
    films.map((film) => ({ film, taken: layoutStage({ film, parts: partsOf(film, all), machines, gap }).taken }));
  const [asOne, inParts] = [laid(one), laid(apart)];
  const total = (all: typeof asOne) => all.reduce((sum, { taken }) => sum + taken, 0);
  const price = (all: typeof asOne) => all.reduce((sum, { film, taken }) => sum + filmPrice(film, taken), 0);
  const taken = { one: total(asOne), apart: total(inParts) };
  const say = (mm: number) => formatLength(mm, lengths, { digits: 0 });
  const worth = (all: typeof asOne) => (price(asOne) + price(inParts) > 0 ? ` (${formatMoney(price(all), currency)})` : '');
  const minutes = Math.round(places * HANDS_ON.byEye);
  const isApart = mark.lift === 'apart';
  return {
    id: `lift:${mark.id}`,
    station: 'cut',
    verdict: 'fine',
    title: 'How it is lifted',
    ...aboutMark(mark, several),
    value: isApart ? `apart, ${say(taken.apart)} of film` : `as one, ${say(taken.one)} of film`,
    limit: isApart ? `${say(taken.one)} as one` : `${say(taken.apart)} apart`,
    why: `As one it takes ${say(taken.one)} of film${worth(asOne)} and goes down in register; its ${apart.length} parts laid out apart take ${say(taken.apart)}${worth(inParts)}, and about ${formatDuration(minutes)} more of placing by eye.`,
    remedies: [
      {
        label: isApart ? 'Lift it as one' : 'Lay its parts out apart',
        patch: [{ op: 'set', path: ['marks', mark.id, 'lift'], value: isApart ? 'one' : 'apart' }],
      },
    ],
  };
}
