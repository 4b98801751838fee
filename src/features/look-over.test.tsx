import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { useState } from 'react';
import { drawStage } from '../../tests/stage';
import type { Command } from '@/model/commands';
import { useFindings } from './workshop/useFindings';
import { Decide } from './decide/Decide';
import { LookOverStage } from './look-over/LookOverStage';
import type { StageProps } from './workshop/WorkshopProvider';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../tests/reckonHere')>('../../tests/reckonHere'),
);

function Look(props: StageProps) {
  const lookOver = useFindings(props.bicycle);
  const [open, setOpen] = useState<string | null>(null);
  return <LookOverStage {...props} lookOver={lookOver} place={open} onPlace={setOpen} noting={false} />;
}
const place = (name: string) =>
  screen.getByRole('button', {
    name: new RegExp(`^\\d+ ?${name} ?(look again|Not|Fine|Watch|Service|Replace|Unsafe|$)`),
  });
const AT = '2026-11-25T10:00:00.000Z';
const latest = (record: () => { observations: { check: string; evidence: object }[] }, check: string) =>
  record().observations.findLast((row) => row.check === check)?.evidence;

describe('the look-over by keys', () => {
  test('F says for all checks of a place that nothing was found, and opens the next', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Handlebar'));
    await userEvent.keyboard('f');
    expect(latest(record, 'bars')).toEqual({ outcome: 'sound' });
    expect(latest(record, 'bar-ends')).toEqual({ outcome: 'plugged' });
    expect(record().observations.at(-1)).toMatchObject({ stage: 'look-over', by: 'The mechanic' });
    await waitFor(() => expect(place('Stem')).toHaveAttribute('aria-expanded', 'true'));
  });

  test('F never calls a chain fine: the reading is asked for', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Chain'));
    await userEvent.keyboard('f');
    expect(latest(record, 'chain')).toBeUndefined();
    expect(latest(record, 'chain-links')).toEqual({ outcome: 'even' });
    expect(place('Chain')).toHaveAttribute('aria-expanded', 'true');
  });

  test('W, S, R and U judge the check at hand by eye and go on to the next of the place', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Saddle'));
    await userEvent.keyboard('u');
    expect(latest(record, 'saddle')).toEqual({ outcome: 'rails' });
    await userEvent.click(place('Front spokes'));
    await userEvent.keyboard('s');
    await userEvent.keyboard('w');
    expect(latest(record, 'spokes-front')).toEqual({ byEye: 'service' });
    expect(latest(record, 'nipples-front')).toEqual({ outcome: 'stiff' });
  });

  test('digits are a reading; Enter on an empty field goes on; skipped stays not looked at', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Chain'));
    const length = screen.getByLabelText('Length over them');
    await userEvent.clear(length);
    await userEvent.type(length, '306.9');
    // A key on the heels of Enter, before any timer of the page has run, is the place's and not the field's.
    fireEvent.keyDown(length, { key: 'Enter' });
    expect(screen.getByRole('group', { name: 'Checks: Chain' })).toHaveFocus();
    fireEvent.keyDown(document.activeElement!, { key: 'f' });
    expect(latest(record, 'chain')).toMatchObject({ lengthMm: 306.9, pitches: 24 });
    expect(place('Chainrings')).toHaveAttribute('aria-expanded', 'true');
    await userEvent.click(place('Stem'));
    await userEvent.keyboard('x');
    expect(latest(record, 'stem-moves')).toBeUndefined();
    expect(place('Stem')).toHaveTextContent('Not looked at');
  });

  test('a later finding stands beside the earlier one and never over it', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Frame'));
    await userEvent.keyboard('f');
    await userEvent.click(screen.getByRole('button', { name: 'After cleaning' }));
    expect(await screen.findByText(/to look at again/)).toBeInTheDocument();
    await userEvent.click(place('Frame'));
    await userEvent.click(
      within(screen.getByRole('group', { name: 'Frame' })).getByRole('button', { name: 'Dent, no crack' }),
    );
    const frames = record().observations.filter((row) => row.check === 'frame');
    expect(frames.map((row) => [row.seenAs, row.evidence])).toEqual([
      ['bought', { outcome: 'sound' }],
      ['cleaned', { outcome: 'dent' }],
    ]);
  });

  test('the quick set is fifteen places', async () => {
    await drawStage(Look);
    await userEvent.click(screen.getByRole('button', { name: /^Quick/ }));
    expect(screen.getByText('15 of 15 places still to check')).toBeInTheDocument();
  });

  test('four clock points draw the push; squeezed pairs draw the ring', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(place('Derailleur hanger'));
    for (const [label, gap] of [
      ['Three o’clock', '14'],
      ['Six o’clock', '12'],
      ['Nine o’clock', '10'],
      ['Twelve o’clock', '12'],
    ])
      await userEvent.type(screen.getByLabelText(label!), `${gap}{Enter}`);
    expect(
      await screen.findByRole('img', { name: /Push the hanger 2 mm towards the wheel at three o’clock/ }),
    ).toBeInTheDocument();
    expect(latest(record, 'hanger')).toMatchObject({
      gaps: [{ clockDeg: 0 }, { clockDeg: 90 }, { clockDeg: 180 }, { clockDeg: 270 }],
    });
    await userEvent.click(place('Rear spokes'));
    const feels = screen.getByRole('group', { name: 'The next pair feels' });
    for (const feel of ['Even', 'Even', 'Slack', 'Even'])
      await userEvent.click(within(feels).getByRole('button', { name: feel }));
    expect(latest(record, 'spokes-rear')).toEqual({ pairs: ['even', 'even', 'slack', 'even'] });
    expect(await screen.findByText(/Not alike: pair 3/)).toBeInTheDocument();
  });
});

