import type { Element } from '@xmldom/xmldom';
import type { Transform } from '../../geometry';
import { userLength } from './svgStyle';

/** What a viewBox asks for: x, y, width, height in user units. */
export type ViewBox = readonly [number, number, number, number];

/** Width and height of a frame, user units: what shares are shares of. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

/** The frame that what is in an element stands in. */
export const roomIn = (box: ViewBox | undefined, width: number, height: number): Room =>
  box ? { width: box[2], height: box[3] } : { width, height };

/** An element's viewBox; nothing when it has none that can be used. */
export function viewBoxOf(element: Element): ViewBox | undefined {
  const numbers = (element.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (numbers.length !== 4 || !numbers.every(Number.isFinite) || !(numbers[2]! > 0) || !(numbers[3]! > 0)) return undefined;
  return numbers as unknown as ViewBox;
}

/** Maps a viewBox into a frame of a size: kept whole and in the middle, unless it says otherwise. */
export function frameTransform(element: Element, x: number, y: number, width: number, height: number): Transform {
  const box = viewBoxOf(element);
  if (!box) return [1, 0, 0, 1, x, y];
  const [bx, by, bw, bh] = box;
  const ratio = element.getAttribute('preserveAspectRatio') ?? 'xMidYMid meet';
  if (/none/.test(ratio)) return [width / bw, 0, 0, height / bh, x - (bx * width) / bw, y - (by * height) / bh];
  const k = /slice/.test(ratio) ? Math.max(width / bw, height / bh) : Math.min(width / bw, height / bh);
  const share = (axis: 'x' | 'Y') => (new RegExp(`${axis}Min`).test(ratio) ? 0 : new RegExp(`${axis}Max`).test(ratio) ? 1 : 0.5);
  return [k, 0, 0, k, x - bx * k + share('x') * (width - bw * k), y - by * k + share('Y') * (height - bh * k)];
}

/** How much higher a drawing is made than it is wide where its frame is filled without keeping its shape; 1 where it keeps it. */
export function stretchOf(root: Element): number {
  const box = viewBoxOf(root);
  if (!box || !/none/.test(root.getAttribute('preserveAspectRatio') ?? '')) return 1;
  const side = (name: string) => (/%/.test(root.getAttribute(name) ?? '%') ? undefined : userLength(root.getAttribute(name)));
  const [width, height] = [side('width'), side('height')];
  if (!width || !height || !(width > 0) || !(height > 0)) return 1;
  return height / box[3] / (width / box[2]);
}

/** Millimetres a unit of the drawing, where its width and height are given in real measures; nothing where they are not, or differ. */
export function mmOfUnit(root: Element): number | undefined {
  const real = (name: string) => {
    const text = root.getAttribute(name) ?? '';
    const length = /(mm|cm|in|pt|pc|q)\s*$/i.test(text) ? userLength(text) : undefined;
    return length !== undefined && length > 0 ? (length * 25.4) / 96 : undefined;
  };
  const [width, height] = [real('width'), real('height')];
  if (width === undefined || height === undefined) return undefined;
  const box = viewBoxOf(root);
  // without a frame of its own a unit is a pixel
  if (!box) return 25.4 / 96;
  const [across, up] = [width / box[2], height / box[3] / stretchOf(root)];
  return Math.abs(across - up) <= 0.01 * across ? Math.min(across, up) : undefined;
}

/** The page of a drawing, user units: its viewBox, else its width and height; nothing where it says neither. */
export function pageOf(root: Element): ViewBox | undefined {
  const box = viewBoxOf(root);
  const [width, height] = [userLength(root.getAttribute('width')), userLength(root.getAttribute('height'))];
  // a share of what it is shown in is no page
  const plain = !/%/.test(`${root.getAttribute('width')}${root.getAttribute('height')}`);
  const stretch = stretchOf(root);
  if (box) return [box[0], box[1] * stretch, box[2], box[3] * stretch];
  return plain && width && height ? [0, 0, width, height] : undefined;
}

/** How large the whole drawing is, user units: its viewBox, else its width and height, else a hundred. */
export function sizeOfDrawing(root: Element): { width: number; height: number } {
  const box = viewBoxOf(root);
  if (box) return { width: box[2], height: box[3] };
  return { width: userLength(root.getAttribute('width')) ?? 100, height: userLength(root.getAttribute('height')) ?? 100 };
}
