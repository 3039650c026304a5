import type { ReactNode } from 'react';
import { bendRegion, featureBox, keptFree, slatGaps, usableOf, wallBox, wallRegion, zoneBox } from '@kolleta/core/blanks';
import { FEATURES } from '@kolleta/core/facts';
import { boxWidth, type Box, type Region } from '@kolleta/core/geometry';
import type { Feature, Paint, Piece, Zone } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { isWood, pieceFill } from './pieceLook';
import { regionPath } from './regionPath';
import { InMm, useScale } from './Scaled';
import { WallBox } from './WallBox';
import { zoneStripes } from './zoneStripes';

interface Props {
  piece: Piece;
  /** In stock: coats have their colours. */
  paints: readonly Paint[];
  zones: readonly Zone[];
  /** The zone that is worked on. */
  active?: string;
  system: LengthSystem;
  children?: ReactNode;
  /** Words on the zones. */
  words?: boolean;
}

interface PatchProps {
  piece: Piece;
  region: Region;
  fill?: string;
  fillOpacity?: number;
  stroke?: string;
  dash?: string;
}

/** A region of the wall, bent where the wall is. */
function WallPatch({ piece, region, fill = 'none', fillOpacity, stroke = 'none', dash }: PatchProps) {
  return (
    <InMm>
      <path
        d={regionPath(bendRegion(region, piece.shape, piece.shape.height / 2))}
        fill={fill}
        fillOpacity={fillOpacity}
        fillRule="evenodd"
        stroke={stroke}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
    </InMm>
  );
}

/** What is found on a piece, hatched, with what is kept free around it. */
function FeatureShape({ piece, feature, words = true }: { piece: Piece; feature: Feature; words?: boolean }) {
  const { x, y } = useScale();
  const box = featureBox(feature);
  const bare = { ...feature, clear: 0 };
  return (
    <g>
      {keptFree(feature, piece.shape).map((region, i) => (
        <WallPatch
          key={i}
          piece={piece}
          region={region}
          fill="var(--color-error)"
          fillOpacity={0.1}
          stroke="var(--color-error)"
          dash="3 3"
        />
      ))}
      {keptFree(bare, piece.shape).map((region, i) => (
        <WallPatch key={i} piece={piece} region={region} fill="url(#hatched)" stroke="var(--color-base-content)" />
      ))}
      {words && piece.shape.kind !== 'taper' && boxWidth(box) > 0 && (
        <text
          x={x(Math.max(wallBox(piece.shape).minX, Math.min(feature.x, wallBox(piece.shape).maxX)))}
          y={y(box.minY) + 14}
          textAnchor="middle"
          fontSize={11}
          fill="var(--color-base-content)"
          stroke="var(--color-base-100)"
          strokeWidth={3}
          paintOrder="stroke"
          pointerEvents="none"
        >
          {FEATURES[feature.kind].name}
        </text>
      )}
    </g>
  );
}

/** The hatching of what marks keep off. */
const Hatch = () => (
  <defs>
    <pattern id="hatched" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="7" height="7" fill="var(--color-base-100)" fillOpacity={0.75} />
      <line x1="0" y1="0" x2="0" y2="7" stroke="var(--color-base-content)" strokeWidth="2" strokeOpacity={0.55} />
    </pattern>
  </defs>
);

