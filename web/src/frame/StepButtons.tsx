import { lazy, Suspense, useEffect, useRef, useState, type MouseEvent } from 'react';
import { WORKDAY } from '@kolleta/core/facts';
import type { StepAbout } from '@kolleta/core/finish';
import { isTimed, type Film, type Machine, type WorkEvent } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import { stepTitle } from '@kolleta/core/words';
import { formatMoment, handsIn, waitsOpen, whatMoved, type OpenWait, type PlacedStep } from '@kolleta/core/schedule';
import { formatDuration, inSentence, MINUTE_MS } from '@kolleta/core/units';
import { now } from '../storage/clock';
import { wasTaken } from '../storage/keeping';
import { finishStep, logDried, logLost, reverseEvents, startStep } from '../storage/logEvent';
import type { Wrong } from '@kolleta/core/logbook';
import { newId } from '../storage/newId';
import { plainly } from '../storage/plainly';
import { useWorkshop } from '../storage/useWorkshop';
import { useTell } from '../ui/toasts';
import { useSettling } from '../workers/settled';
import { usePlan } from '../workers/usePlan';
import { lostEvent, type Lost } from './LostPicker';
import { packedMoved, stepsMoved } from './movedWords';

/** What was pressed. Its id goes into the log, so that it counts once. */
interface Press {
  readonly id: string;
  readonly at: number;
  readonly what: 'start' | 'done';
  readonly wrong?: Wrong;
}

const QUIET = { large: 'border-white/70 bg-transparent text-white hover:bg-white/15', small: 'btn-ghost border-base-300' };
const LOUD = { large: 'border-0 bg-white text-[#0e3f44] hover:bg-[#e7f1f1]', small: 'btn-primary' };

/** Stations at which film that was cut can be lost. */
const AFTER_CUT: ReadonlySet<string> = new Set(['weed', 'tape', 'place', 'paint', 'cure']);

/** Stations at which a piece can be spoiled. */
const WITH_PIECE: ReadonlySet<string> = new Set(['prepare', 'place', 'paint', 'cure']);

const upper = (text: string) => text.replace(/^./u, (c) => c.toUpperCase());