describe('from complaint to cause', () => {
  test('the complaint leads by telling tests to its cause, and the fix goes onto the list', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(screen.getByRole('button', { name: 'One complaint' }));
    await userEvent.click(await screen.findByRole('button', { name: /several pedal turns/ }));
    expect(await screen.findByRole('heading', { name: 'Work the derailleur cage by hand' })).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Slow to spring back' }));
    const causes = screen.getByRole('list', { name: 'Likeliest causes' });
    await waitFor(() =>
      expect(within(causes).getAllByRole('listitem')[0]).toHaveTextContent(/Rear derailleur pivot sticky.*8\d %/),
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Put it on the list of jobs' }));
    // The test is a finding too, and both ask for one job.
    expect(record().jobs[0]).toMatchObject({ id: 'derailleur-rear-slow', decision: 'keep' });
    await userEvent.click(screen.getByText('The rider says something else besides'));
    await userEvent.click(screen.getByRole('button', { name: 'It slips on starting off' }));
    await waitFor(() =>
      expect(within(causes).getAllByRole('listitem')[0]).toHaveTextContent('Pawls of the freehub stick'),
    );
    expect(screen.getByText(/^Unsafe: not to be ridden/)).toBeInTheDocument();
  });

  test('mended and still there: a second cause is looked for, and what the first explains counts for nothing', async () => {
    const { record } = await drawStage(Look);
    await userEvent.click(screen.getByRole('button', { name: 'One complaint' }));
    await userEvent.click(await screen.findByRole('button', { name: 'It skips under load' }));
    const outcome = async (name: string) => userEvent.click(await screen.findByRole('button', { name }));
    await outcome('Past its limit');
    await outcome('Even flanks');
    await userEvent.click(await screen.findByRole('button', { name: 'That is mended, and it is still there' }));
    const [mended] = record().complaints[0]!.known;
    expect(mended).toBeDefined();
    const causes = screen.getByRole('list', { name: 'Likeliest causes' });
    await waitFor(() => expect(within(causes).queryByText('Chain worn past its limit')).toBeNull());
    expect(within(causes).getAllByRole('listitem')[0]).not.toHaveTextContent('Nothing else');
    expect(screen.getByText(/^Mended already:/)).toBeInTheDocument();
  });
});

describe('Decide for a customer', () => {
  const chain: Command = {
    type: 'addObservation',
    observation: {
      id: 'o',
      check: 'chain',
      at: AT,
      evidence: { pitches: 24, lengthMm: 308 },
      note: '',
      seenAs: 'bought',
      withdrawn: false,
    },
  };
  test('the estimate holds what is needed, and the owner’s word is put down line by line', async () => {
    const { record } = await drawStage(
      Decide,
      [{ type: 'setPurpose', purpose: 'customer' }, { type: 'nameCustomer', customer: 'Ilse' }, chain],
      {
        customerPerHour: 3600,
      },
    );
    const sheet = (await screen.findByText(/^Estimate: /)).parentElement!;
    expect(sheet).toHaveTextContent('for Ilse');
    expect(sheet).toHaveTextContent(/Renew the chain.*€21 to €56/);
    await userEvent.click(screen.getByRole('button', { name: 'The owner approves: Renew the chain' }));
    expect(record().jobs.find((job) => job.id === 'chain')).toMatchObject({
      decision: 'keep',
      approval: { answer: 'yes' },
    });
    expect(sheet).toHaveTextContent('Approved so far: €21 to €56');
    await userEvent.click(
      screen.getByRole('button', { name: 'The owner declines: Prove the cogs under load with the new chain' }),
    );
    expect(record().jobs.find((job) => job.id === 'prove-cogs')).toMatchObject({
      decision: 'drop',
      reason: 'The owner declined',
    });
  });
});

describe('Decide', () => {
  const rough: Command = {
    type: 'addObservation',
    observation: {
      id: 'o',
      check: 'hub-rear',
      at: AT,
      evidence: { feel: 'gritty', play: 'slight' },
      note: '',
      seenAs: 'bought',
      withdrawn: false,
    },
  };
  test('ways to do one thing stand side by side; keeping one drops the other with its reason', async () => {
    const { record } = await drawStage(Decide, [rough]);
    await userEvent.click(await screen.findByRole('button', { name: 'Keep: Open and overhaul the rear hub' }));
    expect(record().jobs.map((job) => [job.id, job.decision, job.reason])).toEqual([
      ['hub-rear-open', 'keep', ''],
      ['hub-rear-swap', 'drop', 'Open and overhaul the rear hub instead'],
    ]);
  });
  test('a what-if moves the sum and leaves the plan alone until it is made the plan', async () => {
    const { record } = await drawStage(Decide, [rough]);
    await screen.findByText('One of these');
    await userEvent.click(screen.getByRole('button', { name: 'What if…' }));
    const row = screen
      .getAllByText('Wash, tune, photographs, listing')
      .find((each) => each.closest('li'))!
      .closest('li')!;
    await userEvent.click(within(row).getByRole('button', { name: 'Counts in the what-if' }));
    expect(record().jobs).toEqual([]);
    // The rail shows it as it would be, and a tap there puts it back as one in the list does.
    const piece = () => screen.getByRole('button', { name: /^Wash, tune, photographs, listing, \d+ h/ });
    expect(piece()).toHaveAttribute('aria-pressed', 'false');
    await userEvent.click(piece());
    expect(piece()).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(piece());
    await userEvent.click(screen.getByRole('button', { name: 'Make it the plan' }));
    expect(record().jobs).toMatchObject([{ id: 'ordinary', decision: 'drop', reason: 'Tried without it' }]);
  });
});
