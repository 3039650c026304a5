import { formatHex, modeHsl, modeLab65, modeRgb, parse, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeHsl);
useMode(modeLab65);

/**
 * Reads a colour as written in a drawing.
 *
 * @returns #rrggbb, 'transparent', or nothing when it is no plain colour
 */
export function readColour(text: string): string | undefined {
  if (text === 'transparent') return 'transparent';
  const colour = parse(text);
  if (!colour) return undefined;
  if (colour.alpha === 0) return 'transparent';
  return formatHex(colour);
}
