import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { strFromU8, unzipSync } from 'fflate';
import { readdirSync, readFileSync } from 'node:fs';
import type { Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { openSettings } from '@/model/migrate/migrate';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import { inDrawer } from '../../tests/records';
import { memoryBrowser } from '../../tests/memoryBrowser';
import { packBicycles } from './archive/pack';
import { preview } from './archive/preview';
import { unpack, type Parcel } from './archive/read';
import { finishIntake, StillUnfinished, takeBackIntake, takeIn } from './intake';
import { createJournal } from './journal';
import { KEPT_BEFORE, type KeptBefore } from './keptBefore';
import { Unfit } from './records';
import { createWorkshop } from './workshop';

const AT = '2026-11-25T10:00:00.000Z';
const seed = () => ({ bicycles: [newBicycle('b1', AT, 'Green tourer')], settings: USUAL_SETTINGS });
const asking = (amount: number): Command => ({ type: 'setAppraisal', changes: { asking: amount } });

async function opened(browser: ReturnType<typeof memoryBrowser>, number = 1, patienceMs?: number) {
  const workshop = browser.tab(number, Infinity, patienceMs);
  await workshop.load(seed);
  await workshop.open('b1');
  await workshop.settled();
  return workshop;
}
const kept = (browser: ReturnType<typeof memoryBrowser>) => browser.database.records.get('b1') as Bicycle;

describe('the order of writes', () => {
  test('a change that could not be written is not overtaken by a later one and then stored over it', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    const real = browser.database.writeBicycle;
    browser.database.writeBicycle = () => Promise.reject(new Error('QuotaExceededError'));
    workshop.send('b1', asking(6000));
    await workshop.settled();
    browser.database.writeBicycle = real;
    workshop.send('b1', asking(7000));
    await workshop.settled();
    expect(kept(browser).appraisal.asking).toBe(7000);
    await workshop.retry();
    expect(kept(browser)).toMatchObject({ appraisal: { asking: 7000 }, conflicts: [] });
    expect(workshop.store.getState().problem).toBeNull();
  });

  test('changes of one millisecond are replayed in the order in which they were made', async () => {
    const browser = memoryBrowser();
    await opened(browser);
    const journal = createJournal(browser.storage, 'test');
    const ids = ['zz', 'mm', 'aa'];
    ids.forEach((id, i) => journal.add({ id, bicycle: 'b1', at: AT, command: asking(1000 * (i + 1)) }));
    expect((await journal.pending()).map((entry) => entry.id)).toEqual(ids);
    await opened(browser, 2);
    expect(kept(browser).appraisal.asking).toBe(3000);
  });

  test('a clock that is set back turns no order round', async () => {
    const browser = memoryBrowser();
    let time = '2026-11-25T12:00:00.000Z';
    const workshop = createWorkshop({ ...browser.around(1), now: () => time });
    await workshop.load(seed);
    await workshop.open('b1');
    workshop.send('b1', asking(1000));
    time = '2026-11-25T11:00:00.000Z';
    workshop.send('b1', asking(2000));
    const entries = await createJournal(browser.storage, 'test').pending();
    expect(entries.map((entry) => ('command' in entry ? entry.command : null))).toEqual([asking(1000), asking(2000)]);
    expect(entries.map((entry) => entry.at)).toEqual(Array(2).fill('2026-11-25T12:00:00.000Z'));
    workshop.close();
  });

  test('a bicycle that could not be opened again is never written', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    const unfit = { ...newBicycle('b2', AT, 'Gold one'), brief: 'gold' } as unknown as Bicycle;
    await expect(workshop.addBicycle(unfit)).rejects.toBeInstanceOf(Unfit);
    expect([...browser.database.records.keys()]).toEqual(['b1']);
    expect(workshop.store.getState().problem).toContain('would not write the new bicycle');
  });
});

