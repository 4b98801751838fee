import { screen, within } from '@testing-library/react';
import { stepsOf } from '../../../tests/declared';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import { everythingSigned, lawOf } from '../../../tests/wholeBicycle';
import { bicycleKind } from '@/core/bicycle';
import { newBicycle } from '@/model/fresh';
import type { StageViewProps } from '../workshop/declared';
import { useFindings } from '../workshop/useFindings';
import { SetUp } from './SetUp';
import { SetUpBoard } from './SetUpBoard';
import { useSettingUp } from './useSettingUp';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
const at = (place: string) =>
  function At({ bicycle, send }: StageViewProps) {
    const lookOver = useFindings(bicycle);
    const settingUp = useSettingUp(bicycle, null, lookOver);
    return settingUp && <SetUp bicycle={bicycle} send={send} place={place} settingUp={settingUp} lookOver={lookOver} />;
  };
const today = new Date().toISOString().slice(0, 10);

test('what a step reads is a finding: a recess nut under six turns keeps a bicycle from going out', async () => {
  const then = new Date(Date.now() - 3_600_000).toISOString();
  const { record } = await drawStage(at('brake.front'), everythingSigned(bicycleKind.parse({}), then), PEOPLE);
  const step = (await screen.findByRole('checkbox', { name: 'The recess nut holds by six turns' })).closest('li')!;
  await userEvent.click(within(step).getByText(/^Put down/));
  await userEvent.click(await within(step).findByRole('button', { name: 'Recess nut under six turns' }));
  expect(await within(step).findByText(/Fewer than six full turns/)).toBeInTheDocument();
  expect(record().observations.at(-1)).toMatchObject({
    check: 'locknut-front',
    evidence: { outcome: 'short' },
    by: 'Ada',
  });
  expect(lawOf(record(), today).ready.ready).toBe(false);
});

test('the oil of each leg is kept with the fork, and what no fork holds is refused', async () => {
  const { record } = await drawStage(at('fork'), [{ type: 'describeKind', changes: { fork: 'suspension' } }], PEOPLE);
  await userEvent.click(await screen.findByText(/^Oil of the lowers, quick/));
  await userEvent.type(screen.getByLabelText('Oil, left leg'), '9000{Enter}');
  expect(await screen.findByText(/0 to 500 ml/)).toBeInTheDocument();
  expect(record().setFigures).toEqual({});
  await userEvent.clear(screen.getByLabelText('Oil, left leg'));
  await userEvent.type(screen.getByLabelText('Oil, left leg'), '10{Enter}');
  await userEvent.type(screen.getByLabelText('Oil, right leg'), '25{Enter}');
  expect(record().setFigures).toEqual({ 'fork/oil-left': 10, 'fork/oil-right': 25 });
});

test('the board names where somebody worked, in workable order; the rest stands behind a press', async () => {
  const opened: string[] = [];
  function Board({ bicycle }: StageViewProps) {
    const settingUp = useSettingUp(bicycle, null, null);
    return settingUp && <SetUpBoard bicycle={bicycle} settingUp={settingUp} onOpen={(place) => opened.push(place)} />;
  }
  const done = { at: '2026-11-25T10:00:00.000Z', by: 'Ada' };
  await drawStage(Board, [
    { type: 'setUpStep', place: 'chain', step: 'chain-way', done },
    { type: 'setUpStep', place: 'derailleur.rear', step: 'b-gap', done },
  ]);
  const rows = await screen.findAllByRole('button');
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/^Rear derailleur: hang it1 of 5/),
    expect.stringMatching(/^Chain: join itNot yet: .*1 of 4/),
    expect.stringMatching(/^Chain: lubricate it/),
    expect.stringMatching(/^Rear derailleur: index it/),
  ]);
  await userEvent.click(rows[0]!);
  expect(opened).toEqual(['derailleur.rear']);
});

test('at the bench each step is one, says what is forgotten, and is done with who and when', async () => {
  const steps = await stepsOf('set-up', newBicycle('b', '2026-11-25T10:00:00.000Z', 'B'), 'derailleur.rear');
  expect(steps.map(({ id }) => id)).toContain('limit-large');
  const hang = steps.find(({ id }) => id === 'hang-bolt')!;
  expect(hang.forget).toContain('behind its stop');
  const hand = { at: '2026-11-25T11:00:00.000Z', by: 'Ada' };
  expect(typeof hang.finish === 'function' && hang.finish(hand)).toEqual({
    type: 'setUpStep',
    place: 'derailleur.rear',
    step: 'hang-bolt',
    done: hand,
  });
});
