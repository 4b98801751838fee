import fc from 'fast-check';
import type * as z from 'zod/mini';
import { fromSchema } from '../../../tests/fromSchema';
import { forbidden } from '../../../tests/lawOfRecord';
import { runs } from '../../../tests/runs';
import { asked, boltsOf, lawOf, wholeBicycle } from '../../../tests/wholeBicycle';
import { checks } from '@/core/inspect/checks';
import { proofs } from '@/core/prove/data/proofs';
import type { Ready } from '@/core/prove/ready';
import type { ReadyAsked } from '@/core/prove/readyInput';
import type { BicycleKind } from '@/core/bicycle';
import { applyCommand, command as everyCommand, type Command } from '../commands';
import { amendment, historyOf, withRow, type HistoryRow } from '../history';
import { stacks } from '../undoStacks';
import { USUAL_SETTINGS } from '../settings/usual';
import { mergeBicycles } from '../merge';
import { openBicycle } from '../migrate/migrate';
import type { alignment } from '../inspect/part';
import { openBolts } from './readyQuestion';
import type { Bicycle } from '../record';
import { partsOff } from '../strip/trays';

const START = Date.UTC(2026, 10, 20, 10);
const at = (hours: number) => new Date(START + hours * 3_600_000).toISOString();
const TODAY = '2026-11-21';
const AT = at(1);

const KINDS: Partial<BicycleKind>[] = [
  {},
  { brakes: 'disc', stem: 'threadless', frameMaterial: 'carbon', cranks: 'pinch-bolt' },
  { brakes: 'back-pedal', gears: 'coaster', chain: 'single-or-hub-gear', wheels: 'nutted', cranks: 'one-piece' },
];

describe('a whole bicycle', () => {
  test.each(KINDS)('%j is ready once everything is looked at, signed and proved', (kind) => {
    const { ready } = lawOf(wholeBicycle(kind, at(0)), TODAY);
    expect([ready.ready, ready.missing.filter((item) => item.blocks)]).toEqual([true, []]);
  });
});

/** A whole bicycle, and what one more hour of work on it makes of it. */
function after(...commands: Command[]) {
  const bicycle = commands.reduce(
    (done, command, i) => applyCommand(done, { id: `c${i}`, bicycle: 'b1', at: at(1 + i), command }),
    wholeBicycle({ brakes: 'disc', mudguards: true }, at(0)),
  );
  return { bicycle, ...lawOf(bicycle, TODAY) };
}
const kindsOf = (ready: Ready) => ready.missing.filter((item) => item.blocks).map((item) => item.kind);
const seen = (check: string, evidence: object, hours: number, id = `${check}${hours}`): Command => ({
  type: 'addObservation',
  observation: { id, check, at: at(hours), evidence, seenAs: 'cleaned', note: '', withdrawn: false },
});
const thin = (hours: number) => seen('disc-front', { readingsMm: [0.6], minimumMm: 1.5 }, hours);
const job = {
  rule: null,
  title: 'Disc',
  minutes: { low: 1, likely: 2, high: 3 },
  parts: { low: 1, likely: 2, high: 3 },
};

