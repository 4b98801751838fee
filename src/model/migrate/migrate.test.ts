import { USUAL_COSTS } from '../buy/fresh';
import { newBicycle } from '../fresh';
import { USUAL_SETTINGS } from '../settings/usual';
import { applyCommand } from '../commands';
import { amendment, type HistoryRow } from '../history';
import { mergeBicycles } from '../merge';
import { openBicycle, openSettings } from './migrate';
import { raiseHistory } from './steps';
import { commandOfThirteen } from './thirteen';

const AT = '2026-11-25T10:00:00.000Z';
/** A tray as version 8 kept it, with all that was known of its bearing. */
const oldTray = (place: string) => ({
  place,
  assembly: null as string | null,
  doneSteps: [] as string[],
  order: [] as string[],
  backIn: [] as string[],
  balls: {} as Record<string, object>,
  extra: [] as object[],
  marks: {},
  cleaned: [] as string[],
  hardened: {},
  leftOff: [] as string[],
  fates: {},
  ballReadingsMm: [] as number[],
  instrument: 'caliper',
  overBallsMm: null as number | null,
  seen: { grease: 'unknown', cup: 'unknown', cone: 'unknown', balls: 'unknown', seal: 'unknown' },
  tracks: {},
  worked: [] as string[],
  cartridges: {},
  ballsWere: null as string | null,
  round: {},
  runOn: false,
  service: { doneOn: null as string | null, grease: 'standard', seal: 'good' },
  axle: {},
  soils: {},
  before: null as object | null,
  after: null as object | null,
  trials: [] as object[],
});
const range = (low: number, likely: number, high: number) => ({ low, likely, high });

/** A record as version 2 kept it: twelve checks, five usual faults as cost lines. */
function versionTwo(lines: object[], more: object = {}) {
  const {
    purpose: _purpose,
    customer: _customer,
    seenAs: _seenAs,
    lead: _lead,
    provenance: _provenance,
    size: _size,
    door: _door,
    features: _features,
    comparables: _comparables,
    complaints: _complaints,
    ...rest
  } = newBicycle('b1', AT, 'Green tourer');
  return {
    ...rest,
    schemaVersion: 2,
    appraisal: { ...rest.appraisal, lines: [...USUAL_COSTS, ...lines] },
    ...more,
  };
}
const tyres = {
  id: 'tyres',
  label: 'Tyres cracked',
  kind: 'fault',
  chance: 0.6,
  parts: range(2400, 3600, 6000),
  minutes: range(25, 35, 60),
};
function opened(stored: unknown) {
  const told = openBicycle(stored);
  if (!told.ok) throw new Error(told.detail);
  return told.bicycle;
}

