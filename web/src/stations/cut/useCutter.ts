import { useCallback, useEffect, useRef, useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { contradicts, type CutterReport, type FilmLayout, type HostOrder } from '@kolleta/core/cut';
import { KNIFE } from '@kolleta/core/facts';
import type { Film, JobId } from '@kolleta/core/job';
import type { CutterRun } from '../../storage/db';
import { beginRun, dropRun, noteProgress, openRun, settleRun } from '../../storage/cutterRuns';
import { reverseEvents } from '../../storage/logEvent';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { askCutter, Garbled } from '../../workers/cutterClient';
import { plannerWorker } from '../../workers/plannerClient';

/** How often the cutter is asked what it does, ms: a little over twice a second. */
const ASK_MS = 400;
const ENDED = new Set(['done', 'stopped']);

/** What the page knows of the cutter. */
export interface CutterView {
  /** The rehearsal that it has. */
  readonly run?: CutterRun;
  readonly report?: CutterReport;
  /** asking: nothing heard yet. silent: it does not answer. stranger: it answers, but knows nothing of this run. garbled: what it
   * answers cannot be. */
  readonly contact: 'asking' | 'here' | 'silent' | 'stranger' | 'garbled';
  readonly problem?: string;
}

/** A run as it is saved now, with the layout that is drawn already. */
const sameDrawing = (run: CutterRun | undefined, known: CutterRun | undefined): CutterRun | undefined =>
  run && known && run.run === known.run ? { ...run, layout: known.layout, parts: known.parts } : run;

/** Rehearses layouts on the simulated cutter and follows what it does. Nothing of it is booked unless the maker says so. */
export function useCutter(planned: ReadonlyMap<JobId, number>) {
  const known = useRef<CutterRun>(undefined);
  // only its progress changes: what it cuts is drawn once
  const run = useLiveQuery(() =>
    openRun().then(
      (found) => (known.current = sameDrawing(found, known.current)),
      () => undefined,
    ),
  );
  const [report, setReport] = useState<CutterReport>();
  const [contact, setContact] = useState<CutterView['contact']>('asking');
  const [problem, setProblem] = useState<string>();
  const tell = useTell();
  const minutes = useRef(planned);
  minutes.current = planned;
  const settling = useRef<string>(undefined);
  const sending = useRef(false);

  /** It was cut for real meanwhile: what the rehearsal came to is booked. */
  const book = useCallback(
    async (own: CutterRun) => {
      if (settling.current === own.run) return;
      settling.current = own.run;
      try {
        const { events, results } = await settleRun(own, own.strokes, own.used, minutes.current);
        const cut = results.reduce((sum, r) => sum + r.marks.reduce((n, m) => n + m.copies, 0), 0);
        const all = own.parts.length;
        tell(
          cut === all
            ? `Booked: all ${all} marks. Lift a corner before you weed: did the knife go through, and is the liner whole?`
            : `Booked: ${cut} of ${all} marks are cut. The others stay in the layout.`,
          events.length > 0 ? { action: { label: 'Undo', run: () => void reverseEvents(events) } } : {},
        );
      } finally {
        settling.current = undefined;
      }
    },
    [tell],
  );

  const hear = useCallback(async (own: CutterRun, said: CutterReport | undefined) => {
    if (!said) {
      setContact('silent');
      return;
    }
    if (said.run !== own.run) {
      // on its way: the cutter cannot know it yet
      if (sending.current) return;
      setContact('stranger');
      setReport(undefined);
      return;
    }
    if (contradicts(said, { ...own, all: own.parts.reduce((sum, { strokes }) => sum + strokes, 0) })) {
      setContact('garbled');
      return;
    }
    setContact('here');
    setReport(said);
    if (said.strokes !== own.strokes || said.used > own.used + 5 || (ENDED.has(said.phase) && said.used !== own.used))
      await noteProgress(own, said.strokes, said.used);
  }, []);

  useEffect(() => {
    if (!run) return undefined;
    let over = false;
    const ask = async () => {
      try {
        const said = await askCutter();
        if (!over) await hear(run, said);
      } catch (error) {
        if (!over) setContact(error instanceof Garbled ? 'garbled' : 'silent');
      }
    };
    void ask();
    const timer = setInterval(() => void ask(), ASK_MS);
    return () => {
      over = true;
      clearInterval(timer);
    };
  }, [run, hear]);

  const order = useCallback(
    async (what: HostOrder) => {
      setProblem(undefined);
      const said = await askCutter(what).catch((error: unknown) => void setProblem(plainly(error)));
      if (said?.refusal) setProblem(said.refusal);
      if (run) await hear(run, said ?? undefined);
    },
    [run, hear],
  );

  /** Sends a layout or one of its loads; `left` is what lies on the roll, mm, and `loaded` the film that is in the cutter. */
  const send = useCallback(async (layout: FilmLayout, left: number, loaded: Pick<Film, 'name' | 'width'>, load?: CutterRun['load']) => {
    const { machine } = layout;
    // pressed twice is sent once
    if (!machine || sending.current) return;
    sending.current = true;
    setProblem(undefined);
    setContact('asking');
    setReport(undefined);
    try {
      const hpgl = await plannerWorker.call((planner) => planner.hpgl(layout, machine));
      const begun = await beginRun(layout, load);
      const refusals: (string | undefined)[] = [];
      for (const what of [
        {
          kind: 'set',
          machine: {
            rollFed: machine.rollFed,
            step: machine.step ?? KNIFE.step,
            origin: machine.origin ?? { x: 0, y: 0 },
            knife: machine.knife,
            travel: machine.travel,
          },
        },
        { kind: 'load', film: { width: Math.min(layout.width, loaded.width), length: left, name: loaded.name } },
        { kind: 'send', run: begun.run, hpgl, film: layout.film.name },
      ] as const) {
        const said = await askCutter(what).catch((error: unknown) => void refusals.push(plainly(error)));
        if (!said) refusals.push('The cutter does not answer. Look at its cable and its switch, then send it again.');
        else refusals.push(said.refusal);
        const refusal = refusals.find((one) => one !== undefined);
        if (refusal) {
          setProblem(refusal);
          await dropRun(begun);
          return;
        }
      }
    } finally {
      sending.current = false;
    }
  }, []);

  /** The rehearsal is over, or given up: nothing is booked. */
  const putAway = useCallback((own: CutterRun) => dropRun(own), []);

  return { view: { run, report, contact, problem } satisfies CutterView, order, send, book, putAway };
}