describe('what is unsafe ends in four ways only', () => {
  test('a look does not unsay a reading; a reading does', () => {
    expect(kindsOf(after(thin(1), seen('disc-front', { byEye: 'fine' }, 2)).ready)).toContain('unsafe');
    expect(kindsOf(after(thin(1), seen('disc-front', { readingsMm: [1.8], minimumMm: 1.5 }, 2)).ready)).toEqual([]);
  });
  test('it stands when the brakes are called something else, and says so', () => {
    const { ready } = after(thin(1), { type: 'describeKind', changes: { brakes: 'caliper' } });
    expect(ready.missing.find((item) => item.kind === 'unsafe')?.words).toContain('no longer of this kind');
  });
  test('mended, and looked at again', () => {
    const mend: Command[] = [
      thin(1),
      {
        type: 'decideJob',
        job: {
          ...job,
          id: 'j',
          place: 'disc.front',
          decision: 'keep',
          reason: '',
          done: false,
          approval: null,
          declined: null,
        },
      },
      { type: 'finishJob', job: 'j', done: true },
    ];
    expect(kindsOf(after(...mend).ready)).toContain('unsafe');
    expect(kindsOf(after(...mend, seen('disc-front', { byEye: 'fine' }, 9)).ready)).not.toContain('unsafe');
  });
  test('a recall that was looked up stands until it is remedied; one crash line out until it is in line', () => {
    const recall = (id: string, result: 'none' | 'recalled' | 'remedied'): Command => ({
      type: 'putRecall',
      recall: {
        id,
        of: 'fork',
        place: 'fork',
        where: 'the maker’s list',
        on: '2026-11-20',
        result,
        words: '',
        by: '',
        at: AT,
      },
    });
    expect(kindsOf(after(recall('r1', 'recalled')).ready)).toEqual(['unsafe']);
    expect(kindsOf(after(recall('r1', 'recalled'), recall('r2', 'remedied')).ready)).toEqual([]);
    expect(kindsOf(after(recall('r1', 'none')).ready)).toEqual([]);
    const line = (id: string, result: 'true' | 'off'): Command => ({
      type: 'putAlignment',
      alignment: { id, line: 'dropouts', place: 'frame', offMm: 4, result, coldSet: false, words: '', by: '', at: AT },
    });
    expect(kindsOf(after(line('a1', 'off')).ready)).toEqual(['unsafe']);
    expect(kindsOf(after(line('a1', 'off'), line('a2', 'true')).ready)).toEqual([]);
  });
  test('what lies in no tray and was taken off keeps it in until it is on again', () => {
    const off = (is: boolean): Command => ({ type: 'tookOff', piece: 'cockpit', place: 'bars', off: is });
    expect(after(off(true)).ready.missing.find(({ id }) => id === 'cockpit')).toMatchObject({
      kind: 'tray-open',
      blocks: true,
    });
    expect(after(off(true), off(false)).ready.missing.map(({ id }) => id)).not.toContain('cockpit');
  });
  test('grease on a carbon post, or under any stem, is unsafe until something else is said', () => {
    const fill = (joint: string, used: 'grease' | 'carbon-paste' | 'dry'): Command => ({
      type: 'fillJoints',
      fills: { [joint]: { used, at: AT, by: 'Ada' } },
    });
    const carbon: Command = { type: 'describeKind', changes: { postMaterial: 'carbon' } };
    const unsafe = (...commands: Command[]) =>
      after(...commands).ready.missing.flatMap(({ kind, id }) => (kind === 'unsafe' ? [id] : []));
    expect(unsafe(carbon, fill('seat-post', 'grease'))).toEqual(['joint-seat-post']);
    expect(unsafe(carbon, fill('seat-post', 'carbon-paste'))).toEqual([]);
    expect(unsafe(fill('seat-post', 'grease'))).toEqual([]);
    expect(unsafe(fill('steerer-clamp', 'grease'))).toEqual(['joint-steerer-clamp']);
    expect(unsafe(fill('steerer-clamp', 'grease'), fill('steerer-clamp', 'dry'))).toEqual([]);
  });
  test('a post that does not stand as deep as its mark asks is unsafe; at the mark it is deep enough', () => {
    const depth = (insertedMm: number): Command => ({
      type: 'measureInsertion',
      place: 'seat-post',
      changes: { insertedMm, minimumMm: 70 },
    });
    expect(kindsOf(after(depth(60)).ready)).toEqual(['unsafe']);
    expect(kindsOf(after(depth(70)).ready)).toEqual([]);
    expect(kindsOf(after(depth(60), depth(82)).ready)).toEqual([]);
  });
  test('a damaged battery is unsafe on an electric bicycle', () => {
    const battery: Command = { type: 'describeDrive', changes: { battery: 'damaged' } };
    const electric: Command = { type: 'describeKind', changes: { electric: true } };
    expect(after(electric, battery).ready.missing.map(({ id }) => id)).toContain('battery');
    expect(after(battery).ready.missing.map(({ id }) => id)).not.toContain('battery');
  });
  test('cleared in writing; what is unsafe later stands again', () => {
    const clear: Command = {
      type: 'endFinding',
      ending: { id: 'e', check: 'disc-front', how: 'cleared', by: 'A. Wheelwright', on: TODAY, paper: '7', at: at(2) },
    };
    expect(kindsOf(after(thin(1), clear).ready)).toEqual([]);
    expect(after(thin(1), clear).question.findings).toContainEqual(
      expect.objectContaining({
        id: 'disc-front',
        state: 'unsafe',
        ended: expect.objectContaining({ how: 'cleared' }) as unknown,
      }),
    );
    expect(kindsOf(after(thin(1), clear, thin(3)).ready)).toContain('unsafe');
  });
  test('the part removed leaves a place that was not looked at', () => {
    const gone: Command = {
      type: 'endFinding',
      ending: { id: 'e', check: 'disc-front', how: 'removed', by: 'Ada', on: TODAY, paper: '', at: at(2) },
    };
    expect(kindsOf(after(thin(1), gone).ready)).toEqual(['not-looked-at']);
  });
});

