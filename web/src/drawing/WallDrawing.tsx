import type { ReactNode } from 'react';
import { wallBox, usableOf, zoneBox } from '@kolleta/core/blanks';
import { boxWidth, type Box } from '@kolleta/core/geometry';
import type { Piece, Zone } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { isWood, pieceFill } from './pieceLook';
import { useScale } from './Scaled';
import { WallBox } from './WallBox';

interface Props {
  piece: Piece;
  zones: readonly Zone[];
  /** The zone that is worked on. */
  active?: string;
  system: LengthSystem;
  children?: ReactNode;
  /** Words on the zones. */
  words?: boolean;
}

/** A piece's wall laid flat, with its zones, lip bands and breathing room. */
export function WallDrawing({ piece, zones, active, system, children, words = true }: Props) {
  const { x, y, k } = useScale();
  const wall = wallBox(piece.shape);
  const look = pieceFill(piece);
  const round = piece.shape.kind !== 'flat';
  return (
    <g>
      <WallBox shape={piece.shape} box={wall} fill={look.fill} fillOpacity={look.opacity} stroke="var(--color-base-content)" />
      {look.opacity < 1 && <WallBox shape={piece.shape} box={wall} fill={piece.behind} fillOpacity={0.5} />}
      {isWood(piece) && (
        <>
          <defs>
            <pattern id="wall-grain" width="64" height="11" patternUnits="userSpaceOnUse">
              <path d="M0 3q16 -3 32 0t32 0M0 8q20 2 34 0t30 0" fill="none" stroke="#000" strokeOpacity="0.1" />
            </pattern>
          </defs>
          <WallBox shape={piece.shape} box={wall} fill="url(#wall-grain)" />
        </>
      )}
      {piece.shape.kind === 'cylinder' &&
        [wall.minX, wall.maxX].map((edge) => (
          <line key={edge} x1={x(edge)} x2={x(edge)} y1={y(wall.maxY)} y2={y(0)} stroke="var(--color-base-content)" strokeDasharray="2 4" />
        ))}
      {zones.map((zone) => {
        const { clear, inner } = usableOf(zone, piece);
        const box = zoneBox(zone);
        const lip: Box | undefined =
          zone.lipBand > 0 ? { minX: wall.minX, maxX: wall.maxX, minY: wall.maxY - zone.lipBand, maxY: wall.maxY } : undefined;
        const on = zone.id === active || zones.length === 1;
        return (
          <g key={zone.id} opacity={on ? 1 : 0.55}>
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
            <WallBox
              shape={piece.shape}
              box={{ ...box, maxY: Math.max(box.minY, clear.maxY) }}
              fill="#ffffff"
              fillOpacity={0.12}
              stroke="#ffffff"
            />
            <WallBox shape={piece.shape} box={{ ...box, maxY: Math.max(box.minY, clear.maxY) }} stroke="#0e5a61" dash="7 4" />
            {inner && <WallBox shape={piece.shape} box={inner} stroke="#ffffff" />}
            {inner && <WallBox shape={piece.shape} box={inner} stroke="#0e5a61" dash="2 3" />}
            {words && zones.length > 1 && (
              <text
                x={x(box.minX) + 4}
                y={y(box.maxY) + 14}
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
      })}
      {children}
    </g>
  );
}
