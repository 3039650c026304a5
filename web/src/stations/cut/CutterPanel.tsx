import type { CutterPhase, HostOrder } from '@kolleta/core/cut';
import { formatWay, type LengthSystem } from '@kolleta/core/units';
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
  settle: (run: CutterRun, strokes: number, used: number) => Promise<void>;
}

/** What is left to say when the cutter does not know the run any more: the user looks at the film. */
function Lost({ run, settle, silent, order }: Pick<Props, 'run' | 'settle' | 'order'> & { silent: boolean }) {
  let left = run.strokes;
  const whole = run.parts.filter((part) => (left -= part.strokes) >= 0).length;
  const all = run.parts.reduce((sum, part) => sum + part.strokes, 0);
  return (
    <div role="alert">
      <p className="text-[0.95rem] leading-snug">
        <strong>{silent ? 'The cutter does not answer.' : 'The cutter no longer knows this job.'}</strong> When it last did, {whole} of{' '}
        {run.parts.length} marks were cut. {silent ? 'It may still be cutting: look at its cable and its switch.' : 'Look at the film.'}
      </p>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {silent && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void order({ kind: 'plug' })}>
            Put the cable back
          </button>
        )}
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void settle(run, run.strokes, run.used)}>
          {whole} are cut
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void settle(run, all, run.taken)}>
          All are cut
        </button>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void settle(run, 0, 0)}>
          None is cut, the film is whole
        </button>
      </div>
    </div>
  );
}

/** The cutter at work: how far it is, pause and stop, and what it asks for. */
export function CutterPanel({ view, run, system, filmLeft, order, settle }: Props) {
  const { report, contact, problem } = view;
  const phase = report?.phase;
  const share = report && report.toCut > 0 ? report.cut / report.toCut : 0;
  const active = phase === 'cutting' || phase === 'paused' || phase === 'lidOpen';
  return (
    <section aria-label="The cutter" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-[1.02rem] font-bold">
          {run.layout.machine?.name ?? 'The cutter'}: {run.layout.film.name}
        </h2>
        <span className="measure text-[0.86rem]">{Math.floor(share * 100)} %</span>
      </div>
      <progress className="progress progress-primary my-1.5 w-full" max={1} value={share} aria-label="Cut so far" />
      {contact === 'silent' || contact === 'stranger' ? (
        <Lost run={run} settle={settle} silent={contact === 'silent'} order={order} />
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
                onClick={() => void order({ kind: 'load', film: { width: run.layout.width, length: filmLeft } })}
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
                This is the simulated cutter, {cutterPlace() === 'server' ? 'at the server' : 'in this page'}, ten times as fast as a
                machine. Try what can happen
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
