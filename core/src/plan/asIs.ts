/**
 * A stage that gives back its input: what goes into many other inputs is read once, and then told by its name. Another object, so that the
 * input itself is told by what it holds as before, also where the same job is planned again.
 */
export const asIs = <T>(input: T): T => structuredClone(input);
