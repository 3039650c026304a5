import { useEffect, useRef, type ReactNode } from 'react';
import {
  kindOf,
  READING_KINDS,
  setAt,
  type Remedy,
  type Job,
  type Mark,
  type Patch,
  type Reading,
  type Shop,
  type StationId,
} from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import type { JobChange } from '../storage/editJob';
import type { Saving } from '../ui/held';
import { wasTaken } from '../storage/keeping';
import { logOverride } from '../storage/logEvent';
import { ReadingCard } from '../ui/ReadingCard';
import { useSettling } from '../workers/settled';
import { RemedyPreview } from './RemedyPreview';

/** What every station of a job gets. */
export interface StationProps {
  job: Job;
  plan: JobPlan;
  shop: Shop;
  /** Changes the job, undoable under the label. */
  edit: (change: JobChange, label: string) => Saving;
  /** Applies a remedy of a reading; one that was worked out before the last change is worked out anew first. */
  fix: (reading: Reading, remedy: Remedy) => void;
  /** The mark that is worked on. */
  mark: Mark | undefined;
  chooseMark: (id: string) => void;
}

/** The drawing on the left, sentences and readings on the right. */
export function StationLayout({ drawing, children, title }: { drawing: ReactNode; children: ReactNode; title: string }) {
  return (
    <div className="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1.8fr)_minmax(20rem,1fr)]">
      <section
        aria-label={`${title}, drawing`}
        tabIndex={0}
        className="sheet flex min-h-[20rem] flex-col overflow-hidden lg:sticky lg:top-3 lg:min-h-[28rem] lg:self-start lg:h-[max(28rem,calc(100vh-12.4rem))] lg:overflow-y-auto"
      >
        {drawing}
      </section>
      <section aria-label={title} className="flex flex-col gap-2.5">
        {children}
      </section>
    </div>
  );
}

/** The change that answers for a stop, or minds it again. */
function overridePatch(saved: Job, reading: string, reason: string | undefined): Patch {
  const others = saved.overrides.filter((o) => o.reading !== reading);
  return setAt(['overrides'], reason ? others.concat({ reading, reason }) : others);
}

interface ReadingsProps extends Pick<StationProps, 'plan' | 'edit' | 'fix' | 'mark'> {
  stations: readonly StationId[];
  shown?: string;
  onShow?: (reading: Reading) => void;
  /** What a preview of a remedy needs; without it there is none. */
  preview?: Pick<StationProps, 'job' | 'shop'>;
}

/**
 * Readings with the gravest first, which then keep their places: one that is fixed does not run away from under the hand. A new stop comes to the top, a
 * new watch after what was there; what was always fine is last.
 *
 * @param of what they are the readings of; where that changes, they are sorted anew
 */
function useKeptOrder(readings: readonly Reading[], of: string): Reading[] {
  const kept = useRef<{ of: string; ids: readonly string[] }>({ of: '', ids: [] });
  const known = kept.current.of === of ? kept.current.ids : [];
  const fresh = readings.filter(({ id }) => !known.includes(id));
  const having = (verdict: Reading['verdict']) => fresh.filter((reading) => reading.verdict === verdict);
  const raised = [...having('stop'), ...known.flatMap((id) => readings.find((reading) => reading.id === id) ?? []), ...having('watch')];
  const ids = raised.map(({ id }) => id).join(' ');
  useEffect(() => {
    kept.current = { of, ids: ids === '' ? [] : ids.split(' ') };
  }, [of, ids]);
  return [...raised, ...having('fine')];
}

/** The readings of some stations: of the mark in hand and of the whole piece, the gravest first. */
export function Readings({ plan, edit, fix, stations, mark, shown, onShow, preview }: ReadingsProps) {
  const { fresh } = useSettling();
  const own = plan.readings.filter((r) => stations.includes(r.station) && (r.mark === undefined || r.mark === mark?.id));
  const sorted = useKeptOrder(own, `${plan.job} ${stations.join()} ${mark?.id}`);
  return (
    <>
      {sorted.map((reading) => (
        <ReadingCard
          key={reading.id}
          reading={reading}
          stale={!fresh}
          onRemedy={(remedy) => fix(reading, remedy)}
          onOverride={(reason) =>
            wasTaken(
              Promise.all([
                edit((saved) => overridePatch(saved, reading.id, reason), reason ? 'Go ahead anyway' : 'Mind a stop again'),
                reason && logOverride(plan.job, reading.id, reason),
              ]),
            )
          }
          onShow={onShow}
          shown={shown === reading.id}
          {...(preview && READING_KINDS[kindOf(reading)].changesLook && mark
            ? {
                preview: (remedy: Remedy) => (
                  <RemedyPreview job={preview.job} plan={plan} shop={preview.shop} remedy={remedy} mark={mark.id} reading={reading.id} />
                ),
              }
            : {})}
        />
      ))}
    </>
  );
}

/** Which mark is worked on, where there are several. */
export function MarkTabs({
  job,
  mark,
  chooseMark,
  children,
}: Pick<StationProps, 'job' | 'mark' | 'chooseMark'> & { children?: ReactNode }) {
  if (job.marks.length < 2 && !children) return null;
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Marks">
      {job.marks.length > 1 &&
        job.marks.map((m) => (
          <button
            key={m.id}
            type="button"
            className={`btn btn-sm h-auto min-h-8 max-w-full py-1 text-left whitespace-normal ${m.id === mark?.id ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            aria-pressed={m.id === mark?.id}
            onClick={() => chooseMark(m.id)}
          >
            {m.name}
          </button>
        ))}
      {children}
    </div>
  );
}

/** A small head over a drawing. */
export function DrawingHead({ title, text, children }: { title: string; text?: string; children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-2 px-4 pt-3">
      <div>
        <h2 className="text-[0.95rem] font-bold">{title}</h2>
        {text && <p className="quiet text-[0.83rem]">{text}</p>}
      </div>
      {children}
    </div>
  );
}
