import fc from 'fast-check';
import { brokenClauses } from '../../../tests/lawOfReady';
import { runs } from '../../../tests/runs';
import { answer } from '../calculator';
import { proveReady, type Missing } from './ready';
import { readyInput, type ReadyAsked } from './readyInput';

const AT = '2026-11-20T10:00:00Z';
const LATER = '2026-11-21T10:00:00Z';
const hand = { how: 'wrench', valueNm: 20, at: AT, by: 'Ada' } as const;
const stem = { id: 'stem', label: 'Stem', place: 'stem', safety: true, minNm: 16, maxNm: 24, signed: hand };
const brakes: NonNullable<ReadyAsked['proofs']>[number] = {
  id: 'brakes',
  label: 'Brakes hold',
  kind: 'stand',
  safety: true,
  leansOn: ['brake.front'],
  result: 'passed',
  at: AT,
  by: 'Ada',
};
const GOOD: ReadyAsked = {
  today: '2026-11-27',
  findings: [{ id: 'frame', label: 'Frame', place: 'frame', state: 'fine', safety: true }],
  bolts: [stem],
  proofs: [brakes],
};

function ask(changes: Partial<ReadyAsked>) {
  const told = answer(proveReady, { ...GOOD, ...changes });
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.output;
}
const tray = { id: 't', label: 'Front hub', place: 'hub.front' };
const finding = { id: 'fork', label: 'Fork', place: 'fork' };
const said = { by: 'Ada', on: '2026-11-20', words: 'as it is' };
const ended = (how: 'mended' | 're-read' | 'removed' | 'cleared') => ({ how, by: 'Ada', on: '2026-11-20', paper: 'p' });

test('all signed and nothing unsafe is ready, and it says that it certifies nothing', () => {
  expect(ask({})).toMatchObject({ ready: true, verdict: 'ready', missing: [] });
  expect(ask({}).reasons.join(' ')).toContain('certifies nothing');
});

const BLOCKS: [string, Partial<ReadyAsked>, Missing['kind'], Missing['stage']][] = [
  ['an unsafe finding', { findings: [{ ...finding, state: 'unsafe' }] }, 'unsafe', 'look-over'],
  [
    'an unsafe finding that somebody accepted',
    { findings: [{ ...finding, state: 'unsafe', accepted: said }] },
    'unsafe',
    'look-over',
  ],
  [
    'service where it steers, unaccepted',
    { findings: [{ ...finding, state: 'service', safety: true }] },
    'unaccepted',
    'look-over',
  ],
  ['a place that steers, not looked at', { unlooked: [{ ...finding, safety: true }] }, 'not-looked-at', 'look-over'],
  ['something together only for now', { trays: [{ ...tray, loose: true }] }, 'loose', 'rebuild'],
  ['a part that is out', { trays: [{ ...tray, out: 1 }] }, 'tray-open', 'strip'],
  ['a part that is missing', { trays: [{ ...tray, missing: 1 }] }, 'tray-open', 'strip'],
  ['a part in the bath', { trays: [{ ...tray, inBath: 2 }] }, 'tray-open', 'clean'],
  [
    'something that stops, left off on purpose',
    { trays: [{ ...tray, leftOff: [{ id: 'p', label: 'Pad', safety: true }] }] },
    'left-off',
    'strip',
  ],
  ['an unsafe complaint', { complaints: [{ id: 'c', label: 'It slips', unsafe: true }] }, 'complaint', 'look-over'],
  ['a needed job', { jobs: [{ id: 'j', label: 'Chain', needed: true }] }, 'job', 'decide'],
  [
    'an unsafe job that was declined',
    { jobs: [{ id: 'j', label: 'Chain', needed: true, unsafe: true, declined: said }] },
    'job',
    'decide',
  ],
  ['a bearing left open', { bearings: [{ id: 'b', label: 'Hub', opened: true, after: true }] }, 'bearing', 'overhaul'],
  [
    'a bearing without its after',
    { bearings: [{ id: 'b', label: 'Hub', opened: true, closed: true }] },
    'bearing',
    'overhaul',
  ],
  ['a bolt whose part is out', { bolts: [{ ...stem, partOut: true }] }, 'part-out', 'rebuild'],
  ['an unsigned bolt', { bolts: [{ ...stem, signed: undefined }] }, 'unsigned', 'rebuild'],
  ['a bolt under its band', { bolts: [{ ...stem, signed: { ...hand, valueNm: 15.9 } }] }, 'torque', 'rebuild'],
  ['a wrench without a figure', { bolts: [{ ...stem, signed: { ...hand, valueNm: null } }] }, 'torque', 'rebuild'],
  [
    'a bolt that was set since',
    { changes: [{ place: 'stem', bolt: 'stem', kind: 'set', at: LATER }] },
    'reopened',
    'rebuild',
  ],
  ['a bolt whose part was off since', { changes: [{ place: 'stem', kind: 'off', at: LATER }] }, 'reopened', 'rebuild'],
  [
    'feel where the wrench is asked',
    { bolts: [{ ...stem, wrenchAsked: true, signed: { how: 'feel', holdTest: true, at: AT, by: 'Ada' } }] },
    'wrench-asked',
    'rebuild',
  ],
  [
    'feel where the house asks the wrench everywhere',
    {
      rules: { wrenchEverywhere: true },
      bolts: [{ ...stem, signed: { how: 'feel', holdTest: true, at: AT, by: 'Ada' } }],
    },
    'wrench-asked',
    'rebuild',
  ],
  [
    'feel without its hold test',
    { bolts: [{ ...stem, signed: { how: 'feel', at: AT, by: 'Ada' } }] },
    'hold-test',
    'rebuild',
  ],
  [
    'one pair of eyes where two are asked',
    { rules: { secondEyes: true }, bolts: [{ ...stem, second: true, doneBy: 'Ada' }] },
    'second-eyes',
    'rebuild',
  ],
  ['a failed proof', { proofs: [{ ...brakes, result: 'failed' }] }, 'proof-failed', 'prove'],
  [
    'a failed proof of safety that was accepted',
    { proofs: [{ ...brakes, result: 'failed', accepted: said }] },
    'proof-failed',
    'prove',
  ],
  [
    'a failed proof of quality that nobody accepted',
    { proofs: [brakes, { ...brakes, id: 'q', safety: false, result: 'failed' }] },
    'proof-failed',
    'prove',
  ],
  ['an unsigned proof of safety', { proofs: [{ ...brakes, result: null }] }, 'proof', 'prove'],
  [
    'a stand proof whose place was adjusted since',
    { changes: [{ place: 'brake.front', kind: 'adjusted', at: LATER }] },
    'proof-reopened',
    'prove',
  ],
  [
    'a ride whose wheel was renewed since',
    { proofs: [{ ...brakes, kind: 'ride' }], changes: [{ place: 'brake.front', kind: 'renewed', at: LATER }] },
    'proof-reopened',
    'prove',
  ],
  ['a proof of five weeks ago', { today: '2026-12-19' }, 'aged', 'prove'],
];
test.each(BLOCKS)('%s is never ready', (_words, changes, kind, stage) => {
  const found = ask(changes);
  expect(found).toMatchObject({ ready: false, verdict: 'not-ready' });
  expect(found.missing[0]).toMatchObject({ kind, stage, blocks: true });
});

