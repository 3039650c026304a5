import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { SHEETS, type Sheet } from '@kolleta/core/fit';
import type { CareCard } from '@kolleta/core/words';
import { pdfLines } from '../../frame/pdfLines';
import { plain, PT } from '../../frame/pdfPlain';

/** Cards on a sheet: two beside each other, three above each other. */
const [COLUMNS, ROWS] = [2, 3];
/** Kept free along the edges of the sheet, and within a card, mm. */
const [MARGIN, INNER] = [8, 6];
/** Sizes of print that are tried, mm: the largest at which a card holds all of its words. */
const SIZES = [3.4, 3.1, 2.8, 2.5, 2.2, 1.9];
const INK = rgb(0.13, 0.19, 0.18);
const LINE = rgb(0.62, 0.6, 0.55);

interface Written {
  readonly text: string;
  readonly bold: boolean;
  /** Space above, in lines. */
  readonly above: number;
}

const wordsOf = ({ title, words, dates, care, off, maker }: CareCard): Written[] => [
  { text: words ? `${title}: ${words}` : title, bold: true, above: 0 },
  ...dates.map((text, i) => ({ text, bold: true, above: i === 0 ? 0.5 : 0 })),
  ...care.map((text, i) => ({ text, bold: false, above: i === 0 ? 0.5 : 0.15 })),
  ...off.map((text) => ({ text, bold: false, above: 0.5 })),
  { text: maker, bold: true, above: 0.5 },
];

function drawCard(
  page: PDFPage,
  card: CareCard,
  [left, top, width, height]: readonly number[],
  fonts: { plain: PDFFont; bold: PDFFont },
): void {
  const [w, h] = [width! - 2 * INNER, height! - 2 * INNER];
  const broken = (size: number) =>
    wordsOf(card).map(({ text, bold, above }) => ({
      lines: pdfLines(text, bold ? fonts.bold : fonts.plain, size * PT, w * PT),
      bold,
      above,
    }));
  const tall = (size: number) => broken(size).reduce((sum, { lines, above }) => sum + (lines.length + above) * size * 1.3, 0);
  const size = SIZES.find((one) => tall(one) <= h) ?? SIZES.at(-1)!;
  let y = top! - INNER;
  for (const { lines, bold, above } of broken(size)) {
    y -= above * size * 1.3;
    for (const line of lines) {
      y -= size * 1.3;
      page.drawText(line, { x: (left! + INNER) * PT, y: y * PT, size: size * PT, font: bold ? fonts.bold : fonts.plain, color: INK });
    }
  }
}

/** Care cards on sheets of paper, six on each, with thin lines to cut along. */
export async function pdfCards(cards: readonly CareCard[], title: string, name: Sheet['name']): Promise<Uint8Array> {
  const sheet = SHEETS[name];
  const pdf = await PDFDocument.create();
  pdf.setTitle(plain(title));
  const fonts = { plain: await pdf.embedFont(StandardFonts.Helvetica), bold: await pdf.embedFont(StandardFonts.HelveticaBold) };
  const [width, height] = [(sheet.width - 2 * MARGIN) / COLUMNS, (sheet.height - 2 * MARGIN) / ROWS];
  for (let first = 0; first < cards.length; first += COLUMNS * ROWS) {
    const page = pdf.addPage([sheet.width * PT, sheet.height * PT]);
    cards.slice(first, first + COLUMNS * ROWS).forEach((card, i) => {
      const left = MARGIN + (i % COLUMNS) * width;
      const top = sheet.height - MARGIN - Math.floor(i / COLUMNS) * height;
      page.drawRectangle({
        ...{ x: left * PT, y: (top - height) * PT, width: width * PT, height: height * PT },
        ...{ borderColor: LINE, borderWidth: 0.2 * PT },
      });
      drawCard(page, card, [left, top, width, height], fonts);
    });
  }
  return pdf.save();
}
