import { keepTied, tied } from './tieUnits';

const spaced = (words: string) => words.replaceAll('\u00a0', '_');

test('a figure keeps its unit, and hours their minutes; words stay as they are', () => {
  expect(spaced(tied('60 % in 2 h 15, 9.5 mm at 45 Nm'))).toBe('60_% in 2_h_15, 9.5_mm at 45_Nm');
  expect(spaced(tied('7 minutes, 3 hubs, 12 m/s, room 4 in house'))).toBe('7 minutes, 3 hubs, 12 m/s, room 4_in house');
});

test('also where it comes later, is changed, or its unit stands in a text of its own; what is typed is not touched', async () => {
  document.body.innerHTML = '<p id="a">5 mm</p><textarea id="t"></textarea>';
  const end = keepTied(document.body);
  const a = document.getElementById('a')!;
  expect(spaced(a.textContent)).toBe('5_mm');
  a.firstChild!.nodeValue = '6 mm';
  const later = document.createElement('p');
  later.append('41', ' Nm');
  document.body.append(later);
  const area = document.getElementById('t') as HTMLTextAreaElement;
  area.value = '7 mm';
  await Promise.resolve();
  expect([a.textContent, later.textContent].map(spaced)).toEqual(['6_mm', '41_Nm']);
  expect(area.value).toBe('7 mm');
  end();
});