describe('the database under an open page', () => {
  test('taken away: told at once, nothing leaves the journal, and it is written again when it is back', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    workshop.send('b1', asking(5000));
    await workshop.settled();
    browser.database.takeAway();
    expect(workshop.store.getState().problem).toContain('taken this workshop’s records away');
    workshop.send('b1', asking(9900));
    await workshop.settled();
    expect(browser.storage.length).toBe(1);
    expect(workshop.store.getState().bicycles.b1!.appraisal.asking).toBe(9900);
    await workshop.retry();
    expect(kept(browser).appraisal.asking).toBe(9900);
    expect(browser.storage.length).toBe(0);
    expect(workshop.store.getState()).toMatchObject({ problem: null });
    const again = await opened(browser, 2);
    expect(again.store.getState().bicycles.b1!.appraisal.asking).toBe(9900);
    again.undo('b1');
    await again.settled();
    expect(kept(browser).appraisal.asking).toBe(5000);
  });

  test('an empty one that another tab made in its place is not taken for it', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    browser.database.takeAway();
    await browser.tab(2).load();
    workshop.send('b1', asking(100));
    await workshop.settled();
    expect(workshop.store.getState().problem).toContain('taken this workshop’s records away');
    expect(browser.storage.length).toBe(1);
  });

  test('one that never answers is told after a while, and no longer once it does', async () => {
    const browser = memoryBrowser();
    let answer: (() => void) | null = null;
    const real = browser.database.bicycleIds;
    browser.database.bicycleIds = () => new Promise((resolve) => (answer = () => resolve([])));
    const workshop = browser.tab(1, Infinity, 30);
    const loading = workshop.load(seed);
    await new Promise((resolve) => setTimeout(resolve, 80));
    expect(workshop.store.getState()).toMatchObject({ status: 'loading' });
    expect(workshop.store.getState().problem).toContain('does not answer');
    browser.database.bicycleIds = real;
    answer!();
    await loading;
    expect(workshop.store.getState()).toMatchObject({ status: 'ready', problem: null });
    workshop.close();
  });
});

describe('a tab of an older release', () => {
  test('its change stays in the journal and is told, nothing more is taken, and after a reload it is applied', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    const now = kept(browser);
    browser.database.records.set('b1', { ...now, schemaVersion: SCHEMA_VERSION + 1, revision: 7 });
    workshop.send('b1', asking(4200));
    await workshop.settled();
    expect(browser.storage.length).toBe(1);
    expect(workshop.store.getState().problem).toContain('newer Ergasto');
    workshop.send('b1', asking(4300));
    await workshop.settled();
    expect(browser.storage.length).toBe(1);
    expect(kept(browser)).toMatchObject({ schemaVersion: SCHEMA_VERSION + 1, revision: 7 });
    // The newer release, which reads it.
    browser.database.records.set('b1', { ...now, revision: 7 });
    await opened(browser, 2);
    expect(kept(browser).appraisal.asking).toBe(4200);
    expect(browser.storage.length).toBe(0);
  });

  test('a damaged record keeps what was entered last in the journal', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    browser.database.records.set('b1', { ...kept(browser), name: 5, revision: 3 });
    workshop.send('b1', asking(4200));
    await workshop.settled();
    expect(browser.storage.length).toBe(1);
    expect(workshop.store.getState().unopened).toMatchObject([{ id: 'b1' }]);
  });
});

/** Versions that were laid down before the record was raised. */
const frozen = (name: RegExp) =>
  readdirSync('tests/fixtures')
    .flatMap((file) => name.exec(file)?.[1] ?? [])
    .map(Number)
    .sort((a, b) => a - b);
const RECORDS = frozen(/^records-(\d+)\.json$/);

