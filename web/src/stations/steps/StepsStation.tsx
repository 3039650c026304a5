import { wallBox, paintedAround } from '@kolleta/core/blanks';
import { now } from '../../storage/clock';
import { careWords } from '@kolleta/core/words';
import { LAYOUT, TECHNIQUES } from '@kolleta/core/facts';
import { placedBox } from '@kolleta/core/cut';
import { boxCentre, growBox, type Box } from '@kolleta/core/geometry';
import { type StationId } from '@kolleta/core/job';
import { formatDay, formatPromise } from '@kolleta/core/schedule';
import { formatDuration, formatLength } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { FrontView, inViewOrder } from '../../drawing/FrontView';
import { MarkShapes } from '../../drawing/MarkShapes';
import { Scaled, useScale } from '../../drawing/Scaled';
import { useSize } from '../../ui/useSize';
import { flatBox } from '../../drawing/flatBox';
import { MmRect } from '../../drawing/MmRect';
import { WallDrawing } from '../../drawing/WallDrawing';
import { DrawingHead, Readings, StationLayout, type StationProps } from '../../frame/station';
import { useMemo } from 'react';
import { GatherCard } from '../../frame/GatherCard';
import { useGather } from '../../frame/useGather';
import { CareCards } from './CareCards';
import { MakingWords } from './MakingWords';
import { NeedsWords } from './NeedsWords';
import { OwnSteps } from './OwnSteps';
import { PlacingWords } from './PlacingWords';
import { SealWords } from './SealWords';
import { UsualSteps } from './UsualSteps';
import { StepCards } from '../../frame/StepCards';
import { OnceKnown } from '../../frame/OnceKnown';

const WORDS: Record<string, { title: string; text: string }> = {
  prepare: { title: 'The piece, made ready', text: 'Hatched is where film goes: clean there, and keep fingers off.' },
  cure: { title: 'What goes on after the last step', text: 'Bars are drawn to one scale, from when they begin.' },
};

/** What the drawing of the piece shows where marks are placed. */
const placeWords = (edge: string): { title: string; text: string } => ({
  title: 'Where each mark goes',
  text: `Measured from the ${edge} and from the middle. Lay this beside the piece.`,
});

/** What the drawing of the piece shows where marks are painted, etched or pressed. */
function paintWords({ marks }: StationProps['job']): { title: string; text: string } {
  const stencil = marks.some(({ technique }) => TECHNIQUES[technique].madeAt !== undefined && TECHNIQUES[technique].border > 0);
  return stencil
    ? { title: 'The stencil on the piece', text: 'Dashed is the film, dotted is how far to mask beyond it.' }
    : { title: 'What it will look like', text: 'As it is seen once the work at this station is done.' };
}

