import { Link } from 'react-router';
import { formatDuration } from '@kolleta/core/units';
import { stepTitle, waitWords } from '@kolleta/core/words';
import {
  formatMoment,
  handsIn,
  heldBack,
  heldBackWords,
  waitCloses,
  waitOver,
  type PlacedStep,
  type Schedule,
} from '@kolleta/core/schedule';
import type { Job, Shop } from '@kolleta/core/job';
import { doneBy } from '../../frame/doneBy';
import { MomentWord } from '../../frame/MomentWord';
import { giveStep } from '../../frame/giveStep';
import { Choice, Sentence } from '../../ui/tokens';
import { unpinStep } from '../../frame/pinStep';

interface Props {
  placed: PlacedStep;
  schedule: Schedule;
  job: Job | undefined;
  nameOf: (job: string) => string;
  shop: Shop;
  onPut: (placed: PlacedStep, at: number) => void;
}

/** The step that is looked at: when it is, who does it, what it waits for, and putting it elsewhere. */
export function StepPanel({ placed, schedule, job, nameOf, shop, onPut }: Props) {
  const { step, start, state } = placed;
  const { zone } = shop.hours;
  const people = shop.people ?? [];
  const pin = job?.pins?.find((one) => one.step === step.id);
  const say = (at: number) => formatMoment(at, zone);
  const held = pin && pin.at !== start ? heldBack(placed, pin.at, schedule.steps, schedule.windows) : undefined;
  const before = placed.follows && schedule.steps.find((one) => one.step.id === placed.follows!.step);
  const own = schedule.jobs.get(step.job)?.steps ?? [];
  const waits = step.after.flatMap((lag) => {
    const before = own.find((one) => one.step.id === lag.step);
    return before ? [{ lag, before, until: waitOver(before.end, lag) }] : [];
  });
  return (
    <section aria-label="The chosen step" className="sheet flex flex-col gap-2 px-4 py-3">
      <h2 className="text-lg leading-snug font-bold">{stepTitle(step)}</h2>
      <p className="quiet text-[0.92rem]">
        <Link className="link" to={`/job/${step.job}/${step.station}`}>
          {job?.name}
        </Link>{' '}
        · {formatDuration(handsIn(placed))} of work
        {doneBy(placed, shop, ' · ')}
      </p>
      {state === 'waiting' ? (
        <Sentence>
          It begins{' '}
          <MomentWord
            label="When it begins"
            value={start}
            zone={zone}
            onChange={(at) => {
              if (at !== undefined) onPut(placed, at);
              else if (pin) return unpinStep(step.job, step.id);
              return Promise.resolve(0);
            }}
          />
          .
        </Sentence>
      ) : (
        <p>{state === 'done' ? `It was done ${say(placed.end)}.` : `It has run since ${say(start)}.`}</p>
      )}
      {people.length > 1 && state !== 'done' && (
        <Sentence>
          It is done by{' '}
          <Choice
            label="Who does it"
            value={job?.given?.find((one) => one.step === step.id)?.who ?? ''}
            options={[{ value: '', label: 'whoever has time' }, ...people.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(id) => giveStep(step.job, step.id, id === '' ? undefined : id)}
          />
          .
        </Sentence>
      )}
      {pin && state === 'waiting' && (
        <div className="border-warning border-l-4 pl-3 text-[0.95rem]">
          {pin.at === start ? (
            <p>You put it there. The rest gives way.</p>
          ) : (
            <p>
              You put it at {say(pin.at)}. It begins {say(start)}
              {held ? `: ${heldBackWords(held, say)}` : ', as soon as hands are free'}.
            </p>
          )}
          <button type="button" className="btn btn-sm btn-outline mt-1.5" onClick={() => void unpinStep(step.job, step.id)}>
            Let it find its own time
          </button>
        </div>
      )}
      {placed.follows && before && (
        <p className="text-[0.92rem]">
          It goes straight on from “{stepTitle(before.step)}”{before.step.job === step.job ? '' : ` of ${nameOf(before.step.job)}`}:{' '}
          {formatDuration(placed.follows.saved)} of getting ready are spared.
        </p>
      )}
      {waits.length > 0 && (
        <ul className="text-[0.92rem] leading-snug">
          {waits.map(({ lag, before, until }) => (
            <li key={lag.step}>
              After “{stepTitle(before.step)}”{lag.least > 0 ? `: ${waitWords(lag)} ${say(until)}` : ''}
              {lag.most !== undefined ? `, not later than ${say(waitCloses(before.end, lag))}` : ''}.
            </li>
          ))}
        </ul>
      )}
      {state === 'waiting' && (
        <p className="quiet text-[0.86rem]">Drag it on the days, or move it with the arrow keys: five minutes a press.</p>
      )}
    </section>
  );
}
