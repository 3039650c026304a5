import { FILM_KINDS } from '../facts';
import type { Film, Pressing } from '../job';

/** How a film is pressed on: by its own sheet where that was typed, else as its kind commonly is; undefined for film with adhesive. */
export function pressOf({ kind, press }: Pick<Film, 'kind' | 'press'>): Pressing | undefined {
  const facts = FILM_KINDS[kind].press;
  if (!facts) return undefined;
  return press ?? { celsius: facts.celsius.typical, seconds: facts.seconds.typical, pressure: facts.pressure, peel: facts.peel };
}
