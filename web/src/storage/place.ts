/*
 * The demo workshop and one's own are kept in two databases, so that they never mix. Which one is on the screen belongs to the tab; a new tab begins
 * with the one that was gone to last. Going from one to the other begins the page anew.
 */
export type Place = 'own' | 'demo';

const KEY = 'place';
const OPENED: Record<Place, string> = { own: 'opened', demo: 'openedDemo' };

/** Whether a workshop was ever kept at a place. */
export const wasOpened = (at: Place): boolean => localStorage.getItem(OPENED[at]) !== null;
/** A page that was killed before would miss a workshop that never was: this is said when it is kept. */
export const noteOpened = (at: Place): void => localStorage.setItem(OPENED[at], 'yes');
export const forgetPlace = (at: Place): void => localStorage.removeItem(OPENED[at]);

function readPlace(): Place {
  const said = sessionStorage.getItem(KEY) ?? localStorage.getItem(KEY);
  if (said === 'own' || said === 'demo') return said;
  // a browser in which Kolleta was used before the two were kept apart
  return wasOpened('own') ? 'own' : 'demo';
}

/** Where this page is: settled when it begins. */
export const PLACE: Place = typeof localStorage === 'undefined' ? 'own' : readPlace();
if (typeof sessionStorage !== 'undefined') sessionStorage.setItem(KEY, PLACE);

/** The database of a place. */
export const databaseOf = (at: Place): string => (at === 'own' ? 'kolleta' : 'kolleta-demo');

/** Leaves for the other place, at an address there. */
export function goTo(at: Place, hash = '#/'): void {
  for (const storage of [localStorage, sessionStorage]) storage.setItem(KEY, at);
  window.location.hash = hash;
  window.location.reload();
}
