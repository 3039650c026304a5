import { SAME_MM } from '../units';
import type { FilmLayout } from './layout';
import { oneLoad } from './oneLoad';

/** What is done to film before it goes into the machine. */
export interface BeforeCut {
  /** The machine takes film of this width at most, mm, and the film is wider: it is trimmed. */
  readonly trim?: { readonly to: number; readonly machine: string };
  /** The machine takes none from a roll: pieces of this length at most, mm, on a carrier sheet where there is one. */
  readonly cutOff?: { readonly most: number; readonly carrier: boolean };
  /** A sheet or an offcut goes through on a carrier sheet. */
  readonly onCarrier?: true;
  /** A clear sheet comes off its face. */
  readonly covered?: true;
}

/** Whether film goes through the machine on a carrier sheet, and lies on that when it is weeded. */
export const onMat = (before: BeforeCut | undefined): boolean => before?.onCarrier === true || before?.cutOff?.carrier === true;

/**
 * What is done to the film before it goes into the machine: it is trimmed where it is wider, cut off where the machine takes none from a roll, a sheet or
 * an offcut is pressed onto a carrier, and a cover sheet comes off.
 */
export function beforeCutOf({ film, machine, sheet }: Pick<FilmLayout, 'film' | 'machine' | 'sheet'>): { readonly before?: BeforeCut } {
  const offRoll = sheet.from.kind === 'roll';
  const load = machine && oneLoad(machine);
  const carried = (machine?.carriers?.length ?? 0) > 0;
  const trim = offRoll && load && film.width > load.width + SAME_MM;
  const cutOff = offRoll && machine && load && !machine.rollFed && { most: load.length, carrier: carried };
  const onCarrier = !offRoll && carried;
  if (!trim && !cutOff && !onCarrier && !film.covered) return {};
  return {
    before: {
      ...(trim ? { trim: { to: load.width, machine: machine.name } } : {}),
      ...(cutOff ? { cutOff } : {}),
      ...(onCarrier ? { onCarrier: true as const } : {}),
      ...(film.covered ? { covered: true as const } : {}),
    },
  };
}
