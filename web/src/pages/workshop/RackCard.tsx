import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { CountWord, Sentence, TextWord } from '../../ui/tokens';

const MOST = 12;
/** What a place holds to begin with. */
const HOLDS = 12;

/** Where pieces dry: no more is painted at a time than there is room for. */
export function RackCard({ shop }: { shop: Shop }) {
  const rack = shop.rack ?? [];
  const add = () =>
    editShop((saved) => {
      const there = saved.rack ?? [];
      return setAt(['rack'], [...there, { id: newId(), name: there.length === 0 ? 'Drying rack' : `Shelf ${there.length}`, holds: HOLDS }]);
    }, 'Add a drying place');
  return (
    <section id="rack" aria-label="Where pieces dry" className="sheet px-4 py-3">
      <h2 className="text-lg font-bold">Where pieces dry</h2>
      <p className="quiet text-[0.95rem]">
        {rack.length === 0
          ? 'As it is, there is room for everything that dries. Name your rack, and no more is painted at a time than it holds.'
          : `No more dries at a time than ${rack.reduce((sum, { holds }) => sum + holds, 0)} pieces. A set larger than that is planned as if there were room.`}
      </p>
      {rack.map((place) => (
        <Sentence key={place.id} className="mt-1">
          <TextWord
            label="Name of a drying place"
            value={place.name}
            onChange={(name) => editShop(setAt(['rack', place.id, 'name'], name), 'Name a drying place')}
          />{' '}
          holds{' '}
          <CountWord
            label={`How many pieces stand on ${place.name}`}
            value={place.holds}
            most={1000}
            onChange={(holds) => editShop(setAt(['rack', place.id, 'holds'], holds), 'Change what a drying place holds')}
          />{' '}
          pieces.{' '}
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300"
            aria-label={`Take off ${place.name}`}
            onClick={() => void editShop(() => removeAt(['rack', place.id]), 'Take off a drying place')}
          >
            Take off
          </button>
        </Sentence>
      ))}
      {rack.length < MOST && (
        <button type="button" className="btn btn-sm btn-ghost border-base-300 mt-2" onClick={() => void add()}>
          Add a drying place
        </button>
      )}
    </section>
  );
}
