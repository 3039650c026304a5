import { memo, useMemo, type ReactNode } from 'react';
import { holdDownOf, strokesOf, type FilmLayout } from '@kolleta/core/cut';
import { LABEL } from '@kolleta/core/facts';
import type { Point } from '@kolleta/core/geometry';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { Dimension } from './Dimension';
import { linePath, regionPath } from './regionPath';
import { InMm, Scaled, useScale } from './Scaled';
import { MmRect } from './MmRect';

interface Props {
  layout: FilmLayout;
  /** Parts of other jobs are drawn faint. */
  job?: string;
  system: LengthSystem;
  className?: string;
  pad?: [number, number, number, number];
  /** What the knife has done: outlines cut whole, and where it is, mm. */
  progress?: { readonly strokes: number; readonly knife: Point };
  /** Drawn over the parts. */
  children?: ReactNode;
}

/** Outlines that are cut, and the knife. */
function CutSoFar({ layout, progress }: { layout: FilmLayout; progress: NonNullable<Props['progress']> }) {
  const { x, y } = useScale();
  const strokes = useMemo(() => strokesOf(layout).map(({ ring }) => regionPath([{ outer: ring, holes: [] }])), [layout]);
  const [kx, ky] = progress.knife;
  return (
    <>
      <InMm>
        <path
          d={strokes.slice(0, progress.strokes).join('')}
          fill="none"
          stroke="#0e5a61"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </InMm>
      <circle cx={x(kx)} cy={y(ky)} r={5} fill="#d98e16" stroke="#22302f" strokeWidth={1.5} />
    </>
  );
}

/** Film laid across, the length that is taken running up; the hold-down margins shaded. */
export const FilmDrawing = memo(function FilmDrawing({
  layout,
  job,
  system,
  className,
  pad = [26, 92, 40, 20],
  progress,
  children,
}: Props) {
  const { film, width, taken } = layout;
  const holdDown = holdDownOf(layout.machine);
  // runs that were noted by an older Kolleta say nothing of a sheet
  const onRoll = (layout.sheet?.from.kind ?? 'roll') === 'roll';
  const more = onRoll ? Math.min(60, taken * 0.25 + 15) : 0;
  const sheet = { minX: 0, maxX: width, minY: 0, maxY: taken };
  return (
    <Scaled
      box={{ ...sheet, maxY: taken + more }}
      pad={pad}
      className={className}
      label={`${film.name}: ${layout.parts.length} marks on ${formatLength(taken, system)} of film`}
      most={5}
    >
      <defs>
        <linearGradient id="roll" x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stopColor={film.colour} stopOpacity="0.15" />
          <stop offset="1" stopColor={film.colour} />
        </linearGradient>
      </defs>
      {onRoll ? (
        <>
          <MmRect box={{ ...sheet, minY: taken, maxY: taken + more }} fill="url(#roll)" />
          <MmRect box={sheet} fill={film.colour} stroke="var(--color-base-content)" />
          <MmRect box={{ ...sheet, maxX: holdDown }} fill="var(--color-base-content)" fillOpacity={0.09} />
          <MmRect box={{ ...sheet, minX: width - holdDown }} fill="var(--color-base-content)" fillOpacity={0.09} />
          <MmRect box={{ ...sheet, maxY: holdDown }} fill="var(--color-base-content)" fillOpacity={0.09} />
          <MmRect box={{ ...sheet, minY: taken - holdDown }} fill="var(--color-base-content)" fillOpacity={0.09} />
        </>
      ) : (
        <InMm>
          <path
            d={regionPath(layout.sheet.outline)}
            fill={film.colour}
            fillRule="evenodd"
            stroke="var(--color-base-content)"
            vectorEffect="non-scaling-stroke"
          />
        </InMm>
      )}
      <InMm>
        {layout.parts.map((part) => (
          <path
            key={`${part.job}${part.mark}${part.copy}`}
            d={regionPath(layout.outlines[part.outline]!)}
            transform={`matrix(${part.place.join(' ')})`}
            fill="#fbf9f4"
            fillOpacity={0.3}
            fillRule="evenodd"
            stroke={job === undefined || part.job === job ? '#b3261e' : 'var(--color-base-content)'}
            strokeOpacity={job === undefined || part.job === job ? 1 : 0.45}
            strokeWidth={0.9}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </InMm>
      {layout.spares && (
        <InMm>
          <path
            d={layout.spares.map((region) => regionPath(region)).join('')}
            fill="#fbf9f4"
            fillOpacity={0.3}
            fillRule="evenodd"
            stroke="#2e6fb0"
            strokeWidth={1.4}
            vectorEffect="non-scaling-stroke"
          />
        </InMm>
      )}
      {layout.register && (
        <InMm>
          <path
            d={linePath(layout.register)}
            fill="none"
            stroke="var(--color-base-content)"
            strokeWidth={2.4}
            vectorEffect="non-scaling-stroke"
          />
        </InMm>
      )}
      {layout.relief && (
        <InMm>
          <path
            d={linePath(layout.relief)}
            fill="none"
            stroke="var(--color-accent)"
            strokeWidth={1.4}
            strokeDasharray="6 3"
            vectorEffect="non-scaling-stroke"
          />
        </InMm>
      )}
      {layout.pens && (
        <InMm>
          {layout.parts.map((part) => (
            <path
              key={`${part.job}${part.mark}${part.copy}`}
              d={linePath(layout.pens![part.outline] ?? [])}
              transform={`matrix(${part.place.join(' ')})`}
              fill="none"
              stroke={LABEL.ink}
              strokeWidth={0.9}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </InMm>
      )}
      {progress && <CutSoFar layout={layout} progress={progress} />}
      {children}
      <Dimension from={[0, 0]} to={[width, 0]} beside={12} system={system} />
      <Dimension from={[width, 0]} to={[width, taken]} beside={12} system={system} />
    </Scaled>
  );
});
