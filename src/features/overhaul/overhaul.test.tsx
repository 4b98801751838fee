import { act, cleanup, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '../../../tests/user';
import type { Command } from '@/model/commands';
import { drawStage } from '../../../tests/stage';
import { HandOver } from '../hand-over/HandOver';
import { Overhaul } from './Overhaul';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const button = (name: string | RegExp) => screen.getByRole('button', { name });
/** Opens one line of the card. */
const open = async (part: RegExp) =>
  userEvent.click(await screen.findByRole('button', { name: part, expanded: false }));
const onBench = (place: string) => window.history.replaceState(null, '', `?tray=${place}`);
afterEach(() => window.history.replaceState(null, '', '?'));

const RUN_ON = {
  rules: {
    openSound: false,
    reuseBalls: 'if-bright',
    cartridges: 'replace-when-rough',
    pittedCup: 'run-on',
    taper: 'greased',
    chainRenewal: 'at-limit',
    tyreGap: 'usual',
    tyreAge: 'condition',
    padToe: 'toed',
    leverGrip: 'turn',
    masterCylinder: 'renew',
    chainLube: 'drop',
    spoiltNipple: 'one',
    spokesPull: 'outside',
  },
} as const;

describe('the bearings', () => {
  test('all of them stand on one list, and what is better left shut says so', async () => {
    await drawStage(Overhaul, [
      { type: 'describeKind', changes: { gears: 'hub' } },
      { type: 'feelBearing', place: 'hub.front', when: 'before', changes: { feel: 'gritty' } },
    ]);
    const rear = (await screen.findByText('Gear hub: only its outside')).closest('li')!;
    expect(rear).toHaveTextContent('left shut while it runs');
    expect(screen.getByText(/Next: degrease cups, cones, balls and axle/)).toBeInTheDocument();
    await userEvent.click(within(rear).getByRole('button'));
    expect(await screen.findByRole('heading', { name: /rear hub/i })).toBeInTheDocument();
  });

  test('a dynamo hub is left alone: magnet and armature are never parted without a keeper', async () => {
    onBench('hub.front');
    await drawStage(Overhaul, [{ type: 'chooseAssembly', place: 'hub.front', assembly: 'hub-front-dynamo' }]);
    expect(await screen.findByText('Leave it shut while it runs.')).toBeInTheDocument();
    expect(screen.getAllByText(/without a keeper/).length).toBeGreaterThan(0);
  });

  test('the steps come in an order that can be worked, and a step that waits cannot be ticked', async () => {
    onBench('headset');
    const { record } = await drawStage(Overhaul, [
      { type: 'chooseAssembly', place: 'headset', assembly: 'headset-threaded-caged' },
    ]);
    await userEvent.click(await screen.findByText(/^All \d+ steps, 0 done/));
    expect(screen.getByRole('checkbox', { name: /Retainers in: open side, balls bare, to the cup/ })).toBeDisabled();
    await userEvent.click(button('Done, next'));
    expect(record().bearings[0]!.doneSteps).toEqual(['feel']);
    expect(screen.getByRole('checkbox', { name: /Degrease cups/ })).toBeEnabled();
  });
});

describe('the card of a bearing', () => {
  test('what is at hand stays at hand while it is noted, and goes to its line once it is said to be done', async () => {
    onBench('hub.front');
    const { record } = await drawStage(Overhaul);
    await userEvent.click(
      within(await screen.findByRole('group', { name: 'Feel' })).getByRole('button', { name: 'Gritty' }),
    );
    await userEvent.click(within(screen.getByRole('group', { name: 'Play' })).getByRole('button', { name: 'Slight' }));
    expect(screen.queryByRole('button', { name: /^Before/ })).toBeNull();
    await userEvent.click(button('Done, next'));
    expect(button(/^Before/)).toHaveTextContent('gritty, slight play');
    expect(record().bearings[0]!.doneSteps).toEqual([]);
    expect(screen.getByText(/Degrease cups, cones/)).toBeInTheDocument();
  });

  test('a step that is taken back is at hand again, where the next one cannot be worked without it', async () => {
    onBench('hub.front');
    const { record, workshop } = await drawStage(Overhaul);
    await userEvent.click(await screen.findByRole('button', { name: 'Done, next' }));
    expect(screen.getByText(/^Degrease cups, cones/)).toBeInTheDocument();
    act(() => workshop.undo('b1'));
    expect(record().bearings[0]?.doneSteps ?? []).toEqual([]);
    expect(screen.getByText('Feel it and note it as it is')).toBeInTheDocument();
  });

  test('another assembly that is found there has steps of its own at hand', async () => {
    onBench('hub.front');
    const { workshop } = await drawStage(Overhaul, [
      { type: 'overhaulStep', place: 'hub.front', step: 'feel', done: true },
      { type: 'overhaulStep', place: 'hub.front', step: 'clean', done: true },
      { type: 'overhaulStep', place: 'hub.front', step: 'look', done: true },
      { type: 'overhaulStep', place: 'hub.front', step: 'roll', done: true },
    ]);
    await screen.findByLabelText('One ball');
    await act(async () => {
      workshop.send('b1', { type: 'overhaulStep', place: 'hub.front', step: 'measure', done: true });
      workshop.send('b1', { type: 'chooseAssembly', place: 'hub.front', assembly: 'hub-front-dynamo' });
      await workshop.settled();
    });
    expect(await screen.findByText('Dry the plug, look at the wire; leave the hub shut')).toBeInTheDocument();
    expect(screen.queryByText('Every step is done')).toBeNull();
  });

  test('each line says what stands there, and what was opened is open again after a reload', async () => {
    onBench('hub.front');
    const commands: Command[] = [
      { type: 'countBalls', place: 'hub.front', side: 'left', changes: { holds: 10, in: 9 } },
      { type: 'seeTrack', place: 'hub.front', track: 'right.cup', state: 'pitted' },
      { type: 'addTrial', place: 'hub.front', trial: { id: 't', turnDeg: 0, feel: 'tight', clamped: false } },
      { type: 'feelRound', place: 'hub.front', point: '3', feel: 'tick' },
    ];
    await drawStage(Overhaul, commands);
    expect(await screen.findByRole('button', { name: /^Balls/ })).toHaveTextContent('9 of 10 in, left side');
    expect(button(/^Look/)).toHaveTextContent('cup, right side, pitted');
    expect(button(/^Set the cone/)).toHaveTextContent('1 trial, last tight');
    expect(button(/^Feel at four points/)).toHaveTextContent("Valve at 3 o'clock: tick");
    await open(/^Balls/);
    cleanup();
    await drawStage(Overhaul, commands);
    expect(await screen.findByLabelText('One ball')).toBeInTheDocument();
  });
});

describe('what is seen inside', () => {
  test('a pitted cup is run on or renewed as the house rule says, and the rule is named', async () => {
    onBench('hub.front');
    const { record } = await drawStage(
      Overhaul,
      [{ type: 'seeTrack', place: 'hub.front', track: 'right.cup', state: 'pitted' }],
      RUN_ON,
      'section',
    );
    await open(/^Look/);
    expect(await screen.findByText('Run on, set at the tightest spot')).toBeInTheDocument();
    expect(screen.getByText(/House rule: a pitted cup with no spare runs on/)).toBeInTheDocument();
    expect(screen.getByRole('img', { name: /right cup pitted/ })).toBeInTheDocument();
    await userEvent.click(button('Run it on, and say so on the sheet'));
    expect(record().bearings[0]!.runOn).toBe(true);
  });

  test('one bright cup does not hide that the other is pitted', async () => {
    onBench('hub.front');
    await drawStage(Overhaul, [
      { type: 'seeTrack', place: 'hub.front', track: 'left.cup', state: 'bright' },
      { type: 'seeTrack', place: 'hub.front', track: 'right.cone', state: 'pitted' },
    ]);
    await open(/^Look/);
    expect(await screen.findByText('New cone and balls')).toBeInTheDocument();
  });

  test('balls that are no size of the table are not guessed at', async () => {
    onBench('hub.front');
    await drawStage(Overhaul, [{ type: 'measureBearing', place: 'hub.front', changes: { ballReadingsMm: [5.2] } }]);
    await open(/^Balls/);
    expect(await screen.findByText('No size')).toBeInTheDocument();
    expect(screen.getByText(/Wipe the jaws and a ball/)).toBeInTheDocument();
  });

  test('new balls: what is needed by the counts, the bag, what stays for stock', async () => {
    onBench('hub.front');
    const count = (side: string): Command => ({ type: 'countBalls', place: 'hub.front', side, changes: { holds: 10 } });
    const { record } = await drawStage(Overhaul, [
      { type: 'measureBearing', place: 'hub.front', changes: { ballReadingsMm: [4.76, 4.76] } },
      count('left'),
      count('right'),
    ]);
    await open(/^Balls/);
    await userEvent.click(await screen.findByRole('button', { name: 'New ones' }));
    expect(await screen.findByText('new balls of 3/16 in')).toBeInTheDocument();
    expect(screen.getByText(/One bag of 100: 80 stay for stock/)).toBeInTheDocument();
    await userEvent.click(button('Ordered'));
    expect(record().deliveries[0]!.label).toBe('Balls 3/16 in, one bag of 100');
  });

  test('a retainer that is given up for loose balls explains more of them', async () => {
    onBench('headset');
    await drawStage(Overhaul, [
      { type: 'chooseAssembly', place: 'headset', assembly: 'headset-threaded-caged' },
      { type: 'countBalls', place: 'headset', side: 'upper', changes: { out: 20, in: 25 } },
    ]);
    await open(/^Balls/);
    await userEvent.click(await screen.findByRole('button', { name: 'Retainer out, loose balls in' }));
    await waitFor(() => expect(screen.queryByText(/What happened/)).toBeNull());
  });

  test('cartridges by the caliper: which they are, and how many are bought', async () => {
    onBench('hub.front');
    const measured = (cartridge: string): Command => ({
      type: 'noteCartridge',
      place: 'hub.front',
      cartridge,
      changes: { boreMm: 15.02, odMm: 27.98, widthMm: 7.01, fate: 'renew' },
    });
    await drawStage(Overhaul, [
      { type: 'chooseAssembly', place: 'hub.front', assembly: 'hub-front-cartridge' },
      measured('left'),
      measured('right'),
    ]);
    await open(/^Cartridges/);
    expect(await screen.findByText('2 × 6902')).toBeInTheDocument();
    expect(screen.getAllByText(/Press in on the outer ring only/)).not.toHaveLength(0);
  });
});

describe('setting it', () => {
  test('a feel is kept with the turn that went before it, by tap and by key', async () => {
    onBench('hub.front');
    const { record } = await drawStage(Overhaul, [
      { type: 'measureAxle', place: 'hub.front', changes: { clampForceN: 0 } },
      { type: 'addTrial', place: 'hub.front', trial: { id: 't', turnDeg: 0, feel: 'tight', clamped: false } },
    ]);
    await open(/^Set the cone/);
    await screen.findByText(/^Loosen \d+ mm/);
    await userEvent.click(button(/^A tick/));
    const [, second] = record().bearings[0]!.trials;
    expect(second!.feel).toBe('tick');
    expect(second!.turnDeg).toBeLessThan(0);
    await waitFor(() => expect(button(/^Smooth no play/)).toBeEnabled());
    await userEvent.keyboard('o');
    expect(record().bearings[0]!.trials.at(-1)!.feel).toBe('smooth');
  });

  test('the tip of the spanner comes first, degrees after it', async () => {
    onBench('hub.rear');
    await drawStage(Overhaul, [
      { type: 'addTrial', place: 'hub.rear', trial: { id: 't', turnDeg: 0, feel: 'tight', clamped: false } },
    ]);
    await open(/^Set the cone/);
    expect(await screen.findByText(/^Loosen \d+ mm$/)).toBeInTheDocument();
    expect(screen.getByText('at the tip of a 150 mm cone spanner')).toBeInTheDocument();
  });

  test('an axle with no metal left is told beside the bench and nothing is advised', async () => {
    onBench('hub.front');
    await drawStage(Overhaul, [{ type: 'measureAxle', place: 'hub.front', changes: { majorMm: 6, boreMm: 5.5 } }]);
    await open(/^Set the cone/);
    expect(await screen.findByText(/leaves no metal/)).toBeInTheDocument();
    expect(button(/^Smooth no play/)).toBeDisabled();
  });

  test('a headset has no skewer, and its adjustable cup is what is set', async () => {
    onBench('headset');
    await drawStage(Overhaul);
    await open(/^Set the adjustable cup/);
    expect(await screen.findByRole('group', { name: 'How does it feel?' })).toBeInTheDocument();
    expect(screen.queryByText('Felt with the skewer')).toBeNull();
  });

  test('tight here and loose there: it dances, and the tightest spot decides', async () => {
    onBench('hub.front');
    const { record } = await drawStage(Overhaul, [
      { type: 'feelRound', place: 'hub.front', point: '12', feel: 'tight' },
    ]);
    await open(/^Feel at four points/);
    const three = await screen.findByRole('group', { name: "Valve at 3 o'clock" });
    await userEvent.click(within(three).getByRole('button', { name: 'Tick' }));
    expect(record().bearings[0]!.round).toEqual({ '12': 'tight', '3': 'tick' });
    expect(screen.getByText(/It dances/)).toBeInTheDocument();
  });
});

describe('when next', () => {
  test('counted from the day its state after the work is noted, sooner where a pitted cup runs on', async () => {
    onBench('hub.front');
    const { record } = await drawStage(Overhaul, [
      { type: 'feelBearing', place: 'hub.front', when: 'after', changes: { feel: 'smooth' }, on: '2026-11-25' },
    ]);
    await open(/^Next service/);
    expect(await screen.findByText('look at it again, in 12 months')).toBeInTheDocument();
    await userEvent.click(button('With a jet'));
    expect(await screen.findByText('look at it again, in 7 months')).toBeInTheDocument();
    expect(record().riding.jetWashed).toBe(true);
    expect(record().bearings[0]!.service.doneOn).toBe('2026-11-25');
  });

  test('the sheet names what runs on and when to look again', async () => {
    await drawStage(HandOver, [
      { type: 'feelBearing', place: 'hub.rear', when: 'after', changes: { feel: 'light-rumble' }, on: '2026-11-25' },
      { type: 'measureBearing', place: 'hub.rear', changes: { runOn: true } },
    ]);
    await waitFor(() => expect(document.querySelector('#sheet')).toHaveTextContent('A cup is pitted and runs on'));
    await waitFor(() => expect(document.querySelector('#sheet')).toHaveTextContent(/Look at it again by .*2027/));
  });
});
