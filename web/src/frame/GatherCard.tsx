import { gatherText, gatherWords, type GatherItem } from '@kolleta/core/gather';
import type { Job, Shop } from '@kolleta/core/job';
import { counted, formatMoney } from '@kolleta/core/units';
import { editJob } from '../storage/editJob';
import { copyText } from '../storage/copyText';
import { useTell } from '../ui/toasts';
import { VerdictMark } from '../ui/Verdict';

const VERDICTS = { there: 'fine', short: 'watch', unlisted: 'watch', missing: 'stop' } as const;

/** What a list of things to gather comes to, in a line. */
function gatherSum(items: readonly GatherItem[], currency: string): string {
  const of = (verdict: GatherItem['verdict']) => items.filter((item) => item.verdict === verdict).length;
  const price = items.reduce((sum, { toBuy = 0 }) => sum + toBuy, 0);
  const [missing, short, unlisted] = [of('missing'), of('short'), of('unlisted')];
  if (items.length === 0) return 'Nothing to gather: all of it is used already.';
  if (missing + short + unlisted === 0) return items.length === 1 ? 'It is there.' : `All ${items.length} things are there.`;
  const parts = [
    ...(missing > 0 ? [`${counted(missing, 'thing')} to buy`] : []),
    ...(short > 0 ? [`${short} running short`] : []),
    ...(unlisted > 0 ? [`${unlisted} not in your stock list`] : []),
  ];
  return `${parts.join(', ')}${price > 0 ? `, about ${formatMoney(price, currency)}` : ''}.`;
}

/** The things to lay ready for jobs, ticked off as they are; what is ticked is kept with the jobs. */
export function GatherCard({
  title,
  items,
  jobs,
  shop,
  fold = false,
}: {
  title: string;
  items: readonly GatherItem[];
  jobs: readonly Job[];
  shop: Shop;
  /** What is there is folded away. */
  fold?: boolean;
}) {
  const tell = useTell();
  const format = { lengths: shop.lengths, currency: shop.currency };
  const isDone = (item: GatherItem) => item.jobs.every((id) => jobs.find((job) => job.id === id)?.gathered?.includes(item.key));
  const done = new Set(items.filter(isDone).map(({ key }) => key));
  const tick = (item: GatherItem, on: boolean) => {
    for (const id of item.jobs)
      void editJob(
        id,
        (saved) => {
          const others = (saved.gathered ?? []).filter((key) => key !== item.key);
          return [{ op: 'set', path: ['gathered'], value: on ? [...others, item.key] : others }];
        },
        on ? 'Lay ready' : 'Put back',
      );
  };
  const text = () => gatherText(title, items, format, done);
  const copy = async () => {
    if (await copyText(text(), title)) tell('The list is copied.');
  };
  const there = items.filter(({ verdict }) => verdict === 'there');
  const row = (item: GatherItem) => {
    const { needed, state } = gatherWords(item, format);
    const names = item.jobs.map((id) => jobs.find((job) => job.id === id)?.name).filter(Boolean);
    return (
      <li key={item.key} className="border-base-300/60 border-b last:border-0">
        <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1.5">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={done.has(item.key)}
            onChange={(event) => tick(item, event.target.checked)}
          />
          <VerdictMark verdict={VERDICTS[item.verdict]} size={15} />
          <span className={`min-w-0 flex-1 leading-snug ${done.has(item.key) ? 'line-through opacity-70' : ''}`}>
            <strong>{item.name}</strong> <span className="measure text-[0.94em]">{needed}</span>{' '}
            {item.verdict !== 'there' && <span>— {state}</span>}
            {jobs.length > 1 && <span className="quiet block text-[0.86rem]">{names.join(', ')}</span>}
          </span>
        </label>
      </li>
    );
  };
  return (
    <section aria-label={title} className="sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-[1.02rem] font-bold">{title}</h2>
        <span className="text-[0.95rem]">{gatherSum(items, shop.currency)}</span>
      </div>
      <ul className="mt-1">{(fold ? items.filter(({ verdict }) => verdict !== 'there') : items).map(row)}</ul>
      {fold && there.length > 0 && (
        <details>
          <summary className="cursor-pointer py-1.5 text-[0.95rem]">
            {there.length === items.length ? 'What it needs' : `${there.length} more ${there.length === 1 ? 'is' : 'are'} there`}
          </summary>
          <ul>{there.map(row)}</ul>
        </details>
      )}
      {items.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2 print:hidden">
          <button type="button" className="btn btn-sm btn-outline" onClick={() => void copy()}>
            Copy as text
          </button>
          <button type="button" className="btn btn-sm btn-outline" onClick={() => window.print()}>
            Print
          </button>
        </div>
      )}
    </section>
  );
}
