import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { Figure } from './figure';
import { dragFigures } from './drag';
import { fitFigures } from './fit';
import { faultFigures } from './faults';
import { fuzzFigures } from './fuzz';
import { hasteFigures } from './haste';
import { importFigures } from './import';
import { planFigures } from './plan';
import { startFigures } from './start';
import { traceFigures } from './trace';

const { values } = parseArgs({ options: { json: { type: 'string' }, only: { type: 'string' } } });
const parts: [string, () => Figure[] | Promise<Figure[]>][] = [
  ['start/', startFigures],
  ['plan/', planFigures],
  ['import/', importFigures],
  ['fit/', fitFigures],
  ['trace/', traceFigures],
  ['drag/', dragFigures],
  ['fuzz/', fuzzFigures],
  ['fault/', faultFigures],
  ['fault/', hasteFigures],
];
const only = values.only ?? '';
const figures: Figure[] = [];
for (const [prefix, measure] of parts) {
  if (prefix.startsWith(only) || only.startsWith(prefix)) figures.push(...(await measure()).filter((f) => f.name.startsWith(only)));
}
const width = Math.max(4, ...figures.map((f) => f.name.length));
for (const f of figures)
  console.log(
    `${f.name.padEnd(width)}  ${String(f.value).padStart(10)} ${f.unit.padEnd(3)}  ${f.goal.padEnd(18)} ${f.holds ? 'holds' : 'MISSED'}`,
  );
if (figures.length === 0) console.log(`No figure begins with "${only}".`);
if (values.json) writeFileSync(values.json, `${JSON.stringify(figures, null, 1)}\n`);