const LETS: [string, Partial<ReadyAsked>][] = [
  [
    'an unsafe finding that was mended and looked at again',
    { findings: [{ ...finding, state: 'unsafe', ended: ended('mended') }] },
  ],
  [
    'an unsafe finding that a qualified person cleared',
    { findings: [{ ...finding, state: 'unsafe', ended: ended('cleared') }] },
  ],
  [
    'service where it steers, accepted in writing',
    { findings: [{ ...finding, state: 'service', safety: true, accepted: said }] },
  ],
  ['service where nothing hangs on it', { findings: [{ ...finding, state: 'service' }] }],
  ['a bell not looked at', { unlooked: [{ id: 'bell', label: 'Bell', place: 'bell' }] }],
  ['a mudguard left off on purpose', { trays: [{ ...tray, leftOff: [{ id: 'm', label: 'Mudguard' }] }] }],
  ['a needed job that was declined', { jobs: [{ id: 'j', label: 'Tape', needed: true, declined: said }] }],
  [
    'a bearing opened, closed and felt',
    { bearings: [{ id: 'b', label: 'Hub', opened: true, closed: true, after: true }] },
  ],
  [
    'a torque at either end of its band',
    {
      bolts: [
        { ...stem, signed: { ...hand, valueNm: 16 } },
        { ...stem, id: 's2', signed: { ...hand, valueNm: 24 } },
      ],
    },
  ],
  ['feel with its hold test', { bolts: [{ ...stem, signed: { how: 'feel', holdTest: true, at: AT, by: 'Ada' } }] }],
  [
    'a lever without a figure, by feel, in a house that asks the wrench everywhere',
    {
      rules: { wrenchEverywhere: true },
      bolts: [
        {
          id: 'q',
          label: 'Quick release',
          place: 'axle.front',
          safety: true,
          signed: { how: 'feel', holdTest: true, at: AT, by: 'Ada' },
        },
      ],
    },
  ],
  ['two pairs of eyes', { rules: { secondEyes: true }, bolts: [{ ...stem, second: true, doneBy: 'Bo' }] }],
  [
    'an adjustment of a ride’s place',
    { proofs: [{ ...brakes, kind: 'ride' }], changes: [{ place: 'brake.front', kind: 'adjusted', at: LATER }] },
  ],
  ['a change before the signature', { changes: [{ place: 'stem', kind: 'off', at: '2026-11-19T10:00:00Z' }] }],
  ['four weeks to the day', { today: '2026-12-18' }],
  [
    'an old proof after the two-minute list',
    { today: '2026-12-19', recheck: { at: '2026-12-01T10:00:00Z', by: 'Ada' } },
  ],
  [
    'a noise that was accepted',
    { proofs: [brakes, { ...brakes, id: 'q', safety: false, result: 'failed', accepted: said }] },
  ],
];
test.each(LETS)('%s does not stand in the way', (_words, changes) => expect(ask(changes).ready).toBe(true));

