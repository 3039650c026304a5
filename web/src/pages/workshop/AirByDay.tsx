import { dryingFactor } from '@kolleta/core/finish';
import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { dayOf, formatMoment, midnightOf } from '@kolleta/core/schedule';
import { formatTemperature, parseTemperature } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { Choice, Sentence, Typed } from '../../ui/tokens';
import { readHumidity } from './readHumidity';

/** Days that can be named. */
const DAYS = 14;
const WHAT = 'Change the room of a day';

/** Days on which the workroom will be colder, damper, warmer or drier than usual: waits go by the days that they fall on. */
export function AirByDay({ shop }: { shop: Shop }) {
  const { zone } = shop.hours;
  const at = now();
  const days = Array.from({ length: DAYS }, (_, later) => {
    const midnight = midnightOf(at, zone, later);
    return { value: dayOf(midnight, zone), label: formatMoment(midnight, zone).slice(0, -6) };
  });
  const named = (shop.airOn ?? []).filter(({ day }) => day >= days[0]!.value).toSorted((a, b) => (a.day < b.day ? -1 : 1));
  const add = () =>
    editShop((saved) => {
      // days that are over are forgotten
      const there = (saved.airOn ?? []).filter(({ day }) => day >= days[0]!.value);
      const free = days.slice(1).find(({ value }) => !there.some(({ day }) => day === value));
      if (!free) return [];
      const { celsius, humidity } = saved.climate;
      return setAt(['airOn'], [...there, { id: newId(), day: free.value, celsius: Math.max(-20, celsius - 4), humidity }]);
    }, 'Name a day with other air');
  const slower = (air: Shop['climate']): string => {
    const percent = Math.round((dryingFactor('water', air).factor / dryingFactor('water', shop.climate).factor - 1) * 100);
    if (Math.abs(percent) < 2) return 'as long as on other days';
    return `${Math.abs(percent)} % ${percent > 0 ? 'longer' : 'shorter'} than on other days`;
  };
  return (
    <>
      {named.map((one) => (
        <Sentence key={one.id}>
          On{' '}
          <Choice
            label="Day with other air"
            value={one.day}
            options={days.filter(({ value }) => value === one.day || !named.some(({ day }) => day === value))}
            onChange={(day) => editShop(setAt(['airOn', one.id, 'day'], day), WHAT)}
          />{' '}
          it will have{' '}
          <Typed
            label="Temperature that day"
            shown={formatTemperature(one.celsius, shop.temperatures)}
            read={(text) => parseTemperature(text, shop.temperatures, 'Temperature that day')}
            onChange={(celsius) => editShop(setAt(['airOn', one.id, 'celsius'], celsius), WHAT)}
          />{' '}
          and{' '}
          <Typed
            label="Humidity that day"
            shown={`${Math.round(one.humidity * 100)} %`}
            read={readHumidity}
            onChange={(humidity) => editShop(setAt(['airOn', one.id, 'humidity'], humidity), WHAT)}
          />
          : water-based coats take {slower(one)}.{' '}
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300"
            aria-label={`No other air on ${days.find(({ value }) => value === one.day)?.label ?? one.day}`}
            onClick={() => void editShop(() => removeAt(['airOn', one.id]), 'Take a day with other air off')}
          >
            Take off
          </button>
        </Sentence>
      ))}
      {named.length < DAYS - 1 && (
        <button type="button" className="btn btn-sm btn-ghost border-base-300 my-1" onClick={() => void add()}>
          A day will be colder, damper or warmer
        </button>
      )}
    </>
  );
}
