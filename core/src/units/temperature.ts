import { good, refused, type Result } from './result';

export type TemperatureSystem = 'C' | 'F';

/** °C written in the unit that a person wants: "18 °C" or "64 °F". */
export function formatTemperature(celsius: number, system: TemperatureSystem): string {
  return system === 'C' ? `${Math.round(celsius * 10) / 10} °C` : `${Math.round((celsius * 9) / 5 + 32)} °F`;
}

/** What a temperature may be of, °C, and what is said where it is not. */
export interface TemperatureOf {
  readonly least: number;
  readonly most: number;
  /** "is no room to work in" */
  readonly beyond: string;
  readonly wayOut: string;
}

/** The temperature of a room. */
const ROOM: TemperatureOf = {
  least: -20,
  most: 60,
  beyond: 'is no room to work in',
  wayOut: 'Type a room temperature such as "18 °C" or "64 °F".',
};

/**
 * Reads a temperature that a person typed: "18", "18 C", "64°F".
 *
 * @param limits of what it is the temperature: of a room, where nothing else is said
 * @returns °C within what such a thing may have; otherwise a problem
 */
export function parseTemperature(text: string, system: TemperatureSystem, where: string, limits: TemperatureOf = ROOM): Result<number> {
  const { least, most, beyond, wayOut } = limits;
  const match = /^([-−]?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?$/i.exec(text.trim());
  if (!match) return refused(`"${text}" is not a temperature.`, 'a number of degrees', where, wayOut);
  const number = Number(match[1]!.replace('−', '-').replace(',', '.'));
  const celsius = (match[2]?.toUpperCase() ?? system) === 'F' ? ((number - 32) * 5) / 9 : number;
  if (celsius < least || celsius > most) return refused(`${text} ${beyond}.`, `between ${least} and ${most} °C`, where, wayOut);
  return good(celsius);
}
