/** Brings a line of a list into sight and to the keyboard, once it is drawn. */
export function goToLine(id: string): void {
  requestAnimationFrame(() => {
    const line = document.getElementById(id);
    line?.scrollIntoView?.({ block: 'center' });
    line?.focus({ preventScroll: true });
  });
}
