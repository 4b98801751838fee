import { buyAppraise, type BuyAppraisal, type BuyAppraiseInput } from './appraise';
import { limitChange } from './limitChange';

const same = (n: number) => ({ low: n, likely: n, high: n });
const ORDINARY = {
  id: 'ordinary',
  label: 'Ordinary work',
  kind: 'standing' as const,
  chance: 1,
  parts: same(2000),
  minutes: same(240),
};
const CHECKS = ['hub-front', 'tyre-front', 'tyre-rear', 'chain', 'cogs', 'frame', 'ripple'];
const question: BuyAppraiseInput = {
  currency: 'EUR',
  asking: 14000,
  resale: { low: 26000, likely: 30000, high: 34000 },
  target: { kind: 'hourly', amount: 1500 },
  lines: [ORDINARY],
  checks: CHECKS,
};
const appraise = (more: Partial<BuyAppraiseInput> = {}): BuyAppraisal =>
  buyAppraise.run(buyAppraise.input.parse({ ...question, ...more }));
const costOf = (found: BuyAppraisal, id: string) => found.costs.find((cost) => cost.id === id);
const overhaul = (more: object = {}) => ({
  id: 'hub-front-open',
  label: 'Open and overhaul the front hub',
  check: 'hub-front',
  decision: 'open' as const,
  minutes: same(70),
  parts: same(300),
  ...more,
});
const gritty = [{ check: 'hub-front', state: 'service' as const }];

describe('each thing is in the sum once', () => {
  test('at the door a bad hub counts by the door’s own guess, and its job waits for a closer look', () => {
    const found = appraise({ door: { 'hub-front': 'bad' }, jobs: [overhaul()] });
    expect(costOf(found, 'door:hub-front')!.chance).toBe(1);
    expect(costOf(found, 'hub-front-open')).toBeUndefined();
  });

  test('once it was looked at, the job stands in the stead of the guess', () => {
    const found = appraise({ door: { 'hub-front': 'bad' }, seen: gritty, jobs: [overhaul()] });
    expect(costOf(found, 'door:hub-front')).toBeUndefined();
    expect(costOf(found, 'hub-front-open')).toMatchObject({ chance: 1, minutes: same(70), parts: same(300) });
    expect(found.door.find(({ id }) => id === 'hub-front')).toMatchObject({ answer: 'bad', deeper: 'jobs' });
  });

  test('a job that was kept counts at once, and one that was dropped takes the guess with it', () => {
    const kept = appraise({ door: { 'hub-front': 'bad' }, jobs: [overhaul({ decision: 'keep' })] });
    expect(costOf(kept, 'hub-front-open')).toBeDefined();
    expect(costOf(kept, 'door:hub-front')).toBeUndefined();
    const dropped = appraise({ door: { 'hub-front': 'bad' }, seen: gritty, jobs: [overhaul({ decision: 'drop' })] });
    expect(costOf(dropped, 'hub-front-open')).toBeUndefined();
    expect(costOf(dropped, 'door:hub-front')).toBeUndefined();
  });

  test('a line is fine once all that it speaks of is, and not before', () => {
    const front = { check: 'tyre-front', state: 'fine' as const };
    const rear = { check: 'tyre-rear', state: 'watch' as const };
    const tyres = (found: BuyAppraisal) => found.door.find(({ id }) => id === 'tyres')!;
    expect(tyres(appraise({ seen: [front] }))).toMatchObject({ answer: null, deeper: null });
    expect(tyres(appraise({ seen: [front, rear] }))).toMatchObject({ answer: 'fine', deeper: 'fine', chance: 0 });
  });

  test('what was found wrong and has no job counts by the door’s guess, as certain', () => {
    const found = appraise({ seen: [{ check: 'tyre-front', state: 'replace' }] });
    expect(costOf(found, 'door:tyres')!.chance).toBe(1);
  });

  test('the ordinary work is one line, whatever it is called where it is decided', () => {
    const job = { id: 'ordinary', label: 'Wash, tune, photographs, listing', minutes: same(260), parts: same(1500) };
    for (const decision of ['open', 'keep'] as const) {
      const found = appraise({ jobs: [{ ...job, decision }] });
      expect(found.costs.filter(({ id }) => id === 'ordinary')).toEqual([expect.objectContaining(ORDINARY)]);
    }
    expect(costOf(appraise({ jobs: [{ ...job, decision: 'drop' }] }), 'ordinary')).toBeUndefined();
    expect(costOf(appraise({ lines: [], jobs: [{ ...job, decision: 'keep' }] }), 'ordinary')).toMatchObject({
      minutes: same(260),
    });
  });

  test('two jobs of one name are told apart', () => {
    const jobs = [overhaul({ decision: 'keep' }), overhaul({ id: 'other', check: null, decision: 'keep' })];
    const labels = appraise({ jobs }).costs.map(({ label }) => label);
    expect(new Set(labels).size).toBe(labels.length);
  });
});

