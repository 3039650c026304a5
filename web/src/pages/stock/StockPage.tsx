import { useMemo } from 'react';
import { TAPE_KINDS, COATS } from '@kolleta/core/facts';
import { dryingFactor } from '@kolleta/core/finish';
import { filmTaken, setAt, type Film } from '@kolleta/core/job';
import { formatLength, formatTemperature, good, parseTemperature, refused } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { formatMoment } from '@kolleta/core/schedule';
import { useWorkshop } from '../../storage/useWorkshop';
import { editShop } from '../../storage/editShop';
import { Choice, Sentence, TextWord, Typed } from '../../ui/tokens';
import { usePlan } from '../../workers/usePlan';
import { Roll } from './Roll';
import { WorkshopFile } from './WorkshopFile';

/** Rolls, tapes and paints as they are; the room, the units, and the workshop's file. */
export function StockPage() {
  const { shop, events, isDemo } = useWorkshop();
  const plan = usePlan();
  const system = shop.lengths;
  const taken = useMemo(() => filmTaken(events), [events]);
  const left = (film: Film) => Math.max(0, film.length - (taken.get(film.id) ?? 0));
  const next = (film: Film) => plan?.layouts.find((l) => l.film.id === film.id)?.taken ?? 0;
  return (
    <div className="flex flex-col gap-4">
      <h1 className="text-[1.65rem] font-extrabold [&_.token]:text-base-content [&_.token]:border-transparent hover:[&_.token]:border-primary">
        <TextWord
          label="Name of the workshop"
          value={shop.name}
          onChange={(name) => editShop(setAt(['name'], name), 'Name the workshop')}
        />
      </h1>
      <section aria-label="Rolls" className="sheet px-4 py-3">
        <h2 className="text-lg font-bold">Rolls</h2>
        <p className="quiet text-sm">Drawn to one scale along and one across; dashed is where the open jobs will cut.</p>
        <ul>
          {shop.films.map((film) => (
            <Roll key={film.id} film={film} left={left(film)} next={next(film)} system={system} />
          ))}
        </ul>
      </section>
      <div className="grid grid-cols-1 gap-4 lg:grid-cols-2">
        <section aria-label="Tapes and paints" className="sheet px-4 py-3">
          <h2 className="text-lg font-bold">Tapes</h2>
          <ul className="mb-3">
            {shop.tapes.map((tape) => (
              <li key={tape.id} className="flex flex-wrap justify-between gap-2 py-1">
                <span>
                  <strong>{tape.name}</strong> <span className="quiet">{TAPE_KINDS[tape.kind].name}</span>
                </span>
                <span className="measure text-[0.9rem]">
                  {formatLength(tape.width, system, { digits: 0 })} × {formatLength(tape.length, system, { digits: 0 })}
                </span>
              </li>
            ))}
          </ul>
          <h2 className="text-lg font-bold">Paints, stains, sealers</h2>
          <ul>
            {shop.paints.map((paint) => (
              <li key={paint.id} className="flex flex-wrap items-center gap-2 py-1">
                <span className="border-base-300 inline-block size-5 rounded border" style={{ background: paint.colour }} />
                <strong>{paint.name}</strong> <span className="quiet flex-1">{COATS[paint.coat].name}</span>
                <Typed
                  label={`${paint.name} left, ml`}
                  shown={`${Math.floor(paint.volume)} ml`}
                  read={(text) => {
                    const n = Number(text.replace('ml', '').replace(',', '.').trim());
                    return Number.isFinite(n) && n >= 0
                      ? good(n)
                      : refused(`"${text}" is not a volume.`, 'millilitres', paint.name, 'Type millilitres, such as 45.');
                  }}
                  onChange={(volume) => editShop(setAt(['paints', paint.id, 'volume'], volume), 'Count a paint')}
                />
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Room, units and files" className="sheet flex flex-col gap-3 px-4 py-3">
          <div>
            <h2 className="text-lg font-bold">Room and units</h2>
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
                read={(text) => {
                  const n = Number(text.replace('%', '').trim());
                  return Number.isFinite(n) && n >= 0 && n <= 99
                    ? good(n / 100)
                    : refused(`"${text}" is not a humidity.`, '0 to 99 %', 'Humidity', 'Type percent, such as 55.');
                }}
                onChange={(humidity) => editShop(setAt(['climate', 'humidity'], humidity), 'Change the room')}
              />{' '}
              humidity: water-based coats take ×{dryingFactor('water', shop.climate).factor.toFixed(2)}, others ×
              {dryingFactor('solvent', shop.climate).factor.toFixed(2)} as long. Lengths are shown in{' '}
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
              . The clock there is {formatMoment(now(), shop.hours.zone)}
              {isDemo ? ', the demo’s' : ''}.
            </Sentence>
          </div>
          <WorkshopFile />
        </section>
      </div>
    </div>
  );
}
