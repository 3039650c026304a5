/** The names of this machine for itself. */
const NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** The name in a `Host` header, without its port. */
const nameIn = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Whether a request was addressed to this machine by its own name: a page that makes another name point here is not answered. */
export const isOwnHost = (host: string): boolean => NAMES.has(nameIn(host));

/** Whether a request comes from a page of this server, or from no page at all. */
export function isOwnOrigin(origin: string | undefined, host: string): boolean {
  if (origin === undefined) return true;
  // "null" is what a page of no place says
  if (!URL.canParse(origin)) return false;
  const { protocol, host: from } = new URL(origin);
  return protocol === 'http:' && from.toLowerCase() === host.toLowerCase() && isOwnHost(from);
}
