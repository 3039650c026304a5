import { problemText, type Problem } from '@kolleta/core/units';

/** An error whose words are for the user. */
export class Told extends Error {}

/** What was asked for cannot be; nothing was changed. */
export class Refusal extends Told {
  constructor(problem: Problem) {
    super(problemText(problem));
  }
}
