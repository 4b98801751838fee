import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { userEvent } from '../../../tests/user';
import type { Command } from '@/model/commands';
import { drawStage } from '../../../tests/stage';
import { Overhaul } from './Overhaul';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const onBench = (place: string) => window.history.replaceState(null, '', `?tray=${place}`);
afterEach(() => window.history.replaceState(null, '', '?'));

const drawn = (commands: Command[] = []) => drawStage(Overhaul, commands, {}, 'section');
const drawing = () => screen.findByRole('img', { name: /cut along its axle/ });
/** The shapes that a finger finds under a name. */
const named = (name: string) => screen.getAllByText(name, { selector: 'title' }).map((title) => title.parentElement!);

describe('the drawing of a bearing', () => {
  test('a track that is tapped opens its line and writes nothing; what is seen there is drawn', async () => {
    onBench('hub.front');
    const { record } = await drawn();
    await drawing();
    fireEvent.click(named('Cup, right side')[0]!);
    expect(record().bearings).toEqual([]);
    expect(screen.getByRole('button', { name: /^Look/ })).toHaveAttribute('aria-expanded', 'true');
    await userEvent.click((await screen.findAllByRole('button', { name: 'Pitted' }))[1]!);
    expect(record().bearings[0]!.tracks).toEqual({ 'left.cone': 'pitted' });
    expect(await drawing()).toHaveAccessibleName(/left cone pitted/);
    expect(screen.getByRole('button', { name: /^Look/ })).toHaveTextContent('cone, left side, pitted');
  });

  test('nuts and washers have their names, in the drawing and under the finger', async () => {
    onBench('pedal.left');
    await drawn();
    await drawing();
    expect(named('Washer, convex side out').length).toBeGreaterThan(0);
    expect(screen.getByText('Crank thread', { selector: 'text' })).toBeInTheDocument();
  });

  test('what stays shut is drawn and asks for no count and no track', async () => {
    onBench('hub.rear');
    const { record } = await drawn([{ type: 'describeKind', changes: { gears: 'hub' } }]);
    expect(await drawing()).not.toHaveAccessibleName(/ in\b/);
    fireEvent.click(named('Planets')[0]!);
    fireEvent.click(named('Cup, left side')[0]!);
    expect(record().trays).toEqual([]);
  });

  test('play and the way left are told once it was felt, not before', async () => {
    onBench('headset');
    const loose: Command = {
      type: 'addTrial',
      place: 'headset',
      trial: { id: 't', turnDeg: 0, feel: 'loose', clamped: false },
    };
    await drawn([{ type: 'countBalls', place: 'headset', side: 'upper', changes: { in: 25 } }]);
    expect(await drawing()).toHaveAccessibleName(/Upper: 25 of 25 in/);
    expect(screen.queryByText(/Play along the axle/)).toBeNull();
    cleanup();
    await drawn([loose]);
    await waitFor(() =>
      expect(screen.getByText(/Play along the axle: about 0\.\d+ mm, drawn much larger/)).toBeVisible(),
    );
    expect(screen.getByText(/^To close: 0\.\d{3} mm of thread$/)).toBeVisible();
  });

  test('the step at hand asks in its place, and Done goes on to the next that may be worked', async () => {
    onBench('hub.front');
    const { record } = await drawStage(Overhaul, [
      { type: 'overhaulStep', place: 'hub.front', step: 'feel', done: true },
      { type: 'overhaulStep', place: 'hub.front', step: 'clean', done: true },
    ]);
    expect(await screen.findByText('Look at every track: dull is wear, a pit is its end')).toBeInTheDocument();
    expect(screen.getByText(/a fingernail catches/)).toBeInTheDocument();
    await userEvent.click(screen.getAllByRole('button', { name: 'Pitted' })[0]!);
    expect(record().bearings[0]!.tracks).toEqual({ 'left.cup': 'pitted' });
    await userEvent.click(screen.getByRole('button', { name: 'Done, next' }));
    // A glass pane has nothing to put down, and the balls are not asked for there.
    expect(await screen.findByText(/^Roll the axle on glass/)).toBeInTheDocument();
    expect(screen.queryByLabelText('One ball')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Done, next' }));
    expect(await screen.findByLabelText('One ball')).toBeInTheDocument();
    expect(screen.queryByText(/^in, left/)).toBeNull();
  });
});
