import { ThemeProvider } from '@mui/material/styles';
import { render, screen, waitFor, within } from '@testing-library/react';
import { memoryBrowser } from '../../../tests/memoryBrowser';
import { userEvent } from '../../../tests/user';
import { demoWorkshop } from '@/model/demo/workshop';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { theme } from '@/ui/theme';
import { WorkshopContext } from '../workshop/WorkshopProvider';
import { PlanPage } from './PlanPage';
import { rulerScale } from './Ruler';

const push = jest.fn();
jest.mock('next/navigation', () => ({
  useSearchParams: () => new URLSearchParams(window.location.search),
  usePathname: () => '/plan',
  useRouter: () => ({ push }),
}));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

async function draw(isEmpty: boolean) {
  const workshop = memoryBrowser().tab(1);
  const { bicycles, settings } = demoWorkshop(new Date());
  await workshop.load(() => ({ bicycles: isEmpty ? [] : bicycles, settings: isEmpty ? USUAL_SETTINGS : settings }));
  render(
    <ThemeProvider theme={theme}>
      <WorkshopContext value={{ name: 'own', workshop }}>
        <PlanPage />
      </WorkshopContext>
    </ThemeProvider>,
  );
  return workshop;
}

test('an empty workshop has nothing to plan, and says when that changes', async () => {
  await draw(true);
  expect(await screen.findByText(/Nothing is open/)).toBeInTheDocument();
  expect(screen.getByText(/Say below when somebody is here/)).toBeInTheDocument();
});

test('what now, and when it can be promised; a tap starts the clock of the bicycle and goes there', async () => {
  const workshop = await draw(false);
  const list = await screen.findByRole('list', { name: 'What to do now' });
  await waitFor(() =>
    expect(within(screen.getByRole('list', { name: 'Promises' })).getAllByText(/\d\d:\d\d/).length).toBeGreaterThan(1),
  );
  await userEvent.click(within(list).getAllByRole('button', { name: /^Start/ })[0]!);
  await waitFor(() => expect(push).toHaveBeenCalledWith(expect.stringMatching(/^\/(bike|bench)\?id=/)));
  await waitFor(() =>
    expect(
      Object.values(workshop.store.getState().summaries).filter(({ clockSince }) => clockSince !== null),
    ).toHaveLength(1),
  );
});

test('done from the plan: what it took is asked once, logged on the job, and learnt from', async () => {
  const workshop = memoryBrowser().tab(1);
  const { bicycles } = demoWorkshop(new Date());
  const staff = bicycles.find(({ id }) => id === 'ferry-staff-7')!;
  const only = { ...staff, trays: [], timers: [], deliveries: [] };
  await workshop.load(() => ({ bicycles: [only], settings: USUAL_SETTINGS }));
  render(
    <ThemeProvider theme={theme}>
      <WorkshopContext value={{ name: 'own', workshop }}>
        <PlanPage />
      </WorkshopContext>
    </ThemeProvider>,
  );
  await userEvent.click((await screen.findAllByRole('button', { name: /^Done: / }))[0]!);
  await userEvent.type(screen.getByLabelText('It took'), '55{Enter}');
  await waitFor(() => {
    const now = workshop.store.getState().bicycles['ferry-staff-7'];
    const entry = now?.minutes.find(({ minutes, job }) => minutes === 55 && job !== undefined);
    expect(now?.jobs.find(({ id }) => id === entry?.job)?.done).toBe(true);
  });
});

test('a session is added to the week, and one that ends before it begins is refused', async () => {
  const workshop = await draw(true);
  const to = await screen.findByLabelText('To');
  await userEvent.clear(to);
  await userEvent.type(to, '10:00');
  expect(await screen.findByRole('alert')).toHaveTextContent('It has to end after it begins.');
  expect(screen.getByRole('button', { name: 'Add to the week' })).toBeDisabled();
  await userEvent.clear(to);
  await userEvent.type(to, '21:00');
  await userEvent.click(screen.getByRole('button', { name: 'Add to the week' }));
  await waitFor(() =>
    expect(workshop.store.getState().settings.week).toMatchObject([{ day: 2, from: '18:30', to: '21:00' }]),
  );
});

test('on the ruler sessions are to scale, the time between takes no room, and a place tells its moment', () => {
  const hour = 3_600_000;
  const { x, width } = rulerScale([
    { key: 'a', who: '', fromMs: 0, toMs: hour },
    { key: 'b', who: '', fromMs: 100 * hour, toMs: 102 * hour },
  ]);
  expect(x(102 * hour) - x(100 * hour)).toBeCloseTo(2 * (x(hour) - x(0)), 6);
  expect(x(100 * hour) - x(hour)).toBeLessThan(30);
  expect(width).toBeCloseTo(x(102 * hour), 6);
  expect(x.invert(x(101 * hour))).toBeCloseTo(101 * hour, 0);
});
