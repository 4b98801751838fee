import fc from 'fast-check';
import { reckon } from '@/core/reckon';
import type { BuildOrder } from '@/core/rebuild/order';
import type { Trays } from '@/core/strip/trays';
import type { Bolt } from '@/core/rebuild/bolts';
import { applyCommand, type Command } from '../commands';
import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import { USUAL_SETTINGS } from '../settings/usual';
import { orderOf, partsOff, trayFor } from '../strip/trays';
import { onlyOnRows } from '@/core/rebuild/data/buildOrder';
import { orderInput } from './building';
import { ONLY_ON } from './onlyOn';
import { setNmOf } from './wrench';
import { boltsInput, foundLoose } from './questions';

const AT = '2026-11-25T10:00:00.000Z';
const kind = { gears: 'derailleur', brakes: 'cantilever', stem: 'threadless' } as const;
const made = newBicycle('b', AT, 'B', kind);
const answer = <Output>(id: string, input: unknown): Output => {
  const said = reckon(id, input);
  if (said.status !== 'ok') throw new Error(JSON.stringify(said));
  return said.output as Output;
};
const { trays } = answer<Trays>('strip.trays', { kind: made.kind });
const { bolts } = answer<{ bolts: Bolt[] }>('rebuild.bolts', boltsInput(made, USUAL_SETTINGS));
const order = (bicycle: Bicycle) =>
  answer<BuildOrder>('rebuild.order', orderInput(bicycle, trays, bolts, null, USUAL_SETTINGS));
const done = (bicycle: Bicycle, ...commands: Command[]) =>
  commands.reduce(
    (was, command, i) => applyCommand(was, { id: `c${i}-${was.revision}`, bicycle: 'b', at: AT, command }),
    bicycle,
  );
const takeOff = (place: string): Command[] =>
  trays
    .find((each) => each.place === place)!
    .steps.map((step) => ({ type: 'markStep', place, step: step.id, done: true, takes: step.takes }));
const putBack = (bicycle: Bicycle, place: string): Command[] =>
  partsOff(trayFor(bicycle, place))
    .reverse()
    .map((part) => ({ type: 'putBack', place, part, back: true }));

const signCranks = (at: string): Command[] =>
  bolts
    .filter(({ place }) => place.startsWith('crank.'))
    .map((bolt): Command => ({
      type: 'signBolt',
      signature: {
        id: `${bolt.id} ${at}`,
        bolt: bolt.id,
        how: bolt.torqueMaxNm === null ? 'feel' : 'wrench',
        valueNm: bolt.torqueMaxNm,
        holdTest: true,
        at,
        by: '',
        what: 'done',
        foundLoose: false,
      },
    }));

