import { good, refused, type Result } from './result';

export type TemperatureSystem = 'C' | 'F';

/** °C written in the unit that a person wants: "18 °C" or "64 °F". */
export function formatTemperature(celsius: number, system: TemperatureSystem): string {
  return system === 'C' ? `${Math.round(celsius * 10) / 10} °C` : `${Math.round((celsius * 9) / 5 + 32)} °F`;
}

/** What a temperature may be of, °C, and what is said where it is not. */
interface TemperatureOf {
  readonly least: number;
  readonly most: number;
  /** "is no room to work in" */
  readonly beyond: string;
  readonly wayOut: string;
}

/** The temperatures that are typed. */
const TEMPERATURES = {
  room: { least: -20, most: 60, beyond: 'is no room to work in', wayOut: 'Type a room temperature such as "18 °C" or "64 °F".' },
  press: {
    least: 80,
    most: 230,
    beyond: 'is no heat for a press',
    wayOut: 'Type what the sheet of the film says, such as "150 °C" or "300 °F".',
  },
} as const satisfies Record<string, TemperatureOf>;

/**
 * Reads a temperature that a person typed: "18", "18 C", "64°F".
 *
 * @param of a room, or a press
 * @returns °C within what such a thing may have; otherwise a problem
 */
export function parseTemperature(
  text: string,
  system: TemperatureSystem,
  where: string,
  of: keyof typeof TEMPERATURES = 'room',
): Result<number> {
  const { least, most, beyond, wayOut } = TEMPERATURES[of];
  const match = /^([-−]?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?$/i.exec(text.trim());
  if (!match) return refused(`"${text}" is not a temperature.`, 'a number of degrees', where, wayOut);
  const number = Number(match[1]!.replace('−', '-').replace(',', '.'));
  const celsius = (match[2]?.toUpperCase() ?? system) === 'F' ? ((number - 32) * 5) / 9 : number;
  if (celsius < least || celsius > most) return refused(`${text} ${beyond}.`, `between ${least} and ${most} °C`, where, wayOut);
  return good(celsius);
}