describe('work reopens what was signed', () => {
  test('a part taken off and put back asks for its bolts and its stand proofs again', () => {
    const { ready } = after(
      { type: 'markStep', place: 'headset', step: 's', done: true, takes: ['locknut'] },
      { type: 'putBack', place: 'headset', part: 'locknut', back: true },
    );
    expect(kindsOf(ready)).toEqual(expect.arrayContaining(['bearing', 'reopened', 'proof-reopened']));
  });
  test('a job that renews a brake asks for a short ride', () => {
    const { ready } = after(
      {
        type: 'decideJob',
        job: {
          ...job,
          id: 'j',
          place: 'pads.front',
          decision: 'keep',
          reason: '',
          done: false,
          approval: null,
          declined: null,
        },
      },
      { type: 'finishJob', job: 'j', done: true },
    );
    expect(ready.missing.filter((item) => item.kind === 'proof-reopened').map((item) => item.id)).toContain(
      'brakes-walk',
    );
  });
  test('two pairs of eyes: the second signature is another person’s', () => {
    const sign = (by: string, hours: number): Command[] =>
      boltsOf(wholeBicycle({ brakes: 'disc', mudguards: true }, at(0)).kind)
        .filter((bolt) => bolt.second)
        .map((bolt) => ({
          type: 'signBolt',
          signature: {
            id: `${bolt.id}${by}`,
            bolt: bolt.id,
            what: 'done',
            foundLoose: false,
            how: bolt.torqueMaxNm === null ? 'feel' : 'wrench',
            valueNm: bolt.torqueMaxNm,
            holdTest: true,
            at: at(hours),
            by,
          },
        }));
    const settings = { wrenchEverywhere: 'never' as const, secondEyes: true };
    const law = (...commands: Command[]) => lawOf(after(...commands).bicycle, TODAY, settings).ready.missing;
    const bolts = (missing: Ready['missing']) =>
      missing.filter((item) => item.kind === 'second-eyes' && item.stage === 'rebuild');
    expect(bolts(law()).length).toBeGreaterThan(3);
    expect(bolts(law(...sign('Ada', 2))).length).toBeGreaterThan(3);
    expect(bolts(law(...sign('Bo', 2)))).toEqual([]);
  });
});

describe('a clock set back between work and proof', () => {
  const whole = () => wholeBicycle({ brakes: 'disc', mudguards: true }, at(0));
  const sent = (bicycle: Bicycle, hours: number, id: string, step: Command) =>
    applyCommand(bicycle, { id, bicycle: 'b1', at: at(hours), command: step });
  const brake: Command = { type: 'overhaulStep', place: 'brake.front', step: 's', done: true };
  const proved = (hours: number): Command => ({
    type: 'markProof',
    mark: {
      id: `p${hours}`,
      proof: 'brakes-anchor',
      passed: true,
      how: '',
      at: at(hours),
      by: 'Ada',
      accepted: null,
      note: '',
    },
  });
  const opens = (bicycle: Bicycle) =>
    lawOf(bicycle, TODAY).ready.missing.some((item) => item.kind === 'proof-reopened' && item.id === 'brakes-anchor');

  test('what is proved after work stands, though the clock says that it was before', () => {
    const worked = sent(whole(), 5, 'w', brake);
    expect(opens(worked)).toBe(true);
    expect(opens(sent(worked, 2, 'p', proved(2)))).toBe(false);
  });
  test('work after a proof reopens it, though the clock says that it was before', () =>
    expect(opens(sent(sent(whole(), 5, 'p', proved(5)), 2, 'w', brake))).toBe(true));
  test('a note that is written later moves no signature past the work', () => {
    const worked = sent(sent(whole(), 1, 'p', proved(1)), 5, 'w', brake);
    const mark = worked.proofs.at(-1)!;
    expect(opens(sent(worked, 6, 'n', { type: 'markProof', mark: { ...mark, note: 'later' } }))).toBe(true);
  });
});

