/** The part of bidi-js that core uses; the package has no types. */
export interface EmbeddingLevels {
  /** One a UTF-16 code unit; odd ones run from right to left. */
  levels: Uint8Array;
}
export interface Bidi {
  getEmbeddingLevels(text: string, direction?: 'ltr' | 'rtl'): EmbeddingLevels;
  /** Code units in the order in which they are seen, from the left. */
  getReorderedIndices(text: string, levels: EmbeddingLevels): number[];
}
declare function bidiFactory(): Bidi;
export default bidiFactory;
