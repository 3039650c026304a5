/** A stage that gives back its input: what goes into many other inputs is read once, and then told by its name. */
export const asIs = <T>(input: T): T => input;
