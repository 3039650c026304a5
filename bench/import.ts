import { importSvg } from '../core/src/artwork';
import { paintedFigures } from './asPainted';
import { atMost, seeded, timed, type Figure } from './figure';

/** A drawing of about 1 MB, with as many digits as some programs write: groups of shapes with curves, transforms and a dozen colours. */
function largeSvg(bytes: number, seed = 1): string {
  const random = seeded(seed);
  const n = (most: number) => (random() * most).toFixed(8);
  const parts: string[] = [];
  for (let size = 0; size < bytes;) {
    const curves = Array.from({ length: 12 }, () => `c${n(9)} ${n(9)} ${n(9)}-${n(9)} ${n(9)} ${n(9)}`).join('');
    const part = `<g transform="translate(${n(900)} ${n(900)}) rotate(${n(360)})"><path fill="hsl(${Math.floor(random() * 12) * 30} 60% 40%)" d="M${n(9)} ${n(9)}${curves}z"/></g>`;
    parts.push(part);
    size += part.length;
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000">${parts.join('')}</svg>`;
}

export async function importFigures(): Promise<Figure[]> {
  const text = largeSvg(1024 * 1024);
  let n = 0;
  const time = await timed(() => {
    const result = importSvg(text, 'large.svg', () => `p${n++}`);
    if (!result.ok) throw new Error(result.problem.found);
  });
  return [atMost('import/svg-1-mb', time, 1000, 'ms'), ...(await paintedFigures())];
}
