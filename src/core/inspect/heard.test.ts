import * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { doorChecks } from '../buy/data/doorChecks';
import { leadAnswers } from '../buy/data/leadAnswers';
import { assemblyRows, partRows } from '../strip/data/templates';
import { verdictStates } from '../vocabulary/verdicts';
import { STATES } from '../vocabulary/vocabulary';
import { checks } from './checks';
import { blurOf, doorFindings, partFindings, saidChecks, testChecks } from './data/heard';
import { inspectDiagnose } from './diagnose';
import { evidence, evidenceOf } from './evidence';
import { knowledge } from './knowledge';
import { inspectLookOver, type LookOver } from './lookOver';
import type { LookOverAsked } from './lookOverInput';

const kind = bicycleKind.parse({});
const look = (question: Partial<LookOverAsked>): LookOver =>
  inspectLookOver.run(inspectLookOver.input.parse({ kind, found: [], ...question }));
const at = (hour: number) => `2026-11-25T${String(hour).padStart(2, '0')}:00:00.000Z`;
const found = (question: Partial<LookOverAsked>, check: string) =>
  look(question).findings.find((each) => each.check === check)!;
const tap = (line: string, answer: 'fine' | 'bad', hour = 9) => ({ line, answer, at: at(hour), by: 'Ada' });

describe('the tables that tie one finding to another', () => {
  const ids = new Set(checks.map(({ id }) => id));
  const isEvidence = (cell: string) => evidence.safeParse(evidenceOf(cell)).success;
  const outcomesOf = (check: string) => checks.find(({ id }) => id === check)!.outcomes.map(({ id }) => id);

  test('a tap at the door speaks of checks that there are, by evidence that they take', () => {
    const lines = new Set(doorChecks.map(({ id }) => id));
    for (const row of doorFindings) {
      expect(lines).toContain(row.line);
      expect(ids).toContain(row.check);
      if (row.evidence === null) continue;
      expect(isEvidence(row.evidence)).toBe(true);
      const { outcome } = evidenceOf(row.evidence);
      if (outcome !== undefined) expect(outcomesOf(row.check)).toContain(outcome);
    }
    const unheard = [...lines].filter((line) => !doorFindings.some((row) => row.line === line));
    // What a bicycle fetches is no finding of how it is.
    expect(unheard.sort()).toEqual(['grade', 'obsolete', 'size']);
  });

  test('each bad tap says what is wrong in words, and is never called fine', () => {
    for (const row of doorFindings.filter(({ answer }) => answer === 'bad')) {
      expect(row.words).toMatch(/\.$/);
      if (row.evidence !== null)
        expect(found({ door: [tap(row.line, 'bad')], kind: allParts }, row.check).state).not.toBe('fine');
    }
  });

  const said = new Set([
    ...verdictStates.map(({ verdict }) => verdict),
    ...checks.flatMap(({ outcomes }) => outcomes.map(({ id }) => id)),
    ...STATES.map((state) => `state-${state}`),
    ...['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized'].map((feel) => `feel-${feel}`),
    ...['none', 'slight', 'clear'].map((play) => `play-${play}`),
  ]);
  test.each(testChecks.map((row) => [row.test, row.outcome, row.check, row] as const))(
    '%s, %s: %s',
    (test, outcome, check, row) => {
      expect(knowledge.tests.find(({ id }) => id === test)?.outcomes.map(({ id }) => id)).toContain(outcome);
      expect(ids).toContain(check);
      expect(row.said.filter((word) => !said.has(word))).toEqual([]);
      if (row.gives !== null) expect(isEvidence(row.gives)).toBe(true);
    },
  );

  test('a test that is a finding gives back its own outcome as the answer', () => {
    for (const row of testChecks.filter(({ gives }) => gives !== null)) {
      const made = { complaint: 'c', test: row.test, outcome: row.outcome, at: at(9), seenAs: 'bought' as const };
      const { answers, findings } = look({ tests: [made], kind: allParts });
      const finding = findings.find(({ check }) => check === row.check);
      if (!finding || finding.state === 'not-looked-at') continue;
      const back = answers.find(({ test, check }) => test === row.test && check === row.check);
      if (back) expect([row.test, back.outcome]).toEqual([row.test, row.outcome]);
    }
  });

  test('a mark in a tray speaks of a part that the assembly has and a check that there is', () => {
    for (const row of partFindings) {
      expect(partRows.some(({ assembly, id }) => assembly === row.assembly && id === row.part)).toBe(true);
      for (const place of assemblyRows.find(({ id }) => id === row.assembly)!.places)
        expect(ids).toContain(row.check.replace('@', place.split('.')[1] ?? ''));
      expect(isEvidence(row.evidence)).toBe(true);
    }
  });

  test('what the seller said is one of the answers, at a check that there is', () => {
    for (const row of saidChecks) {
      expect(ids).toContain(row.check);
      expect(leadAnswers.some(({ question, answer }) => question === row.question && answer === row.answer)).toBe(true);
    }
  });

  test('a better means leaves less doubt', () => {
    expect(blurOf.get('reading')!).toBeLessThan(blurOf.get('hand')!);
    expect(blurOf.get('hand')!).toBeLessThan(blurOf.get('eye')!);
  });
});

