import { pressable } from './pressable';

test('every action on the page is found by its own words, once, and pressing it presses the button', () => {
  document.body.innerHTML = `
    <header><button>Elsewhere</button></header>
    <main>
      <button aria-label="Cancel: Tue 1 Dec">Cancel</button>
      <button> Print the
        estimate </button>
      <button>Print the estimate</button>
      <button disabled>Not now</button>
      <button aria-hidden="true">Ghost</button>
    </main>`;
  const found = pressable(document);
  expect(found.map(({ label }) => label)).toEqual(['Cancel: Tue 1 Dec', 'Print the estimate']);
  const heard = jest.fn();
  document.querySelectorAll('main button')[1]!.addEventListener('click', heard);
  found[1]!.run();
  expect(heard).toHaveBeenCalledTimes(1);
});
