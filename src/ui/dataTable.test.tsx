import { ThemeProvider } from '@mui/material/styles';
import { render, screen, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { DataTable, type DataColumn } from './DataTable';
import { theme } from './theme';

interface Item {
  id: string;
  label: string;
  cost: number | null;
}
const COLUMNS: DataColumn<Item>[] = [
  { id: 'label', head: 'What', by: ({ label }) => label, cell: ({ label }) => label },
  { id: 'cost', head: 'Cost', by: ({ cost }) => cost, cell: ({ cost }) => cost ?? '–', align: 'end' },
  { id: 'key', head: 'A key', quiet: true, cell: () => <button>Go</button> },
];
const draw = (items: Item[]) =>
  render(
    <ThemeProvider theme={theme}>
      <DataTable label="Things" items={items} columns={COLUMNS} keyOf={({ id }) => id} />
    </ThemeProvider>,
  );
const first = () =>
  within(screen.getByRole('table', { name: 'Things' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.querySelector('td')!.textContent);

test('heads put it in order: words with their numbers, figures by size, what is not known last either way', async () => {
  draw([
    { id: 'a', label: 'Chain 10', cost: 900 },
    { id: 'b', label: 'Chain 9', cost: null },
    { id: 'c', label: 'Bell', cost: 1500 },
  ]);
  expect(first()).toEqual(['Chain 10', 'Chain 9', 'Bell']);
  await userEvent.click(screen.getByRole('button', { name: 'What' }));
  expect(first()).toEqual(['Bell', 'Chain 9', 'Chain 10']);
  expect(screen.getByRole('columnheader', { name: 'What' })).toHaveAttribute('aria-sort', 'ascending');
  await userEvent.click(screen.getByRole('button', { name: 'Cost' }));
  expect(first()).toEqual(['Chain 10', 'Bell', 'Chain 9']);
  await userEvent.click(screen.getByRole('button', { name: 'Cost' }));
  expect(first()).toEqual(['Bell', 'Chain 10', 'Chain 9']);
});

test('a table of a thousand draws a part of it, and says how long it is', () => {
  draw(Array.from({ length: 1000 }, (_, i) => ({ id: String(i), label: `Thing ${i}`, cost: i })));
  expect(screen.getByRole('table')).toHaveAttribute('aria-rowcount', '1001');
  expect(first().length).toBeLessThan(120);
});
