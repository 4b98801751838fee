import { dirtyParts, washInput } from './wash';
import { newBicycle } from '../fresh';
import { USUAL_SETTINGS } from '../settings/usual';
import { newTray } from '../strip/fresh';
import { assemblyAt } from '@/core/strip/assembly';
import { whatFollows } from '@/core/clean/afterwards';

const HOT = 'hot ultrasonic, water-based degreaser';
const chain = { id: 'chain/chain', label: 'Chain', materials: ['plain steel'], brakeTrack: false };
const bolt = { id: 'x/bolt', label: 'Bolt', materials: ['plain steel'], brakeTrack: false };

test('a steel chain is oiled after its bath; a waxed one stays bare, and it is said by name', () => {
  expect(whatFollows(HOT, [chain]).join()).toMatch(/oil/i);
  const waxed = whatFollows(HOT, [{ ...chain, waxed: true }]);
  expect(waxed.at(-1)).toBe('Chain: bare and dry, nothing oily: a waxed chain runs there');
  expect(waxed.slice(0, -1).join()).not.toMatch(/\boil/i);
  // What shares its bath and rusts is oiled all the same.
  expect(whatFollows(HOT, [bolt, { ...chain, waxed: true }]).join()).toMatch(/oil/i);
});

test('the wash knows the rule of the house: chain and cogs run waxed, a hub does not', () => {
  const at = '2026-11-25T10:00:00.000Z';
  const off = (place: string, parts: string[]) => ({
    ...newTray(place),
    off: Object.fromEntries(parts.map((part, i) => [part, i + 1])),
  });
  const bicycle = {
    ...newBicycle('b', at, 'B'),
    trays: [off('chain', ['chain']), off('hub.front', ['cone.left'])],
  };
  const assemblies = [assemblyAt('chain', 'chain'), assemblyAt('hub-front', 'hub.front')];
  const asked = (chainLube: 'drop' | 'wax') =>
    washInput(
      dirtyParts(bicycle, assemblies),
      { baths: USUAL_SETTINGS.baths, rules: { ...USUAL_SETTINGS.rules, chainLube } },
      bicycle,
      Date.parse(at),
    ).parts.map(({ id, waxed }) => [id, waxed === true]);
  expect(asked('drop').every(([, waxed]) => !waxed)).toBe(true);
  expect(asked('wax')).toEqual([
    ['chain/chain', true],
    ['hub.front/cone.left', false],
  ]);
});
