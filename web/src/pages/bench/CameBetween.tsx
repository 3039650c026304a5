import type { Id, Job, Shop } from '@kolleta/core/job';
import type { PlacedStep, Schedule } from '@kolleta/core/schedule';
import { CalledAway } from './CalledAway';
import { HandOver } from './HandOver';

interface Props {
  placed: PlacedStep;
  schedule: Schedule;
  who: Id | undefined;
  jobs: readonly Job[];
  shop: Shop;
  now: number;
}

/** What comes between: somebody else takes the step, or somebody is called away. */
export default function CameBetween({ placed, schedule, who, jobs, shop, now }: Props) {
  return (
    <>
      <HandOver placed={placed} job={jobs.find(({ id }) => id === placed.step.job)} shop={shop} />
      <CalledAway schedule={schedule} who={who} shop={shop} now={now} />
    </>
  );
}
