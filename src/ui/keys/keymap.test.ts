import { DRAWING_KEYS, isLetterKey, KEYMAP, rowFor, SCOPES, written, type Scope, type Stroke } from './keymap';

const stroke = (key: string, changes: Partial<Stroke> = {}): Stroke => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...changes,
});

/** Scopes that listen at the same time. */
const TOGETHER: Scope[][] = [
  ['everywhere', 'floor'],
  ['everywhere', 'bicycle', 'look-over'],
  ['everywhere', 'bicycle', 'bearing'],
  ['everywhere', 'practice'],
  ['everywhere', 'bench'],
];

describe('the keymap', () => {
  test('no two keys collide where both are heard', () => {
    for (const scopes of TOGETHER) {
      const keys = KEYMAP.filter((row) => scopes.includes(row.scope)).flatMap((row) => row.keys);
      expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
    }
  });
  test('every scope is among those that are tried together, but for the drawing, which hears by itself', () => {
    expect(SCOPES.filter((scope) => !TOGETHER.flat().includes(scope))).toEqual(['drawing']);
    expect(DRAWING_KEYS.length).toBeGreaterThan(0);
  });
  test('digits belong to readings and are never keys', () => {
    expect(KEYMAP.flatMap((row) => row.keys).filter((key) => /\d|[.,]/.test(key))).toEqual([]);
  });
  test('single letters can be switched off, everything else stays', () => {
    expect(rowFor(stroke('f'), ['everywhere', 'bicycle', 'look-over'], true)?.id).toBe('found-nothing');
    expect(rowFor(stroke('f'), ['everywhere', 'bicycle', 'look-over'], false)).toBeNull();
    expect(rowFor(stroke('z', { ctrlKey: true }), ['everywhere'], false)?.id).toBe('undo');
    expect(rowFor(stroke('Z', { metaKey: true, shiftKey: true }), ['everywhere'], false)?.id).toBe('redo');
    expect(rowFor(stroke(' '), ['everywhere', 'bench'], false)?.id).toBe('step-done');
    expect(isLetterKey('Space')).toBe(false);
  });
  test('a key means what its innermost scope says, and nothing with Alt', () => {
    expect(rowFor(stroke('/'), ['everywhere', 'floor'], true)?.id).toBe('search');
    expect(rowFor(stroke('/'), ['everywhere', 'bicycle'], true)?.id).toBe('find-place');
    expect(rowFor(stroke('k', { ctrlKey: true, altKey: true }), ['everywhere'], true)).toBeNull();
    expect(written(stroke('K', { ctrlKey: true }))).toBe('Mod+k');
  });
});
