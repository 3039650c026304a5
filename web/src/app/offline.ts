import { registerSW } from 'virtual:pwa-register';
import { offerUpdate } from './update';

/** How long the newer service worker may take to come in, ms. */
const PATIENCE_MS = 2500;

/** Keeps the application in the browser, so that it opens without a server; a newer one is offered, never forced. */
export function workOffline(): void {
  const update = registerSW({
    immediate: true,
    onNeedRefresh: () =>
      offerUpdate(async () => {
        const reload = () => window.location.reload();
        navigator.serviceWorker.addEventListener('controllerchange', reload, { once: true });
        await update(true);
        // a page of the very first visit is nobody's yet and hears of no change
        setTimeout(reload, PATIENCE_MS);
      }),
  });
}
