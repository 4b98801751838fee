import type { Bolt } from '@/core/rebuild/bolts';
import { command, type Command } from './commands';
import { USUAL_COSTS } from './buy/fresh';
import { USUAL_SETTINGS } from './settings/usual';
import { NOTHING_LEARNT } from '@/core/money/learnt';
import { gatherLessons } from './buy/lessons';
import { appraisalInput } from './buy/questions';
import { runningTimers } from './clean/timers';
import { latestObservations } from './inspect/latest';
import { lookOverInput } from './inspect/questions';
import { buyAppraise } from '@/core/buy/appraise';
import { roadCost } from './buy/road';
import { resultInput, spent } from './money/questions';
import { nextThing } from './next';
import { signedBolts } from './rebuild/questions';
import { trayFor } from './strip/trays';
import { workedMinutes } from './work/hours';
import { after, AT, seen } from '../../tests/records';

const keep: Command = {
  type: 'decideJob',
  job: {
    id: 'chain',
    rule: 'chain',
    title: 'Renew the chain',
    place: 'chain',
    minutes: { low: 15, likely: 25, high: 40 },
    parts: { low: 1200, likely: 1800, high: 3200 },
    decision: 'keep',
    reason: '',
    approval: null,
    declined: null,
    done: false,
  },
};

/** Nothing was looked at yet, and nothing asks for a job. */
const NOTHING = { lookOver: { findings: [] }, jobs: [] };

