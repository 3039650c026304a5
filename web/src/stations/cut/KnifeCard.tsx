import { useState } from 'react';
import { bladeMetres, carrierUses, cutSetting, lastLoaded, onCarrierOnly, testCutsOf, type FilmLayout } from '@kolleta/core/cut';
import { BLADE, CARRIER_GRADES, FILM_KINDS } from '@kolleta/core/facts';
import type { Id, Machine } from '@kolleta/core/job';
import { formatMoment } from '@kolleta/core/schedule';
import { counted, inSentence } from '@kolleta/core/units';
import { TestCuts } from '../../frame/TestCuts';
import { logBlade, logCarrier, reverseEvents } from '../../storage/logEvent';
import { useWorkshop } from '../../storage/useWorkshop';
import { Choice, Sentence } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';

/** What lies in the cutter against what this cut wants; its settings, to tick; and the ladder of test cuts for this film with this blade. */
export function KnifeCard({
  layout,
  machine,
  loaded,
  onLoaded,
}: {
  layout: FilmLayout;
  machine: Machine;
  /** The film that is in it; none where nobody knows. */
  loaded: Id | undefined;
  onLoaded: (film: Id) => void;
}) {
  const { events, shop } = useWorkshop();
  const tell = useTell();
  const { film } = layout;
  const [testing, setTesting] = useState(false);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const setting = cutSetting(events, film.id, machine.id);
  const last = testCutsOf(events, film.id, machine.id).at(-1);
  const blade = bladeMetres(events, machine.id);
  const metres = (m: number) => (m < 10 ? m.toFixed(1) : String(Math.round(m)));
  const speed = setting?.speed ?? machine.speed;
  const onCarrier = layout.sheet.from.kind !== 'roll' || onCarrierOnly(machine);
  const other = loaded !== undefined && loaded !== film.id;
  const checks = [
    ...(loaded === undefined ? [film.name] : []),
    `${FILM_KINDS[film.kind].by === 'heat' ? 'carrier side down' : 'colour side up'}, smooth, no curl`,
    setting ? `force ${setting.force}${speed === undefined ? '' : `, ${speed} cm/s`}` : 'a test cut that lifts clean',
    ...(onCarrier ? ['on its carrier, no air under it'] : []),
  ];
  const tick = (check: string, on: boolean) =>
    setTicked((before) => {
      const next = new Set(before);
      if (on) next.add(check);
      else next.delete(check);
      return next;
    });
  const films = [
    ...(loaded === undefined ? [{ value: '', label: 'a film that is not noted' }] : []),
    ...shop.films.map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <section aria-label="Knife" className="sheet px-4 py-3 text-[0.92rem]">
      <p className="font-bold">Loaded?</p>
      <Sentence>
        In the {inSentence(machine.name)} lies{' '}
        <Choice label="Film in the cutter" value={loaded ?? ''} options={films} onChange={(id) => id !== '' && onLoaded(id)} />.
      </Sentence>
      {other && (
        <p className="flex flex-wrap items-center gap-2" role="status">
          <VerdictMark verdict="stop" size={18} />
          <span>
            This cut is for <strong>{film.name}</strong>.
          </span>
          <button type="button" className="btn btn-xs btn-outline" onClick={() => onLoaded(film.id)}>
            {film.name} is loaded now
          </button>
        </p>
      )}
      <div className="flex flex-wrap gap-x-4">
        {checks.map((check) => (
          <label key={check} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={ticked.has(check)}
              onChange={(event) => tick(check, event.target.checked)}
            />
            {check}
          </label>
        ))}
      </div>
      {setting && !testing ? (
        <p className="mt-1 leading-snug">
          {film.name} on {inSentence(machine.name)}: <strong className="measure">force {setting.force}</strong>, right on{' '}
          {formatMoment(setting.at, shop.hours.zone)}.
        </p>
      ) : !testing && !last ? (
        <p className="mt-1 leading-snug">No test cut of {inSentence(film.name)} with this blade yet.</p>
      ) : (
        <TestCuts film={film} machine={machine} onRight={() => setTesting(false)} />
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {(setting ?? !last) && (
          <button
            type="button"
            className={`btn btn-sm ${setting || testing ? 'btn-ghost border-base-300' : 'btn-outline btn-primary'}`}
            onClick={() => setTesting(!testing)}
          >
            {testing ? 'Leave it as it is' : setting ? 'Test again' : 'Make a test cut'}
          </button>
        )}
        <button
          type="button"
          className="btn btn-sm btn-ghost border-base-300"
          onClick={() =>
            void logBlade(machine).then((written) =>
              tell(`A new blade is in ${machine.name}. Each film wants a test cut with it.`, {
                action: { label: 'Undo', run: () => void reverseEvents(written) },
              }),
            )
          }
        >
          New blade
        </button>
        <span className="quiet">
          {blade.now > 0 ? `${metres(blade.now)} m with this blade` : ''}
          {blade.before.length > 0 ? `${blade.now > 0 ? '; ' : ''}the one before did ${metres(blade.before.at(-1)!)} m` : ''}
        </span>
      </div>
      {blade.worn && (
        <p className="mt-1 flex items-center gap-2 leading-snug" role="status">
          <VerdictMark verdict="watch" size={18} /> This blade has done {metres(blade.now)} m;{' '}
          {blade.before.length > 0
            ? `those before were changed after about ${metres(blade.lasts)} m`
            : `many are blunt after ${BLADE.lasts} m`}
          . Have a new one ready, and look at the corners.
        </p>
      )}
      {onCarrier &&
        (machine.carriers ?? []).map((carrier) => {
          const { uses, lasts, spent } = carrierUses(events, machine.id, carrier);
          return (
            <p key={carrier.id} className="mt-1 flex flex-wrap items-center gap-2 leading-snug">
              {spent && <VerdictMark verdict="watch" size={18} />}
              <span>
                Carrier sheet, {CARRIER_GRADES[carrier.grade].name}: {counted(uses, 'use')} of about {lasts}
                {spent ? '. Its hold is nearly spent: wash it or give it new tack, or film slips under the knife' : ''}.
              </span>
              <button
                type="button"
                className="btn btn-xs btn-ghost border-base-300"
                onClick={() =>
                  void logCarrier(machine, carrier).then((written) =>
                    tell('The carrier sheet holds anew. Its uses are counted from here.', {
                      action: { label: 'Undo', run: () => void reverseEvents(written) },
                    }),
                  )
                }
              >
                Washed or tacked anew
              </button>
            </p>
          );
        })}
    </section>
  );
}

/** The film in a machine: as the maker said, else as the log knows. */
export const filmIn = (
  machine: Machine | undefined,
  said: Readonly<Record<Id, Id>>,
  events: Parameters<typeof lastLoaded>[0],
): Id | undefined => machine && (said[machine.id] ?? lastLoaded(events, machine.id));
