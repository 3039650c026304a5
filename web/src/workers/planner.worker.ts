import { expose } from 'comlink';
import {
  CUT_FILES,
  takesRelief,
  withRelief,
  hpglCutFile,
  inCutOrder,
  inLoads,
  layOnPiece,
  layTogether,
  leftOf,
  overPieces,
  withSpares,
  type CutFileId,
  type FilmLayout,
  type Leftover,
  type OnPiece,
  type Spread,
} from '@kolleta/core/cut';
import { ringsOf } from '@kolleta/core/geometry';
import type { TechniqueId } from '@kolleta/core/facts';
import { inspectPlaces, otherWays, overlapsOn, type InspectionMap } from '@kolleta/core/fit';
import type { Film, FilmPiece, Job, KeptLayout, Machine, Shape, Shop, Tape, WorkEvent } from '@kolleta/core/job';
import {
  Memo,
  cheaperWays,
  planWorkshop,
  priced,
  rankWays,
  type MarkPlan,
  type AsideReason,
  type Plan,
  type PlanOptions,
  type CheaperWay,
  type Priced,
  type WayRanking,
} from '@kolleta/core/plan';
import { tapePlan, type Lift, type TapeBudget, type TapePlan } from '@kolleta/core/tape';
import { Sender, type Carried } from './carried';
import { faces, needFace, needWholeFaces, wholeFaces } from './faceStore';

/** Those who wait for a plan hear that it goes on so often at most, ms. */
const TELL_MS = 10_000;
/** Told of each stage that was worked out for the plan under way. */
let goesOn = (): void => undefined;
const memos = { workshop: new Memo(() => goesOn()), draft: new Memo(() => goesOn()) };

/** What a plan may be told beside what it plans. */
interface Wishes extends Pick<PlanOptions, 'stands' | 'patient'> {
  /** No quick first plan. */
  readonly whole?: boolean | undefined;
}

const senders = { workshop: new Sender(), draft: new Sender() };

/** Where many sheets are laid one after the other each is looked at so often. */
const SPREAD_ROUNDS = 2;

let first = true;

const facesIn = (jobs: readonly Job[]) =>
  jobs
    .filter((job) => !job.closed)
    .flatMap((job) => job.marks.flatMap(({ artwork }) => (artwork?.kind === 'text' ? artwork.lines.map((line) => line.face) : [])));

/**
 * Plans the workshop, or a draft beside it. Faces are read as they are needed; all of them, with their rarer letters, when letters are
 * missing. The very first plan is a quick one, unless the whole is asked for.
 */
async function plan(
  which: 'workshop' | 'draft',
  jobs: Job[],
  shop: Shop,
  events: WorkEvent[],
  now: number,
  { whole = false, stands, patient }: Wishes = {},
): Promise<Plan> {
  // a face that cannot be read is told by the marks that ask for it
  await Promise.allSettled([...new Set(facesIn(jobs))].map((id) => needFace(id, shop.faces)));
  // what is read already is not looked through again: a face may have millions of bytes
  const { faces: own, ...rest } = shop;
  const light = own ? { ...rest, faces: own.map((face) => ({ ...face, data: '' })) } : shop;
  const effort = which === 'workshop' && first && !whole ? 'quick' : 'whole';
  first = false;
  const options = { stands, ...(patient ? { patient } : {}) };
  const plan = planWorkshop(jobs, light, events, now, faces, memos[which], { ...options, effort });
  const lacking = [...plan.jobs.values()].some((job) => job.readings.some((reading) => reading.id.startsWith('glyphs:')));
  if (!lacking || wholeFaces()) return plan;
  await needWholeFaces();
  // faces that are read anew are other faces: what was drawn with them is drawn again
  return planWorkshop(jobs, light, events, now, faces, memos[which], options);
}

