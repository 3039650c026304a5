import { formatHex, modeHsl, modeLab65, modeRgb, parse, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeHsl);
useMode(modeLab65);

/**
 * Reads a colour as written in a drawing.
 *
 * @returns #rrggbb and how opaque it is, 0 to 1; nothing when it is no plain colour
 */
export function readPaint(text: string): { readonly colour: string; readonly opacity: number } | undefined {
  if (text === 'transparent') return { colour: '#000000', opacity: 0 };
  const colour = parse(text);
  return colour && { colour: formatHex(colour)!, opacity: colour.alpha ?? 1 };
}

const channels = (colour: string): number[] => [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16));

/** The colour so far on from one to another as a screen mixes them, both #rrggbb, 0 to 1. */
export function mixed(from: string, to: string, share: number): string {
  const [a, b] = [channels(from), channels(to)];
  return `#${a
    .map((one, i) =>
      Math.round(one + (b[i]! - one) * share)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
