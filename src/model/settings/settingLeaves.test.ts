import fc from 'fast-check';
import { fromSchema } from '../../../tests/fromSchema';
import { runs } from '../../../tests/runs';
import { USUAL_SETTINGS } from './usual';
import { openSettings } from '../migrate/migrate';
import { workshopSettings, type WorkshopSettings } from './settings';
import { changedSettings, mergeSettings, settingLeaves } from './settingLeaves';
import { settingWords } from './settingWords';

const at = (day: number) => `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`;
const set = (changes: Partial<WorkshopSettings>, day: number, from = USUAL_SETTINGS) =>
  changedSettings(from, changes, at(day), `c${day}`);
const anySettings = fromSchema(workshopSettings).filter(
  (made) => workshopSettings.safeParse(made).success,
) as fc.Arbitrary<WorkshopSettings>;

describe('a change of the settings', () => {
  test('stamps what it touches and nothing else', () => {
    const changed = set({ currency: 'GBP', rules: { ...USUAL_SETTINGS.rules, openSound: true } }, 3);
    expect(changed.stamps).toEqual({ currency: `${at(3)} c3`, 'rules/openSound': `${at(3)} c3` });
    expect(set({ currency: 'EUR' }, 4)).toBe(USUAL_SETTINGS);
  });

  test('can be opened again, whatever it is', () => {
    fc.assert(
      fc.property(anySettings, anySettings, (before, changes) => {
        const after = changedSettings(before, changes, at(5), 'c');
        expect(openSettings(JSON.parse(JSON.stringify(after)))).not.toBeNull();
      }),
      { numRuns: runs(500, 60) },
    );
  });
});

describe('settings of two devices', () => {
  test('the later change of each setting stands, whichever device it was made on', () => {
    const phone = set({ currency: 'GBP' }, 2, set({ labourPerHour: 1000 }, 8));
    const laptop = set({ currency: 'CHF' }, 6, set({ labourPerHour: 2000 }, 1));
    for (const merged of [mergeSettings(phone, laptop), mergeSettings(laptop, phone)])
      expect(merged.settings).toMatchObject({ currency: 'CHF', labourPerHour: 1000 });
  });

  test('an export of last week turns nothing back, and says so by naming nothing', () => {
    const lastWeek = set({ currency: 'GBP' }, 1);
    const now = set({ currency: 'CHF', customerPerHour: 3600 }, 9, lastWeek);
    expect(mergeSettings(now, lastWeek)).toEqual({ settings: now, changes: [] });
  });

  test('an export from before there were stamps fills an untouched workshop, and yields to one that was set', () => {
    const old = { ...USUAL_SETTINGS, name: 'Ticket hall', currency: 'GBP' };
    expect(mergeSettings(USUAL_SETTINGS, old).changes.map(({ leaf }) => leaf)).toEqual(['name', 'currency']);
    const mine = { ...USUAL_SETTINGS, currency: 'CHF' };
    expect(mergeSettings(mine, old).settings).toMatchObject({ name: 'Ticket hall', currency: 'CHF' });
    expect(mergeSettings(set({ currency: 'EUR', name: 'Hall' }, 2), old).settings).toMatchObject({ name: 'Hall' });
  });

  test('rounds in the practice room are kept level by level', () => {
    const round = (best: number, day: number) => ({ rounds: 1, best, last: best, at: at(day) });
    const phone = set({ practice: { worn: round(80, 2) } }, 2);
    const laptop = set({ practice: { good: round(62, 3) } }, 3);
    expect(mergeSettings(phone, laptop).settings.practice).toEqual({ worn: round(80, 2), good: round(62, 3) });
  });

  test('merging opens, and merging again changes nothing', () => {
    fc.assert(
      fc.property(anySettings, anySettings, (here, there) => {
        const once = mergeSettings(here, there);
        expect(openSettings(JSON.parse(JSON.stringify(once.settings)))).not.toBeNull();
        expect(mergeSettings(once.settings, there).changes).toEqual([]);
        expect(mergeSettings(here, here)).toEqual({ settings: here, changes: [] });
        // What the preview names is what changes, and nothing besides.
        const before = settingLeaves(here);
        const touched = [...settingLeaves(once.settings)].filter(
          ([leaf, value]) => JSON.stringify(before.get(leaf)) !== JSON.stringify(value),
        );
        expect(touched.map(([leaf]) => leaf).sort()).toEqual(once.changes.map(({ leaf }) => leaf).sort());
      }),
      { numRuns: runs(500, 60) },
    );
  });

  test.each([
    [{ leaf: 'currency', from: 'EUR', to: 'GBP' }, 'currency: EUR → GBP'],
    [{ leaf: 'customerPerHour', from: 0, to: 3600 }, 'a customer’s hour: 0.00 → 36.00'],
    [{ leaf: 'letterKeys', from: true, to: false }, 'single-letter keys: yes → no'],
    [{ leaf: 'rules/openSound', from: false, to: true }, 'a bearing that feels sound: no → yes'],
    [{ leaf: 'practice/worn', from: undefined, to: {} }, 'practice room, worn'],
    [{ leaf: 'name', from: '', to: 'Hall' }, 'the workshop’s name: nothing → Hall'],
  ])('%j is told as "%s"', (change, words) => {
    expect(settingWords(change, (minor) => (minor / 100).toFixed(2))).toContain(words.split(':')[0]!);
    expect(settingWords(change, (minor) => (minor / 100).toFixed(2))).toBe(words);
  });
});
