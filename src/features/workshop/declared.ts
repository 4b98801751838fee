'use client';
import { createContext, lazy, use, type ComponentType, type LazyExoticComponent } from 'react';
import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import type { Trays } from '@/core/strip/trays';
import type { TurnInput } from '@/core/strip/turn';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { STAGES, type Stage } from '@/model/stages';
import type { BenchTask } from '@/model/work/part';
import type { Question } from './askOnce';
import type { StageProps } from './WorkshopProvider';

/** What lies round a bicycle that a subject may need for its question. */
export interface Around {
  settings: WorkshopSettings;
  today: string;
}

/** What the shell knows of a bicycle, whatever the subject; null until it is reckoned. */
export interface Known {
  settings: WorkshopSettings;
  lookOver: LookOver | null;
  /** How it comes apart. */
  trays: Trays | null;
}

/** A place that is opened within a stage, and the way to another. */
export interface AtPlace {
  place: string | null;
  onPlace(place: string | null): void;
  /** Whether a note is about to be written. */
  noting: boolean;
}

export type StageViewProps = StageProps & AtPlace & { lookOver: LookOver | null };

/** Something that comes when it is opened, and may be fetched before. */
export interface Later<Props extends object> {
  View: LazyExoticComponent<ComponentType<Props>>;
  fetch(): void;
}
export function later<Props extends object>(load: () => Promise<ComponentType<Props>>): Later<Props> {
  return {
    View: lazy(async () => ({ default: await load() })),
    fetch: () => void load().catch(() => undefined),
  };
}

/** A stage of the work, as the shell shows it. */
export interface DeclaredStage {
  id: Stage;
  label: string;
  /** Work at the bicycle: the drawing leads, the clock runs. */
  atStand: boolean;
  view: Later<StageViewProps>;
  /** The task that the bench opens with, and whether the stage offers it itself. */
  bench: { task: BenchTask; offered: 'by the sheet' | 'by the stage' };
  /** The place that a tap on the drawing opens within the stage, or null where the sheet tells of it. */
  opens?(place: string, known: Known): string | null;
  /** With a place open its part fills the sheet, in this form. */
  atHand?: 'section' | 'exploded';
  /** Notes of a place are written in the stage itself. */
  notesItself?: boolean;
  /** Time falls on the place that is open. */
  timesPlace?: boolean;
  /** What it may cost stays out of sight. */
  hushed?(bicycle: Bicycle, address: URLSearchParams, isPhone: boolean): boolean;
  /** What is printed has a drawing of its own. */
  printsItself?: boolean;
}

/** What a subject asks the worker for the shell; a shell asks for all subjects at once. */
export interface Asks<Id extends CalculatorId> {
  id: Id;
  of(bicycle: Bicycle, around: Around): QuestionOf<Id>;
}

/** Signs on the drawing, as a subject lays them. */
export interface Overlay<Id extends CalculatorId = never> {
  asks?: Asks<Id>;
  /** `laid` are the places that have a sign already; another sign replaces it. */
  signs(
    bicycle: Bicycle,
    known: Known & { stage: Stage; answer: AnswerOf<Id> | null },
    laid: ReadonlySet<string>,
  ): PlacedSign[];
}

/** At which stages a subject lays signs; they come when one of these is opened. */
export interface DeclaredOverlay {
  at: readonly Stage[];
  load(): Promise<Overlay>;
}

/** The beads of a place's thread, in the order of the work. */
export const BEADS = ['look', 'off', 'clean', 'inspect', 'set', 'back', 'tighten', 'prove'] as const;

/** One bead of the thread of a place: what was, is or will be done there, and the stage that it leads to. */
export interface Bead {
  id: (typeof BEADS)[number];
  words: string;
  state: 'done' | 'under way' | 'ahead';
  stage: Stage;
  /** The place that is open there; null leads to the stage as a whole. */
  place: string | null;
}

/** What a subject tells of a place in its thread. */
export interface ThreadPart<Id extends CalculatorId = never> {
  asks?: Asks<Id>;
  beads(bicycle: Bicycle, known: Known & { place: string; answer: AnswerOf<Id> | null }): Bead[];
}

/** One step as the bench shows it, whatever the job. */
export interface BenchStep {
  id: string;
  place: string;
  title: string;
  /** The figure or word that is to be read from two metres. */
  large: string | null;
  aside: string | null;
  tool: string | null;
  forget: string | null;
  turn: TurnInput | null;
  /** What is counted at this step, and the way to put another number down. */
  tally: { label: string; count: number | null; put(count: number | null): Command } | null;
  /** In which form the part of the place is drawn, and what of it is at hand; null draws nothing. */
  drawn: { form: 'section' | 'exploded'; hand: readonly string[] } | null;
  /** Where its photographs lie, where that is not under its own id. */
  photosOf: string | null;
  /** Where much is asked the hand is near the screen, and what it asks must fit beneath the title. */
  asksMuch: boolean;
  done: boolean;
  /** What it asked for and was never given, in words, once it is done; null where nothing is wanting. */
  leftEmpty: string | null;
  /** What has to be there before the step can be called done, in words. */
  waitsFor: string | null;
  /** What it is called to go on all the same, by a key of its own; null where what is waited for cannot be left. */
  mayLeave: string | null;
  /** What is recorded when the step is done with one tap; null where going on records nothing. */
  finish: Command | ((hand: { at: string; by: string }) => Command) | null;
}

