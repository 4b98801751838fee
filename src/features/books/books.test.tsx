import { ThemeProvider } from '@mui/material/styles';
import { render, screen, waitFor, within } from '@testing-library/react';
import { memoryBrowser } from '../../../tests/memoryBrowser';
import { userEvent } from '../../../tests/user';
import { demoWorkshop } from '@/model/demo/workshop';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { theme } from '@/ui/theme';
import { WorkshopContext } from '../workshop/WorkshopProvider';
import { BooksPage } from './BooksPage';

jest.mock('next/navigation', () => ({
  useSearchParams: () => new URLSearchParams(window.location.search),
  usePathname: () => '/books',
}));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

async function draw(isEmpty: boolean) {
  const workshop = memoryBrowser().tab(1);
  const { bicycles } = demoWorkshop(new Date('2026-11-25T10:00:00.000Z'));
  await workshop.load(() => ({ bicycles: isEmpty ? [] : bicycles, settings: USUAL_SETTINGS }));
  render(
    <ThemeProvider theme={theme}>
      <WorkshopContext value={{ name: 'own', workshop }}>
        <BooksPage />
      </WorkshopContext>
    </ThemeProvider>,
  );
  return workshop;
}

test('an empty workshop says where its first line comes from', async () => {
  await draw(true);
  expect(await screen.findByText('Nothing is sold yet.')).toBeInTheDocument();
});

test('what each earned, what all of them teach, and the lines of one kind alone', async () => {
  await draw(false);
  await waitFor(() =>
    expect(screen.getByText('Wheels take you more than twice as long, from five.')).toBeInTheDocument(),
  );
  expect(await screen.findByRole('img', { name: /^How long jobs took/ })).toBeInTheDocument();
  const table = () => screen.getByRole('table', { name: 'Finished bicycles' });
  // A head and eight.
  expect(within(table()).getAllByRole('row')).toHaveLength(9);
  expect(within(table()).getByText('€71.50')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Customers’' }));
  expect(within(table()).getAllByRole('row')).toHaveLength(1);
});

test('a lesson is asked about once, used after a yes, and undone with one tap', async () => {
  const workshop = await draw(false);
  const wheels = 'Wheels take you more than twice as long, from five.';
  await userEvent.click(await screen.findByRole('button', { name: `Use it from now on: ${wheels}` }));
  await waitFor(() => expect(workshop.store.getState().settings.learnt).toEqual({ 'minutes:wheels': 'yes' }));
  expect(await screen.findByText('Used at Buy, Decide and Hand over.')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: `Undo: ${wheels}` }));
  await waitFor(() => expect(workshop.store.getState().settings.learnt).toEqual({ 'minutes:wheels': 'no' }));
  // It is not asked about again, but may be taken up.
  expect(screen.queryByRole('button', { name: `Undo: ${wheels}` })).not.toBeInTheDocument();
  await userEvent.click(screen.getByText('Not used, 1'));
  expect(screen.getByRole('button', { name: `Use it from now on: ${wheels}` })).toBeInTheDocument();
});

test('sellers’ words, dearest first, with what they meant', async () => {
  await draw(false);
  const list = await screen.findByRole('list', { name: 'Sellers’ words' });
  const [first] = within(list).getAllByRole('listitem');
  expect(first).toHaveTextContent('“It just needs…”, said of five: it meant wheels');
});
