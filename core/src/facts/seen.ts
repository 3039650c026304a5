import { TRADE, type Column } from './fact';

export const KNOWN_SHEETS_COLUMN: Column = { unit: 'mm', source: 'ISO 216, ANSI/ASME Y14.1, ISO/IEC 7810' };

/** Things of known size that lie about, to measure a photo by. */
export const KNOWN_SHEETS = {
  a4: { name: 'an A4 sheet lying across', width: 297, height: 210 },
  a4up: { name: 'an A4 sheet standing', width: 210, height: 297 },
  letter: { name: 'a Letter sheet lying across', width: 279.4, height: 215.9 },
  card: { name: 'a bank card', width: 85.6, height: 53.98 },
} as const;

export const BEHIND_COLUMN: Column = { unit: '#rrggbb', source: TRADE };

/** What may stand behind a clear piece. */
export const BEHIND = {
  room: { name: 'a light room', colour: '#efebe2' },
  ale: { name: 'an ale', colour: '#9a5a1c' },
  stout: { name: 'a stout', colour: '#1d120c' },
  water: { name: 'water, day', colour: '#dfe9ec' },
  wall: { name: 'a white wall', colour: '#f4f2ec' },
  evening: { name: 'evening', colour: '#3a3340' },
} as const;
