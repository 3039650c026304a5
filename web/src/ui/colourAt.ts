/** Half the side of the square whose mean is taken, px. */
const AROUND = 3;

/**
 * The colour of a picture about a point: the mean of the pixels around it, so that grain and weave do not count.
 *
 * @param picture RGBA, 4 bytes a pixel
 * @param x px from its left, y px from its top
 * @returns #rrggbb
 */
export function colourAt({ data, width, height }: Pick<ImageData, 'data' | 'width' | 'height'>, x: number, y: number): string {
  const sum = [0, 0, 0];
  let pixels = 0;
  for (let row = Math.max(0, Math.floor(y) - AROUND); row <= Math.min(height - 1, Math.floor(y) + AROUND); row++) {
    for (let column = Math.max(0, Math.floor(x) - AROUND); column <= Math.min(width - 1, Math.floor(x) + AROUND); column++) {
      pixels += 1;
      for (const channel of [0, 1, 2]) sum[channel]! += data[(row * width + column) * 4 + channel]!;
    }
  }
  return `#${sum
    .map((all) =>
      Math.round(all / Math.max(1, pixels))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
