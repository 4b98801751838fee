import fc from 'fast-check';
import { answer } from '../calculator';
import { checks, checksFor } from './checks';
import { miscount } from './chainPitch';
import { inspectChainWear, type ChainWear, type ChainWearInput } from './chainWear';
import { inspectCrankPlay } from './crankPlay';
import { inspectDisc, type Disc, type DiscInput } from './disc';
import { bicycleKind } from '../bicycle';
import { checkPlaces, nothingFound } from './check';
import { checkById } from './checks';
import { kindFor } from '../../../tests/kindFor';
import { inspectLookOver } from './lookOver';
import { inspectWearLimit } from './wearLimit';

function chain(input: ChainWearInput): ChainWear {
  const result = answer(inspectChainWear, input);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const paths = (input: unknown) => {
  const result = answer(inspectChainWear, input);
  return result.ok ? [] : result.errors.map((error) => error.path);
};
const at = (speed: ChainWearInput['chain'], percent: number) =>
  chain({ chain: speed, pitches: 100, lengthMm: 1270 * (1 + percent / 100) }).verdict;

describe('chain over a rule', () => {
  test('24 pitches at 306.9 mm are 0.69 %: near at 9 speeds, past it at 11', () => {
    const nine = chain({ chain: '9-10-speed', pitches: 24, lengthMm: 306.9 });
    expect(nine.percent).toBeCloseTo(0.689, 3);
    expect(nine.verdict).toBe('near');
    expect(chain({ chain: '11-speed', pitches: 24, lengthMm: 306.9 }).verdict).toBe('replace-chain');
  });

  test('a limit that lies within the reading error asks for 48 pitches', () => {
    expect(chain({ chain: '9-10-speed', pitches: 24, lengthMm: 306.9 }).reasons.join(' ')).toContain('48 pitches');
    expect(chain({ chain: '9-10-speed', pitches: 48, lengthMm: 613.8 }).reasons.join(' ')).not.toContain('48 pitches');
  });

  test.each([
    ['single-or-hub-gear', 0.79, 'sound'],
    ['single-or-hub-gear', 0.8, 'near'],
    ['single-or-hub-gear', 1.0, 'replace-chain'],
    ['single-or-hub-gear', 1.25, 'replace-chain-prove-cogs'],
    ['single-or-hub-gear', 1.5, 'replace-chain-and-cogs'],
    ['5-8-speed', 0.59, 'sound'],
    ['5-8-speed', 0.6, 'near'],
    ['5-8-speed', 0.75, 'replace-chain'],
    ['5-8-speed', 1.0, 'replace-chain-prove-cogs'],
    ['5-8-speed', 1.25, 'replace-chain-and-cogs'],
    ['9-10-speed', 0.74, 'near'],
    ['9-10-speed', 0.76, 'replace-chain-prove-cogs'],
    ['9-10-speed', 1.0, 'replace-chain-and-cogs'],
    ['11-speed', 0.39, 'sound'],
    ['11-speed', 0.4, 'near'],
    ['12-speed', 0.5, 'replace-chain'],
    ['12-speed', 0.75, 'replace-chain-prove-cogs'],
  ] as const)('%s at %d %% is %s', (speed, percent, verdict) => {
    expect(at(speed, percent)).toBe(verdict);
  });

  test('more wear never gives a milder verdict', () => {
    const order = ['sound', 'near', 'replace-chain', 'replace-chain-prove-cogs', 'replace-chain-and-cogs'];
    const speeds = ['single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...speeds),
        fc.double({ min: -0.4, max: 4.9, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (speed, percent, more) =>
          order.indexOf(at(speed, Math.min(4.9, percent + more))) >= order.indexOf(at(speed, percent)),
      ),
    );
  });

  test('a miscount is refused in words that say what to do', () => {
    expect(miscount(20, 304.8)).toContain('304.8 mm over 20 pitches would be 20 % worn');
    expect(paths({ chain: '9-10-speed', pitches: 20, lengthMm: 304.8 })).toEqual(['pitches']);
    expect(paths({ chain: '9-10-speed', pitches: 24, lengthMm: 303 })).toEqual(['pitches']);
  });

  test('exactly one way of measuring', () => {
    expect(paths({ chain: '9-10-speed' })).toEqual(['']);
    expect(paths({ chain: '9-10-speed', pitches: 24 })).toEqual(['lengthMm']);
    expect(
      paths({ chain: '9-10-speed', pitches: 24, lengthMm: 305, gauge: { dropsInAtPercent: 0.5, notAtPercent: 0.75 } }),
    ).toEqual(['gauge']);
    expect(paths({ chain: '9-10-speed', gauge: { dropsInAtPercent: 0.75, notAtPercent: 0.5 } })).toEqual([
      'gauge.notAtPercent',
    ]);
  });

  test('a gauge replaces by what drops in and is near by what does not', () => {
    const gauge = (dropsInAtPercent: number, notAtPercent: number | null) =>
      chain({ chain: '5-8-speed', gauge: { dropsInAtPercent, notAtPercent } });
    expect(gauge(0.75, 1).verdict).toBe('replace-chain');
    expect(gauge(0.5, 0.75).verdict).toBe('near');
    expect(gauge(0, 0.5).verdict).toBe('sound');
    expect(gauge(0.5, 0.75)).toMatchObject({ percent: null, plusMinusPercent: null });
  });

  test("the maker's own limit comes before the table and is named", () => {
    const found = chain({ chain: '5-8-speed', pitches: 100, lengthMm: 1277, limits: { replaceAtPercent: 0.5 } });
    expect(found.verdict).toBe('replace-chain');
    expect(found.reasons.join(' ')).toContain('the paper given');
  });
});

describe('brake disc', () => {
  const disc = (input: DiscInput): Disc => {
    const result = answer(inspectDisc, input);
    if (!result.ok) throw new Error(JSON.stringify(result.errors));
    return result.output;
  };

  test('1.52 mm on a disc stamped 1.5 is near, not sound', () => {
    expect(disc({ readingsMm: [1.55, 1.52, 1.6], minimumMm: 1.5 })).toMatchObject({
      verdict: 'near',
      thinnestMm: 1.52,
      minimumFrom: 'marking',
    });
  });

  test('at its minimum it is replaced, cracked it is replaced whatever it measures', () => {
    expect(disc({ readingsMm: [1.5], minimumMm: 1.5 }).verdict).toBe('replace');
    expect(disc({ readingsMm: [1.8], minimumMm: 1.5, wornPastReading: true }).verdict).toBe('replace');
  });

  test('without a marking: new less 0.3, else the cautious 1.7', () => {
    expect(disc({ readingsMm: [1.6], newMm: 1.85 })).toMatchObject({ minimumFrom: 'new thickness', verdict: 'near' });
    expect(disc({ readingsMm: [1.72] })).toMatchObject({ minimumMm: 1.7, minimumFrom: 'assumed', verdict: 'near' });
    expect(disc({ readingsMm: [1.76] }).verdict).toBe('sound');
  });

  test('thinner never gives a milder verdict', () => {
    const order = ['sound', 'near', 'replace'];
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (mm, less) =>
          order.indexOf(disc({ readingsMm: [mm - less], minimumMm: 1.5 }).verdict) >=
          order.indexOf(disc({ readingsMm: [mm], minimumMm: 1.5 }).verdict),
      ),
    );
  });
});

