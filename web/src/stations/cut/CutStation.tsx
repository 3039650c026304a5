import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { KNIFE, LAYOUT, TECHNIQUES } from '@kolleta/core/facts';
import { holdsCut } from '@kolleta/core/job';
import { formatDuration, formatLength, formatWay } from '@kolleta/core/units';
import { FilmDrawing } from '../../drawing/FilmDrawing';
import { download, fileName } from '../../storage/download';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';
import { plannerWorker } from '../../workers/plannerClient';
import { usePlan } from '../../workers/usePlan';
import { DrawingHead, Readings, StationLayout, type StationProps } from '../job/station';
import { StepCards } from '../steps/StepCards';
import { useWorkshop } from '../../storage/useWorkshop';
import { CutterPanel } from './CutterPanel';
import { useCutter } from './useCutter';

/** The film that is taken, and the file for the cutter. */
export function CutStation({ job, plan, shop, edit, mark }: StationProps) {
  const whole = usePlan();
  const { jobs } = useWorkshop();
  const tell = useTell();
  const [film, setFilm] = useState<string>();
  const [alone, setAlone] = useState(false);
  const system = shop.lengths;
  const own = plan.layouts.find((l) => l.film.id === film) ?? plan.layouts[0];
  const shared = whole?.layouts.find((l) => l.film.id === own?.film.id);
  const done = plan.schedule.steps.some((s) => s.state === 'done' && s.step.takes?.film === own?.film.id);
  const others = shared && shared.parts.some((p) => p.job !== job.id);
  const layout = own && (alone || !shared || done ? own : shared);
  const marks = job.marks.filter((m) => plan.layers.some((l) => l.mark === m.id && l.film.id === own?.film.id));
  const planned = useMemo(
    () => new Map((whole?.schedule.steps ?? []).filter((s) => s.step.takes?.film === own?.film.id).map((s) => [s.step.job, s.step.hands])),
    [whole, own],
  );
  const cutter = useCutter(planned);
  const { run } = cutter.view;
  const jobsIn = [...new Set(layout?.parts.map((part) => part.job) ?? [])];
  // a stop keeps the film of every job in this layout from the knife
  const held = jobsIn.flatMap((id) => (whole?.jobs.get(id) ?? plan).readings.filter(holdsCut).map((stop) => ({ id, stop })));
  const left = whole?.filmLeft.get(layout?.film.id ?? '') ?? layout?.film.length ?? 0;
  const save = async () => {
    if (!layout) return;
    const title = `${job.name} — ${layout.film.name}`;
    try {
      download(`${fileName(title)}.svg`, await plannerWorker.call((planner) => planner.cutFile(layout, title)), 'image/svg+xml');
      tell(`The cut file is saved: ${formatLength(layout.width, system)} × ${formatLength(layout.taken, system)}, one unit is one mm.`);
    } catch (error) {
      tell(error instanceof Error ? error.message : String(error), { tone: 'error' });
    }
  };
  const saveHpgl = async () => {
    if (!layout?.machine) return;
    const { machine } = layout;
    const text = await plannerWorker.call((planner) => planner.hpgl(layout, machine));
    download(`${fileName(`${job.name} — ${layout.film.name}`)}.hpgl`, text, 'text/plain');
    tell(`The HPGL file for ${machine.name} is saved: ${machine.step ?? KNIFE.step} mm a step.`);
  };
  const drawing = run ? (
    <>
      <DrawingHead title={`${run.layout.film.name}, under the knife`} text="petrol is cut · red is still to come · the dot is the knife" />
      <FilmDrawing
        layout={run.layout}
        system={system}
        progress={{ strokes: cutter.view.report?.strokes ?? run.strokes, knife: cutter.view.report?.knife ?? [0, 0] }}
        className="h-[24rem] flex-1 lg:h-auto"
      />
    </>
  ) : layout ? (
    <>
      <DrawingHead
        title={`${layout.film.name}, as it lies on the roll`}
        text={
          done
            ? 'This job has been cut from it.'
            : `red is the knife · shaded is held down, ${formatLength(LAYOUT.holdDown, system)} each side${others && !alone ? ' · grey belongs to other jobs' : ''}`
        }
      >
        {others && !done && (
          <button type="button" className="btn btn-xs btn-ghost border-base-300" aria-pressed={alone} onClick={() => setAlone(!alone)}>
            {alone ? 'With the other open jobs' : 'This job alone'}
          </button>
        )}
      </DrawingHead>
      <FilmDrawing layout={layout} job={job.id} system={system} className="h-[24rem] flex-1 lg:h-auto" />
      <dl className="border-base-300 measure grid grid-cols-2 gap-x-4 border-t px-4 py-2.5 text-[0.86rem] sm:grid-cols-4">
        {[
          ['film taken', formatLength(layout.taken, system)],
          ['knife down', formatWay(layout.knife, system)],
          ['knife up', formatWay(layout.travel, system)],
          ['with loading', formatDuration(layout.minutes)],
        ].map(([name, value]) => (
          <div key={name}>
            <dt className="quiet font-sans">{name}</dt>
            <dd className="text-base font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
    </>
  ) : (
    <p className="m-auto max-w-sm p-6 text-center">Nothing to cut yet. Give the job a mark at the Draw station.</p>
  );
  return (
    <StationLayout title="Cut" drawing={drawing}>
      {run && <CutterPanel view={cutter.view} run={run} system={system} filmLeft={left} order={cutter.order} settle={cutter.settle} />}
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
        <div className="sheet px-4 py-3">
          <p className="text-[1.02rem] leading-7">
            Cut <strong>{layout.parts.length}</strong> {layout.parts.length === 1 ? 'mark' : 'marks'} on the{' '}
            <strong>{layout.machine?.name ?? 'cutter'}</strong>, film colour side up,{' '}
            <strong>
              {marks.some((m) => m.seenThrough) ? 'mirrored: they are seen through the piece' : 'as they are read, not mirrored'}
            </strong>
            {marks.some((m) => m.flip) ? ', flipped as you asked' : ''}.{' '}
            {[...new Set(marks.map((m) => TECHNIQUES[m.technique].says))].join(' ')}
          </p>
          {held.length > 0 && (
            <div className="mt-1 flex items-start gap-2 text-sm" role="status">
              <VerdictMark verdict="stop" size={18} />
              <span>
                Kept from the knife until it is cured or answered for:{' '}
                {held.map(({ id, stop }, i) => (
                  <span key={`${id}${stop.id}`}>
                    {i > 0 && ', '}
                    <Link className="font-bold underline" to={`/job/${id}/${stop.station}`}>
                      {stop.title.toLowerCase()}
                    </Link>
                    {id === job.id ? '' : ` (${jobs.find((j) => j.id === id)?.name ?? id})`}
                  </span>
                ))}
                .{held.every(({ id }) => id !== job.id) && others ? ' Or cut this job alone.' : ''}
              </span>
            </div>
          )}
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary"
              disabled={held.length > 0 || done || run !== undefined || !layout.machine}
              onClick={() => void cutter.send(layout, left)}
            >
              Send it to the cutter
            </button>
            <button type="button" className="btn btn-outline btn-primary" disabled={held.length > 0} onClick={() => void save()}>
              Save the cut file (SVG, mm)
            </button>
            {layout.machine && (
              <button type="button" className="btn btn-ghost border-base-300" disabled={held.length > 0} onClick={() => void saveHpgl()}>
                As HPGL
              </button>
            )}
          </div>
          {!run && cutter.view.problem && (
            <p role="alert" className="bg-error text-error-content mt-2 rounded px-3 py-2 text-sm">
              {cutter.view.problem}
            </p>
          )}
        </div>
      )}
      <Readings plan={plan} edit={edit} mark={mark} stations={['cut']} />
      <StepCards plan={plan} shop={shop} stations={['cut']} />
    </StationLayout>
  );
}
