import { isValid, parseISO } from 'date-fns';

/**
 * Stamps: when something last changed, and by which change. They are compared as text, so all of them have one form: the
 * moment in UTC to the millisecond, a space, the change's id.
 */

/** A stamp in our form. */
export const OURS = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z [^\n]{1,90}$/;

/** A moment as we write it, or null where a text is none. Example: `2026-11-25T11:00:00+01:00` → `2026-11-25T10:00:00.000Z`. */
export function momentIn(text: string): string | null {
  if (!/^\d{4}-\d\d-\d\dT\d\d:\d\d/.test(text)) return null;
  const at = parseISO(text);
  return isValid(at) ? at.toISOString() : null;
}

/** The stamp of a change. Example: `stampOf('2026-11-25T10:00:00Z', 'c1')` → `2026-11-25T10:00:00.000Z c1`. */
export function stampOf(at: string, id: string): string {
  return `${momentIn(at) ?? at} ${id}`;
}

/**
 * Stamps from outside brought to our form; what names no moment is told in `strange`, and left out.
 *
 * Example: `{ name: '2026-11-25T10:00:00Z x' }` → `{ name: '2026-11-25T10:00:00.000Z x' }`, nothing strange.
 */
export function stampsInOurForm(stamps: unknown): { stamps: Record<string, string>; strange: string[] } {
  const ours: [string, string][] = [];
  const strange: string[] = [];
  if (typeof stamps !== 'object' || stamps === null) return { stamps: {}, strange };
  for (const [leaf, written] of Object.entries(stamps as Record<string, unknown>)) {
    if (typeof written === 'string' && OURS.test(written)) {
      ours.push([leaf, written]);
      continue;
    }
    const [moment, ...rest] = typeof written === 'string' ? written.trim().split(/\s+/) : [''];
    const at = momentIn(moment!);
    if (at === null) strange.push(leaf);
    else ours.push([leaf, `${at} ${rest.join('-').slice(0, 90) || 'unknown'}`]);
  }
  return { stamps: Object.fromEntries(ours), strange };
}

/** The moment of a stamp, without the change's id. A stamp may also be a bare moment: that of the bicycle itself. */
export function momentOf(stamp: string): string {
  return stamp.split(' ')[0]!;
}
