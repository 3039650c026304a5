import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { formatSpans, parseSpans } from '@kolleta/core/schedule';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { Choice, MoneyWord, Sentence, TextWord, Typed } from '../../ui/tokens';

type Person = NonNullable<Shop['people']>[number];

const WEEK_DAYS = [
  [1, 'Mon'],
  [2, 'Tue'],
  [3, 'Wed'],
  [4, 'Thu'],
  [5, 'Fri'],
  [6, 'Sat'],
  [0, 'Sun'],
] as const;
const MOST = 6;

/** Somebody's hours, day by day, as they are typed. */
function OwnWeek({ person, week }: { person: Person; week: NonNullable<Person['week']> }) {
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1 pl-4 text-[0.95rem]">
      {WEEK_DAYS.map(([day, name]) => (
        <span key={day}>
          {name}{' '}
          <Typed
            label={`${person.name}, ${name}`}
            shown={formatSpans(week[day]!)}
            read={(text) => parseSpans(text, name)}
            onChange={(spans) =>
              editShop(
                (saved) =>
                  setAt(
                    ['people', person.id, 'week'],
                    (saved.people?.find(({ id }) => id === person.id)?.week ?? week).map((was, i) => (i === day ? spans : was)),
                  ),
                'Change somebody’s hours',
              )
            }
            plain
          />
        </span>
      ))}
    </div>
  );
}

/** Who works here: steps are shared out among them, and some need two. */
export function PeopleCard({ shop }: { shop: Shop }) {
  const people = shop.people ?? [];
  const add = () =>
    editShop((saved) => {
      const there = saved.people ?? [];
      const first = there.length > 0 ? there : [{ id: newId(), name: 'You' }];
      return setAt(['people'], [...first, { id: newId(), name: first.length === 1 ? 'Somebody else' : `Helper ${first.length}` }]);
    }, 'Add somebody who works here');
  return (
    <section id="people" aria-label="Who works here" className="sheet px-4 py-3">
      <h2 className="text-lg font-bold">Who works here</h2>
      {people.length < 2 && <p className="quiet text-[0.95rem]">One pair of hands, in the hours above. Every step is planned for them.</p>}
      {people.map((person) => (
        <div key={person.id} className="mt-1">
          <Sentence>
            <TextWord
              label="Name"
              value={person.name}
              onChange={(name) => editShop(setAt(['people', person.id, 'name'], name), 'Name somebody')}
            />{' '}
            works{' '}
            <Choice
              label={`Hours of ${person.name}`}
              value={person.week ? 'own' : 'same'}
              options={[
                { value: 'same', label: 'when the workshop is open' },
                { value: 'own', label: 'hours of their own' },
              ]}
              onChange={(value) =>
                editShop(
                  (saved) =>
                    value === 'own'
                      ? setAt(
                          ['people', person.id, 'week'],
                          saved.hours.week.map((day) => day.map(([start, end]): [number, number] => [start, end])),
                        )
                      : removeAt(['people', person.id, 'week']),
                  'Change somebody’s hours',
                )
              }
            />
            ; an hour of theirs counts{' '}
            <MoneyWord
              label={`An hour of ${person.name}`}
              value={person.rate ?? shop.rate}
              currency={shop.currency}
              onChange={(rate) => editShop(setAt(['people', person.id, 'rate'], rate), 'Change what somebody’s hour counts')}
            />
            .{' '}
            {people.length > 1 && (
              <button
                type="button"
                className="btn btn-xs btn-ghost border-base-300"
                aria-label={`${person.name} no longer works here`}
                onClick={() => void editShop(() => removeAt(['people', person.id]), 'Take somebody off')}
              >
                Take off
              </button>
            )}
          </Sentence>
          {person.week && <OwnWeek person={person} week={person.week} />}
        </div>
      ))}
      {people.length < MOST && (
        <button type="button" className="btn btn-sm btn-ghost border-base-300 mt-2" onClick={() => void add()}>
          Somebody else works here too
        </button>
      )}
    </section>
  );
}
