import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { useLiveQuery } from 'dexie-react-hooks';
import type { Leftover } from '@kolleta/core/cut';
import { LAYOUT } from '@kolleta/core/facts';
import type { Id, JobId } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { dropRun, fileAnswer, openFiles, settleRun } from '../../storage/cutterRuns';
import type { CutterRun } from '../../storage/db';
import { reverseEvents } from '../../storage/logEvent';
import { useTell } from '../../ui/toasts';
import { plannerWorker } from '../../workers/plannerClient';

interface Props {
  job: JobId;
  film: Id;
  planned: ReadonlyMap<JobId, number>;
  system: LengthSystem;
}

/** What is left when only the first marks were cut and the film after them is whole: of a roll no more than what is gone of it. */
const leftAfter = (run: CutterRun, whole: number, used: number): Promise<Leftover[]> => {
  const { layout, cutOff } = run;
  const taken = layout.sheet?.from.kind === 'roll' && !cutOff ? Math.min(layout.taken, used + LAYOUT.holdDown) : layout.taken;
  return plannerWorker.call((planner) => planner.leftOf({ ...layout, taken, parts: layout.parts.slice(0, whole) }));
};

/** What came of a cut file that was saved: one answer, which books the film and closes the step. */
export function CutAnswer({ job, film, planned, system }: Props) {
  const files = useLiveQuery(() => openFiles().catch((): CutterRun[] => []));
  const run = files?.find((file) => file.film === film && file.parts.some((part) => part.job === job));
  const [partly, setPartly] = useState(false);
  const [well, setWell] = useState(0);
  const [good, setGood] = useState(false);
  const [busy, setBusy] = useState(false);
  const [keeping, setKeeping] = useState(true);
  const [linerCut, setLinerCut] = useState(false);
  const tell = useTell();
  const { data: left = [] } = useQuery({
    queryKey: ['left', run?.run],
    queryFn: () => plannerWorker.call((planner) => planner.leftOf(run!.layout)),
    enabled: run !== undefined,
    staleTime: Infinity,
    retry: false,
  });
  if (!run) return null;
  const all = run.parts.length;
  const from = run.layout.sheet?.from.kind ?? 'roll';
  const onRoll = from === 'roll';
  const answer = async (whole: number, restIsGood: boolean) => {
    setBusy(true);
    try {
      const { strokes, used } = fileAnswer(run, whole, restIsGood);
      const kept = whole === all ? left : whole > 0 && restIsGood ? await leftAfter(run, whole, used) : [];
      const { events } = await settleRun(run, strokes, used, planned, keeping ? kept : [], linerCut);
      setPartly(false);
      setLinerCut(false);
      tell(
        whole === all
          ? `Cut: ${onRoll ? `${formatLength(run.taken, system)} of ${run.layout.film.name} are off the roll` : `the ${from} of ${run.layout.film.name} is used up`}${keeping && left.length > 0 ? ', and what is left is kept in Stock' : ''}.${run.unfinished ? ' The marks that found no room are still to cut.' : ''}`
          : whole === 0
            ? `None of it came out${used > 0 ? ', and the film is gone' : ''}. All of it stays in the layout.`
            : `${whole} of ${all} marks are cut. The others stay in the layout.`,
        events.length > 0 ? { action: { label: 'Undo', run: () => void reverseEvents(events) } } : {},
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Was it cut?" className="sheet border-primary border-2 px-4 py-3">
      <h2 className="text-[1.02rem] font-bold">Cut it?</h2>
      <p className="text-[0.95rem] leading-snug">
        The file with {all} {all === 1 ? 'mark' : 'marks'} is saved. Lift a corner: did the knife go through, and is the liner whole? Your
        answer takes the film off the {onRoll ? 'roll' : 'stock'}.
      </p>
      {left.length > 0 && (
        <label className="mt-1 flex min-h-9 items-center gap-2 text-[0.95rem]">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={keeping}
            onChange={(event) => setKeeping(event.target.checked)}
          />
          <span>
            Keep what is left as {left.length === 1 ? 'an offcut' : `${left.length} offcuts`}, with{' '}
            {formatLength(left[0]!.box.width, system, { digits: 0 })} × {formatLength(left[0]!.box.length, system, { digits: 0 })} free in
            it
          </span>
        </label>
      )}
      <label className="flex min-h-9 items-center gap-2 text-[0.95rem]">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={linerCut}
          onChange={(event) => setLinerCut(event.target.checked)}
        />
        <span>The liner is cut through too: the film can be saved, and a step for it joins the plan</span>
      </label>
      {partly ? (
        <form
          className="mt-2 flex flex-col gap-2 text-[0.95rem]"
          onSubmit={(event) => {
            event.preventDefault();
            void answer(well, good);
          }}
        >
          <label>
            In the order of the cut,{' '}
            <select
              className="select select-sm w-auto"
              value={well}
              aria-label="Marks that came out well"
              onChange={(e) => setWell(Number(e.target.value))}
            >
              {Array.from({ length: all }, (_, n) => (
                <option key={n} value={n}>
                  {n}
                </option>
              ))}
            </select>{' '}
            of {all} came out well.
          </label>
          <label className="flex items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={good} onChange={(e) => setGood(e.target.checked)} />
            the film after them is still whole
          </label>
          <div className="flex flex-wrap gap-2">
            <button type="submit" className="btn btn-sm btn-primary" disabled={busy}>
              Write it down
            </button>
            <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setPartly(false)}>
              Back
            </button>
          </div>
        </form>
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void answer(all, false)}>
            Well
          </button>
          <button type="button" className="btn btn-ghost border-base-300" disabled={busy} onClick={() => setPartly(true)}>
            Partly…
          </button>
          <button
            type="button"
            className="btn btn-ghost border-base-300"
            disabled={busy}
            onClick={() => void dropRun(run).then(() => tell('Nothing was cut, and no film was taken.'))}
          >
            Not
          </button>
        </div>
      )}
    </section>
  );
}
