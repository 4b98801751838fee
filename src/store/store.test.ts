import { runs } from '../../tests/runs';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import fc from 'fast-check';
import { applyCommand, type Command, type Envelope } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { openBicycle } from '@/model/migrate/migrate';
import { practised } from '@/model/settings/practice';
import { demoWorkshop } from '@/model/demo/workshop';
import { inDrawer } from '../../tests/records';
import { memoryBrowser as browser } from '../../tests/memoryBrowser';
import { createJournal } from './journal';

const AT = '2026-11-25T10:00:00.000Z';

const bicycle = () => newBicycle('b1', AT, 'Green tourer');
const sent = (id: string, command: Command): Envelope => ({ id, bicycle: 'b1', at: AT, command });

describe('commands', () => {
  const commands: Command[] = [
    { type: 'renameBicycle', name: 'Blue' },
    { type: 'setBrief', brief: 'donor' },
    { type: 'recordPurchase', paid: 9000, at: AT },
    {
      type: 'addObservation',
      observation: {
        id: 'o1',
        check: 'chain',
        at: AT,
        evidence: { pitches: 24, lengthMm: 306.9 },
        note: '',
        seenAs: 'bought' as const,
        withdrawn: false,
      },
    },
    { type: 'withdrawObservation', observation: 'o1' },
    { type: 'markStep', place: 'hub.front', step: 'locknut', done: true, takes: ['locknut.left', 'washer.left'] },
    { type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } },
    { type: 'chooseAssembly', place: 'hub.rear', assembly: 'hub-rear-coaster' },
    { type: 'markPart', place: 'hub.front', part: 'locknut.left', mark: 'worn' },
    { type: 'addPart', place: 'hub.front', part: { id: 'x1', label: 'A shim', side: 'left' } },
    { type: 'fatePart', place: 'hub.front', part: 'washer.left', fate: 'scrap' },
    { type: 'cleanParts', parts: [{ place: 'hub.front', part: 'locknut.left' }], clean: true },
    { type: 'sayHardened', place: 'hub.front', part: 'locknut.left', hardened: false },
    {
      type: 'putSeized',
      seized: {
        id: 's1',
        place: 'stem',
        part: 'Quill stem',
        partMaterial: 'chrome plate',
        aroundMaterial: 'plain steel',
        paintMatters: true,
        partValue: 100,
        aroundValue: 5000,
        tried: [{ step: 'penetrant', soakMinutes: 60, at: AT }],
        ended: null,
      },
    },
    {
      type: 'putTrick',
      trick: { id: 'k', assembly: 'hub-front', step: 'cone', text: 'A clip hides the flats', at: AT },
    },
    {
      type: 'putIdentified',
      identified: {
        id: 'i1',
        kind: 'bottom-bracket',
        place: 'bottom-bracket',
        standard: 'swiss-thread',
        name: 'Swiss thread',
        readings: { diameterMm: 35, driveHand: 'left' },
        at: AT,
      },
    },
    { type: 'planFinish', changes: { paint: 'patina', hours: 6 } },
    { type: 'addTrial', place: 'hub.front', trial: { id: 't1', turnDeg: -20, feel: 'tick', clamped: false } },
    { type: 'putLine', line: { id: 'l1', label: 'Balls', kind: 'part', paid: 1000, packQty: 20, usedQty: 6 } },
    { type: 'startClock', clock: 'k1', at: AT, stage: 'strip', place: null },
    { type: 'stopClock', entry: { id: 'm1', stage: 'strip', minutes: 12, at: AT, place: null } },
  ];

  test('a command replayed changes nothing, so a journal may be read twice', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...commands), { maxLength: 12 }), (list) => {
        const envelopes = list.map((command, i) => sent(`c${i}`, command));
        const once = envelopes.reduce(applyCommand, bicycle());
        expect(envelopes.reduce(applyCommand, once)).toEqual(once);
      }),
    );
  });

  test('whatever is commanded can be opened again', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(commands), (list) => {
        const changed = list.map((command, i) => sent(`c${i}`, command)).reduce(applyCommand, bicycle());
        expect(openBicycle(JSON.parse(JSON.stringify(changed)))).toMatchObject({ ok: true, migrated: false });
      }),
    );
  });

  test('an observation taken back stays in the record', () => {
    const changed = commands
      .slice(3, 5)
      .map((command, i) => sent(`c${i}`, command))
      .reduce(applyCommand, bicycle());
    expect(changed.observations).toMatchObject([{ id: 'o1', withdrawn: true }]);
  });

  test('a step that is unticked takes its parts out of the tray and leaves the others in order', () => {
    const tick = (step: string, done: boolean, takes: string[]): Command => ({
      type: 'markStep',
      place: 'hub.front',
      step,
      done,
      takes,
    });
    const changed = [tick('a', true, ['nut', 'washer']), tick('b', true, ['cone']), tick('a', false, ['nut', 'washer'])]
      .map((c, i) => sent(`c${i}`, c))
      .reduce(applyCommand, bicycle());
    expect(changed.trays[0]).toMatchObject({ doneSteps: ['b'], off: { cone: expect.any(Number) as number } });
  });
});

