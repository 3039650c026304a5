import { formatTemperature, type TemperatureSystem } from '../units';
import type { Climate, Reading } from '../job';
import { dryingFactor } from './drying';

/** What curing tells: how this room dries. */
export function finishReadings(climate: Climate, system: TemperatureSystem): Reading[] {
  const water = dryingFactor('water', climate);
  const other = dryingFactor('solvent', climate);
  const out = water.outOfRange || other.outOfRange;
  const room: Reading = {
    id: 'climate',
    station: 'cure',
    verdict: out ? 'watch' : 'fine',
    title: 'Drying in this room',
    value: `×${water.factor.toFixed(2)} water, ×${other.factor.toFixed(2)} others`,
    limit: '×0.5 to ×4',
    why: out
      ? 'The room is outside what drying times can be trusted for.'
      : `At ${formatTemperature(climate.celsius, system)} and ${Math.round(climate.humidity * 100)} % humidity, against 20 °C and 50 %.`,
    remedies: [],
    advice: out ? 'Warm or air the room, and test with a fingertip before each step.' : undefined,
  };
  return [room];
}
