import { useState } from 'react';
import { diameterAt } from '@kolleta/core/blanks';
import { BLANK_KINDS, BLANKS, GROUNDS, type Blank } from '@kolleta/core/facts';
import { blankForFilm } from '@kolleta/core/fit';
import { setAt, type Shop } from '@kolleta/core/job';
import { counted, formatLength } from '@kolleta/core/units';
import { FrontView } from '../../drawing/FrontView';
import { editShop } from '../../storage/editShop';
import { takeAway } from '../../storage/takeAway';
import { TextWord } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';
import { pieceOf } from '../newJob';

type Kind = keyof typeof BLANK_KINDS;
/** The tallest blank of a shelf is drawn this high, pixels. */
const TALL_PX = 120;
const MOST_SCALE = 0.6;

const wide = ({ shape }: Blank) => (shape.kind === 'flat' ? shape.width : Math.max(diameterAt(shape, 0), diameterAt(shape, shape.height)));

/** A blank of one's own is renamed and taken away where it stands. */
function OwnBlankWords({ blank }: { blank: Blank }) {
  const tell = useTell();
  const remove = async () => {
    const back = await takeAway('blanks', blank.id, blank.name);
    tell(`${blank.name} is off the shelf.`, { action: { label: 'Undo', run: () => void back() } });
  };
  return (
    <span className="mt-1 flex items-center justify-center gap-1 text-sm">
      <TextWord
        label={`Name of the blank ${blank.name}`}
        value={blank.name}
        onChange={(name) => editShop(setAt(['blanks', blank.id, 'name'], name), 'Name a blank')}
      />
      <button type="button" className="btn btn-xs btn-ghost" aria-label={`Take ${blank.name} off the shelf`} onClick={() => void remove()}>
        ✕
      </button>
    </span>
  );
}

/** Blanks to begin a job with, shelf by shelf, each shelf to one scale, and whether film holds on them. */
export function BlankShelf({ shop, onBegin }: { shop: Shop; onBegin: (blank: Blank) => void }) {
  const [kind, setKind] = useState<Kind | 'own'>('glass');
  const [sought, setSought] = useState('');
  const kept = (shop.blanks ?? []).map((blank): Blank => ({ ...blank, kind: 'glass' }));
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (blank: Blank) => {
    const text = `${blank.name} ${GROUNDS[blank.ground].name} ${BLANK_KINDS[blank.kind]}`.toLowerCase();
    return words.every((word) => text.includes(word));
  };
  const seeking = words.length > 0;
  const own = seeking ? [...kept, ...BLANKS].filter(fits) : kind === 'own' ? kept : BLANKS.filter((blank) => blank.kind === kind);
  const shelves = [...(Object.entries(BLANK_KINDS) as [Kind, string][]), ...(kept.length > 0 ? [['own', 'Your own'] as const] : [])];
  const scale = Math.min(MOST_SCALE, TALL_PX / Math.max(1, ...own.map((blank) => blank.shape.height)));
  return (
    <section aria-label="A new job">
      <h2 className="mb-1 text-lg font-bold">Begin a job with a blank</h2>
      <p className="quiet mb-2 text-sm">
        Each shelf is drawn to one scale. The measures are only to start from: measure your own piece, twice. The mark says whether film
        that has to stay holds on it, before you buy it.
      </p>
      <div className="mb-2 flex flex-wrap gap-1.5" role="group" aria-label="Shelves">
        <input
          type="search"
          className="input input-sm w-48"
          aria-label="Look for a blank"
          placeholder="Look for: jar, slate, tray"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
        />
        {shelves.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={!seeking && id === kind}
            className={`btn btn-sm ${!seeking && id === kind ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => {
              setKind(id);
              setSought('');
            }}
          >
            {name}
          </button>
        ))}
      </div>
      {own.length === 0 && (
        <p className="sheet px-4 py-3">
          No blank is called “{sought.trim()}”. Looked through {counted(BLANKS.length + kept.length, 'blank')} of{' '}
          {counted(shelves.length, 'shelf')}. Take one of about the same shape: every measure can be changed.
        </p>
      )}
      <ul hidden={own.length === 0} className="sheet flex flex-wrap items-end justify-around gap-x-5 gap-y-4 px-4 pt-4 pb-3">
        {own.map((blank) => {
          const film = blankForFilm(blank.ground, blank.contact);
          return (
            <li key={blank.id}>
              <button
                type="button"
                className="hover:text-primary flex w-full min-w-24 flex-col items-center gap-1"
                title={film.why}
                onClick={() => onBegin(blank)}
              >
                <span style={{ width: Math.max(30, wide(blank) * scale + 6), height: blank.shape.height * scale + 12 }} className="block">
                  <FrontView piece={pieceOf(blank)} marks={[]} shop={shop} className="size-full" pad={[2, 2, 2, 2]} />
                </span>
                <span className="flex max-w-36 items-center gap-1.5 text-center text-sm leading-tight font-bold">
                  <VerdictMark verdict={film.verdict} size={14} />
                  {blank.name}
                </span>
                <span className="quiet measure text-[0.74rem]">
                  {blank.shape.kind !== 'flat' ? 'ø ' : ''}
                  {formatLength(wide(blank), shop.lengths, { unit: false, digits: 0 })} ×{' '}
                  {formatLength(blank.shape.height, shop.lengths, { digits: 0 })}
                </span>
                {film.verdict !== 'fine' && <span className="quiet max-w-36 text-center text-[0.74rem] leading-tight">{film.why}</span>}
                <span className="sr-only">{GROUNDS[blank.ground].name}</span>
              </button>
              {kept.includes(blank) && <OwnBlankWords blank={blank} />}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
