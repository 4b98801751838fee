import { clockMinutes, IDLE_MINUTES, isIdle } from './clock';

const at = (time: string) => Date.parse(`2026-11-25T${time}:00.000Z`);

describe('hours that keep themselves', () => {
  const evening = { startedAtMs: at('19:00'), activeAtMs: at('19:25') };
  test('a clock left alone for over ten minutes is idle, and not before', () => {
    expect(isIdle(evening, at('19:35'))).toBe(false);
    expect(isIdle(evening, at('19:36'))).toBe(true);
    expect(IDLE_MINUTES).toBe(10);
  });
  test('it counts until now, or until somebody was last seen', () => {
    expect(clockMinutes(evening, at('20:00'), 'now')).toBe(60);
    expect(clockMinutes(evening, at('20:00'), 'seen')).toBe(25);
  });
  test('a pause is never counted, neither one that lasts nor one that is over', () => {
    const paused = { ...evening, pausedAtMs: at('19:30') };
    expect(clockMinutes(paused, at('20:30'), 'now')).toBe(30);
    expect(clockMinutes({ ...evening, pausedMs: 20 * 60_000 }, at('20:30'), 'now')).toBe(70);
    expect(clockMinutes({ ...paused, pausedMs: 10 * 60_000 }, at('23:00'), 'now')).toBe(20);
    expect(isIdle(paused, at('23:00'))).toBe(false);
  });
  test('a machine whose time was set back takes nothing away', () => {
    expect(clockMinutes(evening, at('18:00'), 'now')).toBe(0);
  });
});
