import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { flatten, regionArea, regionOf, union } from '../../geometry';
import { importSvg } from './importSvg';

const folder = new URL('../../../test/drawings/', import.meta.url);
let n = 0;

/** What each drawing covers, in square units of its own: as a browser paints it, which the bench compares dot by dot. */
const COVERED: Readonly<Record<string, number>> = {
  'clip-circle-ellipse.svg': 8040,
  'clip-fill-box.svg': 20103,
  'clip-inset-polygon.svg': 12845,
  'clip-of-a-group.svg': 11529,
  'clip-path-data.svg': 7107,
  'clip-polygon-evenodd.svg': 6000,
  'frames-shares.svg': 3985,
  'markers-auto.svg': 2571,
  'markers-context-and-arcs.svg': 3436,
  'markers-fixed-angle.svg': 8330,
  'mask-of-a-group.svg': 15775,
  'mask-of-its-object.svg': 14014,
  'stretched-frame.svg': Math.round(Math.PI * 80 * 40),
  'symbols-shares.svg': 2225,
};

describe('drawings made by hand, one for each thing that was once drawn wrong', () => {
  it.each(readdirSync(folder).filter((name) => name.endsWith('.svg')))('%s is taken in whole and covers what it should', (name) => {
    const read = importSvg(readFileSync(new URL(name, folder), 'utf8'), name, () => `p${++n}`);
    if (!read.ok) throw new Error(read.problem.found);
    expect(read.value.leftOut).toEqual([]);
    const all = union(...read.value.parts.map(({ path, fill }) => regionOf(flatten(path), fill)));
    expect(Math.abs(regionArea(all) / COVERED[name]! - 1)).toBeLessThan(0.002);
  });
});