describe('opening records', () => {
  test('an older record is brought up to date, a newer or damaged one is left alone', () => {
    const { purchase: _purchase, photos: _photos, schemaVersion: _version, ...rest } = bicycle();
    const old = { ...rest, paid: 9000 };
    expect(openBicycle(old)).toMatchObject({
      ok: true,
      migrated: true,
      bicycle: { purchase: { paid: 9000 }, photos: [] },
    });
    const first = {
      ...bicycle(),
      schemaVersion: 1,
      clock: { startedAt: AT, stage: 'strip' },
      minutes: [{ id: 'm', stage: 'strip', minutes: 5, at: AT }],
    };
    expect(
      openBicycle({ ...first, kind: { ...first.kind, gears: undefined, brakes: 'rim', chain: 'single-or-hub-gear' } }),
    ).toMatchObject({
      ok: true,
      bicycle: {
        kind: { brakes: 'caliper', gears: 'hub' },
        clock: { stage: 'strip', activeAt: AT },
        minutes: [{ place: null }],
      },
    });
    expect(openBicycle({ ...bicycle(), schemaVersion: 99 })).toMatchObject({ ok: false, why: 'newer' });
    expect(openBicycle({ ...bicycle(), name: 5 })).toMatchObject({ ok: false, why: 'damaged' });
    expect(openBicycle('nonsense')).toMatchObject({ ok: false, why: 'damaged' });
  });
  test('the made-up workshop opens', () => {
    for (const made of demoWorkshop(new Date(AT)).bicycles)
      expect(openBicycle(structuredClone(made))).toMatchObject({ ok: true });
  });
});

