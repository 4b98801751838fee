import { screen, within } from '@testing-library/react';
import { userEvent } from '../../../tests/user';
import { drawStage } from '../../../tests/stage';
import { StockPage } from './StockPage';

jest.mock('../top-bar/TopBar', () => ({
  TopBar: ({ children }: { children: React.ReactNode }) => <div>{children}</div>,
}));

describe('the drawer', () => {
  test('empty, it says where parts come from', async () => {
    await drawStage(StockPage);
    expect(screen.getByText(/The drawer is empty/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Export as CSV' })).toBeDisabled();
  });

  test('something is put in with its place, found by a word, taken out and put back', async () => {
    await drawStage(StockPage);
    await userEvent.click(screen.getByRole('button', { name: 'Add a part' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Put it in' }));
    expect(await screen.findByText('Say what it is.')).toBeInTheDocument();
    expect(screen.getByRole('textbox', { name: 'What it is' })).toHaveFocus();
    await userEvent.type(screen.getByRole('textbox', { name: 'What it is' }), 'Chain, 8 speed');
    await userEvent.click(screen.getByRole('combobox', { name: 'Belongs to' }));
    await userEvent.click(screen.getByRole('option', { name: 'Chain' }));
    await userEvent.type(screen.getByRole('textbox', { name: /Cost, together/ }), '12.90{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'Put it in' }));
    const [, row] = within(await screen.findByRole('table', { name: 'Parts in stock' })).getAllByRole('row');
    expect(row).toHaveTextContent('€12.90');
    expect(row).toHaveTextContent('good · chain');
    await userEvent.type(screen.getByRole('textbox', { name: 'Search' }), 'saddle');
    expect(screen.getByText('Nothing here has all of these words.')).toBeInTheDocument();
    await userEvent.clear(screen.getByRole('textbox', { name: 'Search' }));
    await userEvent.click(screen.getByRole('button', { name: /Used or sold/ }));
    await userEvent.click(await screen.findByText('Used or sold lately'));
    await userEvent.click(screen.getByRole('button', { name: 'Back into the drawer: Chain, 8 speed' }));
    const table = within(await screen.findByRole('table', { name: 'Parts in stock' }));
    expect(table.getByText('Chain, 8 speed')).toBeInTheDocument();
  });

  test('a table that cannot be read is refused whole, with its rows named', async () => {
    await drawStage(StockPage);
    const csv = new File(['what,state,quantity\nBell,shiny,1\nChain,new,2\n'], 'stock.csv', { type: 'text/csv' });
    Object.defineProperty(csv, 'text', {
      value: () => Promise.resolve('what,state,quantity\nBell,shiny,1\nChain,new,2\n'),
    });
    await userEvent.upload(screen.getByLabelText('Import a CSV of stock'), csv);
    expect(await screen.findByRole('alert')).toHaveTextContent('Row 2: state: give new, good, worn');
    expect(screen.getByText(/The drawer is empty/)).toBeInTheDocument();
  });
});