function ZoneShape({
  piece,
  zone,
  on,
  words,
  many,
  system,
}: {
  piece: Piece;
  zone: Zone;
  on: boolean;
  words: boolean;
  many: boolean;
  system: LengthSystem;
}) {
  const { x, y, k } = useScale();
  const wall = wallBox(piece.shape);
  const { clear, inner, free, room } = usableOf(zone, piece);
  const box = zoneBox(zone);
  const round = piece.shape.kind !== 'flat';
  const lip: Box | undefined =
    zone.lipBand > 0 ? { minX: wall.minX, maxX: wall.maxX, minY: wall.maxY - zone.lipBand, maxY: wall.maxY } : undefined;
  const edge = { ...box, maxY: Math.max(box.minY, clear.maxY) };
  return (
    <g opacity={on ? 1 : 0.55}>
      {lip && <WallBox shape={piece.shape} box={lip} fill="var(--color-error)" fillOpacity={0.16} />}
      {lip && words && (
        <text
          x={Math.max(42, x(wall.minX) + 8)}
          y={y(wall.maxY - zone.lipBand / 2) + 4}
          fontSize={12}
          fill="var(--color-error)"
          stroke="var(--color-base-100)"
          strokeWidth={3.5}
          paintOrder="stroke"
        >
          lip band {formatLength(zone.lipBand, system)} — keep clear
        </text>
      )}
      {free ? (
        <>
          <WallPatch piece={piece} region={free} fill="#ffffff" fillOpacity={0.12} stroke="#ffffff" />
          <WallPatch piece={piece} region={free} stroke="#0e5a61" dash="7 4" />
          {room && <WallPatch piece={piece} region={room} stroke="#ffffff" />}
          {room && <WallPatch piece={piece} region={room} stroke="#0e5a61" dash="2 3" />}
        </>
      ) : (
        <>
          <WallBox shape={piece.shape} box={edge} fill="#ffffff" fillOpacity={0.12} stroke="#ffffff" />
          <WallBox shape={piece.shape} box={edge} stroke="#0e5a61" dash="7 4" />
          {inner && <WallBox shape={piece.shape} box={inner} stroke="#ffffff" />}
          {inner && <WallBox shape={piece.shape} box={inner} stroke="#0e5a61" dash="2 3" />}
        </>
      )}
      {words && many && (
        <text
          x={x(box.minX) + 4}
          y={y(Math.min(box.maxY, wall.maxY)) - 4}
          fontSize={11.5}
          fill="var(--color-primary)"
          stroke="var(--color-base-100)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {zone.name}
        </text>
      )}
      {on && k * boxWidth(clear) > 0 && round && (
        <line x1={x(zone.x)} x2={x(zone.x)} y1={y(wall.maxY) - 6} y2={y(0) + 6} stroke="var(--wait)" strokeDasharray="9 4 2 4" />
      )}
    </g>
  );
}

/** A piece's wall laid flat, with its zones, lip bands, breathing room and what marks keep off. */
export function WallDrawing({ piece, paints, zones, active, system, children, words = true }: Props) {
  const { x, y } = useScale();
  const wall = wallBox(piece.shape);
  const look = pieceFill(piece, paints);
  const own = piece.shape.kind === 'flat' && piece.shape.outline ? wallRegion(piece.shape) : undefined;
  const paint = (fill: string, fillOpacity?: number, stroke?: string) =>
    own ? (
      <WallPatch piece={piece} region={own} fill={fill} fillOpacity={fillOpacity} stroke={stroke} />
    ) : (
      <WallBox shape={piece.shape} box={wall} fill={fill} fillOpacity={fillOpacity} stroke={stroke} />
    );
  return (
    <g>
      <Hatch />
      {paint(look.fill, look.opacity, 'var(--color-base-content)')}
      {look.opacity < 1 && paint(piece.behind, 0.5)}
      {isWood(piece) && (
        <>
          <defs>
            <pattern id="wall-grain" width="64" height="11" patternUnits="userSpaceOnUse">
              <path d="M0 3q16 -3 32 0t32 0M0 8q20 2 34 0t30 0" fill="none" stroke="#000" strokeOpacity="0.1" />
            </pattern>
          </defs>
          {!own && <WallBox shape={piece.shape} box={wall} fill="url(#wall-grain)" />}
        </>
      )}
      {zones.flatMap((zone) =>
        zoneStripes(zone, piece.shape).map(({ box, colour }, i) => (
          <WallBox key={`${zone.id} ${i}`} shape={piece.shape} box={box} fill={colour} />
        )),
      )}
      {piece.slats &&
        slatGaps(piece.slats, piece.shape).map((gap) => (
          <WallBox key={`${gap.minX} ${gap.minY}`} shape={piece.shape} box={gap} fill="#000000" fillOpacity={0.55} />
        ))}
      {(piece.shape.kind === 'cylinder' || piece.shape.kind === 'bulb') &&
        [wall.minX, wall.maxX].map((edge) => (
          <line key={edge} x1={x(edge)} x2={x(edge)} y1={y(wall.maxY)} y2={y(0)} stroke="var(--color-base-content)" strokeDasharray="2 4" />
        ))}
      {zones.map((zone) => (
        <ZoneShape
          key={zone.id}
          piece={piece}
          zone={zone}
          on={zone.id === active || zones.length === 1}
          words={words}
          many={zones.length > 1}
          system={system}
        />
      ))}
      {(piece.features ?? []).map((feature) => (
        <FeatureShape key={feature.id} piece={piece} feature={feature} words={words} />
      ))}
      {children}
    </g>
  );
}