describe('a rebuild from the record', () => {
  test('of a bicycle that was never taken apart everything is on it', () => {
    const { done: whole, now, waits } = order(made);
    expect([whole, now, waits]).toEqual([true, [], []]);
  });

  test('taken apart and put together in any order that is offered it ends with the same trays, all of them back', () => {
    const places = trays.filter((each) => each.parts.length > 0).map(({ place }) => place);
    fc.assert(
      fc.property(fc.subarray(places, { minLength: 1, maxLength: 6 }), fc.infiniteStream(fc.nat(20)), (apart, dice) => {
        const before = done(made, ...apart.flatMap(takeOff));
        let bicycle = before;
        for (let i = 0; i < 40; i++) {
          const { now, done: whole } = order(bicycle);
          if (whole) break;
          const offered = now.filter(({ place }) => partsOff(trayFor(bicycle, place)).length > 0);
          if (offered.length === 0) {
            // Only a wrench is waited for: the cranks are on, and nobody has tightened them.
            expect(order(bicycle).waits.flatMap((each) => each.for)).toContain('the cranks are tight, by the wrench');
            bicycle = done(bicycle, ...signCranks(`2026-11-26T10:${10 + i}:00.000Z`));
            continue;
          }
          const next = offered[(dice.next().value as number) % offered.length]!;
          bicycle = done(bicycle, ...putBack(bicycle, next.place));
        }
        expect(order(bicycle).done).toBe(true);
        for (const place of apart) expect(orderOf(trayFor(bicycle, place))).toEqual(orderOf(trayFor(before, place)));
      }),
      { numRuns: 40 },
    );
  });

  test('a part in the bath, a part that is missing and a bearing left open: each says why it waits', () => {
    const apart = done(made, ...takeOff('hub.front'));
    const waitsFor = (bicycle: Bicycle) => order(bicycle).waits.find(({ place }) => place === 'hub.front')?.for;
    const missing = done(apart, { type: 'markPart', place: 'hub.front', part: 'washer.left', mark: 'missing' });
    expect(waitsFor(missing)).toEqual(['it is not here yet']);
    const ordered = done(apart, {
      type: 'putDelivery',
      delivery: { id: 'd', label: 'Cones', dueOn: null, arrivedAt: null, place: 'hub.front' },
    });
    expect(waitsFor(ordered)).toEqual(['it is not here yet']);
    const timer = {
      id: 't',
      label: 'Tank',
      place: 'hub.front',
      startedAt: AT,
      minutes: 10,
      maxMinutes: null,
      next: '',
      endedAt: null,
      bath: null,
      parts: ['hub.front/cone.left'],
    };
    expect(waitsFor(done(apart, { type: 'startTimer', timer }))).toEqual(['it lies in the bath']);
    const open = done(made, { type: 'overhaulStep', place: 'hub.front', step: 'clean', done: true });
    expect(waitsFor(open)).toEqual(['its bearing is open']);
  });

  test('the record says what has to be true: cranks by their signatures, the bar by a word, a wheel by its job', () => {
    const facts = (bicycle: Bicycle) => orderInput(bicycle, trays, bolts, null, USUAL_SETTINGS).facts;
    expect(facts(made)).toMatchObject({ torqued: false });
    expect(facts(done(made, ...signCranks(AT)))).toMatchObject({ torqued: true });
    expect(facts(done(made, { type: 'settleBar', settled: false }))).toMatchObject({ settled: false });
    expect(facts(made)).not.toHaveProperty('settled');
  });

  test('what only goes on is the same in the table and in the record', () => {
    const told = onlyOnRows.map(({ id, place, title }) => [id, { label: title, place }]);
    expect(Object.fromEntries(told)).toEqual(ONLY_ON);
  });

  test('a wrench is set to the middle of the band', () => {
    expect(setNmOf({ torqueMinNm: 4, torqueMaxNm: 6 })).toBe(5);
    expect(setNmOf({ torqueMinNm: null, torqueMaxNm: null })).toBeNull();
  });

  test('what the round found loose is remembered, whoever tightened it since', () => {
    const [lever] = bolts.filter(({ place }) => place === 'brake-lever.left');
    const sign = (id: string, valueNm: number, loose: boolean): Command => ({
      type: 'signBolt',
      signature: {
        id,
        bolt: lever!.id,
        how: 'wrench',
        valueNm,
        holdTest: false,
        at: AT,
        by: '',
        what: 'checked',
        foundLoose: loose,
      },
    });
    const round = done(made, sign('s1', 2, true), sign('s2', 6, false));
    expect(foundLoose(round, bolts).map(({ id }) => id)).toEqual([lever!.id]);
    expect(foundLoose(made, bolts)).toEqual([]);
  });

  test('what lies in no tray is together until it is said to be off, and waits for what comes before it', () => {
    const off = done(
      made,
      { type: 'tookOff', piece: 'cables', place: 'cables.brake', off: true },
      { type: 'settleBar', settled: false },
    );
    expect(order(off).waits).toMatchObject([{ assembly: 'cables', for: ['the height of the bar is settled'] }]);
    expect(order(done(off, { type: 'settleBar', settled: true })).now).toMatchObject([{ assembly: 'cables' }]);
  });
});
