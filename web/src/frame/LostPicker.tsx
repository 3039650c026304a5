import { useMemo, type KeyboardEvent } from 'react';
import { shapeMiddles } from '@kolleta/core/cut';
import { boxOf, growBox } from '@kolleta/core/geometry';
import type { JobPlan } from '@kolleta/core/plan';
import { regionPath } from '../drawing/regionPath';
import { InMm, Scaled } from '../drawing/Scaled';

/** Film that was lost: of which part, which of its shapes (all of it where none is named), and of how many copies. */
export interface Lost {
  readonly film: string;
  readonly mark: string;
  readonly name: string;
  readonly copies: number;
  readonly shapes: readonly number[];
}

type Part = JobPlan['parts'][number];

/** Shapes that a region may have to be tapped one by one. */
const MOST_TAPPED = 200;

/** What is lost to begin with: all of one copy of the part that a step is about, else of the first. */
export function firstLost(parts: readonly Part[], step?: string): Lost | undefined {
  // what a step is about stands in its id, part by part
  const about = new Set(step?.split(/[/:]/));
  const of = ({ part }: Part) => about.has(part.mark) || about.has(part.mark.split('~')[0]!);
  const first = parts.find((part) => of(part) && about.has(part.film.id)) ?? parts.find(of) ?? parts[0];
  return first && { film: first.film.id, mark: first.part.mark, name: first.part.name, copies: 1, shapes: [] };
}

/** The event of what was lost, as it is written. */
export function lostEvent(parts: readonly Part[], { film, mark, name, copies, shapes }: Lost) {
  const region = parts.find((one) => one.film.id === film && one.part.mark === mark)?.part.region ?? [];
  const middles = shapeMiddles(region);
  const picked = shapes.length === 0 || shapes.length === region.length ? undefined : shapes.map((i) => middles[i]!);
  return { film, mark, name, copies, ...(picked ? { shapes: picked.map(([x, y]) => ({ x, y })) } : {}) };
}

/** Tap what was lost on the drawing, as it lies on the liner; and say of how many copies. */
export function LostPicker({ parts, lost, onChange }: { parts: readonly Part[]; lost: Lost; onChange: (lost: Lost) => void }) {
  const at = Math.max(
    0,
    parts.findIndex(({ film, part }) => film.id === lost.film && part.mark === lost.mark),
  );
  const own = parts[at];
  const paths = useMemo(() => (own?.part.region ?? []).map((part) => regionPath([part])), [own]);
  if (!own) return null;
  const { film, part } = own;
  const picked = new Set(lost.shapes);
  const tappable = !part.pen && part.region.length > 1 && part.region.length <= MOST_TAPPED;
  const toggle = (i: number) =>
    onChange({ ...lost, shapes: picked.has(i) ? lost.shapes.filter((one) => one !== i) : [...lost.shapes, i].toSorted((a, b) => a - b) });
  const whole = picked.size === 0 || !tappable;
  return (
    <div className="flex flex-col gap-2">
      {parts.length > 1 && (
        <label className="text-[0.95rem]">
          Of{' '}
          <select
            className="select select-sm max-w-full w-auto"
            aria-label="Which film of which mark"
            value={at}
            onChange={(event) => {
              const next = parts[Number(event.target.value)]!;
              onChange({ film: next.film.id, mark: next.part.mark, name: next.part.name, copies: 1, shapes: [] });
            }}
          >
            {parts.map((one, i) => (
              <option key={`${one.film.id} ${one.part.mark}`} value={i}>
                {parts.some((other) => other !== one && other.part.name === one.part.name && other.film === one.film)
                  ? `${one.part.name}, part ${i + 1}, ${one.film.name}`
                  : `${one.part.name}, ${one.film.name}`}
              </option>
            ))}
          </select>
        </label>
      )}
      <Scaled box={growBox(boxOf(part.region), 3)} className="border-base-300 h-40 rounded border" label={`What was lost of ${part.name}`}>
        <InMm>
          {paths.map((d, i) => (
            <path
              key={i}
              d={d}
              fillRule="evenodd"
              fill={whole || picked.has(i) ? 'var(--color-error)' : film.colour}
              stroke="var(--color-base-content)"
              strokeWidth={0.9}
              vectorEffect="non-scaling-stroke"
              {...(tappable
                ? {
                    role: 'checkbox',
                    'aria-checked': picked.has(i),
                    'aria-label': `Shape ${i + 1}`,
                    tabIndex: 0,
                    className: 'cursor-pointer',
                    onClick: () => toggle(i),
                    onKeyDown: (event: KeyboardEvent) => {
                      if (event.key !== ' ' && event.key !== 'Enter') return;
                      event.preventDefault();
                      toggle(i);
                    },
                  }
                : {})}
            />
          ))}
        </InMm>
      </Scaled>
      <p className="quiet text-sm">
        {!tappable
          ? 'All of it is cut again.'
          : whole
            ? 'Drawn as it lies on the liner. All of it is lost; tap the letters or dots, if it is only some.'
            : `${picked.size} of ${part.region.length} shapes lost. Red is cut again.`}
      </p>
      {part.copies > 1 && (
        <label className="text-[0.95rem]">
          On{' '}
          <input
            type="number"
            className="input input-sm w-20"
            aria-label="Copies that lost it"
            min={1}
            max={part.copies}
            value={lost.copies}
            onChange={(event) => {
              const copies = Math.round(Number(event.target.value));
              onChange({ ...lost, copies: Math.min(part.copies, Math.max(1, Number.isFinite(copies) ? copies : 1)) });
            }}
          />{' '}
          of {part.copies} copies
        </label>
      )}
    </div>
  );
}
