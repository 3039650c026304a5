import type { ReactNode } from 'react';
import { removeAt, setAt, type Edit, type Mark, type Scalar } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import type { StationProps } from '../../frame/station';
import { newId } from '../../storage/newId';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import type { Brought } from './BroughtShape';
import { CHANGE_KINDS, CHANGES, type ChangeKind } from './changes';

/** What is wanted of the mark, one entry a change; each can be changed, moved or taken away, and the artwork itself stays as it is. */
export function ShapingCard({ mark, plan, shop, edit }: { mark: Mark; plan: MarkPlan | undefined } & Pick<StationProps, 'shop' | 'edit'>) {
  const films = shop.films.map((f) => ({ value: f.id, label: f.name }));
  const add = (kind: ChangeKind | '') => {
    if (!kind) return;
    const { width, height } = plan?.fitted ?? { width: 80, height: 40 };
    const some = Math.max(1, Math.round(Math.min(width, height) * 0.12));
    const other = shop.films.find((f) => f.id !== mark.film && f.kind === 'permanent') ?? shop.films[0];
    const zone = plan?.usable.inner ?? plan?.usable.clear;
    const change = { id: newId(), kind, ...CHANGES[kind].begin({ some, other, zone, mark }) };
    edit(
      () => setAt(['marks', mark.id, 'edits', change.id], change),
      CHANGES[kind].label.replace(/^./, (c) => c.toUpperCase()),
    );
  };
  const said = (change: Edit): ReactNode => {
    const set = (field: string, value: Scalar) => edit(setAt(['marks', mark.id, 'edits', change.id, field], value), 'Change the mark');
    const clear = (field: string) => edit(removeAt(['marks', mark.id, 'edits', change.id, field]), 'Change the mark');
    const bring = ({ name, path, fill, shelf }: Brought) => {
      const at = ['marks', mark.id, 'edits', change.id];
      return edit(
        () => [
          ...setAt([...at, 'name'], name),
          ...setAt([...at, 'path'], path),
          ...setAt([...at, 'fill'], fill),
          ...(shelf === undefined ? removeAt([...at, 'shelf']) : setAt([...at, 'shelf'], shelf)),
        ],
        'Choose the shape',
      );
    };
    const shelf = shop.shelf ?? [];
    const length = (label: string, field: string, value: number, least = 0) => (
      <LengthWord label={label} value={value} system={shop.lengths} least={least} onChange={(mm) => set(field, mm)} />
    );
    // the row and the change are of one kind, which the type of a table cannot say
    return (CHANGES[change.kind].words as (said: object) => ReactNode)({
      change,
      films,
      system: shop.lengths,
      set,
      clear,
      bring,
      shelf,
      length,
    });
  };
  const move = (id: string, by: -1 | 1) =>
    edit((saved) => {
      const edits = [...(saved.marks.find((m) => m.id === mark.id)?.edits ?? [])];
      const index = edits.findIndex((change) => change.id === id);
      const [one] = index < 0 ? [] : edits.splice(index, 1);
      if (one) edits.splice(Math.max(0, index + by), 0, one);
      return setAt(['marks', mark.id, 'edits'], edits);
    }, 'Move a change');
  return (
    <section aria-label="Change the mark" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-auto text-[0.98rem] font-bold">Change the mark</h2>
        <Choice
          label="Add a change"
          value=""
          options={[
            { value: '' as ChangeKind | '', label: 'I want to …' },
            ...CHANGE_KINDS.map((kind) => ({ value: kind, label: CHANGES[kind].label })),
          ]}
          onChange={add}
        />
      </div>
      {mark.edits.length === 0 && (
        <p className="quiet text-sm">As it is drawn. What you ask for stands here, and can be changed or taken away at any time.</p>
      )}
      {mark.edits.map((change, i) => (
        <div key={change.id} className="border-base-300 flex items-start gap-1 border-b py-0.5 last:border-0">
          <Sentence className="flex-1 text-[0.97rem]!">{said(change)}.</Sentence>
          {mark.edits.length > 1 && (
            <>
              <button
                type="button"
                className="btn btn-sm btn-ghost px-2"
                aria-label="Do it earlier"
                disabled={i === 0}
                onClick={() => move(change.id, -1)}
              >
                ↑
              </button>
              <button
                type="button"
                className="btn btn-sm btn-ghost px-2"
                aria-label="Do it later"
                disabled={i === mark.edits.length - 1}
                onClick={() => move(change.id, 1)}
              >
                ↓
              </button>
            </>
          )}
          <button
            type="button"
            className="btn btn-sm btn-ghost px-2"
            aria-label="Take it away"
            onClick={() => edit(removeAt(['marks', mark.id, 'edits', change.id]), 'Take a change away')}
          >
            ✕
          </button>
        </div>
      ))}
    </section>
  );
}