describe('before records are brought up to date', () => {
  test('every version that a release wrote is laid down', () =>
    expect(RECORDS).toEqual(Array.from({ length: SCHEMA_VERSION - 1 }, (_, i) => i + 1)));

  test.each(RECORDS)('those of version %i are kept as an export that their release reads', async (version) => {
    const old = JSON.parse(readFileSync(`tests/fixtures/records-${version}.json`, 'utf8')) as {
      settings: unknown;
      stock: unknown[];
      bicycles: { id: string; schemaVersion: number }[];
    };
    const browser = memoryBrowser();
    for (const bicycle of old.bicycles) browser.database.records.set(bicycle.id, bicycle);
    browser.database.settings.set('workshop', old.settings);
    browser.database.settings.set('stock', old.stock);
    const workshop = browser.tab(1);
    await workshop.load();
    const [first] = old.bicycles;
    await workshop.open(first!.id);
    workshop.send(first!.id, asking(1));
    await workshop.settled();
    expect(browser.database.records.get(first!.id)).toMatchObject({ schemaVersion: SCHEMA_VERSION });
    const { zip, bicycles } = browser.database.settings.get(KEPT_BEFORE) as KeptBefore;
    expect(bicycles).toBe(old.bicycles.length);
    const files = unzipSync(new Uint8Array(await zip.arrayBuffer()));
    const json = JSON.parse(strFromU8(files['workshop.json']!)) as { bicycles: unknown[] };
    expect(json.bicycles).toEqual(expect.arrayContaining(old.bicycles));
    if (version >= 5) {
      const ajv = new Ajv2020({ strict: false });
      addFormats(ajv);
      const check = ajv.compile(
        JSON.parse(readFileSync(`tests/fixtures/workshop-${version}.schema.json`, 'utf8')) as object,
      );
      expect(check(json) ? [] : check.errors).toEqual([]);
    }
    // And it comes back into this one.
    const read = await unpack(zip);
    expect(read.ok && read.parcel.file.bicycles.map((bicycle) => bicycle.id)).toEqual(
      expect.arrayContaining(old.bicycles.map((bicycle) => bicycle.id)),
    );
  });

  test('it is done once, and not where there is nothing old', async () => {
    const browser = memoryBrowser();
    await opened(browser);
    expect(browser.database.settings.has(KEPT_BEFORE)).toBe(false);
    expect(browser.database.settings.get('raised')).toBe(SCHEMA_VERSION);
  });

  test.each(RECORDS)('a journal of version %i is replayed onto its records', async (version) => {
    const old = JSON.parse(readFileSync(`tests/fixtures/records-${version}.json`, 'utf8')) as {
      bicycles: { id: string }[];
      journal: { id: string; bicycle: string }[];
    };
    const browser = memoryBrowser();
    for (const bicycle of old.bicycles) browser.database.records.set(bicycle.id, bicycle);
    for (const sent of old.journal) browser.storage.setItem(`ergasto:test:journal:${sent.id}`, JSON.stringify(sent));
    const workshop = browser.tab(1);
    await workshop.load();
    await workshop.settled();
    expect(browser.database.records.get(old.journal[0]!.bicycle)).toMatchObject({
      name: 'Frozen name',
      appraisal: { asking: 12300 },
    });
    expect(browser.storage.length).toBe(0);
  });

  test('what version 8 saw of a hub has other names now; its change is done all the same', async () => {
    const browser = memoryBrowser();
    const old = JSON.parse(readFileSync('tests/fixtures/records-8.json', 'utf8')) as { bicycles: { id: string }[] };
    const [{ id }] = old.bicycles as [{ id: string }];
    for (const bicycle of old.bicycles) browser.database.records.set(bicycle.id, bicycle);
    const left = (n: number, command: object, seen: object) =>
      browser.storage.setItem(
        `ergasto:test:journal:c${n}`,
        JSON.stringify({ n, entry: { id: `c${n}`, bicycle: id, at: '2026-11-26T10:00:00.000Z', command, seen } }),
      );
    const place = 'hub.rear';
    left(1, { type: 'countBalls', place, side: 'left', changes: { out: 9 } }, { 'trays/hub.rear/balls/left': '' });
    left(2, { type: 'workStep', place, step: 'grease', done: true }, { 'trays/hub.rear/worked': '' });
    left(3, { type: 'noteBearing', place, when: 'after', changes: { feel: 'smooth' } }, { 'trays/hub.rear/after': '' });
    left(4, { type: 'markStep', place, step: 'photo', done: true, takes: ['axle'] }, { 'trays/hub.rear/order': '' });
    left(
      5,
      {
        type: 'amend',
        direction: 'undo',
        of: 'c2',
        words: 'step done',
        changes: [{ leaf: 'trays/hub.rear/worked', expect: ['grease'], value: [] }],
      },
      { 'trays/hub.rear/worked': '' },
    );
    const workshop = browser.tab(1);
    await workshop.load();
    await workshop.settled();
    const { bearings, trays } = browser.database.records.get(id) as Bicycle;
    expect(bearings.find((bearing) => bearing.place === place)).toMatchObject({
      balls: { left: { out: 9 } },
      doneSteps: [],
      after: { feel: 'smooth' },
    });
    expect(trays.find((tray) => tray.place === place)).toMatchObject({ doneSteps: ['photo'], off: { axle: 1 } });
    expect(browser.storage.length).toBe(0);
  });

  test.each(frozen(/^export-(\d+)\.zip$/))('an export of version %i is read whole', async (version) => {
    const read = await unpack(new Blob([readFileSync(`tests/fixtures/export-${version}.zip`)]));
    expect(read.ok && read.parcel.file.bicycles.length).toBeGreaterThan(2);
    expect(read.ok && read.parcel.blobs.map(({ id }) => id)).toEqual(['p1', 'p1:small']);
  });
});

