import { gatherBurst } from './burst';

function type(text: string, everyMs: number): string | null {
  const burst = gatherBurst();
  let reading: string | null = null;
  Array.from(text).forEach((key, i) => {
    reading = burst.take(key === '\n' ? 'Enter' : key, i * everyMs).reading ?? reading;
  });
  return reading ?? burst.pause();
}

describe('digits that come in with no field open', () => {
  test.each([
    ['306.9\n', 10, '306.9'],
    ['306,9\n', 30, '306,9'],
    ['4.76', 12, '4.76'],
    ['12\n', 5, '12'],
  ])('%j every %i ms is held as %j', (text, ms, held) => expect(type(text, ms)).toBe(held));
  test.each([
    ['7\n', 10],
    ['306.9\n', 200],
    ['ab', 10],
    ['/', 10],
    ['\n', 10],
  ])('%j every %i ms is nothing', (text, ms) => expect(type(text, ms)).toBeNull());
  test('a letter between ends it, so that words never become a reading', () => {
    expect(type('12a34\n', 10)).toBe('34');
  });
});
