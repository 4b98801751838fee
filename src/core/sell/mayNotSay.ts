/** What a seller may not say of a used bicycle, whoever wrote it: it promises what nobody can know. */
const NEVER = [
  'safe',
  'safely',
  'safety',
  'safest',
  'like new',
  'as new',
  'good as new',
  'brand new',
  'mint',
  'perfect',
  'flawless',
  'faultless',
  'guaranteed',
  'never crashed',
  'accident free',
  'accident-free',
] as const;

const plain = (text: string) =>
  ` ${text
    .normalize('NFKC')
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')} `;
const PATTERNS = NEVER.map((words) => ({ words, plain: plain(words) }));

/**
 * The first thing in a text that a seller may not say, or null. Words count whole, whatever stands between them. Errors: none.
 * Example: "rides like  NEW" → "like new"; "unsafe" → null.
 */
export function mayNotSay(text: string): string | null {
  const said = plain(text);
  return PATTERNS.find((each) => said.includes(each.plain))?.words ?? null;
}