describe('what lies beside the bicycles', () => {
  test('what was put into the drawer as the tab died is there at the next start', async () => {
    const browser = memoryBrowser();
    const dying = browser.tab(1);
    await dying.load();
    void dying.putStock([inDrawer('a')]);
    const [left] = await createJournal(browser.storage, 'test').pending();
    expect(left).toMatchObject({ stock: [{ id: 'a' }] });
    const next = memoryBrowser();
    createJournal(next.storage, 'test').add(left!);
    const workshop = next.tab(1);
    await workshop.load();
    await workshop.settled();
    expect(next.database.settings.get('stock')).toMatchObject([{ id: 'a' }]);
    expect(next.storage.length).toBe(0);
  });

  test('an entry that was left behind does not turn a newer row back', async () => {
    const browser = memoryBrowser();
    createJournal(browser.storage, 'test').add({ id: 'e', at: AT, stock: [inDrawer('a')] });
    browser.database.settings.set('stock', [inDrawer('a', { quantity: 1, at: '2026-11-26T10:00:00.000Z' })]);
    const workshop = browser.tab(1);
    await workshop.load();
    await workshop.settled();
    expect(workshop.store.getState().stock.a!.quantity).toBe(1);
  });

  test('changes that are not exported yet are counted in every tab, and an export is told to all', async () => {
    const browser = memoryBrowser();
    const one = await opened(browser, 1);
    const two = await opened(browser, 2);
    one.send('b1', asking(100));
    two.send('b1', asking(200));
    for (let i = 0; i < 3; i++) await Promise.all([one.settled(), two.settled()]);
    for (const tab of [one, two]) expect(tab.store.getState().unexported).toBe(2);
    await one.markExported();
    await two.settled();
    expect(two.store.getState().unexported).toBe(0);
  });

  test('a removed bicycle takes its history along', async () => {
    const browser = memoryBrowser();
    const workshop = await opened(browser);
    workshop.send('b1', asking(100));
    await workshop.settled();
    await workshop.removeBicycle('b1');
    expect([...browser.database.histories.keys(), ...browser.database.records.keys()]).toEqual([]);
    expect(workshop.store.getState()).toMatchObject({ bicycles: {}, summaries: {}, histories: {} });
  });

  test('names that every object is born with are bicycles that are not there', async () => {
    const workshop = await opened(memoryBrowser());
    for (const id of ['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf']) {
      expect(await workshop.open(id)).toBeNull();
      workshop.send(id, asking(1));
      workshop.undo(id);
      workshop.noteDrawn(id, 0, null);
    }
    expect(workshop.store.getState().problem).toBeNull();
  });
});

