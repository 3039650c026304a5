import { LAYOUT } from '../facts';
import type { Machine } from '../job';
import type { Sheet } from './nest/sheet';

/** Whether a machine takes no film but on a carrier sheet: what comes off a roll is cut off and pressed onto one first. */
export const onCarrierOnly = (machine: Pick<Machine, 'rollFed' | 'carriers'> | undefined): boolean =>
  machine !== undefined && !machine.rollFed && (machine.carriers?.length ?? 0) > 0;

/** Film that is kept free at every edge where a film comes off its roll, mm: rollers hold it down there; a carrier sheet holds all of it. */
export const holdDownOf = (machine: Pick<Machine, 'rollFed' | 'carriers'> | undefined): number =>
  onCarrierOnly(machine) ? LAYOUT.onCarrier : LAYOUT.holdDown;

/** Film that a layout keeps free at every edge, mm: a sheet or an offcut lies on a carrier too. */
export const marginOf = ({ machine, sheet }: { readonly machine?: Machine | undefined; readonly sheet: Pick<Sheet, 'from'> }): number =>
  sheet.from.kind === 'roll' ? holdDownOf(machine) : LAYOUT.onCarrier;