test('a part left off on purpose closes its slot everywhere, except where it stops, steers or carries', () => {
  const off = (place: string): Command[] => [
    { type: 'markStep', place, step: 's', done: true, takes: ['a'] },
    { type: 'leaveOff', place, part: 'a', off: true },
  ];
  const { bicycle, ready } = after(...off('mudguards'));
  expect(partsOff(bicycle.trays.find((tray) => tray.place === 'mudguards')!)).toEqual([]);
  expect(kindsOf(ready)).not.toContain('tray-open');
  expect(ready.missing.filter((item) => item.kind === 'left-off')).toMatchObject([{ blocks: false }]);
  expect(kindsOf(after(...off('fork')).ready)).toContain('left-off');
});

test('the torque round counts as signed exactly what the law does', () => {
  const { bicycle, ready } = after(
    { type: 'unsignBolt', signature: 'sign-stem-expander' },
    { type: 'markStep', place: 'headset', step: 's', done: true, takes: ['locknut'] },
    { type: 'overhaulStep', place: 'brake.front', step: 's', done: true },
  );
  const bolts = boltsOf(bicycle.kind);
  const ids = new Set(bolts.map((bolt) => bolt.id));
  const byLaw = ready.missing.filter((item) => ids.has(item.id)).map((item) => item.id);
  expect([...openBolts(bicycle, bolts, USUAL_SETTINGS).keys()].sort()).toEqual([...new Set(byLaw)].sort());
  expect(byLaw).toEqual(expect.arrayContaining(['stem-expander', 'headset-locknut']));
});

