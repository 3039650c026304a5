import { registerSW } from 'virtual:pwa-register';
import { offerUpdate } from './update';

/** Keeps the application in the browser, so that it opens without a server; a newer one is offered, never forced. */
export function workOffline(): void {
  const update = registerSW({ immediate: true, onNeedRefresh: () => offerUpdate(() => update(true)) });
}
