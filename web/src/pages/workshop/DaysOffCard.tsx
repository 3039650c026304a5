import { useState } from 'react';
import type { DaysOff } from '@kolleta/core/calendars';
import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { HORIZON_DAYS, midnightOf } from '@kolleta/core/schedule';
import type { Result } from '@kolleta/core/units';
import { MomentWord } from '../../frame/MomentWord';
import { now } from '../../storage/clock';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { Told } from '../../storage/told';
import { FileButton } from '../../ui/FileButton';
import { importerWorker } from '../../workers/importerClient';
import { readFile } from '../../workers/readFile';
import { Choice, Sentence, TextWord } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';

type Off = NonNullable<Shop['hours']['off']>[number];
const DAY_MS = 24 * 3_600_000;
/** What was over so long ago is forgotten when something is added. */
const FORGET_MS = 60 * DAY_MS;
/** So many are shown; the others when one asks. */
const SHOWN = 6;
const MOST_KEPT = 1000;
/** So many entries that were not taken are named. */
const MOST_TOLD = 3;

const kept = (saved: Shop): Off[] => (saved.hours.off ?? []).filter(({ end }) => end > now() - FORGET_MS);
const sameOff = (a: Off, b: { start: number; end: number }) => a.start === b.start && a.end === b.end;

/** Days and hours when nobody, or somebody, does not work: typed, or from a calendar file. */
export function DaysOffCard({ shop }: { shop: Shop }) {
  const tell = useTell();
  const [all, setAll] = useState(false);
  const { zone } = shop.hours;
  const at = now();
  const off = (shop.hours.off ?? []).filter(({ end }) => end > at).toSorted((a, b) => a.start - b.start);
  const shown = all ? off : off.slice(0, SHOWN);
  const people = shop.people ?? [];
  const set = (one: Off, field: 'start' | 'end', to: number | undefined) => {
    if (to === undefined) return Promise.resolve(0);
    if (field === 'start' ? to >= one.end : to <= one.start) {
      tell('Time off has to end after it begins.', { tone: 'error' });
      return Promise.resolve(0);
    }
    return editShop(setAt(['hours', 'off', one.id, field], to), 'Change a day off');
  };
  const add = () =>
    editShop(
      (saved) =>
        setAt(['hours', 'off'], [...kept(saved), { id: newId(), start: midnightOf(now(), zone, 1), end: midnightOf(now(), zone, 2) }]),
      'Add a day off',
    );
  const read = async (file: File) => {
    try {
      const found = await readFile(file, (text) =>
        importerWorker.call(async (importer): Promise<Result<DaysOff>> =>
          importer.daysOff(text, file.name, zone, now(), now() + HORIZON_DAYS * DAY_MS),
        ),
      );
      if (!found.ok) {
        tell(`${found.problem.found} ${found.problem.wayOut}`, { tone: 'error' });
        return;
      }
      const { spans, leftOut } = found.value;
      let fresh = 0;
      await editShop((saved) => {
        const there = kept(saved);
        // the same file may be read again
        const added = spans.filter((span) => !there.some((one) => sameOff(one, span)));
        fresh = added.length;
        if (there.length + fresh > MOST_KEPT)
          throw new Told(`With these there would be more than ${MOST_KEPT} days off. Take some away first. Nothing was changed.`);
        if (fresh === 0) return [];
        return setAt(['hours', 'off'], [...there, ...added.map((span): Off => ({ id: newId(), ...span }))]);
      }, 'Days off from a calendar');
      const taken =
        fresh === 0
          ? 'All of its days are here already.'
          : `${fresh === 1 ? 'One entry' : `${fresh} entries`} of “${file.name}” ${fresh === 1 ? 'is' : 'are'} off now.`;
      tell(
        [
          taken,
          ...(leftOut.length > 0
            ? [`Not taken: ${leftOut.slice(0, MOST_TOLD).join('; ')}${leftOut.length > MOST_TOLD ? '; and more' : ''}.`]
            : []),
        ].join(' '),
      );
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <section id="off" aria-label="Days off" className="sheet px-4 py-3">
      <h2 className="text-lg font-bold">Days off</h2>
      {off.length === 0 && (
        <p className="quiet text-[0.95rem]">None are known. Add holidays and afternoons off, and no step is planned for them.</p>
      )}
      {shown.map((one) => (
        <Sentence key={one.id} className="mt-1">
          <TextWord
            label="What it is"
            value={one.name ?? ''}
            empty="a day off"
            onChange={(name) => editShop(setAt(['hours', 'off', one.id, 'name'], name), 'Name a day off')}
          />{' '}
          from <MomentWord label="Off from" value={one.start} zone={zone} onChange={(to) => set(one, 'start', to)} /> until{' '}
          <MomentWord label="Off until" value={one.end} zone={zone} onChange={(to) => set(one, 'end', to)} />
          {people.length > 1 && (
            <>
              {' '}
              for{' '}
              <Choice
                label="Who is off"
                value={one.who ?? ''}
                options={[{ value: '', label: 'everybody' }, ...people.map(({ id, name }) => ({ value: id, label: name }))]}
                onChange={(who) =>
                  editShop(
                    who === '' ? removeAt(['hours', 'off', one.id, 'who']) : setAt(['hours', 'off', one.id, 'who'], who),
                    'Change who is off',
                  )
                }
              />
            </>
          )}{' '}
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300"
            aria-label={`Work ${one.name ?? 'then'} after all`}
            onClick={() => void editShop(() => removeAt(['hours', 'off', one.id]), 'Take back a day off')}
          >
            Work then after all
          </button>
        </Sentence>
      ))}
      {off.length > SHOWN && (
        <button type="button" className="btn btn-xs btn-ghost border-base-300 mt-1" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${off.length}`}
        </button>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void add()}>
          Add a day off
        </button>
        <FileButton
          label="Calendar with days off"
          accept=".ics,text/calendar"
          onFile={(file) => void read(file)}
          className="btn btn-sm btn-ghost border-base-300"
        >
          From a calendar file (.ics)
        </FileButton>
      </div>
    </section>
  );
}
