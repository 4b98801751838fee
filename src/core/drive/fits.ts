import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { SET_BRAKES, type SetBrake } from '../setup/kinds';
import { row, type Judged, type WorkingRow } from '../verdict';
import { bodies, chains } from './data/fits';

const mm = (least: number, most: number) => z.optional(z.number().check(z.gte(least), z.lte(most)));
const one = (ids: readonly string[]) =>
  z.optional(z.string().check(z.refine((id) => ids.includes(id), { error: `one of: ${ids.join(', ')}` })));

const input = z.strictObject({
  cogs: z.number().check(z.multipleOf(1), z.gte(1), z.lte(14)),
  smallestCog: z.optional(z.number().check(z.multipleOf(1), z.gte(7), z.lte(70))),
  chain: one(chains.map(({ id }) => id)),
  body: one(bodies.map(({ id }) => id)),
  frameMm: mm(60, 220).check(z.describe('between the rear ends')),
  hubMm: mm(60, 220).check(z.describe('over its locknuts')),
  isSteel: z._default(z.boolean(), false).check(z.describe('a steel frame gives a little')),
  ringLineMm: mm(20, 80).check(z.describe('middle of the rings from the middle of the frame')),
  cogLineMm: mm(20, 80).check(z.describe('middle of the cogs from the middle of the hub')),
  lever: z.optional(z.enum(['short', 'long'])).check(z.describe('how much cable the brake lever pulls')),
  brake: z.optional(z.enum(SET_BRAKES)),
});
type Question = z.output<typeof input>;

const VERDICTS = ['works', 'marginal', 'no'] as const;
type Verdict = (typeof VERDICTS)[number];
export interface FitFinding {
  what: 'chain' | 'body' | 'axle' | 'chain-line' | 'lever';
  verdict: Verdict;
  words: string;
}
export interface DriveFits extends Judged<Verdict> {
  findings: FitFinding[];
}

/** Ends that differ by so much go together by hand; a steel frame gives so far. */
const AXLE_MM = { works: 1, steel: 4 };
/** A chain runs aslant by so much unheard; beyond it wears and rattles; a chain of one cog bears less. */
const LINE_MM = { many: { works: 3, marginal: 6 }, one: { works: 2, marginal: 4 } };
/** Brakes by the pull of cable that they want; a cable disc is made for either. */
const WANTS: Partial<Record<SetBrake, 'short' | 'long'>> = {
  caliper: 'short',
  cantilever: 'short',
  drum: 'short',
  'direct-pull': 'long',
};

function chainFinding({ chain, cogs }: Question): FitFinding | null {
  const made = chains.find(({ id }) => id === chain);
  if (!made) return null;
  const of = cogs === 1 ? 'one cog' : `${cogs} cogs`;
  if (made.works.includes(cogs)) return { what: 'chain', verdict: 'works', words: `The chain is made for ${of}.` };
  return made.marginal.includes(cogs)
    ? { what: 'chain', verdict: 'marginal', words: made.words! }
    : { what: 'chain', verdict: 'no', words: `That chain does not run on ${of}: ${made.label.toLowerCase()}.` };
}

function bodyFinding({ body, cogs, smallestCog }: Question): FitFinding | null {
  const mount = bodies.find(({ id }) => id === body);
  if (!mount) return null;
  if (smallestCog !== undefined && smallestCog < mount.smallestCog)
    return { what: 'body', verdict: 'no', words: `No cog under ${mount.smallestCog} teeth goes on such a body.` };
  if (mount.spacer.includes(cogs)) return { what: 'body', verdict: 'works', words: mount.words! };
  if (!mount.works.includes(cogs)) return { what: 'body', verdict: 'no', words: `It does not take ${cogs} cogs.` };
  // What is said of a spacer is said to those who need one.
  const words = mount.spacer.length > 0 ? null : mount.words;
  return { what: 'body', verdict: 'works', words: words ?? 'The body takes them.' };
}

