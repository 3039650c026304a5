import { formatLength, SAME_MM, type LengthSystem } from '../units';
import { boxHeight, boxWidth } from '../geometry';
import type { Piece, Reading, Zone } from '../job';
import { wallOf } from './wall';
import { usableOf, usualBreathing } from './zone';

/**
 * What measuring tells: whether the zone lies on the piece, and whether anything is left of it.
 *
 * @returns one reading a zone, and one more for a zone that runs over the edge
 */
export function measureReadings(piece: Piece, zones: readonly Zone[], system: LengthSystem): Reading[] {
  return [...zones.map((zone) => roomReading(piece, zone, system)), ...zones.flatMap((zone) => edgeReading(piece, zone, system) ?? [])];
}

/** Whether anything of a zone is left for marks. */
function roomReading(piece: Piece, zone: Zone, system: LengthSystem): Reading {
  const wall = wallOf(piece.shape);
  const { clear, inner } = usableOf(zone, piece);
  const base = { id: `zone:${zone.id}`, station: 'measure' as const, title: `Room on ${zone.name.toLowerCase()}` };
  if (!inner) {
    const lipBand = Math.min(zone.lipBand, wall.height * 0.25);
    const height = Math.min(wall.height - lipBand, zone.y + zone.height) - Math.max(0, zone.y);
    const breathing = usualBreathing(Math.min(zone.width, wall.width), height, false);
    const room = height > 4 && Math.min(zone.width, wall.width) > 4;
    return {
      ...base,
      verdict: 'stop',
      value: 'none left',
      limit: 'some',
      why: `The zone is ${formatLength(boxWidth(clear), system)} by ${formatLength(Math.max(0, boxHeight(clear)), system)} clear of the edge, less than its breathing room of ${formatLength(zone.breathing, system)} on both sides.`,
      cures: room
        ? [
            {
              label: `Breathing room ${formatLength(breathing, system)}`,
              patch: [
                { op: 'set', path: ['zones', zone.id, 'breathing'], value: breathing },
                { op: 'set', path: ['zones', zone.id, 'lipBand'], value: lipBand },
              ],
            },
          ]
        : [],
      advice: room ? undefined : 'Make the zone larger, or choose another place on the piece.',
    };
  }
  return {
    ...base,
    verdict: 'fine',
    value: `${formatLength(boxWidth(inner), system)} × ${formatLength(boxHeight(inner), system)}`,
    limit: `${formatLength(boxWidth(clear), system)} × ${formatLength(boxHeight(clear), system)} clear`,
    why: `Left for marks inside ${formatLength(zone.breathing, system)} of breathing room${zone.lipBand > 0 ? ` and below a lip band of ${formatLength(zone.lipBand, system)}` : ''}.`,
    cures: [],
  };
}

/** Whether a zone runs over the edge of the piece. */
function edgeReading(piece: Piece, zone: Zone, system: LengthSystem): Reading | undefined {
  const wall = wallOf(piece.shape);
  const across = Math.abs(zone.x) + zone.width / 2 > wall.width / 2 + SAME_MM;
  if (!across && zone.y >= -SAME_MM && zone.y + zone.height <= wall.height + SAME_MM) return undefined;
  const width = Math.min(zone.width, wall.width);
  const y = Math.min(Math.max(0, zone.y), Math.max(0, wall.height - 5));
  const height = Math.min(zone.height, wall.height - y);
  const reach = (wall.width - width) / 2;
  const x = Math.max(-reach, Math.min(reach, zone.x));
  return {
    id: `edge:${zone.id}`,
    station: 'measure',
    title: `Edge of ${zone.name.toLowerCase()}`,
    verdict: 'watch',
    value: `${formatLength(zone.width, system)} × ${formatLength(zone.height, system)}`,
    limit: `${formatLength(wall.width, system)} × ${formatLength(wall.height, system)}`,
    why: 'The zone runs over the edge of the piece. Only what lies on the piece is used.',
    cures: [
      {
        label: 'Keep the zone on the piece',
        patch: [{ op: 'set', path: ['zones', zone.id], value: { ...zone, x, y, width, height } }],
      },
    ],
  };
}
