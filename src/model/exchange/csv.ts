import Papa from 'papaparse';
// oxlint-disable-next-line no-restricted-imports -- an export is written without a worker, and comes when it is asked for
import { checkById } from '@/core/inspect/checks';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '../record';

/**
 * What a spreadsheet would run as a formula: also behind blanks and line breaks, which many pass over, and in the wide forms
 * of the signs. A text that is led by apostrophes already gets one more, so that taking one away gives the text again.
 */
const FORMULA = /^'*[\s\p{Cc}\p{Cf}]*[=+\-@＝＋－＠]|^'*[\t\r\n]/u;

/** A cell that a spreadsheet would run as a formula is led by an apostrophe, which makes it text. */
export function harmless(value: string | number | null): string {
  if (value === null) return '';
  return typeof value === 'string' && FORMULA.test(value) ? `'${value}` : String(value);
}

/** A text as it was before `harmless`. */
export function plainCell(text: string): string {
  return text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;
}

function table(fields: string[], rows: (string | number | null)[][]): string {
  return `${Papa.unparse({ fields, data: rows.map((row) => row.map(harmless)) }, { newline: '\n' })}\n`;
}

/** Money in whole minor units, one row a purchase, line, fee and sale. */
export function moneyCsv(bicycles: Bicycle[], currency: string): string {
  const rows = bicycles.flatMap((bicycle): (string | number | null)[][] => [
    ...(bicycle.purchase
      ? [[bicycle.name, 'purchase', 'Bicycle', -bicycle.purchase.paid, null, null, bicycle.purchase.at]]
      : []),
    ...bicycle.lines.map((line) => [bicycle.name, line.kind, line.label, -line.paid, line.packQty, line.usedQty, null]),
    ...(bicycle.sale.fee ? [[bicycle.name, 'fee', 'Selling fee', -bicycle.sale.fee, null, null, null]] : []),
    ...(bicycle.sale.price === null ? [] : [[bicycle.name, 'sale', 'Sold', bicycle.sale.price, null, null, null]]),
  ]);
  return table(['bicycle', 'kind', 'what', `amount_minor_${currency}`, 'pack_qty', 'used_qty', 'at'], rows);
}

/** Every observation that has not been taken back, with its evidence as it was entered. */
export function findingsCsv(bicycles: Bicycle[]): string {
  const rows = bicycles.flatMap((bicycle) =>
    bicycle.observations
      .filter((row) => !row.withdrawn)
      .map((row) => {
        const check = checkById(row.check);
        return [
          bicycle.name,
          check ? placeLabel(check.place) : '',
          check?.label ?? row.check,
          row.at,
          Object.entries(row.evidence)
            .map(
              ([key, value]) =>
                `${key} ${Array.isArray(value) ? value.map((each) => (typeof each === 'object' ? JSON.stringify(each) : String(each))).join(' ') : String(value)}`,
            )
            .join('; '),
          row.note,
        ];
      }),
  );
  return table(['bicycle', 'place', 'check', 'at', 'evidence', 'note'], rows);
}

/** Every signature of a bolt. */
export function torqueCsv(bicycles: Bicycle[]): string {
  const rows = bicycles.flatMap((bicycle) =>
    bicycle.signatures.map((row) => [bicycle.name, row.bolt, row.how, row.valueNm, row.at]),
  );
  return table(['bicycle', 'bolt', 'judged_by', 'torque_nm', 'at'], rows);
}
