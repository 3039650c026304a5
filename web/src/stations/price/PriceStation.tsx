import type { CostLine } from '@kolleta/core/cost';
import { pieceOf } from '@kolleta/core/cost';
import { PRICING } from '@kolleta/core/facts';
import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { materialWords, type CheaperWay } from '@kolleta/core/plan';
import { counted, formatDuration, formatMoney } from '@kolleta/core/units';
import { useState } from 'react';
import { Link } from 'react-router';
import { editShop } from '../../storage/editShop';
import { plainly } from '../../storage/plainly';
import { AmountWord, CountWord, MoneyWord, Sentence } from '../../ui/tokens';
import { useCheaper, usePriced } from '../../workers/pricing';
import { DrawingHead, StationLayout, type StationProps } from '../../frame/station';
import { PriceStrip } from './PriceStrip';
import { QuoteCard } from './QuoteCard';
import { ReportCard } from './ReportCard';

/** No job has more pieces. */
const MOST_RUN = 500;
type Pricing = NonNullable<Shop['pricing']>;
const usual: Pricing = { overhead: PRICING.overhead, margin: PRICING.margin, tax: PRICING.tax, knifeMetre: PRICING.knifeMetre };

/** How much of something a line is for. */
function quantityWords({ kind, quantity, unit }: CostLine, shop: Shop): string {
  switch (kind) {
    case 'hands':
      return formatDuration(quantity);
    case 'cutter':
      return `${(quantity / 1000).toFixed(1)} m of cutting`;
    case 'blank':
      return counted(quantity, 'piece');
    case 'film':
    case 'tape':
    case 'paint':
    case 'supply':
    case 'trimming':
      return materialWords({ kind, quantity, ...(unit ? { unit } : {}) }, shop.lengths);
    default:
      return `${Math.round(quantity * 10) / 10} %`;
  }
}

