import { expose } from 'comlink';
import { importSvg, readFace, type Face, type ImportedDrawing } from '@kolleta/core/artwork';
import { svgCutFile, type FilmLayout } from '@kolleta/core/cut';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import { Memo, planWorkshop, type Plan } from '@kolleta/core/plan';
import type { Result } from '@kolleta/core/units';
import { FACE_FILES } from './faceFiles';

const faces = new Map<string, Face>();
const loading = new Map<string, Promise<void>>();
const memos = { workshop: new Memo(), draft: new Memo() };

let first = true;

function loadFace(id: string): Promise<void> {
  const files = FACE_FILES[id];
  if (!files) return Promise.resolve();
  const promise =
    loading.get(id) ??
    (async () => {
      const bytes = await Promise.all(files.map(async (url) => (await fetch(url)).arrayBuffer()));
      const face = readFace(id, bytes);
      if (face.ok) faces.set(id, face.value);
    })();
  loading.set(id, promise);
  return promise;
}

const facesIn = (jobs: readonly Job[]) =>
  jobs.flatMap((job) => job.marks.flatMap((mark) => (mark.artwork.kind === 'text' ? mark.artwork.lines.map((line) => line.face) : [])));

const planner = {
  /**
   * Plans the workshop, or a draft beside it. Faces are fetched as they are needed; all of them when letters are missing. The very first plan is a
   * quick one.
   */
  async plan(which: 'workshop' | 'draft', jobs: Job[], shop: Shop, events: WorkEvent[], now: number): Promise<Plan> {
    await Promise.all([...new Set(facesIn(jobs))].map(loadFace));
    const effort = which === 'workshop' && first ? 'quick' : 'whole';
    first = false;
    const plan = planWorkshop(jobs, shop, events, now, faces, memos[which], effort);
    const lacking = [...plan.jobs.values()].some((job) => job.readings.some((reading) => reading.id.startsWith('glyphs:')));
    if (!lacking || faces.size === Object.keys(FACE_FILES).length) return plan;
    await Promise.all(Object.keys(FACE_FILES).map(loadFace));
    return planWorkshop(jobs, shop, events, now, faces);
  },
  importSvg(text: string, name: string): Result<ImportedDrawing> {
    let n = 0;
    return importSvg(text, name, () => `part${++n}`);
  },
  cutFile(layout: FilmLayout, title: string): string {
    return svgCutFile(layout, title);
  },
};

// the faces are wanted in any case: they are read while the page is still opening the workshop
for (const id of Object.keys(FACE_FILES)) void loadFace(id);

export type Planner = typeof planner;
expose(planner);
