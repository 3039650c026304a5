import { useState } from 'react';
import type { StateId } from '@kolleta/core/facts';
import type { Piece, Zone } from '@kolleta/core/job';
import type { StationProps } from '../../frame/station';
import { BuildWords } from './BuildWords';
import { StateWords } from './StateWords';
import { ZoneColours } from './ZoneColours';

const STATE_WORDS: Record<StateId, string> = { printed: 'an old print', greasy: 'greasy', dusty: 'dusty', grooved: 'grooves' };

/** What was said of a piece beyond the usual, a few words each. */
const saidElse = (piece: Piece, zone: Zone): string[] => [
  ...(piece.waxed ? ['waxed or oiled'] : []),
  ...(piece.labelled ? [`a ${piece.labelled} label`] : []),
  ...(piece.state ?? []).map((state) => STATE_WORDS[state]),
  ...(piece.painted ? ['painted'] : []),
  ...(piece.primed ? ['sealed before its coat'] : []),
  ...(piece.slats ? [`${piece.slats.run} slats`] : []),
  ...(piece.build === 'joined' ? ['put together from several'] : piece.build === 'apart' ? ['taken apart'] : []),
  ...(zone.colours?.length ? ['patterned'] : []),
];

/** What only few pieces have: wax, labels, slats, joins, patterns. Open when something of it was said. */
export function AnythingElse({ job, shop, edit, zone }: Pick<StationProps, 'job' | 'shop' | 'edit'> & { zone: Zone }) {
  const said = saidElse(job.piece, zone);
  const [turned, setTurned] = useState<boolean>();
  const open = turned ?? said.length > 0;
  return (
    <section aria-label="Anything else about it?" className="sheet px-4 py-2">
      <h2>
        <button
          type="button"
          className="flex min-h-9 w-full items-baseline gap-2 text-left text-[0.98rem] font-bold"
          aria-expanded={open}
          onClick={() => setTurned(!open)}
        >
          {open ? '▾' : '▸'} Anything else about it?
          <span className="quiet text-sm font-normal">
            {said.length > 0 ? said.join(', ') : 'wax, a label, an old coat or print, slats, joins, a pattern'}
          </span>
        </button>
      </h2>
      {open && (
        <>
          <StateWords job={job} edit={edit} />
          <BuildWords job={job} shop={shop} edit={edit} />
          <ZoneColours zone={zone} piece={job.piece.colour} edit={edit} />
        </>
      )}
    </section>
  );
}
