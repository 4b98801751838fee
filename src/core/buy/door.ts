import { appliesTo, type BicycleKind } from '../bicycle';
import type { Range } from '../fields';
import { doorChecks, type DoorCheckRow } from './data/doorChecks';
import { leadAnswers } from './data/leadAnswers';

export type DoorAnswer = 'fine' | 'bad';

/** What the workshop's other bicycles have taught about one line of the door check. */
export interface DoorHistory {
  looked: number;
  bad: number;
  /** Minutes that were really put down at the place of a bad one, a bicycle each. */
  minutes: number[];
}

export interface DoorLine {
  id: string;
  label: string;
  chance: number;
  parts: Range;
  minutes: Range;
  answer: DoorAnswer | null;
  /** How many of the workshop's own bicycles have corrected it. */
  learntFrom: number;
  /** What the seller said that makes it more or less likely. */
  why: string[];
}

/** How many bicycles of its own the table's figures count for. */
const TABLE_WEIGHS = 8;
const MINUTES_WEIGH = 4;

/** The lines of the door check that speak of a bicycle, in the order in which a hand goes over it. */
export function doorChecksFor(kind: BicycleKind): DoorCheckRow[] {
  return doorChecks.filter((line) => appliesTo(kind, line.applies));
}

/**
 * A chance from the table, corrected by what the workshop found: (w·p + bad)/(w + looked) with w = 8.
 * Example: `correctedChance(0.25, 8, 8)` is 0.625.
 */
export function correctedChance(chance: number, looked: number, bad: number): number {
  return (TABLE_WEIGHS * chance + bad) / (TABLE_WEIGHS + looked);
}

/**
 * Minutes from the table, corrected by real ones: the likely moves to the weighted mean (the table counts for four), low and
 * high are stretched to hold it and the real ones that lay outside.
 * Example: `correctedMinutes({ low: 20, likely: 60, high: 100 }, [140])` is 20, 76, 140.
 */
export function correctedMinutes(range: Range, real: number[]): Range {
  if (real.length === 0) return range;
  const likely =
    (MINUTES_WEIGH * range.likely + real.reduce((sum, each) => sum + each, 0)) / (MINUTES_WEIGH + real.length);
  return {
    low: Math.min(range.low, likely, ...real),
    likely: Math.round(likely * 10) / 10,
    high: Math.max(range.high, likely, ...real),
  };
}

/** What a seller said, by question: where it was kept, whether it was ridden indoors or crashed, when it was last ridden. */
export type LeadSaid = Readonly<Partial<Record<string, string>>>;

/**
 * A chance moved by what the seller said: its odds are multiplied by those of every answer that speaks of the line.
 * Example: a chance of 0.1 with odds of 3 is 0.25.
 */
export function chanceGiven(chance: number, line: string, said: LeadSaid): { chance: number; why: string[] } {
  const rows = leadAnswers.filter((row) => row.line === line && said[row.question] === row.answer);
  if (rows.length === 0 || chance <= 0 || chance >= 1) return { chance, why: [] };
  const odds = rows.reduce((product, row) => product * row.odds, chance / (1 - chance));
  return { chance: odds / (1 + odds), why: rows.map((row) => row.why) };
}

/**
 * The door check as cost lines: what is bad is certain, what nobody looked at has its chance, what is fine costs nothing and
 * stands with a chance of nought, so that tapping it again moves no other line.
 *
 * `own` are ranges a person has put in the table's stead. Units: minor units, minutes.
 */
export function doorLines(
  kind: BicycleKind,
  answers: Readonly<Record<string, DoorAnswer>>,
  history: Readonly<Record<string, DoorHistory>> = {},
  own: Readonly<Record<string, { parts: Range; minutes: Range }>> = {},
  said: LeadSaid = {},
): DoorLine[] {
  return doorChecksFor(kind).map((line) => {
    const learnt = history[line.id];
    const answer = answers[line.id] ?? null;
    const unseen = chanceGiven(
      learnt ? correctedChance(line.chance, learnt.looked, learnt.bad) : line.chance,
      line.id,
      said,
    );
    const parts = { low: line.partsLowMinor, likely: line.partsLikelyMinor, high: line.partsHighMinor };
    const minutes = { low: line.minutesLow, likely: line.minutesLikely, high: line.minutesHigh };
    return {
      id: line.id,
      label: line.fault,
      chance: answer === 'bad' ? 1 : answer === 'fine' ? 0 : unseen.chance,
      parts: own[line.id]?.parts ?? parts,
      minutes: own[line.id]?.minutes ?? correctedMinutes(minutes, learnt?.minutes ?? []),
      answer,
      learntFrom: learnt?.looked ?? 0,
      why: answer === null ? unseen.why : [],
    };
  });
}
