const parts = (text: string) => text.split(/[\s,;/–-]+/).filter(Boolean);

/** Numbers of teeth out of what was typed, smallest first. Example: "48/34" → [34, 48]. */
export const readTeeth = (text: string): number[] =>
  parts(text)
    .map(Number)
    .toSorted((a, b) => a - b);

/** Why what was typed is no list of teeth, in words; null where it is one, or is empty. */
export function refuseTeeth(text: string, most: number): string | null {
  const words = parts(text);
  if (words.length === 0) return null;
  if (words.some((word) => !/^\d+$/.test(word))) return 'whole numbers, as 48, 34';
  if (words.length > most) return `at most ${most}`;
  if (words.some((word) => Number(word) < 7 || Number(word) > 70)) return '7 to 70 teeth';
  return null;
}
