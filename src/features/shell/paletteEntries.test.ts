import { demoWorkshop } from '@/model/demo/workshop';
import { STAGES } from '@/model/stages';
import { summaryOf } from '@/model/summaryOf';
import { HOUSE_RULES } from '@/core/houseRules';
import { anyOrder } from '@/ui/anyOrder';
import { WAYS } from '../top-bar/ways';
import { paletteEntries, type Entry } from './paletteEntries';

const summaries = Object.fromEntries(
  demoWorkshop(new Date(2026, 10, 29)).bicycles.map((bicycle) => [bicycle.id, summaryOf(bicycle)]),
);
const entries = (here: string | null): Entry[] =>
  paletteEntries({
    here,
    summaries,
    stages: STAGES.map((id) => ({ id, label: id })),
    tasks: [{ id: 'jobs', label: 'Jobs' }],
    actions: [{ id: 'undo', label: 'Take the last change back', run: () => undefined }],
    onPage: [{ id: 'Print the estimate', label: 'Print the estimate', run: () => undefined }],
  });
const found = (typed: string, here: string | null = 'ferry-staff-7') =>
  anyOrder(entries(here), {
    inputValue: typed,
    getOptionLabel: ({ label, group, words = '' }: Entry) => `${label} ${group} ${words}`,
  });
const labels = (typed: string, here?: string | null) => found(typed, here).map(({ label }) => label);

test('what people look for is found by its own word: hub, crank, tray, drawer, practice', () => {
  expect(labels('hub')).toEqual(
    expect.arrayContaining(['Look over: Front hub', 'Tray: Rear hub', 'Overhaul: Front hub']),
  );
  expect(labels('crank')).toEqual(expect.arrayContaining(['Look over: Crank arm, left', 'Rebuild: Crank arm, right']));
  expect(labels('tray front hub')).toContain('Tray: Front hub');
  expect(labels('drawer')).toContain('The drawer: parts in stock');
  expect(labels('practice')).toContain('Practice room: set a bearing by feel');
});

test('every place, stage, room, setting and what can be done here', () => {
  for (const stage of STAGES) expect(labels(stage)).toContain(stage);
  for (const { label } of WAYS) expect(labels(label)).toContain(label);
  for (const { title, key } of HOUSE_RULES)
    expect(found(title).find(({ label }) => label === title)?.to).toBe(`/settings#${key}`);
  expect(labels('last change')).toEqual(['Take the last change back']);
  expect(labels('currency')).toContain('Money and hours');
  expect(labels('print')).toContain('Print the estimate');
});

test('from the floor what is open on any bicycle is found with the bicycle’s name', () => {
  const tray = found('tray hub', null);
  expect(tray.length).toBeGreaterThan(0);
  expect(
    tray.every(({ group }) => group in Object.fromEntries(Object.values(summaries).map(({ name }) => [name, 1]))),
  ).toBe(true);
});

test('no two are known by one name', () => {
  const ids = entries('ferry-staff-7').map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
});
