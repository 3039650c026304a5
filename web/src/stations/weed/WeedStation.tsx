import { TECHNIQUES, WEEDING } from '@kolleta/core/facts';
import { boxRegion, difference, growBox } from '@kolleta/core/geometry';
import { useMemo } from 'react';
import { counted, formatDuration } from '@kolleta/core/units';
import type { MarkPlan } from '@kolleta/core/plan';
import { weedWords } from '@kolleta/core/words';
import { regionPath } from '../../drawing/regionPath';
import { InMm, Scaled, useScale } from '../../drawing/Scaled';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../../frame/station';
import { LostButton } from '../../frame/LostButton';
import { StepCards } from '../../frame/StepCards';

function Waste({ plan, film }: { plan: MarkPlan; film: string }) {
  const { x, y } = useScale();
  const layer = plan.fitted.layers.find((l) => l.film === film);
  const inspection = plan.inspections.find((i) => i.film.id === film);
  const surround = TECHNIQUES[plan.mark.technique].kept === 'surround';
  const around = useMemo(() => (layer ? difference(boxRegion(growBox(plan.fitted.box, 6)), layer.region) : []), [layer, plan.fitted.box]);
  if (!layer || !inspection) return null;
  const [off, stays] = surround ? [layer.region, around] : [around, layer.region];
  const waste = surround ? inspection.pieces.shapes : inspection.pieces.counters;
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
      {waste
        .filter((w) => w.area < WEEDING.smallFrom)
        .map((w, i) => (
          <circle
            key={i}
            cx={x(w.at[0] + mx)}
            cy={y(w.at[1] + my)}
            r={Math.max(9, Math.sqrt(w.area) * 2)}
            fill="none"
            stroke="var(--color-error)"
            strokeWidth={2.2}
          />
        ))}
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
  const drawing =
    fitted && mark && layers.length > 0 ? (
      <>
        <DrawingHead title="Hatched comes off, plain stays" text="ringed pieces are small: hook and tweezers, and count them" />
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
      <p className="m-auto p-6">Nothing to weed yet.</p>
    );
  return (
    <StationLayout title="Weed" drawing={drawing}>
      <MarkTabs job={job} mark={mark} chooseMark={chooseMark} />
      {layers.map((layer) => (
        <div key={layer.film.id} className="sheet px-4 py-3">
          <h2 className="text-[0.98rem] font-bold">{layer.film.name}</h2>
          <p className="measure my-1 text-2xl font-semibold">{formatDuration(layer.weeding.minutes * job.count)}</p>
          <p className="text-[0.95rem] leading-snug">
            {job.count > 1 ? `${job.count} marks, ${formatDuration(layer.weeding.minutes)} each. ` : ''}
            Weed out {counted(layer.weeding.wastePieces, 'bit')} per mark
            {layer.weeding.smallPieces > 0 ? `, ${layer.weeding.smallPieces} of them tiny` : ''}.{' '}
            {weedWords(layer.weeding.kept, mark?.artwork.kind === 'text')}{' '}
            {layer.weeding.onCarrier ? 'Keep it flat on the cutting mat while you weed.' : 'Take it off the cutting mat first.'}
          </p>
          <p className="quiet text-sm">
            {layer.daysCut >= 1 / 24
              ? `Cut ${formatDuration(layer.daysCut * 24 * 60)} ago: the adhesive flows back into the cuts, and it takes ` +
                `${Math.round(100 * WEEDING.staleADay * Math.min(layer.daysCut, WEEDING.staleDays))} % longer than at once.`
              : 'Weed on the day of the cut: each day makes it a quarter longer.'}
          </p>
        </div>
      ))}
      <LostButton plan={plan} {...(mark ? { mark: mark.id } : {})} />
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={['weed']} />
      <StepCards plan={plan} shop={shop} stations={['weed']} />
    </StationLayout>
  );
}
