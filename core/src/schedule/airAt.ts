import type { Shop } from '../job';
import { dayOf } from './calendar';

/** The air of the workroom on the day of a moment: as usual where nothing else is said of it. */
export const airAt = ({ airOn = [], climate, hours }: Pick<Shop, 'airOn' | 'climate' | 'hours'>, at: number): Shop['climate'] => {
  const air = airOn.find(({ day }) => day === dayOf(at, hours.zone));
  return air ? { celsius: air.celsius, humidity: air.humidity } : climate;
};
