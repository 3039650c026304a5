import { useMemo } from 'react';
import { diameterAt, slatGaps, standsHigh, uprightAt, wallRegion, paintedAround } from '@kolleta/core/blanks';
import { BEHIND } from '@kolleta/core/facts';
import { boxRegion, ringsOf, type Point, type Region } from '@kolleta/core/geometry';
import type { Piece, Shop, Zone } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { seenAs, seenLayers } from './MarkShapes';
import { pieceFill } from './pieceLook';
import { regionPath } from './regionPath';
import { InMm, Scaled, useScale } from './Scaled';
import { zoneStripes } from './zoneStripes';

/** Marks in the order in which the viewer has them before the eye: the last is in front. */
export const inViewOrder = (marks: readonly MarkPlan[]): MarkPlan[] => {
  const behind = marks.filter((m) => m.mark.seenThrough).toReversed();
  return [...behind, ...marks.filter((m) => !m.mark.seenThrough)];
};

/** A handle is drawn standing out so far, and so thick, mm. */
const HANDLE_MM = 30;
const HANDLE_PEN_MM = 9;

type RoundShape = Exclude<Piece['shape'], { kind: 'flat' }>;

/** A mark's own outline and its copies, on the wall. */
const everyCopy = (plan: MarkPlan): (readonly { film: string; region: Region }[])[] => [
  seenLayers(plan, plan.fitted.layers),
  ...plan.copies.map((copy) => seenLayers(plan, copy.layers)),
];

/**
 * A region on a round wall as it looks from the front; what turns out of sight is left out.
 *
 * @param at height along the wall at which the region's widths are true
 * @param turn of the piece, radians: what lies to the right comes to the front
 */
function turned(region: Region, shape: RoundShape, at: number, turn: number): string {
  const own = shape.kind === 'bulb' ? shape.diameter / 2 : diameterAt(shape, at) / 2;
  const seen = (ring: readonly Point[]): string => {
    const angles = ring.map(([x]) => x / own - turn);
    // brought round so that the ring's middle is nearest to the front
    const middle = angles.reduce((sum, a) => sum + a, 0) / angles.length;
    const round = Math.round(middle / (2 * Math.PI)) * 2 * Math.PI;
    if (angles.every((a) => Math.abs(a - round) >= Math.PI / 2)) return '';
    return `M${ring
      .map(([, along], i) => {
        const angle = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, angles[i]! - round));
        return `${((diameterAt(shape, along) / 2) * Math.sin(angle)).toFixed(2)} ${uprightAt(shape, along).toFixed(2)}`;
      })
      .join('L')}Z`;
  };
  return ringsOf(region).map(seen).join('');
}

/** The side of a round piece from foot to rim, right of its middle, mm. */
function sideOf(shape: RoundShape): Point[] {
  const n = shape.kind === 'bulb' ? 24 : 1;
  return Array.from({ length: n + 1 }, (_, i): Point => {
    const along = (shape.height * i) / n;
    return [diameterAt(shape, along) / 2, uprightAt(shape, along)];
  });
}

function Round({
  piece,
  zones,
  marks,
  shop,
  turn,
}: {
  piece: Piece;
  zones: readonly Zone[];
  marks: readonly MarkPlan[];
  shop: Shop;
  turn: number;
}) {
  const { k, x, y } = useScale();
  const shape = piece.shape as RoundShape;
  const side = sideOf(shape);
  const [rim, foot] = [side.at(-1)![0], side[0]![0]];
  const h = standsHigh(shape);
  const look = pieceFill(
    paintedAround(
      piece,
      marks.map(({ mark }) => mark),
      shop.paints,
    ),
    shop.paints,
  );
  const ordered = inViewOrder(marks);
  const paths = useMemo(
    () =>
      ordered.map((plan) => everyCopy(plan).map((layers) => layers.map((layer) => turned(layer.region, shape, plan.fitted.at[1], turn)))),
    [ordered, shape, turn],
  );
  const flatOf = (r: number) => 0.18 * r * k;
  const fill = 0.8;
  // the drink stands as high as four fifths, a little off the wall
  const filled = side.filter(([, up]) => up <= h * fill);
  const top = shape.kind === 'bulb' ? filled.at(-1)![0] : foot + (rim - foot) * fill;
  const drink: Point[] = [...(shape.kind === 'bulb' ? filled : [side[0]!]), [top, h * fill]];
  const to = (points: readonly Point[], way: 1 | -1, share = 1) => points.map(([px, py]) => `L${x(way * px * share)} ${y(py)}`).join(' ');
  const handles = (piece.features ?? []).filter((f) => f.kind === 'handle');
  const wrap = Math.PI * diameterAt(shape, shape.height / 2);
  return (
    <g>
      {handles.map((handle) => {
        const angle = (handle.x / wrap) * 2 * Math.PI - turn;
        const out = Math.sin(angle);
        const half = diameterAt(shape, handle.y + handle.height / 2) / 2;
        // seen from the side it stands out; straight behind it is hidden, straight in front it is a bar
        const [near, far] = [half * out * 0.98, (half + HANDLE_MM) * out];
        if (Math.abs(out) < 0.25) return null;
        return (
          <path
            key={handle.id}
            d={`M${x(near)} ${y(uprightAt(shape, handle.y + handle.height))} Q${x(far)} ${y(uprightAt(shape, handle.y + handle.height * 0.95))} ${x(far)} ${y(uprightAt(shape, handle.y + handle.height / 2))} T${x(near)} ${y(uprightAt(shape, handle.y))}`}
            fill="none"
            stroke={look.fill}
            strokeWidth={Math.max(3, HANDLE_PEN_MM * k)}
          />
        );
      })}
      <path
        d={`M${x(-rim)} ${y(h)} ${to(side.toReversed(), -1)} A${k * foot} ${flatOf(foot)} 0 0 0 ${x(foot)} ${y(0)} ${to(side, 1)} A${k * rim} ${flatOf(rim)} 0 0 1 ${x(-rim)} ${y(h)} Z`}
        fill={look.fill}
        fillOpacity={look.opacity}
        stroke="var(--color-base-content)"
        strokeWidth={1.2}
      />
      <ellipse
        cx={x(0)}
        cy={y(h)}
        rx={k * rim}
        ry={flatOf(rim)}
        fill={look.opacity < 1 ? 'var(--color-base-100)' : look.fill}
        fillOpacity={look.opacity < 1 ? 0.6 : 1}
        stroke="var(--color-base-content)"
        strokeWidth={1.2}
      />
      {/* in a light room it is empty: there is no level to draw */}
      {look.opacity < 1 && piece.behind !== BEHIND.room.colour && (
        <path
          d={`M${x(-top * 0.96)} ${y(h * fill)} ${to(drink.toReversed(), -1, 0.96)} A${k * foot * 0.96} ${flatOf(foot)} 0 0 0 ${x(foot * 0.96)} ${y(0)} ${to(drink, 1, 0.96)} Z`}
          fill={piece.behind}
          fillOpacity={0.75}
        />
      )}
      <InMm>
        {zones.flatMap((zone) =>
          zoneStripes(zone, shape).map(({ box, colour }, i) => (
            <path key={`${zone.id} ${i}`} d={turned(boxRegion(box), shape, (box.minY + box.maxY) / 2, turn)} fill={colour} />
          )),
        )}
        {ordered.map((plan, i) =>
          everyCopy(plan).map((layers, c) =>
            layers.map((layer, j) => (
              <path key={`${plan.mark.id}${c}${layer.film}`} d={paths[i]![c]![j]} {...seenAs(plan, layer.film, shop)} />
            )),
          ),
        )}
      </InMm>
    </g>
  );
}

