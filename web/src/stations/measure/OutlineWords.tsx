import { useRef, useState } from 'react';
import type { Outline } from '@kolleta/core/job';
import type { LengthSystem, Result } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { readFile } from '../../workers/readFile';
import { Choice, LengthWord } from '../../ui/tokens';
import { importerWorker } from '../../workers/importerClient';

interface Props {
  /** What has the outline: named in labels. */
  of: string;
  outline: Outline | undefined;
  /** Of the box, mm. */
  width: number;
  height: number;
  system: LengthSystem;
  /** The outline, and the height that its drawing has at the width at hand. */
  onChange: (outline: Outline | undefined, height?: number) => void;
}

/** The outline of a flat piece or a zone, in words; a drawing of it can be taken in. */
export function OutlineWords({ of, outline, width, height, system, onChange }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();
  const take = async (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    try {
      const found = await readFile(file, (text) =>
        importerWorker.call(async (importer): Promise<Result<{ outline: Outline; width: number; height: number }>> =>
          importer.outline(text, file.name),
        ),
      );
      if (found.ok) onChange(found.value.outline, (width * found.value.height) / found.value.width);
      else setProblem(`${found.problem.found} ${found.problem.wayOut}`);
    } catch (error) {
      setProblem(plainly(error));
    } finally {
      if (input.current) input.current.value = '';
    }
  };
  return (
    <>
      <Choice
        label={`Outline of the ${of}`}
        value={outline?.kind ?? 'box'}
        options={[
          { value: 'box', label: 'square-cornered' },
          { value: 'rounded', label: 'with rounded corners' },
          { value: 'ellipse', label: 'oval' },
          { value: 'drawn', label: outline?.kind === 'drawn' ? `as in ${outline.name}` : 'as in an SVG drawing …' },
        ]}
        onChange={(kind) => {
          if (kind === 'drawn') input.current?.click();
          else
            onChange(
              kind === 'box' ? undefined : kind === 'rounded' ? { kind, radius: Math.round(Math.min(width, height) / 10) } : { kind },
            );
        }}
      />
      {outline?.kind === 'rounded' && (
        <>
          {' '}
          of{' '}
          <LengthWord
            label={`Corner radius of the ${of}`}
            value={outline.radius}
            system={system}
            onChange={(radius) => onChange({ kind: 'rounded', radius })}
          />
        </>
      )}
      <input
        ref={input}
        type="file"
        accept=".svg,image/svg+xml"
        className="hidden"
        aria-label={`Drawing of the ${of}`}
        onChange={(event) => void take(event.target.files?.[0])}
      />
      {problem && (
        <span role="alert" className="bg-error text-error-content my-1 block rounded px-2 py-1 text-sm leading-snug">
          {problem}
        </span>
      )}
    </>
  );
}
