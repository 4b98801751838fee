import { memoryBrowser } from '../../tests/memoryBrowser';
import { attended } from './attended';

function watched() {
  const { database } = memoryBrowser();
  const told: string[] = [];
  const answers = new Map<string, () => void>();
  database.readSetting = (key: string) => new Promise((resolve) => answers.set(key, () => resolve(key)));
  const { database: asked, leave } = attended(
    database,
    { silent: () => told.push('silent'), answers: () => told.push('answers') },
    1000,
  );
  return { asked, leave, told, answer: (key: string) => answers.get(key)!() };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('an answer in time is handed on and nothing is said', async () => {
  const { asked, told, answer } = watched();
  const reading = asked.readSetting('a');
  await jest.advanceTimersByTimeAsync(900);
  answer('a');
  expect(await reading).toBe('a');
  await jest.advanceTimersByTimeAsync(5000);
  expect(told).toEqual([]);
});

test('one that is overdue is told once, and again once it has come', async () => {
  const { asked, told, answer } = watched();
  const reading = asked.readSetting('a');
  await jest.advanceTimersByTimeAsync(5000);
  expect(told).toEqual(['silent']);
  answer('a');
  expect(await reading).toBe('a');
  expect(told).toEqual(['silent', 'answers']);
});

test('as long as another is overdue it is not said that it answers', async () => {
  const { asked, told, answer } = watched();
  const both = [asked.readSetting('a'), asked.readSetting('b')];
  await jest.advanceTimersByTimeAsync(2000);
  answer('a');
  await both[0];
  expect(told).toEqual(['silent', 'silent']);
  answer('b');
  await both[1];
  expect(told).toEqual(['silent', 'silent', 'answers']);
});

test('a refusal is handed on as it is, and a page that leaves is told nothing more', async () => {
  const { asked, leave, told } = watched();
  const { database } = memoryBrowser();
  database.full = true;
  const full = attended(database, { silent: () => undefined, answers: () => undefined }).database;
  await expect(full.writeSetting('a', 1)).rejects.toThrow('QuotaExceededError');
  void asked.readSetting('a');
  leave();
  await jest.advanceTimersByTimeAsync(9000);
  expect(told).toEqual([]);
});
