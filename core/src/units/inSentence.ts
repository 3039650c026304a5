/** With its first letter large, for the beginning of a sentence. */
export const capital = (text: string): string => text.replace(/^./u, (first) => first.toUpperCase());

/** A heading or a name within a sentence: only its first letter is made small, for names stand further on. */
export const inSentence = (text: string): string => text.replace(/^./u, (first) => first.toLowerCase());
