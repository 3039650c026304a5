import { useState } from 'react';
import { SHEETS, type Sheet } from '@kolleta/core/fit';
import { careCards, careText } from '@kolleta/core/words';
import { copyText } from '../../storage/copyText';
import { download, fileName } from '../../storage/download';
import { plainly } from '../../storage/plainly';
import type { StationProps } from '../../frame/station';
import { useTell } from '../../ui/toasts';
import { Choice, Sentence } from '../../ui/tokens';

/** What goes along with each piece, as it will be printed; as cards on paper, or as text. */
export function CareCards({ job, plan, shop }: Pick<StationProps, 'job' | 'plan' | 'shop'>) {
  const tell = useTell();
  const [sheet, setSheet] = useState<Sheet['name']>('A4');
  const { care: waits, packed } = plan.schedule;
  const dates = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: shop.hours.zone,
  });
  const day = (at: number) => dates.format(at);
  const cards = careCards({ job, waits, ...(packed === undefined ? {} : { packed }), films: shop.films, maker: shop.name, day });
  // where all pieces are alike each gets the same card
  const each = cards.length === 1 ? Array.from({ length: job.count }, () => cards[0]!) : cards;
  const [first] = cards;
  if (!first) return null;
  const title = `${job.name}, care cards`;
  const savePdf = async () => {
    try {
      const { pdfCards } = await import('./pdfCards');
      download(`${fileName(title)}.pdf`, await pdfCards(each, title, sheet), 'application/pdf');
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const copy = async () => {
    if (await copyText(cards.map(careText).join('\n'), title)) tell(cards.length === 1 ? 'The card is copied.' : 'The cards are copied.');
  };
  return (
    <section aria-label="Care card" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">Goes with {job.count === 1 ? 'the piece' : 'each piece'}</h2>
      <div className="border-base-300 my-2 rounded border bg-white px-4 py-3 text-[0.93rem] leading-snug text-[#22302f]">
        <p className="font-bold">
          {first.title}
          {first.words ? `: ${first.words}` : ''}
        </p>
        {first.dates.map((date) => (
          <p key={date} className="font-semibold">
            {date}
          </p>
        ))}
        {[...first.care, ...first.off].map((line) => (
          <p key={line} className="mt-1">
            {line}
          </p>
        ))}
        <p className="mt-1 font-semibold">{first.maker}</p>
      </div>
      <Sentence className="text-[0.97rem]!">
        {each.length === 1 ? 'One card' : `${each.length} cards`} on{' '}
        <Choice
          label="Paper"
          value={sheet}
          options={(Object.keys(SHEETS) as Sheet['name'][]).map((value) => ({ value, label: value }))}
          onChange={setSheet}
        />
        .
      </Sentence>
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-primary" onClick={() => void savePdf()}>
          Save as PDF
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void copy()}>
          Copy as text
        </button>
      </div>
    </section>
  );
}
