import { screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { applyAll, everythingSigned } from '../../../tests/wholeBicycle';
import { newBicycle } from '@/model/fresh';
import { agreesWithItsSum } from '@/model/prove/sum';
import { Prove } from './Prove';
import { Rebuild } from '../rebuild/Rebuild';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const AT = new Date(Date.now() - 3_600_000).toISOString();
const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
const { kind } = newBicycle('b1', AT, 'x');
const whole = () => everythingSigned(kind, AT);
const row = async (label: string) => (await screen.findByText(label)).closest('li')!;

describe('the proof', () => {
  test('stands on the stand, on the ground and on the road, in that order', async () => {
    await drawStage(Prove);
    await screen.findByText('Cables and hoses hold');
    const headings = screen.getAllByRole('heading').map((each) => each.textContent);
    const at = (title: string) => headings.indexOf(title);
    expect(at('On the stand')).toBeGreaterThan(-1);
    expect(at('On the ground')).toBeGreaterThan(at('On the stand'));
    expect(at('On the road')).toBeGreaterThan(at('On the ground'));
  });

  test('a pressure outside the mark speaks against it, and keeps a proved bicycle in until it is read within', async () => {
    const { record } = await drawStage(Prove, whole(), PEOPLE);
    expect(await screen.findByText('Ready, as far as it was signed')).toBeInTheDocument();
    const tyres = await row('Tyres seated, pressure within their marking');
    await userEvent.click(await within(tyres).findByText(/Readings, note/));
    const front = within(tyres).getByRole('group', { name: 'Front tyre' });
    // The mark of the tyre as it stands there, and a unit that no pressure has.
    await userEvent.type(within(front).getByLabelText('Its mark, at most'), '72.5 psi{Enter}');
    await userEvent.type(within(front).getByLabelText('Pressure'), '40 mm{Enter}');
    expect(within(front).getByText(/"mm" is no unit here: bar, psi, kpa/)).toBeInTheDocument();
    await userEvent.clear(within(front).getByLabelText('Pressure'));
    await userEvent.type(within(front).getByLabelText('Pressure'), '6.5{Enter}');
    expect(await screen.findByText('Not ready')).toBeInTheDocument();
    expect(within(tyres).getAllByText(/6.5 bar, and at most 4.99/).length).toBeGreaterThan(0);
    await userEvent.clear(within(front).getByLabelText('Pressure'));
    await userEvent.type(within(front).getByLabelText('Pressure'), '4{Enter}');
    expect(await screen.findByText('Ready, as far as it was signed')).toBeInTheDocument();
    expect(record().proofReadings.map(({ value }) => value)).toEqual([4.9987, 6.5, 4]);
  });

  test('a lever is read into the one body of findings, beside what it was before', async () => {
    const { record } = await drawStage(Prove, [
      {
        type: 'addObservation',
        observation: {
          id: 'o',
          check: 'lever-gap-left',
          at: AT,
          evidence: { readingsMm: [12] },
          seenAs: 'bought',
          note: '',
          withdrawn: false,
        },
      },
    ]);
    const anchor = await row('Cables and hoses hold');
    await userEvent.click(await within(anchor).findByText(/Readings, note/));
    const left = within(anchor).getByRole('group', { name: 'Left lever' });
    expect(left).toHaveTextContent('before: 12 mm');
    await userEvent.type(within(left).getByLabelText('To the bar, squeezed hard'), '38{Enter}');
    expect(record().observations.at(-1)).toMatchObject({
      check: 'lever-gap-left',
      stage: 'prove',
      evidence: { readingsMm: [38] },
    });
    await waitFor(() => expect(anchor).toHaveTextContent('38 mm, before 12'));
  });

  test('a stop that fails keeps it in; a second one that passes stands in its stead; no metres is no stop', async () => {
    await drawStage(Prove, whole(), PEOPLE);
    const walk = await row('Brakes hold at walking pace, then hard');
    await userEvent.click(await within(walk).findByText(/^A measured stop, note/));
    const stop = async (metres: string) => {
      await userEvent.clear(within(walk).getByLabelText('Stopped within'));
      await userEvent.type(within(walk).getByLabelText('Stopped within'), `${metres}{Enter}`);
    };
    await userEvent.type(within(walk).getByLabelText('Speed'), '20{Enter}');
    await stop('0');
    expect(within(walk).getByText(/0.3 to 100 m/)).toBeInTheDocument();
    expect(within(walk).getByRole('button', { name: 'Put the stop down' })).toBeDisabled();
    await stop('7');
    await userEvent.click(within(walk).getByRole('button', { name: 'Put the stop down' }));
    expect(await screen.findByText('Not ready')).toBeInTheDocument();
    expect(within(walk).getByRole('img', { name: /at least 3.4 is asked/ })).toBeInTheDocument();
    await stop('3.5');
    await userEvent.click(within(walk).getByRole('button', { name: 'Put the stop down' }));
    expect(await screen.findByText('Ready, as far as it was signed')).toBeInTheDocument();
  });

  test('gears: all crisp on a ring, one that is slow, one over the end keeps it in', async () => {
    const { record } = await drawStage(Prove, whole(), PEOPLE);
    const shifts = await row('Shifts well');
    await userEvent.click(await within(shifts).findByText(/Every gear, both ways/));
    await userEvent.click(within(shifts).getByRole('button', { name: 'All crisp on ring 1' }));
    await waitFor(() => expect(shifts).toHaveTextContent('14 of 28 changes tried'));
    await userEvent.click(within(shifts).getByRole('button', { name: /^Ring 1, cog 4, to a larger cog/ }));
    expect(record().shifts['1.4.larger']?.said).toBe('slow');
    await waitFor(() => expect(shifts).toHaveTextContent('1 not crisp'));
    await userEvent.click(within(shifts).getByRole('button', { name: 'Goes over' }));
    await userEvent.click(within(shifts).getByRole('button', { name: /^Ring 1, cog 8, to a larger cog/ }));
    expect(await screen.findByText('Not ready')).toBeInTheDocument();
    expect(within(await row('Chain stays on at both ends')).getByRole('note')).toHaveTextContent('goes over the end');
  });

  test('what is heard is placed by what changes it, and goes on in the diagnosis', async () => {
    const { record } = await drawStage(Prove);
    const quiet = await row('No noises');
    await userEvent.click(await within(quiet).findByText(/Something is heard/));
    await userEvent.click(await within(quiet).findByRole('button', { name: 'It creaks' }));
    await userEvent.click(
      within(within(quiet).getByRole('group', { name: 'Stop pedalling and roll' })).getByRole('button', {
        name: 'Gone',
      }),
    );
    expect(record().complaints).toMatchObject([
      { complaints: ['creak'], results: [{ test: 'noise-coast', outcome: 'gone' }], closedAt: null },
    ]);
    expect(within(quiet).getByRole('link', { name: 'Find its cause' })).toHaveAttribute(
      'href',
      expect.stringContaining('look-over'),
    );
  });

  test('ten minutes are ridden and looked at again; the second look is dated a week from now, and may be moved', async () => {
    const { record } = await drawStage(Prove, [], PEOPLE);
    const again = await row('Looked at again after ten minutes');
    await userEvent.click(await within(again).findByText(/When it is looked at again/));
    await userEvent.click(within(again).getByRole('button', { name: 'The ten minutes begin now' }));
    expect(within(again).getByRole('timer')).toHaveTextContent('10 min to ride');
    await userEvent.click(within(again).getByRole('button', { name: /^Passed: Looked at again/ }));
    expect(again).toHaveTextContent('Ridden, and looked at again');
    await userEvent.click(within(again).getByRole('button', { name: /Second look in a week/ }));
    expect(within(again).getByLabelText(/Second look, after fifty/)).toBeInTheDocument();
    expect(record().secondLooks.map(({ of }) => of)).toEqual(['ten-minutes', 'fifty-km']);
  });
});

describe('the signature', () => {
  const signIt = () => userEvent.click(screen.getByRole('button', { name: 'Sign the proof' }));

  test('ready is signed by a name once nothing stands in the way; as it is, always', async () => {
    const { record } = await drawStage(Prove, [], PEOPLE);
    await screen.findByText('The signature');
    expect(screen.getByRole('button', { name: 'Sign the proof' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'As it is' }));
    await userEvent.type(screen.getByLabelText('What was left as it is'), 'All of it{Enter}');
    await signIt();
    await screen.findByText(/as it is\./);
    expect(record().signed).toMatchObject([{ by: 'Ada', way: 'as-it-is', left: 'All of it' }]);
    expect(record().signed.map(agreesWithItsSum)).toEqual([true]);
    expect(record().signed[0]!.lines.some(({ words }) => words.startsWith('Open: '))).toBe(true);
  });

  test('nobody at the bench signs nothing', async () => {
    await drawStage(Prove, whole(), { people: [] });
    await screen.findByText('Say first who is at the bench.');
    expect(screen.getByRole('button', { name: 'Sign the proof' })).toBeDisabled();
  });

  test('a change after signing shows, as it was and as it is; the paper stays what was signed', async () => {
    const { workshop } = await drawStage(Prove, whole(), PEOPLE);
    await screen.findByText('The signature');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Sign the proof' })).toBeEnabled());
    await signIt();
    await screen.findByText(/Signed by/);
    expect(screen.queryByText(/from what was signed/)).toBeNull();
    workshop.send('b1', {
      type: 'signBolt',
      signature: {
        id: 'later',
        bolt: 'stem-expander',
        how: 'wrench',
        valueNm: 17,
        at: new Date().toISOString(),
        by: 'Bo',
        holdTest: false,
        what: 'done',
        foundLoose: false,
      },
    });
    expect(await screen.findByText('One line differs from what was signed.')).toBeInTheDocument();
    await userEvent.click(screen.getByText('What differs'));
    expect(screen.getByText(/Stem expander bolt: 17 N·m \(Bo\)/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Its paper' }));
    const paper = await screen.findByRole('dialog');
    expect(paper).toHaveTextContent('it is no certificate');
    expect(paper).not.toHaveTextContent('17 N·m (Bo)');
  });
});

test('the stage before is not disturbed: a rebuild of the same bicycle still counts its bolts', async () => {
  await drawStage(Rebuild, whole(), PEOPLE);
  expect(await screen.findByText(/(\d+) of \1 signed/)).toBeInTheDocument();
  expect(applyAll(newBicycle('b2', AT, 'y'), whole(), AT, 'x').signatures.length).toBeGreaterThan(20);
});
