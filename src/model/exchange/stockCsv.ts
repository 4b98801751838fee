import Papa from 'papaparse';
import * as z from 'zod/mini';
import { STOCK_STATES, stockItem, type StockItem } from '../stock/item';
import { harmless, plainCell } from './csv';

const FIELDS = [
  'id',
  'what',
  'place',
  'size',
  'state',
  'from',
  'from_bicycle',
  'quantity',
  'worth_minor',
  'cost_minor',
  'at',
  'gone_at',
] as const;

/** The drawer as a table, one row an item; money in whole minor units. */
export function stockCsv(items: StockItem[]): string {
  const data = items.map((item) =>
    [
      item.id,
      item.label,
      item.place,
      item.size,
      item.state,
      item.from,
      item.bicycle,
      item.quantity,
      item.worth,
      item.cost,
      item.at,
      item.goneAt,
    ].map(harmless),
  );
  return `${Papa.unparse({ fields: [...FIELDS], data }, { newline: '\n' })}\n`;
}

const whole = z.pipe(z.string().check(z.regex(/^\d{1,10}$/, { error: 'give whole minor units' })), z.transform(Number));
const row = z.object({
  id: z._default(z.string(), ''),
  what: z.string().check(z.minLength(1, { error: 'say what it is' }), z.maxLength(120)),
  place: z._default(z.string().check(z.maxLength(64)), ''),
  size: z._default(z.string().check(z.maxLength(120)), ''),
  state: z.enum(STOCK_STATES, { error: `give ${STOCK_STATES.join(', ')}` }),
  from: z._default(z.string().check(z.maxLength(200)), ''),
  from_bicycle: z._default(z.string().check(z.maxLength(64)), ''),
  quantity: z.pipe(z.string().check(z.regex(/^\d+(\.\d+)?$/, { error: 'give a number' })), z.transform(Number)),
  worth_minor: z._default(
    z.union([
      z.pipe(
        z.literal(''),
        z.transform(() => 0),
      ),
      whole,
    ]),
    0,
  ),
  cost_minor: z._default(
    z.union([
      z.pipe(
        z.literal(''),
        z.transform(() => null),
      ),
      whole,
    ]),
    null,
  ),
  at: z._default(z.string(), ''),
  gone_at: z._default(z.string(), ''),
});

export type StockRead = { ok: true; items: StockItem[] } | { ok: false; errors: string[] };

/**
 * Reads a table of stock, whole or not at all: every row that cannot be read is named with what to do. An empty id or time
 * is filled in by what is handed over, so that a list typed in a spreadsheet can be taken.
 *
 * Example: a header line and `,Brake pads,pads.front,long,good,,,2,600,,,` gives one item of two.
 */
export function readStockCsv(text: string, newId: () => string, now: string): StockRead {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const missing = ['what', 'state', 'quantity'].filter((field) => !parsed.meta.fields?.includes(field));
  if (missing.length)
    return { ok: false, errors: [`The first line must name the columns; ${missing.join(', ')} is missing.`] };
  const errors: string[] = [];
  const items = new Map<string, StockItem>();
  parsed.data.forEach((cells, i) => {
    const unescaped = Object.fromEntries(
      Object.entries(cells).map(([key, value]) => [key, plainCell(String(value ?? ''))]),
    );
    const read = row.safeParse(unescaped);
    if (!read.success) {
      const [first] = read.error.issues;
      errors.push(`Row ${i + 2}: ${first!.path.join('.')}: ${first!.message}`);
      return;
    }
    const { what, worth_minor, cost_minor, from_bicycle, gone_at, ...rest } = read.data;
    const item = stockItem.safeParse({
      ...rest,
      id: rest.id || newId(),
      label: what,
      place: rest.place || 'frame',
      bicycle: from_bicycle || null,
      worth: worth_minor,
      cost: cost_minor,
      at: rest.at || now,
      goneAt: gone_at || null,
    });
    if (!item.success) errors.push(`Row ${i + 2}: ${item.error.issues[0]!.path.join('.')} cannot be read`);
    else if (items.has(item.data.id)) errors.push(`Row ${i + 2}: this id stands twice`);
    else items.set(item.data.id, item.data);
  });
  return errors.length ? { ok: false, errors } : { ok: true, items: [...items.values()] };
}
