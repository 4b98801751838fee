/** Where a key is heard. What is heard everywhere is heard in every other scope too. */
export const SCOPES = [
  'everywhere',
  'floor',
  'bicycle',
  'look-over',
  'bearing',
  'practice',
  'drawing',
  'bench',
] as const;
export type Scope = (typeof SCOPES)[number];

export interface KeyRow {
  id: KeyId;
  scope: Scope;
  /** `Mod` is Ctrl, or ⌘ where the machine has it. Digits never stand here: they belong to readings. */
  keys: string[];
  words: string;
}

export type KeyId =
  | 'palette'
  | 'shortcuts'
  | 'undo'
  | 'redo'
  | 'gauges'
  | 'search'
  | 'add'
  | 'find-place'
  | 'stage-before'
  | 'stage-after'
  | 'to-bench'
  | 'note'
  | 'closer'
  | 'found-nothing'
  | 'skip'
  | 'mark-watch'
  | 'mark-service'
  | 'mark-replace'
  | 'mark-unsafe'
  | 'next-place'
  | 'look-photo'
  | 'step-done'
  | 'step-back'
  | 'step-leave'
  | 'leave-bench'
  | 'ball-more'
  | 'ball-less'
  | 'bench-photo'
  | 'feel-loose'
  | 'feel-tick'
  | 'feel-smooth'
  | 'feel-tight'
  | 'cone-open'
  | 'cone-tighten'
  | 'cone-open-far'
  | 'cone-tighten-far'
  | 'cone-lock'
  | 'skewer'
  | 'spin'
  | 'rock'
  | 'round-done';

/** Every key of the application. A test holds that no two collide where both are heard. */
export const KEYMAP: readonly KeyRow[] = [
  { id: 'palette', scope: 'everywhere', keys: ['Mod+k'], words: 'Find anything and go there' },
  { id: 'shortcuts', scope: 'everywhere', keys: ['?'], words: 'These keys' },
  { id: 'undo', scope: 'everywhere', keys: ['Mod+z'], words: 'Take the last change back' },
  { id: 'redo', scope: 'everywhere', keys: ['Mod+Shift+z', 'Mod+y'], words: 'Do it again' },
  { id: 'gauges', scope: 'everywhere', keys: ['g'], words: 'The gauge drawer: what is it?' },
  { id: 'search', scope: 'floor', keys: ['/'], words: 'Search the floor' },
  { id: 'add', scope: 'floor', keys: ['a'], words: 'Add a bicycle' },
  { id: 'find-place', scope: 'bicycle', keys: ['/'], words: 'Find a place on the drawing' },
  { id: 'stage-before', scope: 'bicycle', keys: ['['], words: 'The stage before' },
  { id: 'stage-after', scope: 'bicycle', keys: [']'], words: 'The stage after' },
  { id: 'to-bench', scope: 'bicycle', keys: ['b'], words: 'Bench mode' },
  { id: 'note', scope: 'bicycle', keys: ['n'], words: 'A note on the place at hand' },
  { id: 'closer', scope: 'bicycle', keys: ['z'], words: 'Closer, or the whole bicycle' },
  {
    id: 'found-nothing',
    scope: 'look-over',
    keys: ['f'],
    words: 'Fine: looked at the place, found nothing; on to the next',
  },
  { id: 'mark-watch', scope: 'look-over', keys: ['w'], words: 'Watch: this check, by eye' },
  { id: 'mark-service', scope: 'look-over', keys: ['s'], words: 'Service: this check, by eye' },
  { id: 'mark-replace', scope: 'look-over', keys: ['r'], words: 'Replace: this check, by eye' },
  { id: 'mark-unsafe', scope: 'look-over', keys: ['u'], words: 'Unsafe: this check, by eye' },
  { id: 'next-place', scope: 'look-over', keys: ['Enter'], words: 'The next place' },
  { id: 'look-photo', scope: 'look-over', keys: ['p'], words: 'Photograph the place' },
  { id: 'skip', scope: 'look-over', keys: ['x'], words: 'Skip: it stays not looked at' },
  { id: 'feel-loose', scope: 'bearing', keys: ['l'], words: 'It feels loose' },
  { id: 'feel-tick', scope: 'bearing', keys: ['t'], words: 'It feels: a tick of play' },
  { id: 'feel-smooth', scope: 'bearing', keys: ['o'], words: 'It feels smooth, without play' },
  { id: 'feel-tight', scope: 'bearing', keys: ['h'], words: 'It feels hard: tight' },
  { id: 'cone-open', scope: 'practice', keys: ['ArrowLeft'], words: 'Open the cone a little' },
  { id: 'cone-tighten', scope: 'practice', keys: ['ArrowRight'], words: 'Tighten it a little' },
  { id: 'cone-open-far', scope: 'practice', keys: ['PageDown'], words: 'Open it by more' },
  { id: 'cone-tighten-far', scope: 'practice', keys: ['PageUp'], words: 'Tighten it by more' },
  { id: 'cone-lock', scope: 'practice', keys: ['l'], words: 'Lock or unlock the locknut' },
  { id: 'skewer', scope: 'practice', keys: ['c'], words: 'Close or open the skewer' },
  { id: 'spin', scope: 'practice', keys: ['Space'], words: 'Spin the wheel' },
  { id: 'rock', scope: 'practice', keys: ['r'], words: 'Rock the rim' },
  { id: 'round-done', scope: 'practice', keys: ['Enter'], words: 'It is right: score it' },
  {
    id: 'step-done',
    scope: 'bench',
    keys: ['Space', 'ArrowRight', 'PageDown'],
    words: 'Done, next step (a foot switch)',
  },
  { id: 'step-back', scope: 'bench', keys: ['ArrowLeft', 'PageUp'], words: 'The step before' },
  { id: 'step-leave', scope: 'bench', keys: ['u'], words: 'Leave it unsigned, and go on' },
  { id: 'leave-bench', scope: 'bench', keys: ['Escape'], words: 'Leave the bench; it opens here again' },
  { id: 'ball-more', scope: 'bench', keys: ['+', '='], words: 'One more ball' },
  { id: 'ball-less', scope: 'bench', keys: ['-'], words: 'One ball less' },
  { id: 'bench-photo', scope: 'bench', keys: ['p'], words: 'Photograph this step' },
];

