import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage, type RGB } from 'pdf-lib';
import { applyToRegion, boxAround, boxCentre, boxHeight, boxOf, boxWidth, ringsOf, translation } from '@kolleta/core/geometry';
import type { JobPlan, MarkPlan, ReportPart } from '@kolleta/core/plan';
import { SHEETS } from '@kolleta/core/fit';
import type { Job, Shop } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { layerColour } from '../../drawing/MarkShapes';
import { pdfLines } from '../../frame/pdfLines';
import { plain, PT } from '../../frame/pdfPlain';

const INK = rgb(0.13, 0.19, 0.18);
const LINE = rgb(0.62, 0.6, 0.55);
/** Kept free along the edges, and the size of a drawing at most, mm. */
const [MARGIN, WIDE, HIGH] = [20, 120, 62];
const SIZE = 10.5;
/** Drawings are as large as life, or so many times smaller. */
const SCALES = [1, 2, 3, 4, 5, 8, 10, 20, 50];
/** More marks than these are said in words alone. */
const MOST_DRAWN = 4;

const colour = (hex: string): RGB => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255);
  return rgb(r, g, b);
};

/** One mark on a ground of the piece's colour, to a scale that is said; how high it is, mm. */
function drawMark(page: PDFPage, plan: MarkPlan, job: Job, shop: Shop, top: number, font: PDFFont): number {
  const layers = plan.fitted.layers.filter(({ region }) => region.length > 0);
  const box = boxAround(layers.map(({ region }) => boxOf(region)));
  const [width, height] = [boxWidth(box), boxHeight(box)];
  const free = 5;
  const scale = SCALES.find((one) => width / one <= WIDE - 2 * free && height / one <= HIGH - 2 * free) ?? SCALES.at(-1)!;
  const [w, h] = [width / scale + 2 * free, height / scale + 2 * free];
  page.drawRectangle({
    x: MARGIN * PT,
    y: (top - h) * PT,
    width: w * PT,
    height: h * PT,
    color: colour(job.piece.colour),
    borderColor: LINE,
    borderWidth: 0.5,
  });
  const [cx, cy] = boxCentre(box);
  const [x, y] = [(MARGIN + w / 2) * PT, (top - h / 2) * PT];
  for (const layer of layers) {
    const centred = applyToRegion(translation(-cx, -cy), layer.region);
    // the writer turns y over, as in SVG
    const path = ringsOf(centred)
      .map((ring) => `M${ring.map(([px, py]) => `${(px / scale).toFixed(3)} ${(-py / scale).toFixed(3)}`).join('L')}Z`)
      .join('');
    page.drawSvgPath(path, { x, y, scale: PT, color: colour(layerColour(plan, layer.film, shop)) });
  }
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 0 });
  const words = `${plan.mark.name}: ${say(width)} x ${say(height)}, ${scale === 1 ? 'as large as life' : `1 : ${scale}`}`;
  page.drawText(plain(words), { x: MARGIN * PT, y: (top - h - 5) * PT, size: SIZE - 1.5, font, color: INK });
  return h + 9;
}

/** The report of a job on A4 paper. */
export async function pdfReport(job: Job, plan: JobPlan, shop: Shop, parts: readonly ReportPart[]): Promise<Uint8Array> {
  const sheet = SHEETS.A4;
  const pdf = await PDFDocument.create();
  pdf.setTitle(plain(`${job.name}, report`));
  const [font, bold] = [await pdf.embedFont(StandardFonts.Helvetica), await pdf.embedFont(StandardFonts.HelveticaBold)];
  let page = pdf.addPage([sheet.width * PT, sheet.height * PT]);
  let y = sheet.height - MARGIN;
  const room = (mm: number) => {
    if (y - mm >= MARGIN) return;
    page = pdf.addPage([sheet.width * PT, sheet.height * PT]);
    y = sheet.height - MARGIN;
  };
  const write = (text: string, heavy = false, size = SIZE) => {
    room(size * 0.5);
    y -= size * 0.5;
    page.drawText(plain(text), { x: MARGIN * PT, y: y * PT, size, font: heavy ? bold : font, color: INK });
  };
  write(job.name, true, 18);
  write(shop.name);
  y -= 6;
  for (const mark of plan.marks.filter(({ fitted }) => fitted.layers.some(({ region }) => region.length > 0)).slice(0, MOST_DRAWN)) {
    room(HIGH + 10);
    y -= drawMark(page, mark, job, shop, y, font);
  }
  for (const { heading, lines } of parts) {
    room(14);
    y -= 3;
    write(heading, true, SIZE + 1.5);
    for (const line of lines) for (const one of pdfLines(line, font, SIZE, (sheet.width - 2 * MARGIN) * PT)) write(one);
  }
  return pdf.save();
}
