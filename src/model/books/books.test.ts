import fc from 'fast-check';
import { answer } from '@/core/calculator';
import { moneyResult } from '@/core/money/result';
import { runs } from '../../../tests/runs';
import { applyCommand, type Command } from '../commands';
import { demoWorkshop } from '../demo/workshop';
import { booksCsv } from '../exchange/booksCsv';
import { newBicycle } from '../fresh';
import { resultInput } from '../money/questions';
import { USUAL_SETTINGS } from '../settings/usual';
import type { Summary } from '../summary';
import { summaryOf } from '../summaryOf';
import { booksRows, booksSum, byMonth, learnInput, openOnFloor } from './books';
import { toldToBooks } from './told';
import { kindOfPlace } from '@/core/money/workKinds';
import Papa from 'papaparse';

const AT = '2026-11-25T10:00:00.000Z';
const of = (commands: Command[]) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command }),
    newBicycle('b', AT, 'B'),
  );
const summaries = (): Record<string, Summary> =>
  Object.fromEntries(demoWorkshop(new Date(AT)).bicycles.map((bicycle) => [bicycle.id, summaryOf(bicycle)]));

test('a bicycle’s line says what its own result says, to the cent, whatever was put down on it', () => {
  const amount = fc.integer({ min: 0, max: 200_000 });
  fc.assert(
    fc.property(
      amount,
      amount,
      amount,
      fc.array(
        fc.record({
          paid: amount,
          packQty: fc.integer({ min: 1, max: 40 }),
          part: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        { maxLength: 5 },
      ),
      fc.constantFrom('none' as const, 'all' as const, 'margin' as const),
      amount,
      (price, paid, fee, lines, scheme, refund) => {
        const bicycle = of([
          { type: 'recordPurchase', paid, at: AT },
          { type: 'setSale', changes: { price, fee, on: '2026-11-20' } },
          { type: 'setDealing', changes: { scheme, percent: 19 } },
          ...lines.map(({ paid: cost, packQty, part }, i): Command => ({
            type: 'putLine',
            line: { id: `l${i}`, label: 'L', kind: 'part', paid: cost, packQty, usedQty: Math.floor(packQty * part) },
          })),
          {
            type: 'putComeback',
            comeback: { id: 'x', at: AT, cause: 'c', minutes: 30, parts: 0, refund },
          },
        ]);
        const told = toldToBooks(bicycle)!;
        const said = answer(moneyResult, resultInput(bicycle, { ...USUAL_SETTINGS, labourPerHour: 0 }));
        expect(said.ok && said.output.profit).toBe(told.earned);
        expect(told.price - told.bought - told.parts - told.road - told.besides).toBe(told.earned);
      },
    ),
    { numRuns: runs(200, 40) },
  );
  expect(toldToBooks(newBicycle('b', AT, 'B'))).toBeNull();
});

test('columns add up by themselves, month by month and in the table that a spreadsheet opens', () => {
  const rows = booksRows(summaries());
  expect(rows.length).toBe(8);
  const sum = booksSum(rows);
  expect(sum.price - sum.bought - sum.parts - sum.road - sum.besides).toBe(sum.earned);
  const months = byMonth(rows);
  expect(months.reduce((all, { earned }) => all + earned, 0)).toBe(sum.earned);
  expect(months.length).toBeGreaterThan(10);
  const read = Papa.parse<Record<string, string>>(booksCsv(rows, 'EUR'), { header: true, skipEmptyLines: true });
  expect(read.errors).toEqual([]);
  expect(read.data.reduce((all, row) => all + Number(row.earned_minor_EUR), 0)).toBe(sum.earned);
  expect(booksCsv([{ ...rows[0]!, name: '=1+1' }], 'EUR')).toContain("'=1+1");
});

test('a year of the made-up workshop: wheels take it more than twice as long, from five', async () => {
  const { moneyLearn } = await import('@/core/money/learn');
  const said = answer(moneyLearn, learnInput(booksRows(summaries())));
  if (!said.ok) throw new Error('refused');
  expect(said.output.reasons).toContain('Wheels take you more than twice as long, from five.');
  expect(said.output.minutes.find(({ job }) => job === 'hubs')!.isTold).toBe(false);
});

test('what lies on the floor is what was spent on what is not sold; each place has its kind of work', () => {
  const all = summaries();
  const open = Object.values(all).filter(({ bought, sold, purpose }) => bought && !sold && purpose !== 'customer');
  expect(openOnFloor(all)).toBe(open.reduce((sum, { spent }) => sum + spent, 0));
  expect(
    ['rim.rear', 'hub.front', 'crank.left', 'cables.brake', 'cables.gear', 'bars', 'bell'].map(kindOfPlace),
  ).toEqual(['wheels', 'hubs', 'bottom bracket', 'brakes', 'drive', 'frame', 'the rest']);
});
