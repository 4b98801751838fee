import { act, screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { lawOf } from '../../../tests/wholeBicycle';
import { newBicycle } from '@/model/fresh';
import { lastReading, roundNow, trueInput, turnsMade, usualBuild } from '@/model/wheels/questions';
import type { StageViewProps } from '../workshop/declared';
import { useSettingUp } from '../setup/useSettingUp';
import { scaleOf } from './WheelFigure';
import { WheelAt } from './WheelAt';
import { isClockwise, keyWords, turnWords } from './words';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
function Rear({ bicycle, send }: StageViewProps) {
  const settingUp = useSettingUp(bicycle, null, null);
  return settingUp && <WheelAt bicycle={bicycle} send={send} end="rear" settingUp={settingUp} lookOver={null} />;
}
const bicycle = newBicycle('b', AT, 'B');
const built = { type: 'buildWheel' as const, end: 'rear' as const, build: usualBuild(bicycle, 'rear') };
const bump = Array.from({ length: 36 }, (_, i) => Math.round(140 * Math.exp(-(((i - 9) / 3) ** 2))) / 100);
const reading = { id: 'r1', at: AT, by: 'Ada', end: 'rear' as const, lateralMm: bump, dishMm: null };

describe('words at the nipple', () => {
  test('tightening is clockwise from the tyre and the other way from the hub: the classic wrong turn', () => {
    expect(isClockwise(0.25, 'tyre')).toBe(true);
    expect(isClockwise(0.25, 'hub')).toBe(false);
    expect(isClockwise(-0.25, 'hub')).toBe(true);
    expect(keyWords(-0.5, 'tyre')).toMatch(/^Anticlockwise, seen from the tyre/);
    expect(turnWords(6, 'left', 0.25)).toBe('Spoke 7, left: a quarter turn tighter');
  });

  test('a small swing is drawn larger than a large one', () => {
    expect(scaleOf([0.2])).toBeGreaterThan(scaleOf([3]));
    expect(scaleOf([3]) * 3).toBeLessThanOrEqual(34);
  });
});

describe('what is known of a wheel', () => {
  test('a reading of another count of spokes says nothing of it; a round answers the reading that it was begun from', () => {
    const known = { ...bicycle, wheelReadings: [reading], wheelBuilds: { rear: built.build } };
    expect(lastReading(known, 'rear', 36)).toBe(reading);
    expect(lastReading(known, 'rear', 32)).toBeNull();
    expect(trueInput({ ...known, wheelBuilds: { rear: { ...built.build, spokes: 32 } } }, 'rear')).toBeNull();
    const round = {
      id: 'x',
      at: AT,
      by: '',
      end: 'rear' as const,
      reading: 'r1',
      turns: [{ spoke: 3, turns: 0.5, made: true }],
    };
    expect(roundNow({ ...known, wheelRounds: [round] }, 'rear', 36)).toBe(round);
    expect(roundNow({ ...known, wheelRounds: [{ ...round, reading: 'older' }] }, 'rear', 36)).toBeNull();
    expect(turnsMade({ wheelRounds: [round] }, 'rear', 36)[3]).toBe(0.5);
    // Read again, it teaches.
    const after = { ...reading, id: 'r2' };
    const asked = trueInput({ ...known, wheelReadings: [reading, after], wheelRounds: [round] }, 'rear')!;
    expect(asked.history).toEqual([
      { turns: [{ spoke: 3, turns: 0.5 }], before: { lateralMm: bump }, after: { lateralMm: bump } },
    ]);
  });

  test('a rim that nothing brakes on may swing further', () => {
    const known = { ...bicycle, wheelReadings: [reading], wheelBuilds: { rear: built.build } };
    expect(trueInput(known, 'rear')!.limits).toEqual({ lateralMm: 0.5 });
    expect(trueInput({ ...known, kind: { ...bicycle.kind, brakes: 'disc' } }, 'rear')!.limits).toEqual({
      lateralMm: 1,
    });
  });
});

describe('the wheel in the stand', () => {
  test('a usual wheel to begin from; 33 spokes are refused; it is put down as it is built', async () => {
    const { record } = await drawStage(Rear, [], PEOPLE);
    const spokes = screen.getByLabelText('Spokes');
    await userEvent.clear(spokes);
    await userEvent.type(spokes, '33{Enter}');
    expect(await screen.findByText(/an even number/)).toBeInTheDocument();
    await userEvent.clear(spokes);
    await userEvent.type(spokes, '32{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'So it is built' }));
    expect(record().wheelBuilds.rear).toMatchObject({ spokes: 32, crossings: 3 });
  });

  const ready = ['play-first', 'rim-looked', 'nipples-oiled', 'key-fits'].map((step) => ({
    type: 'setUpStep' as const,
    place: 'rim.rear',
    step,
    done: { at: AT, by: 'Ada' },
  }));
  const told = () => screen.getByRole('status', { name: 'What the wheel wants' });

  test('three spots by eye, then the round nipple by nipple; each is work at the spokes, and may be taken back', async () => {
    const { record } = await drawStage(Rear, [built, ...ready], PEOPLE);
    const spot = async (where: string, mm: string, way: string) => {
      await userEvent.click(await screen.findByRole('button', { name: where }));
      await userEvent.clear(screen.getByLabelText('By'));
      await userEvent.type(screen.getByLabelText('By'), `${mm}{Enter}`);
      await userEvent.click(screen.getByRole('button', { name: way }));
    };
    await spot('At the valve', '1,2', 'Swings left');
    await spot('A quarter on', '0.3', 'Swings right');
    expect(screen.getByRole('button', { name: '1 more' })).toBeDisabled();
    await spot('Opposite', '30', 'Runs true');
    expect(screen.getByText('0 to 15 mm')).toBeInTheDocument();
    await spot('Three quarters on', '0.3', 'Swings right');
    await userEvent.click(screen.getByRole('button', { name: 'That is how it swings' }));
    expect(record().wheelReadings[0]!.lateralMm.filter((each) => each !== null)).toEqual([1.2, -0.3, 0, -0.3]);
    await userEvent.click(await screen.findByRole('button', { name: /^Turn \d+ nipples$/ }));
    const count = record().wheelRounds[0]!.turns.length;
    const turned = () => screen.getByRole('button', { name: /^Turned/ });
    expect(turned()).toHaveFocus();
    await userEvent.keyboard(' ');
    expect(record().wheelRounds[0]!.turns.filter(({ made }) => made)).toHaveLength(1);
    expect(record().worked.map(({ place }) => place)).toContain('spokes.rear');
    await userEvent.click(screen.getByRole('button', { name: 'Back one' }));
    expect(record().wheelRounds[0]!.turns.filter(({ made }) => made)).toHaveLength(0);
    for (let i = 0; i < count; i++) await userEvent.click(turned());
    expect(await screen.findByText(`All ${count} are turned`)).toBeInTheDocument();
    expect(screen.getByText(/Squeeze the pairs hard/)).toBeInTheDocument();
  });

  test('the order is held: nothing is turned before what comes first is done', async () => {
    await drawStage(Rear, [built, { type: 'readWheel', reading }], PEOPLE);
    const turn = await screen.findByRole('button', { name: /^Turn \d+ nipples$/ });
    expect(turn).toBeDisabled();
    const first = () => within(screen.getByRole('region', { name: 'Before the first turn' }));
    for (const name of [/Bearing play out/, /Rim looked at/, /A drop of oil/, /The tightest key/])
      await userEvent.click(await first().findByRole('checkbox', { name }));
    expect(screen.queryByRole('region', { name: 'Before the first turn' })).toBeNull();
    expect(screen.getByRole('button', { name: /^Turn \d+ nipples$/ })).toBeEnabled();
  });

  test('a nipple that turns by finger: tension first, and not a word of the wobble', async () => {
    await drawStage(Rear, [built, ...ready, { type: 'readWheel', reading }], PEOPLE);
    await waitFor(() => expect(told()).toHaveTextContent('sideways'));
    await userEvent.click(await screen.findByText(/^Nipples that turn by finger/));
    await userEvent.click(screen.getByRole('button', { name: 'Nipple 5' }));
    await waitFor(() => expect(told()).toHaveTextContent('Tension first'));
    expect(within(told()).getByText(/turned by finger/)).toBeInTheDocument();
    expect(told()).not.toHaveTextContent('sideways');
    await userEvent.click(screen.getByRole('button', { name: 'Nipple 5, turned by finger' }));
    await waitFor(() => expect(told()).not.toHaveTextContent('Tension first'));
  });

  test('read spoke by spoke, each kept as it comes: 35 of 36 do, the last is left out, 30 mm is refused', async () => {
    const { record } = await drawStage(Rear, [built, ...ready], PEOPLE);
    await userEvent.click(await screen.findByRole('button', { name: 'Spoke by spoke' }));
    const field = () => screen.getByLabelText('Sideways', { selector: 'input' });
    const which = () => screen.getByRole('status', { name: 'Which spoke' });
    expect(which()).toHaveTextContent('Spoke 1, left');
    await userEvent.type(field(), '30{Enter}');
    expect(await screen.findByText('-15 to 15')).toBeInTheDocument();
    await userEvent.clear(field());
    // Left is more, right is less: a gauge goes either way from its nought.
    const swings = bump.map((mm) => Math.round((mm - 0.4) * 100) / 100);
    for (const mm of swings.slice(0, 35)) await userEvent.type(field(), `${String(mm).replace('.', ',')}{Enter}`);
    expect(which()).toHaveTextContent('Spoke 36, right');
    expect(record().wheelReadings).toHaveLength(1);
    expect(record().wheelReadings[0]!.lateralMm).toEqual([...swings.slice(0, 35), null]);
    expect(screen.getByText(/35 of 36 read/)).toHaveTextContent('straight between its neighbours');
    await userEvent.click(screen.getByRole('button', { name: 'That is all' }));
    await waitFor(() => expect(told()).toHaveTextContent('1.4'));
  });

  test('another count of spokes under a running round: it is told, and nothing of it is lost', async () => {
    const round = {
      id: 'x',
      at: AT,
      by: '',
      end: 'rear' as const,
      reading: 'r1',
      turns: [{ spoke: 4, turns: 0.25, made: false }],
    };
    const { record, workshop } = await drawStage(
      Rear,
      [built, ...ready, { type: 'readWheel', reading }, { type: 'beginRound', round }],
      PEOPLE,
    );
    expect(await screen.findByRole('status', { name: 'The round' })).toHaveTextContent('Spoke 5, left');
    const fewer = { ...built, build: { ...built.build, spokes: 32 } };
    act(() => workshop.send('b1', fewer));
    expect(await screen.findByRole('alert')).toHaveTextContent('A round of 36 spokes is under way');
    expect(record().wheelRounds).toEqual([round]);
    act(() => workshop.send('b1', built));
    expect(await screen.findByRole('status', { name: 'The round' })).toHaveTextContent('Spoke 5, left');
  });

  test('the third that rounds off puts what all of them come to beside going on; the house may count at the first', async () => {
    const round = {
      id: 'x',
      at: AT,
      by: '',
      end: 'rear' as const,
      reading: 'r1',
      turns: [4, 6, 9, 12].map((spoke) => ({ spoke, turns: 0.25, made: false })),
    };
    const begun = [built, ...ready, { type: 'readWheel' as const, reading }, { type: 'beginRound' as const, round }];
    const { record } = await drawStage(Rear, begun, { ...PEOPLE, labourPerHour: 1500 });
    const off = () => userEvent.click(screen.getByRole('button', { name: 'It rounds off' }));
    await screen.findByRole('status', { name: 'The round' });
    await off();
    expect(await screen.findByText(/1 of 1 spoilt: renewed by itself/)).toBeInTheDocument();
    await off();
    await off();
    expect(await screen.findByText('One of these')).toBeInTheDocument();
    expect(record().nipples).toEqual({ 'rear/4': 'rounded', 'rear/6': 'rounded', 'rear/9': 'rounded' });
    expect(record().wheelRounds[0]!.turns.map(({ spoke }) => spoke)).toEqual([12]);
    await userEvent.click(await screen.findByRole('button', { name: /^Keep: New nipples all round/ }));
    expect(record().jobs.find(({ decision }) => decision === 'keep')?.title).toBe('New nipples all round, rear');
  });

  test('tones: each pluck goes to its spoke; evenness until one is metered, newtons from then on', async () => {
    const tones = Array.from({ length: 36 }, (_, i) => (i % 2 === 0 ? 420 : 560) * (i === 6 ? 0.7 : 1));
    const { record } = await drawStage(
      Rear,
      [built, ...ready, { type: 'readWheel', reading: { ...reading, lateralMm: bump.map(() => 0), toneHz: tones } }],
      PEOPLE,
    );
    await waitFor(() => expect(told()).toHaveTextContent('by tone'));
    expect(told()).not.toHaveTextContent(' N');
    await userEvent.click(screen.getByText('Tension by tone'));
    const metered = await screen.findByLabelText(/^Metered, spoke/);
    await userEvent.type(metered, '700{Enter}');
    expect(record().wheelReadings[0]!.metered).toEqual({ spoke: 35, tensionN: 700 });
    await waitFor(() => expect(told()).toHaveTextContent('700 N'));
  });

  test('bent metal is said before the first turn, and goes onto the findings once', async () => {
    const dent = bump.map((_, i) => (i === 8 ? 3 : i === 7 || i === 9 ? 1.2 : 0));
    const { record } = await drawStage(
      Rear,
      [built, { type: 'readWheel', reading: { ...reading, lateralMm: dent } }],
      PEOPLE,
    );
    const note = await screen.findByRole('note', { name: 'What no nipple cures' });
    expect(note).toHaveTextContent(/Bent .* mm to the left at spoke 9/);
    await userEvent.click(within(note).getByRole('button', { name: 'Onto the findings' }));
    expect(record().observations.map(({ check, evidence }) => [check, evidence.outcome])).toEqual([
      ['rim-rear', 'flat'],
    ]);
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Onto the findings' })).toBeNull());
  });

  test('what hand and gauge of the look-over found is begun with; true, it is put down where proof and look-over know it', async () => {
    const seen = (id: string, check: string, evidence: object) => ({
      type: 'addObservation' as const,
      observation: {
        id,
        check,
        at: AT,
        evidence,
        seenAs: 'bought' as const,
        note: '',
        withdrawn: false,
        stage: 'look-over' as const,
      },
    });
    const pairs = Array.from({ length: 18 }, (_, i) => (i === 3 ? 'soft' : 'even'));
    const { record } = await drawStage(
      Rear,
      [
        built,
        seen('o1', 'runout-rear', { readingsMm: [0, 0.2, 0.3, 0.2, 0, -0.1] }),
        seen('o2', 'spokes-rear', { pairs }),
      ],
      PEOPLE,
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Begin with what the look-over read' }));
    const [first] = record().wheelReadings;
    expect(first!.lateralMm.slice(0, 7)).toEqual([0, 0.03, 0.07, 0.1, 0.13, 0.17, 0.2]);
    expect(first!.feels!.flatMap((feel, i) => (feel === 'soft' ? [i] : []))).toEqual([5, 7]);
    await waitFor(() => expect(told()).toHaveTextContent('by hand'));
    await userEvent.click(screen.getByText('Read it again'));
    await userEvent.click(screen.getByRole('button', { name: 'At the valve' }));
    for (const where of ['A quarter on', 'Opposite']) {
      await userEvent.click(screen.getByRole('button', { name: 'Runs true' }));
      await userEvent.click(screen.getByRole('button', { name: where }));
    }
    await userEvent.click(screen.getByRole('button', { name: 'Runs true' }));
    await userEvent.click(screen.getByRole('button', { name: 'That is how it swings' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Note as trued' }));
    expect(record().observations.at(-1)).toMatchObject({ check: 'runout-rear', stage: 'prove', by: 'Ada' });
    expect(record().secondLooks).toMatchObject([{ of: 'fifty-km' }]);
  });
});

describe('spokes and lacing', () => {
  test('one broken spoke: its length, its steps in order, nobody rides on it; the third says rebuild', async () => {
    const { record } = await drawStage(Rear, [built], PEOPLE);
    const breaks = async (spoke: string) => {
      await userEvent.click(screen.getByRole('combobox', { name: 'Which broke' }));
      await userEvent.click(await screen.findByRole('option', { name: spoke }));
      await userEvent.click(screen.getByRole('button', { name: 'It broke' }));
    };
    await userEvent.click(await screen.findByText('A broken spoke'));
    await breaks('Spoke 4, right');
    // The cogs are on its side.
    expect(await screen.findByRole('checkbox', { name: 'Cogs, disc and tyre off' })).toBeInTheDocument();
    expect(screen.getByText(/^\d{3} mm$/)).toBeInTheDocument();
    const dangers = () => lawOf(record(), '2026-11-25').ready.missing.filter(({ id }) => id.startsWith('spoke-'));
    expect(dangers()).toHaveLength(1);
    await userEvent.click(screen.getByRole('checkbox', { name: 'In, and crossed as its neighbours are' }));
    expect(record().worked.at(-1)).toMatchObject({ place: 'spokes.rear', kind: 'renewed' });
    await userEvent.click(screen.getByRole('checkbox', { name: 'The whole wheel read, and trued' }));
    expect(dangers()).toHaveLength(0);
    await userEvent.click(await screen.findByText('A broken spoke'));
    await breaks('Spoke 7, left');
    await waitFor(() => expect(screen.getAllByRole('list', { name: 'Renewed step by step' })).toHaveLength(2));
    await breaks('Spoke 9, left');
    expect(await screen.findByText(/3 have broken/)).toBeInTheDocument();
  });

  test('spokes to buy of each side; laced spoke by spoke by the space bar, back one, and left for another day', async () => {
    const { record } = await drawStage(Rear, [built], PEOPLE);
    await userEvent.click(await screen.findByText('Spokes to buy, and lacing'));
    expect(await screen.findByText(/^19 spokes of \d{3} mm, 19 spokes of \d{3} mm, 38 nipples/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: '62 to the inch' }));
    expect(screen.getByText(/no modern nipple goes on/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Put it on order' }));
    expect(record().deliveries).toMatchObject([{ place: 'spokes.rear', arrivedAt: null }]);
    await userEvent.click(screen.getByRole('button', { name: 'Lace it anew' }));
    const told = () => screen.getByRole('status', { name: 'The lacing' });
    await waitFor(() => expect(told()).toHaveTextContent('1 of 36'));
    expect(record().lacings.rear).toEqual({ pulling: 'outside', laced: 0 });
    expect(screen.getByRole('button', { name: 'It is in' })).toHaveFocus();
    await userEvent.keyboard(' ');
    await waitFor(() => expect(told()).toHaveTextContent('2 of 36'));
    expect(lawOf(record(), '2026-11-25').ready.missing.map(({ id }) => id)).toContain('lacing-rear');
    await userEvent.click(screen.getByRole('button', { name: 'Back one' }));
    await waitFor(() => expect(told()).toHaveTextContent('1 of 36'));
    for (let i = 0; i < 36; i++) await userEvent.click(await screen.findByRole('button', { name: 'It is in' }));
    await waitFor(() => expect(told()).toHaveTextContent('All 36 are in'));
    expect(lawOf(record(), '2026-11-25').ready.missing.map(({ id }) => id)).not.toContain('lacing-rear');
    await userEvent.click(screen.getByRole('button', { name: 'Into the stand with it' }));
    expect(record().lacings.rear).toBeUndefined();
  });

  test('a hub that is wider than its rim is told in words', async () => {
    const wide = { ...built, build: { ...built.build, rimRadiusMm: 120, leftRadiusMm: 120 } };
    await drawStage(Rear, [wide], PEOPLE);
    await userEvent.click(await screen.findByText('Spokes to buy, and lacing'));
    expect(await screen.findByRole('alert')).toHaveTextContent('wider than its rim');
  });
});
