/** The part of culori that core uses. */
export interface Color {
  mode: string;
  r?: number;
  g?: number;
  b?: number;
  alpha?: number;
}
export function useMode(definition: unknown): (color: unknown) => Color | undefined;
export const modeRgb: unknown;
export const modeLab65: unknown;
export const modeHsl: unknown;
export const modeLrgb: unknown;
export const modeXyz65: unknown;
export function parse(text: string): Color | undefined;
export function wcagContrast(a: string | Color, b: string | Color): number;
export function wcagLuminance(a: string | Color): number;
export function differenceCiede2000(): (a: string | Color, b: string | Color) => number;
export function formatHex(color: Color | undefined): string | undefined;
