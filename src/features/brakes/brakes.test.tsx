import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { everythingSigned, lawOf } from '../../../tests/wholeBicycle';
import { bicycleKind } from '@/core/bicycle';
import type { StockItem } from '@/model/stock/item';
import { useFindings } from '../workshop/useFindings';
import { SetUp } from '../setup/SetUp';
import { useSettingUp } from '../setup/useSettingUp';
import { AskBrake } from './AskBrake';
import { BrakeForce } from './BrakeForce';
import { Cables } from './Cables';
import type { StageViewProps } from '../workshop/declared';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
function Front({ bicycle, send }: StageViewProps) {
  const lookOver = useFindings(bicycle);
  const settingUp = useSettingUp(bicycle, null, lookOver);
  const at = { bicycle, send, place: 'brake.front' } as const;
  return (
    <>
      <AskBrake {...at} />
      {settingUp && <SetUp {...at} settingUp={settingUp} lookOver={lookOver} />}
      <BrakeForce {...at} />
    </>
  );
}
const describe_ = (changes: object) => ({ type: 'describeKind' as const, changes });

test('a step that is ticked stands with who did it, and asks for the brake’s proof again', async () => {
  const at = new Date(Date.now() - 3_600_000).toISOString();
  const { record } = await drawStage(Front, everythingSigned(bicycleKind.parse({}), at), PEOPLE);
  const today = new Date().toISOString().slice(0, 10);
  expect(lawOf(record(), today).ready.missing.filter(({ blocks }) => blocks)).toEqual([]);
  await userEvent.click(await screen.findByRole('checkbox', { name: 'Locknut or safety nut, left and right' }));
  expect(record().setSteps).toMatchObject({ 'brake.front/locknuts': { by: 'Ada' } });
  expect(lawOf(record(), today).ready.missing.map(({ kind, id }) => `${kind} ${id}`)).toContain(
    'proof-reopened brakes-anchor',
  );
  await userEvent.click(screen.getByRole('checkbox', { name: 'Locknut or safety nut, left and right' }));
  expect(record().setSteps).toEqual({});
});

test('no bleeding is told before the fluid is known, and then that of the one alone', async () => {
  const { record } = await drawStage(Front, [describe_({ brakes: 'disc', frontActuation: 'hydraulic' })]);
  expect(await screen.findByText(/Nothing that moves fluid is told before/)).toBeInTheDocument();
  expect(screen.queryByText(/^Bleed it/)).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Mineral oil' }));
  await userEvent.click(await screen.findByText(/^Bleed it/));
  expect(screen.getByRole('checkbox', { name: 'Bled with mineral oil' })).toBeInTheDocument();
  expect(screen.queryByText('Bled with glycol fluid')).toBeNull();
  expect(record().brakeFluids).toEqual({ 'brake.front': 'mineral' });
});

test('the yoke is moved by keys: lower is stronger; what it stands at is put down, and hand to pad goes on from it', async () => {
  const { record } = await drawStage(Front, [describe_({ brakes: 'cantilever' })]);
  await userEvent.click(await screen.findByText('Yoke and arms: force and travel'));
  await userEvent.click(screen.getByRole('button', { name: 'Show a usual one to try with' }));
  const force = async () =>
    Number.parseFloat(
      within(await screen.findByRole('status', { name: 'Force and travel' })).getByText(/ N$/).textContent,
    );
  const before = await force();
  const yoke = screen.getByRole('slider', { name: 'Height of the yoke' });
  for (let i = 0; i < 4; i++) fireEvent.keyDown(yoke, { key: 'ArrowDown', shiftKey: true });
  await waitFor(async () => expect(await force()).toBeGreaterThan(before));
  // Nothing was measured yet, so nothing is on record.
  expect(record().brakeNumbers).toEqual({});
  await userEvent.click(screen.getByRole('button', { name: 'It stands so' }));
  expect(record().brakeNumbers).toMatchObject({ 'brake.front/yoke': 65, 'brake.front/pivot-half': 40 });

  await userEvent.click(screen.getByText(/^From hand to pad/));
  for (const [label, value] of [
    ['Lever ratio', '4'],
    ['Lever pulls', '5'],
    ['Bends of the outer', '200'],
    ['Pad travel', '3'],
  ] as const)
    await userEvent.type(screen.getByLabelText(label), `${value}{Enter}`);
  expect(screen.queryByLabelText('Arm ratio')).toBeNull();
  const chain = await screen.findByRole('status', { name: 'From hand to pad' });
  expect(chain).toHaveTextContent('it comes to the bar');
});