describe('from twelve checks to seventy', () => {
  test('a usual fault that nobody touched gives way to the door check', () => {
    const bicycle = opened(versionTwo([tyres]));
    expect(bicycle.appraisal.lines.map((line) => line.id)).toEqual(['ordinary']);
    expect(bicycle.door).toEqual({});
  });

  test('a fault that was surely there, or surely not, becomes an answer at the door', () => {
    const hubs = { ...tyres, id: 'hubs', parts: range(300, 700, 2500), minutes: range(60, 110, 200), chance: 0 };
    const bicycle = opened(versionTwo([{ ...tyres, chance: 1 }, hubs]));
    const tapped = (answer: 'fine' | 'bad') => ({ answer, at: AT, by: '' });
    expect(bicycle.door).toEqual({ tyres: tapped('bad'), 'hub-front': tapped('fine'), 'hub-rear': tapped('fine') });
    expect(bicycle.appraisal.lines).toHaveLength(1);
  });

  test('figures of one’s own are never lost: the line stays', () => {
    const own = { ...tyres, parts: range(1000, 1500, 2000) };
    expect(opened(versionTwo([own])).appraisal.lines[1]).toEqual(own);
  });

  test('what was seen stays seen, under the name that its check has now', () => {
    const seen = (check: string, evidence: object) => ({
      id: check,
      check,
      at: AT,
      evidence,
      note: 'kept',
      withdrawn: false,
    });
    const observations = [
      seen('tyres', { outcome: 'fine-cracks' }),
      seen('brake-surface', { readingsMm: [0.2] }),
      seen('post-stem', { outcome: 'stuck' }),
      seen('hub-front', { feel: 'gritty' }),
    ];
    const bicycle = opened(versionTwo([], { observations }));
    expect(bicycle.observations.map((row) => [row.check, row.evidence, row.note, row.seenAs])).toEqual([
      ['tyre-front', { outcome: 'fine-cracks' }, 'kept', 'bought'],
      ['braking-front', { readingsMm: [0.2] }, 'kept', 'bought'],
      ['post', { outcome: 'stuck' }, 'kept', 'bought'],
      ['hub-front', { feel: 'gritty' }, 'kept', 'bought'],
    ]);
    const disc = opened(versionTwo([], { observations, kind: { ...newBicycle('x', AT, 'x').kind, brakes: 'disc' } }));
    expect(disc.observations[1]!.check).toBe('disc-front');
  });

  test('a kept job has nobody’s word yet', () => {
    const job = {
      id: 'chain',
      rule: 'chain',
      title: 'Renew the chain',
      place: 'chain',
      minutes: range(1, 2, 3),
      parts: range(1, 2, 3),
      decision: 'keep',
      reason: '',
      done: true,
    };
    expect(opened(versionTwo([], { jobs: [job] })).jobs).toEqual([{ ...job, approval: null, declined: null }]);
  });

  test('settings of version 2 open with either hand on the front brake and no price for a customer’s hour', () => {
    const { frontBrakeHand: _hand, customerPerHour: _hour, ...old } = USUAL_SETTINGS;
    expect(openSettings({ ...old, schemaVersion: 2, name: 'Hall' })).toMatchObject({
      name: 'Hall',
      frontBrakeHand: 'either',
      customerPerHour: 0,
    });
  });

  test('a tray of version 3 keeps its ticks and counts, and its timers run on', () => {
    const now = newBicycle('b', AT, 'B');
    const { seized: _s, tricks: _t, identified: _i, finish: _f, ...rest } = now;
    const { assembly: _a, extra: _e, marks: _m, cleaned: _c, fates: _fa, hardened: _h, ...tray } = oldTray('hub.front');
    const old = {
      ...rest,
      schemaVersion: 3,
      trays: [
        {
          ...tray,
          doneSteps: ['photo', 'balls-left'],
          order: ['balls.left'],
          balls: {
            left: { out: 9, holds: null, in: null, answer: null },
            right: { out: null, holds: null, in: null, answer: null },
          },
        },
      ],
      timers: [
        {
          id: 't',
          label: 'Bolts',
          place: 'hub.front',
          startedAt: AT,
          minutes: 480,
          maxMinutes: 720,
          next: 'Rinse.',
          endedAt: null,
        },
      ],
    };
    const bicycle = opened(old);
    expect(bicycle.trays[0]).toMatchObject({
      assembly: null,
      doneSteps: ['photo', 'balls-left'],
      off: { 'balls.left': 1 },
      marks: {},
      cleaned: [],
    });
    expect(bicycle.bearings[0]!.balls.left).toMatchObject({ out: 9 });
    expect(bicycle.timers[0]).toMatchObject({ id: 't', bath: null, parts: [] });
    expect(bicycle).toMatchObject({ seized: [], tricks: [], identified: [], finish: { treatment: null } });
  });

  test('settings of version 3 own the usual baths', () => {
    const { baths: _baths, ...old } = USUAL_SETTINGS;
    expect(openSettings({ ...old, schemaVersion: 3 })!.baths.map((bath) => bath.id)).toEqual([
      'hot',
      'cold',
      'vinegar',
    ]);
  });
});

describe('version 4', () => {
  test('an axle as it was handed out was not measured, one that was stays; what was said of cups and cones stays', () => {
    const { riding: _r, ...rest } = newBicycle('b', '2026-11-25T10:00:00.000Z', 'Green tourer');
    const {
      tracks: _t,
      worked: _w,
      cartridges: _c,
      ballsWere: _b,
      round: _ro,
      runOn: _ru,
      service: _s,
      ...tray
    } = oldTray('hub.front');
    const { seal: _se, ...seen } = tray.seen;
    const old = (place: string, axle: object) => ({ ...tray, place, axle, seen: { ...seen, cup: 'pitted' } });
    const opened = openBicycle({
      ...rest,
      schemaVersion: 4,
      trays: [
        old('hub.front', { majorMm: 9, pitchMm: 1, boreMm: 5.2, coneSpanMm: 60, clampForceN: 3500 }),
        old('hub.rear', { majorMm: 10, pitchMm: 1, boreMm: 5.2, coneSpanMm: 68, clampForceN: 4200 }),
      ],
    });
    if (!opened.ok) throw new Error(opened.detail);
    const [front, rear] = opened.bicycle.bearings;
    expect(front!.axle).toEqual({});
    expect(rear!.axle.coneSpanMm).toBe(68);
    expect(front!.seen).toMatchObject({ cup: 'pitted', seal: 'unknown' });
    expect(opened.bicycle.riding.use).toBe('mixed');
    expect(openSettings({ ...USUAL_SETTINGS, schemaVersion: 4, practice: undefined })?.practice).toEqual({});
  });
});

