import { createShelf, KEPT_MS, MOST_PARCEL_BYTES } from './shelf';

function shelf() {
  let now = 0;
  let n = 0;
  const made = createShelf({
    nowMs: () => now,
    randomBytes: (count) => Uint8Array.from({ length: count }, () => (n = (n * 31 + 17) % 251)),
  });
  return { made, pass: (ms: number) => (now += ms) };
}
const data = (size = 3) => new Uint8Array(size).fill(7);

describe('the shelf between two devices', () => {
  test('a parcel is fetched once, by its code as it is read out', () => {
    const { made } = shelf();
    const put = made.put(data());
    if (!put.ok) throw new Error('refused');
    expect(put.code).toMatch(/^[2-9A-HJ-NP-Z]{8}$/);
    const spoken = `${put.code.slice(0, 4).toLowerCase()} - ${put.code.slice(4)}`;
    expect(made.take(spoken, 'phone')).toEqual({ ok: true, data: data() });
    expect(made.take(put.code, 'phone')).toEqual({ ok: false, why: 'unknown' });
  });
  test('after ten minutes it is gone', () => {
    const { made, pass } = shelf();
    const put = made.put(data());
    pass(KEPT_MS);
    expect(made.take(put.ok ? put.code : '', 'phone')).toEqual({ ok: false, why: 'unknown' });
  });
  test('what is too large is refused, and so is more than the shelf holds', () => {
    const { made } = shelf();
    expect(made.put(data(MOST_PARCEL_BYTES + 1))).toEqual({ ok: false, why: 'too-large' });
    for (let i = 0; i < 3; i++) expect(made.put(data(MOST_PARCEL_BYTES)).ok).toBe(true);
    expect(made.put(data(MOST_PARCEL_BYTES))).toEqual({ ok: false, why: 'full' });
  });
  test('guessing ends soon, for whoever guesses', () => {
    const { made, pass } = shelf();
    const put = made.put(data());
    for (let i = 0; i < 10; i++) expect(made.take('WRONG', 'guesser')).toEqual({ ok: false, why: 'unknown' });
    const code = put.ok ? put.code : '';
    expect(made.take(code, 'guesser')).toEqual({ ok: false, why: 'too-many-tries' });
    pass(61_000);
    expect(made.take(code, 'guesser').ok).toBe(true);
  });
  test('a thousand guessers do not shut out the honest one, nor one who mistyped once before', () => {
    const { made } = shelf();
    const put = made.put(data());
    made.take('MISTYPED', 'early');
    for (let i = 0; i < 1000; i++) made.take('WRONG', `guesser ${i % 100}`);
    expect(made.take('WRONG', 'guesser 1')).toEqual({ ok: false, why: 'too-many-tries' });
    expect(made.take(put.ok ? put.code : '', 'phone').ok).toBe(true);
  });
  test('callers with ever new names are not remembered without an end', () => {
    const { made } = shelf();
    for (let i = 0; i < 5000; i++) made.take('WRONG', `name ${i}`);
    const put = made.put(data());
    expect(made.take(put.ok ? put.code : '', 'phone').ok).toBe(true);
  });
});
