// Reads the demo workshop and lays its Bench out ahead of time, so that a first visit shows it before anything is planned there, and needs none of what
// reads and checks files.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readWorkshopFile } from '../core/src/jobFile';
import { planWorkshop } from '../core/src/plan';
import { shippedFaces } from '../core/test/faces';
import { DEMO_START } from '../core/test/sampleJobs';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const read = readWorkshopFile(readFileSync(at('../demo/workshop.json'), 'utf8'), 'demo/workshop.json');
if (!read.ok) throw new Error(read.problem.found);
const { jobs, shop, events } = read.value;
const sorted = {
  jobs: jobs.toSorted((a, b) => a.createdAt - b.createdAt),
  events: events.toSorted((a, b) => (a.id < b.id ? -1 : 1)),
};
const { bench } = planWorkshop(sorted.jobs, shop, sorted.events, DEMO_START, shippedFaces());
const out = at('../web/src/generated/demoBench.json');
mkdirSync(dirname(out), { recursive: true });
writeFileSync(out, JSON.stringify(bench));
writeFileSync(at('../web/src/generated/demoWorkshop.json'), JSON.stringify({ shop, jobs, events }));