describe('who signed, and what was declined in writing', () => {
  const versionSix = (changes: object) => ({ ...newBicycle('b', AT, 'Green tourer'), schemaVersion: 6, ...changes });
  const job = {
    id: 'j',
    rule: null,
    title: 'New tape',
    place: 'bars',
    minutes: { low: 1, likely: 2, high: 3 },
    parts: { low: 1, likely: 2, high: 3 },
    decision: 'drop',
    reason: 'The owner declined',
    done: false,
    approval: { answer: 'no', words: 'on the telephone', at: AT },
  };
  test('an old signature names nobody, and its hold was not tried', () => {
    const signature = { id: 's', bolt: 'stem', how: 'feel', valueNm: null, at: AT };
    expect(opened(versionSix({ signatures: [signature] })).signatures).toEqual([
      { ...signature, by: '', holdTest: false, what: 'done', foundLoose: false },
    ]);
  });
  test('an owner’s no is a declining with its day and words; what was only dropped is none', () => {
    const dropped = { ...job, id: 'k', approval: null };
    expect(opened(versionSix({ customer: 'Ada', jobs: [job, dropped] })).jobs.map((row) => row.declined)).toEqual([
      { by: 'Ada', on: AT.slice(0, 10), words: 'on the telephone' },
      null,
    ]);
  });
  test('nothing is ended, accepted or worked on that nobody put down', () => {
    expect(opened(versionSix({}))).toMatchObject({
      endings: [],
      acceptances: [],
      worked: [],
      rechecks: [],
      waysOut: [],
    });
  });
});

describe('from version 7', () => {
  const sold = (sale: object) => {
    const record = { ...newBicycle('b', AT, 'Green tourer'), schemaVersion: 7, sale };
    const found = openBicycle(record);
    if (!found.ok) throw new Error(found.detail);
    return found.bicycle.sale;
  };
  test('a sale has a day of its own: that of the last change, which stood for it; nothing sold has none', () => {
    expect(sold({ price: 9000, fee: 0 })).toEqual({ price: 9000, fee: 0, on: AT.slice(0, 10) });
    expect(sold({ price: null, fee: 0 })).toEqual({ price: null, fee: 0, on: null });
  });
});

