import type { Cure, Reading } from '@kolleta/core/job';
import { VerdictMark } from './Verdict';

interface Props {
  reading: Reading;
  onCure: (cure: Cure) => void;
  /** Points at the places in the drawing. */
  onShow?: (reading: Reading) => void;
  shown?: boolean;
}

/** One computed result: its verdict, its figure, why, and what cures it. */
export function ReadingCard({ reading, onCure, onShow, shown }: Props) {
  const quiet = reading.verdict === 'fine';
  return (
    <section className="sheet px-3 py-2.5" aria-label={`${reading.title}: ${reading.verdict}`}>
      <div className="flex items-start gap-2.5">
        <VerdictMark verdict={reading.verdict} />
        <div className="min-w-0 flex-1">
          <div className="flex flex-wrap items-baseline justify-between gap-x-3">
            <h3 className="font-head text-[0.98rem] leading-5 font-bold">{reading.title}</h3>
            <span className="measure text-[0.82rem] font-medium" title={`limit: ${reading.limit}`}>
              {reading.value}
            </span>
          </div>
          <p className="quiet text-[0.85rem] leading-snug">
            {reading.why}
            {!quiet && <span> Limit: {reading.limit}.</span>}
          </p>
          {reading.overridden && <p className="text-[0.85rem]">Gone on against it: “{reading.overridden}”</p>}
          {reading.advice && <p className="text-[0.85rem] leading-snug">{reading.advice}</p>}
          {(reading.cures.length > 0 || (reading.places?.length ?? 0) > 0) && (
            <div className="mt-1.5 flex flex-wrap gap-1.5">
              {reading.cures.map((cure, i) => (
                <button
                  key={cure.label}
                  type="button"
                  className={`btn btn-sm h-auto min-h-8 py-1 text-left leading-tight whitespace-normal ${i === 0 ? 'btn-primary' : 'btn-outline'}`}
                  onClick={() => onCure(cure)}
                >
                  {cure.label}
                </button>
              ))}
              {onShow && (reading.places?.length ?? 0) > 0 && (
                <button type="button" className="btn btn-sm btn-outline" aria-pressed={shown} onClick={() => onShow(reading)}>
                  {shown ? 'Hide places' : 'Show me'}
                </button>
              )}
            </div>
          )}
        </div>
      </div>
    </section>
  );
}
