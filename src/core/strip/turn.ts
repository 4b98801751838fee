import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { FASTENERS, STANDARDS, threadHands, type ThreadHandRow } from './data/threadHands';

const input = z.strictObject({
  fastener: z.enum(FASTENERS),
  side: z._default(z.nullable(z.enum(['left', 'right'])), null).check(z.describe('of the bicycle, seen by its rider')),
  action: z.enum(['loosen', 'tighten']),
  standard: z._default(z.nullable(z.enum(STANDARDS)), null).check(z.describe('of the bottom bracket thread')),
  from: z._default(z.enum(['outside', 'inside']), 'outside').check(z.describe('where the tool goes on')),
});

export type TurnInput = z.input<typeof input>;
type Question = z.output<typeof input>;
type Rotation = 'clockwise' | 'anticlockwise';

export interface Turn {
  hand: 'right' | 'left' | 'unknown';
  rotation: Rotation | 'unknown';
  spannerUpMoves: 'front' | 'rear' | null;
  words: string;
}

function matching({ fastener, side, standard }: Question): ThreadHandRow[] {
  return threadHands.filter(
    (line) =>
      line.fastener === fastener &&
      (side === null ? line.onlyIfAsked === null : line.side === null || line.side === side) &&
      (standard === null || line.standard === null || line.standard === standard),
  );
}

const flipped = (rotation: Rotation): Rotation => (rotation === 'clockwise' ? 'anticlockwise' : 'clockwise');

/** From the right side the front of the bicycle lies to the right, so the top of a clockwise turn goes to the front. */
function topMoves(side: 'left' | 'right', rotationFromOutside: Rotation): 'front' | 'rear' {
  return (side === 'right') === (rotationFromOutside === 'clockwise') ? 'front' : 'rear';
}

/**
 * Which way a fastener turns: hand of its thread, rotation as seen from where the tool goes on, and which way the
 * spanner moves when it stands up from the axle: told only of what is turned on the bicycle, since a wheel in the hands has
 * neither front nor rear. Working from inside turns the rotation, not the movement.
 *
 * Errors: an unknown fastener. A drive-side cup of no known standard is unknown: identify it first.
 * Source: the thread hand table (ISO 6695, ISO 6696, ISO 6698, BS 811, workshop consensus).
 * Example: both pedals leave the crank with the spanner up and pushed to the rear.
 */
function run(question: Question): Turn {
  const rows = matching(question);
  const hands = new Set(rows.map((line) => line.hand));
  const [line] = rows;
  if (!line || hands.size !== 1) return unknownTurn(question);

  const sides = new Set(rows.map((found) => found.side));
  const side = question.side ?? (sides.size === 1 ? line.side : null);
  const fromOutside: Rotation =
    (line.hand === 'right') === (question.action === 'tighten') ? 'clockwise' : 'anticlockwise';
  const rotation = question.from === 'inside' ? flipped(fromOutside) : fromOutside;
  const spannerUpMoves = line.axis === 'across' && side ? topMoves(side, fromOutside) : null;
  return { hand: line.hand, rotation, spannerUpMoves, words: wordsFor(question, line, side, rotation, spannerUpMoves) };
}

/** The only side on which a fastener is found, or null when it is found on both. */
function onlySide(fastener: Question['fastener']): 'left' | 'right' | null {
  const sides = new Set(threadHands.filter((line) => line.fastener === fastener).map((line) => line.side));
  return sides.size === 1 ? [...sides][0]! : null;
}

function unknownTurn({ fastener, side }: Question): Turn {
  const usual = onlySide(fastener);
  const what = fastener.replaceAll('-', ' ');
  const cup = fastener === 'bottom-bracket-cup' || fastener === 'bottom-bracket-lockring';
  return {
    hand: 'unknown',
    rotation: 'unknown',
    spannerUpMoves: null,
    words:
      usual !== null && side !== null
        ? `A ${what} sits on the ${usual} side: look which fastener this is before turning it.`
        : cup && side !== 'left'
          ? `Identify the thread before anyone heaves: a drive-side ${what} is left-handed in some standards and right-handed in others.`
          : `Say which side first: the left and the right ${what} are not the same.`,
  };
}

function wordsFor(
  question: Question,
  line: ThreadHandRow,
  side: 'left' | 'right' | null,
  rotation: Rotation,
  moves: 'front' | 'rear' | null,
): string {
  const seen =
    question.fastener === 'pedal-body'
      ? 'seen from the spindle end'
      : `seen from where the tool goes on${side && line.axis.startsWith('across') ? ` (${side} side, from ${question.from})` : ''}`;
  const push = moves ? ` Spanner up: push it to the ${moves}.` : '';
  const verb = question.action === 'loosen' ? 'Loosens' : 'Tightens';
  return `${line.hand === 'left' ? 'Left-hand thread' : 'Right-hand thread'}. ${verb} ${rotation}, ${seen}.${push} ${line.note}.`;
}

export const stripTurn = defineCalculator({
  id: 'strip.turn',
  title: 'Which way does it turn',
  example: { fastener: 'pedal', side: 'left', action: 'loosen' },
  input,
  run,
});
