import fc from 'fast-check';
import { runs } from '../../tests/runs';
import type { Envelope } from '@/model/commands';
import { createJournal, type JournalStorage } from './journal';

const AT = '2026-11-25T10:00:00.000Z';

function storage(): JournalStorage & { keys(): string[] } {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
    // A browser promises no order of its keys.
    key: (i) => [...kept.keys()].reverse()[i] ?? null,
    get length() {
      return kept.size;
    },
    keys: () => [...kept.keys()],
  };
}
const sent = (id: string, at = AT): Envelope => ({
  id,
  bicycle: 'b1',
  at,
  command: { type: 'renameBicycle', name: id },
  seen: {},
});

test('what is added is pending until it is cleared, and comes back as it was', async () => {
  const journal = createJournal(storage(), 'own');
  journal.add(sent('a'));
  journal.add(sent('b'));
  expect(await journal.pending()).toEqual([sent('a'), sent('b')]);
  journal.clear('a');
  expect(await journal.pending()).toEqual([sent('b')]);
});

test('changes come back in their order, whatever their ids and however many share a millisecond', async () => {
  await fc.assert(
    fc.asyncProperty(fc.uniqueArray(fc.string({ minLength: 1, maxLength: 6 }), { maxLength: 12 }), async (ids) => {
      const journal = createJournal(storage(), 'own');
      ids.forEach((id) => journal.add(sent(id)));
      expect((await journal.pending()).map((entry) => entry.id)).toEqual(ids);
    }),
    { numRuns: runs(1000) },
  );
});

test('a page that starts later goes on counting where the last one stopped', async () => {
  const shared = storage();
  createJournal(shared, 'own').add(sent('z'));
  createJournal(shared, 'own').add(sent('a'));
  const entries = await createJournal(shared, 'own').pending();
  expect(entries.map((entry) => entry.id)).toEqual(['z', 'a']);
});

test('the journal of one workshop is none of the other’s', async () => {
  const shared = storage();
  createJournal(shared, 'own').add(sent('a'));
  expect(await createJournal(shared, 'demo').pending()).toEqual([]);
});

test('what is damaged, foreign or of a newer release is passed over and left where it lies', async () => {
  const shared = storage();
  const strange = [
    '{',
    'null',
    '5',
    '[]',
    '{"n":1}',
    '{"n":1,"entry":{"id":"x"}}',
    JSON.stringify({ ...sent('x'), command: { type: 'fly' } }),
  ];
  strange.forEach((text, i) => shared.setItem(`ergasto:own:journal:${i}`, text));
  shared.setItem('another', 'x');
  const journal = createJournal(shared, 'own');
  expect(await journal.pending()).toEqual([]);
  journal.add(sent('a'));
  expect(await journal.pending()).toEqual([sent('a')]);
  expect(shared.keys()).toHaveLength(strange.length + 2);
});

test('an entry of an earlier release, which was bare, is read too', async () => {
  const shared = storage();
  shared.setItem('ergasto:own:journal:a', JSON.stringify(sent('a')));
  expect(await createJournal(shared, 'own').pending()).toEqual([sent('a')]);
});