/** What may happen to a bicycle in an hour; few names, so that things meet. */
const place = fc.constantFrom('headset', 'hub.front', 'brake.front', 'mudguards', 'stem');
const part = fc.constantFrom('a', 'b');
const check = fc.constantFrom(
  'disc-front',
  'frame',
  'fork',
  'headset',
  'cranks',
  'tyre-front',
  'bell',
  'braking-front',
  'pads-front',
);
const evidenceOf = (id: string) => {
  const own = checks.find((each) => each.id === id)!;
  return fc.oneof(
    fc.constantFrom('fine', 'watch', 'service', 'replace', 'unsafe').map((byEye) => ({ byEye })),
    ...(own.outcomes.length ? [fc.constantFrom(...own.outcomes).map(({ id: outcome }) => ({ outcome }))] : []),
    ...(own.kind === 'disc' ? [fc.constantFrom(0.6, 1.8).map((mm) => ({ readingsMm: [mm], minimumMm: 1.5 }))] : []),
    ...(own.kind === 'crank' ? [fc.constantFrom('firm', 'loose').map((left) => ({ left, right: 'firm' }))] : []),
  );
};
const bolt = fc.constantFrom('stem-expander', 'headset-locknut', 'disc-caliper-front', 'seat', 'faceplate');
const proof = fc.constantFrom(...proofs.map((each) => each.id));
const by = fc.constantFrom('Ada', 'Bo', '');
type Life = { command?: Command; undo?: true; redo?: true; elsewhere?: Command; round?: true };
const name = fc.nat({ max: 30 }).map(String);
const command = (hours: number): fc.Arbitrary<Command> => {
  const moment = at(hours);
  const said = { by: 'Ada', on: moment.slice(0, 10), words: 'x' };
  const decided = { rule: null, title: 'Job', minutes: job.minutes, parts: job.parts, reason: '', approval: null };
  return fc.oneof(
    check.chain((id) => evidenceOf(id).map((evidence): Command => seen(id, evidence, hours, `${id}-${hours}`))),
    fc.record({ type: fc.constant('withdrawObservation' as const), observation: check.map((id) => `sound-${id}`) }),
    fc.record({ place, part, done: fc.boolean() }).map(({ place: of, part: taken, done }): Command => ({
      type: 'markStep',
      place: of,
      step: taken,
      done,
      takes: [taken],
    })),
    fc.record({ type: fc.constant('putBack' as const), place, part, back: fc.boolean() }),
    fc.record({ type: fc.constant('leaveOff' as const), place, part, off: fc.boolean() }),
    fc.record({ type: fc.constant('markPart' as const), place, part, mark: fc.constantFrom('missing' as const, null) }),
    fc
      .record({ off: fc.boolean() })
      .map((row): Command => ({ type: 'tookOff', piece: 'cables', place: 'cables.brake', ...row })),
    fc.record({ used: fc.constantFrom('grease' as const, 'dry' as const) }).map(({ used }): Command => ({
      type: 'fillJoints',
      fills: { 'steerer-clamp': { used, at: moment, by: '' } },
    })),
    fc.record({ place, closed: fc.boolean() }).map(({ place: of, closed }): Command => ({
      type: 'putLooseEnd',
      looseEnd: { id: of, place: of, label: of, at: moment, closedAt: closed ? moment : null },
    })),
    fc
      .record({
        bolt,
        by,
        how: fc.constantFrom('wrench' as const, 'feel' as const),
        valueNm: fc.constantFrom(5, 20, 80),
        holdTest: fc.boolean(),
      })
      .map((row): Command => ({
        type: 'signBolt',
        signature: {
          ...row,
          what: 'done',
          foundLoose: false,
          valueNm: row.how === 'feel' ? null : row.valueNm,
          id: `${row.bolt}-${hours}`,
          at: moment,
        },
      })),
    fc.record({ type: fc.constant('unsignBolt' as const), signature: bolt.map((id) => `sign-${id}`) }),
    fc.record({ proof, by, passed: fc.boolean(), accepted: fc.constantFrom(null, said) }).map((row): Command => ({
      type: 'markProof',
      mark: { ...row, id: `${row.proof}-${hours}`, how: '', note: '', at: moment },
    })),
    fc
      .record({
        reading: fc.constantFrom(
          'pressure-front',
          'mark-most-front',
          'mark-least-front',
          'rim-play-rear',
          'runout-front',
        ),
        value: fc.constantFrom(0, 0.5, 0.6, 4, 6),
      })
      .map((row): Command => ({
        type: 'putProofReading',
        reading: { ...row, id: `${row.reading}-${hours}`, when: 'after', at: moment, by: '' },
      })),
    fc
      .record({
        speedKmh: fc.constantFrom(15, 20),
        distanceM: fc.constantFrom(2, 5, 9),
        brakes: fc.constantFrom('both' as const, 'rear' as const),
        surface: fc.constantFrom('dry' as const, 'wet' as const),
      })
      .map((row): Command => ({ type: 'putStop', stop: { ...row, id: `stop-${hours}`, at: moment, by: '' } })),
    fc.record({ said: fc.constantFrom('crisp' as const, 'fails' as const, 'over' as const) }).map((row): Command => ({
      type: 'sayShifts',
      shifts: { '1.2.larger': { ...row, at: moment, by: '' } },
    })),
    fc.record({ type: fc.constant('unmarkProof' as const), mark: proof.map((id) => `proof-${id}`) }),
    fc
      .record({ place, step: part })
      .map(({ place: of, step }): Command => ({ type: 'overhaulStep', place: of, step, done: true })),
    fc
      .record({ place, feel: fc.constantFrom('smooth' as const, 'unknown' as const) })
      .map(({ place: of, feel }): Command => ({ type: 'feelBearing', place: of, when: 'after', changes: { feel } })),
    fc
      .record({ id: name, place, decision: fc.constantFrom('keep' as const, 'drop' as const) })
      .map((row): Command => ({ type: 'decideJob', job: { ...decided, ...row, done: false, declined: null } })),
    fc.record({ type: fc.constant('finishJob' as const), job: name, done: fc.boolean() }),
    check.map((id): Command => ({
      type: 'acceptFinding',
      acceptance: { id: `a-${id}`, check: id, ...said, at: moment },
    })),
    fc.record({ check, how: fc.constantFrom('removed' as const, 'cleared' as const) }).map((row): Command => ({
      type: 'endFinding',
      ending: { ...row, id: `e-${row.check}`, by: 'Ada', on: said.on, paper: 'p', at: moment },
    })),
    fc.constant<Command>({ type: 'recheck', recheck: { id: String(hours), at: moment, by: 'Ada' } }),
    fc
      .constantFrom('caliper' as const, 'disc' as const, 'drum' as const)
      .map((brakes): Command => ({ type: 'describeKind', changes: { brakes } })),
  );
};
/** Any command that there is, with whatever its schema lets in. An undo is made from the history, and never of thin air. */
const any = fromSchema(everyCommand)
  .map((drawn) => JSON.parse(JSON.stringify(drawn)) as Command)
  .filter((drawn) => drawn.type !== 'amend');