/** What a step has unless it says otherwise. */
export const NO_STEP = {
  large: null,
  aside: null,
  tool: null,
  forget: null,
  turn: null,
  tally: null,
  drawn: null,
  photosOf: null,
  asksMuch: false,
  waitsFor: null,
  mayLeave: null,
  leftEmpty: null,
  finish: null,
} satisfies Partial<BenchStep>;

export type StepProps<Answer> = StageProps & { step: BenchStep; answer: Answer; lookOver: LookOver | null };

/** What a subject gives to a task of the bench: steps, and what they ask. */
export interface BenchPart<Id extends CalculatorId = never> {
  asks?: Asks<Id>;
  steps(bicycle: Bicycle, known: Known & { answer: AnswerOf<Id> | null; place: string }): BenchStep[];
  /** What the task is at, beside its name. */
  of?(answer: AnswerOf<Id>, place: string): string | null;
  Ask?: ComponentType<StepProps<AnswerOf<Id>>>;
}

/** A task of the bench. Where several subjects have steps for one, they follow one another in the order of the subjects. */
export interface DeclaredTask {
  id: BenchTask;
  label: string;
  /** The stage that it belongs to, and to which its hours fall. */
  stage: Stage;
  timedAs?: Stage;
  /** It is done at one place at a time. */
  byPlace: boolean;
  /** Leaving it leads to its place, and not to the stage as a whole. */
  toPlace?: boolean;
  /** What an empty task says. */
  empty?: string;
}

export type PlaceProps = StageProps & { place: string; lookOver: LookOver | null };

/** A drawing of its own for a place that is open, instead of its parts. */
export interface DeclaredDrawing {
  at: readonly Stage[];
  of(place: string, bicycle: Bicycle): boolean;
  view: Later<{ bicycle: Bicycle; place: string }>;
}

/** What a subject gives to the shells: the bicycle page, its drawing, the bench and the place card. */
export interface Declared {
  stage?: DeclaredStage;
  /** A few words under a stage; empty where there is nothing to say. */
  notes?: Partial<Record<Stage, (bicycle: Bicycle, known: Known) => string>>;
  overlays?: readonly DeclaredOverlay[];
  tasks?: readonly DeclaredTask[];
  /** Its steps in tasks, its own or another's; they come when the bench is opened. */
  bench?: Partial<Record<BenchTask, () => Promise<BenchPart<never>>>>;
  /** What stands at the foot of every bench. */
  benchFoot?: Later<{ bicycle: Bicycle }>;
  /** What it knows of a place. */
  place?: Later<PlaceProps>;
  drawings?: readonly DeclaredDrawing[];
  /** Its beads in the thread of a place; they come when a place is opened. */
  thread?(): Promise<ThreadPart>;
}

/** Types an overlay by the calculator that it asks. */
export const defineOverlay = <Id extends CalculatorId = never>(overlay: Overlay<Id>) => overlay as unknown as Overlay;

/** Types a part of the thread by the calculator that it asks. */
export const defineThread = <Id extends CalculatorId = never>(part: ThreadPart<Id>) => part as unknown as ThreadPart;

/** Types a part of the bench by the calculator that it asks. */
export const defineBench = <Id extends CalculatorId = never>(part: BenchPart<Id>) =>
  part as unknown as BenchPart<never>;

/** The question of a part, or null where it asks nothing. */
export function questionOf(asks: Asks<never> | undefined, bicycle: Bicycle, around: Around): Question | null {
  return asks ? { id: asks.id, input: asks.of(bicycle, around) } : null;
}

/** Subjects in the order of their stages; those without one come after. */
export function inOrder(subjects: readonly Declared[]): Declared[] {
  const rank = ({ stage }: Declared) => (stage ? STAGES.indexOf(stage.id) : STAGES.length);
  return subjects.toSorted((a, b) => rank(a) - rank(b));
}

export const DeclaredContext = createContext<readonly Declared[]>([]);

/** All that the subjects declare, in the order of the work. */
export const useDeclared = (): readonly Declared[] => use(DeclaredContext);

/** The stages in the order of the work. */
export function useStages(): DeclaredStage[] {
  const declared = useDeclared().flatMap(({ stage }) => stage ?? []);
  return STAGES.flatMap((id) => declared.find((stage) => stage.id === id) ?? []);
}

/** The word for a stage. */
export function useStageLabel(): (stage: Stage) => string {
  const stages = useStages();
  return (id) => stages.find((stage) => stage.id === id)?.label ?? id;
}

/** The tasks of the bench. */
export function useTasks(): DeclaredTask[] {
  return useDeclared().flatMap(({ tasks }) => tasks ?? []);
}
