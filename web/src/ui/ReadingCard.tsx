import { useState, type ReactNode } from 'react';
import { readingTitle, type Reading, type Remedy } from '@kolleta/core/job';
import { VerdictMark } from './Verdict';

interface Props {
  reading: Reading;
  onRemedy: (remedy: Remedy) => void;
  /** Points at the places in the drawing. */
  onShow?: (reading: Reading) => void;
  shown?: boolean;
  /** Answers for a stop with a reason, or minds it again; says whether that was taken, where it may not be. */
  onOverride?: (reason: string | undefined) => void | Promise<boolean>;
  /** A change has come since it was worked out: it does not stand as if it were current. */
  stale?: boolean;
  /** Draws what a remedy would do. */
  preview?: (remedy: Remedy) => ReactNode;
}

/** Fewer letters are no reason. */
const LEAST_REASON = 3;

function WhyForm({ title, onAnswer, onCancel }: { title: string; onAnswer: (reason: string) => void; onCancel: () => void }) {
  const [reason, setReason] = useState('');
  const enough = reason.trim().length >= LEAST_REASON;
  return (
    <form
      className="mt-2 flex flex-col gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (enough) onAnswer(reason.trim());
      }}
    >
      <label className="text-[0.85rem] font-bold">
        Why do you go ahead? It goes into the log.
        <input
          className="input mt-0.5 w-full font-normal"
          aria-label={`Reason to go ahead: ${title}`}
          value={reason}
          maxLength={500}
          onChange={(event) => setReason(event.target.value)}
          onKeyDown={(event) => event.key === 'Escape' && onCancel()}
          autoFocus
        />
      </label>
      <div className="flex gap-1.5">
        <button type="submit" className="btn btn-sm btn-error" disabled={!enough}>
          Go ahead
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

/** One computed result: its verdict, its figure, why, and what clears it. */
export function ReadingCard({ reading, onRemedy, onShow, shown, onOverride, stale = false, preview }: Props) {
  const [asking, setAsking] = useState(false);
  const [looking, setLooking] = useState<number>();
  const seen = looking === undefined ? undefined : reading.remedies[Math.min(looking, reading.remedies.length - 1)];
  const open = onOverride && reading.verdict === 'stop' && !reading.overridden;
  const quiet = reading.verdict === 'fine';
  return (
    <section className="sheet px-3 py-2.5" aria-label={`${readingTitle(reading)}: ${reading.verdict}`} aria-busy={stale}>
      <div className="flex items-start gap-2.5">
        <span className={stale ? 'goes-pale' : ''}>
          <VerdictMark verdict={reading.verdict} />
        </span>
        <div className="min-w-0 flex-1">
          <div className="flex flex-wrap items-baseline justify-between gap-x-3">
            <h3 className="font-head text-[0.98rem] leading-5 font-bold">{readingTitle(reading)}</h3>
            {stale && <span className="arrives-late quiet text-[0.82rem]">working it out anew…</span>}
            <span className={`measure text-[0.82rem] font-medium ${stale ? 'goes-pale' : ''}`} title={`limit: ${reading.limit}`}>
              {reading.value}
            </span>
          </div>
          <p className={`quiet text-[0.85rem] leading-snug ${stale ? 'goes-pale' : ''}`}>
            {reading.why}
            {!quiet && <span> Limit: {reading.limit}.</span>}
          </p>
          {reading.figures && (
            <details className="quiet text-[0.8rem]">
              <summary className="cursor-pointer">why</summary>
              {reading.figures}
            </details>
          )}
          {reading.overridden && <p className="text-[0.85rem]">You went ahead: “{reading.overridden}”</p>}
          {reading.advice && <p className="text-[0.85rem] leading-snug">{reading.advice}</p>}
          {(reading.remedies.length > 0 || (reading.places?.length ?? 0) > 0 || open || (onOverride && reading.overridden)) && (
            <div className="mt-1.5 flex flex-wrap gap-1.5">
              {reading.remedies.map((remedy, i) => (
                <button
                  key={remedy.label}
                  type="button"
                  className={`btn btn-sm h-auto min-h-8 py-1 text-left leading-tight whitespace-normal ${i === 0 && !remedy.takesAway ? 'btn-primary' : 'btn-outline'}`}
                  onClick={() => onRemedy(remedy)}
                >
                  {remedy.label}
                </button>
              ))}
              {onShow && (reading.places?.length ?? 0) > 0 && (
                <button type="button" className="btn btn-sm btn-outline" aria-pressed={shown} onClick={() => onShow(reading)}>
                  {shown ? 'Hide places' : 'Show me'}
                </button>
              )}
              {preview && reading.remedies.length > 0 && (
                <button
                  type="button"
                  className="btn btn-sm btn-outline"
                  aria-pressed={seen !== undefined}
                  onClick={() => setLooking(seen ? undefined : 0)}
                >
                  {seen ? 'Enough seen' : 'See it first'}
                </button>
              )}
              {open && !asking && (
                <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setAsking(true)}>
                  Go ahead anyway…
                </button>
              )}
              {onOverride && reading.overridden && (
                <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => onOverride(undefined)}>
                  Mind it again
                </button>
              )}
            </div>
          )}
          {seen && preview && reading.remedies.length > 1 && (
            <div className="mt-2 flex flex-wrap items-center gap-1" role="group" aria-label={`Which fix to see: ${readingTitle(reading)}`}>
              <span className="quiet text-[0.78rem]">See</span>
              {reading.remedies.map((remedy, i) => (
                <button
                  key={remedy.label}
                  type="button"
                  className={`btn btn-xs h-auto min-h-6 py-0.5 leading-tight whitespace-normal ${remedy === seen ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
                  aria-pressed={remedy === seen}
                  onClick={() => setLooking(i)}
                >
                  {remedy.label}
                </button>
              ))}
            </div>
          )}
          {seen && preview?.(seen)}
          {open && asking && (
            <WhyForm
              title={readingTitle(reading)}
              onCancel={() => setAsking(false)}
              onAnswer={(reason) => void Promise.resolve(onOverride(reason)).then((taken) => setAsking(taken === false))}
            />
          )}
        </div>
      </div>
    </section>
  );
}
