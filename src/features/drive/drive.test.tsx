import { screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { chainLengthInput, gearsInput, rollMm } from '@/model/drive/questions';
import { newBicycle } from '@/model/fresh';
import type { StageViewProps } from '../workshop/declared';
import { DriveAt } from './DriveAt';
import { readTeeth, refuseTeeth } from './readTeeth';
import { nextShift, shiftsOf, tellsEnough } from './walk';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
const at = (place: string) =>
  function At({ bicycle, send }: StageViewProps) {
    return <DriveAt bicycle={bicycle} send={send} place={place} />;
  };
const NINE = [11, 12, 14, 16, 18, 21, 24, 28, 32];
const counted = [
  { type: 'countTeeth' as const, of: 'rings' as const, teeth: [34, 48] },
  { type: 'countTeeth' as const, of: 'cogs' as const, teeth: NINE },
];

describe('teeth', () => {
  test('are read as they are typed, and refused in words', () => {
    expect(readTeeth('48/34')).toEqual([34, 48]);
    expect(readTeeth('11-13, 15')).toEqual([11, 13, 15]);
    expect(refuseTeeth('48, 34', 4)).toBeNull();
    expect(refuseTeeth('forty', 4)).toContain('whole numbers');
    expect(refuseTeeth('5', 4)).toContain('7 to 70');
    expect(refuseTeeth('30 31 32 33 34', 4)).toBe('at most 4');
  });

  test('counted once they are known as cogs of the bicycle, and asked nowhere again', async () => {
    const { record } = await drawStage(at('chainrings'), []);
    await userEvent.type(screen.getByLabelText('Rings'), '48, 34{Enter}');
    await userEvent.type(screen.getByLabelText('Cogs'), '11 12 14 16 18 21 24 28 32{Enter}');
    expect(record()).toMatchObject({ teeth: { rings: [34, 48], cogs: NINE }, kind: { rings: 2, cogs: 9 } });
    expect(await screen.findByRole('img', { name: /^18 gears from/ })).toBeInTheDocument();
    await userEvent.clear(screen.getByLabelText('Cogs'));
    await userEvent.type(screen.getByLabelText('Cogs'), '3{Enter}');
    expect(await screen.findByText('7 to 70 teeth')).toBeInTheDocument();
    expect(record().teeth.cogs).toEqual(NINE);
  });

  test('one turn of the wheel is its own size, and nothing is reckoned before both are counted', () => {
    const bicycle = newBicycle('b', AT, 'B');
    expect(rollMm(bicycle)).toBeCloseTo(Math.PI * (622 + 64), 6);
    expect(gearsInput(bicycle, null)).toBeNull();
    expect(chainLengthInput({ ...bicycle, teeth: { rings: [48], cogs: NINE } })).toBeNull();
  });
});

test('what other cogs would gain is told, and nothing of it is put down', async () => {
  const { record } = await drawStage(at('cogs'), counted);
  await userEvent.click(await screen.findByText('What if: other rings or cogs'));
  await userEvent.type(screen.getByLabelText('Cogs instead'), '11 13 15 17 19 21 24 28 36');
  expect(await screen.findByText(/^Lowest 2\.0\d m \(−11 %\), highest 9\.\d+ m \(as now\)/)).toBeInTheDocument();
  expect(record().teeth.cogs).toEqual(NINE);
});

test('a lever for ten on nine cogs: it is said before anything is ordered', async () => {
  const { record } = await drawStage(at('shifter.right'), counted);
  for (const label of ['Shifter', 'Rear derailleur']) {
    await userEvent.click(await screen.findByRole('combobox', { name: label }));
    await userEvent.click(await screen.findByRole('option', { name: /^Ratio 1\.7,/ }));
  }
  const told = await screen.findByRole('status', { name: 'Will it work together' });
  expect(told).toHaveTextContent('Works together');
  await userEvent.type(screen.getByLabelText('Shifter clicks for'), '10{Enter}');
  await waitFor(() => expect(told).toHaveTextContent('Does not work together'));
  expect(told).toHaveTextContent('1.76 mm');
  expect(record().driveFigures['shifter-cogs']).toBe(10);
  // A shifter that the family has not is refused in a sentence.
  await userEvent.clear(screen.getByLabelText('Shifter clicks for'));
  await userEvent.type(screen.getByLabelText('Shifter clicks for'), '12{Enter}');
  expect(await screen.findByText(/^of ratio 1\.7 there are shifters for/)).toBeInTheDocument();
});

test('the rest is judged as far as it is said: chain, body, axle', async () => {
  const { record } = await drawStage(at('cogs'), counted);
  await userEvent.click(await screen.findByText('Chain, body, axle, chain line, brake levers'));
  await userEvent.click(await screen.findByRole('combobox', { name: 'The chain is for' }));
  await userEvent.click(await screen.findByRole('option', { name: 'Ten cogs' }));
  await userEvent.type(screen.getByLabelText('Between the rear ends'), '126{Enter}');
  await userEvent.type(screen.getByLabelText('Hub over its locknuts'), '130{Enter}');
  const list = await screen.findByRole('list', { name: 'What goes together' });
  expect(list).toHaveTextContent('A narrower chain on wider cogs runs');
  expect(list).toHaveTextContent('a steel frame is set cold by who has the tools');
  expect(record().driveFamilies.chain).toBe('10');
});

describe('indexing at the bicycle', () => {
  test('the shifts go from the smallest cog up and back; both ways tell enough', () => {
    expect(shiftsOf(3)).toEqual([
      { gear: 2, way: 'toLarger' },
      { gear: 3, way: 'toLarger' },
      { gear: 2, way: 'toSmaller' },
      { gear: 1, way: 'toSmaller' },
    ]);
    const round = {
      id: 'r',
      at: AT,
      by: '',
      turns: 0,
      gears: [{ gear: 2, toLarger: 'crisp' as const, toSmaller: null }],
    };
    expect(nextShift(round, 3)).toEqual({ gear: 3, way: 'toLarger' });
    expect(tellsEnough(round, 3)).toBe(false);
  });

  test('slow both ways: friction, the barrel is left; nothing is advised from one way alone', async () => {
    const { record } = await drawStage(at('derailleur.rear'), counted, PEOPLE);
    const feel = (name: string) => userEvent.click(screen.getByRole('button', { name }));
    for (let i = 0; i < 8; i++) await feel('Slow');
    expect(screen.queryByRole('status', { name: 'What the shifts say' })).toBeNull();
    for (let i = 0; i < 8; i++) await feel('Slow');
    const told = await screen.findByRole('status', { name: 'What the shifts say' });
    expect(told).toHaveTextContent('Friction');
    expect(told).toHaveTextContent('Look at the last loop at the rear first');
    expect(screen.queryByRole('button', { name: /shift through again/ })).toBeNull();
    expect(record().shiftRounds).toHaveLength(1);
    expect(record().shiftRounds[0]).toMatchObject({ by: 'Ada', turns: 0 });
    // Feeling shifts is no work.
    expect(record().worked).toEqual([]);
  });

  test('the barrel turned is work at the derailleur, and a new round begins', async () => {
    const { record } = await drawStage(at('derailleur.rear'), counted, PEOPLE);
    const group = await screen.findByRole('group', { name: 'How it took' });
    for (let i = 0; i < 8; i++) await userEvent.click(within(group).getByRole('button', { name: 'Slow' }));
    for (let i = 0; i < 8; i++) await userEvent.click(within(group).getByRole('button', { name: 'Crisp' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Turned: shift through again' }));
    expect(record().shiftRounds).toHaveLength(2);
    expect(record().shiftRounds[1]!.turns).toBeGreaterThan(0);
    expect(record().worked.map(({ place, kind }) => [place, kind])).toEqual([['derailleur.rear', 'adjusted']]);
  });
});

test('early or to the end: five figures and it is told which is cheaper', async () => {
  await drawStage(at('chain'), counted);
  await userEvent.click(await screen.findByText('Chains early, or all of it to the end'));
  for (const [label, value] of [
    ['A chain', '25'],
    ['A set of cogs', '60'],
    ['A chain runs, early', '3000'],
    ['Chains to a set of cogs', '4'],
    ['Both run, to the end', '7000'],
  ] as const)
    await userEvent.type(screen.getByLabelText(label), `${value}{Enter}`);
  const told = await screen.findByRole('status', { name: 'What it costs' });
  expect(told).toHaveTextContent('To the end is cheaper');
  expect(told).toHaveTextContent('6375 km');
});
