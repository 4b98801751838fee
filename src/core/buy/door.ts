import { appliesTo, type BicycleKind } from '../bicycle';
import type { Range } from '../fields';
import { doorChecks, type DoorCheckRow } from './data/doorChecks';
import type { LearntInUse } from '../money/learnt';
import { own as ownOf } from '../own';
import { leadAnswers } from './data/leadAnswers';

export type DoorAnswer = 'fine' | 'bad';

export interface DoorLine {
  id: string;
  label: string;
  chance: number;
  parts: Range;
  minutes: Range;
  answer: DoorAnswer | null;
  /** How often it was found on how many of the workshop's own, where that is used; null where the table's chance is. */
  learnt: { seen: number; cases: number } | null;
  /** What the seller said that makes it more or less likely. */
  why: string[];
}

/** The lines of the door check that speak of a bicycle, in the order in which a hand goes over it. */
export function doorChecksFor(kind: BicycleKind): DoorCheckRow[] {
  return doorChecks.filter((line) => appliesTo(kind, line.applies));
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
 * `own` are ranges a person has put in the table's stead, `learnt` chances that the workshop's own bicycles taught and that are used. Units: minor units, minutes.
 */
export function doorLines(
  kind: BicycleKind,
  answers: Readonly<Record<string, DoorAnswer>>,
  learnt: LearntInUse['chances'] = {},
  own: Readonly<Record<string, { parts: Range; minutes: Range }>> = {},
  said: LeadSaid = {},
): DoorLine[] {
  return doorChecksFor(kind).map((line) => {
    const found = ownOf(learnt, line.id) ?? null;
    const answer = answers[line.id] ?? null;
    const unseen = chanceGiven(found ? found.chance : line.chance, line.id, said);
    const parts = { low: line.partsLowMinor, likely: line.partsLikelyMinor, high: line.partsHighMinor };
    const minutes = { low: line.minutesLow, likely: line.minutesLikely, high: line.minutesHigh };
    return {
      id: line.id,
      label: line.fault,
      chance: answer === 'bad' ? 1 : answer === 'fine' ? 0 : unseen.chance,
      parts: own[line.id]?.parts ?? parts,
      minutes: own[line.id]?.minutes ?? minutes,
      answer,
      learnt: found && { seen: found.seen, cases: found.cases },
      why: answer === null ? unseen.why : [],
    };
  });
}
