import { PRESSING } from '@kolleta/core/facts';
import { pressOf } from '@kolleta/core/finish';
import { setAt, type Film, type Pressing } from '@kolleta/core/job';
import { formatTemperature, parseTemperature, type TemperatureSystem } from '@kolleta/core/units';
import { editShop } from '../storage/editShop';
import { Choice, CountWord, Typed } from '../ui/tokens';

/** What may be typed as the heat of a press. */
const HEAT = {
  ...PRESSING.celsius,
  beyond: 'is no heat for a press',
  wayOut: 'Type what the sheet of the film says, such as "150 °C" or "300 °F".',
};

/** How film is pressed on, as its sheet says, kept with the film in stock: "at 150 °C for 12 seconds, medium, peeled warm". */
export function PressWords({ film, system }: { film: Film; system: TemperatureSystem }) {
  const press = pressOf(film);
  if (!press) return null;
  const onChange = (change: Partial<Pressing>) =>
    editShop((shop) => {
      const saved = shop.films.find(({ id }) => id === film.id);
      const was = saved && pressOf(saved);
      return was ? setAt(['films', film.id, 'press'], { ...was, ...change }) : [];
    }, 'Change how a film is pressed');
  return (
    <>
      at{' '}
      <Typed
        label={`Temperature for ${film.name}`}
        shown={formatTemperature(press.celsius, system)}
        read={(text) => parseTemperature(text, system, 'the press', HEAT)}
        onChange={(celsius) => onChange({ celsius })}
      />{' '}
      for{' '}
      <CountWord
        label={`Seconds for ${film.name}`}
        value={press.seconds}
        most={PRESSING.most}
        onChange={(seconds) => onChange({ seconds })}
      />{' '}
      s,{' '}
      <Choice
        label={`Pressure for ${film.name}`}
        value={press.pressure}
        options={[
          { value: 'medium', label: 'medium pressure' },
          { value: 'firm', label: 'firm pressure' },
        ]}
        onChange={(pressure) => onChange({ pressure })}
      />
      , peeled{' '}
      <Choice
        label={`Peel of ${film.name}`}
        value={press.peel}
        options={[
          { value: 'warm', label: 'warm' },
          { value: 'cold', label: 'cold' },
        ]}
        onChange={(peel) => onChange({ peel })}
      />
    </>
  );
}