describe('the store', () => {
  const seed = () => ({ bicycles: [bicycle()], settings: USUAL_SETTINGS });
  type Tab = ReturnType<ReturnType<typeof browser>['tab']>;
  async function opened(workshop: Tab): Promise<Tab> {
    await workshop.load(seed);
    await workshop.open('b1');
    return workshop;
  }
  const shown = (workshop: Tab) => workshop.store.getState().bicycles.b1!;
  const entry = (id: string, minutes: number): Command => ({
    type: 'putMinutes',
    entry: { id, stage: 'strip', minutes, at: AT, place: null },
  });
  async function quiet(tabs: Tab[]): Promise<void> {
    for (let i = 0; i < 3; i++) await Promise.all(tabs.map((workshop) => workshop.settled()));
  }

  test('a change is shown at once, journalled, written and out of the journal', async () => {
    const { database, storage, tab } = browser();
    const workshop = await opened(tab(1));
    workshop.send('b1', { type: 'setBrief', brief: 'preserve' });
    expect(shown(workshop).brief).toBe('preserve');
    expect(storage.length).toBe(1);
    await workshop.settled();
    expect(storage.length).toBe(0);
    expect(database.records.get('b1')).toMatchObject({ brief: 'preserve', revision: 1 });
  });

  test('the floor is drawn from summary rows, and no record is read for it the second time', async () => {
    const { database, tab } = browser();
    await opened(tab(1));
    const read = jest.spyOn(database, 'readBicycle');
    const next = tab(2);
    await next.load(seed);
    expect(next.store.getState().summaries.b1).toMatchObject({ name: 'Green tourer', stage: 'buy' });
    expect(next.store.getState().bicycles).toEqual({});
    expect(read).not.toHaveBeenCalled();
  });

  test('two tabs change different things and both are kept', async () => {
    const { database, tab } = browser();
    const one = await opened(tab(1));
    const two = await opened(tab(2));
    one.send('b1', { type: 'setBrief', brief: 'preserve' });
    two.send('b1', { type: 'renameBicycle', name: 'Blue tourer' });
    await quiet([one, two]);
    expect(database.records.get('b1')).toMatchObject({ brief: 'preserve', name: 'Blue tourer', conflicts: [] });
    for (const workshop of [one, two])
      expect(shown(workshop)).toMatchObject({ brief: 'preserve', name: 'Blue tourer' });
  });

  test('one field changed in two tabs at once: both values are kept and a person chooses', async () => {
    const { tab } = browser();
    const one = await opened(tab(1));
    const two = await opened(tab(2));
    one.send('b1', { type: 'setAppraisal', changes: { asking: 12000 } });
    two.send('b1', { type: 'setAppraisal', changes: { asking: 13000 } });
    await quiet([one, two]);
    const [row] = shown(one).conflicts;
    expect(new Set([row!.kept, row!.other])).toEqual(new Set([12000, 13000]));
    expect(shown(one).appraisal.asking).toBe(row!.kept);
    one.send('b1', { type: 'settleConflict', conflict: row!.id, take: 'other' });
    await quiet([one, two]);
    expect(shown(two)).toMatchObject({ conflicts: [], appraisal: { asking: row!.other } });
  });

  test('undo and redo hold across a reload, in words; an observation is withdrawn and never removed', async () => {
    const { database, tab } = browser();
    const one = await opened(tab(1));
    one.send('b1', {
      type: 'addObservation',
      observation: {
        id: 'o1',
        check: 'chain',
        at: AT,
        evidence: { pitches: 24, lengthMm: 306.9 },
        note: '',
        seenAs: 'bought' as const,
        withdrawn: false,
      },
    });
    one.send('b1', { type: 'setAppraisal', changes: { asking: 12000 } });
    await one.settled();
    const two = await opened(tab(2));
    two.undo('b1');
    expect(two.store.getState().remark).toBe('Taken back: asked 120');
    two.undo('b1');
    expect(two.store.getState().remark).toBe('Taken back: chain 0.69 %');
    await quiet([one, two]);
    expect(database.records.get('b1')).toMatchObject({
      appraisal: { asking: null },
      observations: [{ id: 'o1', withdrawn: true }],
    });
    const three = await opened(tab(3));
    three.redo('b1');
    three.redo('b1');
    await quiet([three]);
    expect(shown(three)).toMatchObject({ appraisal: { asking: 12000 }, observations: [{ withdrawn: false }] });
  });

  test('an undo is refused in words when the field was changed elsewhere since', async () => {
    const { tab } = browser();
    const one = await opened(tab(1));
    one.send('b1', { type: 'setBrief', brief: 'preserve' });
    await one.settled();
    const history = one.store.getState().histories.b1!;
    one.send('b1', { type: 'setBrief', brief: 'donor' });
    await one.settled();
    one.store.setState({ histories: { b1: history } });
    one.undo('b1');
    expect(one.store.getState().remark).toContain('Not taken back: “brief preserve” has been changed again');
    expect(shown(one).brief).toBe('donor');
  });

  test('a full disk is told, the change is kept, and trying again writes it', async () => {
    const { database, storage, tab } = browser();
    const workshop = await opened(tab(1));
    database.full = true;
    workshop.send('b1', { type: 'setBrief', brief: 'period' });
    await workshop.settled();
    expect(workshop.store.getState().problem).toContain('kept in this tab');
    expect(storage.length).toBe(1);
    database.full = false;
    await workshop.retry();
    expect(workshop.store.getState().problem).toBeNull();
    expect(database.records.get('b1')).toMatchObject({ brief: 'period' });
  });

  test('what was only journalled when a tab died is written by the next', async () => {
    const { database, storage, tab } = browser();
    await tab(1).load(seed);
    createJournal(storage, 'test').add(sent('orphan', { type: 'setBrief', brief: 'donor' }));
    storage.setItem('ergasto:test:journal:broken', '{');
    const next = tab(2);
    await next.load();
    await next.settled();
    expect(database.records.get('b1')).toMatchObject({ brief: 'donor' });
    expect(storage.getItem('ergasto:test:journal:broken')).toBe('{');
  });

  test('a change that could not be opened again is refused and what was saved stays', async () => {
    const { database, tab } = browser();
    const workshop = await opened(tab(1));
    workshop.send('b1', { type: 'setAppraisal', changes: { resale: { low: 5, likely: 4, high: 3 } } });
    await workshop.settled();
    expect(workshop.store.getState().problem).toContain('cannot be kept');
    expect(database.records.get('b1')).toMatchObject({ revision: 0 });
  });

  test('an older record stays beside the new one until the new one has been read back', async () => {
    const { database, tab } = browser();
    const { clock: _c, notes: _n, stamps: _s, ...old } = bicycle();
    database.records.set('b1', { ...old, schemaVersion: 1, clock: null, kind: { ...old.kind, brakes: 'rim' } });
    const write = jest.spyOn(database, 'writeSetting');
    const workshop = await opened(tab(1));
    workshop.send('b1', { type: 'setBrief', brief: 'donor' });
    await workshop.settled();
    expect(write).toHaveBeenCalledWith(`before-${SCHEMA_VERSION}:b1`, expect.objectContaining({ schemaVersion: 1 }));
    expect(database.settings.has(`before-${SCHEMA_VERSION}:b1`)).toBe(false);
    expect(database.records.get('b1')).toMatchObject({ schemaVersion: SCHEMA_VERSION, kind: { brakes: 'caliper' } });
  });

  test('a thousand random sequences in two tabs, one of which dies at any write: nothing lost, nothing mixed', async () => {
    const move = fc.record({
      first: fc.boolean(),
      what: fc.nat(3),
      minutes: fc.integer({ min: 1, max: 20 }),
      wait: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(move, { minLength: 1, maxLength: 7 }),
        fc.integer({ min: 1, max: 30 }),
        async (moves, dies) => {
          const { database, storage, tab } = browser();
          const steady = await opened(tab(1));
          const mortal = tab(2, dies);
          await mortal.load();
          await mortal.open('b1');
          const tabs = [mortal, steady];
          const minutes: Record<string, number> = {};
          const names = new Set<string>(['Green tourer']);
          let sentCount = 0;
          for (const [i, { first, what, minutes: size, wait }] of moves.entries()) {
            const workshop = tabs[first ? 0 : 1]!;
            // A tab that died before it had read the bicycle can send nothing.
            if (!workshop.store.getState().bicycles.b1) continue;
            const before = workshop.store.getState().bicycles.b1!.revision;
            if (what === 0) {
              names.add(`name ${i}`);
              workshop.send('b1', { type: 'renameBicycle', name: `name ${i}` });
            } else if (what === 1)
              workshop.send('b1', {
                type: 'countBalls',
                place: 'hub.front',
                side: first ? 'left' : 'right',
                changes: { out: size },
              });
            else {
              minutes[`m${i}`] = size;
              workshop.send('b1', entry(`m${i}`, size));
            }
            // What stands so already is no change.
            sentCount += workshop.store.getState().bicycles.b1!.revision - before;
            if (wait) await workshop.settled();
          }
          await quiet(tabs);
          const after = await opened(tab(3));
          await quiet([after, steady]);
          const kept = database.records.get('b1') as Bicycle;
          expect(Object.fromEntries(kept.minutes.map((row) => [row.id, row.minutes]))).toEqual(minutes);
          expect(names).toContain(kept.name);
          expect(new Set(kept.recent).size).toBe(kept.recent.length);
          expect(kept.revision).toBe(sentCount);
          expect(openBicycle(structuredClone(kept))).toMatchObject({ ok: true });
          expect(shown(after)).toEqual(kept);
          expect(shown(steady)).toEqual(kept);
          expect(storage.length).toBe(0);
        },
      ),
      { numRuns: runs(1000) },
    );
  }, 60_000);
});

