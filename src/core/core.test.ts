import { existsSync } from 'node:fs';
import { answer } from './calculator';
import { cleanOptions } from './clean/options';
import { jobRules, chainReactions } from './decide/data/rules';
import { decideJobs } from './decide/jobs';
import { bicycleGeometry } from './drawing/bicycle';
import { bicycleKind, type BicycleKind, BRAKES } from './bicycle';
import { bearingsGrade } from './bearings/grade';
import { kindFor } from '../../tests/kindFor';
import { checks, checksFor } from './inspect/checks';
import { doorChecks } from './buy/data/doorChecks';
import { knowledge } from './inspect/knowledge';
import { inspectLookOver } from './inspect/lookOver';
import { atLeast, floorForgiving, moreThan, plainZero, quantileSorted, roundHalfUp } from './numbers';
import { proofs } from './prove/data/proofs';
import { rebuildBolts } from './rebuild/bolts';
import { boltPlan } from './rebuild/data/bolts';
import { torqueTable } from './rebuild/data/torque';
import { judgeTorque } from './rebuild/judgeTorque';
import { calculatorIds, registry } from './registry';
import { parseJson, reckon } from './reckon';
import { assemblyAt } from './strip/assembly';
import { stripTurn, type TurnInput } from './strip/turn';
import {
  parseDecimal,
  parseDistanceM,
  parseLengthMm,
  parseSignedMm,
  parseMoneyMinor,
  parsePressureBar,
  parseSpeedKmh,
} from './units/parseReading';
import { stateOf, verdictStates } from './vocabulary/verdicts';
import { places, states } from './vocabulary/vocabulary';

const frontHub = assemblyAt('hub-front', 'hub.front');

