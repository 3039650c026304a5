import { useState } from 'react';
import { Link } from 'react-router';
import { quoteOf, quoteText, type Cost, type QuoteItem } from '@kolleta/core/cost';
import { TECHNIQUES } from '@kolleta/core/facts';
import { setAt, type Job, type Shop } from '@kolleta/core/job';
import { formatDate } from '@kolleta/core/schedule';
import { counted } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { copyText } from '../../storage/copyText';
import { download, fileName } from '../../storage/download';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';
import { Choice, Sentence, TextWord } from '../../ui/tokens';
import { askPrice } from '../../workers/pricing';
import { usePlan } from '../../workers/usePlan';
import type { StationProps } from '../../frame/station';

/** How a job is made, for its client: "decal in white gloss". */
function madeOf(job: Job, shop: Shop): string {
  const ways = [...new Set(job.marks.map(({ technique }) => TECHNIQUES[technique].name))];
  const films = [
    ...new Set(
      job.marks.flatMap(({ technique, film, colourFilms }) =>
        TECHNIQUES[technique].filmStays
          ? [film, ...Object.values(colourFilms)].flatMap((id) => shop.films.find((one) => one.id === id)?.name ?? [])
          : [],
      ),
    ),
  ];
  return `${ways.join(' and ')}${films.length > 0 ? ` in ${films.slice(0, 4).join(', ').toLowerCase()}` : ''}`;
}

/** The lines for a client: of this job, and of the others of its order. */
export function QuoteCard({ job, shop, edit, cost }: Pick<StationProps, 'job' | 'shop' | 'edit'> & { cost: Cost }) {
  const { jobs, events } = useWorkshop();
  const tell = useTell();
  const whole = usePlan();
  const [kind, setKind] = useState<'quote' | 'invoice'>('quote');
  const [busy, setBusy] = useState(false);
  const others = job.order === undefined || job.order === '' ? [] : jobs.filter((one) => one.id !== job.id && one.order === job.order);
  const item = (one: Job, own: Cost): QuoteItem => ({ name: one.name, piece: one.piece.name, made: madeOf(one, shop), cost: own });
  const taxPercent = shop.pricing?.tax ?? 0;
  const own = quoteOf([item(job, cost)], taxPercent);
  const linesOf = async (): Promise<{ quote: ReturnType<typeof quoteOf>; text: string[] }> => {
    const rest: QuoteItem[] = [];
    for (const other of others) {
      const priced = await askPrice(other, shop, events);
      if (priced) rest.push(item(other, priced.cost));
    }
    const quote = quoteOf([item(job, cost), ...rest], taxPercent);
    const packed = [job, ...others].map(({ id }) => whole?.jobs.get(id)?.schedule.packed);
    const ready = packed.every((at) => at !== undefined) ? formatDate(Math.max(...(packed as number[])), shop.hours.zone) : undefined;
    const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: shop.hours.zone }).format(now());
    return { quote, text: quoteText(quote, { kind, maker: shop.name, client: job.client, day, ready, currency: shop.currency }) };
  };
  const run = async (what: (made: Awaited<ReturnType<typeof linesOf>>, title: string) => Promise<void>) => {
    setBusy(true);
    try {
      await what(await linesOf(), `${job.order || job.name}, ${kind}`);
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="sheet px-4 py-3" aria-label="For the client">
      <h2 className="text-[0.98rem] font-bold">For the client</h2>
      <Sentence>
        A{' '}
        <Choice
          label="What it is for the client"
          value={kind}
          options={[
            { value: 'quote', label: 'quote' },
            { value: 'invoice', label: 'invoice' },
          ]}
          onChange={(value) => {
            setKind(value);
            return Promise.resolve(0);
          }}
        />{' '}
        for{' '}
        <TextWord
          label="Client of the quote"
          value={job.client}
          empty="no client"
          onChange={(client) => edit(setAt(['client'], client), 'Name the client')}
        />
        , order{' '}
        <TextWord
          label="Order"
          value={job.order ?? ''}
          empty="by itself"
          onChange={(order) => edit(setAt(['order'], order), 'Name the order')}
        />
        .
      </Sentence>
      <p className="text-[0.92rem]">{own.lines[0]!.text}.</p>
      {others.length > 0 && (
        <p className="text-[0.92rem]">
          With {counted(others.length, 'other job')} of the order:{' '}
          {others.map((one, i) => (
            <span key={one.id}>
              {i > 0 ? ', ' : ''}
              <Link className="underline" to={`/job/${one.id}/price`}>
                {one.name}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={busy}
          onClick={() =>
            void run(async ({ text, quote }, title) => {
              const { pdfQuote } = await import('./pdfQuote');
              download(`${fileName(title)}.pdf`, await pdfQuote(text, quote, shop.currency), 'application/pdf');
            })
          }
        >
          {busy ? 'Making it…' : 'Save as PDF'}
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline"
          disabled={busy}
          onClick={() =>
            void run(async ({ text }, title) => {
              if (await copyText(`${text.join('\n')}\n`, title)) tell(`The ${kind} is copied.`);
            })
          }
        >
          Copy as text
        </button>
      </div>
    </section>
  );
}
