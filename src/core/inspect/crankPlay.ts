import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { row, type Judged } from '../verdict';

const arm = z.enum(['firm', 'loose']);

const input = z.strictObject({
  left: arm,
  right: arm,
  crankType: z._default(z.enum(['square-taper', 'cottered', 'pinch-bolt', 'one-piece', 'other']), 'square-taper'),
});

export interface CrankPlay extends Judged<'sound' | 'adjust-bearing' | 'arm-fixing'> {
  cause: 'none' | 'bottom-bracket' | 'left-arm' | 'right-arm';
}

const FIXING = {
  'square-taper':
    'The bolt is loose and the square hole is probably ruined: look for a bright, belled hole before tightening; a hole that has worked is not saved by torque.',
  cottered: 'The cotter has worked: press it out and look for a step in its flat; renew the pair and press them home.',
  'pinch-bolt': 'Look at both pinch bolts and at the small safety plate between them: its peg must sit in the spindle.',
  'one-piece':
    'Arm and spindle are one forging: a single loose arm means a crack or a slack locknut. Stop and look closely.',
  other: 'Look at how this arm is held, tighten it as its paper says, and feel again.',
} as const;

/**
 * Where the play at the cranks comes from: hold the frame and push each arm in and out.
 *
 * Both arms loose → the bottom bracket; one loose → that arm's fixing, whichever its kind.
 *
 * Errors: anything but firm or loose. Source: workshop consensus.
 * Example: left loose, right firm → the left arm, not the bottom bracket.
 */
function run({ left, right, crankType }: z.output<typeof input>): CrankPlay {
  const working = [row('l', 'left arm', left), row('r', 'right arm', right)];
  if (left === 'firm' && right === 'firm') {
    return { cause: 'none', verdict: 'sound', reasons: ['Both arms are firm.'], working };
  }
  if (left === 'loose' && right === 'loose') {
    return {
      cause: 'bottom-bracket',
      verdict: 'adjust-bearing',
      reasons: [
        'Both arms move together, so it is the bearing between them: adjust the bottom bracket, or renew it if it is a closed unit.',
        ...(crankType === 'one-piece' ? [FIXING['one-piece']] : []),
      ],
      working,
    };
  }
  const side = left === 'loose' ? 'left' : 'right';
  const reasons = [
    `Only the ${side} arm moves, so it is that arm's fixing and not the bottom bracket.`,
    FIXING[crankType],
  ];
  return { cause: side === 'left' ? 'left-arm' : 'right-arm', verdict: 'arm-fixing', reasons, working };
}

export const inspectCrankPlay = defineCalculator({
  id: 'inspect.crankPlay',
  title: 'Play at the cranks',
  example: { left: 'loose', right: 'firm', crankType: 'square-taper' },
  input,
  run,
});
