import fc from 'fast-check';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { answer } from '../calculator';
import { materials } from '../strip/data/materials';
import { compoundFor, rebuildCompound, type CompoundInput } from './compound';
import { buildOrderRows, type BuildOrderRow } from './data/buildOrder';
import { compoundRows } from './data/compounds';
import { JOINTS } from './joints';
import { buildOrder, piecesOf, rebuildOrder, type BuildOrderInput, type OnBicycle } from './order';
import { judgeDepth } from './insertion';
import { rebuildJoints } from './jointsOf';
import { slippingClamps } from './slips';
import { metricThread } from './threads';
import { rebuildPreload } from './preload';
import { rebuildPosition, type PositionInput } from './position';
import { rebuildPrepare } from './prepare';
import { rebuildSteererCut } from './steererCut';

const kind = (changes: Partial<BicycleKind> = {}) => bicycleKind.parse(changes);
const KINDS = [
  kind({ gears: 'derailleur', brakes: 'cantilever' }),
  kind({ gears: 'coaster', brakes: 'back-pedal', chain: 'single-or-hub-gear' }),
  kind({ gears: 'hub', stem: 'quill', cranks: 'cottered' }),
  kind({ gears: 'derailleur', brakes: 'disc', stem: 'threadless' }),
  kind({ frame: 'full-suspension' }),
];

const order = (question: BuildOrderInput, rules?: readonly BuildOrderRow[]) =>
  buildOrder(rebuildOrder.input.parse(question), rules);
const places = (rows: OnBicycle[]) => rows.map(({ assembly }) => assembly);
const same = (a: OnBicycle, b: OnBicycle) => a.assembly === b.assembly && a.place === b.place;
const bare = ({ assembly, place }: OnBicycle) => ({ assembly, place });

