import type { Finding, LookOver } from '@/core/inspect/lookOver';
import { newBearing } from '@/model/bearings/fresh';
import { newBicycle } from '@/model/fresh';
import type { Bicycle } from '@/model/record';
import { STAGES, type Stage } from '@/model/stages';
import { newTray } from '@/model/strip/fresh';
import { signsAt } from '../../../tests/declared';

const AT = '2026-11-25T10:00:00.000Z';
const bike = (changes: Partial<Bicycle> = {}): Bicycle => ({ ...newBicycle('b', AT, 'B'), ...changes });
const lookOver = {
  findings: [
    { place: 'chain', state: 'watch' },
    { place: 'chain', state: 'replace' },
    { place: 'crank.left', state: 'unsafe' },
    { place: 'hub.rear', state: 'service' },
    { place: 'saddle', state: 'not-looked-at' },
  ] as Finding[],
} as LookOver;
const tray = { ...newTray('hub.front'), off: { 'locknut.left': 1, 'cone.left': 2 }, backIn: ['cone.left'] };
const soak = {
  id: 't',
  label: 'Bolts',
  place: 'hub.front',
  startedAt: AT,
  minutes: 60,
  maxMinutes: null,
  next: '',
  endedAt: null,
  bath: null,
  parts: [],
};
const at = async (stage: Stage, changes: Partial<Bicycle> = {}) => {
  const signs = await signsAt(stage, bike(changes), lookOver);
  return Object.fromEntries(signs.map(({ place, sign, words }) => [place, words ?? sign]));
};

test('the gravest finding of a place counts', async () =>
  expect(await at('look-over')).toMatchObject({ chain: 'replace' }));

test('an unsafe finding is shown at every stage, over whatever is laid there', async () => {
  for (const stage of STAGES) {
    expect((await at(stage))['crank.left']).toBe('unsafe');
    expect((await at(stage, { trays: [{ ...newTray('crank.left'), off: { crank: 1 } }] }))['crank.left']).toBe(
      'unsafe',
    );
  }
});

test('what is off lies in its tray, what soaks is in the bath, what is apart is open, what is noted after is done', async () => {
  expect((await at('strip', { trays: [tray] }))['hub.front']).toBe('one part in its tray');
  expect((await at('clean', { trays: [tray], timers: [soak] }))['hub.front']).toBe('in the bath: Bolts');
  expect(await at('overhaul', { trays: [tray] })).toMatchObject({
    'hub.front': 'one part in its tray',
    'hub.rear': 'service',
  });
  const after = { feel: 'smooth' as const, play: 'none' as const, spinS: null };
  expect(
    (await at('overhaul', { trays: [tray], bearings: [{ ...newBearing('hub.front'), after }] }))['hub.front'],
  ).toBe('bearing-done');
});

test('while it is bought, what was not looked at is left out, and what the door left open is shown', async () => {
  const seen = await at('buy');
  expect(seen.saddle).toBeUndefined();
  expect(seen.chain).toBe('replace');
  const doubted = {
    findings: [{ place: 'tyre.front', state: 'not-looked-at', doubted: true }] as Finding[],
  } as LookOver;
  // The same sign as at the look-over: one of them is bad, and which is not known.
  expect((await signsAt('buy', bike(), doubted)).map(({ place, sign }) => [place, sign])).toEqual([
    ['tyre.front', 'not-looked-at'],
  ]);
});

test('bolts of a place are counted together, as the law counts them', async () => {
  const signature = { id: 's', bolt: 'stem-expander', how: 'wrench', valueNm: 20, at: AT, by: 'A', holdTest: true };
  const words = await at('rebuild', { signatures: [signature] as Bicycle['signatures'] });
  expect(words.stem).toMatch(/^1 of \d signed$/);
  expect(words.bars).toMatch(/^0 of \d signed$/);
});

test('signs are one a place, at every stage', async () => {
  for (const stage of STAGES) {
    const places = (await signsAt(stage, bike({ trays: [tray] }), lookOver)).map(({ place }) => place);
    expect(new Set(places).size).toBe(places.length);
  }
});