test('what does not stand in the way is told all the same, after what does', () => {
  const found = ask({
    findings: [{ ...finding, state: 'service', safety: true, accepted: said, again: true }],
    complaints: [{ id: 'c', label: 'It ticks' }],
    proofs: [
      { ...brakes, result: null },
      { ...brakes, id: 'q', safety: false, result: null },
    ],
  });
  expect(found.missing.map(({ kind, blocks }) => [kind, blocks])).toEqual([
    ['proof', true],
    ['complaint', false],
    ['proof', false],
    ['unaccepted', false],
    ['again', false],
  ]);
});

test('each is told once by kind and id, as gravely as any says', () => {
  const unlooked = [
    { id: 'fork', label: 'Fork', place: 'fork' },
    { id: 'fork', label: 'Fork', place: 'fork', safety: true },
  ];
  expect(ask({ unlooked }).missing).toMatchObject([{ kind: 'not-looked-at', blocks: true }]);
});

/** Questions that hang together: few names, so that a change meets its bolt and a proof its place. */
const place = fc.constantFrom('stem', 'brake.front', 'hub.front');
const at = fc.integer({ min: 0, max: 60 }).map((days) => new Date(Date.UTC(2026, 9, 1 + days, 12)).toISOString());
const by = fc.constantFrom('Ada', 'Bo');
const id = fc.constantFrom('a', 'b', 'c');
const often = fc.integer({ min: 0, max: 9 }).map((n) => n > 0);
const seldom = often.map((yes) => !yes);
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
const accepted = maybe(fc.constant(said));
const rows = (row: Record<string, fc.Arbitrary<unknown>>, maxLength = 2) =>
  fc.array(fc.record({ id, label: fc.constant('x'), ...row }), { maxLength });
const question = fc.record({
  today: at.map((moment) => moment.slice(0, 10)),
  rules: fc.record({ wrenchEverywhere: seldom, secondEyes: seldom }),
  findings: rows({
    place,
    state: fc.constantFrom('fine', 'fine', 'fine', 'watch', 'service', 'replace', 'unsafe', 'not-looked-at'),
    safety: fc.boolean(),
    ended: maybe(fc.constantFrom(ended('mended'), ended('cleared'))),
    again: fc.boolean(),
    accepted,
  }),
  unlooked: rows({ place, safety: seldom }, 1),
  trays: rows({
    place,
    out: fc.constantFrom(0, 0, 0, 0, 1),
    missing: fc.constantFrom(0, 0, 0, 0, 1),
    inBath: fc.constantFrom(0, 0, 0, 0, 1),
    loose: seldom,
    leftOff: rows({ safety: seldom }, 1),
  }),
  complaints: rows({ unsafe: seldom }, 1),
  jobs: rows({ needed: fc.boolean(), unsafe: seldom, done: often, declined: accepted }),
  bearings: rows({ opened: fc.boolean(), closed: often, after: often }),
  bolts: rows({
    place,
    safety: fc.boolean(),
    second: fc.boolean(),
    wrenchAsked: seldom,
    minNm: fc.constantFrom(null, 5, 16),
    maxNm: fc.constantFrom(null, 16, 24),
    partOut: seldom,
    doneBy: maybe(by),
    signed: maybe(
      fc.record({
        how: fc.constantFrom('wrench', 'feel'),
        valueNm: fc.constantFrom(null, 5, 16, 20, 24, 30),
        holdTest: often,
        at,
        by,
      }),
    ),
  }),
  proofs: rows({
    kind: fc.constantFrom('stand', 'ride'),
    safety: fc.boolean(),
    second: fc.boolean(),
    leansOn: fc.uniqueArray(place),
    doneBy: maybe(by),
    result: fc.constantFrom('passed', 'passed', 'passed', 'failed', null),
    at: maybe(at),
    by: maybe(by),
    accepted,
  }),
  changes: fc.array(
    fc.record({ place, bolt: maybe(id), kind: fc.constantFrom('set', 'adjusted', 'off', 'renewed'), at }),
    { maxLength: 3 },
  ),
  recheck: maybe(fc.record({ at, by })),
});

test('it blocks by exactly the clauses that stand broken when the law is told over without it', () => {
  let [ready, asked] = [0, 0];
  fc.assert(
    fc.property(question, (drawn) => {
      const parsed = readyInput.parse(JSON.parse(JSON.stringify(drawn)));
      const found = proveReady.run(parsed);
      const blocking = new Set(found.missing.filter((item) => item.blocks).map((item) => item.kind));
      expect([...blocking].sort()).toEqual([...brokenClauses(parsed)].sort());
      expect(found.ready).toBe(blocking.size === 0);
      const keys = found.missing.map(({ kind, id: of }) => `${kind} ${of}`);
      expect(new Set(keys).size).toBe(keys.length);
      asked += 1;
      ready += Number(found.ready);
    }),
    { numRuns: runs(20_000, 3000), seed: 14 },
  );
  // It would show nothing if no question were ready, or all were.
  expect(ready).toBeGreaterThan(asked / 200);
  expect(ready).toBeLessThan(asked / 2);
});
