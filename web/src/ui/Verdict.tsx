import type { Verdict } from '@kolleta/core/job';

const WORD: Record<Verdict, string> = { fine: 'fine', watch: 'watch', stop: 'stop' };

/** A verdict by shape, colour and word: round and ticked, three-cornered, square. */
export function VerdictMark({ verdict, size = 20 }: { verdict: Verdict; size?: number }) {
  const colour = verdict === 'fine' ? 'var(--color-success)' : verdict === 'watch' ? 'var(--wait)' : 'var(--color-error)';
  return (
    <svg width={size} height={size} viewBox="0 0 20 20" role="img" aria-label={WORD[verdict]} className="shrink-0">
      {verdict === 'fine' && (
        <>
          <circle cx="10" cy="10" r="9.2" fill={colour} />
          <path d="M5.6 10.4l3 3 5.8-6.6" fill="none" stroke="var(--color-base-100)" strokeWidth="2.2" />
        </>
      )}
      {verdict === 'watch' && (
        <>
          <path d="M10 1l9.4 17.6H.6z" fill={colour} />
          <path d="M10 7v6M10 14.6v2" stroke="#22302f" strokeWidth="2.2" />
        </>
      )}
      {verdict === 'stop' && (
        <>
          <rect x="1" y="1" width="18" height="18" rx="2" fill={colour} />
          <path d="M5.5 10h9" stroke="var(--color-base-100)" strokeWidth="3" />
        </>
      )}
    </svg>
  );
}
