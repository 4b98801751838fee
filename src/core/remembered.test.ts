import { remembered } from './remembered';

test('what was asked of late is reckoned once; the oldest of more than are kept is reckoned anew', () => {
  const reckon = jest.fn(({ n }: { n: number }) => ({ twice: 2 * n }));
  const ask = remembered(reckon, 2);
  expect([1, 1, 2].map((n) => ask({ n }).twice)).toEqual([2, 2, 4]);
  expect(reckon).toHaveBeenCalledTimes(2);
  ask({ n: 3 });
  expect(ask({ n: 2 }).twice).toBe(4);
  expect(reckon).toHaveBeenCalledTimes(3);
  expect(ask({ n: 1 }).twice).toBe(2);
  expect(reckon).toHaveBeenCalledTimes(4);
});