/** A bicycle that has something of everything that a door line may be about. */
const allParts = bicycleKind.parse({
  fork: 'suspension',
  frame: 'full-suspension',
  electric: true,
  cranks: 'pinch-bolt',
});

describe('one body of findings', () => {
  test('what the torque round found loose is one finding, to be looked at again, and stands with all its bolts', () => {
    const loose = [
      { bolt: 'stem-expander', at: at(10), by: 'Ada' },
      { bolt: 'pedal-left', at: at(11), by: 'Bo' },
    ];
    const told = found({ loose }, 'bolts');
    expect(told).toMatchObject({ state: 'watch', heard: { from: 'round', stage: 'rebuild', by: 'Bo' } });
    expect(told.reasons.join(' ')).toContain('2 bolts found loose');
    expect(found({ loose: [] }, 'bolts').state).toBe('not-looked-at');
  });
  test('the look-over opens with what was tapped at the door, with when and by whom', () => {
    const post = found({ door: [tap('post', 'bad')] }, 'post');
    expect(post).toMatchObject({ state: 'service', outcome: 'stuck', reasons: ['It does not move.'] });
    expect(post.heard).toMatchObject({ from: 'door', id: 'post', at: at(9), by: 'Ada' });
    expect(found({ door: [tap('hub-front', 'fine')] }, 'hub-front')).toMatchObject({ state: 'fine', deeper: false });
  });

  test('thirteen taps at the door are no longer 0 of 43 looked at', () => {
    const lines = [
      'post',
      'stem',
      'ripple',
      'fork',
      'rust',
      'headset',
      'hub-front',
      'hub-rear',
      'tyres',
      'release',
      'shifters',
      'cranks',
      'bottom-bracket',
    ];
    const before = look({}).notLookedAt;
    const after = look({ door: lines.map((line) => tap(line, 'fine')) });
    expect(before - after.notLookedAt).toBeGreaterThanOrEqual(13);
    expect(after.placesNotLookedAt.map(({ place }) => place)).not.toContain('hub.front');
  });

  test('that something is wrong with it is known at the door, and what it is, is asked on', () => {
    expect(found({ door: [tap('hub-front', 'bad')] }, 'hub-front')).toMatchObject({ state: 'service', deeper: true });
    const felt = { check: 'hub-front', evidence: { feel: 'gritty' as const }, at: at(10) };
    expect(found({ door: [tap('hub-front', 'bad')], found: [felt] }, 'hub-front')).toMatchObject({
      verdict: 'look-inside',
      deeper: false,
      heard: { from: 'look-over' },
    });
  });

  test('of two siblings the door does not say which: neither is called fine, both are asked about', () => {
    const question = { door: [tap('tyres', 'bad')] };
    for (const check of ['tyre-front', 'tyre-rear'])
      expect(found(question, check)).toMatchObject({ state: 'not-looked-at', doubted: true });
    const looked = { ...question, found: [{ check: 'tyre-front', evidence: { outcome: 'cracks' }, at: at(10) }] };
    expect(found(looked, 'tyre-front')).toMatchObject({ state: 'replace', doubted: false });
    expect(found(looked, 'tyre-rear')).toMatchObject({ state: 'not-looked-at', doubted: true });
  });

  test('cables that are rusty are not called fine because the brakes let go', () => {
    const question = { door: [tap('release', 'fine'), tap('cables', 'bad')] };
    expect(found(question, 'cables')).toMatchObject({ state: 'not-looked-at', doubted: true });
  });

  test('a crack at the door is unsafe at the look-over, and a look does not unsay it', () => {
    const later = { check: 'frame', evidence: { byEye: 'fine' as const }, at: at(11) };
    expect(found({ door: [tap('ripple', 'bad')], found: [later] }, 'frame').state).toBe('unsafe');
  });

  test('a reading stands before a look, whichever was later; the newer of two readings stands', () => {
    const read = (lengthMm: number, hour: number) => ({
      check: 'chain',
      evidence: { pitches: 24, lengthMm },
      at: at(hour),
    });
    const worn = found({ found: [read(308.2, 9)], door: [tap('chain', 'fine', 12)] }, 'chain');
    expect(worn).toMatchObject({ state: 'replace', measured: true });
    expect(found({ found: [read(308.2, 9), read(305, 10)] }, 'chain').state).toBe('fine');
  });

  test('a look calls a chain fine and does not measure it', () => {
    expect(found({ door: [tap('chain', 'fine')] }, 'chain')).toMatchObject({
      state: 'fine',
      measured: false,
      deeper: true,
    });
    expect(look({}).measured).toMatchObject({ done: 0 });
  });

  test('a rim wall and the age of a tyre are read, not seen', () => {
    for (const id of ['wall-front', 'wall-rear', 'tyre-age-front', 'tyre-age-rear'])
      expect(checks.find((check) => check.id === id)!.byEye).toBe(false);
  });

  test('what was felt before it was opened and what is seen inside are judged together', () => {
    const gritty = { check: 'hub-rear', evidence: { feel: 'gritty' as const, play: 'none' as const }, at: at(9) };
    const inside = {
      place: 'hub.rear',
      when: 'inside' as const,
      evidence: { cup: 'bright' as const, grease: 'dry' as const },
      at: at(10),
    };
    expect(found({ found: [gritty], bearings: [inside] }, 'hub-rear')).toMatchObject({
      verdict: 'repack',
      evidence: { feel: 'gritty', grease: 'dry' },
      heard: { from: 'bearing', id: 'hub.rear' },
    });
    const after = {
      place: 'hub.rear',
      when: 'after' as const,
      evidence: { feel: 'smooth' as const, play: 'none' as const },
      at: at(12),
    };
    expect(found({ found: [gritty], bearings: [inside, after] }, 'hub-rear')).toMatchObject({
      state: 'fine',
      seenAs: 'serviced',
    });
    // Where sound bearings are opened, one that has just been set is not opened again.
    const rules = { openSound: true };
    expect(found({ rules, bearings: [after] }, 'hub-rear').state).toBe('fine');
    expect(found({ rules, found: [{ ...gritty, evidence: { feel: 'smooth' } }] }, 'hub-rear').state).toBe('service');
  });

  test('a bearing is graded as what it is: rough balls of a cartridge headset are pressed out', () => {
    const rough = [{ check: 'headset', evidence: { feel: 'gritty' as const } }];
    expect(found({ kind: bicycleKind.parse({ stem: 'threadless' }), found: rough }, 'headset').verdict).toBe(
      'renew-cartridge',
    );
    expect(found({ found: rough }, 'headset').verdict).toBe('look-inside');
    const chosen = { 'bottom-bracket': 'bb-cartridge' };
    expect(
      found({ chosen, found: [{ check: 'bottom-bracket', evidence: { feel: 'gritty' } }] }, 'bottom-bracket').verdict,
    ).toBe('renew-cartridge');
  });

  test('a part marked in its tray is a finding of its check', () => {
    const parts = [{ place: 'brake.rear', part: 'nut', mark: 'missing' as const, at: at(9) }];
    expect(found({ parts }, 'locknut-rear')).toMatchObject({ state: 'unsafe', heard: { from: 'tray' } });
    expect(found({ parts }, 'locknut-front').state).toBe('not-looked-at');
  });

  test('what the seller said is told where it matters, until it was looked at', () => {
    expect(found({ said: { crashed: 'yes' } }, 'fork').hints).toEqual([
      'The seller says that it was crashed: look with that in mind.',
    ]);
    const looked = [{ check: 'fork', evidence: { outcome: 'sound' } }];
    expect(found({ said: { crashed: 'yes' }, found: looked }, 'fork').hints).toEqual([]);
  });

  test('an end that was made before a thing was seen again does not end that', () => {
    const crack = (hour: number) => ({ check: 'fork', evidence: { outcome: 'crack' }, at: at(hour) });
    const end = { check: 'fork', how: 'removed' as const, by: 'Ada', on: '2026-11-25', at: at(10) };
    expect(found({ found: [crack(9)], ended: [end] }, 'fork').state).toBe('not-looked-at');
    expect(found({ found: [crack(9), crack(11)], ended: [end] }, 'fork').state).toBe('unsafe');
  });
});

