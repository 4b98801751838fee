import { screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '../../../tests/user';
import type { Command } from '@/model/commands';
import { orderOf } from '@/model/strip/trays';
import { drawStage } from '../../../tests/stage';
import { Clean } from '../clean/Clean';
import { Strip } from './Strip';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const button = (name: string | RegExp) => screen.getByRole('button', { name });
const steps = (place: string, ...ids: [string, ...string[]][]): Command[] =>
  ids.map(([step, ...takes]) => ({ type: 'markStep', place, step, done: true, takes }));
const openTray = (place: string) => window.history.replaceState(null, '', `?tray=${place}`);
afterEach(() => window.history.replaceState(null, '', '?'));

describe('the trays', () => {
  test('what waits for something else says for what, and why', async () => {
    await drawStage(Strip, steps('crank.right', ['photo']));
    const row = (await screen.findByText('Cranks, square taper')).closest('li')!;
    expect(row).toHaveTextContent('First: pedal, left, pedal, right');
    expect(row).toHaveTextContent('Pedals before cranks: afterwards the leverage is gone.');
    expect(screen.getByText('Pedal, two rows on a sleeve, left')).toBeInTheDocument();
  });

  test('a left pedal: its thread and its inner body turn opposite ways', async () => {
    openTray('pedal.left');
    await drawStage(Strip, steps('pedal.left', ['photo'], ['before']));
    expect(await screen.findByText('Clockwise, left-hand thread')).toBeInTheDocument();
    expect(screen.getByText(/Spanner up: push it to the rear/)).toBeInTheDocument();
    await userEvent.click(button('Done, next step'));
    expect(await screen.findByText('Anticlockwise, right-hand thread')).toBeInTheDocument();
  });

  test('twelve and eleven balls are asked about, and one tap answers', async () => {
    openTray('pedal.left');
    const { record } = await drawStage(Strip, [
      { type: 'countBalls', place: 'pedal.left', side: 'outer', changes: { out: 11 } },
      { type: 'countBalls', place: 'pedal.left', side: 'inner', changes: { out: 12 } },
    ]);
    expect(await screen.findByText(/They are usually alike.*What happened/)).toBeInTheDocument();
    await userEvent.click(button('One was lost'));
    expect(Object.values(record().bearings[0]!.balls).map((row) => row.answer)).toContain('lost');
    expect(screen.queryByText(/What happened/)).toBeNull();
  });

  test('balls are counted before their step is done, by tap, typed at once, or by weight', async () => {
    openTray('hub.rear');
    const { record } = await drawStage(
      Strip,
      steps('hub.rear', ['photo'], ['before'], ['skewer'], ['freewheel'], ['locknut'], ['cone']),
    );
    expect(await screen.findByRole('button', { name: 'Done, next step' })).toBeDisabled();
    await userEvent.click(button('out, left side: one more'));
    expect(record().bearings[0]!.balls.left?.out).toBe(1);
    const typed = screen.getByRole('textbox', { name: 'out, left side: how many' });
    await userEvent.clear(typed);
    await userEvent.type(typed, '8{Enter}');
    expect(record().bearings[0]!.balls.left?.out).toBe(8);
    // What is no count leaves the one that stands.
    await userEvent.clear(typed);
    await userEvent.type(typed, '8.5{Enter}');
    expect(record().bearings[0]!.balls.left?.out).toBe(8);
    await userEvent.click(button('Weigh them'));
    const scale = screen.getByRole('textbox', { name: /All of 1\/4 in, clean/ });
    await userEvent.type(scale, '9.4{Enter}');
    expect(record().bearings[0]!.balls.left?.out).toBe(9);
    await userEvent.type(scale, '9.9{Enter}');
    expect(await screen.findByText(/no whole number of 1\/4 in balls/)).toBeInTheDocument();
    expect(record().bearings[0]!.balls.left?.out).toBe(9);
    expect(button('Done, next step')).toBeEnabled();
  });

  test('another assembly is one choice, and what was ticked for the first stays in the record', async () => {
    openTray('hub.rear');
    const { record } = await drawStage(Strip, steps('hub.rear', ['photo']));
    await userEvent.click(await screen.findByRole('combobox', { name: /What was found/ }));
    await userEvent.click(screen.getByRole('option', { name: 'Coaster hub' }));
    await userEvent.click(screen.getByText(/^All \d+ steps, 1 done$/));
    expect(await screen.findByText(/Undo the clip of the brake arm/)).toBeInTheDocument();
    expect(record().trays[0]).toMatchObject({ assembly: 'hub-rear-coaster', doneSteps: ['photo'] });
  });

  test('parts of another assembly stay in the record, are not read as parts of this one, and can be taken out', async () => {
    openTray('hub.rear');
    const { record } = await drawStage(Strip, [
      ...steps('hub.rear', ['freewheel', 'freewheel', 'spoke-guard']),
      { type: 'chooseAssembly', place: 'hub.rear', assembly: 'hub-rear-coaster' },
    ]);
    expect(await screen.findByText(/2 parts were laid down for another assembly/)).toBeInTheDocument();
    expect(screen.queryByRole('list', { name: /In the tray/ })).toBeNull();
    expect(orderOf(record().trays[0]!)).toEqual(['freewheel', 'spoke-guard']);
    await userEvent.click(button('Take them out of the tray'));
    expect(record().trays[0]!.off).toEqual({});
  });

  test('a tray that not every strip needs is there for the asking: the shifter is flushed before it is condemned', async () => {
    const { record } = await drawStage(Strip);
    await userEvent.click(await screen.findByText('Trays that not every strip needs'));
    await userEvent.click(button('Shifter that does not click: flush it first (shifter, right)'));
    expect(record().trays[0]).toMatchObject({ place: 'shifter.right', assembly: 'shifter-flush' });
  });

  test('an empty tray says so', async () => {
    openTray('hub.front');
    await drawStage(Strip);
    expect(await screen.findByText(/Nothing in the tray yet/)).toBeInTheDocument();
  });

  test('a part is marked missing, and put-back asks for the right one first', async () => {
    openTray('stem');
    const { record } = await drawStage(Strip, steps('stem', ['photo'], ['bolt'], ['stem', 'stem', 'bolt', 'wedge']));
    await userEvent.click(await screen.findByRole('button', { name: /^Wedge or cone of the quill/ }));
    await userEvent.click(button('Missing'));
    expect(record().trays[0]!.marks).toEqual({ wedge: 'missing' });
    expect(screen.getByText(/It was missing/)).toBeInTheDocument();
  });

  test('putting back starts at the other end, and a part that would be passed over is named first', async () => {
    openTray('stem');
    const { record } = await drawStage(Strip, steps('stem', ['photo'], ['bolt'], ['stem', 'stem', 'bolt', 'wedge']));
    await userEvent.click(await screen.findByText('All 3 parts, 0 back in'));
    const list = screen.getByRole('list', { name: /Put back/ });
    expect(screen.getByRole('checkbox', { name: 'Back in: Wedge or cone of the quill' })).toBeInTheDocument();
    expect(
      within(list)
        .getAllByRole('checkbox')
        .map((box) => box.getAttribute('aria-label')),
    ).toEqual(['Back in: Expander bolt', 'Back in: Quill stem']);
    await userEvent.click(screen.getByRole('checkbox', { name: 'Back in: Quill stem' }));
    expect(await screen.findByRole('alert')).toHaveTextContent(
      '2 parts go in before it: Wedge or cone of the quill; Expander bolt.',
    );
    expect(record().trays[0]!.backIn).toEqual([]);
    await userEvent.click(button('Those first'));
    await userEvent.click(button('It is back in'));
    expect(record().trays[0]!.backIn).toEqual(['wedge']);
  });

  test('a part that was scrapped is not passed over: another goes in there', async () => {
    openTray('stem');
    const { record } = await drawStage(Strip, steps('stem', ['photo'], ['bolt'], ['stem', 'stem', 'bolt', 'wedge']));
    await userEvent.click(await screen.findByRole('button', { name: /^Expander bolt/ }));
    await userEvent.click(button('Scrap'));
    expect(record().trays[0]!.fates).toEqual({ bolt: 'scrap' });
    await userEvent.click(screen.getByText('All 3 parts, 0 back in'));
    expect(screen.getByText('This one was scrapped: another goes in here.')).toBeInTheDocument();
    expect(screen.getAllByRole('checkbox', { name: /^Back in/ })).toHaveLength(3);
  });

  test('a part that will not move climbs the ladder; what did not help is remembered with its soak', async () => {
    openTray('seat-post');
    const { record } = await drawStage(Strip);
    await userEvent.click(await screen.findByRole('button', { name: 'It will not move' }));
    expect(record().seized).toEqual([]);
    await userEvent.click(button('Not now'));
    expect(record().seized).toEqual([]);
    await userEvent.click(button('It will not move'));
    await userEvent.click(button('Yes, it is stuck'));
    expect(await screen.findByRole('list', { name: /The ladder/ })).toBeInTheDocument();
    await waitFor(() => expect(screen.getByRole('button', { name: 'It did not help' })).toBeEnabled());
    const first = record().seized[0]!;
    await userEvent.click(button('It did not help'));
    await waitFor(() => expect(record().seized[0]!.tried).toHaveLength(1));
    expect(first.tried).toHaveLength(0);
    await userEvent.click(button('It came free'));
    expect(record().seized[0]!.ended?.how).toBe('freed');
    expect(screen.queryByRole('list', { name: /The ladder/ })).toBeNull();
  });

  test('a trick is pinned to the step at hand', async () => {
    openTray('hub.front');
    const { record } = await drawStage(Strip);
    await userEvent.click(await screen.findByRole('button', { name: 'Pin a trick to this step' }));
    await userEvent.type(screen.getByRole('textbox', { name: /The trick/ }), 'A clip hides the flats{Enter}');
    expect(record().tricks[0]).toMatchObject({ assembly: 'hub-front', step: 'photo', text: 'A clip hides the flats' });
  });
});

describe('the wash', () => {
  test('nothing in the trays: nothing to wash, and it says where parts come from', async () => {
    await drawStage(Clean);
    expect(await screen.findByText(/Nothing dirty lies in the trays/)).toBeInTheDocument();
    expect(screen.getByText('Nothing is running.')).toBeInTheDocument();
  });

  test('rusty plain steel is asked about before the vinegar; what is hardened stays out of it', async () => {
    const { record } = await drawStage(Clean, [
      ...steps('stem', ['stem', 'wedge']),
      ...steps('hub.front', ['cone', 'cone.left']),
      { type: 'setSoil', place: 'hub.front', part: 'cone.left', soil: 'rust' },
    ]);
    const start = await screen.findByRole('button', { name: /^Start Vinegar tub, 8 h/ });
    expect(start).toBeDisabled();
    const loads = screen.getByRole('list', { name: 'Loads' });
    expect(within(loads).queryByText(/Cone/)).toBeNull();
    await userEvent.click(
      within(screen.getByRole('group', { name: /hardened: Wedge/ })).getByRole('button', { name: 'No, plain' }),
    );
    await waitFor(() => expect(screen.getByRole('button', { name: /^Start Vinegar tub/ })).toBeEnabled());
    await userEvent.click(screen.getByRole('button', { name: /^Start Vinegar tub/ }));
    expect(record().timers[0]).toMatchObject({ bath: 'vinegar', parts: ['stem/wedge'], minutes: 480, maxMinutes: 720 });
    expect(await screen.findByText(/A closed page is silent/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Calendar alarm' })).toBeInTheDocument();
  });

  test('what is out of the bath is clean, and is to be looked at again', async () => {
    const { record } = await drawStage(Clean, [
      ...steps('stem', ['stem', 'wedge']),
      {
        type: 'startTimer',
        timer: {
          id: 't',
          label: 'Vinegar tub: wedge',
          place: 'stem',
          startedAt: new Date().toISOString(),
          minutes: 480,
          maxMinutes: 720,
          next: 'Brush, rinse.',
          endedAt: null,
          bath: 'vinegar',
          parts: ['stem/wedge'],
        },
      },
    ]);
    expect(await screen.findByText(/Nothing dirty lies/)).toBeInTheDocument();
    await userEvent.click(button('It is out'));
    expect(record().trays[0]!.cleaned).toEqual(['wedge']);
    expect(await screen.findByRole('button', { name: 'Look over again' })).toBeInTheDocument();
  });

  test('the finish: patina to be preserved is never repainted, and what was settled on becomes work', async () => {
    const { record } = await drawStage(Clean, [
      { type: 'setBrief', brief: 'preserve' },
      { type: 'planFinish', changes: { paint: 'patina' } },
    ]);
    const open = await screen.findByRole('list', { name: 'What may be done' });
    expect(within(open).queryByText('Full repaint')).toBeNull();
    await userEvent.click(within(open).getByRole('button', { name: 'Settle on: Clear coat over the patina' }));
    expect(record().finish.treatment).toBe('clear-coat');
    expect(record().jobs[0]).toMatchObject({ place: 'frame', decision: 'keep', minutes: { likely: 360 } });
  });
});
