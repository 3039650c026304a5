import { useEffect, useRef, useState } from 'react';
import { asLaid, nestedLength, partsKey, type FilmLayout, type NamedPart } from '@kolleta/core/cut';
import { boxHeight, boxOf, boxWidth, regionArea } from '@kolleta/core/geometry';
import { FILM_KINDS, LAYOUT } from '@kolleta/core/facts';
import { removeAt, setAt, type KeptLayout } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import type { NestReport, NestWorker } from '../../workers/nest.worker';
import { WatchedWorker, WorkerStopped } from '../../workers/watchedWorker';

/** A call of the worker is given up after so long, ms; it answers every `SLICE_MS`. */
const LIMIT_MS = 30_000;
const SLICE_MS = 250;
/** It stops by itself after so long, ms. */
const ENOUGH_MS = 20_000;
/** Layouts of other parts of the same film that are kept beside this one. */
const MOST_KEPT = 6;

/** Two look at once, each from another start and with chance of its own. */
const STARTS = ['boxes', 'outlines'] as const;
const nestWorkers = STARTS.map(
  () =>
    new WatchedWorker<NestWorker>(
      'The nester',
      () => new Worker(new URL('../../workers/nest.worker.ts', import.meta.url), { type: 'module' }),
      LIMIT_MS,
    ),
);

/** What a layout is made of, as it was asked to be laid. */
const partsIn = ({ film, outlines, parts }: FilmLayout): readonly NamedPart[] =>
  asLaid(
    film,
    outlines.map((region, i): NamedPart => {
      const own = parts.filter(({ outline }) => outline === i);
      return { job: own[0]?.job ?? '', mark: own[0]?.mark ?? '', copies: own.length, region };
    }),
  );

/** Of their boxes parts have to leave so much open that laying them by their outlines can be shorter. */
const LEAST_OPEN = 0.05;

/** Whether the parts of a layout are more than boxes: labels on plates all alike lie as tightly as can be. */
export const gainsByOutlines = ({ outlines }: FilmLayout): boolean =>
  outlines.some((region) => {
    const box = boxOf(region);
    return regionArea(region) < (1 - LEAST_OPEN) * boxWidth(box) * boxHeight(box);
  });

/** Parts laid by their true outlines, for as long as the maker waits: the best so far is kept, and the plan is made with it. */
export function NestCard({ layout, kept, system }: { layout: FilmLayout; kept: readonly KeptLayout[]; system: LengthSystem }) {
  const tell = useTell();
  const [report, setReport] = useState<NestReport>();
  const stop = useRef(false);
  const parts = partsIn(layout);
  const key = partsKey(parts);
  // another layout is another search
  useEffect(
    () => () => {
      stop.current = true;
    },
    [key],
  );
  const now = nestedLength({ nested: layout.parts.map(({ outline, place }) => ({ part: outline, copy: 0, sheet: 0, place })) }, parts);
  const back = (id: string) => editShop(() => removeAt(['layouts', id]), 'Lay it out by boxes');
  const own = kept.findLast((one) => one.film === layout.film.id && one.parts === key);
  const keep = async (places: KeptLayout['places'], saved: number) => {
    const one: KeptLayout = { id: newId(), film: layout.film.id, parts: key, places };
    await editShop((shop) => {
      const own = (shop.layouts ?? []).filter(({ film }) => film === layout.film.id);
      const gone = own.filter((kept, i) => kept.parts === key || i < own.length - MOST_KEPT);
      return [...gone.flatMap(({ id }) => removeAt(['layouts', id])), ...setAt(['layouts', one.id], one)];
    }, 'Keep the tighter layout');
    tell(`Kept: ${formatLength(saved, system, { digits: 0 })} less film than before.`, {
      action: { label: 'Undo', run: () => void back(one.id) },
    });
  };
  const look = async () => {
    stop.current = false;
    try {
      const until = performance.now() + ENOUGH_MS;
      let best: NestReport | undefined;
      const hear = (heard: NestReport) => {
        if (!best || heard.length < best.length) best = heard;
        setReport(best);
      };
      const found = await Promise.all(
        STARTS.map(async (from, i) => {
          const worker = nestWorkers[i]!;
          let last = await worker.call((nester) => nester.begin(parts, layout.sheet, LAYOUT, i + 1, from));
          hear(last);
          while (!stop.current && performance.now() < until) {
            last = await worker.call((nester) => nester.run(SLICE_MS));
            hear(last);
          }
          return { length: last.length, places: await worker.call((nester) => nester.best()) };
        }),
      );
      const [shortest] = found.filter(({ places }) => places).toSorted((one, other) => one.length - other.length);
      if (shortest?.places && shortest.length < now - 0.5) await keep(shortest.places, now - shortest.length);
      else tell('No shorter layout was found in that time.');
    } catch (error) {
      if (!(error instanceof WorkerStopped) || !stop.current) tell(plainly(error), { tone: 'error' });
    } finally {
      setReport(undefined);
    }
  };
  return (
    <section aria-label="Lay it out tighter" className="sheet px-4 py-3">
      {report ? (
        <>
          <p role="status" className="text-[0.97rem]">
            By their outlines: <strong className="measure">{formatLength(report.length, system, { digits: 0 })}</strong> of film, by their
            boxes {formatLength(report.boxes, system, { digits: 0 })}.
          </p>
          <progress className="progress progress-primary my-1.5 w-full" value={report.boxes - report.length} max={report.boxes * 0.35} />
          <button type="button" className="btn btn-sm btn-outline" onClick={() => (stop.current = true)}>
            Stop and keep the best
          </button>
        </>
      ) : (
        <>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-sm btn-outline" onClick={() => void look()}>
              Lay it out tighter
            </button>
            {own && (
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void back(own.id)}>
                Back to boxes
              </button>
            )}
          </div>
          <p className="quiet mt-1 text-sm">
            {own
              ? 'It lies by its outlines now. Another search begins anew, and is kept where it is shorter still.'
              : `By the true outlines instead of boxes, ${FILM_KINDS[layout.film.kind].directed ? 'none turned, for the film has a direction' : 'turned by quarters'}, small parts in the holes of large ones. It looks for 20 s, or until you stop it.`}
          </p>
        </>
      )}
    </section>
  );
}
