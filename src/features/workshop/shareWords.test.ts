import { NO_FOLDER, type SharePart } from '@/store/share/browserShare';
import { agoWords, besideBicycles, handsAbout, isTrouble, newsWords, partWords } from './shareWords';

const NOW = Date.parse('2026-11-29T18:00:00.000Z');
const ago = (minutes: number) => new Date(NOW - minutes * 60_000).toISOString();
const ada = { id: 'laptop', name: 'Ada', device: 'bench laptop', bicycle: 'b', stage: 'strip', at: ago(12) };

test.each<[SharePart, string, boolean]>([
  [{ is: 'same', newer: false }, 'Same as the folder', false],
  [{ is: 'same', newer: true }, 'Same as the folder, save what a newer Ergasto wrote', false],
  [{ is: 'to go out', changes: 1 }, 'One change to go out', false],
  [{ is: 'to go out', changes: 3 }, '3 changes to go out', false],
  [{ is: 'to come', photographs: 2 }, '2 photographs still to come', false],
  [{ is: 'not there', changes: 0 }, 'The folder is not there', true],
  [{ is: 'not there', changes: 1 }, 'The folder is not there; one change waits', true],
  [{ is: 'shut', wasTried: false }, 'The folder is sealed: give its passphrase', true],
  [{ is: 'shut', wasTried: true }, 'The folder is sealed with another passphrase', true],
  [{ is: 'asks', name: 'x' }, 'The folder waits for your leave', true],
])('%j is told as %s', (part, words, trouble) => {
  expect([partWords(part), isTrouble(part)]).toEqual([words, trouble]);
});

test('since when: just now, minutes, hours; whoever did nothing all day has gone home', () => {
  expect([1, 12, 90, 300].map((minutes) => agoWords(ago(minutes), NOW))).toEqual([
    'just now',
    '12 min ago',
    '1 h ago',
    '5 h ago',
  ]);
  expect(handsAbout([ada, { ...ada, at: ago(600) }], NOW)).toEqual([ada]);
});

test('what others changed is named, the last three of it, and how much more there is', () => {
  const news = {
    by: ['Ada', 'Bo'],
    words: ['the name', 'the brief', 'front hub, after', 'chain'],
    changes: 5,
    at: ago(1),
  };
  expect(newsWords(news)).toBe('Ada and Bo changed 5 things: the brief; front hub, after; chain; 1 more');
  expect(newsWords({ ...news, by: ['Ada'], words: ['the name'], changes: 1 })).toBe('Ada changed one thing: the name');
});

test('beside a bicycle stand all who are at it in one line, and that it was changed, whatever it is called', () => {
  const news = { by: ['Bo'], words: ['the name'], changes: 1, at: ago(1) };
  const beside = besideBicycles(
    { ...NO_FOLDER, hands: [ada, { ...ada, id: 'x', name: 'Bo', bicycle: '__proto__' }], news: { b: news } },
    NOW,
  );
  expect(beside.b).toHaveLength(2);
  expect(beside.b![0]).toBe('On the bench with Ada (bench laptop), 12 min ago');
  expect(Object.keys(beside)).toContain('__proto__');
});
