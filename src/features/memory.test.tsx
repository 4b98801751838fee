import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { ComponentType } from 'react';
import type { Command } from '@/model/commands';
import type { Job } from '@/model/decide/part';
import { drawStage } from '../../tests/stage';
import { userEvent } from '../../tests/user';
import { Door } from './buy/Door';
import { Figures } from './buy/Figures';
import { Decide } from './decide/Decide';
import { LookOverStage } from './look-over/LookOverStage';
import { Overhaul } from './overhaul/Overhaul';
import { Strip } from './strip/Strip';
import type { StageViewProps } from './workshop/declared';
import { useAppraisal } from './workshop/useAppraisal';
import { useFindings } from './workshop/useFindings';

jest.mock('next/navigation', () => ({
  useSearchParams: () => new URLSearchParams(window.location.search),
  usePathname: () => '/bike',
}));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../tests/reckonHere')>('../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const LATER = '2026-11-25T11:00:00.000Z';

/** A stage as the page draws it: with what is known of the bicycle. */
const known = (Stage: ComponentType<StageViewProps>) =>
  function Known(props: StageViewProps) {
    return <Stage {...props} lookOver={useFindings(props.bicycle)} />;
  };
const AtTheDoor = (props: StageViewProps) => {
  const { output, pending } = useAppraisal(props.bicycle);
  return <Door {...props} found={output} stale={pending} />;
};
const TheFigures = (props: StageViewProps) => <Figures {...props} reckoning={useAppraisal(props.bicycle)} />;

const tap = (line: string, answer: 'fine' | 'bad'): Command => ({
  type: 'answerDoor',
  line,
  answer,
  at: AT,
  by: 'Ada',
});
const look = (id: string, check: string, evidence: object): Command => ({
  type: 'addObservation',
  observation: { id, check, at: LATER, evidence, note: '', seenAs: 'bought', withdrawn: false },
});
const THIRTEEN = [
  ...['post', 'stem', 'ripple', 'fork', 'headset', 'hub-rear', 'chain', 'shifters', 'release', 'bottom-bracket'].map(
    (line) => tap(line, 'fine'),
  ),
  tap('hub-front', 'bad'),
  tap('cranks', 'fine'),
  tap('tyres', 'bad'),
];
const creaks: Command = {
  type: 'putComplaint',
  complaint: { id: 'c1', complaints: ['creak'], results: [], unavailable: [], closedAt: null, known: [] },
};
const kept = (id: string, place: string, title: string): Command => ({
  type: 'decideJob',
  job: {
    id,
    rule: id,
    title,
    place,
    minutes: { low: 30, likely: 60, high: 90 },
    parts: { low: 0, likely: 500, high: 900 },
    decision: 'keep',
    reason: '',
    done: false,
    approval: null,
    declined: null,
  } satisfies Job,
});
const fetches: Command = {
  type: 'setAppraisal',
  changes: { asking: 14000, resale: { low: 26000, likely: 30000, high: 34000 } },
};
const placeRow = (name: string) => screen.findByRole('button', { name: new RegExp(`^\\d+ ?${name}`) });

beforeEach(() => window.history.replaceState(null, '', '?'));