function ok<T>(result: { ok: true; output: T } | { ok: false; errors: unknown }): T {
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

describe('numbers', () => {
  test('at a limit counts as reached, over it is strict', () => {
    expect(atLeast(0.1 + 0.2, 0.3)).toBe(true);
    expect(moreThan(0.1 + 0.2, 0.3)).toBe(false);
    expect(moreThan(0.31, 0.3)).toBe(true);
  });
  test('floors and halves forgive rounding error and never give −0', () => {
    expect(floorForgiving(0.29999999999999993 * 10)).toBe(3);
    expect(roundHalfUp(-0.2)).toBe(0);
    expect(Object.is(plainZero(-0), 0)).toBe(true);
    expect(roundHalfUp(2.5)).toBe(3);
  });
  test('quantiles interpolate at (n−1)q', () => {
    expect(quantileSorted([0, 10, 20], 0.25)).toBe(5);
  });
});

describe('the tables', () => {
  test('every torque band is in order and every row of the bolt plan exists', () => {
    for (const row of torqueTable)
      if (row.torqueMinNm !== null && row.torqueMaxNm !== null)
        expect(row.torqueMinNm).toBeLessThanOrEqual(row.torqueMaxNm);
    for (const bolt of boltPlan) {
      // The last of its rows is for every other bicycle.
      expect([bolt.id, bolt.rows.at(-1)!.when]).toEqual([bolt.id, null]);
      for (const planned of bolt.rows) {
        const rows = torqueTable.filter(
          (row) =>
            row.place === planned.place &&
            row.fastener === planned.fastener &&
            (planned.fastenerSize === null || row.fastenerSize === planned.fastenerSize),
        );
        expect([bolt.id, planned, rows.length]).toEqual([bolt.id, planned, 1]);
      }
    }
  });
});

describe('the vocabulary', () => {
  const placeIds = new Set(places.map((place) => place.id));
  test('every place that is spoken of is in it', () => {
    const spoken = [
      ...checks.map((c) => c.place),
      ...jobRules.map((r) => r.place).filter((place) => place !== '*'),
      ...doorChecks.map((d) => d.place),
      ...knowledge.faults.map((f) => f.place),
      ...knowledge.tests.map((t) => t.place),
      ...boltPlan.map((b) => b.place),
      ...proofs.map((p) => p.place),
      frontHub.place,
    ];
    for (const place of spoken) expect(placeIds).toContain(place);
    expect(placeIds.size).toBe(places.length);
  });
  test('every verdict of every judging calculator stands for a state', () => {
    const verdicts: [string, string[]][] = [
      ['inspect.chainWear', ['sound', 'near', 'replace-chain', 'replace-chain-prove-cogs', 'replace-chain-and-cogs']],
      ['inspect.disc', ['sound', 'near', 'replace']],
      ['inspect.crankPlay', ['sound', 'adjust-bearing', 'arm-fixing']],
      ['inspect.wearLimit', ['sound', 'near', 'renew', 'renew-before-riding']],
      [
        'bearings.grade',
        [
          'leave',
          'adjust',
          'repack',
          'renew-balls',
          'renew-cone',
          'renew-cartridge',
          'renew-unit',
          'run-on',
          'look-inside',
        ],
      ],
      ['bearings.identifyBall', ['in-size', 'undersize', 'uneven', 'unknown']],
      ['money.appraise', ['buy', 'haggle', 'walk-away']],
      ['money.drive', ['go', 'ask-first', 'stay']],
      ['inspect.hanger', ['straight', 'align', 'replace', 'measure-again']],
      ['inspect.runout', ['true', 'near', 'true-it']],
      ['inspect.rimPlay', ['none', 'slight', 'clear']],
      ['inspect.spokeMap', ['even', 'uneven', 'slack', 'broken']],
      ['inspect.tyreAge', ['sound', 'near', 'renew']],
      ['inspect.diagnose', ['settled', 'keep-testing', 'cannot-tell']],
      ['inspect.eye', ['eye-fine', 'eye-watch', 'eye-service', 'eye-replace', 'eye-unsafe']],
      ['inspect.leverHand', ['as-wanted', 'other-hand']],
      ['buy.fit', ['fits', 'range', 'small', 'large']],
      ['buy.age', ['dated', 'changed', 'unknown']],
      ['buy.comparables', ['many', 'few', 'none']],
      ['clean.options', ['good', 'caution', 'never']],
    ];
    for (const [calculator, list] of verdicts)
      for (const verdict of list) expect(states.map((s) => s.id)).toContain(stateOf(calculator, verdict));
    expect(() => stateOf('inspect.disc', 'shiny')).toThrow('no state');
    for (const line of verdictStates)
      expect([...calculatorIds(), 'inspect.outcome', 'inspect.eye', 'inspect.leverHand']).toContain(line.calculator);
  });
  test('every proposed job listens to a check and to verdicts that it can give', () => {
    const ids = checks.map((check) => check.id);
    for (const rule of jobRules) {
      if (!rule.check || rule.check === '*') continue;
      expect(ids).toContain(rule.check);
      const outcomes = checks.find((check) => check.id === rule.check)!.outcomes.map((outcome) => outcome.id);
      const verdicts = verdictStates.map((line) => line.verdict);
      for (const verdict of rule.verdicts!.split('|')) expect([...outcomes, ...verdicts]).toContain(verdict);
    }
  });
  test('what is grave has a job: no outcome that is serviced, replaced or unsafe is left without one', () => {
    for (const check of checks)
      for (const outcome of check.outcomes) {
        if (!['service', 'replace', 'unsafe'].includes(outcome.state)) continue;
        const heard = jobRules.some(
          (rule) => rule.check === check.id && rule.verdicts!.split('|').includes(outcome.id),
        );
        expect([check.id, outcome.id, heard]).toEqual([check.id, outcome.id, true]);
      }
  });
  test('chain reactions start from jobs that there are and bring jobs that there are', () => {
    const ids = jobRules.map((rule) => rule.id);
    for (const reaction of chainReactions) {
      expect(ids).toContain(reaction.job);
      if (reaction.brings) expect(ids).toContain(reaction.brings);
    }
  });
});

describe('which way it turns', () => {
  const turn = (input: TurnInput) => ok(answer(stripTurn, input));
  test('both pedals leave the crank with the spanner up and pushed to the rear', () => {
    expect(turn({ fastener: 'pedal', side: 'left', action: 'loosen' })).toMatchObject({
      hand: 'left',
      rotation: 'clockwise',
      spannerUpMoves: 'rear',
    });
    expect(turn({ fastener: 'pedal', side: 'right', action: 'loosen' })).toMatchObject({
      hand: 'right',
      rotation: 'anticlockwise',
      spannerUpMoves: 'rear',
    });
  });
  test('English cups, both sides, leave with the spanner up and pushed to the front', () => {
    for (const side of ['left', 'right'] as const)
      expect(turn({ fastener: 'bottom-bracket-cup', side, action: 'loosen', standard: 'english' }).spannerUpMoves).toBe(
        'front',
      );
  });
  test('a drive-side cup of no known standard is identified first', () => {
    const unknown = turn({ fastener: 'bottom-bracket-cup', side: 'right', action: 'loosen' });
    expect(unknown).toMatchObject({ hand: 'unknown', rotation: 'unknown', spannerUpMoves: null });
    expect(unknown.words).toContain('Identify');
    expect(turn({ fastener: 'bottom-bracket-cup', side: 'left', action: 'loosen' }).hand).toBe('right');
  });
  test.each([
    ['english', 'left'],
    ['italian', 'right'],
    ['french', 'right'],
    ['swiss', 'left'],
    ['british-26', 'left'],
  ] as const)('the %s drive-side cup is %s-handed', (standard, hand) => {
    expect(turn({ fastener: 'bottom-bracket-cup', side: 'right', action: 'tighten', standard }).hand).toBe(hand);
  });
  test('the inner body of a pedal has the other hand than its crank thread', () => {
    for (const side of ['left', 'right'] as const) {
      expect(turn({ fastener: 'pedal-body', side, action: 'loosen' }).hand).not.toBe(
        turn({ fastener: 'pedal', side, action: 'loosen' }).hand,
      );
    }
    expect(turn({ fastener: 'pedal-body', side: 'left', action: 'loosen' }).rotation).toBe('anticlockwise');
  });
  test('working from inside turns the rotation and not the movement; tightening turns both', () => {
    const outside = turn({ fastener: 'pedal', side: 'right', action: 'loosen' });
    const inside = turn({ fastener: 'pedal', side: 'right', action: 'loosen', from: 'inside' });
    expect(inside.rotation).not.toBe(outside.rotation);
    expect(inside.spannerUpMoves).toBe(outside.spannerUpMoves);
    expect(turn({ fastener: 'pedal', side: 'right', action: 'tighten' })).toMatchObject({
      rotation: 'clockwise',
      spannerUpMoves: 'front',
    });
  });
  test('a fixed cog lockring and a one-piece crank locknut are left-handed, an upright thread has no front or rear', () => {
    expect(turn({ fastener: 'fixed-cog-lockring', action: 'loosen' })).toMatchObject({
      hand: 'left',
      rotation: 'clockwise',
    });
    expect(turn({ fastener: 'one-piece-crank-locknut', action: 'loosen' }).hand).toBe('left');
    expect(turn({ fastener: 'headset-locknut', action: 'loosen' })).toMatchObject({
      rotation: 'anticlockwise',
      spannerUpMoves: null,
    });
    expect(turn({ fastener: 'cone', action: 'tighten' }).spannerUpMoves).toBeNull();
  });
});

describe('where parts go to be cleaned', () => {
  const options = (materials: string[], soil: string) =>
    ok(answer(cleanOptions, { parts: [{ id: 'p', materials, soil }] })).parts[0]!;
  test('anodised aluminium never goes into the hot bath, and hard steel never into vinegar', () => {
    expect(
      options(['anodised aluminium'], 'old-grease').options.find((o) => o.process.startsWith('hot'))!.verdict,
    ).toBe('never');
    expect(
      options(['hardened or spring steel'], 'rust').options.find((o) => o.process.includes('vinegar'))!.verdict,
    ).toBe('never');
  });
  test('a plain steel bolt soaks 8 hours and never past 12', () => {
    expect(options(['plain steel'], 'rust').options.find((o) => o.process.includes('vinegar'))).toMatchObject({
      verdict: 'good',
      minMinutes: 480,
      maxMinutes: 720,
    });
  });
  test('of several materials the strictest speaks', () => {
    const both = options(['plain steel', 'chrome plate'], 'rust').options.find((o) => o.process.includes('vinegar'))!;
    expect(both.verdict).toBe('never');
  });
  test('hoods are cleaned with water only', () => {
    expect(options(['rubber grips/hoods'], 'mud').best).toBe('water');
  });
  test('a strange material is refused by name', () => {
    expect(answer(cleanOptions, { parts: [{ id: 'p', materials: ['moon rock'], soil: 'oil' }] })).toMatchObject({
      ok: false,
      errors: [{ path: 'parts.0.materials.0' }],
    });
  });
});

describe('jobs', () => {
  const jobs = (brief: string, found: { check: string; evidence: object }[], kind: object = {}) => {
    const { findings } = ok(answer(inspectLookOver, { brief, kind, found }));
    return ok(
      answer(decideJobs, {
        brief,
        kind,
        findings: findings.map(({ check, label, place, verdict, outcome, reasons }) => ({
          check,
          label,
          place,
          verdict,
          outcome,
          reasons,
        })),
      }),
    ).jobs.map((job) => job.rule);
  };
  const wornChain = { check: 'chain', evidence: { pitches: 24, lengthMm: 308 } };
  test('with nothing found only the ordinary work stands', () => {
    expect(jobs('rideable', [])).toEqual(['ordinary']);
  });
  test('a chain past its limit asks for a chain and the proof of its cogs', () => {
    expect(jobs('rideable', [wornChain])).toEqual(expect.arrayContaining(['chain', 'prove-cogs']));
  });
  test('worn cogs bring their chain, and say so', () => {
    const both = jobs('rideable', [{ check: 'cogs', evidence: { outcome: 'gone' } }]);
    expect(both).toEqual(expect.arrayContaining(['cogs-gone', 'chain']));
  });
  test('a rough hub offers its overhaul and a new one in each other’s stead', () => {
    const rough = { check: 'hub-rear', evidence: { feel: 'gritty', play: 'slight' } };
    expect(jobs('rideable', [rough])).toEqual(expect.arrayContaining(['hub-rear-open', 'hub-rear-swap']));
  });
  test('what feels right is left alone on purpose', () => {
    const sound = { check: 'hub-front', evidence: { feel: 'smooth', play: 'none' } };
    expect(jobs('rideable', [sound])).toContain('hub-front-leave');
    expect(jobs('period', [sound])).toContain('hub-front-period');
  });
  test('what was judged by eye has a job of its own check', () => {
    expect(jobs('rideable', [{ check: 'nipples-front', evidence: { byEye: 'service' } }])).toContain(
      'by-eye-service:nipples-front',
    );
  });
  test('the brief changes what is proposed', () => {
    const found = [
      wornChain,
      { check: 'tyre-front', evidence: { outcome: 'fine-cracks' } },
      { check: 'frame', evidence: { outcome: 'rust' } },
    ];
    expect(jobs('rideable', found)).toContain('tyre-front-watch');
    expect(jobs('modernise', found)).toEqual(expect.arrayContaining(['tyre-front-fresh', 'gears']));
    expect(jobs('period', found)).toContain('frame-refinish');
    expect(jobs('preserve', found)).toEqual(expect.arrayContaining(['wax', 'frame-rust']));
    expect(jobs('donor', found)).toEqual(['break']);
  });
  test('every bad verdict that a check can give has a job', () => {
    for (const check of checks) {
      if (check.kind !== 'outcome') continue;
      for (const outcome of check.outcomes) {
        if (['service', 'replace', 'unsafe'].includes(outcome.state))
          expect([
            outcome.id,
            jobs('rideable', [{ check: check.id, evidence: { outcome: outcome.id } }], kindFor(check.applies)).length >
              1,
          ]).toEqual([outcome.id, true]);
      }
    }
  });
});

describe('torque round', () => {
  const bolts = (kind: Partial<BicycleKind>) => ok(answer(rebuildBolts, { kind })).bolts;
  test('a quill stem has an expander bolt, a threadless one a pair at the steerer', () => {
    expect(bolts({ stem: 'quill' }).find((b) => b.id === 'stem-expander')).toMatchObject({
      torqueMinNm: 16,
      torqueMaxNm: 24,
      preparation: 'grease',
    });
    expect(bolts({ stem: 'threadless' }).map((b) => b.id)).toEqual(
      expect.arrayContaining(['steerer-clamp', 'faceplate']),
    );
  });
  test('the left pedal is left-handed', () => {
    expect(bolts({}).find((b) => b.id === 'pedal-left')!.hand).toBe('left');
  });
  test('every kind of bicycle has two brakes, two pedals and two wheels to sign', () => {
    for (const brakes of BRAKES)
      for (const wheels of ['quick-release', 'nutted'] as const) {
        const places = bolts({ brakes, wheels }).map((b) => b.place);
        expect(places).toEqual(
          expect.arrayContaining(['brake.front', 'brake.rear', 'pedal.left', 'pedal.right', 'axle.front', 'axle.rear']),
        );
      }
  });
  test('the ends of a band are within it', () => {
    const band = { torqueMinNm: 16, torqueMaxNm: 24 };
    expect([15.9, 16, 24, 24.1, null].map((nm) => judgeTorque(nm, band))).toEqual([
      'under',
      'within',
      'within',
      'over',
      'by feel',
    ]);
  });
});

describe('the drawing', () => {
  test.each([622, 590, 406])('wheels of %d mm stand on the ground and every mark lies inside', (beadSeatMm) => {
    for (const frame of ['diamond', 'step-through'] as const) {
      const kind = bicycleKind.parse({ beadSeatMm, frame });
      const drawing = bicycleGeometry(kind);
      for (const wheel of drawing.wheels) expect(wheel.centre.y).toBeCloseTo(wheel.tyreRadiusMm, 6);
      for (const spot of Object.values(drawing.spots)) {
        expect(spot.x).toBeGreaterThan(0);
        expect(spot.x).toBeLessThan(drawing.widthMm);
        expect(spot.y).toBeGreaterThan(0);
        expect(spot.y).toBeLessThan(drawing.heightMm);
      }
      for (const check of checksFor(kind)) expect(Object.keys(drawing.spots)).toContain(check.place);
    }
  });
});

describe('what a field takes', () => {
  test.each([
    ['306.9', 306.9],
    ['306,9', 306.9],
    ['3/16', 4.7625],
    ['3/16 in', 4.7625],
    ['0.1875in', 4.7625],
    ['1 3/8', 34.925],
    ['12.7 mm', 12.7],
    ['1/4"', 6.35],
  ])('%s is %d mm', (typed, mm) => {
    expect(parseLengthMm(typed)).toEqual({ ok: true, value: expect.closeTo(mm, 6) as number });
  });
  test.each(['', 'abc', '-3', '1/0', '3.1.2', '1e9', '∞'])('"%s" is refused with a hint', (typed) => {
    expect(parseLengthMm(typed).ok).toBe(false);
  });

  test.each([
    ['-0,4', -0.4],
    ['−0.4 mm', -0.4],
    ['+1', 1],
    ['0.35', 0.35],
    ['-0', 0],
    ['- 40 cm', -400],
  ])('a gauge’s %s goes either way from its nought', (typed, mm) => {
    expect(parseSignedMm(typed)).toEqual({ ok: true, value: mm });
  });

  test.each(['--1', '-', 'left', '1-'])('%s is no reading of a gauge', (typed) => {
    expect(parseSignedMm(typed).ok).toBe(false);
  });
  test('money never rounds silently', () => {
    expect(parseMoneyMinor('140')).toEqual({ ok: true, value: 14000 });
    expect(parseMoneyMinor('12,5')).toEqual({ ok: true, value: 1250 });
    expect(parseMoneyMinor('€ 0.07')).toEqual({ ok: true, value: 7 });
    expect(parseMoneyMinor('1.005').ok).toBe(false);
    expect(parseDecimal('0,5')).toEqual({ ok: true, value: 0.5 });
  });
});

describe('a reading in another unit', () => {
  test('is converted where it is one of its kind, and refused in words where it is not', () => {
    expect(parsePressureBar('60 psi')).toEqual({ ok: true, value: 4.1369 });
    expect(parsePressureBar('400kPa')).toEqual({ ok: true, value: 4 });
    expect(parsePressureBar('4,5')).toEqual({ ok: true, value: 4.5 });
    expect(parseSpeedKmh('10 mph')).toEqual({ ok: true, value: 16.0934 });
    expect(parseDistanceM('10 ft')).toEqual({ ok: true, value: 3.048 });
    for (const typed of ['60 mm', 'psi', '60 constructor', '-4 bar'])
      expect([typed, parsePressureBar(typed).ok]).toEqual([typed, false]);
    expect(parsePressureBar('60 mm')).toMatchObject({ hint: expect.stringContaining('psi') as string });
  });
});

describe('the registry', () => {
  test('every calculator of this slice stands in it once', () => {
    expect(calculatorIds()).toEqual(
      expect.arrayContaining([
        'money.appraise',
        'money.result',
        'inspect.chainWear',
        'inspect.disc',
        'inspect.crankPlay',
        'bearings.grade',
        'bearings.identifyBall',
        'bearings.ballCount',
        'bearings.clampAllowance',
        'bearings.adjustCone',
        'strip.turn',
      ]),
    );
    expect(new Set(calculatorIds()).size).toBe(registry.length);
    expect(existsSync('src/core/registry.ts')).toBe(true);
  });
  test('unknown ids, unknown keys and text for numbers are refused in words', () => {
    expect(reckon('no.such', {})).toMatchObject({ status: 'unknown-id', errors: [{ path: 'id' }] });
    expect(reckon('inspect.crankPlay', { left: 'firm', right: 'firm', colour: 'green' })).toMatchObject({
      status: 'refused',
      errors: [{ path: 'colour' }],
    });
    expect(reckon('bearings.ballCount', { pitchDiameterMm: '16', ballDiameterMm: 4 })).toMatchObject({
      status: 'refused',
      errors: [{ path: 'pitchDiameterMm', message: 'give a number, not the text "16"' }],
    });
    expect(parseJson('{')).toMatchObject({ ok: false });
  });
  test('no message says only that something is invalid', () => {
    for (const { id } of registry)
      for (const input of [{}, [], null, 5, 'x']) {
        const result = reckon(id, input);
        if (result.status === 'refused')
          for (const error of result.errors) expect(error.message).not.toMatch(/invalid input|unrecognized/i);
      }
  });
  test('a grade names what a donor is worth', () => {
    expect(
      ok(
        answer(bearingsGrade, { kind: 'cup-and-cone', place: 'hub.front', brief: 'donor', cone: 'bright' }),
      ).reasons.join(' '),
    ).toContain('worth keeping are cones');
  });
});
