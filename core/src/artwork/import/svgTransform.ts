import { good, refused, type Result } from '../../units';
import { IDENTITY, rotation, then, translation, type Transform } from '../../geometry';

const DEGREE = Math.PI / 180;

function one(name: string, n: readonly number[]): Transform | undefined {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = n;
  switch (name) {
    case 'matrix':
      return n.length === 6 ? [a, b, c, d, e, f] : undefined;
    case 'translate':
      return translation(a, b);
    case 'scale':
      return [a, 0, 0, n.length > 1 ? b : a, 0, 0];
    case 'rotate':
      return then(then(translation(-b, -c), rotation(a * DEGREE)), translation(b, c));
    case 'skewX':
      return [1, 0, Math.tan(a * DEGREE), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan(a * DEGREE), 0, 1, 0, 0];
    default:
      return undefined;
  }
}

/** Reads an SVG `transform` attribute; the first written is the last done. */
export function readTransform(text: string | null): Result<Transform> {
  if (!text?.trim()) return good(IDENTITY);
  let map: Transform = IDENTITY;
  for (const [, name, inner] of text.matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const numbers = (inner!.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
    const step = one(name!, numbers);
    if (!step)
      return refused(
        `"${text.slice(0, 40)}" is no transform.`,
        'matrix, translate, scale, rotate or skew',
        'transform',
        'Save the drawing again as plain SVG.',
      );
    map = then(step, map);
  }
  return good(map);
}
