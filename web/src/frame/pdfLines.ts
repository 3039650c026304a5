import type { PDFFont } from 'pdf-lib';
import { plain } from './pdfPlain';

/** Words broken into lines that are no wider than so much, in points; a single word that is wider stands alone. */
export function pdfLines(text: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of plain(text).split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && font.widthOfTextAtSize(longer, size) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
