import type { Job, Shop } from '@kolleta/core/job';
import { dryOn, formatTime, type PlacedStep } from '@kolleta/core/schedule';
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
  const { step } = placed;
  const until = dryOn(placed, steps, now);
  if (until === undefined) return null;
  const put = async () => {
    const was = job?.pins?.find((pin) => pin.step === step.id);
    await pinStep(step.job, step.id, until);
    tell(`It is left to dry until ${formatTime(until, shop.hours.zone)}.`, {
      action: { label: 'Undo', run: () => void (was ? pinStep(step.job, step.id, was.at) : unpinStep(step.job, step.id)) },
    });
  };
  return (
    <button type="button" className="btn btn-lg min-h-11 border-white/70 bg-transparent text-lg text-white" onClick={() => void put()}>
      Still tacky
    </button>
  );
}
