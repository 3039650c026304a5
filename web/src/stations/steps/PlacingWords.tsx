import type { ReactNode } from 'react';
import { PLACINGS, TECHNIQUES, type PlacingId, type PlacingStage } from '@kolleta/core/facts';
import { placedBox } from '@kolleta/core/cut';
import { boxHeight, boxWidth, growBox, type Box } from '@kolleta/core/geometry';
import { removeAt, setAt, stepIdOf, type Shape } from '@kolleta/core/job';
import { wallOf } from '@kolleta/core/blanks';
import type { SnipsAbout } from '@kolleta/core/finish';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { placingStages, type PlacingMeasure } from '@kolleta/core/words';
import { Dimension } from '../../drawing/Dimension';
import type { MarkPlan } from '@kolleta/core/plan';
import { placingOf, placingsFor } from '@kolleta/core/techniques';
import { Scaled, useScale } from '../../drawing/Scaled';
import { MarkShapes } from '../../drawing/MarkShapes';
import { WallDrawing } from '../../drawing/WallDrawing';
import type { StationProps } from '../../frame/station';
import { Choice, Sentence } from '../../ui/tokens';

const USUAL = 'usual';
type Draws = PlacingStage['draws'];

/** What of the mark is down already. */
function downBox(box: Box, down: Draws['down']): Box | undefined {
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const w = boxWidth(box);
  switch (down) {
    case 'none':
      return undefined;
    case 'upper':
      return { ...box, minY: cy };
    case 'left':
      return { ...box, maxX: box.minX + w / 4 };
    case 'centre':
      return { ...box, minX: cx - w / 8, maxX: cx + w / 8 };
    case 'all':
      return box;
  }
}

/** Which ways the hand goes, as shares of half the mark: right, and down. */
const WAYS: Record<NonNullable<Draws['moves']>, readonly (readonly [number, number])[]> = {
  down: [[0, 1]],
  up: [[0, -1]],
  right: [[1, 0]],
  out: [
    [1, 0],
    [-1, 0],
  ],
  back: [[-1, 1]],
};

/** The tape over the mark, what is down of it, masking tape, and which way the hand goes. */
function Stage({ box, draws }: { box: Box; draws: Draws }) {
  const { x, y } = useScale();
  const down = downBox(box, draws.down);
  const rect = (of: Box) => ({ x: x(of.minX), y: y(of.maxY), width: x(of.maxX) - x(of.minX), height: y(of.minY) - y(of.maxY) });
  const [cx, cy] = [(x(box.minX) + x(box.maxX)) / 2, (y(box.minY) + y(box.maxY)) / 2];
  const [rx, ry] = [(x(box.maxX) - x(box.minX)) / 2 - 6, (y(box.minY) - y(box.maxY)) / 2 - 4];
  const tapeY = draws.tapeAt === 'top' ? y(box.maxY) : cy;
  return (
    <g>
      <defs>
        <marker id="way" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="5" markerHeight="5" orient="auto-start-reverse">
          <path d="M0 0L8 4L0 8Z" fill="var(--color-accent)" />
        </marker>
      </defs>
      <rect {...rect(box)} fill="var(--liner)" fillOpacity={0.3} stroke="var(--color-primary)" strokeDasharray="5 3" />
      {down && <rect {...rect(down)} fill="var(--color-success)" fillOpacity={0.28} />}
      {draws.tapeAt && (
        <rect x={x(box.minX) - 12} y={tapeY - 5} width={x(box.maxX) - x(box.minX) + 24} height={10} fill="#d8c48f" stroke="#8b7d63" />
      )}
      {draws.moves &&
        WAYS[draws.moves].map(([dx, dy]) => (
          <path
            key={`${dx} ${dy}`}
            d={`M${cx} ${cy}l${dx * rx} ${dy * ry}`}
            stroke="var(--color-accent)"
            strokeWidth={2.4}
            markerEnd="url(#way)"
            fill="none"
          />
        ))}
    </g>
  );
}

/** So much of the wall that the edge is seen which a mark is set out from. */
const withEdge = (view: Box, box: Box, { from, mm }: PlacingMeasure): Box =>
  from === 'lower' ? { ...view, minY: Math.min(view.minY, box.minY - mm - 4) } : { ...view, maxY: Math.max(view.maxY, box.maxY + mm + 4) };

