/** The part of brotli that core uses; the package has no types. */
declare function decompress(bytes: Uint8Array, size?: number): Uint8Array;
export default decompress;
