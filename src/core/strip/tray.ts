import { own } from '../own';
import type { BicycleKind } from '../bicycle';
import type { Assembly, AssemblyPart, AssemblyStep } from './assembly';
import type { TurnInput } from './turn';

export type { Assembly, AssemblyPart, AssemblyStep } from './assembly';

/** The row of balls that a part is, or null. Example: `balls.inner` → `inner`. */
export function ballRowOf(part: string): string | null {
  return part.startsWith('balls.') ? part.slice('balls.'.length) : null;
}

const ROWS: Record<string, string> = {
  left: 'Left side',
  right: 'Right side',
  upper: 'Upper',
  lower: 'Lower',
  inner: 'Inner row, at the crank',
  outer: 'Outer row',
  brake: 'At the brake arm',
  driver: 'Under the driver',
  small: 'Small retainer',
};

/** A row of balls in words. */
export function ballRowLabel(row: string): string {
  return own(ROWS, row) ?? row;
}

/** Which way the fastener of a step turns on this bicycle, as a question; null where nothing turns. */
export function turnAt(
  step: Pick<AssemblyStep, 'turn'>,
  kind: BicycleKind,
  action: 'loosen' | 'tighten',
): TurnInput | null {
  if (!step.turn || (step.turn.nuttedOnly && kind.wheels !== 'nutted')) return null;
  const { fastener, side } = step.turn;
  const threaded = fastener === 'bottom-bracket-cup' || fastener === 'bottom-bracket-lockring';
  return { fastener, side, action, ...(threaded ? { standard: kind.bottomBracket } : {}) };
}

/** A part in words, with its side. */
export function partWords({ label, side }: Pick<AssemblyPart, 'label' | 'side'>): string {
  return side ? `${label}, ${side}` : label;
}

/** Parts in the tray that this assembly, or this bicycle, knows; and those that were laid down for another assembly. */
export function sorted(
  assembly: Assembly,
  tray: { order: string[]; extra: { id: string }[] },
): { here: string[]; strange: string[] } {
  const known = new Set([...assembly.parts, ...tray.extra].map((part) => part.id));
  return {
    here: tray.order.filter((id) => known.has(id)),
    strange: tray.order.filter((id) => !known.has(id)),
  };
}

/** What has to go back, last off first. */
export function backwards(order: string[]): string[] {
  return [...order].reverse();
}

/**
 * Parts that would be passed over if this one went back now: those that came off after it and are not back. Empty when
 * it is its turn. Example: order a, b, c, nothing back; putting a back passes over c and b.
 */
export function skippedBy(part: string, order: string[], backIn: string[]): string[] {
  const at = order.indexOf(part);
  return backwards(order.slice(at + 1)).filter((each) => !backIn.includes(each));
}

/** A part of the template, or one that was found on this bicycle only. */
export function partIn(
  assembly: Assembly,
  extra: { id: string; label: string; side: 'left' | 'right' | null }[],
  id: string,
): Pick<AssemblyPart, 'id' | 'label' | 'side' | 'facing'> {
  const known = assembly.parts.find((part) => part.id === id);
  const found = extra.find((part) => part.id === id);
  return known ?? { id, label: found?.label ?? id, side: found?.side ?? null, facing: '' };
}
