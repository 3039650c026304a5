import { expose } from 'comlink';
import { hpglCutFile, svgCutFile, type FilmLayout } from '@kolleta/core/cut';
import { inspectPlaces, overlapsOn, type InspectionMap } from '@kolleta/core/fit';
import type { Film, Job, Machine, Shape, Shop, WorkEvent } from '@kolleta/core/job';
import { Memo, planWorkshop, type MarkPlan, type Plan } from '@kolleta/core/plan';
import { faces, needFace, needWholeFaces, wholeFaces } from './faceStore';

const memos = { workshop: new Memo(), draft: new Memo() };

let first = true;

const facesIn = (jobs: readonly Job[]) =>
  jobs.flatMap((job) => job.marks.flatMap((mark) => (mark.artwork.kind === 'text' ? mark.artwork.lines.map((line) => line.face) : [])));

const planner = {
  /**
   * Plans the workshop, or a draft beside it. Faces are read as they are needed; all of them, with their rarer letters, when letters are missing. The very
   * first plan is a quick one, unless the whole is asked for.
   */
  async plan(which: 'workshop' | 'draft', jobs: Job[], shop: Shop, events: WorkEvent[], now: number, whole = false): Promise<Plan> {
    await Promise.all([...new Set(facesIn(jobs))].map((id) => needFace(id, shop.faces)));
    const effort = which === 'workshop' && first && !whole ? 'quick' : 'whole';
    first = false;
    const plan = planWorkshop(jobs, shop, events, now, faces, memos[which], effort);
    const lacking = [...plan.jobs.values()].some((job) => job.readings.some((reading) => reading.id.startsWith('glyphs:')));
    if (!lacking || wholeFaces()) return plan;
    await needWholeFaces();
    // what was remembered was drawn without the rarer letters
    memos[which] = new Memo();
    return planWorkshop(jobs, shop, events, now, faces, memos[which]);
  },
  /** What is hard to weed or will not stay, in its place. */
  inspect({ flat, mark, fitted, turn }: Pick<MarkPlan, 'flat' | 'mark' | 'fitted' | 'turn'>, shape: Shape, films: Film[]): InspectionMap {
    return inspectPlaces(flat, mark, films, overlapsOn(mark, fitted, turn, shape, faces));
  },
  /** The same layout as HPGL for a machine. */
  hpgl(layout: FilmLayout, machine: Machine): string {
    return hpglCutFile(layout, machine);
  },
  cutFile(layout: FilmLayout, title: string): string {
    return svgCutFile(layout, title);
  },
};

export type Planner = typeof planner;
expose(planner);
