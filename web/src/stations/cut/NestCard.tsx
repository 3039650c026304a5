import { useEffect, useRef, useState } from 'react';
import { filmPrice, nestedLength, type FilmLayout, type Turning } from '@kolleta/core/cut';
import { boxHeight, boxOf, boxWidth, regionArea } from '@kolleta/core/geometry';
import { FILM_KINDS } from '@kolleta/core/facts';
import type { KeptLayout } from '@kolleta/core/job';
import { formatLength, formatMoney, type LengthSystem } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { Choice } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import type { NestReport } from '../../workers/nest.worker';
import { WorkerStopped } from '../../workers/watchedWorker';
import type { FreshLayout } from './LayByHand';
import { asAtFirst, keepLayout, layable, lockPart } from './keepLayout';
import { NEST_STARTS, nestWorkers } from './nestWorkers';

const SLICE_MS = 250;
/** It stops by itself after so long, ms. */
const ENOUGH_MS = 20_000;

/** Of their boxes parts have to leave so much open that laying them by their outlines can be shorter. */
const LEAST_OPEN = 0.05;

/** Whether the parts of a layout are more than boxes: labels on plates all alike lie as tightly as can be. */
const gainsByOutlines = ({ outlines }: FilmLayout): boolean =>
  outlines.some((region) => {
    const box = boxOf(region);
    return regionArea(region) < (1 - LEAST_OPEN) * boxWidth(box) * boxHeight(box);
  });

/** Whether a layout on a roll may become shorter. */
export const mayBeTighter = (layout: FilmLayout): boolean =>
  layout.parts.length > 1 && layout.tooWide.length === 0 && gainsByOutlines(layout);

const TURNING: readonly { readonly value: Turning; readonly label: string }[] = [
  { value: 'quarters', label: 'turned by quarters' },
  { value: 'freely', label: 'turned freely' },
];

