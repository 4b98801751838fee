import type { Finding, LookOver } from '@/core/inspect/lookOver';
import { newBearing } from '@/model/bearings/fresh';
import { newBicycle } from '@/model/fresh';
import type { Bicycle } from '@/model/record';
import { partStates, stateWords } from '@/model/strip/partStates';
import { newTray } from '@/model/strip/fresh';
import { assemblyAt } from '@/core/strip/assembly';
import { threadAt } from '../../../tests/declared';
import { nextBead } from '../workshop/useThread';

const AT = '2026-11-25T10:00:00.000Z';
const bike = (changes: Partial<Bicycle> = {}): Bicycle => ({ ...newBicycle('b', AT, 'B'), ...changes });
const hub = assemblyAt('hub-front', 'hub.front');
const SIX = { skewer: 1, 'locknut.left': 2, 'washer.left': 3, 'cone.left': 4, 'dust-cap.left': 5, 'balls.left': 6 };
const half = { ...newTray('hub.front'), off: SIX, doneSteps: hub.steps.slice(0, 6).map(({ id }) => id) };
const soak = {
  id: 't',
  label: 'Vinegar',
  place: 'hub.front',
  startedAt: '2026-11-25T10:00:00.000Z',
  minutes: 60,
  maxMinutes: null,
  next: '',
  endedAt: null,
  bath: null,
  parts: ['hub.front/washer.left'],
};
const told = async (changes: Partial<Bicycle>, place = 'hub.front', lookOver: LookOver | null = null) =>
  (await threadAt(place, bike(changes), lookOver)).map(
    ({ words, state }) => `${words}${state === 'ahead' ? '' : ` (${state})`}`,
  );

describe('the thread of a place', () => {
  test('of a hub that nobody has touched everything lies ahead, from taking it apart to its proof', async () => {
    expect(await told({})).toEqual(['take apart', 'inspect', 'set', 'put back', 'tighten', 'prove']);
  });

  test('six of nine off, a washer soaking: both are under way, and the first of them is next', async () => {
    const beads = await threadAt('hub.front', bike({ trays: [half], timers: [soak] }));
    expect(beads.map(({ id, state }) => [id, state])).toEqual([
      ['off', 'under way'],
      ['clean', 'under way'],
      ['inspect', 'ahead'],
      ['set', 'ahead'],
      ['back', 'ahead'],
      ['tighten', 'ahead'],
      ['prove', 'ahead'],
    ]);
    expect(beads[0]!.words).toBe('off 6/9');
    expect(beads[1]!.words).toMatch(/^soaking till \d\d:\d\d$/);
    expect(nextBead(beads)).toMatchObject({ id: 'off', stage: 'strip', place: 'hub.front' });
  });

  test('once it is apart the wash is next, then the look inside', async () => {
    const apart = { ...half, doneSteps: hub.steps.map(({ id }) => id) };
    const dirty = await threadAt('hub.front', bike({ trays: [apart] }));
    expect(nextBead(dirty)).toMatchObject({ id: 'clean', words: 'clean' });
    const clean = await threadAt('hub.front', bike({ trays: [{ ...apart, cleaned: Object.keys(SIX) }] }));
    expect(nextBead(clean)).toMatchObject({ id: 'inspect', stage: 'overhaul' });
  });

  test('trials are told while it is set; with its steps locked it is set, and back in is counted', async () => {
    const bearing = { ...newBearing('hub.front'), tracks: { 'left.cup': 'bright' as const } };
    const trial = { id: 'x', turnDeg: 0, feel: 'loose' as const, clamped: false };
    expect(await told({ bearings: [{ ...bearing, trials: [trial] }] })).toContain('set: 1 trial (under way)');
    const back = { ...half, backIn: ['balls.left', 'dust-cap.left'] };
    const locked = { ...bearing, doneSteps: ['lock'] };
    expect(await told({ bearings: [locked], trays: [back] })).toEqual(
      expect.arrayContaining(['inspect (done)', 'set (done)', 'back in 2/6 (under way)', 'off 6/9 (done)']),
    );
  });

  test('bolts count as the law counts them, and a place without a tray has no strip', async () => {
    const beads = await threadAt('seat-clamp', bike());
    expect(beads.map(({ id }) => id)).toContain('tighten');
    const job = {
      id: 'j',
      rule: null,
      place: 'headset',
      decision: 'keep',
      done: false,
    } as unknown as Bicycle['jobs'][number];
    // With a job kept elsewhere nobody is sent to take this hub apart.
    expect(await told({ jobs: [job] })).toEqual(['inspect', 'set', 'tighten', 'prove']);
  });

  test('a gear hub that runs is told to be left shut, not opened', async () => {
    const kind = { ...bike().kind, gears: 'hub' as const };
    expect(await told({ kind, jobs: [] }, 'hub.rear')).toContain('left shut (done)');
  });

  test('how far it was looked at comes first', async () => {
    const lookOver = {
      findings: [
        { place: 'hub.front', state: 'service' },
        { place: 'hub.front', state: 'not-looked-at' },
      ] as Finding[],
    } as LookOver;
    expect((await told({}, 'hub.front', lookOver))[0]).toBe('looked at 1/2 (under way)');
  });
});

test('a brake is set up step by step on its way back, and says how far', async () => {
  const by = { at: '2026-11-25T10:00:00.000Z', by: 'Ada' };
  const set = async (steps: string[]) =>
    (
      await told({ setSteps: Object.fromEntries(steps.map((step) => [`brake.front/${step}`, by])) }, 'brake.front')
    ).filter((words) => words.startsWith('set up'));
  expect(await set([])).toEqual(['set up']);
  expect(await set(['centre', 'locknuts'])).toEqual([expect.stringMatching(/^set up 2\/\d \(under way\)$/)]);
  expect((await told({}, 'hub.front')).join()).not.toContain('set up');
});

describe('a part at this moment', () => {
  test('on, in the tray, in a bath, back in, left off, scrapped: each in words', () => {
    const tray = {
      ...half,
      backIn: ['balls.left'],
      leftOff: ['dust-cap.left'],
      marks: { 'cone.left': 'worn' as const },
      fates: { skewer: 'scrap' as const },
      cleaned: ['locknut.left'],
    };
    const states = partStates(bike({ trays: [tray], timers: [soak] }), hub);
    const by = Object.fromEntries(states.map((state) => [state.id, stateWords(state).split(': ')[1]]));
    expect(by).toMatchObject({
      skewer: 'in the tray, this one was scrapped',
      'locknut.left': 'in the tray, clean',
      'washer.left': 'in the bath',
      'cone.left': 'in the tray, worn',
      'dust-cap.left': 'left off on purpose',
      'balls.left': 'back in',
      axle: 'still on',
    });
    expect(states.find(({ id }) => id === 'cone.left')!.slot).toBe(4);
    expect(states.find(({ id }) => id === 'axle')!.slot).toBeNull();
  });
});
