import { keptOf, weedSpots } from '@kolleta/core/cut';
import { FILM_KINDS, TECHNIQUES, WAITS, WEEDING } from '@kolleta/core/facts';
import { luminance } from '@kolleta/core/fit';
import { boxRegion, difference, growBox } from '@kolleta/core/geometry';
import { useMemo } from 'react';
import { stepIdOf } from '@kolleta/core/job';
import { formatMoment } from '@kolleta/core/schedule';
import { counted, formatDuration, MINUTE_MS } from '@kolleta/core/units';
import type { LayerPlan, MarkPlan } from '@kolleta/core/plan';
import { weedStages } from '@kolleta/core/words';
import { regionPath } from '../../drawing/regionPath';
import { InMm, Scaled, useScale } from '../../drawing/Scaled';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../../frame/station';
import { LostButton } from '../../frame/LostButton';
import { StepCards } from '../../frame/StepCards';
import { OnceKnown } from '../../frame/OnceKnown';

function Waste({ plan, film }: { plan: MarkPlan; film: string }) {
  const { x, y } = useScale();
  const layer = plan.fitted.layers.find((l) => l.film === film);
  const inspection = plan.inspections.find((i) => i.film.id === film);
  const surround = TECHNIQUES[plan.mark.technique].kept === 'surround';
  const around = useMemo(() => (layer ? difference(boxRegion(growBox(plan.fitted.box, 6)), layer.region) : []), [layer, plan.fitted.box]);
  if (!layer || !inspection) return null;
  const [off, stays] = surround ? [layer.region, around] : [around, layer.region];
  const [mx, my] = plan.fitted.at;
  return (
    <g>
      <defs>
        <pattern id="waste" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill={inspection.film.colour} opacity="0.35" />
          <rect width="2.4" height="7" fill="var(--color-error)" opacity="0.55" />
        </pattern>
      </defs>
      <g fill="url(#waste)">
        <g transform={`translate(${x(0)} ${y(0)})`}>
          <ScaledPath d={regionPath(off)} />
        </g>
      </g>
      <InMm>
        <path
          d={regionPath(stays)}
          fill={inspection.film.colour}
          fillRule="evenodd"
          stroke="var(--color-base-content)"
          strokeWidth={0.8}
          vectorEffect="non-scaling-stroke"
        />
      </InMm>
      {weedSpots(inspection.pieces, keptOf(plan.mark, film)).map(({ number, comes, at, area }) => {
        const [cx, cy, r] = [x(at[0] + mx), y(at[1] + my), Math.max(9, Math.sqrt(area) * 2)];
        const colour = comes === 'out' ? 'var(--color-error)' : 'var(--color-accent)';
        return (
          <g key={number}>
            <circle cx={cx} cy={cy} r={r} fill="none" stroke={colour} strokeWidth={2.2} />
            <text
              x={cx + r * 0.75 + 2}
              y={cy - r * 0.75}
              fontSize={12}
              fontWeight={700}
              fill={colour}
              stroke="var(--color-base-100)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {number}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A path in mm whose fill keeps its pattern in pixels: the pattern is not stretched, the path is. */
function ScaledPath({ d }: { d: string }) {
  const { k } = useScale();
  const scaled = useMemo(
    () => d.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, a: string, b: string) => `${(Number(a) * k).toFixed(1)} ${(-Number(b) * k).toFixed(1)}`),
    [d, k],
  );
  return <path d={scaled} fillRule="evenodd" />;
}

/** What comes off the liner, what stays, and how long it takes. */
export function WeedStation({ job, plan, shop, edit, fix, mark, chooseMark }: StationProps) {
  const fitted = plan.marks.find((m) => m.mark.id === mark?.id);
  const layers = plan.layers.filter((l) => l.mark === mark?.id);
  const weedStep = (film: string) => plan.recipe.steps.find(({ id }) => id === stepIdOf(job.id, `weed:${mark?.id ?? ''}:${film}`));
  const isOnMat = (film: string): boolean => {
    const about = weedStep(film)?.about;
    return about?.kind === 'weed' && about.weeding.mat === true;
  };
  /** How a layer of this mark is weeded. */
  const stagesOf = ({ film, weeding, width }: LayerPlan): string[] => {
    const pieces = fitted?.inspections.find((one) => one.film.id === film.id)?.pieces;
    const spots = pieces ? weedSpots(pieces, weeding.kept) : [];
    return weedStages({
      ...{ kept: weeding.kept, letters: mark?.artwork.kind === 'text', onCarrier: weeding.onCarrier, width },
      mat: isOnMat(film.id),
      ...{ dark: luminance(film.colour) < WEEDING.dark, hot: FILM_KINDS[film.kind].by === 'heat' },
      relief: shop.relief !== undefined,
      smallOut: spots.filter(({ comes }) => comes === 'out').length,
      smallStays: spots.filter(({ comes }) => comes === 'stays').length,
    });
  };
  /** Minutes of a layer for the whole set, as its step says: the log may have taught otherwise than is computed. */
  const minutesOf = ({ film, weeding }: LayerPlan): number => weedStep(film.id)?.hands ?? weeding.minutes * job.count;
  /** By when a layer is weeded: a day after its cut, as that was or is planned. */
  const weedBy = ({ film, mark: of }: LayerPlan): string => {
    const cut = plan.schedule.steps.find(({ step }) => step.takes?.film === film.id);
    const weeded = plan.schedule.steps.some(({ step, state }) => step.id === stepIdOf(job.id, `weed:${of}:${film.id}`) && state === 'done');
    return cut && !weeded ? ` By ${formatMoment(cut.end + WAITS.weedWithin * MINUTE_MS, shop.hours.zone)}.` : '';
  };
  const drawing =
    fitted && mark && layers.length > 0 ? (
      <>
        <DrawingHead title="Hatched comes off, plain stays" text="numbered is small: red comes out, amber stays and is held down" />
        <div className="flex flex-1 flex-col">
          {layers.map((layer) => (
            <Scaled
              key={layer.film.id}
              box={growBox(fitted.fitted.box, 7)}
              pad={[18, 24, 18, 24]}
              className="h-72 flex-1"
              label={`Weeding ${layer.film.name}`}
              most={12}
            >
              <Waste plan={fitted} film={layer.film.id} />
            </Scaled>
          ))}
        </div>
      </>
    ) : (
      <p className="m-auto p-6">
        <OnceKnown of={plan}>Nothing to weed yet.</OnceKnown>
      </p>
    );
  return (
    <StationLayout title="Weed" drawing={drawing}>
      <MarkTabs job={job} mark={mark} chooseMark={chooseMark} />
      {layers.map((layer) => (
        <div key={layer.film.id} className="sheet px-4 py-3">
          <h2 className="text-[0.98rem] font-bold">{layer.film.name}</h2>
          <p className="measure my-1 text-2xl font-semibold">{formatDuration(minutesOf(layer))}</p>
          <p className="text-[0.95rem] leading-snug">
            {job.count > 1 ? `${job.count} marks, ${formatDuration(minutesOf(layer) / job.count)} each. ` : ''}
            Weed out {counted(layer.weeding.wastePieces, 'bit')} per mark
            {layer.weeding.smallPieces > 0 ? `, ${layer.weeding.smallPieces} of them tiny` : ''}.{' '}
          </p>
          <ol className="mt-1 list-decimal pl-5 text-[0.92rem] leading-snug">
            {stagesOf(layer).map((stage) => (
              <li key={stage}>{stage}</li>
            ))}
          </ol>
          <p className="quiet text-sm">
            {layer.daysCut >= 1 / 24
              ? `Cut ${formatDuration(layer.daysCut * 24 * 60)} ago: the adhesive flows back into the cuts, and it takes ` +
                `${Math.round(100 * WEEDING.staleADay * Math.min(layer.daysCut, WEEDING.staleDays))} % longer than at once.`
              : 'Weed on the day of the cut: each day makes it a quarter longer.'}
            {weedBy(layer)}
          </p>
        </div>
      ))}
      <LostButton plan={plan} {...(mark ? { mark: mark.id } : {})} />
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={['weed']} />
      <StepCards plan={plan} shop={shop} stations={['weed']} />
    </StationLayout>
  );
}