/** Parts laid by their true outlines, for as long as the maker waits: the best so far is kept, and the plan is made with it. */
export function NestCard({
  layout,
  kept,
  asked,
  currency,
  system,
  fresh,
}: {
  layout: FilmLayout;
  kept: readonly KeptLayout[];
  asked: readonly FilmLayout[];
  currency: string;
  system: LengthSystem;
  /** The layout once everything that was changed is in it. */
  fresh: () => Promise<FreshLayout | undefined>;
}) {
  const tell = useTell();
  const [report, setReport] = useState<NestReport>();
  const [turning, setTurning] = useState<Turning>('quarters');
  const stop = useRef(false);
  /** Another search of the same layout has other chances. */
  const seed = useRef(0);
  const shownNow = layable(layout, kept, asked);
  const { parts, now, key, marks, own, sheet, locked } = shownNow;
  const shown = useRef(marks);
  /** What is looked for now. */
  const searched = useRef<string>(undefined);
  const of = `${key} ${own?.id ?? ''}`;
  const [waits, setWaits] = useState(false);
  const { directed } = FILM_KINDS[layout.film.kind];
  // another layout is another search
  useEffect(() => {
    shown.current = marks;
    if (searched.current !== of) stop.current = true;
  }, [marks, of]);
  const left = useRef(false);
  useEffect(() => {
    left.current = false;
    return () => {
      left.current = true;
      stop.current = true;
    };
  }, []);
  const long = nestedLength({ nested: now }, parts);
  const isPiece = sheet.from.kind !== 'roll';
  const all = parts.reduce((sum, { copies }) => sum + copies, 0);
  const better = (one: NestReport, other: NestReport) => (isPiece ? one.area > other.area : one.length < other.length);
  /** On a roll what is left counts too. */
  const betterFirst = (one: NestReport, other: NestReport) =>
    one.spent !== undefined && other.spent !== undefined ? one.spent - other.spent : other.area - one.area;
  const look = async () => {
    setWaits(true);
    try {
      // what is shown may be of a plan that is not made to the end
      const saved = await fresh();
      // whoever has left meanwhile wants no search any more
      if (!saved || left.current) return;
      const laid = layable(saved.layout, saved.kept, saved.asked);
      const onPiece = laid.sheet.from.kind !== 'roll';
      const wanted = laid.parts.reduce((sum, { copies }) => sum + copies, 0);
      searched.current = `${laid.key} ${laid.own?.id ?? ''}`;
      stop.current = false;
      const until = performance.now() + ENOUGH_MS;
      let best: NestReport | undefined;
      const hear = (heard: NestReport) => {
        if (!best || better(heard, best)) best = heard;
        setReport(best);
      };
      const found = await Promise.all(
        NEST_STARTS.map(async (from, i) => {
          const worker = nestWorkers[i]!;
          const { parts, sheet, options, now, locked } = laid;
          const asked = { parts, sheet, options, now, locked, turning };
          seed.current += 1;
          const number = seed.current;
          let last = await worker.call((nester) => nester.begin(asked, number, from));
          hear(last);
          while (!stop.current && performance.now() < until && !(onPiece && last.holds === wanted)) {
            last = await worker.call((nester) => nester.run(SLICE_MS));
            hear(last);
          }
          return worker.call((nester) => nester.last());
        }),
      );
      const [first] = found.flatMap((one) => one ?? []).toSorted((one, other) => betterFirst(one.report, other.report));
      if (laid.marks !== shown.current) tell('The marks were changed meanwhile. Look again: it begins with them as they are now.');
      else if (first) {
        const id = await keepLayout(laid, first.places, 'Keep the tighter layout');
        if (id === undefined) return tell('You laid parts otherwise meanwhile. That stays; look again from there.');
        const less = nestedLength({ nested: laid.now }, laid.parts) - first.report.length;
        const price = filmPrice(layout.film, less);
        tell(
          onPiece
            ? first.report.holds > laid.now.length
              ? `Kept: the ${laid.sheet.from.kind} holds ${first.report.holds} of ${wanted} now.`
              : `Kept: the ${laid.sheet.from.kind} holds larger marks now in place of smaller ones.`
            : `Kept: ${formatLength(less, system, { digits: 0 })} less film than before${price > 0 ? `, ${formatMoney(price, currency)}` : ''}.`,
          { action: { label: 'Undo', run: () => void asAtFirst(id) } },
        );
      } else
        tell(
          isPiece
            ? 'Nothing more found room in that time.'
            : 'Nothing was found in that time that saves film, with what is left of it counted.',
        );
    } catch (error) {
      if (!(error instanceof WorkerStopped) || !stop.current) tell(plainly(error), { tone: 'error' });
    } finally {
      setWaits(false);
      setReport(undefined);
    }
  };
  return (
    <section aria-label="Lay it out tighter" className="sheet px-4 py-3">
      {report ? (
        <>
          <p role="status" className="text-[0.97rem]">
            {isPiece ? (
              <>
                It holds{' '}
                <strong className="measure">
                  {report.holds} of {all}
                </strong>
                .
              </>
            ) : (
              <>
                By their outlines: <strong className="measure">{formatLength(report.length, system, { digits: 0 })}</strong> of film, by
                their boxes {formatLength(report.boxes, system, { digits: 0 })}.
              </>
            )}
          </p>
          <progress
            className="progress progress-primary my-1.5 w-full"
            value={Math.max(0, isPiece ? report.holds - now.length : long - report.length)}
            max={isPiece ? all - now.length : long * 0.35}
          />
          <button type="button" className="btn btn-sm btn-outline" onClick={() => (stop.current = true)}>
            Stop and keep the best
          </button>
        </>
      ) : (
        <>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-sm btn-outline" disabled={waits} onClick={() => void look()}>
              {isPiece ? 'Look for room for more' : 'Lay it out tighter'}
            </button>
            {own && (
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void asAtFirst(own.id)}>
                {isPiece ? 'As at first' : 'Back to boxes'}
              </button>
            )}
            {locked.length > 0 && (
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void lockPart(shownNow)}>
                Let {locked.length === 1 ? 'the part' : `all ${locked.length} parts`} go
              </button>
            )}
          </div>
          <p className="quiet mt-1 text-sm">
            {isPiece
              ? `It holds ${now.length} of ${all}. Others move aside for one more, and a larger one may come in place of a smaller`
              : own
                ? 'It goes on from the layout as it lies'
                : 'By the true outlines instead of boxes'}
            ,{' '}
            {directed ? (
              'none turned, for the film has a direction'
            ) : (
              <Choice label="How parts may be turned" value={turning} options={TURNING} onChange={setTurning} />
            )}
            , small parts in the holes of large ones
            {locked.length > 0 ? `, round ${locked.length === 1 ? 'the part' : `the ${locked.length} parts`} that you laid yourself` : ''}.
            It looks for 20 s, or until you stop it. You can also drag any part on the drawing: it stays where you lay it.
          </p>
        </>
      )}
    </section>
  );
}
