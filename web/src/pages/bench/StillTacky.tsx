import { useRef } from 'react';
import { WORKDAY } from '@kolleta/core/facts';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import { dryOn, formatTime, type PlacedStep } from '@kolleta/core/schedule';
import { MINUTE_MS } from '@kolleta/core/units';
import { logDried, reverseEvents } from '../../storage/logEvent';
import { pinStep, unpinStep } from '../../frame/pinStep';
import { useTell } from '../../ui/toasts';

/** A wait that is over by the plan, and not by the finger: the step comes later, and other work first. */
export function StillTacky({
  placed,
  steps,
  job,
  shop,
  now,
}: {
  placed: PlacedStep;
  /** Of the same job. */
  steps: readonly PlacedStep[];
  job: Job | undefined;
  shop: Shop;
  now: number;
}) {
  const tell = useTell();
  /** Where the step stood when it was put off: a second press before the plan is there is none. */
  const pressed = useRef<number>(undefined);
  const { step } = placed;
  const until = dryOn(placed, steps, now);
  if (until === undefined) return null;
  /** The waits that should be over, and since when they run. */
  const waits = step.after.flatMap((lag) => {
    const before = steps.find((one) => one.step.id === lag.step);
    return lag.dries && lag.least >= WORKDAY.dryOn.least && before?.state === 'done' ? [{ lag, since: before.end }] : [];
  });
  const put = async () => {
    if (pressed.current === placed.start) return;
    pressed.current = placed.start;
    try {
      await putOff();
    } catch (error) {
      pressed.current = undefined;
      throw error;
    }
  };
  const putOff = async () => {
    const was = job?.pins?.find((pin) => pin.step === step.id);
    await pinStep(step.job, step.id, until);
    // it takes until then at least: the next ones are given longer
    const taught: WorkEvent[] = [];
    for (const { lag, since } of waits) taught.push(...(await logDried(step, lag, (until - since) / MINUTE_MS, true)));
    tell(`It is left to dry until ${formatTime(until, shop.hours.zone)}.`, {
      action: {
        label: 'Undo',
        run: () => {
          pressed.current = undefined;
          if (taught.length > 0) void reverseEvents(taught);
          void (was ? pinStep(step.job, step.id, was.at) : unpinStep(step.job, step.id));
        },
      },
    });
  };
  return (
    <button type="button" className="btn btn-lg min-h-11 border-white/70 bg-transparent text-lg text-white" onClick={() => void put()}>
      Still tacky
    </button>
  );
}
