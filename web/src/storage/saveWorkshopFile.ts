import { download, fileName } from './download';
import { keepingNow, withUnkept } from './keeping';
import type { WorkshopState } from './useWorkshop';

/** Saves the whole workshop as a file, with everything that is held in this tab. */
export async function saveWorkshopFile(state: WorkshopState): Promise<void> {
  const { writeWorkshopFile } = await import('@kolleta/core/jobFile');
  const { shop, jobs, events } = withUnkept(state, keepingNow().trouble);
  download(`${fileName(shop.name)}.kolleta-workshop.json`, writeWorkshopFile({ shop, jobs, events }), 'application/json');
}
