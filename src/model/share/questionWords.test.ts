import { questionWords } from './questionWords';

const names = {
  money: (minor: number) => `€${minor / 100}`,
  labelOf: (id: string) => (id === 'pads' ? 'Brake pads' : id),
};
const differs = (record: string, leaf: string, kept: unknown, ...others: unknown[]) =>
  questionWords({ is: 'differs', record, leaf, kept, others }, names);

test('a price of the house is asked about as money, a rule by its title, a person by their name', () => {
  expect(differs('settings', 'customerPerHour', 3600, 3000)).toEqual({
    words: 'A customer’s hour: entered differently on two devices. Which is right?',
    choices: [
      { label: '€36', value: 3600 },
      { label: '€30', value: 3000 },
    ],
  });
  expect(differs('settings', 'rules/taper', 'greased', 'dry').words).toMatch(/^[A-Z].*: entered differently/);
  const people = differs(
    'settings',
    'people/a',
    { at: 2, row: { id: 'a', name: 'Ada' } },
    { at: 2, row: { id: 'a', name: 'Adda' } },
  );
  expect(people.choices.map(({ label }) => label)).toEqual(['Ada', 'Adda']);
  const week = differs(
    'settings',
    'week/t',
    { at: 1, row: { id: 't', day: 2, from: '18:30', to: '20:30', who: '' } },
    { at: 1, row: { id: 't', day: 2, from: '18:00', to: '20:30', who: '' } },
  );
  expect(week.choices.map(({ label }) => label)).toEqual(['day 2, 18:30 to 20:30', 'day 2, 18:00 to 20:30']);
});

test('a count of the drawer is asked with its cost; two that read alike are told apart', () => {
  const asked = differs('stock', 'base/pads', { quantity: 3, cost: 1200 }, { quantity: 4, cost: null });
  expect(asked.words).toContain('Brake pads, how many there were');
  expect(asked.choices.map(({ label }) => label)).toEqual(['3, cost €12', '4']);
  const row = { label: 'Pads', size: '', state: 'new' };
  const alike = differs('stock', 'row/pads', { ...row, from: 'a' }, { ...row, from: 'b' });
  expect(alike.choices.map(({ label }) => label)).toEqual(['Pads, new', 'Pads, new (2)']);
});

test('more taken than there was: count, or none is left', () => {
  const { words, choices } = questionWords({ is: 'short', item: 'pads', label: 'Brake pads', by: 1 }, names);
  expect(words).toContain('Brake pads: one more was taken out than lay in the drawer. Count what is there');
  expect(choices).toEqual([{ label: 'None is left', value: 0 }]);
});
