import { formatLength } from '../../units';
import { rhoAt, sagOf, sectorOf } from '../../blanks';
import { LIMITS } from '../../facts';
import { aboutMark, setAt } from '../../job';
import { type FitReading } from './context';

/** On a taper: whether lines read level, and by how much straight ones would hang. */
export const bendReading: FitReading = (context) => {
  const { mark, fitted, piece, shop, drawn } = context;
  const { shape } = piece;
  const sector = shape.kind === 'taper' ? sectorOf(shape) : undefined;
  if (shape.kind !== 'taper' || !sector || drawn.layers.length === 0) return undefined;
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const rho = rhoAt(sector, shape, fitted.at[1]);
  const sag = sagOf(fitted.width, rho);
  const degrees = (fitted.width / rho) * (180 / Math.PI);
  const base = {
    id: `bend:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Bend',
    ...aboutMark(context.mark, context.several),
    value: mark.straight ? `${say(sag)} off level` : 'reads level',
    figures: `Its ends turn by ${degrees.toFixed(1)}°, about a point ${say(rho)} away.`,
    limit: `${say(LIMITS.sag)} off level`,
  };
  const way = sector.up === 1 ? 'hang' : 'rise';
  if (!mark.straight)
    return {
      ...base,
      verdict: 'fine',
      why: `Bent so that its lines read level; straight ones would ${way} ${say(sag)} at their ends.`,
      remedies: [],
    };
  if (sag <= LIMITS.sag)
    return { ...base, verdict: 'fine', why: `Left straight: its lines ${way} ${say(sag)} at their ends, which nobody sees.`, remedies: [] };
  return {
    ...base,
    verdict: 'watch',
    why: `Left straight, its lines ${way} ${say(sag)} at their ends on this taper.`,
    remedies: [{ label: 'Bend it so that lines read level', patch: setAt(['marks', mark.id, 'straight'], false) }],
  };
};
