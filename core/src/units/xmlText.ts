/**
 * What XML 1.0 cannot hold, even escaped: control characters, halves of surrogate pairs, and two that are no characters (W3C, 2008,
 * Extensible Markup Language 1.0, 2.2).
 */
const FORBIDDEN = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu;
const NAMES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Text as it may stand in an XML file, between tags or in an attribute; what XML cannot hold becomes a space. */
export const xmlText = (text: string): string => text.replace(FORBIDDEN, ' ').replace(/[&<>"]/g, (c) => NAMES[c]!);
