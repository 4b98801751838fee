import { ThemeProvider } from '@mui/material/styles';
import { act, render, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Bicycle } from '@/model/record';
import { theme } from '@/ui/theme';
import { memoryBrowser } from '../../tests/memoryBrowser';
import { Floor } from './floor/Floor';
import { Offline } from './shell/Offline';
import { Reminders } from './shell/Reminders';
import { SUBJECTS } from './allSubjects';
import { DeclaredContext } from './workshop/declared';
import { WorkshopContext } from './workshop/WorkshopProvider';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn() }),
  useSearchParams: () => new URLSearchParams(),
  usePathname: () => '/',
}));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../tests/reckonHere')>('../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const HOUR_MS = 3_600_000;

async function floor(bicycles: Bicycle[], name: 'own' | 'demo' = 'own') {
  const workshop = memoryBrowser().tab(1);
  await workshop.load(() => ({ bicycles, settings: USUAL_SETTINGS }));
  render(
    <ThemeProvider theme={theme}>
      <DeclaredContext value={SUBJECTS}>
        <WorkshopContext value={{ name, workshop }}>
          <Reminders />
          <Floor />
        </WorkshopContext>
      </DeclaredContext>
    </ThemeProvider>,
  );
  await act(() => workshop.settled());
  return workshop;
}
const bike = (id: string, name: string, changes: Partial<Bicycle> = {}): Bicycle => ({
  ...newBicycle(id, AT, name),
  ...changes,
});
const names = () =>
  within(screen.getByRole('list', { name: /^Bicycles/ }))
    .getAllByRole('link')
    .map((link) => link.textContent);

describe('the floor on the screen', () => {
  test('none: it says what to do, and where a made-up workshop is', async () => {
    await floor([]);
    expect(screen.getByRole('heading', { name: 'The stand is empty' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Look round a made-up workshop' })).toHaveAttribute(
      'href',
      '/?workshop=demo',
    );
  });

  test('one: no tools, but what can be done, what is wrong and the money against the ceiling', async () => {
    await floor([
      bike('b1', 'Blue tourer', {
        purchase: { paid: 9000, at: AT },
        appraisal: { ...newBicycle('x', AT, 'x').appraisal, resale: { low: 19000, likely: 21000, high: 24000 } },
        observations: [
          {
            id: 'o',
            check: 'frame',
            at: AT,
            evidence: { outcome: 'crack' },
            note: '',
            seenAs: 'bought',
            withdrawn: false,
          },
        ],
      }),
    ]);
    expect(screen.getByText(/one bicycle/)).toBeInTheDocument();
    expect(screen.queryByLabelText('Search')).toBeNull();
    expect(await screen.findByText('1 unsafe as last seen')).toBeInTheDocument();
    expect(screen.getByText(/your limit €\d/)).toBeInTheDocument();
    expect(screen.getByRole('img', { name: 'Needs something: unsafe' })).toBeInTheDocument();
  });

  test('what runs and what waits stands above the list', async () => {
    const soaked = {
      id: 't',
      label: 'Bolts',
      place: 'hub.front',
      startedAt: new Date(Date.now() - 2 * HOUR_MS).toISOString(),
      minutes: 60,
      maxMinutes: null,
      next: '',
      endedAt: null,
      bath: null,
      parts: [],
    };
    await floor([
      bike('b1', 'Bath bike', { purchase: { paid: 1, at: AT }, timers: [soaked] }),
      bike('b2', 'Loose roadster', { looseEnds: [{ id: 'l', place: 'stem', label: 'Stem', at: AT, closedAt: null }] }),
    ]);
    const standing = await screen.findByRole('list', { name: 'What runs and what waits' });
    expect(standing).toHaveTextContent('Time is up: Bolts.');
    expect(standing).toHaveTextContent('Loosely assembled: Loose roadster.');
    expect(screen.getByText(/time is up since/)).toBeInTheDocument();
  });

  test('two hundred: those on the screen are drawn, found by a word, put away and brought back', async () => {
    const workshop = await floor(
      Array.from({ length: 200 }, (_, i) => bike(`b${i}`, i === 150 ? 'Red mixte' : `Bicycle ${i}`)),
    );
    await waitFor(() => expect(screen.getAllByRole('listitem').length).toBeGreaterThan(3));
    expect(names().length).toBeLessThan(40);
    expect(screen.getAllByRole('listitem').at(-1)).toHaveAttribute('aria-setsize', '200');
    await userEvent.type(await screen.findByLabelText('Search'), 'mixte red');
    await waitFor(() => expect(names()).toHaveLength(1));
    await userEvent.click(screen.getByRole('button', { name: 'Put away: Red mixte' }));
    await act(() => workshop.settled());
    expect(await screen.findByText('No bicycle here answers to “mixte red”.')).toBeInTheDocument();
    expect(workshop.store.getState().remark).toBe('Red mixte is put away.');
    await userEvent.click(screen.getByRole('button', { name: 'Put away: 1' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Back on the floor: Red mixte' }));
    await act(() => workshop.settled());
    expect(workshop.store.getState().bicycles.b150!.archivedAt).toBeNull();
  });
});

describe('reminders', () => {
  test('after many changes the export is brought to mind, once, and only in one’s own workshop', async () => {
    const workshop = await floor([bike('b1', 'Blue tourer')]);
    act(() => workshop.store.setState({ unexported: 240 }));
    expect(screen.getByText(/240 changes since the last export/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Later' }));
    expect(screen.queryByText(/240 changes/)).toBeNull();
  });
  test('the demonstration is never to be exported', async () => {
    const workshop = await floor([bike('b1', 'Blue tourer')], 'demo');
    act(() => workshop.store.setState({ unexported: 240 }));
    expect(screen.queryByText(/changes since/)).toBeNull();
  });
});

describe('a newer version', () => {
  test('it waits until the person takes it', async () => {
    const before = process.env.NODE_ENV;
    Object.assign(process.env, { NODE_ENV: 'production' });
    const sent: unknown[] = [];
    const waiting = { state: 'installed', postMessage: (message: unknown) => sent.push(message) };
    Object.defineProperty(navigator, 'serviceWorker', {
      configurable: true,
      value: {
        controller: {},
        register: () => Promise.resolve({ waiting, addEventListener: () => undefined }),
        addEventListener: () => undefined,
      },
    });
    try {
      render(<Offline />);
      expect(await screen.findByText(/A newer Ergasto is ready/)).toBeInTheDocument();
      expect(sent).toEqual([]);
      await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
      expect(sent).toEqual([{ type: 'TAKE_OVER' }]);
    } finally {
      Object.assign(process.env, { NODE_ENV: before });
      Reflect.deleteProperty(navigator, 'serviceWorker');
    }
  });
});