/** As it is seen from behind, once the piece is turned over. */
function Turned({ about, back, children }: { about: number; back: boolean; children: ReactNode }) {
  const { x } = useScale();
  return <g transform={back ? `translate(${2 * x(about)} 0) scale(-1 1)` : undefined}>{children}</g>;
}

/** The measure from the edge of the piece to the edge of the mark. */
function Measured({ box, measure, system }: { box: Box; measure: PlacingMeasure; system: LengthSystem }) {
  const x = (box.minX + box.maxX) / 2;
  const [from, to] = measure.from === 'lower' ? [box.minY - measure.mm, box.minY] : [box.maxY, box.maxY + measure.mm];
  return <Dimension from={[x, from]} to={[x, to]} beside={0} system={system} />;
}

/** Cuts in the tape from its edge toward the middle of the mark. */
function Snips({ box, snips }: { box: Box; snips: SnipsAbout }) {
  const { x, y, k } = useScale();
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const reach = Math.hypot(boxWidth(box), boxHeight(box)) / 2;
  return Array.from({ length: snips.count }, (_, i) => {
    const turn = (2 * Math.PI * (i + 0.5)) / snips.count;
    const [dx, dy] = [Math.cos(turn), Math.sin(turn)];
    // where the edge of the tape is met
    const edge = Math.min(reach, boxWidth(box) / 2 / Math.max(1e-6, Math.abs(dx)), boxHeight(box) / 2 / Math.max(1e-6, Math.abs(dy)));
    const inner = Math.max(0, edge - snips.length);
    return (
      <line
        key={turn}
        x1={x(cx) + k * dx * edge}
        y1={y(cy) - k * dy * edge}
        x2={x(cx) + k * dx * inner}
        y2={y(cy) - k * dy * inner}
        stroke="var(--color-accent)"
        strokeWidth={2}
      />
    );
  });
}

/** A round piece from above with the tape on it: touching in the middle, smoothed round, or peeled back. */
function FromAbove({ shape, width, draws, label }: { shape: Shape; width: number; draws: Draws; label: string }) {
  const radius = wallOf(shape).width / (2 * Math.PI);
  const half = Math.min(Math.PI * 0.9, width / (2 * radius));
  // the front is below, towards whoever looks
  const at = (angle: number, r: number) => [80 + r * 44 * Math.sin(angle), 50 + r * 44 * Math.cos(angle)] as const;
  const reach = draws.down === 'centre' ? half / 5 : half;
  const arc = (r: number, to: number) =>
    Array.from({ length: 25 }, (_, i) =>
      at(-to + (2 * to * i) / 24, r)
        .map((n) => n.toFixed(1))
        .join(' '),
    ).join('L');
  const [left, right] = [at(-reach, 1.04), at(reach, 1.04)];
  const free = draws.down === 'centre' ? 60 * (half - reach) : 0;
  return (
    <svg viewBox="0 0 160 112" className="border-base-300 mb-1 h-28 w-full rounded border" role="img" aria-label={label}>
      <circle cx={80} cy={50} r={44} fill="var(--liner)" fillOpacity={0.35} stroke="var(--color-base-content)" />
      <path d={`M${arc(1.04, reach)}`} fill="none" stroke="var(--color-success)" strokeWidth={5} />
      {draws.down === 'centre' && (
        <path
          d={`M${left[0] - free} ${left[1] + 6}Q${left[0] - free / 2} ${left[1] + 4} ${left[0]} ${left[1]}M${right[0]} ${right[1]}Q${right[0] + free / 2} ${right[1] + 4} ${right[0] + free} ${right[1] + 6}`}
          fill="none"
          stroke="var(--color-primary)"
          strokeWidth={3}
          strokeDasharray="6 3"
        />
      )}
      {draws.moves === 'out' && (
        <path
          d={`M${arc(1.2, half * 0.8)}`}
          fill="none"
          stroke="var(--color-accent)"
          strokeWidth={2.4}
          markerEnd="url(#above)"
          markerStart="url(#above)"
        />
      )}
      {draws.moves === 'back' && (
        <path
          d={`M${right[0]} ${right[1]}q-2 14 -34 12`}
          fill="none"
          stroke="var(--color-accent)"
          strokeWidth={2.4}
          markerEnd="url(#above)"
        />
      )}
      <defs>
        <marker id="above" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="5" markerHeight="5" orient="auto-start-reverse">
          <path d="M0 0L8 4L0 8Z" fill="var(--color-accent)" />
        </marker>
      </defs>
      <text x={80} y={55} textAnchor="middle" fontSize={11} fill="var(--color-base-content)">
        from above
      </text>
    </svg>
  );
}

