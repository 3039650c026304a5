import { MOST_COPIES } from '@kolleta/core/artwork';
import { boxHeight, boxWidth, numbersFrom } from '@kolleta/core/geometry';
import { removeAt, setAt, type Change, type Edit, type Mark, type Plate, type Scalar, type Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { formatLength, good, refused, type LengthSystem } from '@kolleta/core/units';
import { newId } from '../../storage/newId';
import { Choice, CountWord, LengthWord, Sentence, Switch, Typed } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

type Kind = Change['kind'];

/** What is wanted of a mark, in the maker's words. */
const WANTS: { kind: Kind; label: string }[] = [
  { kind: 'oneOutline', label: 'make one outline' },
  { kind: 'showGround', label: 'let the ground show through' },
  { kind: 'backing', label: 'back it with another film' },
  { kind: 'silhouette', label: 'only the silhouette' },
  { kind: 'part', label: 'part it for a line' },
  { kind: 'frame', label: 'put a frame around it' },
  { kind: 'stretch', label: 'stretch it a little' },
  { kind: 'repeat', label: 'repeat it evenly' },
  { kind: 'scatter', label: 'scatter it' },
  { kind: 'thicken', label: 'thicken it' },
  { kind: 'dropSmall', label: 'drop small parts' },
];

const PLATES: { value: Plate; label: string }[] = [
  { value: 'box', label: 'a plain plate' },
  { value: 'rounded', label: 'a plate with rounded corners' },
  { value: 'ellipse', label: 'an oval' },
];

/** What a change begins with on a mark of this size. */
function beginning(kind: Kind, plan: MarkPlan | undefined, mark: Mark, shop: Shop): Change {
  const { width, height } = plan?.fitted ?? { width: 80, height: 40 };
  const some = Math.max(1, Math.round(Math.min(width, height) * 0.12));
  const other = shop.films.find((f) => f.id !== mark.film && f.kind === 'permanent') ?? shop.films[0];
  const zone = plan?.usable.inner ?? plan?.usable.clear;
  switch (kind) {
    case 'thicken':
      return { kind, by: 0.2 };
    case 'dropSmall':
      return { kind, below: 3, fillBelow: 1 };
    case 'oneOutline':
      return { kind, gap: 0.5 };
    case 'showGround':
      return { kind, plate: 'rounded', margin: some };
    case 'backing':
      return { kind, film: other?.id ?? mark.film, by: Math.max(1, Math.round(some / 2)) };
    case 'silhouette':
      return { kind };
    case 'part':
      return { kind, at: 0.5, gap: some };
    case 'frame':
      return { kind, plate: 'rounded', margin: some, width: Math.max(1.5, Math.round(some / 3)) };
    case 'stretch':
      return { kind, across: 1.1, up: 1 };
    case 'repeat':
      return { kind, across: 3, up: 1, gap: some };
    case 'scatter':
      return { kind, count: 12, width: Math.round(zone ? boxWidth(zone) : 200), height: Math.round(zone ? boxHeight(zone) : 100), least: 5, turn: true, over: false, seed: 1 }; // prettier-ignore
  }
}

const percent = (label: string, least: number, most: number) => (text: string) => {
  const n = Number(text.replace(',', '.').replace('%', '').trim());
  return Number.isFinite(n) && n >= least && n <= most
    ? good(n / 100)
    : refused(`"${text}" does not fit here.`, `${least} to ${most} %`, label, `Type a number from ${least} to ${most}.`);
};
const areaWord = (label: string) => (text: string) => {
  const n = Number(text.replace(',', '.').replace('mm²', '').trim());
  return Number.isFinite(n) && n >= 0 && n <= 10_000
    ? good(n)
    : refused(`"${text}" is no area.`, '0 to 10,000 mm²', label, 'Type mm², as in 3.');
};

interface EntryProps {
  change: Edit;
  films: readonly { value: string; label: string }[];
  system: LengthSystem;
  set: (field: string, value: Scalar) => void;
}

/** So many copies one way, where there are so many the other way. */
const mostBy = (other: number) => Math.max(1, Math.min(60, Math.floor(MOST_COPIES / other)));

/** One change as a sentence. */
function Entry({ change, films, system, set }: EntryProps) {
  const length = (label: string, field: string, value: number, least = 0) => (
    <LengthWord label={label} value={value} system={system} least={least} onChange={(mm) => set(field, mm)} />
  );
  switch (change.kind) {
    case 'thicken':
      return (
        <>
          {change.by < 0 ? 'Slimmed' : 'Thickened'} by{' '}
          <Typed
            label="Thicken by"
            shown={formatLength(change.by, system, { digits: 2 })}
            read={(text) => {
              const n =
                Number(
                  text
                    .replace(',', '.')
                    .replace(/mm|in|"/g, '')
                    .trim(),
                ) * (/in|"/.test(text) ? 25.4 : 1);
              return Number.isFinite(n) && Math.abs(n) <= 5
                ? good(n)
                : refused(`"${text}" does not fit here.`, '−5 to 5 mm', 'Thicken', 'Type mm a side, as in 0.2; below 0 it is slimmed.');
            }}
            onChange={(by) => set('by', by)}
          />{' '}
          a side
        </>
      );
    case 'dropSmall':
      return (
        <>
          Parts under{' '}
          <Typed label="Drop parts under" shown={`${change.below} mm²`} read={areaWord('Parts')} onChange={(v) => set('below', v)} />{' '}
          dropped, counters under{' '}
          <Typed
            label="Fill counters under"
            shown={`${change.fillBelow} mm²`}
            read={areaWord('Counters')}
            onChange={(v) => set('fillBelow', v)}
          />{' '}
          filled
        </>
      );
    case 'oneOutline':
      return <>One outline, gaps under {length('Gaps under', 'gap', change.gap)} closed</>;
    case 'showGround':
      return (
        <>
          Taken out of <Choice label="Plate" value={change.plate} options={PLATES} onChange={(v) => set('plate', v)} />{' '}
          {length('Margin of the plate', 'margin', change.margin)} larger, so that the ground shows through
        </>
      );
    case 'backing':
      return (
        <>
          Backed with <Choice label="Film of the backing" value={change.film} options={films} onChange={(v) => set('film', v)} />,{' '}
          {length('Backing larger by', 'by', change.by)} larger all round
        </>
      );
    case 'silhouette':
      return <>Only the silhouette: counters filled</>;
    case 'part':
      return (
        <>
          Parted by {length('Gap', 'gap', change.gap)} at{' '}
          <Typed
            label="Parted at"
            shown={`${Math.round(change.at * 100)} %`}
            read={percent('Height', 1, 99)}
            onChange={(v) => set('at', v)}
          />{' '}
          of its height
        </>
      );
    case 'frame':
      return (
        <>
          Framed by <Choice label="Frame" value={change.plate} options={PLATES} onChange={(v) => set('plate', v)} />{' '}
          {length('Frame off the mark', 'margin', change.margin)} off, a line of {length('Width of the frame', 'width', change.width, 0.1)}
        </>
      );
    case 'stretch':
      return (
        <>
          Stretched to{' '}
          <Typed
            label="Across, percent"
            shown={`${Math.round(change.across * 100)} %`}
            read={percent('Across', 20, 500)}
            onChange={(v) => set('across', v)}
          />{' '}
          across and{' '}
          <Typed
            label="Up, percent"
            shown={`${Math.round(change.up * 100)} %`}
            read={percent('Up', 20, 500)}
            onChange={(v) => set('up', v)}
          />{' '}
          up
        </>
      );
    case 'repeat':
      return (
        <>
          Repeated <CountWord label="Across" value={change.across} most={mostBy(change.up)} onChange={(v) => set('across', v)} /> across by{' '}
          <CountWord label="Up" value={change.up} most={mostBy(change.across)} onChange={(v) => set('up', v)} /> up,{' '}
          {length('Apart', 'gap', change.gap)} apart
        </>
      );
    case 'scatter':
      return (
        <>
          <CountWord label="Count" value={change.count} most={300} onChange={(v) => set('count', v)} /> scattered over{' '}
          {length('Width of the field', 'width', change.width, 1)} by {length('Height of the field', 'height', change.height, 1)}, at least{' '}
          {length('Least distance', 'least', change.least)} apart,{' '}
          <Switch label="Turned" on={change.turn} yes="turned anyhow" no="upright" onChange={(v) => set('turn', v)} />,{' '}
          <Switch label="Over the edge" on={change.over} yes="also over the edge" no="inside the edge" onChange={(v) => set('over', v)} />
          {'; '}
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300"
            onClick={() => set('seed', Math.floor(numbersFrom(change.seed + 7)() * 1e9))}
          >
            Throw again
          </button>
        </>
      );
  }
}

/** What is wanted of the mark, one entry a change; each can be changed, moved or taken away, and the artwork itself stays as it is. */
export function ShapingCard({ mark, plan, shop, edit }: { mark: Mark; plan: MarkPlan | undefined } & Pick<StationProps, 'shop' | 'edit'>) {
  const films = shop.films.map((f) => ({ value: f.id, label: f.name }));
  const add = (kind: Kind | '') => {
    if (!kind) return;
    const change = { id: newId(), ...beginning(kind, plan, mark, shop) };
    edit(
      () => setAt(['marks', mark.id, 'edits', change.id], change),
      WANTS.find((w) => w.kind === kind)!.label.replace(/^./, (c) => c.toUpperCase()),
    );
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
    <section aria-label="What is wanted of it" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-auto text-[0.98rem] font-bold">What is wanted of it</h2>
        <Choice
          label="Add a change"
          value=""
          options={[{ value: '' as Kind | '', label: 'I want to …' }, ...WANTS.map(({ kind, label }) => ({ value: kind, label }))]}
          onChange={add}
        />
      </div>
      {mark.edits.length === 0 && (
        <p className="quiet text-sm">As it is drawn. What you ask for stands here, and can be changed or taken away at any time.</p>
      )}
      {mark.edits.map((change, i) => (
        <div key={change.id} className="border-base-300 flex items-start gap-1 border-b py-0.5 last:border-0">
          <Sentence className="flex-1 text-[0.97rem]!">
            <Entry
              change={change}
              films={films}
              system={shop.lengths}
              set={(field, value) => edit(setAt(['marks', mark.id, 'edits', change.id, field], value), 'Change what is wanted')}
            />
            .
          </Sentence>
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
