import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Dots a mm of the pictures. */
const DOTS = 10;

/**
 * Draws HPGL with hp2xx, a reader that others wrote, at 10 dots a mm.
 *
 * @returns whether a place (mm from the lower left of what the file covers) is inked
 * @throws where hp2xx is not installed, saying how
 */
export function drawnByHp2xx(hpgl: string): { inked: (x: number, y: number) => boolean; places: () => [number, number][] } {
  const folder = mkdtempSync(join(tmpdir(), 'hpgl-'));
  const [source, picture] = [join(folder, 'job.hpgl'), join(folder, 'job.pbm')];
  writeFileSync(source, hpgl);
  const { error } = spawnSync('hp2xx', [
    '-q',
    '-t',
    '-N',
    '-m',
    'pbm',
    '-d',
    `${DOTS * 25.4}`,
    '-p',
    '1',
    '-c',
    '1',
    '-f',
    picture,
    source,
  ]);
  if (error) throw new Error('This test needs hp2xx. Install it (Debian: apt-get install hp2xx), then run it again.');
  const bytes = readFileSync(picture);
  const head = /^P4\s+(?:#.*\s+)*(\d+)\s+(\d+)\s/.exec(bytes.subarray(0, 200).toString('latin1'));
  if (!head) throw new Error(`hp2xx wrote no picture: ${bytes.subarray(0, 20).toString('latin1')}`);
  const [width, height] = [Number(head[1]), Number(head[2])];
  const row = Math.ceil(width / 8);
  const dot = (px: number, py: number) =>
    px >= 0 && py >= 0 && px < width && py < height && ((bytes[head[0].length + py * row + (px >> 3)]! >> (7 - (px & 7))) & 1) === 1;
  return {
    inked: (x, y) => {
      const [cx, cy] = [Math.round(x * DOTS), height - 1 - Math.round(y * DOTS)];
      for (let dy = -3; dy <= 3; dy++) for (let dx = -3; dx <= 3; dx++) if (dot(cx + dx, cy + dy)) return true;
      return false;
    },
    places: () => {
      const found: [number, number][] = [];
      for (let py = 0; py < height; py++)
        for (let px = 0; px < width; px++) if (dot(px, py)) found.push([px / DOTS, (height - 1 - py) / DOTS]);
      return found;
    },
  };
}