describe('taking in, and dying at it', () => {
  const there = Array.from({ length: 6 }, (_, i) => newBicycle(`b${i}`, AT, `Bicycle ${i}`));
  const jpeg = new Blob([new Uint8Array([0xff, 0xd8, 0xff, 1])], { type: 'image/jpeg' });

  async function parcel(): Promise<{ zip: Blob; parcel: Parcel }> {
    const bicycles = there.map((bicycle, i) =>
      i === 0
        ? { ...bicycle, photos: [{ id: 'p1', step: 'photo', place: 'hub.front', at: AT }] }
        : { ...bicycle, name: `${bicycle.name}, changed`, stamps: { name: '2026-11-26T10:00:00.000Z x' } },
    );
    const { zip } = await packBicycles({ readPhoto: (id) => Promise.resolve(id === 'p1' ? jpeg : null) }, bicycles, {
      scope: 'workshop',
      settings: { ...USUAL_SETTINGS, name: 'Ticket hall', stamps: { name: '2026-11-26T10:00:00.000Z x' } },
      currency: 'EUR',
      at: AT,
      stock: [inDrawer('s1')],
    });
    const read = await unpack(zip);
    if (!read.ok) throw new Error(read.why);
    return { zip, parcel: read.parcel };
  }
  async function started() {
    const browser = memoryBrowser();
    for (const bicycle of there.slice(0, 3)) browser.database.records.set(bicycle.id, bicycle);
    browser.database.settings.set('workshop', USUAL_SETTINGS);
    await browser.tab(1).load();
    return browser;
  }
  const state = ({ database }: ReturnType<typeof memoryBrowser>) => ({
    records: [...database.records].sort(([a], [b]) => (a < b ? -1 : 1)),
    photos: [...database.photos.keys()].sort(),
    stock: database.settings.get('stock') ?? [],
    name: openSettings(database.settings.get('workshop'))?.name,
    left: [...database.settings.keys()].filter((key) => key.startsWith('intake')),
  });

  test('a page that dies at any write of it: the next start says so, and it is finished or all taken back', async () => {
    const { zip, parcel: arriving } = await parcel();
    const whole = await started();
    const before = state(whole);
    await takeIn(whole.around(1), zip, arriving, AT);
    const after = state(whole);
    expect(after).toMatchObject({ name: 'Ticket hall', photos: ['p1'], left: [] });
    const told = new Set<number>();
    let died = 0;
    for (let at = 1; at < 80; at++) {
      const [one, other] = await Promise.all([started(), started()]);
      let alive = true;
      for (const browser of [one, other])
        await takeIn(browser.around(1, at), zip, arriving, AT).then(
          () => (alive = true),
          () => (alive = false),
        );
      if (alive) break;
      died++;
      for (const [browser, way] of [
        [one, 'finish'],
        [other, 'back'],
      ] as const) {
        const next = browser.tab(2);
        await next.load();
        const { unfinished } = next.store.getState();
        if (!unfinished) {
          // Nothing had been written yet, or all of it: whole either way.
          const now = { ...state(browser), left: [] };
          expect([{ ...before, left: [] }, after]).toContainEqual(now);
          continue;
        }
        told.add(unfinished.done);
        expect(unfinished.total).toBe(6);
        if (way === 'finish')
          await finishIntake(browser.around(2), (file) =>
            unpack(file).then((r) => (r.ok ? r.parcel : Promise.reject(new Error(r.why)))),
          );
        else expect(await takeBackIntake(browser.around(2))).toEqual({ stayed: 0 });
        await next.reload();
        expect(next.store.getState().unfinished).toBeNull();
        const now = state(browser);
        const want = way === 'finish' ? after : before;
        expect({ ...now, records: now.records.map(([id, record]) => [id, (record as Bicycle).name]) }).toEqual({
          ...want,
          records: want.records.map(([id, record]) => [id, (record as Bicycle).name]),
        });
        if (way === 'back') expect(now).toEqual(before);
      }
    }
    expect(died).toBeGreaterThan(20);
    expect([...told].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  });

  test('another file is not taken in over one that is half in: what that needs to go back stays', async () => {
    const { zip, parcel: arriving } = await parcel();
    const browser = await started();
    const before = state(browser);
    await takeIn(browser.around(1, 8), zip, arriving, AT).catch(() => undefined);
    const half = state(browser);
    await expect(takeIn(browser.around(2), zip, arriving, '2026-11-26T10:00:00.000Z')).rejects.toBeInstanceOf(
      StillUnfinished,
    );
    expect(state(browser)).toEqual(half);
    await takeBackIntake(browser.around(2));
    expect(state(browser)).toEqual(before);
    await takeIn(browser.around(2), zip, arriving, '2026-11-26T10:00:00.000Z');
    expect(browser.database.records.size).toBe(6);
  });

  test('what dies again while it is finished is still all taken back', async () => {
    const { zip, parcel: arriving } = await parcel();
    const browser = await started();
    const before = state(browser);
    await takeIn(browser.around(1, 8), zip, arriving, AT).catch(() => undefined);
    const open = () => Promise.resolve(arriving);
    await expect(finishIntake(browser.around(2, 9), open)).rejects.toThrow('the tab');
    expect(await takeBackIntake(browser.around(3))).toEqual({ stayed: 0 });
    expect(state(browser)).toEqual(before);
  });

  test('what was changed by hand since stays when the rest is taken back', async () => {
    const { zip, parcel: arriving } = await parcel();
    const browser = await started();
    await takeIn(browser.around(1, 8), zip, arriving, AT).catch(() => undefined);
    const next = browser.tab(2);
    await next.load();
    const done = next.store.getState().unfinished!.done;
    expect(done).toBeGreaterThan(1);
    await next.open('b1');
    next.send('b1', asking(7700));
    await next.settled();
    expect(await takeBackIntake(browser.around(2))).toEqual({ stayed: 1 });
    expect((browser.database.records.get('b1') as Bicycle).appraisal.asking).toBe(7700);
  });

  test('while another tab is at it nothing is said', async () => {
    const browser = await started();
    const { zip, parcel: arriving } = await parcel();
    const real = browser.database.writeBicycle;
    let seen: unknown = 'not asked';
    browser.database.writeBicycle = async (id, stored) => {
      if (seen === 'not asked') {
        const other = browser.tab(3);
        await other.load();
        seen = other.store.getState().unfinished;
      }
      return real(id, stored);
    };
    await takeIn(browser.around(1), zip, arriving, AT);
    expect(seen).toBeNull();
  });

  test('an older export turns no setting back, and the preview names each that would change', async () => {
    const browser = memoryBrowser();
    const workshop = browser.tab(1);
    await workshop.load();
    await workshop.changeSettings({ currency: 'GBP', labourPerHour: 2400 });
    const { parcel: arriving } = await parcel();
    const seen = await preview(workshop.database, arriving);
    expect(seen.settings).toMatchObject([{ leaf: 'name', from: 'Workshop', to: 'Ticket hall' }]);
    await takeIn(browser.around(2), new Blob(), arriving, AT);
    expect(openSettings(browser.database.settings.get('workshop'))).toMatchObject({
      name: 'Ticket hall',
      currency: 'GBP',
      labourPerHour: 2400,
    });
  });

  test('a photograph that is not in the file is told, and the rest comes in', async () => {
    const bicycle = { ...there[0]!, photos: [{ id: 'gone', step: 'photo', place: 'hub.front', at: AT }] };
    for (const scope of ['workshop', 'bicycles'] as const) {
      const { zip, missing } = await packBicycles({ readPhoto: () => Promise.resolve(null) }, [bicycle], {
        scope,
        settings: scope === 'workshop' ? USUAL_SETTINGS : null,
        currency: 'EUR',
        at: AT,
      });
      expect(missing).toBe(1);
      const read = await unpack(zip);
      if (!read.ok) throw new Error(read.why);
      const seen = await preview(memoryBrowser().database, read.parcel);
      expect(seen).toMatchObject({ fresh: ['Bicycle 0'], missing: 1 });
    }
  });
});