describe('what is known is not tested again', () => {
  const loose = [{ check: 'cranks', evidence: { left: 'loose' as const, right: 'firm' as const }, at: at(9) }];

  test('a loose arm on record answers the push of each arm, and the diagnosis never asks for it', () => {
    const { answers } = look({ found: loose });
    expect(answers).toContainEqual(
      expect.objectContaining({ test: 'arms', outcome: 'one', blur: 0.08, check: 'cranks' }),
    );
    const results = answers.map(({ test, outcome, blur }) => ({ test, outcome, blur }));
    const creaks = inspectDiagnose.run(inspectDiagnose.input.parse({ complaints: ['creak'], results }));
    expect(creaks.next.map(({ test }) => test)).not.toContain('arms');
    expect(creaks.faults[0]!.id).toBe('arm-loose');
  });

  test('a test of both pedals is answered by one that is rough, and by two that are fine', () => {
    const pedal = (side: string, feel: 'smooth' | 'gritty') => ({
      check: `pedal-${side}`,
      evidence: { feel, play: 'none' as const },
    });
    const answer = (...rows: ReturnType<typeof pedal>[]) =>
      look({ found: rows }).answers.find(({ test }) => test === 'pedal-spin')?.outcome;
    expect(answer(pedal('left', 'smooth'))).toBeUndefined();
    expect(answer(pedal('left', 'smooth'), pedal('right', 'smooth'))).toBe('fine');
    expect(answer(pedal('left', 'smooth'), pedal('right', 'gritty'))).toBe('rough');
  });

  test('what was found before it was cleaned is worth no more than a look', () => {
    const frame = [{ check: 'bottom-bracket', evidence: { feel: 'smooth' as const } }];
    const blur = (question: Partial<LookOverAsked>) =>
      look(question).answers.find(({ test }) => test === 'cranks-bare')!.blur;
    expect(blur({ found: frame })).toBe(0.08);
    expect(blur({ found: frame, now: 'cleaned' })).toBe(0.3);
  });

  test('a doubtful answer moves the odds less than the test itself, and no doubt moves them as ever', () => {
    const told = (blur?: number) =>
      inspectDiagnose
        .run(
          inspectDiagnose.input.parse({
            complaints: ['skips'],
            results: [{ test: 'chain-gauge', outcome: 'worn', ...(blur !== undefined && { blur }) }],
          }),
        )
        .faults.find(({ id }) => id === 'chain-worn')!.probability;
    expect(told(0)).toBeCloseTo(told(), 12);
    expect(told(0.3)).toBeLessThan(told());
    const nothing = inspectDiagnose.run(inspectDiagnose.input.parse({ complaints: ['skips'], results: [] }));
    expect(told(1)).toBeCloseTo(nothing.faults.find(({ id }) => id === 'chain-worn')!.probability, 9);
  });

  test('the doubt of all answers at once is that of each', () => {
    const results = [{ test: 'chain-gauge', outcome: 'sound' }];
    const whole = inspectDiagnose.run(inspectDiagnose.input.parse({ complaints: ['skips'], results, blur: 0.2 }));
    const each = inspectDiagnose.run(
      inspectDiagnose.input.parse({ complaints: ['skips'], results: [{ ...results[0], blur: 0.2 }] }),
    );
    expect(whole.faults).toEqual(each.faults);
    expect(
      z
        .array(z.number())
        .parse(whole.faults.map(({ probability }) => probability))
        .reduce((a, b) => a + b),
    ).toBeCloseTo(1, 9);
  });
});
