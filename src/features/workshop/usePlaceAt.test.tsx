import { act, renderHook } from '@testing-library/react';
import { usePlaceAt } from './usePlaceAt';

let address = '';
jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(address) }));

function opened() {
  window.history.replaceState(null, '', '/?id=b');
  address = window.location.search;
  const { result, rerender } = renderHook(() => usePlaceAt());
  return {
    place: () => result.current[0],
    go: (place: string | null) => act(() => result.current[1](place)),
    /** The page hears of its address a little later than it is written. */
    follow(search = window.location.search) {
      address = search;
      rerender();
    },
  };
}

test('a place is there at once, and its address follows without taking it back', () => {
  const at = opened();
  at.go('stem');
  expect(at.place()).toBe('stem');
  const first = window.location.search;
  at.go('saddle');
  at.follow(first);
  expect(at.place()).toBe('saddle');
  at.follow();
  expect(at.place()).toBe('saddle');
  expect(window.location.search).toContain('tray=saddle');
});

test('the way back of the browser closes it, also after the address has skipped what lay between', () => {
  const at = opened();
  at.go('stem');
  at.follow();
  at.go(null);
  at.go('stem');
  at.follow();
  expect(at.place()).toBe('stem');
  at.follow('?id=b');
  expect(at.place()).toBeNull();
});

test('what is no place opens none', () => {
  const at = opened();
  at.follow('?id=b&tray=constructor');
  expect(at.place()).toBeNull();
});
