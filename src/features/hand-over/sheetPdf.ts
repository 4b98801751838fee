import { jsPDF } from 'jspdf';
import type { SheetText } from './sheetText';

const A4 = { widthMm: 210, heightMm: 297 };
const MARGIN_MM = 16;
/** Two columns: a page holds what a bicycle has to say. */
const COLUMNS = 2;
const GUTTER_MM = 8;
const LINE_MM = 3.9;

const LATIN: Record<string, string> = {
  '→': 'to',
  '−': '-',
  '≤': 'at most',
  '≥': 'at least',
  '✓': 'yes',
  '✕': 'no',
  '′': "'",
  '″': '"',
};
/** What the letters of the page can print; others are told as a question mark. */
export const printable = (text: string): string =>
  text.normalize('NFC').replaceAll(/[^\u0020-\u007e\u00a0-\u00ff–—‘’“”•…€]/gu, (letter) => LATIN[letter] ?? '?');

/** The sheet as a PDF, made here: name and how it stands at the head, then its sections in two columns, page by page. */
export function sheetPdf({ title, head, sections }: SheetText): ArrayBuffer {
  const page = new jsPDF({ unit: 'mm', format: 'a4' });
  page.setProperties({ title: printable(title) });
  const widthMm = (A4.widthMm - 2 * MARGIN_MM - (COLUMNS - 1) * GUTTER_MM) / COLUMNS;
  let topMm = MARGIN_MM;
  const put = (text: string, size: number, style: 'normal' | 'bold', xMm: number, yMm: number) => {
    page.setFont('helvetica', style);
    page.setFontSize(size);
    page.text(text, xMm, yMm);
  };
  put(printable(title), 18, 'bold', MARGIN_MM, topMm + 4);
  topMm += 11;
  for (const line of head) {
    page.setFont('helvetica', 'normal');
    page.setFontSize(9.5);
    for (const piece of page.splitTextToSize(printable(line), A4.widthMm - 2 * MARGIN_MM) as string[]) {
      put(piece, 9.5, 'normal', MARGIN_MM, topMm);
      topMm += 4.4;
    }
  }
  topMm += 3;
  let column = 0;
  let yMm = topMm;
  const leftMm = () => MARGIN_MM + column * (widthMm + GUTTER_MM);
  const room = (neededMm: number) => {
    if (yMm + neededMm <= A4.heightMm - MARGIN_MM) return;
    column++;
    if (column === COLUMNS) {
      page.addPage();
      column = 0;
      topMm = MARGIN_MM;
    }
    yMm = topMm;
  };
  for (const section of sections) {
    room(3 * LINE_MM);
    put(printable(section.title), 10, 'bold', leftMm(), yMm + 3);
    page.setLineWidth(0.2);
    page.line(leftMm(), yMm + 4.4, leftMm() + widthMm, yMm + 4.4);
    yMm += 8.2;
    for (const line of section.lines) {
      page.setFont('helvetica', 'normal');
      page.setFontSize(8.4);
      for (const piece of page.splitTextToSize(printable(line), widthMm) as string[]) {
        room(LINE_MM);
        put(piece, 8.4, 'normal', leftMm(), yMm);
        yMm += LINE_MM;
      }
      yMm += 0.7;
    }
    yMm += 3;
  }
  return page.output('arraybuffer');
}