describe('what was really put down', () => {
  const done = overhaul({ decision: 'keep', done: true });

  test('a part that was bought for a job counts at what it cost', () => {
    const bought = [{ label: 'Balls', charged: 450, job: 'hub-front-open' }];
    expect(costOf(appraise({ jobs: [done], bought }), 'hub-front-open')!.parts).toEqual(same(450));
    expect(costOf(appraise({ jobs: [done], bought }), 'bought')).toBeUndefined();
  });

  test('a part that was bought for no job is a line of its own, and a done job guesses no parts beside it', () => {
    const bought = [{ label: 'A bag of balls', charged: 700 }];
    const found = appraise({ jobs: [done], bought });
    expect(costOf(found, 'bought')!.parts).toEqual(same(700));
    expect(costOf(found, 'hub-front-open')!.parts).toEqual(same(0));
  });

  test('consumables are in the ordinary work until they are more than it holds', () => {
    const grease = (charged: number) => appraise({ bought: [{ label: 'Grease', charged, consumable: true }] });
    expect(costOf(grease(1500), 'bought')).toBeUndefined();
    expect(costOf(grease(2600), 'bought')!.parts).toEqual(same(600));
  });

  test('the hours of a done job are those that were worked; an open one takes at least what it took so far', () => {
    const worked = { minutes: 130, onJobs: { 'hub-front-open': 130 } };
    expect(costOf(appraise({ jobs: [done], worked }), 'hub-front-open')!.minutes).toEqual(same(130));
    const open = overhaul({ decision: 'keep' });
    expect(costOf(appraise({ jobs: [open], worked }), 'hub-front-open')!.minutes).toEqual(same(130));
    expect(
      costOf(appraise({ jobs: [open], worked: { minutes: 30, onJobs: { 'hub-front-open': 30 } } }), 'hub-front-open')!
        .minutes,
    ).toEqual(same(70));
  });

  test('hours beyond all that was estimated as done are a line of their own', () => {
    expect(costOf(appraise({ worked: { minutes: 200 } }), 'worked')).toBeUndefined();
    expect(costOf(appraise({ worked: { minutes: 300 } }), 'worked')!.minutes).toEqual(same(60));
    expect(costOf(appraise({ jobs: [done], worked: { minutes: 300 } }), 'worked')).toBeUndefined();
  });

  test('more hours and dearer parts never raise the limit', () => {
    const most = (more: Partial<BuyAppraiseInput>) => appraise({ jobs: [done], ...more }).limit.most!;
    expect(most({ worked: { minutes: 600 } })).toBeLessThan(most({}));
    expect(most({ bought: [{ label: 'Cone', charged: 5000, job: 'hub-front-open' }] })).toBeLessThan(most({}));
  });
});

describe('one limit', () => {
  test('before it is bought the price is what is asked, after it what was paid, and nobody’s nought is a price', () => {
    expect(appraise().limit.price).toEqual({ amount: 14000, is: 'asked' });
    expect(appraise({ paid: 9000 }).limit.price).toEqual({ amount: 9000, is: 'paid' });
    expect(appraise({ asking: null }).limit).toMatchObject({ price: null, room: null });
    expect(appraise({ asking: 0 }).limit.price).toEqual({ amount: 0, is: 'asked' });
    const { most, room } = appraise({ paid: 9000 }).limit;
    expect(room).toBe(most! - 9000);
  });

  test('it is the ceiling of the sum that is shown, in whole units and never above it', () => {
    const found = appraise({ seen: gritty, jobs: [overhaul()] });
    const { ceiling } = found.appraisal!;
    expect(found.limit.most! % 100).toBe(0);
    expect(ceiling - found.limit.most!).toBeGreaterThanOrEqual(0);
    expect(ceiling - found.limit.most!).toBeLessThan(100);
  });

  test('nothing is known of it before it is said what it may fetch, nor past a crack', () => {
    expect(appraise({ resale: same(0) }).limit.most).toBeNull();
    expect(appraise({ door: { ripple: 'bad' } }).limit.most).toBeNull();
  });
});

describe('a limit that moves says why', () => {
  const before = appraise();
  test('a hub found bad lets it fall, and is named', () => {
    const change = limitChange(before, appraise({ door: { 'hub-front': 'bad' } }))!;
    expect(change.from).toBe(before.limit.most);
    expect(change.to).toBeLessThan(change.from);
    expect(change.because[0]).toBe('Front hub rumbles or is loose');
  });

  test('what may be fetched and what is wanted are named before the lines', () => {
    const more = appraise({ resale: { low: 30000, likely: 34000, high: 38000 } });
    expect(limitChange(before, more)!.because).toEqual(['what it may fetch']);
    const wage = appraise({ target: { kind: 'hourly', amount: 2000 } });
    expect(limitChange(before, wage)!.because[0]).toBe('what is wanted for it');
  });

  test('nothing is told where it stands, or is not known', () => {
    expect(limitChange(before, appraise())).toBeNull();
    expect(limitChange(before, appraise({ resale: same(0) }))).toBeNull();
  });
});