function Flat({ piece, zones, marks, shop }: { piece: Piece; zones: readonly Zone[]; marks: readonly MarkPlan[]; shop: Shop }) {
  const look = pieceFill(
    paintedAround(
      piece,
      marks.map(({ mark }) => mark),
      shop.paints,
    ),
    shop.paints,
  );
  const face = regionPath(wallRegion(piece.shape));
  const line = { stroke: 'var(--color-base-content)', strokeWidth: 1.2, vectorEffect: 'non-scaling-stroke' as const };
  return (
    <g>
      <InMm>
        <path d={face} fillRule="evenodd" fill={look.opacity < 1 ? piece.behind : look.fill} {...line} />
        {look.opacity < 1 && <path d={face} fillRule="evenodd" fill={look.fill} fillOpacity={0.35} />}
        {zones.flatMap((zone) =>
          zoneStripes(zone, piece.shape).map(({ box, colour }, i) => (
            <path key={`${zone.id} ${i}`} d={regionPath(boxRegion(box))} fill={colour} />
          )),
        )}
        {piece.slats &&
          slatGaps(piece.slats, piece.shape).map((gap) => (
            <path key={`${gap.minX} ${gap.minY}`} d={regionPath(boxRegion(gap))} fill="#000" fillOpacity={0.6} />
          ))}
        {inViewOrder(marks).map((plan) =>
          everyCopy(plan).map((layers, c) =>
            layers.map((layer) => <path key={`${c}${layer.film}`} d={regionPath(layer.region)} {...seenAs(plan, layer.film, shop)} />),
          ),
        )}
      </InMm>
    </g>
  );
}

/** The piece as it is seen from the front, with what stands behind it when it is clear. */
export function FrontView({
  piece,
  zones = [],
  marks,
  shop,
  className,
  pad = [10, 6, 14, 6],
  turn = 0,
}: {
  piece: Piece;
  /** Its zones, where patterned ones are to be seen. */
  zones?: readonly Zone[];
  marks: readonly MarkPlan[];
  shop: Shop;
  className?: string;
  pad?: [number, number, number, number];
  /** Of a round piece, radians: what lies to the right comes to the front. */
  turn?: number;
}) {
  const { shape } = piece;
  const handle = shape.kind !== 'flat' && (piece.features ?? []).some((f) => f.kind === 'handle') ? HANDLE_MM + HANDLE_PEN_MM / 2 : 0;
  const half =
    handle + (shape.kind === 'flat' ? shape.width : Math.max(...[0, 0.5, 1].map((at) => diameterAt(shape, at * shape.height)))) / 2;
  const round = shape.kind === 'flat' ? 0 : (half - handle) * 0.18;
  const tall = shape.kind === 'flat' ? shape.height : standsHigh(shape);
  return (
    <Scaled
      box={{ minX: -half, maxX: half, minY: -round, maxY: tall + round }}
      pad={pad}
      className={className}
      label={`${piece.name} as it is seen`}
      most={6}
    >
      {piece.shape.kind === 'flat' ? (
        <Flat piece={piece} zones={zones} marks={marks} shop={shop} />
      ) : (
        <Round piece={piece} zones={zones} marks={marks} shop={shop} turn={turn} />
      )}
    </Scaled>
  );
}
