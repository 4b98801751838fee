import * as z from 'zod/mini';
import { BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import { holds } from '../conditions';
import { buildFacts, buildInput } from './buildFacts';
import { compoundFor, rebuildCompound, type CompoundAnswer } from './compound';
import { jointRows } from './data/joints';
import { materialAt } from './jointMaterials';
import { COMPOUND_WORDS, COMPOUNDS, type Compound, type Joint } from './joints';

const input = z.extend(buildInput, {
  brief: z._default(z.enum(BRIEFS), 'rideable'),
  taper: z._default(z.enum(['dry', 'greased']), 'greased'),
  used: z
    ._default(z.record(z.string().check(z.maxLength(60)), z.enum(COMPOUNDS)), {})
    .check(z.describe('what went into a joint, by its id, as far as it was said')),
  cameLoose: z._default(z.array(z.string().check(z.maxLength(60))).check(z.maxLength(60)), []),
});
export type JointsInput = z.input<typeof input>;

/** One joint of a bicycle: what is planned for it, what went in, and whether that may stay. */
export interface JointHere {
  id: string;
  joint: Joint;
  place: string;
  label: string;
  a: string;
  b: string;
  planned: CompoundAnswer;
  used: Compound | null;
  /** Null while nothing is said, or where it is as planned. */
  verdict: 'as-planned' | 'differs' | 'never' | null;
  words: string;
}

function judged(planned: CompoundAnswer, used: Compound | null): Pick<JointHere, 'verdict' | 'words'> {
  if (used === null) return { verdict: null, words: '' };
  if (used === planned.compound) return { verdict: 'as-planned', words: 'As planned.' };
  if (planned.never.includes(used))
    return {
      verdict: 'never',
      words: `Never ${COMPOUND_WORDS[used].toLowerCase()} here: ${planned.reasons[0]!} Take it apart and clean it off.`,
    };
  return { verdict: 'differs', words: `${COMPOUND_WORDS[planned.compound]} was planned.` };
}

/**
 * The joints of a bicycle with what goes between, by `rebuild.compound`, and what did as far as it was said.
 * Errors: an unknown kind. Source: the tables of joints and of compounds. Example: a carbon post with grease on record: never.
 */
export const rebuildJoints = defineCalculator({
  id: 'rebuild.joints',
  title: 'What goes between at every joint of a bicycle',
  example: { kind: { postMaterial: 'carbon' }, used: { 'seat-post': 'grease' } },
  input,
  run(build): { joints: JointHere[] } {
    const facts = buildFacts(build);
    const cogsOn = facts.cogs ?? build.kind.cogsOn;
    return {
      joints: jointRows
        .filter((row) => row.applies === null || holds(row.applies, { ...facts, cogsOn }))
        .map(({ id, joint, place, label, a, b }) => {
          const materials = { a: materialAt(a, build.kind), b: materialAt(b, build.kind) };
          const planned = compoundFor(
            rebuildCompound.input.parse({
              joint,
              ...materials,
              brief: build.brief,
              rules: { squareTaper: build.taper },
              cameLoose: build.cameLoose.includes(id),
            }),
          );
          const used = build.used[id] ?? null;
          return { id, joint, place, label, ...materials, planned, used, ...judged(planned, used) };
        }),
    };
  },
});
