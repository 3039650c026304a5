import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { KNIFE } from '@kolleta/core/facts';
import { asTested, copiesAsked, CUT_FILES, marginOf, type CutFileId, type FilmLayout } from '@kolleta/core/cut';
import { holdsCut, readingTitle, type JobId } from '@kolleta/core/job';
import { formatLength, inSentence, listed } from '@kolleta/core/units';
import { FilmDrawing } from '../../drawing/FilmDrawing';
import { download, fileName } from '../../storage/download';
import { useTell } from '../../ui/toasts';
import { plannerWorker } from '../../workers/plannerClient';
import { plainly } from '../../storage/plainly';
import { useSettling } from '../../workers/settled';
import { usePlan } from '../../workers/usePlan';
import { DrawingHead, Readings, StationLayout, type StationProps } from '../../frame/station';
import { StepCards } from '../../frame/StepCards';
import { useWorkshop } from '../../storage/useWorkshop';
import { noteFile } from '../../storage/cutterRuns';
import { asCutFrom } from './asCutFrom';
import { CutAlong } from './CutAlong';
import { CutAnswer } from './CutAnswer';
import { CutCard } from './CutCard';
import { CutterPanel } from './CutterPanel';
import { layoutToCut } from './layoutToCut';
import { filmIn, KnifeCard } from './KnifeCard';
import { mayBeTighter, NestCard } from './NestCard';
import { FromCard } from './FromCard';
import { comers, marksOnSheet } from './onSheet';
import { ReliefWords } from './ReliefWords';
import { SheetDrawing } from './SheetDrawing';
import { LayByHand, type FreshLayout } from './LayByHand';
import { pieceFrom, piecesFirst, PIECES_FIRST } from './cutFirst';
import { laidFrom, layFrom, useAsCut, useLoads, usePieces, useSpread } from './usePieces';
import { useSteady } from './useSteady';
import { useTogether } from './useTogether';
import { useCutter } from './useCutter';
import { OnceKnown } from '../../frame/OnceKnown';

