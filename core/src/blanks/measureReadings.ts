import { LIMITS } from '../facts';
import { inSentence, formatLength, SAME_MM, type LengthSystem } from '../units';
import { boxHeight, boxWidth } from '../geometry';
import { setAt, type Piece, type Reading, type Zone } from '../job';
import { checkShape } from './checkShape';
import { wallOf } from './wall';
import { usableOf, usualBreathing } from './zone';

/**
 * What measuring tells: whether the zone lies on the piece, and whether anything is left of it.
 *
 * @returns one reading a zone, and one more for a zone that runs over the edge
 */
export function measureReadings(piece: Piece, zones: readonly Zone[], system: LengthSystem): Reading[] {
  return [
    ...zones.map((zone) => roomReading(piece, zone, system)),
    ...zones.flatMap((zone) => edgeReading(piece, zone, system) ?? []),
    ...careReadings(piece, system),
  ];
}

/** What else the measuring leaves to mind: sizes by eye, sets that differ. */
function careReadings(piece: Piece, system: LengthSystem): Reading[] {
  const readings: Reading[] = [];
  const shape = checkShape(piece.shape);
  if (!shape.ok)
    readings.push({
      id: 'shape:piece',
      station: 'measure',
      title: 'Shape of the piece',
      verdict: 'stop',
      value: 'cannot be',
      limit: shape.problem.expected,
      why: shape.problem.found,
      remedies: [],
      advice: shape.problem.wayOut,
    });
  if (piece.byEye)
    readings.push({
      id: 'eye:piece',
      station: 'measure',
      title: 'Measured by eye',
      verdict: 'watch',
      value: 'by eye',
      limit: 'twice, with a rule',
      why: 'A wrong size is a first cause of wasted film, and of marks that are trimmed afterwards.',
      remedies: [{ label: 'It is measured now', patch: [{ op: 'set', path: ['piece', 'byEye'], value: false }] }],
    });
  if (piece.spread !== undefined && piece.spread > SAME_MM) {
    const wall = wallOf(piece.shape);
    const wide = piece.spread > Math.max(LIMITS.setSpread, Math.min(wall.width, wall.height) * LIMITS.setSpreadShare);
    readings.push({
      id: 'spread:piece',
      station: 'measure',
      title: 'The set differs',
      verdict: wide ? 'watch' : 'fine',
      value: formatLength(piece.spread, system),
      limit: 'the smallest counts',
      why: wide
        ? 'Marks are fitted to the smallest; on the largest they leave visibly more room. Sort out the odd piece, or fit it by itself.'
        : 'Marks are fitted to the smallest; nobody sees the difference.',
      remedies: wide ? [{ label: 'The odd piece is sorted out', patch: [{ op: 'remove', path: ['piece', 'spread'] }] }] : [],
    });
  }
  return readings;
}

/** Whether anything of a zone is left for marks. */
function roomReading(piece: Piece, zone: Zone, system: LengthSystem): Reading {
  const wall = wallOf(piece.shape);
  const { clear, inner } = usableOf(zone, piece);
  const base = { id: `zone:${zone.id}` as const, station: 'measure' as const, title: `Room on ${inSentence(zone.name)}` };
  // with nothing to keep off there would be room
  const covered = !inner && (piece.features ?? []).length > 0 && usableOf({ ...zone }, { ...piece, features: [] }).inner !== undefined;
  if (covered) {
    return {
      ...base,
      verdict: 'stop',
      value: 'none left',
      limit: 'some',
      why: 'What has to be kept off leaves no room inside the breathing room.',
      remedies: [],
      advice: 'Make the zone larger, or move or remove what is kept off.',
    };
  }
  if (!inner) {
    const lipBand = Math.min(zone.lipBand, wall.height * 0.25);
    const height = Math.min(wall.height - lipBand, zone.y + zone.height) - Math.max(0, zone.y);
    const breathing = usualBreathing(Math.min(zone.width, wall.width), height, false);
    const remedied = { ...zone, breathing, lipBand };
    const room = height > 4 && Math.min(zone.width, wall.width) > 4 && usableOf(remedied, piece).inner !== undefined;
    return {
      ...base,
      verdict: 'stop',
      value: 'none left',
      limit: 'some',
      why: `The zone is ${formatLength(boxWidth(clear), system)} by ${formatLength(Math.max(0, boxHeight(clear)), system)} clear of the edge, less than its breathing room of ${formatLength(zone.breathing, system)} on both sides.`,
      remedies: room
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
    remedies: [],
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
    id: `edge:${zone.id}` as const,
    station: 'measure',
    title: `Edge of ${inSentence(zone.name)}`,
    verdict: 'watch',
    value: `${formatLength(zone.width, system)} × ${formatLength(zone.height, system)}`,
    limit: `${formatLength(wall.width, system)} × ${formatLength(wall.height, system)}`,
    why: 'The zone runs over the edge of the piece. Only what lies on the piece is used.',
    remedies: [
      {
        label: 'Keep the zone on the piece',
        patch: Object.entries({ x, y, width, height }).flatMap(([field, mm]) => setAt(['zones', zone.id, field], mm)),
      },
    ],
  };
}