describe('the order of a rebuild', () => {
  test.each(KINDS)(
    'kind %#: put together one by one it ends, and nothing goes on before what comes before it',
    (each) => {
      const together: OnBicycle[] = [];
      const all = piecesOf(each, []).length;
      for (let i = 0; i < all; i++) {
        const { now, done } = order({ kind: each, together });
        expect(done).toBe(false);
        expect(now.length).toBeGreaterThan(0);
        together.push(bare(now[i % now.length]!));
      }
      expect(order({ kind: each, together })).toEqual({ now: [], waits: [], done: true });
    },
  );

  test('whatever is together, missing or untrue: each piece is in one list, and what is offered waits for nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.infiniteStream(fc.integer({ min: 0, max: 3 })),
        fc.record({ torqued: fc.boolean(), trued: fc.boolean(), measured: fc.boolean(), settled: fc.boolean() }),
        (each, dice, facts) => {
          const pieces = piecesOf(each, []);
          const thrown = pieces.map((piece) => ({ piece: bare(piece), by: dice.next().value as number }));
          const together = thrown.filter(({ by }) => by === 0).map(({ piece }) => piece);
          const missing = thrown
            .filter(({ by }) => by === 1)
            .map(({ piece }) => ({ ...piece, why: 'not here' as const }));
          const said = order({ kind: each, together, missing, facts });
          expect([...together, ...said.now, ...said.waits].map(({ place }) => place).sort()).toEqual(
            pieces.map(({ place }) => place).sort(),
          );
          for (const wait of said.waits) expect(wait.for.length).toBeGreaterThan(0);
          // What is offered may go on: put on, nothing that was together has to come off again for it.
          for (const now of said.now) {
            const then = order({ kind: each, together: [...together, bare(now)], missing, facts });
            expect(then.now.concat(then.waits as never[]).some((row) => same(row, now))).toBe(false);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test('every row of the table matters: without it something is offered too soon', () => {
    for (const row of buildOrderRows) {
      const rest = buildOrderRows.filter((each) => each !== row);
      const differs = KINDS.some((each) => {
        return ROWS_KINDS(each).some(({ found, kind: of }) => {
          const pieces = piecesOf(of, found);
          const facts = row.fact === null ? {} : { [row.fact]: false };
          return pieces
            .filter(({ assembly }) => row.after.includes(assembly))
            .some((piece) => {
              const others = pieces.filter((other) => !same(other, piece));
              const held = others.filter(({ assembly }) => row.fact !== null || !row.before.includes(assembly));
              const missing = found
                .filter((one) => !same(one, piece) && !held.some((other) => same(other, one)))
                .map((one) => ({ ...one, why: 'open' as const }));
              const question = rebuildOrder.input.parse({ kind: of, together: held.map(bare), missing, facts });
              const offered = (rules: readonly BuildOrderRow[]) =>
                buildOrder(question, rules).now.some((row) => same(row, piece));
              return offered(rest) && !offered(buildOrderRows);
            });
        });
      });
      expect([row.why, row.after, differs]).toEqual([row.why, row.after, true]);
    }
  });

  test('cranks that are on and not torqued hold up the front derailleur; torqued, they do not', () => {
    const of = kind({ gears: 'derailleur' });
    const rest = piecesOf(of, []).map(bare);
    const together = rest.filter(({ assembly }) => assembly !== 'derailleur-front');
    const loose = order({ kind: of, together, facts: { torqued: false } });
    expect(loose.waits).toMatchObject([{ assembly: 'derailleur-front', for: ['the cranks are tight, by the wrench'] }]);
    expect(order({ kind: of, together }).now).toMatchObject([{ assembly: 'derailleur-front' }]);
  });

  test('the hanger is measured before the rear derailleur is hung; cables wait for the height of the bar', () => {
    const of = kind({ gears: 'derailleur' });
    const without = (assembly: string) =>
      piecesOf(of, [])
        .map(bare)
        .filter((each) => each.assembly !== assembly);
    expect(
      order({ kind: of, together: without('derailleur-rear'), facts: { measured: false } }).waits[0],
    ).toMatchObject({
      for: ['the hanger is measured'],
    });
    expect(order({ kind: of, together: without('cables'), facts: { settled: false } }).now).toEqual([]);
  });

  test('what has not come holds up what follows, and the rest goes on', () => {
    const of = kind({ gears: 'derailleur' });
    const said = order({ kind: of, missing: [{ assembly: 'hub-front', place: 'hub.front', why: 'in the bath' }] });
    expect(said.waits.find(({ assembly }) => assembly === 'hub-front')).toMatchObject({ for: ['it lies in the bath'] });
    const wheel = said.waits.find(({ assembly }) => assembly === 'wheel-front')!;
    expect(wheel.for).toContainEqual({ assembly: 'hub-front', place: 'hub.front' });
    expect(places(said.now)).toContain('on-the-frame');
  });

  test('an assembly that was found instead counts, and one that such a bicycle has not is refused', () => {
    const said = order({
      kind: kind({ gears: 'hub' }),
      together: [{ assembly: 'hub-rear-coaster', place: 'hub.rear' }],
    });
    expect(places([...said.now, ...said.waits])).not.toContain('hub-rear-gear');
    expect(answer(rebuildOrder, { together: [{ assembly: 'derailleur-rear', place: 'hub.front' }] })).toMatchObject({
      ok: false,
    });
    const twice = { assembly: 'chain', place: 'chain' };
    expect(answer(rebuildOrder, { together: [twice], missing: [{ ...twice, why: 'open' }] })).toMatchObject({
      ok: false,
    });
  });
});

const goesIn = (changes: Partial<CompoundInput> & Pick<CompoundInput, 'joint' | 'a' | 'b'>) => {
  const said = answer(rebuildCompound, changes);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};

describe('what goes between', () => {
  test.each([
    ['seat-post', 'carbon', 'bare aluminium', 'carbon-paste'],
    ['seat-post', 'bare aluminium', 'carbon', 'carbon-paste'],
    ['bar-clamp', 'carbon', 'anodised aluminium', 'carbon-paste'],
    ['seat-post', 'anodised aluminium', 'painted steel sound', 'grease'],
    ['seat-post', 'titanium', 'plain steel', 'anti-seize'],
    ['steerer-clamp', 'plain steel', 'anodised aluminium', 'dry'],
    ['steerer-clamp', 'titanium', 'anodised aluminium', 'dry'],
    ['steerer-clamp', 'carbon', 'anodised aluminium', 'dry'],
    ['pulley-bolt', 'plain steel', 'bare aluminium', 'threadlock-medium'],
    ['rotor-bolt', 'titanium', 'bare aluminium', 'threadlock-medium'],
    ['pulley-bolt', 'plain steel', 'plastics', 'dry'],
    ['italian-cup', 'plain steel', 'painted steel sound', 'threadlock-medium'],
    ['english-cup', 'plain steel', 'painted steel sound', 'grease'],
    ['english-cup', 'bare aluminium', 'painted steel sound', 'anti-seize'],
    ['chainring-bolt', 'plain steel', 'bare aluminium', 'grease'],
    ['chainring-bolt', 'titanium', 'bare aluminium', 'anti-seize'],
    ['brake-stud', 'plain steel', 'plain steel', 'grease'],
    ['nipple', 'brass', 'plain steel', 'oil'],
    ['press-fit-cup', 'bare aluminium', 'bare aluminium', 'grease'],
  ] as const)('%s of %s in %s: %s', (joint, a, b, compound) => expect(goesIn({ joint, a, b }).compound).toBe(compound));

  test('wherever there is carbon in a clamp, grease is named among what never goes there', () => {
    for (const joint of ['seat-post', 'bar-clamp', 'quill', 'steerer-clamp'] as const)
      for (const { material } of materials)
        for (const [a, b] of [
          ['carbon', material],
          [material, 'carbon'],
        ] as const) {
          const said = goesIn({ joint, a, b });
          expect(said.never).toContain('grease');
          expect(['carbon-paste', 'dry']).toContain(said.compound);
        }
  });

  test('a ring bolt that came loose is locked; a taper goes by the house rule; titanium goes before it', () => {
    expect(goesIn({ joint: 'chainring-bolt', a: 'plain steel', b: 'bare aluminium', cameLoose: true }).compound).toBe(
      'threadlock-medium',
    );
    const taper = (squareTaper: 'dry' | 'greased') =>
      goesIn({ joint: 'square-taper', a: 'bare aluminium', b: 'plain steel', rules: { squareTaper } }).compound;
    expect([taper('dry'), taper('greased')]).toEqual(['dry', 'grease']);
  });

  test('every joint of every two materials has its answer, the same whichever is named first, and never high strength', () => {
    const names = [...materials.map((row) => row.material), 'titanium', 'carbon'];
    for (const joint of JOINTS)
      for (const a of names)
        for (const b of names) {
          const said = goesIn({ joint, a, b });
          expect(said.reasons[0]!.length).toBeGreaterThan(10);
          expect(said.compound).toBe(goesIn({ joint, a: b, b: a }).compound);
        }
  });

  test('every row of the table is the first for some joint', () => {
    const names = [...materials.map((row) => row.material), 'titanium', 'carbon'];
    const used = new Set<number>();
    for (const joint of JOINTS)
      for (const a of names)
        for (const b of names)
          for (const cameLoose of [false, true])
            for (const squareTaper of ['dry', 'greased'] as const) {
              const question = rebuildCompound.input.parse({ joint, a, b, cameLoose, rules: { squareTaper } });
              const { compound, reasons } = compoundFor(question);
              used.add(compoundRows.findIndex((row) => row.compound === compound && row.why === reasons[0]));
            }
    expect([...used].sort((x, y) => x - y)).toEqual(compoundRows.map((_, i) => i));
  });
});

describe('before parts go in', () => {
  const of = (changes: Partial<BicycleKind>) => {
    const said = answer(rebuildPrepare, { kind: changes });
    if (!said.ok) throw new Error(JSON.stringify(said));
    return said.output.preparations;
  };
  test('every step says where it stops; what cuts is for a qualified hand', () => {
    for (const step of of({ brakes: 'disc', stem: 'threadless' })) {
      expect(step.stop.length).toBeGreaterThan(15);
      if (/^Face/.test(step.title)) expect(step.qualified).toBe(true);
    }
  });
  test('mounts are faced where there is a disc; a threadless steerer has no thread to chase', () => {
    const places = (changes: Partial<BicycleKind>) =>
      of(changes)
        .map(({ place, title }) => `${place} ${title}`)
        .join('; ');
    expect(places({ brakes: 'disc' })).toContain('brake.front Face the mounts');
    expect(places({ brakes: 'caliper' })).not.toContain('brake.front');
    expect(places({ stem: 'threadless' })).not.toContain('Chase the thread of the steerer');
  });
});

describe('small figures of the rebuild', () => {
  test('a size tells its coarse thread, a fine one says its own; what names several tells none', () => {
    expect(metricThread('M5')).toEqual({ majorMm: 5, pitchMm: 0.8 });
    expect(metricThread('M8 x 1')).toEqual({ majorMm: 8, pitchMm: 1 });
    expect([metricThread('M5 or M6'), metricThread('1 in'), metricThread(null)]).toEqual([null, null, null]);
  });
  test('at its mark a post is deep enough; a millimetre less is not', () => {
    expect(judgeDepth({ insertedMm: 70, minimumMm: 70 })).toEqual({ deepEnough: true, wantingMm: 0 });
    expect(judgeDepth({ insertedMm: 69, minimumMm: 70 })).toEqual({ deepEnough: false, wantingMm: 1 });
    expect(judgeDepth({ insertedMm: 69, minimumMm: null })).toBeNull();
  });
  test('what slips by the law is never planned by the table, and names the place that it stands at', () => {
    const carbon = kind({ postMaterial: 'carbon', barMaterial: 'carbon', steererMaterial: 'carbon' });
    const { joints } = rebuildJoints.run(rebuildJoints.input.parse({ kind: carbon }));
    for (const { id, place, planned } of joints) {
      expect(slippingClamps(carbon, { [id]: { used: planned.compound } })).toEqual([]);
      for (const slip of slippingClamps(carbon, { [id]: { used: 'grease' } })) {
        expect([slip.place, planned.never.includes('grease')]).toEqual([place, true]);
      }
    }
    expect(slippingClamps(carbon, { 'seat-post': { used: 'grease' } })).toHaveLength(1);
  });
});

describe('the steerer', () => {
  const stack = { headTubeMm: 150, headsetStackMm: 25, spacersBelowMm: 20, stemClampMm: 40, material: 'aluminium' };
  const cut = (steererMm: number, changes = {}) => {
    const said = answer(rebuildSteererCut, { ...stack, steererMm, ...changes });
    if (!said.ok) throw new Error(JSON.stringify(said));
    return said.output;
  };
  test('needed is the stack less the gap; 260 leaves 28 to cut', () => {
    expect(cut(260)).toMatchObject({ neededMm: 232, cutMm: 28, verdict: 'cut' });
    expect(cut(260, { spacersAboveMm: 5, gapMm: 2 }).neededMm).toBe(238);
  });
  test.each([
    [233, 'leave'],
    [231, 'leave'],
    [233.1, 'cut'],
    [230.9, 'needs-fewer-spacers'],
    [227, 'needs-fewer-spacers'],
    [226.9, 'too-short'],
  ])('%s mm: %s', (steererMm, verdict) => expect(cut(steererMm).verdict).toBe(verdict));
  test('carbon goes to a qualified hand and never under a pipe cutter; a fork that is too short says by how much', () => {
    expect(cut(260, { material: 'carbon' }).reasons.join(' ')).toMatch(/never a pipe cutter.*qualified hand/);
    expect(cut(228).reasons[0]).toBe('4 mm are wanting: that much less in spacers.');
  });
});

describe('the pull of a bolt', () => {
  const pull = (changes = {}) => {
    const said = answer(rebuildPreload, { torqueNm: 5, majorMm: 5, pitchMm: 0.8, greased: false, ...changes });
    if (!said.ok) throw new Error(JSON.stringify(said));
    return said.output;
  };
  test('M5 at 5 N·m: 5.00 kN dry, 6.67 kN greased, 14.2 mm²', () => {
    expect(pull().preloadN).toBeCloseTo(5000, 6);
    expect(pull({ greased: true }).preloadN).toBeCloseTo(6666.67, 1);
    expect(pull().stressAreaMm2).toBeCloseTo(14.18, 2);
    expect(pull()).toMatchObject({ verdict: 'unknown', proofShare: null });
  });
  test('with its class: fine, near over three quarters, over beyond nine tenths; a limit is inside', () => {
    const share = (proofShare: number) => pull({ proofMPa: 5000 / (proofShare * pull().stressAreaMm2) }).verdict;
    expect([share(0.5), share(0.75), share(0.76), share(0.9), share(0.91)]).toEqual([
      'fine',
      'fine',
      'near',
      'near',
      'over',
    ]);
  });
  test('a torque of 400 and a pitch that leaves no metal are refused', () => {
    expect(answer(rebuildPreload, { torqueNm: 400, majorMm: 5, pitchMm: 0.8, greased: true })).toMatchObject({
      ok: false,
    });
    expect(answer(rebuildPreload, { torqueNm: 5, majorMm: 5, pitchMm: 4, greased: true })).toMatchObject({ ok: false });
  });
});

describe('where a rider begins to sit', () => {
  const sit = (question: Partial<PositionInput> = {}) => {
    const said = answer(rebuildPosition, { insideLegMm: 840, ...question });
    if (!said.ok) throw new Error(JSON.stringify(said));
    return said.output;
  };
  test('an inside leg of 840 mm: 742 from crank to saddle, its nose 77 behind the crank', () =>
    expect(sit()).toMatchObject({ saddleHeightMm: 742, saddleSetbackMm: 77, verdict: 'reckoned' }));
  test('a longer crank lowers the saddle by as much; a measured forearm goes before the height', () => {
    expect(sit({ crankMm: 175 }).saddleHeightMm).toBe(737);
    expect(sit({ forearmMm: 480 }).reachMm).toBe(480 + 55);
    expect(sit({ heightMm: 1700 }).reachMm).toBe(Math.round(0.262 * 1700) + 55);
  });
  test('upright sits higher and nearer than sporting', () => {
    const [upright, sporting] = [sit({ sitting: 'upright' }), sit({ sitting: 'sporting' })];
    expect(upright.barHeightMm - sporting.barHeightMm).toBe(110);
    expect(upright.reachMm).toBeLessThan(sporting.reachMm);
  });
  test('a post that would come out beyond its mark is told; at its mark it is deep enough', () => {
    const post = { saddleMm: 722, insertedMm: 90, minimumMm: 70 };
    expect(sit({ post })).toMatchObject({ insertedMm: 70, verdict: 'reckoned' });
    expect(sit({ post: { ...post, minimumMm: 71 } })).toMatchObject({ verdict: 'post-too-short' });
  });
  test('a leg that does not go with its height is refused', () =>
    expect(answer(rebuildPosition, { insideLegMm: 1000, heightMm: 1500 })).toMatchObject({ ok: false }));
});

/** Builds in which each row has something to say: what is usual for the kind, and what may be found instead. */
function ROWS_KINDS(each: BicycleKind): { kind: BicycleKind; found: OnBicycle[] }[] {
  return [
    { kind: each, found: [] },
    { kind: each, found: [{ assembly: 'freehub-body', place: 'freehub' }] },
    { kind: each, found: [{ assembly: 'freewheel-body', place: 'cogs' }] },
    { kind: each, found: [{ assembly: 'pulleys', place: 'pulleys' }] },
    { kind: each, found: [{ assembly: 'shifter-flush', place: 'shifter.right' }] },
    { kind: each, found: [{ assembly: 'linkage', place: 'linkage' }] },
    { kind: each, found: [{ assembly: 'hoods', place: 'grip.left' }] },
    { kind: each, found: [{ assembly: 'cranks-one-piece', place: 'crank.right' }] },
    { kind: each, found: [{ assembly: 'derailleur-front', place: 'derailleur.front' }] },
  ];
}
