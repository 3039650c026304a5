import type { CutterPhase, HostOrder } from '@kolleta/core/cut';
import { counted, formatWay, type LengthSystem } from '@kolleta/core/units';
import type { CutterRun } from '../../storage/db';
import { cutterPlace } from '../../workers/cutterClient';
import type { CutterView } from './useCutter';

const SAYS: Record<CutterPhase, string> = {
  idle: 'It waits.',
  cutting: 'It cuts.',
  paused: 'It pauses, knife up.',
  stopped: 'It has stopped.',
  done: 'It is done.',
  outOfFilm: 'The film has run out under the knife. What was cut whole is good; load the next roll, and the rest is laid out again.',
  lidOpen: 'Its lid is open, so it stands still. Close the lid, then go on.',
};

interface Props {
  view: CutterView;
  run: CutterRun;
  system: LengthSystem;
  filmLeft: number;
  order: (what: HostOrder) => Promise<void>;
  /** Books what it came to; puts it away without booking anything. */
  book: (run: CutterRun) => Promise<void>;
  putAway: (run: CutterRun) => Promise<void>;
}

/** How many marks of a rehearsal are cut whole. */
function wholeOf({ parts, strokes }: CutterRun): number {
  let left = strokes;
  return parts.filter((part) => (left -= part.strokes) >= 0).length;
}

/** How a cutter is lost, and what to look at. */
const LOST = {
  silent: { is: 'The cutter does not answer.', then: 'A real one may still be cutting: look at its cable and its switch.' },
  stranger: { is: 'The cutter no longer knows this job.', then: 'Look at the film.' },
  garbled: {
    is: 'What the cutter tells cannot be true.',
    then: 'Nothing of that is counted. A real one may still be cutting: look at the film and at its cable. If it goes on, end the rehearsal.',
  },
} as const;

/** What is left to do when the cutter does not know the rehearsal any more. */
function Lost({ run, putAway, contact, order }: Pick<Props, 'run' | 'putAway' | 'order'> & { contact: keyof typeof LOST }) {
  const { is, then } = LOST[contact];
  return (
    <div role="alert">
      <p className="text-[0.95rem] leading-snug">
        <strong>{is}</strong> When it last did, {wholeOf(run)} of {counted(run.parts.length, 'mark was', 'marks were')} cut. {then}
      </p>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {contact === 'silent' && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void order({ kind: 'plug' })}>
            Put the cable back
          </button>
        )}
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void putAway(run)}>
          End the rehearsal
        </button>
      </div>
    </div>
  );
}

/** How a rehearsal came out, and that nothing of it is booked. */
function Ended({ run, book, putAway, whole }: Pick<Props, 'run' | 'book' | 'putAway'> & { whole: boolean }) {
  const cut = wholeOf(run);
  return (
    <div role="status">
      <p className="text-[0.95rem] leading-snug">
        {whole
          ? `The rehearsal is over: all of ${counted(cut, 'mark')}.`
          : `The rehearsal has stopped: ${cut} of ${counted(run.parts.length, 'mark')}.`}{' '}
        Nothing was cut, and no film was taken.
      </p>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <button type="button" className="btn btn-sm btn-primary" onClick={() => void putAway(run)}>
          Put it away
        </button>
        {run.load ? (
          <span className="quiet text-[0.86rem]">A load by itself is not booked: once all of them are cut, say how they came out.</span>
        ) : (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void book(run)}>
            Book it as cut all the same
          </button>
        )}
      </div>
    </div>
  );
}

