import type { Job, Shop } from '@kolleta/core/job';
import type { PlacedStep } from '@kolleta/core/schedule';
import { inSentence } from '@kolleta/core/units';
import { stepTitle } from '@kolleta/core/words';
import { giveStep } from '../../frame/giveStep';
import { useTell } from '../../ui/toasts';

/** So many others are offered a step. */
const MOST = 3;

/** The step goes to another of those who work here. */
export function HandOver({ placed, job, shop }: { placed: PlacedStep; job: Job | undefined; shop: Shop }) {
  const tell = useTell();
  const others = (shop.people ?? []).filter(({ id }) => placed.by !== undefined && !placed.by.includes(id)).slice(0, MOST);
  if (others.length === 0) return null;
  const { step } = placed;
  const give = async (id: string, name: string) => {
    const was = job?.given?.find((one) => one.step === step.id)?.who;
    await giveStep(step.job, step.id, id);
    tell(`Given to ${name}: ${inSentence(stepTitle(step))}.`, {
      action: { label: 'Undo', run: () => void giveStep(step.job, step.id, was) },
    });
  };
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2 text-[0.95rem]">
      Hand over to
      {others.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          className="btn min-h-11 max-w-48 border-white/60 bg-transparent px-3 text-white"
          aria-label={`Hand over to ${name}`}
          onClick={() => void give(id, name)}
        >
          <span className="truncate">{name}</span>
        </button>
      ))}
    </p>
  );
}
