/** Which way the spring of a derailleur pulls: usually to the smallest cog; reversed, to the largest. */
export type Spring = 'normal' | 'reversed';

const QUARTERS: Record<number, string> = {
  1: 'a quarter turn',
  2: 'half a turn',
  3: 'three quarters of a turn',
  4: 'a whole turn',
};

/** Quarter turns in words. Example: 0.5 → "half a turn"; 1.75 → "1¾ turns". */
export function quarters(turns: number): string {
  const count = Math.round(Math.abs(turns) * 4);
  const said = QUARTERS[count];
  if (said) return said;
  const rest = ['', '¼', '½', '¾'][count % 4]!;
  return `${Math.floor(count / 4)}${rest} turns`;
}

/** More than a barrel has: the cable is clamped anew instead. */
const BARREL_TURNS = 2.5;

/**
 * What to do with the barrel, in words: towards the larger cogs is more tension, where the spring pulls to the smaller ones.
 * Example: +0.5 → "Half a turn of the barrel out: more tension, towards the larger cogs."
 */
export function turnWords(turns: number, spring: Spring): string {
  const toLarger = turns > 0;
  const more = toLarger === (spring === 'normal');
  const way = toLarger ? 'towards the larger cogs' : 'towards the smaller cogs';
  const words = quarters(turns);
  const said = `${words.charAt(0).toUpperCase()}${words.slice(1)} of the barrel ${more ? 'out: more' : 'in: less'} tension, ${way}.`;
  return Math.abs(turns) > BARREL_TURNS
    ? `${said} That is much for a barrel: clamp the cable anew with it mid-way.`
    : said;
}
