import { emptyMap, own } from './own';
import { knownPlace } from './vocabulary/vocabulary';

const BORN_WITH = ['constructor', 'toString', 'hasOwnProperty', 'valueOf', '__proto__', '__defineGetter__'];

test.each(BORN_WITH)('%s is not there until somebody puts it there', (name) => {
  expect(own({ a: 1 }, name)).toBeUndefined();
  const map = emptyMap<number>();
  expect(map[name]).toBeUndefined();
  map[name] = 5;
  expect(own(map, name)).toBe(5);
  expect(Object.keys(map)).toEqual([name]);
  expect(knownPlace(name)).toBeNull();
});

test('a place of the vocabulary is known by its id, and none that is not', () => {
  expect(knownPlace('hub.front')).toBe('hub.front');
  for (const id of ['', 'hub', 'hub.front ', 'HUB.FRONT']) expect(knownPlace(id)).toBeNull();
  expect(knownPlace(null)).toBeNull();
});
