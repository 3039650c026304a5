import { applyPatch, type Remedy, type Job, type Shop } from '@kolleta/core/job';
import type { JobPlan, MarkPlan } from '@kolleta/core/plan';
import { boxAround, boxOf, growBox } from '@kolleta/core/geometry';
import { formatLength } from '@kolleta/core/units';
import { MarkShapes } from '../drawing/MarkShapes';
import { Scaled } from '../drawing/Scaled';
import { useDraftPlan } from '../workers/usePlan';

interface Props {
  job: Job;
  plan: JobPlan;
  shop: Shop;
  remedy: Remedy;
  mark: string;
  /** The reading that it remedies. */
  reading: string;
}

function Side({ title, plan, shop, box }: { title: string; plan: MarkPlan | undefined; shop: Shop; box: ReturnType<typeof boxOf> }) {
  return (
    <figure className="min-w-0 flex-1">
      <figcaption className="quiet text-[0.78rem]">
        {title}
        {plan ? `, ${formatLength(plan.fitted.width, shop.lengths)} wide` : ''}
      </figcaption>
      <div className="h-28 rounded" style={{ background: plan?.behind.colour ?? '#d8d2c4' }}>
        {plan && plan.flat.length > 0 && (
          <Scaled box={growBox(box, 1)} pad={[6, 6, 6, 6]} className="h-28" label={title} most={10}>
            <MarkShapes plan={plan} shop={shop} single />
          </Scaled>
        )}
      </div>
    </figure>
  );
}

const boxFor = (plan: MarkPlan | undefined) => (plan && plan.flat.length > 0 ? [boxAround(plan.flat.map((l) => boxOf(l.region)))] : []);

/** The job with a remedy; nothing when what it changes is gone. */
function remedied(job: Job, remedy: Remedy): Job | undefined {
  try {
    return applyPatch(job, remedy.patch).document;
  } catch {
    return undefined;
  }
}

/** A mark before and after a remedy, side by side at one scale, and what the reading would then say. */
export function RemedyPreview({ job, plan, shop, remedy, mark, reading }: Props) {
  const { plan: after, working } = useDraftPlan(remedied(job, remedy));
  const [now, then] = [plan, after].map((p) => p?.marks.find((m) => m.mark.id === mark));
  const boxes = [...boxFor(now), ...boxFor(then)];
  const box = boxes.length > 0 ? boxAround(boxes) : { minX: 0, maxX: 1, minY: 0, maxY: 1 };
  const verdict = after?.readings.find((r) => r.id === reading);
  return (
    <div className="mt-2" role="status">
      <div className="flex gap-2">
        <Side title="Now" plan={now} shop={shop} box={box} />
        <Side title={working && !then ? 'Then …' : 'Then'} plan={then} shop={shop} box={box} />
      </div>
      <p className="quiet mt-1 text-[0.8rem]">
        {remedy.label}
        {verdict ? `: ${verdict.value}, ${verdict.verdict}` : after ? ': the reading rests' : ' …'}
      </p>
    </div>
  );
}