/** A rehearsal: how far it is, pause and stop, and what it asks for. */
export function CutterPanel({ view, run, system, filmLeft, order, book, putAway }: Props) {
  const { report, contact, problem } = view;
  const phase = report?.phase;
  const share = report && report.toCut > 0 ? report.cut / report.toCut : 0;
  const active = phase === 'cutting' || phase === 'paused' || phase === 'lidOpen';
  return (
    <section aria-label="The cutter" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-[1.02rem] font-bold">
          Rehearsal on the simulated {run.layout.machine?.name ?? 'cutter'}: {run.layout.film.name}
          {run.load ? `, load ${run.load.number} of ${run.load.of}` : ''}
        </h2>
        <span className="measure text-[0.86rem]">{Math.floor(share * 100)} %</span>
      </div>
      <progress className="progress progress-primary my-1.5 w-full" max={1} value={share} aria-label="Cut so far" />
      {contact === 'silent' || contact === 'stranger' || contact === 'garbled' ? (
        <Lost run={run} putAway={putAway} contact={contact} order={order} />
      ) : phase === 'done' || phase === 'stopped' ? (
        <Ended run={{ ...run, strokes: report?.strokes ?? run.strokes }} book={book} putAway={putAway} whole={phase === 'done'} />
      ) : (
        <>
          <p className="text-[0.95rem]" role={phase === 'lidOpen' || phase === 'outOfFilm' ? 'alert' : 'status'}>
            {phase ? SAYS[phase] : 'Asking the cutter…'}{' '}
            {report && phase !== 'outOfFilm' && (
              <span className="quiet">
                {formatWay(report.cut, system)} of {formatWay(report.toCut, system)}
              </span>
            )}
          </p>
          <p className="border-accent mt-1.5 border-l-4 pl-2 text-[0.86rem]">Fingers, sleeves and hair clear of the moving carriage.</p>
          <div className="mt-2 flex flex-wrap gap-1.5">
            {phase === 'cutting' && (
              <button type="button" className="btn btn-sm btn-outline" onClick={() => void order({ kind: 'pause' })}>
                Pause
              </button>
            )}
            {phase === 'paused' && (
              <button type="button" className="btn btn-sm btn-primary" onClick={() => void order({ kind: 'resume' })}>
                Go on
              </button>
            )}
            {phase === 'lidOpen' && (
              <button type="button" className="btn btn-sm btn-primary" onClick={() => void order({ kind: 'closeLid' })}>
                The lid is closed
              </button>
            )}
            {phase === 'outOfFilm' && (
              <button
                type="button"
                className="btn btn-sm btn-primary"
                onClick={() =>
                  void order({ kind: 'load', film: { width: run.layout.width, length: filmLeft, name: run.layout.film.name } })
                }
              >
                The next roll is loaded
              </button>
            )}
            {active && (
              <button type="button" className="btn btn-sm btn-error" onClick={() => void order({ kind: 'stop' })}>
                Stop
              </button>
            )}
          </div>
          {active && (
            <details className="mt-2 text-[0.86rem]">
              <summary className="quiet cursor-pointer">
                It cuts nothing. It runs {cutterPlace() === 'server' ? 'at the server' : 'in this page'}, ten times as fast as a machine.
                Try what can happen
              </summary>
              <div className="mt-1.5 flex flex-wrap gap-1.5">
                {(
                  [
                    [1, 'As fast as a machine'],
                    [10, 'Ten times as fast'],
                  ] as const
                ).map(([times, label]) => (
                  <button
                    key={times}
                    type="button"
                    className="btn btn-xs btn-ghost border-base-300"
                    onClick={() => void order({ kind: 'pace', times })}
                  >
                    {label}
                  </button>
                ))}
                {(
                  [
                    ['openLid', 'Open its lid'],
                    ['runOut', 'Let the film run out'],
                    ['unplug', 'Pull its cable'],
                  ] as const
                ).map(([kind, label]) => (
                  <button key={kind} type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => void order({ kind })}>
                    {label}
                  </button>
                ))}
              </div>
            </details>
          )}
        </>
      )}
      {problem && (
        <p role="alert" className="bg-error text-error-content mt-2 rounded px-3 py-2 text-sm">
          {problem}
        </p>
      )}
    </section>
  );
}
