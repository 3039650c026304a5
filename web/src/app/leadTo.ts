/** A page that is not there after so long will not come, ms. */
const PATIENCE_MS = 4000;
const LOOK_MS = 60;

/** A word, a button or a part of the page by its label or what stands on it. */
function labelled(label: string): HTMLElement | undefined {
  const main = document.getElementById('main');
  if (!main) return undefined;
  const all = [...main.querySelectorAll<HTMLElement>('[aria-label], button, summary')];
  const named = (element: HTMLElement) => element.getAttribute('aria-label') ?? element.textContent?.trim() ?? '';
  return (
    all.find((element) => named(element) === label && element.checkVisibility?.() !== false) ??
    all.find((element) => named(element).startsWith(label) && element.checkVisibility?.() !== false)
  );
}

/** Leads to a thing on the page that is being gone to, as soon as it is there: in sight, and with the focus on it. */
export async function leadTo(label: string): Promise<boolean> {
  for (let waited = 0; waited < PATIENCE_MS; waited += LOOK_MS) {
    await new Promise((done) => setTimeout(done, LOOK_MS));
    const found = labelled(label);
    if (!found) continue;
    found.scrollIntoView({ block: 'center' });
    if (found.tabIndex < 0) found.tabIndex = -1;
    found.focus({ preventScroll: true });
    return true;
  }
  return false;
}
