import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readWorkshopFile } from '@kolleta/core/jobFile';
import { backupWatch } from '../pages/bench/backupWatch';
import { find, findables, lookedThrough } from './findables';
import { SHORTCUTS } from './shortcuts';

const read = readWorkshopFile(readFileSync(new URL('../../../demo/workshop.json', import.meta.url), 'utf8'), 'demo');
if (!read.ok) throw new Error(read.problem.found);
const state = { ...read.value, saves: 0, isDemo: false };
const all = findables(state, undefined);

describe('finding', () => {
  it('finds every job, film, tape and paint by its own name, first', () => {
    for (const { name } of [...state.jobs, ...state.shop.films, ...state.shop.tapes, ...state.shop.paints])
      expect(find(all, name)[0]!.name).toContain(name);
  });
  it('needs every word, in any order, whatever the accents', () => {
    expect(find(all, 'board honour')[0]!.name).toBe('Honour board');
    expect(find(all, 'hónour')[0]!.name).toBe('Honour board');
    expect(find(all, 'honour zebra')).toEqual([]);
    expect(find(all, 'inch').map((f) => f.name)).toContain('Inches or millimetres');
  });
  it.each(['mirror', 'snips', 'heat', 'price', 'hours', 'offcut', 'duplicate', 'csv', 'wax'])(
    'finds what can be done by the word “%s”',
    (word) => {
      const found = find(all, word);
      expect(found.length).toBeGreaterThan(0);
      expect(found.some(({ kind, to }) => kind.startsWith('to do') && to.startsWith('/'))).toBe(true);
    },
  );
  it('acts on the job that is on the screen', () => {
    const second = state.jobs.filter(({ closed }) => !closed)[1]!;
    expect(find(findables(state, undefined, second.id), 'mirror')[0]!.to).toBe(`/job/${second.id}/draw`);
    expect(find(findables({ ...state, jobs: [] }, undefined), 'mirror a mark')).toEqual([]);
  });
  it('says what it looked through', () => {
    expect(lookedThrough(all)).toMatch(/^Looked through \d+ jobs, 0 steps, \d+ things in stock and \d+ things to do\.$/);
  });
  it('lists each key once a place', () => {
    for (const { keys } of SHORTCUTS) expect(new Set(keys.map((k) => k.keys)).size).toBe(keys.length);
  });
});

describe('the reminder to back up', () => {
  const day = 86_400_000;
  it('is silent for the demo and an empty workshop, watches after a week, is content before', () => {
    expect(backupWatch({ ...state, saves: 0, isDemo: true }, 0)).toBeUndefined();
    expect(backupWatch({ ...state, jobs: [] }, 0)).toBeUndefined();
    expect(backupWatch(state, 0)?.verdict).toBe('watch');
    expect(backupWatch({ ...state, backedUpAt: 0 }, 6.9 * day)?.verdict).toBe('fine');
    expect(backupWatch({ ...state, backedUpAt: 0 }, 7 * day)?.verdict).toBe('watch');
  });
});
