import type { Point } from '../../geometry';
import type { FilmLayout } from '../layout';
import { spareLines } from '../spares';
import { penLinesOf, strokesOf } from './strokes';

/** PDF points in a mm. */
const PT = 72 / 25.4;
/** As thin as a line is drawn that a cutter follows, mm. */
const HAIR = 0.1;
/** A page of PDF is no larger, mm; longer ones are measured in larger units, which few programs read. */
const MOST = 5000;

/**
 * A layout as a PDF at 1:1: one page of the film that is taken, each outline a closed path without fill in the order of the cut; what a pen writes
 * before that, in blue.
 *
 * @throws where the film is longer than a page of PDF can be
 */
export async function pdfCutFile(layout: FilmLayout, title: string): Promise<Uint8Array> {
  const { width, taken } = layout;
  if (Math.max(width, taken) > MOST) throw new Error(`A PDF takes up to ${MOST / 1000} m of film. Save it as SVG or HPGL instead.`);
  const lib = await import('pdf-lib');
  const pdf = await lib.PDFDocument.create();
  pdf.setTitle(title);
  const page = pdf.addPage([width * PT, taken * PT]);
  const line = (points: readonly Point[], closed: boolean) => [
    ...points.map(([x, y], i) => (i === 0 ? lib.moveTo(x * PT, y * PT) : lib.lineTo(x * PT, y * PT))),
    ...(closed ? [lib.closePath()] : []),
    lib.stroke(),
  ];
  page.pushOperators(
    lib.pushGraphicsState(),
    lib.setLineWidth(HAIR * PT),
    lib.setStrokingColor(lib.rgb(0, 0, 1)),
    ...penLinesOf(layout).flatMap(({ points, closed }) => line(points, closed)),
    lib.setStrokingColor(lib.rgb(0, 0, 0)),
    ...strokesOf(layout).flatMap(({ ring }) => line(ring, true)),
    ...[...spareLines(layout), ...(layout.register ?? []), ...(layout.relief ?? [])].flatMap(({ points, closed }) => line(points, closed)),
    lib.popGraphicsState(),
  );
  return pdf.save();
}
