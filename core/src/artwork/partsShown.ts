import type { Artwork, DrawnPart } from '../job';
import { mixed } from './import/colour';

type Drawing = Extract<Artwork, { kind: 'drawing' }>;

/** Parts less opaque than this are taken for shades where nothing is said, and left out. */
export const SHADE = 0.5;

/** Whether a part is so little opaque that it is left out. */
export const isShade = ({ opacity }: Pick<DrawnPart, 'opacity'>, { shades }: Pick<Drawing, 'shades'>): boolean =>
  opacity !== undefined && opacity < (shades?.under ?? SHADE);

/**
 * The parts of a drawing that are cut, in the colours in which they are: without those that are left out, without shades, gradients and what one
 * sees through as flat colours.
 */
export function partsShown(drawing: Pick<Drawing, 'parts' | 'dropped' | 'shades' | 'gradients'>): DrawnPart[] {
  const dropped = new Set(drawing.dropped);
  return drawing.parts.flatMap((part): DrawnPart[] => {
    if (dropped.has(part.id) || isShade(part, drawing)) return [];
    const flat = drawing.gradients === 'middle' && part.middle ? part.middle : part.colour;
    const colour = part.opacity !== undefined && drawing.shades?.mixed ? mixed('#ffffff', flat, part.opacity) : flat;
    return [colour === part.colour ? part : { ...part, colour }];
  });
}
