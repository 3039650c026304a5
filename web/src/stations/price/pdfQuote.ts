import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import type { Quote } from '@kolleta/core/cost';
import { SHEETS } from '@kolleta/core/fit';
import { formatMoney } from '@kolleta/core/units';
import { pdfLines } from '../../frame/pdfLines';
import { plain, PT } from '../../frame/pdfPlain';

const INK = rgb(0.13, 0.19, 0.18);
const LINE = rgb(0.62, 0.6, 0.55);
/** Kept free along the edges, and the column of the amounts, mm. */
const [MARGIN, AMOUNTS] = [22, 32];
const SIZE = 11;

/**
 * A quote or an invoice on A4 paper: its lines with their amounts below each other.
 *
 * @param text its words, the first its title, the second for whom and when
 */
export async function pdfQuote([title = '', head = '', ...rest]: readonly string[], quote: Quote, currency: string): Promise<Uint8Array> {
  const sheet = SHEETS.A4;
  const pdf = await PDFDocument.create();
  pdf.setTitle(plain(title));
  const [font, bold] = [await pdf.embedFont(StandardFonts.Helvetica), await pdf.embedFont(StandardFonts.HelveticaBold)];
  const [left, right] = [MARGIN * PT, (sheet.width - MARGIN) * PT];
  let page = pdf.addPage([sheet.width * PT, sheet.height * PT]);
  let y = (sheet.height - MARGIN) * PT;
  const down = (by: number) => {
    y -= by;
    if (y > MARGIN * PT) return;
    page = pdf.addPage([sheet.width * PT, sheet.height * PT]);
    y = (sheet.height - MARGIN) * PT;
  };
  const write = (words: string, { heavy = false, size = SIZE } = {}) => {
    down(size * 1.5);
    page.drawText(plain(words), { x: left, y, size, font: heavy ? bold : font, color: INK });
  };
  const amount = (minor: number, heavy = false) => {
    const words = plain(formatMoney(minor, currency));
    const own = heavy ? bold : font;
    page.drawText(words, { x: right - own.widthOfTextAtSize(words, SIZE), y, size: SIZE, font: own, color: INK });
  };
  const rule = () => {
    down(SIZE * 0.8);
    page.drawLine({ start: { x: left, y }, end: { x: right, y }, thickness: 0.5, color: LINE });
  };
  write(title, { heavy: true, size: 17 });
  write(head);
  down(SIZE);
  rule();
  for (const { text, pieces, each, amount: sum } of quote.lines) {
    const words = pdfLines(text, font, SIZE, right - left - AMOUNTS * PT);
    words.forEach((line, i) => {
      write(line);
      if (i === 0) amount(sum);
    });
    if (pieces > 1) write(`${pieces} at ${formatMoney(each, currency)} each`);
    rule();
  }
  if (quote.taxPercent > 0) {
    write('Without tax');
    amount(quote.net);
    write(`Tax ${quote.taxPercent} %`);
    amount(quote.tax);
  }
  write(rest.find((line) => /^(In all|To pay):/.test(line))?.replace(/:.*/, '') ?? 'In all', { heavy: true });
  amount(quote.total, true);
  down(SIZE);
  for (const line of rest.slice(rest.findIndex((one) => /^(In all|To pay):/.test(one)) + 1)) write(line);
  return pdf.save();
}
