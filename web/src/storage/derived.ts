import { db, type CacheRow } from './db';

/** Put in when Kolleta is built: it differs wherever anything of it does. */
declare const KOLLETA_BUILD: string | undefined;
const BUILD = typeof KOLLETA_BUILD === 'string' ? KOLLETA_BUILD : 'unbuilt';

type Derived = Extract<CacheRow['id'], 'bench' | 'standing'>;

/** What was worked out of the workshop and kept by this very build; what another one kept may have another shape, and is worked out anew. */
export async function readDerived(id: Derived): Promise<CacheRow | undefined> {
  const row = await db.cache.get(id);
  return row?.build === BUILD ? row : undefined;
}

/** Keeps what was worked out. It is only a convenience: where it cannot be kept, the next start works it out first. */
export const keepDerived = (row: CacheRow & { readonly id: Derived }): Promise<unknown> =>
  db.cache.put({ ...row, build: BUILD }).catch(() => undefined);

/** Throws away all that was worked out; what was typed and done stays. */
export const forgetDerived = (): Promise<void> => db.cache.bulkDelete(['bench', 'standing']);