const hour = (hours: number): fc.Arbitrary<Life> =>
  fc.oneof(
    { weight: 8, arbitrary: command(hours).map((each): Life => ({ command: each })) },
    { weight: 2, arbitrary: command(hours).map((each): Life => ({ elsewhere: each })) },
    { weight: 3, arbitrary: any.map((each): Life => ({ command: each })) },
    { weight: 2, arbitrary: fc.constant<Life>({ undo: true }) },
    { weight: 1, arbitrary: fc.constant<Life>({ redo: true }) },
    { weight: 1, arbitrary: fc.constant<Life>({ round: true }) },
  );
const life = fc
  .integer({ min: 1, max: 7 })
  .chain((hours) => fc.tuple(...Array.from({ length: hours }, (_, i) => hour(i + 1))));

/** One life: work here and on a second device, undo and redo, export and import, and the two brought together. */
function lived(start: Bicycle, hours: Life[]): Bicycle[] {
  let here = start;
  let there = start;
  let rows: HistoryRow[] = [];
  const states: Bicycle[] = [];
  const apply = (bicycle: Bicycle, step: Command, id: string, moment: string) => {
    const sent = { id, bicycle: bicycle.id, at: moment, command: step };
    const next = applyCommand(bicycle, sent);
    const row = next === bicycle ? null : historyOf(bicycle, next, sent);
    if (row && bicycle === here) rows = withRow(rows, row);
    return next;
  };
  for (const [i, { command: step, elsewhere, undo, redo, round }] of hours.entries()) {
    const moment = at(i + 1);
    if (step) here = apply(here, step, `h${i}`, moment);
    if (elsewhere) there = applyCommand(there, { id: `t${i}`, bicycle: there.id, at: moment, command: elsewhere });
    const row = undo ? stacks(rows).undo.at(-1) : redo ? stacks(rows).redo.at(-1) : undefined;
    if (row) here = apply(here, amendment(row, undo ? 'undo' : 'redo'), `u${i}`, moment);
    if (round) {
      const opened = openBicycle(JSON.parse(JSON.stringify(here)));
      expect(opened.ok).toBe(true);
      if (opened.ok) here = opened.bicycle;
      const merged = mergeBicycles(here, there);
      here = merged;
      there = merged;
      rows = [];
    }
    states.push(here);
  }
  states.push(mergeBicycles(here, there));
  return states;
}

function lawIfAny(bicycle: Bicycle) {
  try {
    return lawOf(bicycle, TODAY);
  } catch (error) {
    if (String(error).includes('"status":"refused"')) return null;
    throw error;
  }
}

const LISTS = [
  'findings',
  'unlooked',
  'trays',
  'complaints',
  'jobs',
  'bearings',
  'bolts',
  'proofs',
  'changes',
] as const;

test('in no life of a bicycle is it called ready while its record forbids it; and each list of the question is needed for that', () => {
  const whole = KINDS.map((kind) => wholeBicycle(kind, at(0)));
  const decisive = new Set<string>();
  let [ready, states] = [0, 0];
  fc.assert(
    fc.property(fc.constantFrom(...whole), life, (start, hours) => {
      for (const bicycle of lived(start, hours)) {
        const law = lawIfAny(bicycle);
        // What no calculator knows, such as a complaint of a newer table, leaves the law without an answer: never ready.
        if (law === null) continue;
        const why = forbidden(bicycle, TODAY);
        states += 1;
        ready += Number(law.ready.ready);
        if (law.ready.ready) expect(why).toEqual([]);
        else if (law.ready.missing.filter((item) => item.blocks).length === 1)
          for (const list of LISTS)
            if (asked<Ready>('prove.ready', { ...law.question, [list]: [] } satisfies ReadyAsked).ready)
              decisive.add(list);
      }
    }),
    { numRuns: runs(2500, 80), seed: 8, endOnFailure: true },
  );
  // It would show nothing if no state were ready, or all.
  expect(ready).toBeGreaterThan(states / 50);
  expect(ready).toBeLessThan(states * 0.9);
  for (const list of ['trays', 'bolts', 'proofs', 'unlooked']) expect([...decisive]).toContain(list);
});

