import { useState } from 'react';
import { diameterAt } from '@kolleta/core/blanks';
import { BLANK_KINDS, BLANKS, GROUNDS, type Blank } from '@kolleta/core/facts';
import { blankForFilm } from '@kolleta/core/fit';
import type { Shop } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { FrontView } from '../../drawing/FrontView';
import { VerdictMark } from '../../ui/Verdict';
import { pieceOf } from '../newJob';

type Kind = keyof typeof BLANK_KINDS;
/** The tallest blank of a shelf is drawn this high, pixels. */
const TALL_PX = 120;
const MOST_SCALE = 0.6;

const wide = ({ shape }: Blank) => (shape.kind === 'flat' ? shape.width : Math.max(diameterAt(shape, 0), diameterAt(shape, shape.height)));

/** Blanks to begin a job with, shelf by shelf, each shelf to one scale, and whether film holds on them. */
export function BlankShelf({ shop, onBegin }: { shop: Shop; onBegin: (blank: Blank) => void }) {
  const [kind, setKind] = useState<Kind | 'own'>('glass');
  const kept = (shop.blanks ?? []).map((blank): Blank => ({ ...blank, kind: 'glass' }));
  const own = kind === 'own' ? kept : BLANKS.filter((blank) => blank.kind === kind);
  const shelves = [...(Object.entries(BLANK_KINDS) as [Kind, string][]), ...(kept.length > 0 ? [['own', 'Your own'] as const] : [])];
  const scale = Math.min(MOST_SCALE, TALL_PX / Math.max(...own.map((blank) => blank.shape.height)));
  return (
    <section aria-label="A new job">
      <h2 className="mb-1 text-lg font-bold">Begin a job with a blank</h2>
      <p className="quiet mb-2 text-sm">
        Each shelf is drawn to one scale. The measures are only to start from: measure your own piece, twice. The mark says whether film
        that has to stay holds on it, before you buy it.
      </p>
      <div className="mb-2 flex flex-wrap gap-1.5" role="group" aria-label="Shelves">
        {shelves.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === kind}
            className={`btn btn-sm ${id === kind ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => setKind(id)}
          >
            {name}
          </button>
        ))}
      </div>
      <ul className="sheet flex flex-wrap items-end justify-around gap-x-5 gap-y-4 px-4 pt-4 pb-3">
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
            </li>
          );
        })}
      </ul>
    </section>
  );
}
