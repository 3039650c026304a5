import { useState } from 'react';
import { partsShown, SIMPLE_SHAPES, simpleShape, type ImportedDrawing, type SimpleShapeId } from '@kolleta/core/artwork';
import type { Path } from '@kolleta/core/geometry';
import type { ShelfItem } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { importerWorker } from '../../workers/importerClient';
import { readFile } from '../../workers/readFile';

/** A shape that a change brings along. */
export interface Brought {
  readonly name: string;
  readonly path: Path;
  readonly fill: 'nonzero' | 'evenodd';
  /** Where it came from, if from the shelf. */
  readonly shelf?: string;
}

const MOST_BYTES = 5 * 1024 * 1024;
const MOST_SEGMENTS = 100_000;

/** All parts of a drawing as one shape: what of it is film, whatever its colour. */
const asOne = (name: string, parts: readonly { path: Path }[]): Brought => ({
  name: name.slice(0, 200),
  path: parts.flatMap(({ path }) => path).slice(0, MOST_SEGMENTS),
  fill: 'nonzero',
});

export const simple = (id: SimpleShapeId): Brought => ({ name: SIMPLE_SHAPES[id], path: simpleShape(id), fill: 'evenodd' });

interface Props {
  label: string;
  value: string;
  shelf: readonly ShelfItem[];
  onChange: (shape: Brought) => void;
}

/** Which shape: a simple one, one from the shelf, or a drawing from a file. */
export function BroughtShape({ label, value, shelf, onChange }: Props) {
  const [problem, setProblem] = useState<string>();
  const open = async (file: File) => {
    setProblem(undefined);
    try {
      const read = await readFile(
        file,
        (text) =>
          importerWorker.call(async (importer): Promise<Result<ImportedDrawing>> =>
            /\.dxf$/i.test(file.name) ? importer.dxf(text, file.name) : importer.svg(text, file.name, []),
          ),
        MOST_BYTES,
      );
      if (!read.ok) setProblem(`${read.problem.found} ${read.problem.wayOut}`);
      else if (read.value.parts.length === 0) setProblem(`${file.name} has no shape that is filled.`);
      else onChange(asOne(file.name, partsShown(read.value)));
    } catch (error) {
      setProblem(plainly(error));
    }
  };
  const known = (Object.keys(SIMPLE_SHAPES) as SimpleShapeId[]).find((id) => SIMPLE_SHAPES[id] === value);
  return (
    <>
      <select
        className="token"
        aria-label={label}
        value={known ?? ''}
        onChange={(event) => {
          const chosen = event.target.value;
          const item = shelf.find(({ id }) => `shelf ${id}` === chosen);
          if (chosen === 'file') document.getElementById(`file ${label}`)?.click();
          else if (item) onChange({ ...asOne(item.name, item.parts), shelf: item.id });
          else if (chosen) onChange(simple(chosen as SimpleShapeId));
        }}
      >
        {!known && <option value="">{value}</option>}
        <optgroup label="simple shapes">
          {(Object.entries(SIMPLE_SHAPES) as [SimpleShapeId, string][]).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </optgroup>
        {shelf.length > 0 && (
          <optgroup label="from the shelf">
            {shelf.map((item) => (
              <option key={item.id} value={`shelf ${item.id}`}>
                {item.name}
              </option>
            ))}
          </optgroup>
        )}
        <option value="file">a drawing from a file…</option>
      </select>
      <input
        id={`file ${label}`}
        type="file"
        accept=".svg,.dxf,image/svg+xml"
        className="hidden"
        aria-label={`${label}, from a file`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void open(file);
        }}
      />
      {problem && (
        <span role="alert" className="bg-error text-error-content block rounded px-2 py-1 text-sm leading-snug">
          {problem}
        </span>
      )}
    </>
  );
}