function PlaceMarks({ plan, shop, station }: Pick<StationProps, 'plan' | 'shop'> & { station: StationId }) {
  const { x, y, k } = useScale();
  const system = shop.lengths;
  return (
    <g>
      {inViewOrder(plan.marks).map((m) => {
        const box = placedBox(m.mark, m.fitted.box);
        const [cx] = boxCentre(box);
        const { madeAt, border } = TECHNIQUES[m.mark.technique];
        if (station === 'paint' && madeAt === undefined) return null;
        const masked = station === 'paint' && border > 0;
        const film = growBox(box, border);
        return (
          <g key={m.mark.id}>
            {station === 'prepare' && (
              <rect
                x={x(box.minX) - 6}
                y={y(box.maxY) - 6}
                width={k * (box.maxX - box.minX) + 12}
                height={k * (box.maxY - box.minY) + 12}
                fill="url(#clean)"
                stroke="var(--wait)"
              />
            )}
            {masked && (
              <MmRect
                box={growBox(film, LAYOUT.maskingBorder)}
                stroke="var(--color-base-content)"
                dash="2 4"
                fill="var(--liner)"
                fillOpacity={0.5}
              />
            )}
            {masked && <MmRect box={film} stroke="var(--color-primary)" dash="7 4" fill="var(--color-primary)" fillOpacity={0.14} />}
            <MarkShapes plan={m} shop={shop} />
            {station === 'place' &&
              m.places.map(([px, py], i) => (
                <g key={`${px} ${py}`} transform={`translate(${x(px)} ${y(py)})`}>
                  <circle r={8} fill="var(--color-base-100)" stroke="var(--color-base-content)" />
                  <text y={4} fontSize={11} textAnchor="middle" fill="var(--color-base-content)">
                    {i + 1}
                  </text>
                </g>
              ))}
            {station === 'place' && (
              <>
                <line x1={x(cx)} x2={x(cx)} y1={y(box.maxY) - 16} y2={y(box.minY) + 16} stroke="var(--wait)" strokeDasharray="8 4 2 4" />
                <Dimension from={[box.minX, 0]} to={[box.minX, box.minY]} beside={-22} system={system} />
                {Math.abs(cx) > 0.5 && (
                  <Dimension
                    from={[Math.min(0, cx), box.maxY]}
                    to={[Math.max(0, cx), box.maxY]}
                    beside={-14}
                    system={system}
                    colour="var(--color-warning)"
                  />
                )}
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Waits after the last steps, as bars to one scale. */
function CareBars({ plan, shop }: Pick<StationProps, 'plan' | 'shop'>) {
  const [ref, size] = useSize<HTMLDivElement>();
  const waits = plan.schedule.care;
  const { packed } = plan.schedule;
  if (packed === undefined)
    return (
      <p className="quiet px-4 pb-4">
        <OnceKnown of={plan}>The job finds no room in your hours: nothing is packed, and nothing cures yet.</OnceKnown>
      </p>
    );
  const from = Math.min(...waits.map((w) => w.from), packed);
  const until = Math.max(...waits.map((w) => w.until), packed);
  const width = size?.width ?? 0;
  const x = (at: number) => 16 + ((at - from) / Math.max(1, until - from)) * Math.max(0, width - 40);
  const { zone } = shop.hours;
  return (
    <div ref={ref} className="px-1 pb-3">
      {width > 0 && (
        <svg width={width} height={46 * waits.length + 50} role="img" aria-label="Waits after the last step">
          <defs>
            <pattern id="care" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="4" height="8" fill="var(--wait)" opacity="0.7" />
            </pattern>
          </defs>
          {waits.map((wait, i) => (
            <g key={`${wait.coat}${i}`} transform={`translate(0 ${i * 46 + 10})`}>
              <rect
                x={x(wait.from)}
                y={18}
                width={Math.max(4, x(wait.until) - x(wait.from))}
                height={15}
                rx={2}
                fill="url(#care)"
                stroke="var(--wait)"
              />
              <text x={16} y={12} fontSize={13} fill="var(--color-base-content)">
                {careWords(wait).what} — {formatDuration((wait.until - wait.from) / 60_000)}, {careWords(wait).then} from{' '}
                {formatDay(wait.until, zone, now())}
              </text>
            </g>
          ))}
          <g transform={`translate(${x(packed)} ${46 * waits.length + 12})`}>
            <path d="M0 0v-8" stroke="var(--color-success)" strokeWidth={2} />
            <text y={14} fontSize={13} textAnchor={x(packed) > width / 2 ? 'end' : 'start'} fill="var(--color-success)">
              packed {formatPromise(packed, zone)}
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}

/** Preparing, placing, painting and curing: the steps with their waits beside the piece to scale. */
export function StepsStation({ job, plan, shop, edit, fix, mark, station }: StationProps & { station: StationId }) {
  const flat = job.piece.shape.kind === 'flat';
  const edge = flat ? 'bottom edge' : 'foot';
  const words = station === 'paint' ? paintWords(job) : station === 'place' ? placeWords(edge) : WORDS[station]!;
  const system = shop.lengths;
  const only = useMemo(() => [job], [job]);
  const gather = useGather(only);
  const wall: Box = wallBox(job.piece.shape);
  const reach = Math.max(...job.zones.map((z) => Math.abs(z.x) + z.width / 2)) * 1.3;
  const view: Box =
    job.piece.shape.kind === 'flat'
      ? wall
      : flatBox({ ...wall, minX: Math.max(wall.minX, -reach), maxX: Math.min(wall.maxX, reach) }, job.piece.shape);
  const drawing = (
    <>
      <DrawingHead title={words.title} text={words.text} />
      {station === 'cure' ? (
        <div className="flex flex-1 flex-col gap-2">
          <FrontView piece={job.piece} zones={job.zones} marks={plan.marks} shop={shop} className="h-72" />
          <CareBars plan={plan} shop={shop} />
        </div>
      ) : (
        <Scaled box={view} pad={[24, 60, 30, 60]} className="h-[24rem] flex-1 lg:h-auto" label={words.title} most={8}>
          <defs>
            <pattern id="clean" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="3" height="9" fill="var(--wait)" opacity="0.5" />
            </pattern>
          </defs>
          <WallDrawing
            piece={station === 'paint' ? paintedAround(job.piece, job.marks, shop.paints) : job.piece}
            paints={shop.paints}
            zones={job.zones}
            system={system}
            words={false}
          />
          <PlaceMarks plan={plan} shop={shop} station={station} />
        </Scaled>
      )}
    </>
  );
  return (
    <StationLayout title={station} drawing={drawing}>
      {station === 'prepare' && gather && <GatherCard fold title="Gather" items={gather} jobs={[job]} shop={shop} />}
      {station === 'place' && <PlacingWords job={job} plan={plan} shop={shop} edit={edit} />}
      {station === 'cure' && job.marks.some((m) => TECHNIQUES[m.technique].stays !== 'etching') && <SealWords job={job} edit={edit} />}
      {station === 'paint' && <MakingWords job={job} plan={plan} shop={shop} edit={edit} />}
      {station === 'cure' && plan.marks.length > 0 && <CareCards job={job} plan={plan} shop={shop} />}
      <StepCards plan={plan} shop={shop} stations={[station]} />
      {station === 'prepare' && (
        <>
          <UsualSteps job={job} edit={edit} />
          <NeedsWords job={job} shop={shop} edit={edit} />
          <OwnSteps job={job} shop={shop} edit={edit} />
        </>
      )}
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={[station]} />
      {station === 'place' && (
        <p className="quiet text-sm">
          {flat ? 'Lower edge of each mark' : 'Height stop under the mark'}:{' '}
          {plan.marks.map((m) => `${m.mark.name} ${formatLength(placedBox(m.mark, m.fitted.box).minY, system)}`).join(', ')} from the {edge}
          .
        </p>
      )}
    </StationLayout>
  );
}
