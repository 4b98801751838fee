import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { holds } from '../conditions';
import { buildFacts, buildInput } from './buildFacts';
import { preparationRows } from './data/preparations';

export interface Preparation {
  place: string;
  title: string;
  how: string;
  /** Where it stops: what is not gone past. */
  stop: string;
  /** Cutting and pressing that one slip ruins is for whoever has the tool and has learnt it. */
  qualified: boolean;
}

/**
 * What is done to the seats of a bicycle before its parts go in: threads chased by hand, faces looked at, bearings pressed on
 * their outer ring, each with its stop rule. Errors: an unknown kind. Source: the table of preparations (workshop consensus).
 * Example: disc mounts are looked at with a trace of marker, and faced by a qualified hand.
 */
export const rebuildPrepare = defineCalculator({
  id: 'rebuild.prepare',
  title: 'What is done to the seats before parts go in',
  example: { kind: { brakes: 'disc' } },
  input: z.extend(buildInput, {}),
  run(build): { preparations: Preparation[] } {
    const facts = buildFacts(build);
    return {
      preparations: preparationRows
        .filter((row) => row.when === null || holds(row.when, facts))
        .map(({ place, title, how, stop, qualified }) => ({ place, title, how, stop, qualified })),
    };
  },
});