describe('from version 8', () => {
  const job = (stamps: object, more: object = {}) =>
    opened({ ...newBicycle('b', AT, 'Green tourer'), schemaVersion: 8, boltSizes: {}, stamps, ...more });
  const tray = {
    ...oldTray('hub.front'),
    order: ['locknut.left', 'cone.left'],
    backIn: ['cone.left'],
    doneSteps: ['photo'],
    worked: ['grease'],
    balls: { left: { out: 9, holds: null, in: null, answer: null } },
    after: { feel: 'smooth', play: 'none', spinS: null },
  };

  test('a tray keeps what came off in its order, its bearing what was counted, ticked and felt', () => {
    const { trays, bearings } = job({}, { trays: [tray, oldTray('stem')] });
    expect(trays.map(({ place, off, backIn, doneSteps }) => ({ place, off, backIn, doneSteps }))).toEqual([
      {
        place: 'hub.front',
        off: { 'locknut.left': 1, 'cone.left': 2 },
        backIn: ['cone.left'],
        doneSteps: ['photo'],
      },
      { place: 'stem', off: {}, backIn: [], doneSteps: [] },
    ]);
    expect(bearings).toHaveLength(1);
    expect(bearings[0]).toMatchObject({
      place: 'hub.front',
      doneSteps: ['grease'],
      balls: { left: { out: 9 } },
      after: { feel: 'smooth' },
    });
  });

  test.each([
    ['overBallsMm', 30],
    ['instrument', 'micrometer'],
    ['runOn', true],
    ['ballsWere', 'reused'],
    ['service', { doneOn: null, grease: 'thick', seal: 'good' }],
    ['seen', { ...tray.seen, seal: 'torn' }],
    ['worked', ['feel']],
    ['trials', [{ id: 't', turnDeg: 5, feel: 'tick', clamped: false }]],
  ])('a bearing of which nothing but %s was put down is kept', (field, value) =>
    expect(job({}, { trays: [{ ...oldTray('pedal.left'), [field]: value }] }).bearings).toHaveLength(1),
  );

  test('stamps and questions follow their leaves, and a size is one property of a fastener', () => {
    const stamp = `${AT} c1`;
    const { stamps, conflicts, fasteners } = job(
      { 'trays/hub.front/after': stamp, 'trays/hub.front/order': stamp, 'costLines/a': stamp, 'boltSizes/stem': stamp },
      {
        boltSizes: { stem: 'M8' },
        conflicts: [
          { id: `trays/hub.front/backIn@${stamp}`, leaf: 'trays/hub.front/backIn', kept: ['a'], other: ['b'], at: AT },
          { id: `boltSizes/stem@${stamp}`, leaf: 'boltSizes/stem', kept: 'M8', other: 'M6', at: AT },
        ],
      },
    );
    expect(Object.keys(stamps).sort()).toEqual([
      'appraisal/lines/a',
      'bearings/hub.front/after',
      'fasteners/stem',
      'trays/hub.front/off',
    ]);
    expect(fasteners.stem).toMatchObject({ size: 'M8', thread: null });
    expect(conflicts.map(({ leaf, kept, other }) => [leaf, kept, other])).toEqual([
      ['trays/hub.front/backIn/a', true, null],
      ['trays/hub.front/backIn/b', null, true],
      ['fasteners/stem', expect.objectContaining({ size: 'M8' }), expect.objectContaining({ size: 'M6' })],
    ]);
  });

  test('what was done can still be taken back', () => {
    const history = raiseHistory(
      [
        {
          id: 'c1',
          at: AT,
          kind: 'do',
          of: 'c1',
          words: 'hub front: put back',
          changes: [{ leaf: 'trays/hub.front/backIn', before: [], after: ['cone.left'] }],
        },
      ],
      8,
    ) as HistoryRow[];
    const now = job({}, { trays: [tray] });
    const undo = amendment(history[0]!, 'undo');
    const back = applyCommand(now, { id: 'c2', bicycle: 'b', at: AT, command: undo });
    expect(back.trays[0]!.backIn).toEqual([]);
  });

  test('a tick that was taken out on one copy does not come back from the other', () => {
    const copy = (backIn: string[], minute: number) =>
      job(
        { 'trays/hub.front/backIn': `2026-11-25T10:0${minute}:00.000Z c${minute}` },
        { trays: [{ ...tray, backIn }] },
      );
    expect(mergeBicycles(copy([], 5), copy(['cone.left'], 3)).trays[0]!.backIn).toEqual([]);
    expect(mergeBicycles(copy([], 3), copy(['cone.left'], 5)).trays[0]!.backIn).toEqual(['cone.left']);
  });
});

describe('from 12 to 13: the steps of a brake became those of everything that is set up', () => {
  const done = { at: AT, by: 'Ada' };
  test('the record keeps its steps with their stamps, and what waits to be settled speaks of them by the new name', () => {
    const { setSteps: _steps, setFigures: _figures, rimMetals: _rims, ...rest } = newBicycle('b1', AT, 'Green tourer');
    const opened = openBicycle({
      ...rest,
      schemaVersion: 12,
      brakeSteps: { 'brake.front/centre': done },
      stamps: { 'brakeSteps/brake.front/centre': `${AT}#1` },
    });
    expect(opened).toMatchObject({
      ok: true,
      bicycle: {
        setSteps: { 'brake.front/centre': done },
        setFigures: {},
        rimMetals: {},
        stamps: { 'setSteps/brake.front/centre': expect.anything() as unknown },
      },
    });
  });

  test('a command in the journal and a row of the history are read as today writes them', () => {
    expect(commandOfThirteen({ type: 'setBrakeStep', place: 'brake.front', step: 'centre', done })).toEqual({
      type: 'setUpStep',
      place: 'brake.front',
      step: 'centre',
      done,
    });
    const changes = [{ leaf: 'brakeSteps/brake.front/centre', before: null, after: done }];
    expect(raiseHistory([{ at: AT, changes }], 12)).toEqual([
      { at: AT, changes: [{ leaf: 'setSteps/brake.front/centre', before: null, after: done }] },
    ]);
    expect(commandOfThirteen({ type: 'setBrief', brief: 'donor' })).toEqual({ type: 'setBrief', brief: 'donor' });
  });
});
