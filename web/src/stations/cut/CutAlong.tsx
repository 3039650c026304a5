import { filmPrice, savedTogether, type FilmLayout } from '@kolleta/core/cut';
import type { JobId, Machine } from '@kolleta/core/job';
import { formatDuration, formatLength, formatMoney, listed, type LengthSystem } from '@kolleta/core/units';
import type { LayoutToCut } from './layoutToCut';
import { useTogether } from './useTogether';

interface Props {
  own: FilmLayout;
  ready: LayoutToCut['ready'];
  along: ReadonlySet<JobId>;
  machines: readonly Machine[];
  system: LengthSystem;
  currency: string;
  nameOf: (job: JobId) => string;
  onChange: (along: ReadonlySet<JobId>) => void;
}

/** No more jobs than this are offered at once. */
const MOST = 6;
/** Less than this saved, mm, is no reason to put jobs on one sheet. */
const LEAST_MM = 10;

/** Which jobs are on the sheet: this one alone to begin with, others that are ready as an offer with what it saves. */
export function CutAlong({ own, ready, along, machines, system, currency, nameOf, onChange }: Props) {
  const shown = ready.slice(0, MOST);
  const all = [own, ...shown.map(({ layout }) => layout)];
  const together = useTogether(all, { machines: [...machines] });
  if (shown.length === 0) return null;
  const on = shown.filter(({ job }) => along.has(job));
  const saved =
    together && together.parts.length === all.reduce((sum, { parts }) => sum + parts.length, 0) ? savedTogether(all, together) : 0;
  const minutes = together ? Math.round(all.reduce((sum, layout) => sum + layout.minutes, 0) - together.minutes) : 0;
  const price = filmPrice(own.film, saved);
  const names = listed(shown.map(({ job }) => nameOf(job)));
  return (
    <div className="sheet px-4 py-3 text-[0.92rem]" role="group" aria-label="On this sheet">
      {on.length === 0 ? (
        <p className="leading-snug">
          This job alone.{' '}
          {saved >= LEAST_MM ? (
            <>
              {names} would fit too: <strong className="measure">{formatLength(saved, system, { digits: 0 })} less film</strong>
              {price > 0 ? `, ${formatMoney(price, currency)}` : ''}
              {minutes > 0 ? ` and ${formatDuration(minutes)} at the cutter` : ''} less than one by one.
            </>
          ) : (
            `${names} could be cut from the same film.`
          )}
        </p>
      ) : (
        <p className="leading-snug">This job, with {listed(on.map(({ job }) => nameOf(job)))}.</p>
      )}
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {shown.map(({ job }) => (
          <label key={job} className="btn btn-sm btn-ghost border-base-300 gap-2 font-normal">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={along.has(job)}
              onChange={() => onChange(new Set(along.has(job) ? [...along].filter((id) => id !== job) : [...along, job]))}
            />
            {nameOf(job)}
          </label>
        ))}
        {shown.length > 1 && on.length < shown.length && (
          <button
            type="button"
            className="btn btn-sm btn-ghost border-base-300"
            onClick={() => onChange(new Set(shown.map(({ job }) => job)))}
          >
            All of them
          </button>
        )}
        {on.length > 0 && (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => onChange(new Set())}>
            This job alone
          </button>
        )}
      </div>
    </div>
  );
}