describe('cranks pushed in and out', () => {
  const cranks = (left: string, right: string, crankType = 'square-taper') => {
    const result = answer(inspectCrankPlay, { left, right, crankType });
    if (!result.ok) throw new Error(JSON.stringify(result.errors));
    return result.output;
  };
  test('both loose is the bottom bracket, one loose is that arm', () => {
    expect(cranks('loose', 'loose')).toMatchObject({ cause: 'bottom-bracket', verdict: 'adjust-bearing' });
    expect(cranks('loose', 'firm')).toMatchObject({ cause: 'left-arm', verdict: 'arm-fixing' });
    expect(cranks('firm', 'loose')).toMatchObject({ cause: 'right-arm' });
    expect(cranks('firm', 'firm')).toMatchObject({ cause: 'none', verdict: 'sound' });
  });
  test('each kind of arm is spoken of in its own words', () => {
    expect(cranks('loose', 'firm').reasons.join(' ')).toContain('square hole');
    expect(cranks('loose', 'firm', 'cottered').reasons.join(' ')).toContain('cotter');
    expect(cranks('loose', 'firm', 'pinch-bolt').reasons.join(' ')).toContain('safety plate');
  });
});

describe('the look-over of a bicycle', () => {
  const look = (found: { check: string; evidence: object }[], kind: object = {}) => {
    const result = answer(inspectLookOver, { kind, found });
    if (!result.ok) throw new Error(JSON.stringify(result.errors));
    return result.output;
  };
  const one = (check: string, evidence: object, kind: object = {}) =>
    look([{ check, evidence }], kind).findings.find((f) => f.check === check)!;

  test('some seventy checks over some forty places, none looked at, and none of them fine', () => {
    const found = look([]);
    expect(found.findings.length).toBeGreaterThanOrEqual(60);
    expect(found.places).toBeGreaterThanOrEqual(38);
    expect(found.notLookedAt).toBe(found.findings.length);
    expect(found.placesNotLookedAt).toHaveLength(found.places);
  });

  test('the quick set is fifteen places, whatever the brakes', () => {
    for (const brakes of ['caliper', 'disc', 'cantilever'] as const)
      expect(checkPlaces(checksFor(bicycleKind.parse({ brakes })), 'quick')).toHaveLength(15);
  });

  test('the ground comes before the stand', () => {
    const phases = checkPlaces(checksFor(bicycleKind.parse({}))).map((at) => at.phase);
    expect(phases).toEqual([...phases].sort());
    expect(new Set(phases).size).toBe(2);
  });

  test('what dirt can hide is asked again once it is clean, what it cannot is not', () => {
    const found = [
      { check: 'hub-front', evidence: { feel: 'smooth', play: 'none' } },
      { check: 'chain', evidence: { pitches: 24, lengthMm: 305 } },
    ];
    const after = (now: string, entries: object[] = found) => {
      const result = answer(inspectLookOver, { now, found: entries });
      if (!result.ok) throw new Error(JSON.stringify(result.errors));
      return result.output.findings.filter((each) => each.again).map((each) => each.check);
    };
    expect(after('bought')).toEqual([]);
    expect(after('cleaned')).toEqual(['hub-front']);
    expect(after('cleaned', [{ ...found[0], seenAs: 'cleaned' }])).toEqual([]);
  });

  test('one pad that fails raises the others', () => {
    const found = look([{ check: 'pads-front', evidence: { readingsMm: [1.5] } }]);
    const rear = found.findings.find((each) => each.check === 'pads-rear')!;
    expect(rear.raisedBy).toContain('Brake pads, front failed');
    expect(found.findings.find((each) => each.check === 'chain')!.raisedBy).toBeNull();
  });

  test('a disc of 1.52 with 1.5 stamped on it is near, not sound', () => {
    expect(one('disc-front', { readingsMm: [1.52], minimumMm: 1.5 }, { brakes: 'disc' })).toMatchObject({
      state: 'watch',
      verdict: 'near',
    });
  });

  test('the other hand on the front brake is told only where the house rules name one', () => {
    const hand = (frontBrakeHand: string) => {
      const result = answer(inspectLookOver, {
        frontBrakeHand,
        found: [{ check: 'lever-hand', evidence: { outcome: 'left' } }],
      });
      if (!result.ok) throw new Error(JSON.stringify(result.errors));
      return result.output.findings.find((each) => each.check === 'lever-hand')!.state;
    };
    expect([hand('either'), hand('left'), hand('right')]).toEqual(['fine', 'fine', 'service']);
  });

  test('judged by eye counts until a reading is there, and a chain is never fine by eye', () => {
    expect(one('pads-front', { byEye: 'service' })).toMatchObject({ state: 'service', verdict: 'eye-service' });
    expect(one('pads-front', { byEye: 'fine', readingsMm: [1.5] })).toMatchObject({ state: 'unsafe' });
    expect(nothingFound(checkById('chain')!)).toBeNull();
    expect(nothingFound(checkById('frame')!)).toEqual({ outcome: 'sound' });
  });

  test('a rock of 1.2 mm at the rim counts as clear play where no play was put down', () => {
    expect(one('hub-front', { rimMm: 1.2 })).toMatchObject({ verdict: 'adjust' });
    expect(one('hub-front', { rimMm: 1.2 }).reasons.join(' ')).toContain('at the bearing');
  });

  test('of several readings of a rim wall the thinnest decides, of several cuts the longest', () => {
    expect(one('wall-front', { readingsMm: [1.3, 0.85, 1.2] })).toMatchObject({ state: 'unsafe' });
    expect(one('tyre-cut-rear', { readingsMm: [1, 6.5] })).toMatchObject({ state: 'unsafe' });
    expect(one('lever-gap-right', { readingsMm: [40, 12] })).toMatchObject({ state: 'unsafe' });
  });

  test.each(['crack', 'repair', 'carbon-dull'])('frame: %s goes to a qualified person', (outcome) => {
    expect(one('frame', { outcome })).toMatchObject({ state: 'unsafe' });
    expect(one('frame', { outcome }).reasons.join(' ')).toContain('qualified person');
  });

  test('carbon that sounds dull is unsafe until a qualified person has looked', () => {
    expect(one('frame', { outcome: 'carbon-dull' })).toMatchObject({ state: 'unsafe' });
    expect(one('frame', { outcome: 'carbon-dull' }).reasons.join(' ')).toContain('qualified');
  });

  test('a loose left arm makes the bicycle unsafe', () => {
    expect(one('cranks', { left: 'loose', right: 'firm' }).state).toBe('unsafe');
  });

  test('half a push test is not looked at', () => {
    expect(one('cranks', { left: 'firm' }).state).toBe('not-looked-at');
  });

  test('a reading that cannot be is not judged and says why', () => {
    const found = one('chain', { pitches: 20, lengthMm: 304.8 });
    expect(found.state).toBe('not-looked-at');
    expect(found.errors[0]!.message).toContain('count the pitches again');
  });

  test('the brake surface is the rim or the disc, as the bicycle has it', () => {
    expect(one('braking-front', { readingsMm: [0.25] }, { brakes: 'caliper' }).state).toBe('watch');
    expect(one('disc-front', { readingsMm: [1.5], minimumMm: 1.5 }, { brakes: 'disc' }).state).toBe('unsafe');
    expect(one('pads-front', { readingsMm: [2.8] }, { brakes: 'disc' }).state).toBe('watch');
    expect(one('pads-front', { readingsMm: [2.8] }, { brakes: 'caliper' }).state).toBe('watch');
    expect(one('pads-front', { readingsMm: [1.9] }, { brakes: 'caliper' }).state).toBe('unsafe');
  });

  test('every outcome of every check can be reported', () => {
    for (const check of checks) {
      if (check.kind !== 'outcome') continue;
      for (const outcome of check.outcomes)
        expect(one(check.id, { outcome: outcome.id }, kindFor(check.applies)).state).toBe(outcome.state);
    }
  });

  test('a wear limit is reached at its figure', () => {
    const limit = (reading: number) =>
      answer(inspectWearLimit, { part: 'jockey pulley', check: 'tooth shape and side play', reading });
    expect(limit(2)).toMatchObject({ ok: true, output: { verdict: 'renew' } });
    expect(limit(1.99)).toMatchObject({ ok: true, output: { verdict: 'near' } });
    expect(answer(inspectWearLimit, { part: 'bell', check: 'ring', reading: 1 })).toMatchObject({ ok: false });
  });
});
