import { callerOf, isOwnHost, refusedCaller } from './callers';

const headers = (given: Record<string, string>) => new Headers({ host: '127.0.0.1:4730', ...given });

afterEach(() => {
  delete process.env.ERGASTO_HOSTS;
});

describe('names that are answered to', () => {
  test.each(['127.0.0.1', '127.0.0.1:4730', 'localhost:4730', 'LOCALHOST', '[::1]:4730', '[::1]'])('%s', (host) => {
    expect(isOwnHost(host)).toBe(true);
  });
  test.each(['hall.example', '127.0.0.1.hall.example', 'localhost.hall.example:4730', '0.0.0.0', '', '127.0.0.1@x'])(
    'not %j',
    (host) => {
      expect(isOwnHost(host)).toBe(false);
    },
  );
  test('none at all is none of ours', () => {
    expect(isOwnHost(null)).toBe(false);
  });
  test('others only where they were told, with or without a port', () => {
    process.env.ERGASTO_HOSTS = ' hall.example , bench.example:8443 ';
    for (const host of ['hall.example', 'hall.example:443', 'bench.example:8443']) expect(isOwnHost(host)).toBe(true);
    expect(isOwnHost('other.example')).toBe(false);
  });
});

describe('who may ask', () => {
  test('a program without an origin, and a page of ours', () => {
    expect(refusedCaller(headers({}))).toBeNull();
    expect(refusedCaller(headers({ origin: 'http://127.0.0.1:4730', 'sec-fetch-site': 'same-origin' }))).toBeNull();
    expect(refusedCaller(headers({ 'sec-fetch-site': 'none' }))).toBeNull();
  });
  test.each([
    { origin: 'http://elsewhere.example' },
    { origin: 'http://127.0.0.1:4731' },
    { origin: 'http://localhost:4730' },
    { origin: 'null' },
    { origin: 'nonsense' },
    { 'sec-fetch-site': 'cross-site' },
    { 'sec-fetch-site': 'same-site' },
    { host: 'elsewhere.example', origin: 'http://elsewhere.example' },
  ])('not one with %j', (given) => {
    expect(refusedCaller(headers(given as unknown as Record<string, string>))).toMatch(/^[A-Z].*\.$/);
  });
  test('a caller is told by where it comes from, however long that is', () => {
    expect(callerOf(headers({ 'x-forwarded-for': '10.0.0.7' }))).toBe('10.0.0.7');
    expect(callerOf(headers({}))).toBe('here');
    expect(callerOf(headers({ 'x-forwarded-for': 'x'.repeat(9000) })).length).toBeLessThan(300);
  });
});
