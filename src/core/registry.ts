import type { Calculator } from './calculator';
import * as subjects from './subjects';

type Subject = (typeof subjects)[keyof typeof subjects];
type Registered = Subject['calculators'][number];

/** Every calculator; the command line and the HTTP route know no other list, and the worker's subjects are held against it. */
export const registry: readonly Registered[] = Object.values(subjects).flatMap(({ calculators }) => [...calculators]);

const byId = new Map<string, Calculator>(
  registry.map((calculator) => [calculator.id, calculator as unknown as Calculator]),
);

/** The calculator with this id, or undefined. */
export function calculator(id: string): Calculator | undefined {
  return byId.get(id);
}

/** All ids in their order. */
export function calculatorIds(): string[] {
  return [...byId.keys()];
}
