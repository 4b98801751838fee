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
  expect(within(table()).getByText('€91.50')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Customers’' }));
  expect(within(table()).getAllByRole('row')).toHaveLength(1);
});
