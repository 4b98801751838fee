const MOST = 200;

/** What can be pressed on the page as it stands, by its own words: every action is found, also one that has no key. */
export function pressable(root: ParentNode): { id: string; label: string; run(): void }[] {
  const seen = new Set<string>();
  return [...root.querySelectorAll<HTMLElement>('main button:not([disabled]), main a.MuiButton-root')]
    .flatMap((button) => {
      const label = (button.getAttribute('aria-label') ?? button.textContent).replaceAll(/\s+/g, ' ').trim();
      if (label === '' || seen.has(label) || button.getAttribute('aria-hidden') === 'true') return [];
      seen.add(label);
      return [{ id: label, label, run: () => button.click() }];
    })
    .slice(0, MOST);
}
