import { isClear } from '@kolleta/core/blanks';
import { BEHIND } from '@kolleta/core/facts';
import { contrastOf } from '@kolleta/core/fit';
import type { Job, Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { layerColour } from '../../drawing/MarkShapes';

interface Props {
  job: Job;
  marks: readonly MarkPlan[];
  shop: Shop;
  /** Colour looked at; undefined is what was said in Measure. */
  behind: string | undefined;
  look: (colour: string | undefined) => void;
}

/** A clear piece seen before a drink, a wall, in evening light: how its weakest film stands out there. */
export function BehindWords({ job, marks, shop, behind, look }: Props) {
  if (!isClear(job.piece)) return null;
  const colours = marks.flatMap((plan) => plan.fitted.layers.map((layer) => layerColour(plan, layer.film, shop)));
  const worst = (ground: string) =>
    colours
      .map((colour) => contrastOf(colour, ground))
      .reduce((a, b) => (b.ratio < a.ratio ? b : a), { ratio: 21, difference: 100, verdict: 'fine' });
  const MARKS = { fine: '✓', watch: '△', stop: '■' } as const;
  const button = (name: string, colour: string | undefined, ground: string) => {
    const { ratio, verdict } = worst(ground);
    return (
      <button
        key={name}
        type="button"
        aria-pressed={behind === colour}
        className={`btn btn-xs justify-start gap-1.5 ${behind === colour ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
        onClick={() => look(colour)}
      >
        <span className="border-base-300 inline-block size-3 rounded-full border" style={{ background: ground }} />
        {name}
        {colours.length > 0 && (
          <span className="measure ml-auto" title={verdict}>
            {MARKS[verdict]} {ratio.toFixed(1)}
          </span>
        )}
      </button>
    );
  };
  return (
    <div className="flex flex-col gap-1" role="group" aria-label="Seen before">
      {button('as measured', undefined, job.piece.behind)}
      {Object.values(BEHIND).map(({ name, colour }) => button(name, colour, colour))}
    </div>
  );
}