describe('what a record means', () => {
  test('a new bicycle carries the ordinary work; its faults come from the door check', () => {
    expect(USUAL_COSTS.map((line) => line.kind)).toEqual(['standing']);
    const input = appraisalInput(after(), USUAL_SETTINGS, NOTHING_LEARNT, NOTHING);
    expect(input.lines).toHaveLength(1);
    expect(input.door).toEqual({});
  });

  test('the road counts before the drive, and is spent at the door', () => {
    const away = { type: 'describeLead' as const, changes: { distanceKm: 40 } };
    expect(appraisalInput(after(away), USUAL_SETTINGS, NOTHING_LEARNT, NOTHING).travel).toMatchObject({
      distanceKm: 40,
    });
    const bought = after(away, { type: 'recordPurchase', paid: 9000, at: AT });
    expect(appraisalInput(bought, USUAL_SETTINGS, NOTHING_LEARNT, NOTHING).travel).toBeNull();
    const atTheDoor = after(away, { type: 'answerDoor', line: 'post', answer: 'fine', at: AT, by: '' });
    expect(appraisalInput(atTheDoor, USUAL_SETTINGS, NOTHING_LEARNT, NOTHING).travel).toBeNull();
    expect(roadCost(bought.lead)).toBe(2000);
  });

  test('what was said at the doors is counted line by line, in whichever order', () => {
    const doors: Record<string, 'fine' | 'bad'>[] = [{ 'hub-front': 'bad' }, { 'hub-front': 'fine', chain: 'bad' }];
    const counted = { 'hub-front': { looked: 2, bad: 1 }, chain: { looked: 1, bad: 1 } };
    expect(gatherLessons(doors)).toEqual(counted);
    expect(gatherLessons(doors.toReversed())).toEqual(counted);
  });

  test('the last observation of a check counts, one taken back does not', () => {
    const twice = after(seen('1', 'tyres', { outcome: 'sound' }), seen('2', 'tyres', { outcome: 'cord' }));
    expect(latestObservations(twice).get('tyres')!.evidence.outcome).toBe('cord');
    const back = after(seen('1', 'tyres', { outcome: 'sound' }), seen('2', 'tyres', { outcome: 'cord' }), {
      type: 'withdrawObservation',
      observation: '2',
    });
    expect(lookOverInput(back, USUAL_SETTINGS, '2026-11-25').found).toEqual([
      { check: 'tyres', id: '1', evidence: { outcome: 'sound' }, seenAs: 'bought', at: AT },
    ]);
  });

  test('a job that was kept is a cost, and the price paid is held against the limit', () => {
    const bought = after(
      { type: 'setAppraisal', changes: { asking: 14000, resale: { low: 26000, likely: 30000, high: 34000 } } },
      { type: 'recordPurchase', paid: 9000, at: AT },
      keep,
    );
    const found = buyAppraise.run(
      buyAppraise.input.parse(appraisalInput(bought, USUAL_SETTINGS, NOTHING_LEARNT, NOTHING)),
    );
    expect(found.limit.price).toEqual({ amount: 9000, is: 'paid' });
    expect(found.costs).toContainEqual(expect.objectContaining({ id: 'chain', label: 'Renew the chain', chance: 1 }));
  });

  test('money and minutes are added up from their rows', () => {
    const books = after(
      { type: 'recordPurchase', paid: 9000, at: AT },
      { type: 'putLine', line: { id: 'l', label: 'Balls', kind: 'part', paid: 1000, packQty: 20, usedQty: 6 } },
      { type: 'setSale', changes: { price: 30000, fee: 500 } },
      { type: 'putMinutes', entry: { id: 'm', stage: 'strip', minutes: 45, at: AT, place: null } },
      { type: 'putMinutes', entry: { id: 'n', stage: 'clean', place: null, minutes: 15, at: AT } },
    );
    expect(spent(books)).toBe(10500);
    expect(workedMinutes(books)).toBe(60);
    expect(resultInput(books, USUAL_SETTINGS)).toMatchObject({ sale: 30000, fee: 500, purchase: 9000, minutes: 60 });
  });

  test('an empty tray is not stored until something lies in it', () => {
    expect(after().trays).toHaveLength(0);
    expect(trayFor(after(), 'hub.front').off).toEqual({});
    expect(after({ type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } }).bearings).toHaveLength(
      1,
    );
  });

  test('the last signature of a bolt is held against its band', () => {
    const bolt = { id: 'stem', torqueMinNm: 16, torqueMaxNm: 24 } as Bolt;
    const sign = (id: string, valueNm: number | null): Command => ({
      type: 'signBolt',
      signature: {
        id,
        bolt: 'stem',
        how: valueNm === null ? 'feel' : 'wrench',
        what: 'done',
        foundLoose: false,
        valueNm,
        at: AT,
        by: 'Ada',
        holdTest: false,
      },
    });
    expect(signedBolts(after(sign('1', 30)), [bolt])[0]!.judgement).toBe('over');
    expect(signedBolts(after(sign('1', 30), sign('2', 20)), [bolt])[0]!.judgement).toBe('within');
    expect(signedBolts(after(sign('1', 20), sign('2', null)), [bolt])[0]!.judgement).toBe('by feel');
    expect(signedBolts(after(), [bolt])).toEqual([]);
  });

  test('timers run from the time they were started, the soonest first, until they are ended', () => {
    const timer = (id: string, minutes: number): Command => ({
      type: 'startTimer',
      timer: {
        id,
        label: id,
        place: 'hub.front',
        startedAt: AT,
        minutes,
        maxMinutes: null,
        next: '',
        endedAt: null,
        bath: null,
        parts: [],
      },
    });
    const running = runningTimers(
      after(timer('vinegar', 480), timer('bath', 10), { type: 'endTimer', timer: 'none', at: AT }),
    );
    expect(running.map(({ timer: { id } }) => id)).toEqual(['bath', 'vinegar']);
    expect(running[0]!.dueAtMs - Date.parse(AT)).toBe(600_000);
    expect(runningTimers(after(timer('bath', 10), { type: 'endTimer', timer: 'bath', at: AT }))).toEqual([]);
  });

  test('what comes next follows the order of the work', () => {
    const bought: Command = { type: 'recordPurchase', paid: 9000, at: AT };
    const looked = seen('1', 'tyres', { outcome: 'sound' });
    expect(nextThing(after()).stage).toBe('buy');
    expect(nextThing(after(bought)).stage).toBe('look-over');
    expect(nextThing(after(bought, looked)).stage).toBe('decide');
    expect(nextThing(after(bought, looked, keep)).stage).toBe('strip');
    const open: Command = {
      type: 'markStep',
      place: 'hub.front',
      step: 'locknut',
      done: true,
      takes: ['locknut.left'],
    };
    expect(nextThing(after(bought, looked, keep, open)).words).toContain('lies open');
    const done: Command = { type: 'finishJob', job: 'chain', done: true };
    expect(nextThing(after(bought, looked, keep, done)).stage).toBe('rebuild');
    expect(nextThing(after(bought, { type: 'setSale', changes: { price: 1 } })).stage).toBe('hand-over');
  });
});

describe('commands at the edge', () => {
  test.each([
    ['an unknown one', { type: 'explode' }],
    ['a negative price', { type: 'recordPurchase', paid: -1, at: AT }],
    ['half a ball', { type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 8.5 } }],
    ['a range out of order', { type: 'setAppraisal', changes: { resale: { low: 3, likely: 2, high: 1 } } }],
    [
      'a torque of nothing',
      {
        type: 'signBolt',
        signature: { id: 's', bolt: 'b', how: 'wrench', valueNm: 0, at: AT, by: '', holdTest: false },
      },
    ],
    ['a key that does not belong', { type: 'setBrief', brief: 'donor', colour: 'green' }],
  ])('%s is refused', (_name, sent) => {
    expect(command.safeParse(sent).success).toBe(false);
  });
});
