import { LAYOUT } from '../facts';
import type { Id, JobId } from '../job';

/** What was sent to the cutter, as it has to be kept until the cutter is done: of each part, whose it is and how many outlines it has. */
export interface SentRun {
  readonly run: Id;
  readonly film: Id;
  /** mm that the layout takes. */
  readonly taken: number;
  /** It is cut off the roll before it is cut, mm of it: all of that is gone, whatever becomes of it. */
  readonly cutOff?: true | undefined;
  /** Jobs of which more is to be cut than was sent. */
  readonly unfinished?: readonly JobId[] | undefined;
  readonly parts: readonly { readonly job: JobId; readonly mark: Id; readonly strokes: number }[];
}

/** What became of one job's marks in a run. */
export interface JobCut {
  readonly job: JobId;
  /** Whole marks cut. */
  readonly marks: readonly { readonly mark: Id; readonly copies: number }[];
  /** Its share of the film that is gone, mm. */
  readonly length: number;
  /** Whether nothing of it is left to cut. */
  readonly whole: boolean;
  /** Whether all of it that was sent was cut. */
  readonly asSent: boolean;
}

/**
 * What was cut and what was not.
 *
 * @param strokes outlines that the cutter finished
 * @param used furthest that its knife has been down along the film, mm
 * @returns one entry a job; the shares of film add up to what is gone from the roll, which is nothing when the knife never went down
 */
export function cutResult(sent: SentRun, strokes: number, used: number): JobCut[] {
  const all = sent.parts.reduce((sum, part) => sum + part.strokes, 0);
  const gone = strokes >= all || (sent.cutOff && used > 0) ? sent.taken : used > 0 ? Math.min(sent.taken, used + LAYOUT.holdDown) : 0;
  let left = strokes;
  const cut = sent.parts.map((part) => {
    const whole = left >= part.strokes;
    left = Math.max(0, left - part.strokes);
    return { ...part, whole };
  });
  return [...new Set(cut.map((part) => part.job))].map((job) => {
    const own = cut.filter((part) => part.job === job);
    const marks = [...new Set(own.map((part) => part.mark))].map((mark) => ({
      mark,
      copies: own.filter((part) => part.mark === mark && part.whole).length,
    }));
    return {
      job,
      marks: marks.filter(({ copies }) => copies > 0),
      length: (gone * own.length) / cut.length,
      whole: own.every((part) => part.whole) && !sent.unfinished?.includes(job),
      asSent: own.every((part) => part.whole),
    };
  });
}
