import type * as z from 'zod/mini';
import type { registry } from './registry';

type Registered = (typeof registry)[number];
type Of<Id extends CalculatorId> = Extract<Registered, { id: Id }>;

/** The ids of all calculators. Types alone: no table comes along. */
export type CalculatorId = Registered['id'];

/** What a calculator is asked. Example: `QuestionOf<'strip.turn'>`. */
export type QuestionOf<Id extends CalculatorId> = z.input<Of<Id>['input']>;

/** What it answers. */
export type AnswerOf<Id extends CalculatorId> = ReturnType<Of<Id>['run']>;
