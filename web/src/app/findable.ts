/** Something that can be found, and where it is. */
export interface Findable {
  readonly kind: string;
  readonly name: string;
  readonly also?: string;
  readonly to: string;
  /** The word, the button or the part of the page that is led to, by its label. */
  readonly focus?: string;
}
