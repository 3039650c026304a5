import type { Artwork, DrawnPart } from '../job';
import { mixed } from './import/colour';

type Drawing = Extract<Artwork, { kind: 'drawing' }>;

/** Parts less opaque than this are taken for shades where nothing is said. */
const SHADE = 0.5;

/** The parts that nobody has left out. */
export function partsLying({ parts, dropped }: Pick<Drawing, 'parts' | 'dropped'>): readonly DrawnPart[] {
  const out = new Set(dropped);
  return out.size === 0 ? parts : parts.filter(({ id }) => !out.has(id));
}

/** Parts less opaque than this are left out as shades: as was said, or half; a drawing of nothing but such has none, for then they are what is meant. */
export function shadesUnder(drawing: Pick<Drawing, 'parts' | 'dropped' | 'shades'>): number {
  if (drawing.shades) return drawing.shades.under;
  return partsLying(drawing).every(({ opacity = 1 }) => opacity < SHADE) ? 0 : SHADE;
}

/**
 * The parts of a drawing that are cut, in the colours in which they are: without those that are left out, without shades, gradients and what one
 * sees through as flat colours.
 */
export function partsShown(drawing: Pick<Drawing, 'parts' | 'dropped' | 'shades' | 'gradients'>): DrawnPart[] {
  const under = shadesUnder(drawing);
  return partsLying(drawing).flatMap((part): DrawnPart[] => {
    if ((part.opacity ?? 1) < under) return [];
    const flat = drawing.gradients === 'middle' && part.middle ? part.middle : part.colour;
    const colour = part.opacity !== undefined && drawing.shades?.mixed ? mixed('#ffffff', flat, part.opacity) : flat;
    return [colour === part.colour ? part : { ...part, colour }];
  });
}
