/** No more names than this, and no longer values: programs write a dozen addresses. */
const MOST_NAMES = 100;
const MOST_LENGTH = 2000;
/** A document type with what is defined in it. */
const DOCTYPE = /<!DOCTYPE[^[>]*(?:\[([\s\S]*?)\]\s*)?>/i;
const ENTITY = /<!ENTITY\s+([A-Za-z_][\w.-]*)\s+(?:"([^"]*)"|'([^']*)')\s*>/g;

/**
 * A drawing with the names that it defines for itself written out, as some programs write addresses. Only plain words are: nothing is fetched, and
 * no name stands in another.
 *
 * @param most no longer than this, characters
 * @returns nothing where a name is fetched from elsewhere, stands in another, or the whole becomes too long
 */
export function withoutEntities(text: string, most: number): string | undefined {
  if (!/<!ENTITY/i.test(text)) return text;
  const [whole, inner = ''] = DOCTYPE.exec(text) ?? [];
  if (whole === undefined) return undefined;
  const values = new Map<string, string>();
  for (const [, name, double, single] of inner.matchAll(ENTITY)) {
    const value = double ?? single ?? '';
    if (/[&<%]/.test(value) || value.length > MOST_LENGTH || values.size >= MOST_NAMES) return undefined;
    values.set(name!, value);
  }
  const rest = text.replace(whole, '');
  // what is defined in any other way is not written out
  if (/<!ENTITY/i.test(inner.replace(ENTITY, '')) || /<!ENTITY/i.test(rest)) return undefined;
  let length = rest.length;
  let long = false;
  const out = rest.replace(/&([A-Za-z_][\w.-]*);/g, (found, name: string) => {
    const value = values.get(name);
    if (value === undefined || long) return found;
    length += value.length;
    long ||= length > most;
    return value;
  });
  return long ? undefined : out;
}