/** The film that is taken, and the file for the cutter. */
export function CutStation({ job, plan, shop, edit, fix, mark }: StationProps) {
  const whole = usePlan();
  const { jobs, events } = useWorkshop();
  // what the maker says lies in each cutter
  const [inCutter, setInCutter] = useState<Readonly<Record<string, string>>>({});
  const tell = useTell();
  const [film, setFilm] = useState<string>();
  const [along, setAlong] = useState<ReadonlySet<JobId>>(new Set());
  const system = shop.lengths;
  // the film that is looked at stays when it is cut: the next one is the maker's to choose
  const first = useRef<{ job: JobId; film: string | undefined }>(undefined);
  const shown = first.current?.job === job.id ? first.current.film : undefined;
  const { own, ready, chosen: found, done, held, left } = layoutToCut(whole, plan, film ?? shown, along);
  // what was found of layouts holds on while they are the same
  const chosen = useSteady(found);
  if (shown === undefined && own) first.current = { job: job.id, film: own.film.id };
  const stopAt = plan.readings.find(holdsCut);
  const together = useTogether(chosen, shop);
  // of each film it is said by itself what it is cut from
  const [from, setFrom] = useState<Readonly<Record<string, string>>>({});
  const filmId = own?.film.id ?? '';
  const { offers, tooLarge } = usePieces(chosen, shop, !done);
  const spread = useSpread(chosen, shop, !done && offers.length > 0);
  const onRoll = together ?? own;
  const sheets = onRoll && piecesFirst(from[filmId], { offers, roll: onRoll, spread, left }) ? spread?.sheets : undefined;
  const offer = pieceFrom(offers, from[filmId]);
  const piece = sheets?.[0] ?? offer;
  const cutFrom = sheets
    ? { kind: 'pieces' as const, all: !spread?.roll, layout: sheets[0]!.layout }
    : offer
      ? { kind: offer.piece.kind, all: offer.rest === 0, layout: offer.layout }
      : onRoll && from[filmId] === 'roll'
        ? { kind: 'roll' as const, layout: onRoll }
        : undefined;
  const read = asCutFrom(plan, filmId, done ? undefined : cutFrom);
  const layout = piece?.layout ?? onRoll;
  const nothing = layout?.parts.length === 0 && layout.tooWide.length > 0;
  const loaded = filmIn(layout?.machine, inCutter, events);
  const { fresh, settled } = useSettling();
  const [busy, setBusy] = useState(false);
  const marks = job.marks.filter((m) => plan.layers.some((l) => l.mark === m.id && l.film.id === own?.film.id));
  const onSheet = marksOnSheet(own?.film.id, { job, layers: plan.layers }, comers(ready, along, done, jobs, whole));
  const mayLose = onSheet.filter(({ kept }) => kept === 'shapes').map(({ key }) => key);
  const spares = shop.spares ? mayLose : [];
  const ordered = useAsCut(layout, shop, spares);
  const loads = useLoads(ordered, shop, spares);
  const [load, setLoad] = useState(0);
  const now = loads && Math.min(load, loads.length - 1);
  const planned = useMemo(
    () =>
      new Map(
        (whole?.schedule.steps ?? [])
          .filter((s) => s.step.takes?.film === own?.film.id && s.state !== 'done')
          .map((s) => [s.step.job, s.step.hands]),
      ),
    [whole, own],
  );
  const cutter = useCutter(planned);
  const { run } = cutter.view;
  const again = plan.schedule.steps.some(
    ({ step: { about, takes }, state }) => about.kind === 'cut' && about.again && takes?.film === filmId && state !== 'done',
  );
  /** Does something with the layout of the job as it is saved now, once everything typed is in it. */
  const withLayout = async (run: (layout: FilmLayout, left: number, title: string) => Promise<void>) => {
    setBusy(true);
    try {
      const { plan: now, state } = await settled();
      const own = now.jobs.get(job.id);
      const saved = state.jobs.find((j) => j.id === job.id);
      const next = own && layoutToCut(now, own, film ?? shown, along);
      if (!next?.own || !saved) tell('There is nothing to cut any more since your last change.', { tone: 'error' });
      else if (next.held.length > 0) tell('Since your last change something has to be fixed first. See below.', { tone: 'error' });
      else
        await run(
          asTested(await layFrom(next.chosen, state.shop, from[next.own.film.id], next.left, spares), state.events),
          next.left,
          `${saved.name} — ${next.own.film.name}`,
        );
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    } finally {
      setBusy(false);
    }
  };
  /** The layout once everything that was changed is in it. */
  const freshLayout = async (): Promise<FreshLayout | undefined> => {
    const { plan: now, state } = await settled();
    const planned = now.jobs.get(job.id);
    const next = planned && layoutToCut(now, planned, film ?? shown, along);
    if (!next?.own) return undefined;
    const layout = await laidFrom(next.chosen, state.shop, from[next.own.film.id], next.left);
    return { layout, kept: state.shop.layouts ?? [], asked: next.chosen };
  };
  const partName = (of: JobId, mark: string) => {
    const owner = of === job.id ? job : jobs.find(({ id }) => id === of);
    const [id, row] = mark.split('~');
    const found = owner?.marks.find((m) => m.id === id);
    const words = row === undefined ? undefined : plan.marks.find((m) => m.mark.id === id)?.variants.find((v) => v.row === row)?.words;
    return `${found?.name ?? 'A mark'}${words ? ` · ${words}` : ''}`;
  };
  const loadsOf = (layout: FilmLayout): Promise<FilmLayout[]> =>
    loads ? plannerWorker.call((planner) => planner.loads(layout, shop.relief, spares)) : Promise.resolve([layout]);
  const save = (kind: CutFileId) =>
    withLayout(async (layout, _, title) => {
      const { extension, mime, forMachine } = CUT_FILES[kind];
      const all = await loadsOf(layout);
      const cut = all[now ?? 0] ?? layout;
      const called = all.length > 1 ? `${title}, load ${(now ?? 0) + 1} of ${all.length}` : title;
      const { content } = await plannerWorker.call((planner) => planner.cutFile(kind, cut, called));
      download(`${fileName(called)}.${extension}`, content, mime);
      if (!done) await noteFile(layout);
      tell(
        forMachine && layout.machine
          ? `The file for ${layout.machine.name} is saved: ${layout.machine.step ?? KNIFE.step} mm a step.`
          : `The cut file is saved: ${formatLength(cut.width, system)} × ${formatLength(cut.taken, system)}, one unit is one mm.`,
      );
    });
  const drawing = run ? (
    <>
      <DrawingHead title={`${run.layout.film.name}, rehearsed`} text="petrol is cut · red is still to come · the dot is the knife" />
      <FilmDrawing
        layout={run.layout}
        system={system}
        progress={{ strokes: cutter.view.report?.strokes ?? run.strokes, knife: cutter.view.report?.knife ?? [0, 0] }}
        className="min-h-[20rem] flex-1 lg:min-h-0"
      />
    </>
  ) : layout && nothing ? (
    <p className="m-auto max-w-sm p-6 text-center" role="status">
      No mark finds room on <strong>{layout.film.name}</strong>. It is {formatLength(layout.width, system)} wide, and of that{' '}
      {formatLength(Math.max(0, layout.width - 2 * marginOf(layout)), system)} can be cut: {listed(layout.tooWide.map(({ name }) => name))}{' '}
      {layout.tooWide.length === 1 ? 'is' : 'are'} wider, whichever way round.
    </p>
  ) : layout ? (
    <SheetDrawing
      layout={(loads && loads[now ?? 0]) ?? ordered ?? layout}
      job={job.id}
      done={done}
      again={again}
      shared={chosen.length > 1}
      system={system}
    >
      {!done && !loads && layout.tooWide.length === 0 ? (
        <LayByHand
          layout={ordered ?? layout}
          job={job.id}
          kept={shop.layouts ?? []}
          asked={chosen}
          system={system}
          nameOf={({ job: of, mark }) => partName(of, mark)}
          fresh={freshLayout}
        />
      ) : undefined}
    </SheetDrawing>
  ) : (
    <p className="m-auto max-w-sm p-6 text-center">
      <OnceKnown of={plan}>
        Nothing can be cut yet.{' '}
        {stopAt ? (
          <>
            Fix this first:{' '}
            <Link className="font-bold underline" to={`/job/${job.id}/${stopAt.station}`}>
              {inSentence(readingTitle(stopAt))}
            </Link>
            .
          </>
        ) : (
          'Give the job a mark at the Draw station.'
        )}
      </OnceKnown>
    </p>
  );
  return (
    <StationLayout title="Cut" drawing={drawing}>
      {own && !done && <CutAnswer job={job.id} film={own.film.id} planned={planned} system={system} />}
      {run && (
        <CutterPanel
          view={cutter.view}
          run={run}
          system={system}
          filmLeft={left}
          order={cutter.order}
          book={cutter.book}
          putAway={cutter.putAway}
        />
      )}
      {plan.layouts.length > 1 && (
        <div className="flex flex-wrap gap-1.5" role="group" aria-label="Films">
          {plan.layouts.map((l) => (
            <button
              key={l.film.id}
              type="button"
              aria-pressed={l.film.id === own?.film.id}
              className={`btn btn-sm ${l.film.id === own?.film.id ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
              onClick={() => setFilm(l.film.id)}
            >
              <span className="border-base-300 inline-block size-3.5 rounded-sm border" style={{ background: l.film.colour }} />
              {l.film.name}
            </button>
          ))}
        </div>
      )}
      {layout && (
        <CutCard
          layout={layout}
          job={job.id}
          sheet={onSheet}
          flipped={marks.some((m) => m.flip)}
          held={held}
          system={system}
          busy={busy}
          loads={loads?.length ?? 1}
          load={now ?? 0}
          onLoad={setLoad}
          mayRehearse={!done && run === undefined}
          fresh={fresh}
          problem={run ? undefined : cutter.view.problem}
          onSave={save}
          onRehearse={() =>
            withLayout(async (layout, left) => {
              const all = await loadsOf(layout);
              const number = now ?? 0;
              await cutter.send(
                all[number] ?? layout,
                layout.sheet.from.kind === 'roll' ? left : layout.taken,
                shop.films.find(({ id }) => id === loaded) ?? layout.film,
                all.length > 1 ? { number: number + 1, of: all.length } : undefined,
              );
            })
          }
        />
      )}
      {layout?.machine && !done && !run && !nothing && (
        <KnifeCard
          key={`${filmId} ${layout.machine.id}`}
          layout={layout}
          machine={layout.machine}
          loaded={loaded}
          onLoaded={(film) => setInCutter((known) => ({ ...known, [layout.machine!.id]: film }))}
        />
      )}
      {layout && !done && !run && !nothing && <ReliefWords layout={ordered ?? layout} shop={shop} mayLose={mayLose.length > 0} />}
      {onRoll && !done && !run && (
        <FromCard
          roll={onRoll}
          left={left}
          offers={offers}
          tooLarge={tooLarge}
          chosen={sheets ? PIECES_FIRST : piece?.piece.id}
          spread={spread}
          currency={shop.currency}
          system={system}
          onChange={(id) => setFrom((known) => ({ ...known, [filmId]: id }))}
        />
      )}
      {layout && !done && !run && (piece ? layout.parts.length < (onRoll ? copiesAsked(onRoll) : 0) : mayBeTighter(layout)) && (
        <NestCard layout={layout} kept={shop.layouts ?? []} asked={chosen} currency={shop.currency} system={system} fresh={freshLayout} />
      )}
      {own && !done && ready.length > 0 && (
        <CutAlong
          own={own}
          ready={ready}
          along={along}
          machines={shop.machines}
          system={system}
          currency={shop.currency}
          nameOf={(id) => jobs.find((one) => one.id === id)?.name ?? id}
          onChange={setAlong}
        />
      )}
      <Readings plan={read} edit={edit} fix={fix} mark={mark} stations={['cut']} />
      <StepCards plan={read} shop={shop} stations={['cut']} />
    </StationLayout>
  );
}
