import { useMemo } from 'react';
import { diameterAt, uprightOf } from '@kolleta/core/blanks';
import { ringsOf, type Point, type Region } from '@kolleta/core/geometry';
import type { Piece, Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { layerColour } from './MarkShapes';
import { pieceFill } from './pieceLook';
import { InMm, Scaled, useScale } from './Scaled';

/** Marks in the order in which the viewer has them before the eye: the last is in front. */
export const inViewOrder = (marks: readonly MarkPlan[]): MarkPlan[] => {
  const behind = marks.filter((m) => m.mark.seenThrough).toReversed();
  return [...behind, ...marks.filter((m) => !m.mark.seenThrough)];
};

type RoundShape = Exclude<Piece['shape'], { kind: 'flat' }>;
/** How high a round piece stands, mm. */
const uprightHeight = (shape: RoundShape): number => (shape.kind === 'taper' ? uprightOf(shape) : shape.height);

/**
 * A region on a round wall as it looks from the front; what turns out of sight is left out.
 *
 * @param at height along the wall at which the region's widths are true
 */
function turned(region: Region, shape: RoundShape, at: number): string {
  const own = diameterAt(shape, at) / 2;
  const quarter = (Math.PI / 2) * own;
  const lift = uprightHeight(shape) / shape.height;
  const seen = ([x, along]: Point) => {
    const r = diameterAt(shape, along) / 2;
    return `${(r * Math.sin(Math.max(-quarter, Math.min(quarter, x)) / own)).toFixed(2)} ${(along * lift).toFixed(2)}`;
  };
  return ringsOf(region)
    .map((ring) => `M${ring.map(seen).join('L')}Z`)
    .join('');
}

function Round({ piece, marks, shop }: { piece: Piece; marks: readonly MarkPlan[]; shop: Shop }) {
  const { k, x, y } = useScale();
  const shape = piece.shape as RoundShape;
  const [rim, foot] = [diameterAt(shape, shape.height) / 2, diameterAt(shape, 0) / 2];
  const h = uprightHeight(shape);
  const look = pieceFill(piece);
  const ordered = inViewOrder(marks);
  const paths = useMemo(
    () => ordered.map((plan) => plan.fitted.layers.map((layer) => turned(layer.region, shape, plan.fitted.at[1]))),
    [ordered, shape],
  );
  const flatOf = (r: number) => 0.18 * r * k;
  const fill = 0.8;
  const level = foot + (rim - foot) * fill;
  return (
    <g>
      <path
        d={`M${x(-rim)} ${y(h)} L${x(-foot)} ${y(0)} A${k * foot} ${flatOf(foot)} 0 0 0 ${x(foot)} ${y(0)} L${x(rim)} ${y(h)} A${k * rim} ${flatOf(rim)} 0 0 1 ${x(-rim)} ${y(h)} Z`}
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
      {look.opacity < 1 && (
        <path
          d={`M${x(-level * 0.96)} ${y(h * fill)} L${x(-foot * 0.96)} ${y(0)} A${k * foot * 0.96} ${flatOf(foot)} 0 0 0 ${x(foot * 0.96)} ${y(0)} L${x(level * 0.96)} ${y(h * fill)} Z`}
          fill={piece.behind}
          fillOpacity={0.75}
        />
      )}
      <InMm>
        {ordered.map((plan, i) =>
          plan.fitted.layers.map((layer, j) => (
            <path key={`${plan.mark.id}${layer.film}`} d={paths[i]![j]} fill={layerColour(plan, layer.film, shop)} fillRule="evenodd" />
          )),
        )}
      </InMm>
    </g>
  );
}

function Flat({ piece, marks, shop }: { piece: Piece; marks: readonly MarkPlan[]; shop: Shop }) {
  const { k, x, y } = useScale();
  const shape = piece.shape as Extract<Piece['shape'], { kind: 'flat' }>;
  const look = pieceFill(piece);
  const frame = { x: x(-shape.width / 2), y: y(shape.height), width: k * shape.width, height: k * shape.height, rx: 2 };
  return (
    <g>
      <rect {...frame} fill={look.opacity < 1 ? piece.behind : look.fill} stroke="var(--color-base-content)" strokeWidth={1.2} />
      {look.opacity < 1 && <rect {...frame} fill={look.fill} fillOpacity={0.35} />}
      <InMm>
        {inViewOrder(marks).map((plan) =>
          plan.fitted.layers.map((layer) => (
            <path
              key={`${plan.mark.id}${layer.film}`}
              d={ringsOf(layer.region)
                .map((ring) => `M${ring.map((p) => p.join(' ')).join('L')}Z`)
                .join('')}
              fill={layerColour(plan, layer.film, shop)}
              fillRule="evenodd"
            />
          )),
        )}
      </InMm>
    </g>
  );
}

/** The piece as it is seen from the front, with what stands behind it when it is clear. */
export function FrontView({
  piece,
  marks,
  shop,
  className,
  pad = [10, 6, 14, 6],
}: {
  piece: Piece;
  marks: readonly MarkPlan[];
  shop: Shop;
  className?: string;
  pad?: [number, number, number, number];
}) {
  const { shape } = piece;
  const half = (shape.kind === 'flat' ? shape.width : Math.max(diameterAt(shape, 0), diameterAt(shape, shape.height))) / 2;
  const round = shape.kind === 'flat' ? 0 : half * 0.18;
  const tall = shape.kind === 'flat' ? shape.height : uprightHeight(shape);
  return (
    <Scaled
      box={{ minX: -half, maxX: half, minY: -round, maxY: tall + round }}
      pad={pad}
      className={className}
      label={`${piece.name} as it is seen`}
      most={6}
    >
      {piece.shape.kind === 'flat' ? <Flat piece={piece} marks={marks} shop={shop} /> : <Round piece={piece} marks={marks} shop={shop} />}
    </Scaled>
  );
}
