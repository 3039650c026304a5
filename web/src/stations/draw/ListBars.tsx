import type { PieceList } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { formatLength } from '@kolleta/core/units';

/** One row's size against the widest, drawn. */
export function ListBars({
  plan,
  list,
  system,
  shown,
  onShow,
}: {
  plan: MarkPlan;
  list: PieceList;
  system: 'mm' | 'inch';
  shown: string | undefined;
  onShow: (row: string) => void;
}) {
  const widest = Math.max(...plan.variants.map((v) => v.fitted.width), 1);
  return (
    <ol className="max-h-64 overflow-y-auto" aria-label="The list as it fits">
      {list.rows.map((row) => {
        const v = plan.variants.find((one) => one.row === row.id);
        return (
          <li key={row.id}>
            <button
              type="button"
              aria-pressed={shown === row.id}
              className={`grid w-full grid-cols-[minmax(0,1fr)_5.5rem] items-center gap-2 rounded px-1 py-0.5 text-left text-sm ${shown === row.id ? 'bg-base-200' : ''}`}
              onClick={() => onShow(row.id)}
            >
              <span className="relative block truncate">
                {v && (
                  <span className="bg-primary absolute bottom-0 left-0 h-0.5" style={{ width: `${(100 * v.fitted.width) / widest}%` }} />
                )}
                {v?.words || row.cells.join(' ') || '(nothing)'}
                {v && v.missing.length > 0 && <span className="text-error"> — no {v.missing.join(' ')}</span>}
              </span>
              <span className="measure text-right text-[0.78rem]">
                {v ? (v.fitted.layers.length > 0 ? formatLength(v.fitted.width, system) : '–') : 'as all'}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
