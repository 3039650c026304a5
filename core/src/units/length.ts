import { eitherOf, numbersIn, withoutGroups } from './number';
import { good, refused, type Result } from './result';

/** How a person wants lengths shown. */
export type LengthSystem = 'mm' | 'inch';

export const MM_PER_INCH = 25.4;

/** The largest measure taken, in mm: beyond any piece or roll. */
const ABSURD_MM = 100_000;

const UNIT_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 304.8,
  foot: 304.8,
  feet: 304.8,
  "'": 304.8,
};
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
};
const VULGARS = new RegExp(`[${Object.keys(VULGAR).join('')}]`, 'g');

/** What people type, in the letters that are read: typographic quotes and fractions, "3-1/2", double marks for inches. */
const plainly = (text: string): string =>
  withoutGroups(text.trim())
    .toLowerCase()
    .replace(VULGARS, (mark) => ` ${VULGAR[mark]}`)
    .replaceAll('⁄', '/')
    .replace(/[“”„‟″]|''|’’/g, '"')
    .replace(/[‘’‛′]/g, "'")
    .replace(/(\d)\s*[-‐‑–]\s*(\d+\/\d)/g, '$1 $2')
    .trim();

/** Feet and inches, of which each is a length of its own. */
const FEET = /^(\d+(?:\.\d+)?)\s*(?:'|ft|feet|foot)\s*-?\s*([\d.].*)$/;
const LENGTH = /^([-−+])?\s*(?:(\d[\d.,]*|[.,]\d+)(?:\s+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*(mm|cm|m|inches|inch|in|feet|foot|ft|"|')?\.?$/;

/**
 * Reads a length that a person typed: "3 1/2", "3-1/2", "3.5in", "9 cm", "1½″", "12,5", "1' 2 3/8".
 *
 * @param text what was typed
 * @param system which unit a bare number is in
 * @param where the name of the field, for the problem
 * @param least the least length allowed, mm (default: greater than nothing)
 * @returns mm; a problem for anything that is not a length, is negative, or is absurd
 */
export function parseLength(text: string, system: LengthSystem, where: string, least = 0): Result<number> {
  const cleaned = plainly(text);
  const example = system === 'mm' ? '"90", "9 cm" or "3 1/2 in"' : '"3 1/2", "3.5" or "90 mm"';
  const feet = FEET.exec(cleaned);
  if (feet) {
    const rest = parseLength(/["a-z]/.test(feet[2]!) ? feet[2]! : `${feet[2]!}"`, 'inch', where);
    if (rest.ok && rest.value < UNIT_MM.ft!)
      return parseLength(`${Number(feet[1]) * 12 * MM_PER_INCH + rest.value} mm`, system, where, least);
  }
  const match = LENGTH.exec(cleaned);
  const [, sign, whole, top, bottom, onlyTop, onlyBottom, unit] = match ?? [];
  const wholes = match ? (whole === undefined ? [0] : numbersIn(whole)) : [];
  if (wholes.length === 0)
    return refused(`"${text}" is not a length.`, `a length such as ${example}`, where, `Type a length such as ${example}.`);
  const part = (a: string | undefined, b: string | undefined) => (a && b ? Number(a) / Number(b) : 0);
  const factor = (unit ? UNIT_MM[unit]! : system === 'mm' ? 1 : MM_PER_INCH) * (sign === '-' || sign === '−' ? -1 : 1);
  const lengthOf = (n: number) => (n + part(top, bottom) + part(onlyTop, onlyBottom)) * factor;
  const fit = wholes.filter((n) => lengthOf(n) >= least && lengthOf(n) <= ABSURD_MM);
  if (fit.length > 1)
    return eitherOf(
      text,
      where,
      fit.map((n) => `${n} ${unit ?? (system === 'mm' ? 'mm' : 'in')}`),
    );
  const mm = lengthOf(fit[0] ?? wholes[0]!);
  if (!Number.isFinite(mm))
    return refused(`"${text}" divides by nothing.`, 'a fraction with a bottom over 0', where, `Type a length such as ${example}.`);
  if (mm < least || (least === 0 && mm < 0)) {
    const atLeast = least === 0 ? 'nothing less than 0' : `at least ${formatLength(least, system)}`;
    return refused(`"${text}" is too small here.`, atLeast, where, `Measure again and type ${atLeast}.`);
  }
  if (mm > ABSURD_MM)
    return refused(`"${text}" is longer than 100 m.`, 'a length that fits in a workshop', where, 'Check the unit that you typed.');
  return good(mm);
}

/** Writes a long way of a knife or a roll: metres with two digits, or feet with one. */
export const formatWay = (mm: number, system: LengthSystem): string =>
  system === 'mm' ? (mm < 1000 ? `${Math.round(mm)} mm` : `${(mm / 1000).toFixed(2)} m`) : `${(mm / 304.8).toFixed(1)} ft`;

/** Removes what is common from top and bottom. */
function lowestTerms(top: number, bottom: number): [number, number] {
  let [a, b] = [top, bottom];
  while (b) [a, b] = [b, a % b];
  return [top / a, bottom / a];
}

/** Under this a length in inches is written in thousandths, unless it is a 32nd. */
const FINE_INCHES = 1 / 8;

/**
 * Writes a length for a person: "74.0 mm", or inches to the nearest 1/32, "2 29/32 in"; fine ones in thousandths, "0.024 in".
 *
 * @param mm length in mm
 * @param system the unit to show
 * @param options `unit: false` leaves the unit off; `digits` after the point for mm (default 1, none kept when whole)
 */
export function formatLength(mm: number, system: LengthSystem, options: { unit?: boolean; digits?: number } = {}): string {
  const tail = options.unit === false ? '' : system === 'mm' ? ' mm' : ' in';
  if (system === 'mm') {
    const digits = options.digits ?? 1;
    // what is not nought never reads as nought
    const fine = mm !== 0 && Math.abs(mm) < 0.5 * 10 ** -digits ? Math.min(4, Math.ceil(-Math.log10(Math.abs(mm)))) : digits;
    const text = mm.toFixed(fine);
    return (fine > 0 ? text.replace(/\.?0+$/, '') : text).replace(/^-0$/, '0') + tail;
  }
  const sign = mm < 0 ? '−' : '';
  const inches = Math.abs(mm) / MM_PER_INCH;
  // strokes and gaps: what is not nought never reads as nought, and no such measure is taken in 32nds
  const nearest = Math.round(inches * 32);
  if (inches > 0 && inches < FINE_INCHES && (nearest === 0 || Math.abs(inches * 32 - nearest) > 0.005))
    return `${sign}${inches < 0.0005 ? 'under 0.001' : Number(inches.toFixed(3))}${tail}`;
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * 32);
  const whole = Math.floor(parts / 32);
  const [top, bottom] = lowestTerms(parts % 32, 32);
  if (parts === 0) return `0${tail}`;
  return `${sign}${whole ? whole : ''}${whole && top ? ' ' : ''}${top ? `${top}/${bottom}` : ''}${tail}`;
}

/** An area for a person: "36 mm²", "0.056 in²". */
export function formatArea(mm2: number, system: LengthSystem): string {
  if (system === 'mm') return `${mm2 < 10 ? Number(mm2.toFixed(1)) : Math.round(mm2)} mm²`;
  const inches = mm2 / MM_PER_INCH ** 2;
  return inches > 0 && inches < 0.0005 ? 'under 0.001 in²' : `${inches < 1 ? Number(inches.toFixed(3)) : Number(inches.toFixed(1))} in²`;
}
