import fc from 'fast-check';
import { applyCommand, type Command, type Envelope } from '@/model/commands';
import { newBicycle, USUAL_SETTINGS } from '@/model/fresh';
import { openBicycle } from '@/model/migrate';
import type { Bicycle } from '@/model/record';
import { demoWorkshop } from '@/model/demoWorkshop';
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
        withdrawn: false,
      },
    },
    { type: 'withdrawObservation', observation: 'o1' },
    { type: 'markStep', place: 'hub.front', step: 'locknut', done: true, takes: ['locknut.left', 'washer.left'] },
    { type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } },
    { type: 'addTrial', place: 'hub.front', trial: { id: 't1', turnDeg: -20, feel: 'tick', clamped: false } },
    { type: 'putLine', line: { id: 'l1', label: 'Balls', kind: 'part', paid: 1000, packQty: 20, usedQty: 6 } },
    { type: 'startClock', at: AT, stage: 'strip' },
    { type: 'stopClock', entry: { id: 'm1', stage: 'strip', minutes: 12, at: AT } },
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
    expect(changed.trays[0]).toMatchObject({ doneSteps: ['b'], order: ['cone'] });
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

  test('a change is shown at once, journalled, written and out of the journal', async () => {
    const { database, storage, tab } = browser();
    const workshop = tab(1);
    await workshop.load(seed);
    workshop.send('b1', { type: 'setBrief', brief: 'preserve' });
    expect(workshop.store.getState().bicycles.b1!.brief).toBe('preserve');
    expect(storage.length).toBe(1);
    await workshop.settled();
    expect(storage.length).toBe(0);
    expect(database.records.get('b1')).toMatchObject({ brief: 'preserve', revision: 1 });
  });

  test('two tabs change different things and both are kept', async () => {
    const { database, tab } = browser();
    const one = tab(1);
    const two = tab(2);
    await one.load(seed);
    await two.load(seed);
    one.send('b1', { type: 'setBrief', brief: 'preserve' });
    two.send('b1', { type: 'renameBicycle', name: 'Blue tourer' });
    await Promise.all([one.settled(), two.settled()]);
    await Promise.all([one.settled(), two.settled()]);
    expect(database.records.get('b1')).toMatchObject({ brief: 'preserve', name: 'Blue tourer' });
    for (const workshop of [one, two])
      expect(workshop.store.getState().bicycles.b1).toMatchObject({ brief: 'preserve', name: 'Blue tourer' });
  });

  test('a full disk is told, the change is kept, and trying again writes it', async () => {
    const { database, storage, tab } = browser();
    const workshop = tab(1);
    await workshop.load(seed);
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
  });

  test('a change that could not be opened again is refused and what was saved stays', async () => {
    const { database, tab } = browser();
    const workshop = tab(1);
    await workshop.load(seed);
    workshop.send('b1', { type: 'setAppraisal', changes: { resale: { low: 5, likely: 4, high: 3 } } });
    await workshop.settled();
    expect(workshop.store.getState().problem).toContain('cannot be kept');
    expect(database.records.get('b1')).toMatchObject({ revision: 0 });
  });

  test('random changes from two tabs: none lost, none mixed', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(fc.boolean(), fc.nat(20)), { minLength: 1, maxLength: 25 }), async (moves) => {
        const { database, tab } = browser();
        const tabs = [tab(1), tab(2)];
        for (const workshop of tabs) await workshop.load(seed);
        for (const [first, minutes] of moves)
          tabs[first ? 0 : 1]!.send('b1', {
            type: 'putMinutes',
            entry: { id: `m${Math.random()}`, stage: 'strip', minutes: minutes + 1, at: AT },
          });
        for (let i = 0; i < 3; i++) await Promise.all(tabs.map((workshop) => workshop.settled()));
        const kept = (database.records.get('b1') as Bicycle).minutes;
        expect(kept.map((entry) => entry.minutes).sort()).toEqual(moves.map(([, minutes]) => minutes + 1).sort());
        expect(tabs[0]!.store.getState().bicycles.b1).toEqual(tabs[1]!.store.getState().bicycles.b1);
      }),
      { numRuns: 40 },
    );
  });
});