/** How one mark is put down: chosen among what suits its piece, and drawn stage by stage on it. */
function OneMark({ own, job, plan, shop, edit }: Pick<StationProps, 'job' | 'plan' | 'shop' | 'edit'> & { own: MarkPlan }) {
  const { mark, fitted } = own;
  const able = placingsFor(mark, job.piece);
  const method = placingOf(mark, job.piece, fitted.width, fitted.height);
  const usual = placingOf({ technique: mark.technique }, job.piece, fitted.width, fitted.height);
  // a stencil is put down with the film around it
  const box = growBox(placedBox(mark, fitted.box), TECHNIQUES[mark.technique].border);
  const step = plan.recipe.steps.find(({ about, id }) => about.kind === 'place' && id === stepIdOf(job.id, `place:${mark.id}`))?.about;
  const input = {
    ...{ piece: job.piece, seenThrough: mark.seenThrough, box, height: wallOf(job.piece.shape).height },
    step: step?.kind === 'place' ? { ...step, method } : { method, films: [], slats: false },
  };
  const stages = placingStages(input, (mm) => formatLength(mm, shop.lengths));
  const view = growBox(box, Math.max(boxWidth(box), boxHeight(box)) * 0.22 + 8);
  return (
    <section aria-label={`Placing ${mark.name}`} className="sheet px-4 py-3">
      <Sentence className="text-[0.97rem]!">
        Put {mark.name} down{' '}
        <Choice
          label={`Placing of ${mark.name}`}
          value={mark.placing && able.includes(mark.placing) ? mark.placing : USUAL}
          options={[
            { value: USUAL, label: `${PLACINGS[usual].name}, as suits it` },
            ...able
              .filter((id) => id !== usual)
              .map((value: PlacingId) => ({ value, label: `${PLACINGS[value].name}: ${PLACINGS[value].when}` })),
          ]}
          onChange={(to) =>
            edit(
              to === USUAL ? removeAt(['marks', mark.id, 'placing']) : setAt(['marks', mark.id, 'placing'], to),
              'Choose how it is placed',
            )
          }
        />
        .
      </Sentence>
      <ol className="mt-1 grid grid-cols-2 gap-2">
        {stages.map((stage, i) => (
          <li key={stage.text} className="text-[0.86rem] leading-snug">
            {stage.view === 'above' ? (
              <FromAbove shape={job.piece.shape} width={boxWidth(box)} draws={stage.draws} label={`Stage ${i + 1}: ${stage.text}`} />
            ) : (
              <Scaled
                box={stage.measure ? withEdge(view, box, stage.measure) : view}
                pad={[4, 4, 4, 4]}
                className="border-base-300 mb-1 h-28 overflow-hidden rounded border"
                label={`Stage ${i + 1}: ${stage.text}`}
                most={4}
              >
                <Turned about={(box.minX + box.maxX) / 2} back={mark.seenThrough && i > 0}>
                  <WallDrawing piece={job.piece} paints={shop.paints} zones={[]} system={shop.lengths} words={false} />
                  <MarkShapes plan={own} shop={shop} single />
                </Turned>
                <Stage box={box} draws={stage.draws} />
                {stage.snips && <Snips box={box} snips={stage.snips} />}
                {stage.measure && <Measured box={box} measure={stage.measure} system={shop.lengths} />}
              </Scaled>
            )}
            <strong>{i + 1}.</strong> {stage.text}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** How each mark that is placed is put down. */
export function PlacingWords({ job, plan, shop, edit }: Pick<StationProps, 'job' | 'plan' | 'shop' | 'edit'>) {
  const placed = plan.marks.filter(({ fitted, mark }) => fitted.layers.length > 0 && TECHNIQUES[mark.technique].filmBy !== 'heat');
  return placed.map((own) => <OneMark key={own.mark.id} own={own} job={job} plan={plan} shop={shop} edit={edit} />);
}
