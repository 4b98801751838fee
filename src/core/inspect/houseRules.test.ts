import { bicycleKind } from '../bicycle';
import { HOUSE_RULES, ruleWords } from '../houseRules';
import { rebuildBolts } from '../rebuild/bolts';
import { inspectLookOver } from './lookOver';

const found = (check: string, evidence: object, rules: object = {}) =>
  inspectLookOver
    .run(
      inspectLookOver.input.parse({
        kind: bicycleKind.parse({ chain: '9-10-speed' }),
        rules,
        today: '2026-11-28',
        found: [{ check, evidence }],
      }),
    )
    .findings.find((each) => each.check === check)!;

describe('where the trade has schools, the house rule in force decides and is named', () => {
  test('a nine-speed chain at 0.69 % is near its limit, and renewed where the house renews early', () => {
    const chain = { pitches: 24, lengthMm: 306.9 };
    expect(found('chain', chain)).toMatchObject({ state: 'watch', verdict: 'near' });
    const early = found('chain', chain, { chainRenewal: 'early' });
    expect(early).toMatchObject({ state: 'replace', verdict: 'replace-chain' });
    expect(early.reasons.join(' ')).toContain('House rule: a worn chain is renewed early');
    // What is well under the limit stays, and what is past it is as worn as ever.
    expect(found('chain', { pitches: 24, lengthMm: 305.2 }, { chainRenewal: 'early' }).state).toBe('fine');
    expect(found('chain', { pitches: 24, lengthMm: 308.5 }, { chainRenewal: 'early' }).verdict).toBe(
      found('chain', { pitches: 24, lengthMm: 308.5 }).verdict,
    );
  });

  test('a tyre of eleven years is looked at hard, or renewed for its age', () => {
    expect(found('tyre-age-front', { code: '2315' })).toMatchObject({ state: 'watch', verdict: 'renew' });
    const aged = found('tyre-age-front', { code: '2315' }, { tyreAge: 'age' });
    expect(aged).toMatchObject({ state: 'replace', verdict: 'renew-for-age' });
    expect(aged.reasons.join(' ')).toContain('House rule: an old tyre is renewed at its age');
    expect(found('tyre-age-front', { code: '2324' }, { tyreAge: 'age' }).state).toBe('fine');
  });

  test('five millimetres beside a tyre are enough, and too little where the house wants room for mud', () => {
    expect(found('tyre-gap-rear', { readingsMm: [5] }).state).toBe('fine');
    expect(found('tyre-gap-rear', { readingsMm: [5] }, { tyreGap: 'wide' }).state).toBe('replace');
    expect(found('tyre-gap-rear', { readingsMm: [2.5] }).state).toBe('replace');
  });

  test('a taper goes together greased or dry, at the same figure', () => {
    const bolt = (taper: 'greased' | 'dry') =>
      rebuildBolts.run(rebuildBolts.input.parse({ taper })).bolts.find(({ id }) => id === 'crank-left-taper')!;
    expect(bolt('greased').preparation).toContain('film of grease');
    expect(bolt('dry').preparation).toContain('clean and dry');
    expect(bolt('dry').notes).toContain('House rule: a square taper goes together dry');
    expect(bolt('dry').torqueMinNm).toBe(bolt('greased').torqueMinNm);
  });

  test('every rule says in words what each answer means', () => {
    for (const { key, options } of HOUSE_RULES)
      for (const { value, words } of options) {
        expect(ruleWords(key, value)).not.toBe('');
        expect(words.length).toBeGreaterThan(10);
      }
  });
});