/** Asks whether a wait may be cut short. */
function WaitQuestion({
  title,
  waits,
  at,
  zone,
  what,
  onYes,
  onNo,
}: {
  title: string;
  waits: readonly OpenWait[];
  at: number;
  zone: string;
  what: Press['what'];
  onYes: () => void;
  onNo: () => void;
}) {
  return (
    <div className="modal-box text-base-content text-left text-base">
      <h2 className="text-lg font-bold">Is it time to {inSentence(title)}?</h2>
      <ul className="my-2 flex list-disc flex-col gap-1 pl-5">
        {waits.map(({ why, until, least, after }) => (
          <li key={`${after}${why}`}>
            {until === undefined
              ? `“${after}” is not done yet. After it ${why}: ${formatDuration(least)}.`
              : `${upper(why)}: ${formatDuration((until - at) / MINUTE_MS)} to go, until ${formatMoment(until, zone)}.`}
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        If you can tell that it is ready, go on. What comes after waits its own time from then
        {waits.some(({ dries }) => dries) ? ', and the next coats are expected to dry as this one did' : ''}.
      </p>
      <div className="mt-3 flex flex-wrap justify-end gap-2">
        <button type="button" className="btn btn-primary" onClick={onNo}>
          Wait
        </button>
        <button type="button" className="btn btn-ghost border-base-300" onClick={onYes}>
          {waits.every(({ dries }) => dries) ? 'It is dry already' : what === 'start' ? 'Start anyway' : 'It is done anyway'}
        </button>
      </div>
    </div>
  );
}

// asked for by few presses
const TestCuts = lazy(async () => ({ default: (await import('./TestCuts')).TestCuts }));
const WrongForm = lazy(async () => ({ default: (await import('./WrongForm')).WrongForm }));

/** The film and the machine of a test cut; nothing for other steps, and where one of them is gone. */
function useTested(about: StepAbout): { film: Film; machine: Machine } | undefined {
  const { shop } = useWorkshop();
  if (about.kind !== 'testCut') return undefined;
  const film = shop.films.find(({ id }) => id === about.of.film);
  const machine = shop.machines.find(({ id }) => id === about.of.machine);
  return film && machine && { film, machine };
}

/** Done, Went wrong and Start for one step, with the log behind them. Each press counts once; a wait that would be cut short is asked about. */
export function StepButtons({ placed, large = false }: { placed: PlacedStep; large?: boolean }) {
  const tell = useTell();
  const { settled } = useSettling();
  const { shop, jobs } = useWorkshop();
  const { zone } = shop.hours;
  const whole = usePlan();
  const dialog = useRef<HTMLDialogElement>(null);
  const [saying, setSaying] = useState(false);
  const [asking, setAsking] = useState<{ press: Press; waits: readonly OpenWait[] }>();
  const [testing, setTesting] = useState(false);
  const [busy, setBusy] = useState(false);
  const under = useRef(false);
  const open = saying || testing || asking !== undefined;
  useEffect(() => {
    if (open) dialog.current?.showModal();
  }, [open]);
  const { step, state } = placed;
  const tests = useTested(step.about);
  const size = large ? 'btn-lg min-h-11 text-lg' : 'btn-sm min-h-9';
  const look = large ? 'large' : 'small';

  const log = async ({ id, at, what, wrong }: Press, asked: boolean): Promise<void> => {
    // the step as the workshop is saved now: what it takes and what it waits for may just have changed
    const { plan } = await settled();
    const steps = plan.schedule.jobs.get(step.job)?.steps ?? [];
    const own = steps.find((s) => s.step.id === step.id);
    if (!own) return tell('Your last change has taken this step away. Nothing was logged.');
    if (own.state === 'done') return tell('It is in the log already.');
    const waits = wrong || own.state === 'running' ? [] : waitsOpen(own, steps, at);
    if (waits.length > 0 && !asked) return setAsking({ press: { id, at, what, ...(wrong ? { wrong } : {}) }, waits });
    // it was dry before it was worked out to be: the next ones are expected sooner
    const taught: WorkEvent[] = [];
    for (const { dries } of waits) if (dries) taught.push(...(await logDried(own.step, dries.lag, (at - dries.since) / MINUTE_MS, false)));
    if (what === 'start') return startStep(own.step, id, at);
    const hands = handsIn(own);
    const unlearned = own.step.unlearned === undefined ? {} : { unlearned: (own.step.unlearned * hands) / own.step.hands };
    const who = (shop.people ?? []).length > 1 && own.by?.length === 1 ? own.by[0] : undefined;
    const events = await finishStep({ ...own.step, hands, ...unlearned }, { wrong, hours: shop.hours, who }, id, at);
    const [first] = events;
    if (!first) return tell('It is in the log already.');
    const took = 'planned' in first && isTimed(first) ? formatDuration(first.actual) : 'not timed';
    const words = `${wrong ? 'Logged' : 'Done'}: ${inSentence(stepTitle(own.step))}, ${took} (planned ${formatDuration(handsIn(own))}).`;
    const undo = { action: { label: 'Undo', run: () => void reverseEvents([...events, ...taught]) } };
    tell(words, undo);
    tellMoved(plan, words, undo, wrong !== undefined);
    return undefined;
  };
  /** What was late or went wrong moves what follows: that is told once it is known. */
  const tellMoved = (before: Plan, words: string, undo: Parameters<typeof tell>[1], always: boolean) =>
    void settled()
      .then(({ plan }) => {
        const moved = whatMoved(before.schedule, plan.schedule, step.id);
        const names = packedMoved(moved, jobs, WORKDAY.told, 'later');
        if (always || names.length > 0) tell([words, stepsMoved(moved), ...names].join(' '), undo);
      })
      // what keeps the plan from being there is told by the bands
      .catch(() => undefined);
  /** Whether a press was taken: where it was not, what was typed for it stays. */
  const press = async (what: Press, asked = false): Promise<boolean> => {
    // one press at a time: the second of a double click is none
    if (under.current) return false;
    under.current = true;
    setBusy(true);
    try {
      return await wasTaken(log(what, asked));
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
      return false;
    } finally {
      under.current = false;
      setBusy(false);
    }
  };
  const tellLost = async (lost: Lost, what: string, note?: string) => {
    const events = await logLost(step.job, lostEvent(whole?.jobs.get(step.job)?.parts ?? [], lost), what, note);
    const words = `Logged: ${lost.name}. What was lost is in the plan again: Cut lays it out.`;
    const undo = { action: { label: 'Undo', run: () => void reverseEvents(events) } };
    tell(words, undo);
    if (whole) tellMoved(whole, words, undo, true);
  };
  /** The second click of a double click may fall on the next step's button. */
  const once = (what: Press['what']) => (event: MouseEvent) => {
    if (event.detail < 2) void press({ id: newId(), at: now(), what });
  };
  return (
    <div className="flex flex-wrap gap-2">
      {state === 'waiting' && (
        <button type="button" className={`btn ${size} ${QUIET[look]}`} disabled={busy} onClick={once('start')}>
          Start
        </button>
      )}
      {tests ? (
        <button type="button" className={`btn ${size} ${LOUD[look]}`} disabled={busy} onClick={() => setTesting(true)}>
          How did it come out?
        </button>
      ) : (
        <button type="button" className={`btn ${size} ${LOUD[look]}`} disabled={busy} onClick={once('done')}>
          {busy ? 'Noting it…' : 'Done'}
        </button>
      )}
      <button type="button" className={`btn ${size} ${QUIET[look]}`} disabled={busy} onClick={() => setSaying(true)}>
        Went wrong…
      </button>
      {open && (
        <dialog
          ref={dialog}
          className="modal"
          aria-label={
            saying
              ? `What went wrong: ${stepTitle(step)}`
              : testing
                ? `How the test came out: ${stepTitle(step)}`
                : `Is it time: ${stepTitle(step)}`
          }
          onClose={() => {
            setSaying(false);
            setTesting(false);
            setAsking(undefined);
          }}
        >
          <Suspense>
            {testing && tests ? (
              <div className="modal-box text-base-content text-left text-base">
                <h2 className="text-lg font-bold">How did the test cut come out?</h2>
                <TestCuts
                  {...tests}
                  onRight={async () => {
                    setTesting(false);
                    await press({ id: newId(), at: now(), what: 'done' });
                  }}
                />
                <div className="mt-3 flex justify-end">
                  <button type="button" className="btn btn-ghost" onClick={() => setTesting(false)}>
                    Close
                  </button>
                </div>
              </div>
            ) : asking ? (
              <WaitQuestion
                title={stepTitle(step)}
                waits={asking.waits}
                at={asking.press.at}
                zone={zone}
                what={asking.press.what}
                onNo={() => setAsking(undefined)}
                onYes={() => {
                  setAsking(undefined);
                  void press(asking.press, true);
                }}
              />
            ) : (
              <WrongForm
                title={stepTitle(step)}
                // before the cut there is no film to be lost
                parts={AFTER_CUT.has(step.station) ? (whole?.jobs.get(step.job)?.parts ?? []) : []}
                pieces={WITH_PIECE.has(step.station) ? (jobs.find(({ id }) => id === step.job)?.count ?? 0) : 0}
                step={step.id}
                onLost={(lost, what, note) => void wasTaken(tellLost(lost, what, note)).then((taken) => setSaying(!taken))}
                onCancel={() => setSaying(false)}
                onWrite={(wrong) => void press({ id: newId(), at: now(), what: 'done', wrong }).then((taken) => setSaying(!taken))}
              />
            )}
          </Suspense>
        </dialog>
      )}
    </div>
  );
}