describe('one bicycle, one memory: nothing that the record holds is asked again', () => {
  test('thirteen taps at the door are in the look-over, with where they come from', async () => {
    await drawStage(known(LookOverStage), THIRTEEN);
    const hub = await placeRow('Rear hub');
    expect(hub).toHaveTextContent('Fine');
    expect(await placeRow('Front hub')).toHaveTextContent(/Service.*|It rumbles or is loose/);
    expect(await placeRow('Front tyre')).toHaveTextContent(/Tyres cracked or worn. Which one\?/);
    await userEvent.click(hub);
    expect(await screen.findByText(/^Found at the door, .*Ada/)).toBeInTheDocument();
    const feel = screen.getByRole('group', { name: 'Feel' });
    expect(within(feel).getByRole('button', { name: 'Smooth' })).toHaveAttribute('aria-pressed', 'true');
  });

  test('the next place is one that asks something, and what the door knows is passed over', async () => {
    const { record } = await drawStage(known(LookOverStage), [
      ...THIRTEEN,
      // On the ground nothing but the front tyre is left to ask.
      ...['bars', 'bar-ends', 'lever-left', 'lever-right', 'lever-pull', 'grip-left', 'grip-right'].map((check, i) =>
        look(`o${i}`, check, { byEye: 'fine' }),
      ),
      ...['lever-gap-left', 'lever-gap-right'].map((check, i) => look(`g${i}`, check, { readingsMm: [60] })),
      look('h', 'lever-hand', { outcome: 'left' }),
    ]);
    await userEvent.click(await placeRow('Handlebar'));
    await userEvent.click(await screen.findByRole('button', { name: 'Next place' }));
    expect(await screen.findByRole('group', { name: 'Checks: Front tyre' })).toBeInTheDocument();
    expect(record().observations).toHaveLength(10);
  });

  test('what is known to be wrong is not made fine by one key for the whole place', async () => {
    const { record } = await drawStage(known(LookOverStage), THIRTEEN);
    await userEvent.click(await placeRow('Front hub'));
    await screen.findByText(/^Found at the door/);
    await userEvent.keyboard('f');
    expect(record().observations.some(({ check }) => check === 'hub-front')).toBe(false);
  });

  test('what was tapped at the door is taken back where it is seen', async () => {
    const { record } = await drawStage(known(LookOverStage), [tap('hub-rear', 'fine')]);
    await userEvent.click(await placeRow('Rear hub'));
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(record().door).toEqual({});
  });

  test('a creak begins with every finding that answers one of its tests, and asks for none of them', async () => {
    const { record } = await drawStage(known(LookOverStage), [
      look('1', 'cranks', { left: 'loose', right: 'firm' }),
      look('2', 'saddle', { outcome: 'sound' }),
      look('3', 'ring-bolts', { outcome: 'tight' }),
      look('4', 'bottom-bracket', { feel: 'smooth', play: 'none' }),
      creaks,
    ]);
    const already = (await screen.findByText('Known already')).parentElement!;
    for (const test of ['Push each arm in and out', 'Twist the nose of the saddle', 'A key on every ring bolt'])
      expect(within(already).getByText(new RegExp(test))).toBeInTheDocument();
    const asked = () => screen.getByText(/^Next test/).parentElement!.textContent;
    expect(asked()).not.toMatch(/Push each arm|nose of the saddle|ring bolt|spin the cranks/);
    await userEvent.click(screen.getByText('Other tests, most telling first'));
    expect(screen.queryByRole('button', { name: /^Push each arm/ })).toBeNull();
    expect(record().complaints[0]!.results).toEqual([]);
    // Whoever doubts it tests it all the same, and the newer answer stands.
    await userEvent.click(screen.getByRole('button', { name: /^Test all the same: Push each arm/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Both firm' }));
    await waitFor(() => expect(within(already).queryByText(/Push each arm/)).toBeNull());
    expect(record().complaints[0]!.results).toMatchObject([{ test: 'arms', outcome: 'firm', by: 'The mechanic' }]);
  });

  test('what the look-over found is known at the door', async () => {
    await drawStage(AtTheDoor, [fetches, look('1', 'hub-front', { feel: 'gritty', play: 'none' })]);
    const hub = await screen.findByRole('group', { name: 'Front hub' });
    const row = hub.closest('li')!;
    expect(row).toHaveTextContent('Looked at closely since: it counts as the jobs that were proposed.');
  });

  test('a complaint and a finding that ask for one job make one job, with both reasons', async () => {
    await drawStage(Decide, [
      look('1', 'derailleur-rear', { outcome: 'slow' }),
      {
        type: 'putComplaint',
        complaint: {
          id: 'c1',
          complaints: ['late-engage'],
          results: [{ test: 'bite', outcome: 'bites', at: LATER }],
          unavailable: [],
          closedAt: null,
          known: [],
        },
      },
    ]);
    const job = await screen.findByText('Strip, clean and oil the derailleur pivots');
    expect(screen.getAllByText('Strip, clean and oil the derailleur pivots')).toHaveLength(1);
    const row = job.closest('li')!;
    expect(row).toHaveTextContent(/Rear derailleur: /);
    expect(await within(row).findByText(/^The rider says: “It takes several pedal turns/)).toBeInTheDocument();
  });

  test('kept jobs lead the strip; a hub left alone on purpose is folded away, there and at the overhaul', async () => {
    const commands = [
      look('1', 'hub-front', { feel: 'smooth', play: 'none' }),
      look('2', 'hub-rear', { feel: 'gritty', play: 'none' }),
      kept('hub-rear-open', 'hub.rear', 'Open and overhaul the rear hub'),
    ];
    await drawStage(known(Strip), commands);
    const lead = (await screen.findByText('For the jobs that were kept')).closest('section')!;
    expect(within(lead).queryByText('Front hub, cup and cone')).toBeNull();
    expect(within(lead).getByText(/^Front wheel out/)).toBeInTheDocument();
    const waits = screen.getByText('Waits for something else').closest('section')!;
    expect(within(waits).getByText('For: open and overhaul the rear hub.')).toBeInTheDocument();
    await userEvent.click(screen.getByText(/^Left alone on purpose/));
    const alone = screen.getByRole('list', { name: 'Left alone on purpose' });
    expect(within(alone).getByText('Front hub, cup and cone')).toBeInTheDocument();
    expect(within(alone).getByText('It feels right: leave well alone.')).toBeInTheDocument();
  });

  test('the overhaul begins with what was felt at the look-over', async () => {
    window.history.replaceState(null, '', '?tray=hub.rear');
    const { record } = await drawStage(known(Overhaul), [look('1', 'hub-rear', { feel: 'gritty', play: 'slight' })]);
    // The step that feels is done, and the next one is at hand.
    expect(await screen.findByText(/^Degrease cups, cones/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: /^Before/ })).toHaveTextContent('gritty, slight play');
    await userEvent.click(screen.getByRole('button', { name: /^Before/ }));
    await userEvent.click((await screen.findAllByRole('button', { name: 'Notchy' }))[0]!);
    // What was felt elsewhere stays beside what is felt now.
    expect(record().bearings[0]!.before).toMatchObject({ feel: 'notchy', play: 'slight', by: 'The mechanic' });
  });

  test('what was felt at the look-over stays as what it was before, once it is felt after', async () => {
    window.history.replaceState(null, '', '?tray=hub.rear&show=after');
    const { record } = await drawStage(known(Overhaul), [look('1', 'hub-rear', { feel: 'gritty', play: 'slight' })]);
    await userEvent.click((await screen.findAllByRole('button', { name: 'Smooth' })).at(-1)!);
    await waitFor(() => expect(record().bearings[0]!.after).toMatchObject({ feel: 'smooth' }));
    expect(record().bearings[0]!.before).toMatchObject({ feel: 'gritty', play: 'slight' });
  });

  test('a thread that nobody has read is not identified, and one that was read is not asked for', async () => {
    window.history.replaceState(null, '', '?tray=bottom-bracket');
    const steps = (step: string): Command => ({
      type: 'markStep',
      place: 'bottom-bracket',
      step,
      done: true,
      takes: [],
    });
    const { workshop } = await drawStage(known(Strip), [steps('photo'), steps('before')]);
    const done = () => screen.findByRole('button', { name: 'Done, next step' });
    expect(await done()).toBeDisabled();
    expect(screen.getByText(/a thread that nobody has read is not identified/)).toBeInTheDocument();
    workshop.send('b1', {
      type: 'putIdentified',
      identified: {
        id: 'i1',
        kind: 'bottom-bracket',
        place: 'bottom-bracket',
        standard: 'italian-thread',
        name: 'Italian thread',
        readings: { diameterMm: 36 },
        at: LATER,
      },
      says: { bottomBracket: 'italian' },
    });
    await waitFor(async () => expect(await done()).toBeEnabled());
  });

  test('one limit: what Buy says is what Decide says, and a job that was kept moves both with its reason', async () => {
    const commands = [fetches, look('1', 'hub-front', { feel: 'gritty', play: 'none' })];
    await drawStage(TheFigures, commands);
    const atBuy = (await screen.findByText('your limit')).parentElement!.textContent;
    cleanup();
    await drawStage(Decide, commands);
    const amount = /€\d+/.exec(atBuy)![0];
    expect(await screen.findByText(new RegExp(`^limit ${amount}(,|$)`))).toBeInTheDocument();
  });
});
