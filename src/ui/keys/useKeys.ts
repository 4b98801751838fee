'use client';
import { useEffect, useRef, type RefObject } from 'react';
import { KEYMAP, rowFor, type KeyId, type Scope } from './keymap';

export type KeyHandlers = Partial<Record<KeyId, () => void>>;

/** Whoever hears keys now, the page first and what lies over it last. */
const listening = new Set<{ scopes: readonly Scope[]; latest: RefObject<KeyHandlers> }>();

/** Everything that a key would do here and now, in the words of the page of keys. */
export function heardNow(): { id: KeyId; words: string; run(): void }[] {
  return KEYMAP.flatMap((row) => {
    const hears = [...listening].findLast(
      ({ scopes, latest }) => scopes.includes(row.scope) && latest.current[row.id] !== undefined,
    );
    return hears ? [{ id: row.id, words: row.words, run: () => hears.latest.current[row.id]?.() }] : [];
  });
}

/** Where typing goes into a field, a key is text. */
function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.isContentEditable ||
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) &&
      !/^(checkbox|radio|button|range|file)$/.test((target as HTMLInputElement).type))
  );
}

function rowsOf(id: KeyId): Scope | undefined {
  return KEYMAP.find((row) => row.id === id)?.scope;
}

/** What is heard even in a field: the palette anywhere, undo where nothing is being typed that could be undone. */
function heardInField(id: KeyId, field: HTMLInputElement): boolean {
  if (id === 'palette') return true;
  // An empty reading field takes digits; a letter there is a key of the look-over.
  if (rowsOf(id) === 'look-over' || rowsOf(id) === 'bearing')
    return field.dataset.reading !== undefined && field.value === '';
  return (
    (id === 'undo' || id === 'redo') && field.dataset.reading !== undefined && field.dataset.drafting === undefined
  );
}

/** Keys that a control under the focus needs for itself. */
function belongsToControl(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement || target instanceof SVGElement)) return false;
  if (target instanceof HTMLInputElement && target.dataset.reading !== undefined && target.value === '') return false;
  if (key === ' ' || key === 'Enter')
    return target.closest('button, a, summary, [role="button"], input, label') !== null;
  return (
    key.startsWith('Arrow') &&
    target.closest('[role="slider"], input[type="range"], [data-place], [role="listbox"], [role="menu"]') !== null
  );
}

/**
 * Hears the keys of some scopes and calls what they mean. While a dialog is open only what stands in it is heard.
 * `own` lets Space reach its handler even where a button has the focus, as a foot switch needs.
 */
export function useKeys(scopes: readonly Scope[], handlers: KeyHandlers, letterKeys: boolean, own = false): void {
  const latest = useRef(handlers);
  useEffect(() => {
    latest.current = handlers;
  });
  const heard = scopes.join(' ');
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent): void {
      if (event.defaultPrevented) return;
      const row = rowFor(event, heard.split(' ') as Scope[], letterKeys);
      const handler = row && latest.current[row.id];
      if (!row || !handler) return;
      if (isTyping(event.target) && !(event.target instanceof HTMLInputElement && heardInField(row.id, event.target)))
        return;
      if (!own && belongsToControl(event.target, event.key)) return;
      if (document.querySelector('[role="dialog"]') && row.id !== 'leave-bench') return;
      event.preventDefault();
      handler();
    }
    const hears = { scopes: heard.split(' ') as Scope[], latest };
    listening.add(hears);
    document.addEventListener('keydown', onKeyDown);
    return () => {
      listening.delete(hears);
      document.removeEventListener('keydown', onKeyDown);
    };
  }, [heard, letterKeys, own]);
}
