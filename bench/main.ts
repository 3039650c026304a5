import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { Figure } from './figure';
import { blankFigures, inspectFigures, roomFigures } from './advice';
import { dragFigures } from './drag';
import { fitFigures } from './fit';
import { faultFigures } from './faults';
import { fuzzFigures } from './fuzz';
import { HASTE } from './haste';
import { importFigures } from './import';
import { textFigures } from './paintedText';
import { planFigures } from './plan';
import { startFigures } from './start';
import { cutOrderFigures } from './cutOrder';
import { cutLookFigures } from './cutLook';
import { jigsawFigures } from './jigsaw';
import { logFigures } from './log';
import { nestFigures, reliefFigures } from './nest';
import { scheduleFigures } from './schedule';
import { tapeFigures } from './tape';
import { traceFigures } from './trace';

const { values } = parseArgs({ options: { json: { type: 'string' }, only: { type: 'string' } } });
const parts: [string, () => Figure[] | Promise<Figure[]>][] = [
  ['start/', startFigures],
  ['plan/', planFigures],
  ['log/', logFigures],
  ['tape/', tapeFigures],
  ['schedule/', scheduleFigures],
  ['nest/', nestFigures],
  ['order/', cutOrderFigures],
  ['relief/', reliefFigures],
  ['jigsaw/', jigsawFigures],
  ['look/', cutLookFigures],
  ['import/', importFigures],
  ['text/', textFigures],
  ['fit/', fitFigures],
  ['fit/', roomFigures],
  ['inspect/', inspectFigures],
  ['blanks/', blankFigures],
  ['trace/', traceFigures],
  ['drag/', dragFigures],
  ['fuzz/', fuzzFigures],
  ...HASTE,
  // the kills come last: they take longest
  ['fault/', faultFigures],
];
const only = values.only ?? '';
const figures: Figure[] = [];
for (const [prefix, measure] of parts) {
  if (!prefix.startsWith(only) && !only.startsWith(prefix)) continue;
  for (const f of (await measure()).filter((figure) => figure.name.startsWith(only))) {
    figures.push(f);
    // as they come: a figure that fails to be measured takes none of the others along
    console.log(
      `${f.name.padEnd(44)}  ${String(f.value).padStart(10)} ${f.unit.padEnd(3)}  ${f.goal.padEnd(18)} ${f.holds ? 'holds' : 'MISSED'}`,
    );
  }
}
if (figures.length === 0) console.log(`No figure begins with "${only}".`);
if (values.json) writeFileSync(values.json, `${JSON.stringify(figures, null, 1)}\n`);
