import { dryingFactor } from '@kolleta/core/finish';
import { setAt, type Shop } from '@kolleta/core/job';
import { formatTemperature, good, parseTemperature, refused } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { Choice, MoneyWord, Sentence, Typed } from '../../ui/tokens';
import { AirByDay } from './AirByDay';
import { readHumidity } from './readHumidity';

/** Currencies by their letters, with their names. */
const CURRENCIES = typeof Intl.supportedValuesOf === 'function' ? Intl.supportedValuesOf('currency') : ['EUR', 'USD', 'GBP'];
const currencyNames = new Intl.DisplayNames(['en'], { type: 'currency' });

function readCurrency(text: string) {
  const plain = text.trim();
  const signs: Record<string, string> = { '€': 'EUR', $: 'USD', '£': 'GBP', '₹': 'INR', '¥': 'JPY' };
  const found =
    signs[plain] ??
    CURRENCIES.find((code) => code === plain.toUpperCase()) ??
    CURRENCIES.find((code) => currencyNames.of(code)?.toLowerCase() === plain.toLowerCase());
  return found
    ? good(found)
    : refused(`“${plain}” is no currency.`, 'three letters', 'Currency', 'Type its three letters, such as EUR or USD.');
}

/** The air of the workroom, the units, and what an hour costs. */
export function RoomCard({ shop }: { shop: Shop }) {
  const slower = (kind: 'water' | 'solvent') => {
    const { factor } = dryingFactor(kind, shop.climate);
    const percent = Math.round(Math.abs(factor - 1) * 100);
    return percent < 2 ? 'as fast as their labels say' : `${percent} % ${factor > 1 ? 'slower' : 'faster'} than their labels say`;
  };
  return (
    <section id="room" aria-label="Room, units and money" className="sheet px-4 py-3">
      <h2 className="text-lg font-bold">Room, units and money</h2>
      <Sentence>
        The workroom has{' '}
        <Typed
          label="Room temperature"
          shown={formatTemperature(shop.climate.celsius, shop.temperatures)}
          read={(text) => parseTemperature(text, shop.temperatures, 'Room temperature')}
          onChange={(celsius) => editShop(setAt(['climate', 'celsius'], celsius), 'Change the room')}
        />{' '}
        and{' '}
        <Typed
          label="Humidity"
          shown={`${Math.round(shop.climate.humidity * 100)} %`}
          read={readHumidity}
          onChange={(humidity) => editShop(setAt(['climate', 'humidity'], humidity), 'Change the room')}
        />{' '}
        humidity:{' '}
        {slower('water') === slower('solvent')
          ? `coats dry ${slower('water')}`
          : `water-based coats dry ${slower('water')}, others ${slower('solvent')}`}
        .
      </Sentence>
      <AirByDay shop={shop} />
      <Sentence>
        Lengths are shown in{' '}
        <Choice
          label="Lengths"
          value={shop.lengths}
          options={[
            { value: 'mm', label: 'millimetres' },
            { value: 'inch', label: 'inches' },
          ]}
          onChange={(lengths) => editShop(setAt(['lengths'], lengths), 'Change the units')}
        />
        , temperatures in{' '}
        <Choice
          label="Temperatures"
          value={shop.temperatures}
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          onChange={(temperatures) => editShop(setAt(['temperatures'], temperatures), 'Change the units')}
        />
        . Either can be typed anywhere.
      </Sentence>
      <Sentence>
        Money is{' '}
        <Typed
          label="Currency"
          shown={shop.currency}
          read={readCurrency}
          onChange={(currency) => editShop(setAt(['currency'], currency), 'Change the currency')}
        />
        ; an hour of work counts{' '}
        <MoneyWord
          label="An hour of work"
          value={shop.rate}
          currency={shop.currency}
          onChange={(rate) => editShop(setAt(['rate'], rate), 'Change the rate')}
        />
        .
      </Sentence>
    </section>
  );
}
