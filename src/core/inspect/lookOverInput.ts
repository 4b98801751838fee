import * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind, BRIEFS } from '../bicycle';
import { evidence } from './evidence';
import { SEEN_AS } from './seenAs';

const id = z.string().check(z.maxLength(64));
const moment = z.iso.datetime();
/** When something was found out, and by whom. */
const heard = { at: z.optional(moment), by: z.optional(z.string().check(z.maxLength(120))) };
const seenAs = z._default(z.enum(SEEN_AS), 'bought');
const list = <Row extends z.ZodMiniType>(row: Row, words: string) =>
  z._default(z.array(row).check(z.maxLength(1000)), []).check(z.describe(words));
const named = z._default(z.record(id, id), {});

/** Everything that any stage knows of how a bicycle is: what is asked of the look-over. */
export const lookOverInput = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  brief: z._default(z.enum(BRIEFS), 'rideable'),
  rules: z.prefault(houseRules, {}),
  frontBrakeHand: z._default(z.enum(['left', 'right', 'either']), 'either'),
  today: z._default(z.nullable(z.iso.date()), null).check(z.describe('for what grows old; null leaves age unjudged')),
  now: z._default(z.enum(SEEN_AS), 'bought').check(z.describe('how far the bicycle is')),
  found: z
    .array(z.strictObject({ check: id, evidence, seenAs, id: z.optional(id), stage: z.optional(id), ...heard }))
    .check(
      z.maxLength(400),
      z.describe(
        'in the order in which it was seen; of a check named twice the last counts, and what was unsafe stands',
      ),
    ),
  door: list(
    z.strictObject({ line: id, answer: z.enum(['fine', 'bad']), ...heard }),
    'what was tapped at the door, by the lines of the door check',
  ),
  tests: list(
    z.strictObject({ complaint: id, test: id, outcome: id, seenAs, ...heard }),
    'tests made to find the cause of a complaint',
  ),
  parts: list(
    z.strictObject({ place: id, part: id, mark: z.enum(['missing', 'wrong', 'worn']), ...heard }),
    'parts that were marked in their trays',
  ),
  bearings: list(
    z.strictObject({ place: id, when: z.enum(['before', 'inside', 'after']), evidence, ...heard }),
    'what was felt and seen at the bearings on the bench',
  ),
  loose: list(
    z.strictObject({ bolt: id, ...heard }),
    'bolts that the torque round found loose and tightened, oldest first',
  ),
  chosen: named.check(z.describe('assembly by place, where one was found')),
  said: named.check(z.describe('answers of the seller, by question')),
  mended: z
    ._default(z.array(z.strictObject({ place: id, at: moment })).check(z.maxLength(400)), [])
    .check(
      z.describe('when a job at a place was done: what is seen later stands in the stead of all that was seen before'),
    ),
  ended: z
    ._default(
      z
        .array(
          z.strictObject({
            check: id,
            how: z.enum(['removed', 'cleared']),
            by: z.string().check(z.maxLength(80)),
            on: z.iso.date(),
            paper: z._default(z.string().check(z.maxLength(500)), ''),
            at: z.optional(moment),
          }),
        )
        .check(z.maxLength(400)),
      [],
    )
    .check(
      z.describe(
        'what ended something unsafe, later than it was seen: the part gone, or cleared by a qualified person',
      ),
    ),
});
export type LookOverQuestion = z.output<typeof lookOverInput>;
export type LookOverAsked = z.input<typeof lookOverInput>;
