// Writes the schema of the file formats from the shapes of jobs, shops and events, and its Ajv validators as plain code: the content
// security policy forbids
// compiling them in the browser.
import { existsSync, mkdirSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const jobFile = resolve(root, 'core/src/jobFile');
const outDir = resolve(jobFile, 'generated');
const out = resolve(outDir, 'validators.js');

/** Everything that the schema is made from. */
function sources() {
  const folders = ['core/src/job/shapes', 'core/src/facts'].map((folder) => resolve(root, folder));
  return [
    ...folders.flatMap((folder) => readdirSync(folder).map((name) => resolve(folder, name))),
    resolve(jobFile, 'fileShapes.ts'),
    resolve(jobFile, 'version.ts'),
    fileURLToPath(import.meta.url),
  ];
}

/** A shape as plain JSON schema: what has a title becomes a definition of its own. */
function plain(shape, definitions) {
  if (Array.isArray(shape)) return shape.map((item) => plain(item, definitions));
  if (typeof shape !== 'object' || shape === null) return shape;
  const { title } = shape;
  // a field may be called title too
  const isName = typeof title === 'string';
  const entries = Object.entries(shape).filter(([key]) => !(isName && key === 'title'));
  const copy = Object.fromEntries(entries.map(([key, value]) => [key, plain(value, definitions)]));
  if (!isName) return copy;
  const known = definitions.get(title);
  if (known && JSON.stringify(known) !== JSON.stringify(copy)) throw new Error(`two shapes are called ${title}`);
  definitions.set(title, copy);
  return { $ref: `#/definitions/${title}` };
}

export async function writeValidators() {
  const newest = Math.max(...sources().map((file) => statSync(file).mtimeMs));
  if (existsSync(out) && statSync(out).mtimeMs > newest) return;
  const { default: Ajv } = await import('ajv');
  const { default: addFormats } = await import('ajv-formats');
  const { default: standaloneCode } = await import('ajv/dist/standalone/index.js');
  const { rolldown } = await import('rolldown');
  mkdirSync(outDir, { recursive: true });
  const write = async (input, file) => {
    const bundle = await rolldown({ input, platform: 'node' });
    await bundle.write({ file, format: 'esm' });
    await bundle.close();
  };
  const shapesFile = resolve(outDir, 'shapes.mjs');
  await write(resolve(jobFile, 'fileShapes.ts'), shapesFile);
  const shapes = await import(`${pathToFileURL(shapesFile).href}?${Date.now()}`);
  const definitions = new Map();
  plain(shapes.jobFile, definitions);
  plain(shapes.workshopFile, definitions);
  const schema = {
    $id: 'kolleta.schema.json',
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `Kolleta files, version ${shapes.FILE_VERSION}`,
    description:
      'Lengths in mm, x to the right, y up; times as UTC instants (ISO 8601); money in minor units; areas in mm²; humidity 0 to 1.',
    definitions: Object.fromEntries(definitions),
  };
  writeFileSync(resolve(outDir, 'kolleta.schema.json'), `${JSON.stringify(schema, null, 1)}\n`);
  const ajv = new Ajv({ code: { source: true, esm: true }, discriminator: true, strictTuples: false, allErrors: false, inlineRefs: false });
  addFormats(ajv, ['date-time']);
  ajv.addSchema(schema);
  const code = standaloneCode(ajv, {
    jobFile: 'kolleta.schema.json#/definitions/jobFile',
    workshopFile: 'kolleta.schema.json#/definitions/workshopFile',
  });
  const raw = resolve(outDir, 'raw.mjs');
  writeFileSync(raw, code);
  await write(raw, out);
  writeFileSync(
    resolve(outDir, 'validators.d.ts'),
    'interface Validator { (data: unknown): boolean; errors?: { instancePath: string; keyword: string; message?: string; params: Record<string, unknown> }[] | null }\nexport const jobFile: Validator;\nexport const workshopFile: Validator;\n',
  );
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await writeValidators();
