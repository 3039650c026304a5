import { useState } from 'react';
import type { TextLine } from '@kolleta/core/job';

/** How far a press moves a letter, em. */
const STEP = 0.02;

type Pairs = NonNullable<TextLine['pairs']>;

/** Space added between single letters of a line: choose the gap, then open or close it. */
export function PairSpacing({ line, onChange }: { line: TextLine; onChange: (next: (saved: Pairs) => Pairs) => void }) {
  const [open, setOpen] = useState(false);
  const [gap, setGap] = useState(0);
  const letters = [...line.text.normalize('NFC')];
  if (letters.length < 2) return null;
  const pairs = line.pairs ?? {};
  const moved = Object.keys(pairs).length;
  if (!open)
    return (
      <button type="button" className="link text-[0.85rem]" onClick={() => setOpen(true)}>
        Space single letters{moved > 0 ? ` (${moved} moved)` : ''}
      </button>
    );
  const at = Math.min(gap, letters.length - 2);
  const move = (by: number) =>
    onChange((saved) => {
      const value = Math.round(((saved[at] ?? 0) + by) * 1000) / 1000;
      const others = Object.fromEntries(Object.entries(saved).filter(([place]) => place !== String(at)));
      return value === 0 ? others : { ...others, [at]: Math.max(-2, Math.min(5, value)) };
    });
  return (
    <div className="bg-base-200 rounded px-2 py-1.5">
      <div className="flex flex-wrap items-center text-lg" role="group" aria-label="Gaps between the letters">
        {letters.map((letter, i) => (
          <span key={i} className="flex items-center">
            <span>{letter === ' ' ? '␣' : letter}</span>
            {i < letters.length - 1 && (
              <button
                type="button"
                aria-label={`Between ${letter} and ${letters[i + 1]}`}
                aria-pressed={i === at}
                className={`mx-px h-7 w-2.5 rounded-sm ${i === at ? 'bg-primary' : pairs[i] ? 'bg-accent' : 'bg-base-300'}`}
                onClick={() => setGap(i)}
              />
            )}
          </span>
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-1.5 text-sm">
        <span className="mr-1">
          {letters[at]}–{letters[at + 1]}: <span className="measure">{((pairs[at] ?? 0) * 100).toFixed(0)} %</span> of the letter size
        </span>
        <button type="button" className="btn btn-xs" onClick={() => move(-STEP)}>
          Closer
        </button>
        <button type="button" className="btn btn-xs" onClick={() => move(STEP)}>
          Wider
        </button>
        {moved > 0 && (
          <button type="button" className="btn btn-xs btn-ghost" onClick={() => onChange(() => ({}))}>
            As the font sets them
          </button>
        )}
        <button type="button" className="btn btn-xs btn-ghost ml-auto" onClick={() => setOpen(false)}>
          Done
        </button>
      </div>
    </div>
  );
}
