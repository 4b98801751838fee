import { screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { newBicycle } from '@/model/fresh';
import { lastReading, roundNow, trueInput, turnsMade, usualBuild } from '@/model/wheels/questions';
import type { StageViewProps } from '../workshop/declared';
import { scaleOf } from './WheelFigure';
import { WheelAt } from './WheelAt';
import { isClockwise, keyWords, turnWords } from './words';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
const Rear = ({ bicycle, send }: StageViewProps) => <WheelAt bicycle={bicycle} send={send} end="rear" />;
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

  test('three spots by eye, then the round nipple by nipple; each is work at the spokes, and may be taken back', async () => {
    const { record } = await drawStage(Rear, [built], PEOPLE);
    const spot = async (spoke: number, mm: string, side: string) => {
      await userEvent.click(await screen.findByRole('combobox', { name: 'At spoke' }));
      await userEvent.click(await screen.findByRole('option', { name: String(spoke) }));
      await userEvent.clear(screen.getByLabelText('By'));
      await userEvent.type(screen.getByLabelText('By'), `${mm}{Enter}`);
      await userEvent.click(screen.getByRole('button', { name: side }));
    };
    await spot(1, '1.2', 'To the left');
    await spot(13, '0.3', 'To the right');
    expect(screen.getByRole('button', { name: '1 more' })).toBeDisabled();
    await spot(25, '0.3', 'To the right');
    await userEvent.click(screen.getByRole('button', { name: 'That is how it swings' }));
    expect(record().wheelReadings[0]!.lateralMm.filter((each) => each !== null)).toEqual([1.2, -0.3, -0.3]);
    await userEvent.click(await screen.findByRole('button', { name: /^Turn \d+ nipples$/ }));
    const count = record().wheelRounds[0]!.turns.length;
    const turned = () => screen.getByRole('button', { name: /^Turned/ });
    expect(turned()).toHaveFocus();
    await userEvent.keyboard(' ');
    expect(record().wheelRounds[0]!.turns.filter(({ made }) => made)).toHaveLength(1);
    expect(record().worked.map(({ place }) => place)).toEqual(['spokes.rear']);
    await userEvent.click(screen.getByRole('button', { name: 'Back one' }));
    expect(record().wheelRounds[0]!.turns.filter(({ made }) => made)).toHaveLength(0);
    for (let i = 0; i < count; i++) await userEvent.click(turned());
    expect(await screen.findByText(`All ${count} are turned`)).toBeInTheDocument();
    expect(screen.getByText(/Squeeze the pairs hard/)).toBeInTheDocument();
  });

  test('a nipple that turns by finger: tension first, and not a word of the wobble', async () => {
    await drawStage(Rear, [built, { type: 'readWheel', reading }], PEOPLE);
    await userEvent.click(await screen.findByText('Nipples that turn by finger, or not at all'));
    await userEvent.click(screen.getByRole('button', { name: 'Nipple 5' }));
    const told = () => screen.getByRole('status', { name: 'What the wheel wants' });
    await waitFor(() => expect(told()).toHaveTextContent('Tension first'));
    expect(within(told()).getByText(/turned by finger/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Nipple 5, turned by finger' }));
    expect(await screen.findByRole('button', { name: 'Nipple 5, stuck' })).toBeInTheDocument();
    await waitFor(() => expect(told()).not.toHaveTextContent('Tension first'));
  });

  test('what the look-over read is begun with; once it is true it is put down where proof and look-over know it', async () => {
    const observation = {
      id: 'o1',
      check: 'runout-rear',
      at: AT,
      evidence: { readingsMm: [0, 0.2, 0.3, 0.2, 0, -0.1] },
      seenAs: 'bought' as const,
      note: '',
      withdrawn: false,
      stage: 'look-over' as const,
    };
    const { record } = await drawStage(Rear, [built, { type: 'addObservation', observation }], PEOPLE);
    await userEvent.click(await screen.findByRole('button', { name: 'Begin with what the look-over read' }));
    expect(record().wheelReadings[0]!.lateralMm.slice(0, 7)).toEqual([0, 0.03, 0.07, 0.1, 0.13, 0.17, 0.2]);
    await userEvent.click(await screen.findByRole('button', { name: 'Put down as trued' }));
    expect(record().observations.at(-1)).toMatchObject({ check: 'runout-rear', stage: 'prove', by: 'Ada' });
  });
});
