import { uniformStream } from '../money/streams';

/** What is really the matter with a derailleur of the practice room. */
export const TROUBLES = ['tension', 'friction', 'hanger'] as const;
export type Trouble = (typeof TROUBLES)[number];

export type Shifted = 'fails' | 'slow' | 'crisp' | 'noisy' | 'skips';

/** A derailleur nobody sees into. Sizes in mm, + towards the larger cogs. */
export interface HiddenDerailleur {
  cogs: number;
  seed: number;
  trouble: Trouble;
  offsetMm: number;
  /** How far the largest cog is missed when the middle one is right. */
  leanMm: number;
  dragMm: number;
  barrelMmPerTurn: number;
  goodMm: number;
  poorMm: number;
  /** Share of shifts that the hand misjudges by one. */
  misjudged: number;
}

const between = (next: () => number, low: number, high: number) => low + (high - low) * next();
const eitherSide = (next: () => number, low: number, high: number) =>
  (next() < 0.5 ? -1 : 1) * between(next, low, high);

/**
 * A derailleur that is out, drawn by its seed: by its cable alone, by friction, or by a hanger that leans. `rough` is one whose bands and
 * barrel are not those of the book.
 */
export function hiddenDerailleur(
  seed: number,
  { rough = false, cogs }: { rough?: boolean; cogs?: number } = {},
): HiddenDerailleur {
  const next = uniformStream(seed, rough ? 'derailleur, rough' : 'derailleur');
  const lot = next();
  const trouble: Trouble = lot < 0.6 ? 'tension' : lot < 0.8 ? 'friction' : 'hanger';
  return {
    cogs: cogs ?? 7 + Math.floor(next() * 5),
    seed,
    trouble,
    offsetMm: trouble === 'tension' ? eitherSide(next, 0.5, 2.1) : between(next, -0.5, 0.5),
    leanMm: trouble === 'hanger' ? eitherSide(next, 0.75, 1.6) : between(next, -0.06, 0.06),
    dragMm: trouble === 'friction' ? between(next, 0.5, 0.95) : between(next, 0, 0.16),
    barrelMmPerTurn: rough ? between(next, 0.95, 1.45) : 1.2,
    goodMm: rough ? between(next, 0.34, 0.48) : 0.4,
    poorMm: rough ? between(next, 0.75, 1.1) : 0.9,
    misjudged: rough ? 0.07 : 0.05,
  };
}

/** How far beyond its cog the chain is pushed, seen along its own way: short is below nought. */
export function beyond(hidden: HiddenDerailleur, turns: number, gear: number, isToLarger: boolean): number {
  const lean = hidden.cogs > 1 ? hidden.leanMm * ((2 * (gear - 1)) / (hidden.cogs - 1) - 1) : 0;
  const stands = hidden.offsetMm + turns * hidden.barrelMmPerTurn + lean;
  return (isToLarger ? stands : -stands) - hidden.dragMm;
}

const SCALE: readonly Shifted[] = ['fails', 'slow', 'crisp', 'noisy', 'skips'];

/** How a shift goes, before any hand has felt it. */
export function goes(hidden: HiddenDerailleur, turns: number, gear: number, isToLarger: boolean): Shifted {
  const by = beyond(hidden, turns, gear, isToLarger);
  if (Math.abs(by) <= hidden.goodMm) return 'crisp';
  const isFar = Math.abs(by) > hidden.poorMm;
  return by < 0 ? (isFar ? 'fails' : 'slow') : isFar ? 'skips' : 'noisy';
}

/** One shift as a hand judges it: now and then off by one. The same shift of the same round is judged alike. */
export function feltAs(
  hidden: HiddenDerailleur,
  turns: number,
  round: number,
  gear: number,
  isToLarger: boolean,
): Shifted {
  const truly = SCALE.indexOf(goes(hidden, turns, gear, isToLarger));
  const next = uniformStream(hidden.seed, `shift ${round} ${gear} ${isToLarger}`);
  if (next() >= hidden.misjudged) return SCALE[truly]!;
  const to = truly === 0 ? 1 : truly === SCALE.length - 1 ? truly - 1 : truly + (next() < 0.5 ? -1 : 1);
  return SCALE[to]!;
}

/** Whether every gear takes both ways as the barrel stands. */
export function isCrisp(hidden: HiddenDerailleur, turns: number): boolean {
  for (let gear = 1; gear <= hidden.cogs; gear++) {
    if (gear > 1 && goes(hidden, turns, gear, true) !== 'crisp') return false;
    if (gear < hidden.cogs && goes(hidden, turns, gear, false) !== 'crisp') return false;
  }
  return true;
}

/** The derailleurs of the practice room. */
export const DERAILLEUR_LEVELS = [
  { id: 'derailleur-7', title: 'A derailleur, seven cogs', cogs: 7, rough: false },
  { id: 'derailleur-9', title: 'A derailleur, nine cogs', cogs: 9, rough: false },
  { id: 'derailleur-11', title: 'A worn derailleur, eleven cogs', cogs: 11, rough: true },
] as const;
export type DerailleurLevel = (typeof DERAILLEUR_LEVELS)[number];

/** What somebody says of a derailleur in the end: it is set, or something else is the matter. */
export const ANSWERS = ['set', 'friction', 'hanger'] as const;
export type Answered = (typeof ANSWERS)[number];

export interface DerailleurScore {
  total: number;
  right: boolean;
  words: string;
}

const TRULY: Record<Trouble, string> = {
  tension: 'It was out by its cable alone.',
  friction: 'It was friction in the cable and its outer.',
  hanger: 'The hanger leant.',
};

/**
 * Points of a hundred for a derailleur: nothing for the wrong answer, nor for one that is not crisp throughout; eight off for each
 * setting of the barrel beyond the first. Where the barrel was never what was wrong, each setting costs eight.
 * Example: set after two settings → 92.
 */
export function scoreDerailleur(
  hidden: HiddenDerailleur,
  turns: number,
  settings: number,
  said: Answered,
): DerailleurScore {
  const isBarrel = hidden.trouble === 'tension';
  const right = isBarrel ? said === 'set' && isCrisp(hidden, turns) : said === hidden.trouble;
  const over = Math.max(0, settings - (isBarrel ? 1 : 0));
  const total = right ? Math.max(20, 100 - 8 * over) : 0;
  const words = right
    ? `${TRULY[hidden.trouble]} ${settings === 1 ? 'One setting' : `${settings} settings`} of the barrel.`
    : `${TRULY[hidden.trouble]}${isBarrel && said === 'set' ? ' Some gear does not take yet.' : ''}`;
  return { total, right, words };
}
