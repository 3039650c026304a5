/** What was wrong with something that a person typed or dropped in, in words for that person. */
export interface Problem {
  /** What was found, as a sentence. */
  found: string;
  /** What would have been taken. */
  expected: string;
  /** Where it stands: a field, a path in a file, a line. */
  where: string;
  /** What to do now. */
  wayOut: string;
}

/** Either a value or a problem; bad input never throws. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

/** A successful result. */
export const good = <T>(value: T): Result<T> => ({ ok: true, value });

/** A refused input. */
export const refused = (found: string, expected: string, where: string, wayOut: string): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { found, expected, where, wayOut },
});

/** A problem as one readable text. */
export const problemText = (problem: Problem): string => `${problem.found} ${problem.wayOut}`;
