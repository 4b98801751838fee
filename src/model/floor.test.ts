import { applyCommand, type Command, wordsFor } from './commands';
import { newBicycle } from './fresh';
import type { Bicycle } from './record';
import { floorRows, type FloorOrder, rowNext } from './summary';
import { summaryOf } from './summaryOf';

const AT = '2026-11-25T10:00:00.000Z';
const NOW_MS = Date.parse(AT);
const bike = (id: string, name: string, changes: Partial<Bicycle> = {}): Bicycle => ({
  ...newBicycle(id, AT, name),
  ...changes,
});
const bought = { purchase: { paid: 5000, at: AT } };
const soak = (minutes: number) => [
  {
    id: 't',
    label: 'Bolts',
    place: 'hub.front',
    startedAt: AT,
    minutes,
    maxMinutes: null,
    next: '',
    endedAt: null,
    bath: null,
    parts: [],
  },
];

describe('the floor', () => {
  const rows = [
    bike('sold', 'Sold shopper', { ...bought, sale: { price: 9000, fee: 0, on: '2026-11-20' } }),
    bike('offer', 'Offered racer'),
    bike('work', 'Blue tourer', bought),
    bike('waits', 'Waiting mixte', {
      ...bought,
      deliveries: [{ id: 'd', label: 'cones', dueOn: null, arrivedAt: null, place: null }],
    }),
    bike('loose', 'Loose roadster', {
      ...bought,
      looseEnds: [{ id: 'l', place: 'stem', label: 'Stem', at: AT, closedAt: null }],
    }),
    bike('bath', 'Bath bike', { ...bought, timers: soak(-1) }),
    bike('away', 'Put-away', { archivedAt: AT }),
  ].map((each) => summaryOf(each));
  const ids = (changes: Partial<Parameters<typeof floorRows>[1]> = {}) =>
    floorRows(rows, { search: '', order: 'next', archived: false, nowMs: NOW_MS, ...changes }).map((row) => row.id);

  test('what cannot wait comes first, what is sold last: “I have two hours tonight, what now?”', () => {
    expect(ids()).toEqual(['bath', 'loose', 'work', 'waits', 'offer', 'sold']);
  });
  test('a search finds every word, in whatever order; what is put away is kept apart', () => {
    expect(ids({ search: 'tourer blue' })).toEqual(['work']);
    expect(ids({ search: 'unicycle' })).toEqual([]);
    expect(ids({ archived: true })).toEqual(['away']);
  });
  test.each<[FloorOrder, string]>([
    ['name', 'bath'],
    ['money', 'sold'],
  ])('in order of %s, %s comes first', (order, first) => expect(ids({ order })[0]).toBe(first));
  test('a summary keeps what was drawn for the same revision and drops it for another', () => {
    const drawn = { marks: [], ceiling: 100, nextMinutes: null, law: null, by: '2026-11-25' };
    const row = { ...summaryOf(bike('b', 'B')), drawn };
    expect(summaryOf(bike('b', 'B'), row).drawn).toEqual(drawn);
    expect(summaryOf({ ...bike('b', 'B'), revision: 1 }, row).drawn).toBeNull();
  });
});

describe('what a change is called', () => {
  const before = applyCommand(bike('b', 'B'), {
    id: 'x',
    bicycle: 'b',
    at: AT,
    command: {
      type: 'decideJob',
      job: {
        id: 'j',
        rule: null,
        title: 'New cones',
        place: 'hub.front',
        minutes: { low: 1, likely: 1, high: 1 },
        parts: { low: 0, likely: 0, high: 0 },
        decision: 'keep',
        reason: '',
        approval: null,
        declined: null,
        done: false,
      },
    },
  });
  test.each<[Command, string]>([
    [{ type: 'setAppraisal', changes: { asking: 12050 } }, 'asked 120.50'],
    [{ type: 'setAppraisal', changes: { resale: { low: 1, likely: 2, high: 3 } } }, 'what it may fetch'],
    [{ type: 'recordPurchase', paid: 9000, at: AT }, 'paid 90'],
    [{ type: 'finishJob', job: 'j', done: true }, 'done: New cones'],
    [{ type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } }, 'front hub, left: 9 out'],
    [{ type: 'describeKind', changes: { tyreWidthMm: 40 } }, 'what it is: tyre width'],
    [{ type: 'measureBearing', place: 'hub.front', changes: { ballReadingsMm: [6.35, 6.34] } }, 'ball 6.34 mm'],
    [{ type: 'archive', at: AT }, 'put away'],
    [
      {
        type: 'addObservation',
        observation: {
          id: 'o',
          check: 'chain',
          at: AT,
          evidence: { pitches: 24, lengthMm: 306.9 },
          note: '',
          seenAs: 'bought',
          withdrawn: false,
        },
      },
      'chain 0.69 %',
    ],
    [
      {
        type: 'signBolt',
        signature: {
          id: 's',
          bolt: 'stem',
          how: 'wrench',
          valueNm: 20,
          at: AT,
          by: 'Ada',
          holdTest: false,
          what: 'done',
          foundLoose: false,
        },
      },
      'bolt signed at 20 N·m',
    ],
  ])('%j is “%s”', (command, words) => expect(wordsFor(command, before)).toBe(words));
});

describe('what a row says is next', () => {
  const row = {
    stage: 'hand-over' as const,
    next: 'Write the sheet and sell it',
    nextPlace: null,
    sold: false,
    wentOut: null,
  };
  const drawn = (ready: boolean, blocks: number) => ({
    marks: [],
    ceiling: null,
    nextMinutes: null,
    law: { ready, blocks, eyes: [] },
    by: '2026-11-25',
  });
  test('nothing is sent to be handed over while something stands in the way', () => {
    expect(rowNext({ ...row, drawn: drawn(false, 3) })).toEqual({
      stage: 'prove',
      words: 'Not ready: 3 things stand in the way',
      place: null,
    });
    expect(rowNext({ ...row, drawn: drawn(true, 0) }).stage).toBe('hand-over');
    expect(rowNext({ ...row, sold: true, drawn: drawn(false, 3) }).stage).toBe('hand-over');
    expect(rowNext({ ...row, drawn: null }).words).toBe(row.next);
    expect(rowNext({ ...row, wentOut: 'as-it-is', drawn: drawn(true, 0) }).words).toContain('not to be ridden');
  });
});
