import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage, type RGB } from 'pdf-lib';
import { PRINT_MARGIN, SHEET_OVERLAP, type Jig, type JigLine, type Tiling } from '@kolleta/core/fit';
import { plain, PT } from '../../frame/pdfPlain';

const LOOK: Record<JigLine['kind'], { colour: RGB; width: number; dash?: number[] }> = {
  cut: { colour: rgb(0, 0, 0), width: 0.35 },
  wall: { colour: rgb(0, 0, 0), width: 0.25, dash: [1.5, 1.5] },
  zone: { colour: rgb(0.05, 0.35, 0.38), width: 0.25, dash: [3, 1.5] },
  mark: { colour: rgb(0.13, 0.19, 0.18), width: 0.2 },
  centre: { colour: rgb(0.85, 0.56, 0.09), width: 0.25, dash: [6, 1.5, 1, 1.5] },
  stop: { colour: rgb(0.68, 0.25, 0.15), width: 0.3 },
  hinge: { colour: rgb(0.05, 0.35, 0.38), width: 0.3, dash: [1, 1] },
  feature: { colour: rgb(0.36, 0.4, 0.39), width: 0.3, dash: [2, 1] },
  check: { colour: rgb(0, 0, 0), width: 0.35 },
};

function crops(page: PDFPage, width: number, height: number): void {
  for (const [x, y] of [
    [PRINT_MARGIN, PRINT_MARGIN],
    [width - PRINT_MARGIN, PRINT_MARGIN],
    [PRINT_MARGIN, height - PRINT_MARGIN],
    [width - PRINT_MARGIN, height - PRINT_MARGIN],
  ] as const) {
    const [dx, dy] = [x === PRINT_MARGIN ? -4 : 4, y === PRINT_MARGIN ? -4 : 4];
    const line = (x2: number, y2: number) =>
      page.drawLine({ start: { x: x * PT, y: y * PT }, end: { x: x2 * PT, y: y2 * PT }, thickness: 0.2 * PT });
    line(x + dx, y);
    line(x, y + dy);
  }
}

/** A jig as it is printed. */
export interface PrintedJig {
  readonly jig: Jig;
  readonly tiling: Tiling;
  readonly title: string;
}

/**
 * Jigs at their own size on sheets of paper, with overlap and crop marks.
 *
 * @param scale what everything is enlarged by, so that this printer's print comes out true
 */
export async function pdfJigs(jigs: readonly PrintedJig[], title: string, scale: number): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  for (const jig of jigs) addJig(pdf, font, jig, scale);
  return pdf.save();
}

function addJig(pdf: PDFDocument, font: PDFFont, { jig, tiling, title }: PrintedJig, scale: number): void {
  const { sheet, across, tiles, columns, rows } = tiling;
  const [width, height] = across ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
  for (const { box, column, row } of tiles) {
    const page = pdf.addPage([width * PT, height * PT]);
    const x = (mm: number) => (PRINT_MARGIN + (mm - box.minX) * scale) * PT;
    const y = (mm: number) => (PRINT_MARGIN + (mm - box.minY) * scale) * PT;
    for (const { kind, points, closed } of jig.lines) {
      const { colour, width: pen, dash } = LOOK[kind];
      // drawSvgPath turns y round and begins at its own origin
      const d = points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${x(px)} ${-y(py)}`).join(' ');
      page.drawSvgPath(`${d}${closed ? ' Z' : ''}`, {
        x: 0,
        y: 0,
        borderColor: colour,
        borderWidth: pen * PT,
        ...(dash ? { borderDashArray: dash.map((n) => n * PT) } : {}),
      });
    }
    for (const { at, text } of jig.words) page.drawText(plain(text), { x: x(at[0]), y: y(at[1]), size: 3.6 * PT, font });
    // nothing is printed beyond the margins, so that sheets can be trimmed and laid over each other
    for (const [mx, my, mw, mh] of [
      [0, 0, width, PRINT_MARGIN],
      [0, height - PRINT_MARGIN, width, PRINT_MARGIN],
      [0, 0, PRINT_MARGIN, height],
      [width - PRINT_MARGIN, 0, PRINT_MARGIN, height],
    ] as const)
      page.drawRectangle({ x: mx * PT, y: my * PT, width: mw * PT, height: mh * PT, color: rgb(1, 1, 1) });
    crops(page, width, height);
    const name =
      columns * rows > 1
        ? `sheet ${row * columns + column + 1} of ${columns * rows}, row ${row + 1}, column ${column + 1}; lay ${SHEET_OVERLAP} mm over`
        : '';
    page.drawText(plain(`${title} · print at 100 %${name ? ` · ${name}` : ''}`), { x: PRINT_MARGIN * PT, y: 4 * PT, size: 2.8 * PT, font });
  }
}
