import type { Calculator } from './calculator';
import { calculators as bearings } from './bearings/calculators';
import { calculators as buy } from './buy/calculators';
import { calculators as clean } from './clean/calculators';
import { calculators as decide } from './decide/calculators';
import { calculators as identify } from './identify/calculators';
import { calculators as inspect } from './inspect/calculators';
import { calculators as money } from './money/calculators';
import { calculators as practice } from './practice/calculators';
import { calculators as prove } from './prove/calculators';
import { calculators as rebuild } from './rebuild/calculators';
import { calculators as strip } from './strip/calculators';

/** Every calculator; the command line and the HTTP route know no other list, and the worker's subjects are held against it. */
export const registry = [
  ...money,
  ...buy,
  ...inspect,
  ...decide,
  ...identify,
  ...strip,
  ...clean,
  ...bearings,
  ...rebuild,
  ...prove,
  ...practice,
] as const;

type Registered = (typeof registry)[number];
export type CalculatorId = Registered['id'];

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
