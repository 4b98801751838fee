import { act, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { drawStage } from '../../tests/stage';
import type { Command } from '@/model/commands';
import { Buy } from './buy/Buy';
import { Clean } from './clean/Clean';
import { Decide } from './decide/Decide';
import { HandOver } from './hand-over/HandOver';
import { Prove } from './prove/Prove';
import { Rebuild } from './rebuild/Rebuild';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
// Pages must not pull the tables in; here the worker is put aside and its calculators are asked in place.
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../tests/reckonHere')>('../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const button = (name: string | RegExp) => screen.getByRole('button', { name });
const seen = (check: string, evidence: object): Command => ({
  type: 'addObservation',
  observation: { id: check, check, at: AT, evidence, note: '', seenAs: 'bought' as const, withdrawn: false },
});
const fetches: Command = {
  type: 'setAppraisal',
  changes: { asking: 14000, resale: { low: 26000, likely: 30000, high: 34000 } },
};

describe('Buy', () => {
  test('before anything is known it says what to say', async () => {
    await drawStage(Buy);
    expect(await screen.findByText(/Say what it may fetch/)).toBeInTheDocument();
    expect(screen.queryByText('the most to pay')).toBeNull();
  });

  test('ceiling, verdict and reasons stand there once it is known what it fetches', async () => {
    await drawStage(Buy, [fetches]);
    expect(await screen.findByText('your limit')).toBeInTheDocument();
    expect(screen.getByText('Haggle')).toBeInTheDocument();
    expect(screen.getByText(/weighs most: without it your limit would be/)).toBeInTheDocument();
  });

  test('a fault of one’s own is added once, and the same name is not taken twice', async () => {
    const { record } = await drawStage(Buy, [fetches]);
    const label = await screen.findByLabelText('Another fault you see');
    await userEvent.type(label, 'Dented rim{Enter}');
    expect(record().appraisal.lines.at(-1)).toMatchObject({ label: 'Dented rim', kind: 'fault' });
    await userEvent.type(label, 'Dented rim{Enter}');
    expect(screen.getByText('There is a line of that name.')).toBeInTheDocument();
    expect(record().appraisal.lines.filter((line) => line.label === 'Dented rim')).toHaveLength(1);
  });

  test('the ordinary work is in the sum without being asked for and leaves only on purpose', async () => {
    const { record } = await drawStage(Buy, [fetches]);
    const line = (await screen.findByText(/^Ordinary work/)).closest('li')!;
    expect(within(line).queryByRole('group', { name: /How sure/ })).toBeNull();
    await userEvent.click(within(line).getByText('Leave this line out'));
    expect(record().appraisal.lines.some((each) => each.kind === 'standing')).toBe(false);
    await userEvent.click(button('Put it back'));
    expect(record().appraisal.lines.some((each) => each.kind === 'standing')).toBe(true);
  });

  test('a fault of the door check is tapped bad, taken back, and keeps figures of one’s own', async () => {
    const { record } = await drawStage(Buy, [fetches]);
    const row = (await screen.findByRole('group', { name: 'Tyres cracked or worn' })).closest('li')!;
    await userEvent.click(within(row).getByRole('button', { name: 'Bad' }));
    expect(record().door.tyres).toMatchObject({ answer: 'bad', by: 'The mechanic' });
    await waitFor(() =>
      expect(within(row).getByRole('button', { name: 'Bad' })).toHaveAttribute('aria-pressed', 'true'),
    );
    await userEvent.click(within(row).getByRole('button', { name: 'Did not look' }));
    expect(record().door).toEqual({});
    await userEvent.click(within(row).getByText(/€24 to €60/));
    const likely = within(row).getByLabelText('Parts, likely');
    await userEvent.clear(likely);
    await userEvent.type(likely, '30{Enter}');
    expect(record().appraisal.lines.find((line) => line.id === 'door:tyres')!.parts.likely).toBe(3000);
    await userEvent.click(within(row).getByRole('button', { name: 'Back to the table’s figures' }));
    expect(record().appraisal.lines.some((line) => line.id === 'door:tyres')).toBe(false);
  });

  test('sold ones make a range that can be taken or overruled', async () => {
    const sold = (id: string, price: number): Command => ({
      type: 'putComparable',
      comparable: { id, label: `Sold ${id}`, price, soldOn: '2026-11-01', from: 'typed', at: null, off: false },
    });
    const { record } = await drawStage(Buy, [sold('a', 28000), sold('b', 30000), sold('c', 32000)]);
    await userEvent.click(await screen.findByRole('button', { name: 'Take this range' }));
    expect(record().appraisal.resale.likely).toBe(30000);
    expect(await screen.findByText('your limit')).toBeInTheDocument();
  });

  test('a customer’s bicycle has no price to pay and points to the estimate', async () => {
    await drawStage(Buy, [{ type: 'setPurpose', purpose: 'customer' }]);
    expect(await screen.findByText(/No price is paid for it/)).toBeInTheDocument();
    expect(screen.queryByLabelText('Paid for it')).toBeNull();
  });
});

describe('At the door', () => {
  beforeEach(() => window.history.replaceState(null, '', '?part=door'));
  afterEach(() => window.history.replaceState(null, '', '?'));

  test('no figure is seen until it is held, and the seller’s side holds faults and sentence only', async () => {
    await drawStage(Buy, [
      fetches,
      { type: 'answerDoor', line: 'post', answer: 'bad', at: '2026-11-25T10:00:00.000Z', by: '' },
    ]);
    await screen.findByText('Post does not move');
    expect(screen.queryByText('Haggle')).toBeNull();
    const hold = button('Hold to see the figures');
    act(() => hold.focus());
    const user = userEvent;
    await user.keyboard('[Space>]');
    const ceiling = screen.getByText(/your limit/).previousElementSibling!.textContent;
    expect(ceiling).toMatch(/€\d+.*(Haggle|Walk away|Buy)/);
    await user.keyboard('[/Space]');
    await waitFor(() => expect(screen.queryByText(/your limit/)).toBeNull());
    await userEvent.click(button('Show the seller'));
    const side = screen.getByRole('dialog', { name: 'What I found' });
    expect(side).toHaveTextContent('Post does not move');
    expect(side).not.toHaveTextContent(/€\d+\.\d\d/);
  });

  test('one tap puts an answer down, a second takes it back', async () => {
    const { record } = await drawStage(Buy, [fetches]);
    const row = await screen.findByRole('group', { name: 'Seat post' });
    await userEvent.click(within(row).getByRole('button', { name: 'Fine' }));
    expect(record().door.post?.answer).toBe('fine');
    await waitFor(() =>
      expect(within(row).getByRole('button', { name: 'Fine' })).toHaveAttribute('aria-pressed', 'true'),
    );
    await userEvent.click(within(row).getByRole('button', { name: 'Fine' }));
    expect(record().door.post).toBeUndefined();
  });
});

describe('A lead', () => {
  beforeEach(() => window.history.replaceState(null, '', '?part=lead'));
  afterEach(() => window.history.replaceState(null, '', '?'));

  test('distance and answers say whether to drive; what is said moves what is likely', async () => {
    const { record } = await drawStage(Buy, [fetches]);
    await screen.findByText('Say how far it is.');
    await userEvent.type(screen.getByLabelText('Distance, one way'), '10{Enter}');
    expect(await screen.findByText('the drive')).toBeInTheDocument();
    expect(screen.getByText('Go')).toBeInTheDocument();
    await userEvent.click(within(screen.getByRole('group', { name: 'Ever crashed?' })).getByText('Yes'));
    expect(record().lead).toMatchObject({ distanceKm: 10, crashed: 'yes' });
  });
});

describe('Age and fit', () => {
  beforeEach(() => window.history.replaceState(null, '', '?part=age'));
  afterEach(() => window.history.replaceState(null, '', '?'));

  test('features close the years in, and parts that never met are pointed out', async () => {
    const seenFeature = (feature: string): Command => ({ type: 'seeFeature', feature, seen: true });
    await drawStage(Buy, [seenFeature('rear-spacing-126'), seenFeature('rear-cogs-11')]);
    expect(await screen.findByText('Something was changed.')).toBeInTheDocument();
    expect(screen.getByText(/never sold together/)).toBeInTheDocument();
  });

  test('a seat tube of 560 mm says whom it fits', async () => {
    const { record } = await drawStage(Buy);
    await userEvent.type(await screen.findByLabelText('Seat tube'), '560{Enter}');
    expect(record().size.sizeMm).toBe(560);
    expect(await screen.findByText(/1\.75 m to 1\.89 m/, { selector: 'div' })).toBeInTheDocument();
  });
});

describe('Decide', () => {
  test('findings become jobs with their why; one is dropped with a reason and can be kept after all', async () => {
    const { record } = await drawStage(Decide, [fetches, seen('chain', { pitches: 24, lengthMm: 308 })]);
    const row = (await screen.findByText('Renew the chain')).closest('li')!;
    expect(row).toHaveTextContent('past 1 %');
    await userEvent.click(within(row).getByRole('button', { name: 'Drop, because…' }));
    await userEvent.type(within(row).getByLabelText(/Another reason/), 'the buyer has one{Enter}');
    expect(record().jobs[0]).toMatchObject({
      decision: 'drop',
      reason: 'the buyer has one',
      declined: { by: 'The mechanic', words: 'the buyer has one' },
    });
    await userEvent.click(within(row).getByRole('button', { name: 'Keep' }));
    expect(record().jobs[0]).toMatchObject({ decision: 'keep', reason: '', declined: null });
    await userEvent.click(within(row).getByRole('button', { name: 'Mark as done' }));
    expect(record().jobs[0]!.done).toBe(true);
  });

  test('a kept job stays when the findings no longer ask for it', async () => {
    const kept: Command = {
      type: 'decideJob',
      job: {
        id: 'chain',
        rule: 'chain',
        title: 'Renew the chain',
        place: 'chain',
        minutes: { low: 1, likely: 1, high: 1 },
        parts: { low: 0, likely: 0, high: 0 },
        decision: 'keep',
        reason: '',
        approval: null,
        declined: null,
        done: false,
      },
    };
    await drawStage(Decide, [kept]);
    expect(await screen.findByText('No longer proposed.')).toBeInTheDocument();
  });

  test('needed work counts in the sum until it is dropped on purpose', async () => {
    await drawStage(Decide, [fetches]);
    expect(await screen.findByText('0 kept, 1 needed and not decided yet')).toBeInTheDocument();
    const hours = () => screen.getByText(/logged, .* left$/).previousElementSibling!.textContent;
    expect(hours()).toBe('4 h 20');
    await userEvent.click(button('Drop, because…'));
    await userEvent.click(button('Done already'));
    expect(hours()).toBe('0 min');
  });

  test('a donor is broken for parts and gets nothing else', async () => {
    const { record } = await drawStage(Decide, [seen('chain', { pitches: 24, lengthMm: 308 })]);
    await userEvent.click(button('Donor'));
    expect(record().brief).toBe('donor');
    expect((await screen.findAllByText(/Break it for parts/)).length).toBeGreaterThan(0);
    expect(screen.queryByText('Renew the chain')).toBeNull();
  });
});

describe('Clean', () => {
  test('a timer whose time was up while the page was closed says so, and what is past its longest is said loudly', async () => {
    const soak = (id: string, hoursAgo: number): Command => ({
      type: 'startTimer',
      timer: {
        id,
        label: 'Bolts',
        place: 'hub.front',
        startedAt: new Date(Date.now() - hoursAgo * 3_600_000).toISOString(),
        minutes: 480,
        maxMinutes: 720,
        next: 'Rinse and neutralise.',
        endedAt: null,
        bath: null,
        parts: [],
      },
    });
    await drawStage(Clean, [soak('late', 9), soak('far too late', 13)]);
    expect(screen.getAllByText('Time is up')).toHaveLength(2);
    expect(screen.getAllByText(/Now: Rinse and neutralise/)).toHaveLength(2);
    expect(screen.getAllByText(/Past its longest time/)).toHaveLength(1);
  });
});

describe('Rebuild', () => {
  test('a wrench is held against the band, a feel at the stem asks for the wrench', async () => {
    const { record } = await drawStage(Rebuild, [{ type: 'describeKind', changes: { stem: 'threadless' } }]);
    const clamp = (await screen.findByText(/Steerer clamp bolts/)).closest('li')!;
    await userEvent.click(within(clamp).getByRole('button', { name: /By feel|Sign by feel/ }));
    expect(clamp).toHaveTextContent('the wrench is asked for here');
    await userEvent.type(within(clamp).getByLabelText('Torque reading'), '2{Enter}');
    expect(clamp).toHaveTextContent('under its band');
    expect(record().signatures.map((row) => row.how)).toEqual(['feel', 'wrench']);
  });

  test('a feel counts once its hold was tried, and says who tried it', async () => {
    const { record } = await drawStage(Rebuild, [], { people: [{ id: 'a', name: 'Ada' }] });
    const stem = (await screen.findByText(/Stem expander bolt/)).closest('li')!;
    await userEvent.click(within(stem).getByRole('button', { name: /Sign by feel/ }));
    expect(stem).toHaveTextContent('Hold the front wheel between the knees and twist the bars hard');
    expect(record().signatures).toMatchObject([{ how: 'feel', holdTest: false, by: 'Ada' }]);
    await userEvent.click(within(stem).getByRole('button', { name: 'It holds: Stem expander bolt' }));
    expect(record().signatures).toMatchObject([{ how: 'feel', holdTest: true, by: 'Ada' }]);
    expect(stem).toHaveTextContent('its hold tried, Ada');
  });

  test('a size that differs is chosen at its bolt and brings its figure', async () => {
    const { record } = await drawStage(Rebuild);
    const clamp = (await screen.findByText(/Handlebar clamp bolt/)).closest('li')!;
    expect(clamp).toHaveTextContent('10–12');
    await userEvent.click(within(clamp).getByRole('combobox'));
    await userEvent.click(await screen.findByRole('option', { name: 'M8' }));
    expect(record().fasteners).toMatchObject({ 'stem-clamp-quill': { size: 'M8' } });
    await waitFor(() => expect(clamp).toHaveTextContent('17–20'));
  });

  test('a place to sit from the rider’s figures is given by one tap; a leg that no rider has is refused', async () => {
    const { record } = await drawStage(Rebuild);
    await userEvent.click(await screen.findByText('A new place, from the rider’s figures'));
    const leg = screen.getByLabelText('Inside leg');
    await userEvent.type(leg, '84{Enter}');
    expect(record().rider).toEqual({});
    await userEvent.clear(leg);
    await userEvent.type(leg, '840{Enter}');
    expect(record().rider).toEqual({ 'inside-leg': 840 });
    await userEvent.click(await screen.findByRole('button', { name: 'Give these' }));
    expect(record().fit['saddle-height']).toEqual({ beforeMm: null, givenMm: 742 });
    expect(screen.getByRole('group', { name: 'Saddle height' })).toBeInTheDocument();
  });

  test('spacers go on one by one, change sides, and are part of the steerer’s length; all of it is kept', async () => {
    const { record } = await drawStage(Rebuild, [{ type: 'describeKind', changes: { stem: 'threadless' } }]);
    await userEvent.click(await screen.findByText('The length of the steerer'));
    for (const [label, mm] of [
      ['Steerer', '260'],
      ['Head tube', '150'],
      ['Headset adds', '25'],
      ['Clamp of the stem', '40'],
    ] as const)
      await userEvent.type(screen.getByLabelText(label), `${mm}{Enter}`);
    await userEvent.click(screen.getByRole('button', { name: 'Put a spacer of 20 mm below the stem' }));
    expect(await screen.findByText('28 mm come off.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Put a spacer of 5 mm below the stem' }));
    await userEvent.click(screen.getByRole('button', { name: 'Move the spacer of 5 mm above the stem' }));
    expect(await screen.findByText('23 mm come off.')).toBeInTheDocument();
    expect(record().stack).toMatchObject({ steerer: 260, 'head-tube': 150 });
    expect(record().spacers.map(({ heightMm, side }) => [heightMm, side])).toEqual([
      [20, 'below'],
      [5, 'above'],
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Take the spacer of 20 mm off' }));
    expect(record().spacers).toHaveLength(1);
  });

  test('what was found in a tray changes which bolts there are', async () => {
    await drawStage(Rebuild, [{ type: 'chooseAssembly', place: 'bottom-bracket', assembly: 'bb-cartridge' }]);
    expect(await screen.findByText(/Bottom bracket, drive side/)).toBeInTheDocument();
    expect(screen.queryByText(/Bottom bracket lockring/)).toBeNull();
  });
});

describe('Prove', () => {
  test('an unsafe finding alone keeps it from going out', async () => {
    await drawStage(Prove, [seen('frame', { outcome: 'crack' })]);
    expect(await screen.findByText('Not ready')).toBeInTheDocument();
    // Once where it stands first, once in the list.
    expect(screen.getAllByText(/Frame: unsafe as last seen/)).toHaveLength(2);
    expect(screen.getByText(/Stem expander bolt: not signed/)).toBeInTheDocument();
    expect(screen.getByText(/\d+ things stand in the way/)).toBeInTheDocument();
  });

  test('a signature is taken back by the same tap', async () => {
    const { record } = await drawStage(Prove);
    await userEvent.click(button('Passed: Cables and hoses hold'));
    expect(record().proofs).toMatchObject([{ passed: true, by: 'The mechanic' }]);
    await userEvent.click(button('Passed: Cables and hoses hold'));
    expect(record().proofs).toHaveLength(0);
  });
});

describe('what is said of a missing thing', () => {
  test('what is cleared needs a name and a paper; what is accepted a reason, and both stand in the record', async () => {
    const { record } = await drawStage(Prove, [
      seen('frame', { outcome: 'crack' }),
      seen('fork', { byEye: 'service' }),
    ]);
    await userEvent.click(await screen.findByRole('button', { name: 'Accept it as it is…' }));
    await userEvent.click(button('Original, and kept'));
    expect(record().acceptances).toMatchObject([{ check: 'fork', by: 'The mechanic', words: 'Original, and kept' }]);
    await userEvent.click(await screen.findByRole('button', { name: 'It ends when…' }));
    await userEvent.click(button('Cleared by them'));
    expect(await screen.findByText('Say on which paper.')).toBeInTheDocument();
    expect(record().endings).toEqual([]);
    await userEvent.type(screen.getByLabelText('Qualified person'), 'A. Frame builder');
    await userEvent.type(screen.getByLabelText('Their paper'), 'Report 12');
    await userEvent.click(button('Cleared by them'));
    await waitFor(() =>
      expect(record().endings).toMatchObject([
        { check: 'frame', how: 'cleared', by: 'A. Frame builder', paper: 'Report 12' },
      ]),
    );
    await waitFor(() => expect(screen.queryByText(/Frame: unsafe as last seen/)).not.toBeInTheDocument());
  });
});

test('a complaint that no table here knows is told, and never ready', async () => {
  await drawStage(Prove, [
    {
      type: 'putComplaint',
      complaint: { id: 'c', complaints: ['sings'], results: [], unavailable: [], closedAt: null, known: [] },
    },
  ]);
  expect(await screen.findAllByText(/not known here/)).toHaveLength(2);
  expect(screen.getByText('Not ready')).toBeInTheDocument();
});

describe('for its parts', () => {
  test('a condemned fork leaves marked or cut, and that is written down', async () => {
    const { record } = await drawStage(HandOver, [seen('fork', { byEye: 'unsafe' })]);
    await userEvent.click(button('For its parts'));
    await userEvent.type(screen.getByLabelText('Who takes it'), 'Own drawer');
    const marked = await screen.findByLabelText('Marked or cut, never sold on: Fork');
    expect(button('It goes for its parts')).toBeDisabled();
    await userEvent.click(marked);
    await userEvent.click(button('It goes for its parts'));
    expect(record().waysOut).toMatchObject([{ way: 'parts', words: 'Marked or cut, never sold on: Fork' }]);
  });
});

describe('Hand over', () => {
  test('as it is: who takes it and that they were told; never called ready, and what stands open goes along', async () => {
    const { record } = await drawStage(HandOver);
    await waitFor(() => expect(screen.getAllByText(/things stand in the way/)[0]).toBeInTheDocument());
    expect(button('It goes out ready')).toBeDisabled();
    await userEvent.click(button('As it is'));
    expect(button('It goes as it is')).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Who takes it'), 'The ferry museum');
    expect(button('It goes as it is')).toBeDisabled();
    await userEvent.click(screen.getByLabelText('They were told what stands open, today'));
    await userEvent.click(button('It goes as it is'));
    expect(record().waysOut).toMatchObject([{ way: 'as-it-is', to: 'The ferry museum', by: 'The mechanic' }]);
    expect(record().waysOut[0]!.words).toContain('not signed');
    await waitFor(() => expect(document.querySelector('#sheet')).toHaveTextContent('Not roadworthy, not to be ridden'));
    expect(document.querySelector('#sheet')).toHaveTextContent('Taken as it is by The ferry museum');
    await userEvent.click(screen.getByRole('button', { name: 'Green tourer has not gone out' }));
    expect(record().waysOut).toEqual([]);
  });

  test('a pack is shared out, more cannot be used than it held', async () => {
    const { record } = await drawStage(HandOver, [{ type: 'recordPurchase', paid: 9000, at: AT }]);
    await userEvent.click(button('What it earned'));
    await userEvent.type(screen.getByLabelText('Bought'), 'Balls');
    await userEvent.type(screen.getByLabelText('Paid'), '10{Enter}');
    await userEvent.clear(screen.getByLabelText('In the pack'));
    await userEvent.type(screen.getByLabelText('In the pack'), '20{Enter}');
    await userEvent.clear(screen.getByLabelText('Used here'));
    await userEvent.type(screen.getByLabelText('Used here'), '21{Enter}');
    expect(screen.getByText('only 20 in the pack')).toBeInTheDocument();
    await userEvent.clear(screen.getByLabelText('Used here'));
    await userEvent.type(screen.getByLabelText('Used here'), '6{Enter}');
    await userEvent.click(button('Add it'));
    expect(record().lines).toMatchObject([{ label: 'Balls', paid: 1000, packQty: 20, usedQty: 6 }]);
    expect(await screen.findByText(/€3 of parts went into this bicycle; €7 is left/)).toBeInTheDocument();
  });

  test('the sheet of an unproved bicycle says that it is not to be ridden, and names no price', async () => {
    await drawStage(HandOver, [{ type: 'recordPurchase', paid: 9000, at: AT }]);
    await waitFor(() =>
      expect(document.querySelector('#sheet')).toHaveTextContent('Not to be ridden until they are closed'),
    );
    expect(document.querySelector('#sheet')).not.toHaveTextContent('€');
  });
});