/** The parts of a price, with how much of each. */
function Parts({ lines, count, shop }: { lines: readonly CostLine[]; count: number; shop: Shop }) {
  const money = (amount: number) => formatMoney(amount, shop.currency);
  return (
    <div className="overflow-x-auto px-2">
      <table className="table-sm table">
        <thead className="text-base-content">
          <tr>
            <th scope="col">What it is for</th>
            <th scope="col">How much</th>
            <th scope="col" className="text-right">
              {count > 1 ? `All ${count}` : 'Amount'}
            </th>
            {count > 1 && (
              <th scope="col" className="text-right">
                Each
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={`${line.kind}${line.name}`}>
              <th scope="row" className="font-normal">
                {line.name}
              </th>
              <td className="quiet">{quantityWords(line, shop)}</td>
              <td className="measure text-right">{line.unpriced ? 'no price' : money(line.amount)}</td>
              {count > 1 && <td className="measure text-right">{line.unpriced ? '' : money(Math.round(line.amount / count))}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What would make it cheaper, each with what it saves. */
function Cheaper({
  ways,
  failed,
  job,
  count,
  currency,
  edit,
}: { ways: readonly CheaperWay[] | undefined; failed: Error | null; job: string; count: number; currency: string } & Pick<
  StationProps,
  'edit'
>) {
  return (
    <section className="sheet px-4 py-3" aria-label="What would make it cheaper">
      <h2 className="text-[0.98rem] font-bold">What would make it cheaper</h2>
      {!ways ? (
        <p className="text-[0.92rem]">{failed ? plainly(failed) : 'Trying it otherwise…'}</p>
      ) : ways.length === 0 ? (
        <p className="text-[0.92rem]">Nothing that was tried: lifting it otherwise, a tenth smaller, another technique.</p>
      ) : (
        <ul className="flex flex-col gap-1.5">
          {ways.map(({ label, less, patch }) => (
            <li key={label} className="flex flex-wrap items-center gap-2">
              {patch.length > 0 ? (
                <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => void edit(() => patch, label)}>
                  {label}
                </button>
              ) : (
                <Link className="btn btn-sm btn-outline btn-primary" to={`/job/${job}/cut`}>
                  {label}
                </Link>
              )}
              <span className="text-[0.92rem]">
                saves <strong className="measure">{formatMoney(less, currency)}</strong>
                {count > 1 ? `, ${formatMoney(Math.floor(less / count), currency)} a piece` : ''}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What a job costs and is to be sold for, where it goes, and what would make it cheaper. */
export function PriceStation({ job, plan, shop, edit }: StationProps) {
  const [asked, setAsked] = useState<number>(PRICING.run);
  // beyond its list pieces have no words: they would cost too little
  const run = job.list ? undefined : asked;
  const { priced, busy, error } = usePriced(job, run);
  const cheaper = useCheaper(job);
  const money = (amount: number) => formatMoney(amount, shop.currency);
  const pricing = shop.pricing ?? usual;
  const price = (part: Partial<Pricing>) =>
    editShop((saved) => setAt(['pricing'], { ...(saved.pricing ?? usual), ...part }), 'Change how prices are made');
  const cost = priced?.cost;
  const unpriced = cost?.lines.filter((line) => line.unpriced) ?? [];
  const drawing = cost ? (
    <>
      <DrawingHead title="Where the price goes" text={`for a piece, to one scale; as if nothing of it were done yet`} />
      <div className={busy ? 'opacity-60' : ''} aria-busy={busy}>
        <PriceStrip cost={cost} one={priced.one} run={priced.run} currency={shop.currency} />
        <Parts lines={cost.lines} count={cost.count} shop={shop} />
      </div>
    </>
  ) : (
    <p className="m-auto max-w-sm p-6">
      {error ? plainly(error) : busy ? 'Working it out…' : 'There is nothing to price yet: give the piece a mark that is cut.'}
    </p>
  );
  return (
    <StationLayout title="Price" drawing={drawing}>
      <div className="sheet px-4 py-3" aria-live="polite">
        <p className="measure text-2xl font-semibold">{cost ? money(pieceOf(cost)) : '–'}</p>
        <p>
          {cost
            ? `${cost.count === 1 ? 'for the piece' : `each, ${money(pieceOf(cost) * cost.count)} for all ${cost.count}`}${cost.tax > 0 ? `, ${money(cost.tax)} of it tax` : ''}.`
            : busy
              ? 'Working it out…'
              : 'No price yet.'}
          {cost && priced.one && cost.count > 1 ? ` Made alone, one would be ${money(pieceOf(priced.one))}.` : ''}
        </p>
        {cost && run !== undefined && (
          <Sentence>
            A run of{' '}
            <CountWord
              label="Pieces of another run"
              value={asked}
              least={1}
              most={MOST_RUN}
              onChange={(count) => {
                setAsked(count);
                return Promise.resolve(0);
              }}
            />{' '}
            {priced.run?.count === asked
              ? `would be ${money(pieceOf(priced.run))} each, ${money(pieceOf(priced.run) * asked)} in all.`
              : 'is being worked out…'}
          </Sentence>
        )}
        {unpriced.length > 0 && (
          <p className="border-accent mt-1.5 border-l-4 pl-2 text-[0.9rem]">
            Not counted, for want of a price in your{' '}
            <Link className="underline" to="/stock">
              stock
            </Link>
            : {unpriced.map(({ name }) => name).join(', ')}.
          </p>
        )}
      </div>
      <div className="sheet px-4 py-3">
        <Sentence>
          A blank piece costs{' '}
          <MoneyWord
            label="Blank piece"
            value={job.blank ?? 0}
            currency={shop.currency}
            onChange={(blank) => edit(blank === 0 ? removeAt(['blank']) : setAt(['blank'], blank), 'Say what a blank costs')}
          />
          . An hour of work counts{' '}
          <Link className="underline" to="/workshop">
            {money(shop.rate)}
          </Link>
          . On top come overhead of{' '}
          <AmountWord label="Overhead" value={pricing.overhead} unit="%" most={500} onChange={(overhead) => price({ overhead })} />, a
          margin of <AmountWord label="Margin" value={pricing.margin} unit="%" most={500} onChange={(margin) => price({ margin })} /> and
          tax of <AmountWord label="Tax" value={pricing.tax} unit="%" most={100} onChange={(tax) => price({ tax })} />. A hundred metres of
          cutting wear blades and cutter by{' '}
          <MoneyWord
            label="Wear of a hundred metres"
            value={Math.round(pricing.knifeMetre / 10)}
            currency={shop.currency}
            onChange={(hundred) => price({ knifeMetre: hundred * 10 })}
          />
          .
        </Sentence>
      </div>
      {cost && <Cheaper ways={cheaper.ways} failed={cheaper.error} job={job.id} count={job.count} currency={shop.currency} edit={edit} />}
      {cost && <QuoteCard job={job} shop={shop} edit={edit} cost={cost} />}
      <ReportCard job={job} plan={plan} shop={shop} cost={cost} />
    </StationLayout>
  );
}
