import Papa from 'papaparse';
import { PDFDocument } from 'pdf-lib';

/** What a reader of PDF files finds in one: its title, and how many pages. */
export async function readPdf(bytes: Uint8Array): Promise<{ title: string | undefined; pages: number }> {
  const pdf = await PDFDocument.load(bytes);
  return { title: pdf.getTitle(), pages: pdf.getPageCount() };
}

/** The rows of a list for a spreadsheet, by their headings; what is wrong with it. */
export function readCsv(text: string): { rows: Record<string, string>[]; errors: unknown[] } {
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  return { rows: data, errors };
}