/** Keys that the drawing hears by itself, told on the page of keys. */
export const DRAWING_KEYS = [
  { keys: ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'], words: 'The nearest place in that direction' },
  { keys: ['Enter', 'Space'], words: 'Open the place' },
] as const;

export interface Stroke {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  shiftKey: boolean;
  altKey: boolean;
}

/** A key as the table writes it. Example: Ctrl and z is `Mod+z`, the space bar is `Space`. */
export function written(stroke: Stroke): string {
  const mod = stroke.ctrlKey || stroke.metaKey;
  const name = stroke.key === ' ' ? 'Space' : stroke.key.length === 1 ? stroke.key.toLowerCase() : stroke.key;
  if (!mod) return name;
  return `Mod+${stroke.shiftKey ? 'Shift+' : ''}${name}`;
}

/** Whether a key is a single letter, which may be switched off. */
export function isLetterKey(key: string): boolean {
  return /^[a-z]$/.test(key);
}

/** The row that a key means in the scopes that listen, the innermost first; null where it means nothing. */
export function rowFor(stroke: Stroke, scopes: readonly Scope[], letterKeys: boolean): KeyRow | null {
  if (stroke.altKey) return null;
  const key = written(stroke);
  if (!letterKeys && isLetterKey(key)) return null;
  for (const scope of [...scopes].reverse()) {
    const row = KEYMAP.find((each) => each.scope === scope && each.keys.includes(key));
    if (row) return row;
  }
  return null;
}

const KEY_WORDS: Record<string, string> = {
  Space: 'Space',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageUp: 'Page up',
  PageDown: 'Page down',
  Escape: 'Esc',
};

/** A key as it is printed on the page of keys. */
export function keyWords(key: string): string {
  return key
    .split('+')
    .map((part, i, all) =>
      part === '' && i === all.length - 1
        ? '+'
        : part === 'Mod'
          ? 'Ctrl'
          : (KEY_WORDS[part] ?? (part.length === 1 ? part.toUpperCase() : part)),
    )
    .filter((part, i, all) => !(part === '+' && all[i - 1] === '+'))
    .join(' ');
}
