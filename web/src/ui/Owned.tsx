import { useContext, type ReactNode } from 'react';
import { Owner } from './held';

/** Fields that belong to one thing of what they lie within: a mark of a job, a row of its list. */
export function Owned({ by, children }: { by: string; children: ReactNode }) {
  return <Owner.Provider value={`${useContext(Owner)} ${by}`}>{children}</Owner.Provider>;
}
