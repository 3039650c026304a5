/** A heading or a name within a sentence: only its first letter is made small, for names stand further on. */
export const inSentence = (text: string): string => text.replace(/^./u, (first) => first.toLowerCase());
