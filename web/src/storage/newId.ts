/** A random id that is short enough to read in a file. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(10)), (byte) => (byte % 36).toString(36)).join('');
}