describe('the drawer', () => {
  test('two tabs put things in at once, and both are there in both', async () => {
    const shared = browser();
    const [one, two] = [shared.tab(1), shared.tab(2)];
    await Promise.all([one.load(), two.load()]);
    await Promise.all([one.putStock([inDrawer('a')]), two.putStock([inDrawer('b')])]);
    await Promise.all([one.settled(), two.settled()]);
    const again = shared.tab(3);
    await again.load();
    for (const tab of [one, two, again]) expect(Object.keys(tab.store.getState().stock).sort()).toEqual(['a', 'b']);
  });

  test('a browser that is full says so, and what was there stays', async () => {
    const shared = browser();
    const tab = shared.tab(1);
    await tab.load();
    expect(await tab.putStock([inDrawer('a')])).toBe(true);
    jest.spyOn(shared.database, 'writeSetting').mockRejectedValue(new Error('full'));
    expect(await tab.putStock([inDrawer('a', { quantity: 1 })])).toBe(false);
    expect(tab.store.getState().problem).toMatch(/would not write the drawer/);
    expect(tab.store.getState().stock.a!.quantity).toBe(2);
  });

  test('a row that could not be opened again is never written', async () => {
    const tab = browser().tab(1);
    await tab.load();
    expect(await tab.putStock([inDrawer('a', { cost: 0.5 })])).toBe(false);
    expect(tab.store.getState().stock).toEqual({});
  });

  test('two tabs that change different house rules both keep theirs', async () => {
    const shared = browser();
    const [one, two] = [shared.tab(1), shared.tab(2)];
    await Promise.all([one.load(), two.load()]);
    await one.changeSettings({ name: 'Hall' });
    await two.changeSettings({ labourPerHour: 1200 });
    const again = shared.tab(3);
    await again.load();
    expect(again.store.getState().settings).toMatchObject({ name: 'Hall', labourPerHour: 1200 });
  });

  test('two tabs that practise the same level both count, and the best of both stays', async () => {
    const shared = browser();
    const [one, two] = [shared.tab(1), shared.tab(2)];
    await Promise.all([one.load(), two.load()]);
    const round = (tab: typeof one, total: number) =>
      tab.changeSettings((kept) => practised(kept, 'worn', total, '2026-11-25T10:00:00.000Z'));
    await round(one, 80);
    await round(two, 62);
    await round(two, 71);
    const again = shared.tab(3);
    await again.load();
    expect(again.store.getState().settings.practice.worn).toMatchObject({ rounds: 3, best: 80, last: 71 });
  });
});
