import { good, refused, type Result } from './result';

export type TemperatureSystem = 'C' | 'F';

/** °C written in the unit that a person wants: "18 °C" or "64 °F". */
export function formatTemperature(celsius: number, system: TemperatureSystem): string {
  return system === 'C' ? `${Math.round(celsius * 10) / 10} °C` : `${Math.round((celsius * 9) / 5 + 32)} °F`;
}

/**
 * Reads a room temperature that a person typed: "18", "18 C", "64°F".
 *
 * @returns °C between -20 and 60; otherwise a problem
 */
export function parseTemperature(text: string, system: TemperatureSystem, where: string): Result<number> {
  const match = /^([-−]?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?$/i.exec(text.trim());
  const wayOut = 'Type a room temperature such as "18 °C" or "64 °F".';
  if (!match) return refused(`"${text}" is not a temperature.`, 'a number of degrees', where, wayOut);
  const number = Number(match[1]!.replace('−', '-').replace(',', '.'));
  const celsius = (match[2]?.toUpperCase() ?? system) === 'F' ? ((number - 32) * 5) / 9 : number;
  if (celsius < -20 || celsius > 60) return refused(`${text} is no room to work in.`, 'between -20 and 60 °C', where, wayOut);
  return good(celsius);
}