describe('emptying any list of the question would call something ready that is not', () => {
  const worn = seen('fork', { byEye: 'service' }, 1);
  /** Each job that the law asks for, declined in writing. */
  const declined = (...commands: Command[]): Command[] =>
    (after(...commands).question.jobs ?? []).map((asked) => ({
      type: 'declineJob',
      job: {
        ...job,
        id: asked.id,
        title: asked.label,
        place: 'fork',
        decision: 'drop',
        reason: '',
        done: false,
        approval: null,
        declined: null,
      },
      declined: { by: 'Ada', on: TODAY, words: 'left as it is' },
    }));
  const accepted: Command = {
    type: 'acceptFinding',
    acceptance: { id: 'a', check: 'fork', by: 'Ada', on: TODAY, words: 'known', at: at(3) },
  };
  const cases: [(typeof LISTS)[number], Command[]][] = [
    ['findings', [worn, ...declined(worn)]],
    ['jobs', [worn, accepted]],
    ['unlooked', [{ type: 'withdrawObservation', observation: 'sound-frame' }]],
    ['trays', [{ type: 'leaveOff', place: 'stem', part: 'a', off: true }]],
    [
      'complaints',
      [
        {
          type: 'putComplaint',
          complaint: { id: 'c', complaints: ['knocks'], results: [], unavailable: [], closedAt: null, known: [] },
        },
      ],
    ],
    [
      'bearings',
      [{ type: 'addTrial', place: 'linkage', trial: { id: 't', turnDeg: 5, feel: 'smooth', clamped: false } }],
    ],
    ['bolts', [{ type: 'unsignBolt', signature: 'sign-stem-expander' }]],
    ['proofs', [{ type: 'unmarkProof', mark: 'proof-steering' }]],
    ['changes', [{ type: 'overhaulStep', place: 'stem', step: 's', done: true }]],
  ];
  test('each list has its case', () => expect(cases.map(([list]) => list).sort()).toEqual([...LISTS].sort()));
  test.each(cases)('%s', (list, commands) => {
    const { ready, question } = after(...commands);
    expect(ready.ready).toBe(false);
    // A bearing that was worked on has reopened a proof as well.
    const rest: ReadyAsked = { ...question, [list]: [], ...(list === 'bearings' ? { changes: [] } : {}) };
    expect(asked<Ready>('prove.ready', rest).ready).toBe(true);
  });
});

describe('what a crash and an electric drive ask', () => {
  const blocking = (...commands: Command[]) => {
    const bicycle = commands.reduce(
      (done, command, i) =>
        applyCommand(done, { id: `crash-${i}`, bicycle: 'b1', at: at(20), command: everyCommand.parse(command) }),
      wholeBicycle({}, AT),
    );
    const { ready } = lawOf(bicycle, AT.slice(0, 10));
    return ready.missing.filter(({ blocks }) => blocks).map(({ id }) => id);
  };
  const crashed: Command = { type: 'describeLead', changes: { crashed: 'yes' } };
  const line = (id: z.output<typeof alignment>['line'], result: 'true' | 'off', offMm = 0): Command => ({
    type: 'putAlignment',
    alignment: {
      id: `${id}-${result}`,
      line: id,
      place: 'frame',
      offMm,
      result,
      coldSet: false,
      words: '',
      by: 'Ada',
      at: AT,
    },
  });
  const LINES = ['string', 'fork', 'dropouts', 'head-tube', 'pedal-threads'] as const;

  test('a bicycle that was crashed is not ready before each line that carries was measured', () => {
    expect(blocking(crashed)).toEqual(LINES.map((id) => `alignment-${id}`));
    expect(blocking(crashed, ...LINES.map((id) => line(id, 'true')))).toEqual([]);
  });

  test('a line that is out of line keeps it off the road, whoever said it was never crashed', () => {
    expect(blocking(line('fork', 'off', 5))).toEqual(['alignment-fork-off']);
  });

  test('an electric bicycle is not ready before its drive is declared', () => {
    const electric: Command = { type: 'describeKind', changes: { electric: true } };
    const declared: Command = { type: 'describeDrive', changes: { way: 'without-drive' } };
    expect(blocking(electric)).toContain('electric-drive');
    expect(blocking(electric, declared)).not.toContain('electric-drive');
    expect(blocking(electric, declared, { type: 'describeDrive', changes: { battery: 'damaged' } })).toContain(
      'battery',
    );
  });
});
