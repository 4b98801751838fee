import Papa from 'papaparse';
import type { BooksRow } from '../books/books';
import { harmless } from './csv';

/** Finished bicycles as a table that any spreadsheet opens, in whole minor units; its columns add up as the page does. */
export function booksCsv(rows: readonly BooksRow[], currency: string): string {
  const money = (name: string) => `${name}_minor_${currency}`;
  const fields = [
    'bicycle',
    'sold_on',
    ...['price', 'bought', 'parts', 'road', 'fees_tax_comebacks', 'earned'].map(money),
    'minutes',
  ];
  const data = rows.map(({ name, on, price, bought, parts, road, besides, earned, minutes }) =>
    [name, on, price, bought, parts, road, besides, earned, Math.round(minutes)].map(harmless),
  );
  return `${Papa.unparse({ fields, data }, { newline: '\n' })}\n`;
}
