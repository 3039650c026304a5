import { PLACINGS, TECHNIQUES, type PlacingId, type PlacingStage } from '@kolleta/core/facts';
import { placedBox } from '@kolleta/core/cut';
import { boxHeight, boxWidth, growBox, type Box } from '@kolleta/core/geometry';
import { removeAt, setAt } from '@kolleta/core/job';
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

/** How one mark is put down: chosen among what suits its piece, and drawn stage by stage on it. */
function OneMark({ own, job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'> & { own: MarkPlan }) {
  const { mark, fitted } = own;
  const able = placingsFor(mark, job.piece);
  const method = placingOf(mark, job.piece, fitted.width, fitted.height);
  const usual = placingOf({ technique: mark.technique }, job.piece, fitted.width, fitted.height);
  const box = placedBox(mark, fitted.box);
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
        {PLACINGS[method].stages.map(({ text, draws }, i) => (
          <li key={text} className="text-[0.86rem] leading-snug">
            <Scaled
              box={view}
              pad={[4, 4, 4, 4]}
              className="border-base-300 mb-1 h-28 overflow-hidden rounded border"
              label={`Stage ${i + 1}: ${text}`}
              most={4}
            >
              <WallDrawing piece={job.piece} paints={shop.paints} zones={[]} system={shop.lengths} words={false} />
              <MarkShapes plan={own} shop={shop} single />
              <Stage box={box} draws={draws} />
            </Scaled>
            <strong>{i + 1}.</strong> {text}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** How each mark that is placed is put down. */
export function PlacingWords({ job, plan, shop, edit }: Pick<StationProps, 'job' | 'plan' | 'shop' | 'edit'>) {
  const placed = plan.marks.filter(({ fitted, mark }) => fitted.layers.length > 0 && TECHNIQUES[mark.technique].filmBy !== 'heat');
  return placed.map((own) => <OneMark key={own.mark.id} own={own} job={job} shop={shop} edit={edit} />);
}
