/** PDF points a mm. */
export const PT = 72 / 25.4;

/** What the standard fonts of a PDF cannot write is left out: names may hold anything. */
export const plain = (text: string): string =>
  text
    .normalize('NFC')
    .replaceAll('—', '-')
    .replaceAll('€', 'EUR ')
    .replaceAll('’', "'")
    .replaceAll(/[“”]/g, '"')
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '');
