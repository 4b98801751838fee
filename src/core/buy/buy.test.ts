import type * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { answer, type Calculator } from '../calculator';
import { buyAge } from './age';
import { buyAppraise } from './appraise';
import { bargain, roundOffer } from './bargain';
import { buyComparables } from './comparables';
import { eraFeatures, featureId } from './data/eraFeatures';
import { buySellerWords } from './sellerWords';
import { chanceGiven, doorChecksFor, doorLines } from './door';
import { buyFit } from './fit';

function ok<S extends z.ZodMiniType, O>(calculator: Calculator<S, O>, input: unknown): O {
  const result = answer(calculator, input);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const kind = bicycleKind.parse({});
const euros = (minor: number) => `€${minor / 100}`;

describe('the door check', () => {
  test('what costs most and is missed most is asked, by what the bicycle is', () => {
    const asked = (more: object) => doorChecksFor(bicycleKind.parse(more)).map((line) => line.id);
    expect(asked({})).toEqual(
      expect.arrayContaining([
        'post',
        'stem',
        'ripple',
        'fork',
        'hub-front',
        'nipples',
        'shifters',
        'release',
        'hanger',
        'size',
        'obsolete',
        'tyres',
        'chain',
        'pads',
        'cables',
        'grips',
        'small',
        'grade',
      ]),
    );
    expect(asked({ brakes: 'disc' })).toContain('hose');
    expect(asked({})).not.toContain('hose');
    expect(asked({ gears: 'single' })).not.toContain('hanger');
    expect(asked({ chain: '11-speed' })).toContain('integrated');
    expect(asked({ electric: true })).toContain('battery');
    expect(asked({ frame: 'full-suspension' })).toContain('linkage');
  });
  test('bad is certain, fine costs nothing, not looked at keeps its chance', () => {
    const lines = doorLines(kind, { post: 'bad', stem: 'fine' });
    const chance = (id: string) => lines.find((line) => line.id === id)!.chance;
    expect([chance('post'), chance('stem')]).toEqual([1, 0]);
    expect(chance('tyres')).toBeGreaterThan(0);
    expect(chance('tyres')).toBeLessThan(1);
  });
  test('a bicycle that has been crashed makes the fork likelier and says why', () => {
    const told = chanceGiven(0.1, 'fork', { crashed: 'yes' });
    expect(told.chance).toBeCloseTo(12 / 9 / (1 + 12 / 9), 9);
    expect(told.why).toEqual(['has been crashed']);
    expect(chanceGiven(0.1, 'fork', {})).toEqual({ chance: 0.1, why: [] });
  });
});

describe('the appraisal at the door', () => {
  const question = (more: object = {}) => ({
    kind,
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    target: { kind: 'hourly', amount: 1500 },
    lines: [
      {
        id: 'ordinary',
        label: 'Ordinary work',
        kind: 'standing',
        chance: 1,
        parts: { low: 1200, likely: 2000, high: 3200 },
        minutes: { low: 200, likely: 260, high: 330 },
      },
    ],
    ...more,
  });
  const tapped = { post: 'bad', 'hub-front': 'bad', tyres: 'bad', release: 'bad', shifters: 'fine' };
  test('post stuck, hub rumbling, tyres cracked, a brake hanging: the ceiling falls far under the 140 asked', () => {
    const found = ok(buyAppraise, question({ door: tapped }));
    expect(found.appraisal!.ceiling).toBeLessThan(14000);
    expect(found.appraisal!.verdict).toBe('walk-away');
    const faults = found.appraisal!.drivers.filter((driver) => driver.kind === 'fault').slice(0, 3);
    expect(faults.map((driver) => driver.label)).toEqual([
      'Tyres cracked or worn',
      'Post does not move',
      'Front hub rumbles or is loose',
    ]);
  });
  test('the post moves after all: the ceiling rises at once', () => {
    // What stops has no ceiling at all.
    const ceiling = (door: object) => ok(buyAppraise, question({ door })).appraisal?.ceiling ?? -1;
    expect(ceiling({ ...tapped, post: 'fine' })).toBeGreaterThan(ceiling(tapped) + 2000);
  });
  test('each bad tap lowers the ceiling, each fine tap raises it', () => {
    // What stops has no ceiling at all.
    const ceiling = (door: object) => ok(buyAppraise, question({ door })).appraisal?.ceiling ?? -1;
    const open = ceiling({});
    for (const { id } of doorChecksFor(kind)) {
      expect(ceiling({ [id]: 'bad' })).toBeLessThanOrEqual(open);
      expect(ceiling({ [id]: 'fine' })).toBeGreaterThanOrEqual(open);
    }
  });
  test('what was learnt is used only where it is given: chances at the door, minutes by kind, what is fetched', () => {
    const found = (learnt: object) => ok(buyAppraise, question({ learnt }));
    const line = (learnt: object) => found(learnt).door.find((each) => each.id === 'hub-front')!;
    expect(line({ chances: { 'hub-front': { chance: 0.6, cases: 9, seen: 8 } } })).toMatchObject({
      chance: 0.6,
      learnt: { cases: 9, seen: 8 },
    });
    expect(line({}).learnt).toBeNull();
    const hubs = { minutes: { hubs: { factor: 2, p10: 1.2, p90: 3.4, cases: 6 } } };
    // The range of the line stays as it is thought; the sum takes what was learnt.
    expect(line(hubs).minutes).toEqual({ low: 40, likely: 65, high: 110 });
    const costOf = (learnt: object) => found(learnt).costs.find(({ id }) => id === 'door:hub-front')!.minutes;
    expect(costOf(hubs)).toEqual({ low: 78, likely: 130, high: 221 });
    expect(costOf({})).toEqual({ low: 40, likely: 65, high: 110 });
    expect(found(hubs).limit.most!).toBeLessThan(found({}).limit.most!);
    expect(found(hubs).learnt).toEqual([{ key: 'minutes:hubs', words: 'Hubs: 2.0 times the estimate, from six.' }]);
    const less = { resale: { factor: 0.9, cases: 8 } };
    expect(found(less).terms.resale.likely).toBe(Math.round(found({}).terms.resale.likely * 0.9));
    expect(found(less).limit.most!).toBeLessThan(found({}).limit.most!);
  });
  test('two own lines of one name are refused in words, and never a ceiling that silently goes', () => {
    const own = (id: string) => ({ ...question().lines[0], id });
    const told = answer(buyAppraise, question({ lines: [own('a'), own('b')] }));
    expect(told.ok ? [] : told.errors.map((error) => error.path)).toEqual(['lines']);
  });
  test('a crack, a ripple or a bend at the door is no repair line: it stops: no ceiling, and it says what remains', () => {
    const found = ok(buyAppraise, question({ door: { ripple: 'bad' } }));
    expect(found.appraisal).toBeNull();
    expect(found.drive).toBeNull();
    expect(found.stop).toMatchObject({ faults: ['Ripple or crack in the frame'] });
    expect(found.stop!.words).toContain('what its parts are worth, or nothing');
    expect(ok(buyAppraise, question({ door: { ripple: 'fine' } })).stop).toBeNull();
  });
  test('a bicycle that stops for its parts: it is reckoned, with no repair in the sum', () => {
    const whole = ok(buyAppraise, question({ door: { fork: 'bad' }, forParts: true }));
    expect(whole.appraisal).not.toBeNull();
    expect(whole.costs.every((line) => line.kind !== 'fault')).toBe(true);
  });
  test('with no resale known the lines stand alone', () => {
    const found = ok(buyAppraise, question({ resale: { low: 0, likely: 0, high: 0 } }));
    expect(found.appraisal).toBeNull();
    expect(found.door.length).toBeGreaterThan(20);
  });
  test('own figures stand in the stead of the table’s', () => {
    const own = {
      id: 'door:tyres',
      label: 'Tyres cracked or worn',
      kind: 'fault',
      chance: 1,
      parts: { low: 100, likely: 100, high: 100 },
      minutes: { low: 5, likely: 5, high: 5 },
    };
    const found = ok(buyAppraise, question({ lines: [own], door: { tyres: 'bad' } }));
    expect(found.door.find((line) => line.id === 'tyres')!.parts.high).toBe(100);
    expect(found.costs.filter((cost) => cost.label === 'Tyres cracked or worn')).toHaveLength(1);
  });
  test('the drive counts before leaving only, and a farther one is worth less', () => {
    const drive = (distanceKm: number) =>
      ok(buyAppraise, question({ travel: { distanceKm, costPerKm: 25, haggle: 0.1 } })).drive!;
    expect(ok(buyAppraise, question()).drive).toBeNull();
    expect(drive(5).verdict).toBe('go');
    expect(drive(5).expectedGain).toBeGreaterThan(drive(60).expectedGain);
    expect(drive(drive(5).farthestKm + 3).verdict).toBe('stay');
    expect(ok(buyAppraise, question()).appraisal!.ceiling).toBe(
      ok(buyAppraise, question({ travel: { distanceKm: 60, costPerKm: 25, haggle: 0.1 } })).appraisal!.ceiling,
    );
  });
});

describe('a sentence to bargain with', () => {
  const post = { label: 'Post does not move', parts: { low: 1500, high: 6000 } };
  test('the post alone may cost 15 to 60: an offer under the ceiling and under what is asked', () => {
    const deal = bargain(14000, 13500, [post], euros);
    expect(deal.offer).toBe(12000);
    expect(deal.sentence).toBe('Post does not move: that alone may cost €15 to €60. I would give €120.');
  });
  test('the seller never hears the ceiling', () => {
    for (let ceiling = 5000; ceiling <= 20000; ceiling += 137) {
      const deal = bargain(14000, ceiling, [post], euros);
      if (deal.offer !== null) expect(deal.offer).toBeLessThanOrEqual(ceiling * 0.9);
      expect(deal.sentence).not.toContain(euros(ceiling));
    }
  });
  test('an offer that would only offend is not made', () => {
    expect(bargain(14000, 3000, [post], euros)).toMatchObject({ offer: null });
    expect(bargain(14000, 3000, [post], euros).sentence).toContain('too much work');
  });
  test('round sums, as people say them', () => {
    expect([roundOffer(9_999), roundOffer(11_850), roundOffer(400)]).toEqual([9500, 11000, 0]);
  });
});

describe('from sold prices', () => {
  const today = '2026-11-25';
  const sales = (prices: number[], soldOn: string | null = today) =>
    prices.map((price, i) => ({ id: String(i), label: `bicycle ${i}`, price, soldOn }));
  test('one of another sort is left out and named', () => {
    const found = ok(buyComparables, { sales: sales([26000, 29000, 30000, 31000, 120000]), today });
    expect(found.leftOut.map((each) => each.price)).toEqual([120000]);
    expect(found.range!.likely).toBe(29500);
  });
  test('a sale of a year ago counts half', () => {
    const found = ok(buyComparables, { sales: sales([30000], '2025-11-25'), today });
    expect(found.used[0]!.weight).toBeCloseTo(0.5, 2);
  });
  test('few sales keep the range wide, none give none', () => {
    const found = ok(buyComparables, { sales: sales([30000]), today });
    expect(found.range).toEqual({ low: 19500, likely: 30000, high: 40500 });
    expect(found.verdict).toBe('few');
    expect(found.reasons[0]).toMatch(/under three, that is not enough/);
    const three = ok(buyComparables, { sales: sales([30000, 30000, 30000]), today });
    expect(three.reasons[0]).not.toMatch(/not enough/);
    expect(three.range!.high - three.range!.low).toBeLessThan(found.range!.high - found.range!.low);
    expect(ok(buyComparables, { sales: [], today }).range).toBeNull();
  });
  test('sold prices come from like ones: another frame, class, size or state is left out and says why', () => {
    const wanted = { frame: 'diamond', use: 'touring', sizeMm: 560, state: 'rideable' };
    const [like] = sales([30000]);
    const found = ok(buyComparables, {
      today,
      wanted,
      sales: [
        { ...like, ...wanted, id: 'like' },
        { ...like, ...wanted, id: 'size', sizeMm: 610, price: 90000 },
        { ...like, ...wanted, id: 'near', sizeMm: 590 },
        { ...like, ...wanted, id: 'frame', frame: 'mixte' },
        { ...like, ...wanted, id: 'use', use: 'road' },
        { ...like, ...wanted, id: 'state', state: 'restored' },
      ],
    });
    expect(found.used.map(({ id }) => id)).toEqual(['like', 'near']);
    expect(Object.fromEntries(found.leftOut.map(({ id, why }) => [id, why]))).toEqual({
      size: 'another size',
      frame: 'another kind of frame',
      use: 'another class of bicycle',
      state: 'sold in another state',
    });
  });
  test('what nobody knows of a sale counts half for each thing, and never leaves it out', () => {
    const wanted = { frame: 'diamond', sizeMm: 560 };
    const [sold] = sales([30000]);
    const weight = (more: object) =>
      ok(buyComparables, { today, wanted, sales: [{ ...sold, soldOn: today, ...more }] }).used[0]!.weight;
    expect(weight({ frame: 'diamond', sizeMm: 560 })).toBeCloseTo(1, 9);
    expect(weight({ frame: 'diamond' })).toBeCloseTo(0.5, 9);
    expect(weight({})).toBeCloseTo(0.25, 9);
  });
  test('with none but unlike ones there is no range', () => {
    const [sold] = sales([30000]);
    const found = ok(buyComparables, { today, wanted: { frame: 'diamond' }, sales: [{ ...sold, frame: 'mixte' }] });
    expect(found).toMatchObject({ range: null, verdict: 'none' });
  });
  test('the range is in order and in whole units whatever was sold', () => {
    for (let seed = 1; seed < 60; seed++) {
      const prices = Array.from({ length: 1 + (seed % 9) }, (_, i) => (seed * 7919 * (i + 3)) % 90001);
      const { range } = ok(buyComparables, { sales: sales(prices), today });
      expect(range!.low).toBeLessThanOrEqual(range!.likely);
      expect(range!.likely).toBeLessThanOrEqual(range!.high);
      for (const value of Object.values(range!)) expect(value % 100).toBe(0);
    }
  });
});

describe('how old it is', () => {
  const age = (...features: string[]) => ok(buyAge, { features: features.map(featureId), thisYear: 2026 });
  test('stem shifters and integrated levers are apart by little: told as unlikely; 126 spacing with 11 cogs never met', () => {
    const found = age('rear spacing 126', 'rear cogs 11');
    expect(found.verdict).toBe('changed');
    expect(found.possible).toBeNull();
    expect(found.reasons[0]).toContain('never sold together');
    expect(found.contradictions[0]).toMatchObject({ later: 'rear cogs 11', earlier: 'rear spacing 126' });
  });
  test('seven cogs, 126 mm and down tube shifters: about 1990 and not before 1979', () => {
    const found = age('rear cogs 7', 'rear spacing 126', 'down tube shifters');
    expect(found.possible!.from).toBe(1979);
    expect(found.likely!.from).toBeGreaterThanOrEqual(1985);
    expect(found.likely!.to).toBeLessThanOrEqual(1993);
  });
  test('another feature never widens what is possible', () => {
    let wide = age('quill stem').possible!;
    for (const feature of ['cottered cranks', 'rear cogs 5', '27 inch (630) wheels']) {
      const found = age('quill stem', feature).possible!;
      expect(found.from).toBeGreaterThanOrEqual(wide.from);
      expect(found.to).toBeLessThanOrEqual(wide.to);
    }
    wide = age().possible ?? wide;
    expect(age().verdict).toBe('unknown');
  });
  test('every feature has an id of its own and a year that comes before it is common', () => {
    expect(new Set(eraFeatures.map((each) => each.id)).size).toBe(eraFeatures.length);
    for (const each of eraFeatures) expect(each.earliestYear).toBeLessThanOrEqual(each.commonFrom);
  });
  test('a feature that the table does not hold is refused where it stands', () => {
    const told = answer(buyAge, { features: ['anti-gravity'], thisYear: 2026 });
    expect(told.ok ? [] : told.errors.map((error) => error.path)).toEqual(['features.0']);
  });
});

describe('whom it fits', () => {
  const fit = (more: object) => ok(buyFit, { kind: 'road', sizeMm: 560, convention: 'centre-top', ...more });
  test('560 mm centre to top on the road is for about 1.79 m', () => {
    expect(fit({}).riderMm.likely).toBe(1790);
  });
  test('545 mm centre to centre is the same frame', () => {
    expect(fit({ sizeMm: 545, convention: 'centre-centre' }).riderMm).toEqual(fit({}).riderMm);
    expect(fit({}).seatTubeMm).toEqual({ centreTop: 560, centreCentre: 545, centreTopTube: 559.3 });
  });
  test('a standover over the inseam is told as too high', () => {
    expect(fit({ standoverMm: 830, riderMm: 1700 }).standover!.verdict).toBe('too-high');
    expect(fit({ standoverMm: 780, riderMm: 1750 }).standover!.verdict).toBe('clear');
  });
  test('a bigger frame fits bigger riders, and says that it is a rule of thumb', () => {
    expect(fit({ sizeMm: 600 }).riderMm.low).toBeGreaterThan(fit({}).riderMm.low);
    expect(fit({}).reasons.join(' ')).toContain('rule of thumb');
  });
});

describe('what sellers’ words cost', () => {
  const bicycle = (id: string, advert: string, minutes: number, more: object = {}) => ({
    id,
    advert,
    ordinary: { parts: 2000, minutes: 260 },
    took: { parts: 3000, minutes },
    work: { wheels: minutes - 300, hubs: 100 },
    ...more,
  });
  const told = [
    bicycle('a', 'A fine tourer. It JUST NEEDS a chain!', 900),
    bicycle('b', 'Only needs air', 820),
    bicycle('c', 'Serviced last spring', 420),
    bicycle('d', 'Was serviced, rides well.', 440),
    bicycle('e', 'A justneedsy thing', 400),
  ];
  const found = (bicycles: object[]) => ok(buySellerWords, { ratePerHour: 1500, bicycles });
  test('the dearest words come first, with what they meant, drawn towards all while they are few', () => {
    const [first, second] = found(told).phrases;
    expect(first).toMatchObject({ id: 'just-needs', cases: 2, meant: ['wheels', 'hubs'] });
    expect(first!.words).toBe('“It just needs…”, said of two: it meant wheels and hubs');
    expect(second!.id).toBe('serviced');
    // 480 minutes at 15.00 an hour lie between the two; three of all weigh along, so that less is left.
    expect(first!.over - second!.over).toBeGreaterThan(2500);
    expect(first!.over - second!.over).toBeLessThan(10_750);
    expect(first!.low).toBeLessThan(first!.over);
  });
  test('answers count as words; one case says nothing; the order does not matter', () => {
    const said = { kept: 'indoors' };
    const two = [bicycle('f', '', 800, { said }), bicycle('g', '', 700, { said })];
    expect(found([...told, ...two]).phrases.map(({ id }) => id)).toContain('kept:indoors');
    expect(found([told[0]!, told[2]!]).phrases).toEqual([]);
    expect(found(told.toReversed())).toEqual(found(told));
  });
  test('what its door let expect is no surprise: bad tyres seen beforehand cost what they cost', () => {
    const door = (answer: string) => told.map((each) => ({ ...each, door: { tyres: answer } }));
    expect(found(door('bad')).over).toBeLessThan(found(door('fine')).over);
  });
});
