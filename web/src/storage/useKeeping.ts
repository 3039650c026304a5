import { useSyncExternalStore } from 'react';
import { keepingNow, onKeeping, type Keeping } from './keeping';

/** What the browser's storage is doing for this tab. */
export const useKeeping = (): Keeping => useSyncExternalStore(onKeeping, keepingNow);