function axleFinding({ frameMm, hubMm, isSteel }: Question): FitFinding | null {
  if (frameMm === undefined || hubMm === undefined) return null;
  const apart = Math.abs(frameMm - hubMm);
  const words = `The ends stand ${roundTo(apart, 1)} mm ${hubMm > frameMm ? 'too near for' : 'too wide for'} the hub`;
  if (atLeast(AXLE_MM.works, apart)) return { what: 'axle', verdict: 'works', words: 'The hub goes between the ends.' };
  return isSteel && atLeast(AXLE_MM.steel, apart)
    ? { what: 'axle', verdict: 'marginal', words: `${words}: a steel frame is set cold by who has the tools for it.` }
    : { what: 'axle', verdict: 'no', words: `${words}: never forced, and never bent where it is not steel.` };
}

function lineFinding({ ringLineMm, cogLineMm, cogs }: Question): FitFinding | null {
  if (ringLineMm === undefined || cogLineMm === undefined) return null;
  const apart = Math.abs(ringLineMm - cogLineMm);
  const limits = cogs === 1 ? LINE_MM.one : LINE_MM.many;
  const words = `Rings and cogs stand ${roundTo(apart, 1)} mm out of line`;
  if (atLeast(limits.works, apart)) return { what: 'chain-line', verdict: 'works', words: `${words}: that runs.` };
  return {
    what: 'chain-line',
    verdict: atLeast(limits.marginal, apart) ? 'marginal' : 'no',
    words: `${words}: another spindle, spacers, or a dished cog.`,
  };
}

function leverFinding({ lever, brake }: Question): FitFinding | null {
  const wants = brake && WANTS[brake];
  if (lever === undefined || wants === undefined) return null;
  return lever === wants
    ? { what: 'lever', verdict: 'works', words: 'Lever and brake belong together by their pull.' }
    : {
        what: 'lever',
        verdict: 'no',
        words:
          wants === 'long'
            ? 'This brake wants a lever that pulls much cable: a short one comes to the bar.'
            : 'This brake wants a lever that pulls little: a long one hardly presses.',
      };
}

/**
 * Whether the rest goes together: chain and cogs by width, cogs and what holds them, hub and frame, rings and cogs by
 * their line, lever and brake by their pull. What nobody has said is not judged.
 *
 * Ends within 1 mm; a steel frame within 4 is set by who has the tools. Chain line within 3 mm runs, within 6 just; 2 and 4 for a single
 * cog. Units: mm, teeth. Errors: a chain or a body that the tables have not. Source: the tables of chains and bodies (ISO sizes, workshop
 * consensus). Example: eleven cogs on a body for eight to ten: no.
 */
export const driveFits = defineCalculator({
  id: 'drive.fits',
  title: 'Will chain, body, axle, chain line and levers go together',
  example: { cogs: 9, chain: '9', body: 'splined', frameMm: 130, hubMm: 130 },
  input,
  run(question): DriveFits {
    const findings = [chainFinding, bodyFinding, axleFinding, lineFinding, leverFinding].flatMap(
      (find) => find(question) ?? [],
    );
    const verdict =
      VERDICTS.toReversed().find((each) => findings.some((finding) => finding.verdict === each)) ?? 'works';
    const worst = findings.filter((finding) => finding.verdict === verdict).map(({ words }) => words);
    const working: WorkingRow[] = [
      ...(question.frameMm !== undefined && question.hubMm !== undefined
        ? [row('a', 'hub less frame', roundTo(question.hubMm - question.frameMm, 1), 'mm')]
        : []),
      ...(question.ringLineMm !== undefined && question.cogLineMm !== undefined
        ? [row('l', 'rings less cogs', roundTo(question.ringLineMm - question.cogLineMm, 1), 'mm')]
        : []),
    ];
    return { findings, verdict, reasons: worst.length > 0 ? worst : ['Nothing is said yet.'], working };
  },
});