const planner = {
  plan,
  /** As `plan`, without what the page has from the plan `known`. */
  async planAfter(known: number, alive: () => void, ...asked: Parameters<typeof plan>): Promise<Carried<Plan>> {
    let told = performance.now();
    goesOn = () => {
      if (performance.now() - told < TELL_MS) return;
      told = performance.now();
      alive();
    };
    return senders[asked[0]].send(await plan(...asked), known);
  },
  /** Plans one job to see whether it can be, and how much of it a page has to draw. */
  async trial(job: Job, shop: Shop, now: number): Promise<{ aside?: AsideReason | undefined; points: number; rings: number }> {
    const tried = (await plan('draft', [job], shop, [], now)).jobs.get(job.id);
    const rings = (tried?.marks ?? []).flatMap(({ flat }) => flat.flatMap((layer) => ringsOf(layer.region)));
    return { aside: tried?.aside, points: rings.reduce((sum, ring) => sum + ring.length, 0), rings: rings.length };
  },
  /** What would make a job cheaper. */
  async cheaperWays(job: Job, shop: Shop, events: WorkEvent[], now: number): Promise<CheaperWay[]> {
    await Promise.allSettled([...new Set(facesIn([{ ...job, closed: false }]))].map((id) => needFace(id, shop.faces)));
    return cheaperWays(job, shop, events, now, faces);
  },
  /** What a job costs and is to be sold for. */
  async priced(job: Job, shop: Shop, events: WorkEvent[], now: number, run?: number): Promise<Priced | undefined> {
    await Promise.allSettled([...new Set(facesIn([{ ...job, closed: false }]))].map((id) => needFace(id, shop.faces)));
    return priced(job, shop, events, now, faces, run);
  },
  /** Which technique is the best for a job's piece and use. */
  async rankWays(job: Job, shop: Shop, events: WorkEvent[], now: number): Promise<WayRanking> {
    await Promise.allSettled([...new Set(facesIn([job]))].map((id) => needFace(id, shop.faces)));
    return rankWays(job, shop, events, now, faces);
  },
  /** A job with all its marks made by other techniques. */
  otherWays(job: Job, shop: Shop): { technique: TechniqueId; job: Job }[] {
    return otherWays(job, shop);
  },
  /** What is hard to weed or will not stay, in its place. */
  inspect({ flat, mark, fitted, turn }: Pick<MarkPlan, 'flat' | 'mark' | 'fitted' | 'turn'>, shape: Shape, films: Film[]): InspectionMap {
    return inspectPlaces(flat, mark, films, overlapsOn(mark, fitted, turn, shape, faces));
  },
  /** Several jobs' layouts of one film as one. */
  layTogether(layouts: FilmLayout[], machines: Machine[], kept: readonly KeptLayout[] = []): FilmLayout {
    return layTogether(layouts, machines, kept);
  },
  /** What each of some sheets and offcuts would hold of layouts of one film. */
  onPieces(layouts: FilmLayout[], pieces: FilmPiece[], machines: Machine[], kept: readonly KeptLayout[]): (OnPiece | undefined)[] {
    return pieces.map((piece) => layOnPiece(layouts, piece, machines, undefined, kept));
  },
  /** Layouts of one film spread over sheets and offcuts, one after the other, the rest off the roll. */
  overPieces(layouts: FilmLayout[], pieces: FilmPiece[], machines: Machine[], kept: readonly KeptLayout[]): Spread {
    return overPieces(layouts, pieces, machines, SPREAD_ROUNDS, kept);
  },
  /**
   * A layout in the order in which the knife travels least, with spares of small bits of some marks, as `job/mark`, and with relief cuts where they are
   * wanted, strips so many mm wide.
   */
  asCut(layout: FilmLayout, strip?: number, spares: readonly string[] = []): FilmLayout {
    const ordered = withSpares(inCutOrder(layout), new Set(spares));
    return strip !== undefined && takesRelief(layout) ? withRelief(ordered, strip) : ordered;
  },
  /** A layout that is longer than its machine takes in one go, in loads, each as it is cut; one alone where one is enough. */
  loads(layout: FilmLayout, strip?: number, spares: readonly string[] = []): FilmLayout[] {
    const loads = inLoads(layout) ?? [layout];
    return loads.length > 1 ? loads.map((load) => planner.asCut(load, strip, spares)) : [layout];
  },
  /** What is worth keeping of film that was cut. */
  leftOf(layout: FilmLayout): Leftover[] {
    return leftOf(layout);
  },
  /** Tape for many marks. */
  tape(lifts: Lift[], tapes: Tape[], budget: TapeBudget): TapePlan {
    return tapePlan(lifts, tapes, budget);
  },
  /** A layout as a file for the knife. */
  async cutFile(kind: CutFileId, layout: FilmLayout, title: string): Promise<{ content: string | Uint8Array }> {
    return { content: await CUT_FILES[kind].write(layout, title, layout.machine) };
  },
  /** A layout as what a cutter is sent. */
  hpgl(layout: FilmLayout, machine: Machine): string {
    return hpglCutFile(layout, machine);
  },
};

export type Planner = typeof planner;
expose(planner);
