import { reckon } from '@/core/reckon';
import { applyCommand, type Command } from '../commands';
import { newBicycle } from '../fresh';
import { USUAL_SETTINGS } from '../settings/usual';
import { newTray } from '../strip/fresh';
import { setupInput, touchedPlaces } from './questions';

const AT = '2026-11-25T10:00:00.000Z';
const hand = { at: AT, by: 'Ada' };
const done = (commands: Command[], kind: object = {}) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command }),
    newBicycle('b', AT, 'B', kind),
  );

test('a step is done once, by whom and when, and undone again; doing it is work, undoing it is none', () => {
  const ticked = done([{ type: 'setUpStep', place: 'brake.front', step: 'centre', done: hand }]);
  expect(ticked.setSteps).toEqual({ 'brake.front/centre': hand });
  expect(ticked.worked.map(({ place, kind }) => [place, kind])).toEqual([['brake.front', 'adjusted']]);
  const undone = applyCommand(ticked, {
    id: 'u',
    bicycle: 'b',
    at: AT,
    command: { type: 'setUpStep', place: 'brake.front', step: 'centre', done: null },
  });
  expect(undone.setSteps).toEqual({});
  expect(undone.worked).toHaveLength(1);
});

test('figures are kept by place, and let go', () => {
  const put = (value: number | null): Command => ({ type: 'keepFigure', place: 'fork', figure: 'oil-left', value });
  expect(done([put(12)]).setFigures).toEqual({ 'fork/oil-left': 12 });
  expect(done([put(12), put(null)]).setFigures).toEqual({});
});

test('a place is touched by work and by an open tray; the question names both, and the fluid of each end', () => {
  const bicycle = {
    ...done([
      { type: 'setUpStep', place: 'chain', step: 'chain-way', done: hand },
      { type: 'sayFluid', place: 'brake.rear', fluid: 'mineral' },
    ]),
    trays: [newTray('hub.front')],
  };
  expect([...touchedPlaces(bicycle)].sort()).toEqual(['chain', 'hub.front']);
  const asked = setupInput(bicycle, USUAL_SETTINGS);
  expect(asked).toMatchObject({ done: ['chain/chain-way'], fluids: { front: null, rear: 'mineral' } });
  expect(reckon('setup.steps', asked).status).toBe('ok');
});

test('what is reckoned of bolts and hanger is what the order waits for; unreckoned, nothing waits for it', () => {
  const bicycle = done([{ type: 'settleBar', settled: false }]);
  expect(setupInput(bicycle, USUAL_SETTINGS).facts).toEqual({});
  expect(setupInput(bicycle, USUAL_SETTINGS, { bolts: [], lookOver: null }).facts).toEqual({ settled: false });
});
