import type { CutOutcome } from '@kolleta/core/facts';

/** A test cut as one sees it: the square with its circle, film lifted where it comes away, the liner under it. */
export function OutcomeDrawing({ outcome, colour }: { outcome: CutOutcome; colour: string }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 1.4 };
  const dash = outcome === 'notThrough' ? { strokeDasharray: '5 3' } : {};
  return (
    <svg width={46} height={46} viewBox="0 0 46 46" aria-hidden="true">
      <rect x={1} y={1} width={44} height={44} rx={3} fill={colour} stroke="currentColor" strokeOpacity={0.35} />
      {outcome === 'clean' || outcome === 'scored' || outcome === 'linerCut' ? (
        <path d="M9 9H37V37H9Z M23 16a7 7 0 1 0 .01 0Z" fill="var(--liner)" fillRule="evenodd" stroke="currentColor" strokeWidth={0.8} />
      ) : null}
      {outcome === 'torn' ? (
        <path d="M9 13l2-2-2-2 4 2 20-2 4 4-2 20 2 4-4-2-20 2-4-4 2-3z" {...line} />
      ) : (
        <path d={outcome === 'oneSide' ? 'M9 9V37H23M9 9H23' : 'M9 9H37V37H9Z'} {...line} {...dash} />
      )}
      {outcome === 'oneSide' && <path d="M23 9H37V37H23" {...line} strokeDasharray="2 4" strokeOpacity={0.6} />}
      <circle cx={23} cy={23} r={7} {...line} {...dash} />
      {outcome === 'scored' && <path d="M9 12H37M12 9V37" stroke="var(--color-error)" strokeWidth={0.9} strokeDasharray="3 2" />}
      {outcome === 'linerCut' && <path d="M6 9H40M9 6V40M37 6V40M6 37H40" stroke="var(--color-error)" strokeWidth={2} />}
    </svg>
  );
}
