import { KINDS } from '../../../tests/hostile';
import { memoryBrowser } from '../../../tests/memoryBrowser';
import { takeIn } from '../intake';
import { unpack } from './read';

const SECONDS = 3;
/** `npm run bench` and a patient person ask for more of each kind. */
const EACH = Number(process.env.PATIENT ?? 0) ? 20 : 2;

const file = (bytes: Uint8Array) => new Blob([bytes as Uint8Array<ArrayBuffer>]);

test('there are at least forty kinds of hostile file', () => {
  expect(new Set(KINDS.map(({ name }) => name)).size).toBe(KINDS.length);
  expect(KINDS.filter(({ comes }) => comes !== 'taken').length).toBeGreaterThanOrEqual(40);
});

test.each(KINDS)('$name: taken whole, or refused in a sentence, soon', async ({ make, comes }) => {
  for (let n = 0; n < EACH; n++) {
    const made = file(make(n * 3));
    // Processor time: other tests run beside this one.
    const from = process.cpuUsage();
    const read = await unpack(made);
    const { user, system } = process.cpuUsage(from);
    expect((user + system) / 1e6).toBeLessThan(SECONDS);
    if (comes === 'taken') {
      if (!read.ok) throw new Error(read.why);
      const { around, database, tab } = memoryBrowser();
      await takeIn(around(1), made, read.parcel, '2026-11-25T10:00:00.000Z');
      const workshop = tab(2);
      await workshop.load();
      for (const { id } of read.parcel.file.bicycles) expect(await workshop.open(id)).toMatchObject({ id });
      expect(workshop.store.getState()).toMatchObject({ problem: null, unopened: [] });
      expect(database.records.size).toBe(read.parcel.file.bicycles.length);
    } else {
      expect(read).toEqual({ ok: false, why: expect.stringMatching(comes) as string });
      if (!read.ok) expect(read.why).toMatch(/^[A-Z][^\n]*\.$/);
    }
  }
  expect(({} as Record<string, unknown>).fine).toBeUndefined();
});