test('a yoke under its anchor is refused in words', async () => {
  const numbers = { 'pivot-half': 40, 'anchor-out': 30, 'anchor-up': 60, 'pad-in': 10, 'pad-up': 25, yoke: 50 };
  await drawStage(Front, [
    describe_({ brakes: 'cantilever' }),
    { type: 'measureBrake', place: 'brake.front', changes: numbers },
  ]);
  await userEvent.click(await screen.findByText('Yoke and arms: force and travel'));
  expect(await screen.findByText(/the yoke stands above where the wire is held/)).toBeInTheDocument();
});

describe('the cut list', () => {
  const Brakes = ({ bicycle, send }: StageViewProps) => <Cables bicycle={bicycle} send={send} place="cables.brake" />;
  const coil = (
    id: string,
    kind: 'brake-outer' | 'index-outer' | 'brake-inner',
    lengthMm: number,
    heads: ('pear' | 'barrel')[] = [],
  ): StockItem => ({
    id,
    label: `${kind} ${id}`,
    place: 'cables.brake',
    size: '',
    state: 'new',
    from: '',
    bicycle: null,
    quantity: 1,
    cable: { kind, lengthMm, heads },
    worth: 0,
    cost: 0,
    at: new Date().toISOString(),
    goneAt: null,
  });

  test('old pieces win, one that pulled tight gets longer; index outer is not used for a brake; what is wanting is named', async () => {
    const { record, workshop } = await drawStage(Brakes);
    await act(() => workshop.putStock([coil('a', 'index-outer', 5000), coil('b', 'brake-inner', 1800, ['pear'])]));
    const front = (await screen.findByRole('group', { name: 'Front brake, outer' })).closest('li')!;
    expect(front).toHaveTextContent('±40');
    await userEvent.type(within(front).getByLabelText('Old one'), '510{Enter}');
    expect(front).toHaveTextContent('510 mm');
    await userEvent.click(within(front).getByRole('checkbox', { name: 'Pulled tight at full lock' }));
    await waitFor(() => expect(front).toHaveTextContent('550 mm'));
    expect(record().oldCables).toEqual({ 'outer-front-brake': { lengthMm: 510, tooShort: true } });
    expect(await screen.findByText('4 of 5 are wanting.')).toBeInTheDocument();
    expect(screen.getByText('Front brake, outer: no brake outer is there.')).toBeInTheDocument();
    await act(() => workshop.putStock([coil('c', 'brake-outer', 5000)]));
    expect(await screen.findByText('1 of 5 is wanting.')).toBeInTheDocument();
    expect(within(screen.getByRole('list', { name: 'Cuts' })).getAllByRole('listitem')).toHaveLength(2);
    expect(screen.getByText(/nothing is cut yet/)).toBeInTheDocument();

    // Nothing is cut before the bar is settled; then the drawer, the costs and the list know.
    expect(screen.getByRole('button', { name: 'It is cut' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Put what is wanting on order' }));
    expect(record().deliveries).toMatchObject([
      { label: expect.stringContaining('brake inner, pear head') as string, place: 'cables.brake' },
    ]);
    expect(screen.getByRole('button', { name: 'On order' })).toBeDisabled();
    workshop.send('b1', { type: 'settleBar', settled: true });
    await userEvent.click(await screen.findByRole('button', { name: 'It is cut' }));
    await waitFor(() => expect(Object.keys(record().cutCables)).toHaveLength(4));
    const rest = Object.values(workshop.store.getState().stock).find(({ label }) => label.startsWith('Rest of'));
    expect(rest?.cable?.lengthMm).toBeLessThan(5000);
    expect(record().lines).toHaveLength(2);
    expect(front).toHaveTextContent('Cut at 550 mm');
    expect(await screen.findByText('1 of 1 is wanting.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Cut anew: Front brake, outer' }));
    expect(await screen.findByText('1 of 2 is wanting.')).toBeInTheDocument();
  });
});
