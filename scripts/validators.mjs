// Writes the Ajv validators of the file formats as plain code: the content security policy forbids compiling them in the browser.
import { mkdirSync, readFileSync, writeFileSync, existsSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const schemaFile = resolve(root, 'core/src/jobFile/kolleta.schema.json');
const outDir = resolve(root, 'core/src/jobFile/generated');
const out = resolve(outDir, 'validators.js');

export async function writeValidators() {
  if (existsSync(out) && statSync(out).mtimeMs > Math.max(statSync(schemaFile).mtimeMs, statSync(fileURLToPath(import.meta.url)).mtimeMs))
    return;
  const { default: Ajv } = await import('ajv');
  const { default: addFormats } = await import('ajv-formats');
  const { default: standaloneCode } = await import('ajv/dist/standalone/index.js');
  const { rolldown } = await import('rolldown');
  const schema = JSON.parse(readFileSync(schemaFile, 'utf8'));
  const ajv = new Ajv({ code: { source: true, esm: true }, strictTuples: false, allErrors: false, inlineRefs: false });
  addFormats(ajv, ['date-time']);
  ajv.addSchema(schema);
  const code = standaloneCode(ajv, {
    jobFile: 'kolleta.schema.json#/definitions/jobFile',
    workshopFile: 'kolleta.schema.json#/definitions/workshopFile',
  });
  mkdirSync(outDir, { recursive: true });
  const raw = resolve(outDir, 'raw.mjs');
  writeFileSync(raw, code);
  const bundle = await rolldown({ input: raw });
  await bundle.write({ file: out, format: 'esm' });
  await bundle.close();
  writeFileSync(
    resolve(outDir, 'validators.d.ts'),
    'interface Validator { (data: unknown): boolean; errors?: { instancePath: string; keyword: string; message?: string; params: Record<string, unknown> }[] | null }\nexport const jobFile: Validator;\nexport const workshopFile: Validator;\n',
  );
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await writeValidators();
