import { answer } from '../calculator';
import { identifyTables } from './tables';

function look(search: string, table: string | null = null) {
  const result = answer(identifyTables, { search, table });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

describe('the tables, searched', () => {
  test('every word must stand in the row, in whatever case', () => {
    const { rows } = look('ITALIAN 24');
    expect(rows.map((row) => row.table)).toEqual(expect.arrayContaining(['bottom-brackets', 'freewheels']));
    for (const row of rows) expect(JSON.stringify(row).toLowerCase()).toMatch(/italian/);
    expect(look('italian nonsense').found).toBe(0);
  });
  test('one table alone, and every shown row tells its source and how sure it is', () => {
    const { rows } = look('6902', 'cartridges');
    expect(rows.some((row) => row.cells.boreMm === 15 && row.cells.odMm === 28)).toBe(true);
    for (const row of look('').rows) expect(row.cells.source && row.cells.confidence).toBeTruthy();
  });
  test('what is left out is counted', () => {
    const { rows, found, tables } = look('');
    expect(rows).toHaveLength(60);
    expect(found).toBe(tables.reduce((sum, table) => sum + table.rows, 0));
  });
});
