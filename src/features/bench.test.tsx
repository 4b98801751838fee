import { ThemeProvider } from '@mui/material/styles';
import { act, render, screen } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import type { Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { theme } from '@/ui/theme';
import { memoryBrowser } from '../../tests/memoryBrowser';
import { drawStage } from '../../tests/stage';
import { BenchPage } from './bench/BenchPage';
import { PlaceCard } from './bike/PlaceCard';
import { SUBJECTS } from './allSubjects';
import { DeclaredContext } from './workshop/declared';
import { WorkshopContext, type StageProps } from './workshop/WorkshopProvider';

const push = jest.fn();
let address = new URLSearchParams();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }), useSearchParams: () => address }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../tests/reckonHere')>('../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const heading = (name: string | RegExp) => screen.findByRole('heading', { level: 2, name });

async function bench(query: string, commands: Command[] = []) {
  address = new URLSearchParams(query);
  push.mockClear();
  const workshop = memoryBrowser().tab(1);
  await workshop.load(() => ({ bicycles: [newBicycle('b1', AT, 'Green tourer')], settings: USUAL_SETTINGS }));
  await workshop.open('b1');
  for (const command of commands) workshop.send('b1', command);
  // A task's steps come when it is opened; here they are there before, so that no test waits for a compiler.
  await Promise.all(SUBJECTS.flatMap(({ bench: tasks }) => Object.values(tasks ?? {}).map((load) => load())));
  const drawn = (
    <ThemeProvider theme={theme}>
      <DeclaredContext value={SUBJECTS}>
        <WorkshopContext value={{ name: 'own', workshop }}>
          <BenchPage />
        </WorkshopContext>
      </DeclaredContext>
    </ThemeProvider>
  );
  // What suspends is drawn only where the drawing itself is waited for.
  const { unmount } = await act(async () => Promise.resolve(render(drawn)));
  await act(() => workshop.settled());
  await screen.findByRole('heading', { level: 1 });
  return { workshop, unmount, record: () => workshop.store.getState().bicycles.b1! };
}

describe('bench mode', () => {
  test('Space goes on and records what came off; the arrow goes back and takes nothing away', async () => {
    const { record } = await bench('id=b1&task=strip');
    await heading('Photograph both ends of the axle');
    await userEvent.keyboard('  ');
    await heading('Take the skewer or the axle nuts off');
    await userEvent.keyboard('{ArrowLeft}');
    await heading('Feel and note the bearing before the first spanner');
    expect(record().trays[0]!.doneSteps).toEqual(['photo', 'before']);
    expect(record().bench).toMatchObject({ task: 'strip', step: 'before' });
  });

  test('Space is the foot switch, whatever button has the focus', async () => {
    const { record } = await bench('id=b1&task=strip');
    await heading('Photograph both ends of the axle');
    await userEvent.keyboard(' ');
    act(() => screen.getByRole('button', { name: 'Back' }).focus());
    await userEvent.keyboard(' ');
    expect(record().trays[0]!.doneSteps).toEqual(['photo', 'before']);
  });

  test('it opens where it was left, without being told the task', async () => {
    const left: Command = { type: 'benchAt', bench: { place: 'hub.front', task: 'strip', step: 'cone' } };
    await bench('id=b1', [left]);
    expect(await heading('Run the left cone off over a tray')).toBeInTheDocument();
    expect(await screen.findByText(/^Anticlockwise/)).toBeInTheDocument();
    expect(await screen.findByText('Cone, left', { selector: 'figcaption b' })).toBeInTheDocument();
  });

  test('a count is waited for in words, and typed by + and −', async () => {
    const { workshop, record } = await bench('id=b1', [
      { type: 'benchAt', bench: { place: 'hub.front', task: 'strip', step: 'balls-left' } },
    ]);
    await heading('Lift the left balls out and count them');
    await userEvent.keyboard(' ');
    expect(workshop.store.getState().remark).toBe('Count them out first.');
    await userEvent.keyboard('+++-');
    expect(record().bearings[0]!.balls.left?.out).toBe(2);
    await userEvent.keyboard(' ');
    expect(record().trays[0]!.doneSteps).toContain('balls-left');
  });

  test('going on signs no bolt; a wrench or a feel does', async () => {
    const { record } = await bench('id=b1&task=torque');
    await heading('Stem expander bolt');
    await userEvent.keyboard(' ');
    // It holds the rider: the key that goes on does not pass it, another key does, and signs nothing.
    await heading('Stem expander bolt');
    await userEvent.keyboard('u');
    await heading('Handlebar clamp bolt');
    expect(record().signatures).toEqual([]);
    await userEvent.type(screen.getByLabelText('Torque reading'), '11');
    expect(screen.getByText('within its band')).toBeInTheDocument();
    await userEvent.keyboard('{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'By feel, and it holds' }));
    expect(record().signatures.map((row) => [row.how, row.valueNm])).toEqual([
      ['wrench', 11],
      ['feel', null],
    ]);
  });

  test('leaving keeps the place, finishing gives it up', async () => {
    const { record } = await bench('id=b1&task=prove');
    await heading(/Cables and hoses hold/);
    await userEvent.click(screen.getByRole('button', { name: 'Passed' }));
    await userEvent.keyboard('{Escape}');
    expect(push).toHaveBeenCalledWith('/bike?id=b1&stage=prove');
    expect(record().bench).toMatchObject({ task: 'prove' });
    expect(record().proofs).toMatchObject([{ passed: true }]);
  });

  test('an empty tray has nothing to put back, and an unknown bicycle shows the way back', async () => {
    const { unmount } = await bench('id=b1&task=put-back');
    expect(await screen.findByText('The tray is empty: nothing is off here.')).toBeInTheDocument();
    unmount();
    await bench('id=nobody');
    expect(await screen.findByRole('heading', { name: 'There is no such bicycle here' })).toBeInTheDocument();
  });
});

describe('a place', () => {
  const Card = (place: string) =>
    function Place(props: StageProps) {
      return <PlaceCard {...props} place={place} lookOver={null} noting={false} onClose={() => undefined} />;
    };
  test('the left pedal says that its thread is left-handed, and which way it turns', async () => {
    await drawStage(Card('pedal.left'));
    expect(await screen.findByText('Clockwise, left-hand thread')).toBeInTheDocument();
    expect(screen.getByText(/Spanner up: push it to the rear/)).toBeInTheDocument();
  });
  test('what is loose for now is one tap, and one tap back', async () => {
    const { record } = await drawStage(Card('stem'));
    await userEvent.click(screen.getByRole('button', { name: 'Loose for now' }));
    expect(record().looseEnds).toMatchObject([{ place: 'stem', closedAt: null }]);
    await userEvent.click(screen.getByRole('button', { name: 'Tightened now' }));
    expect(record().looseEnds[0]!.closedAt).not.toBeNull();
  });
});
