import { path } from 'd3-path';

const RAD = Math.PI / 180;

/** A sector of a ring about the middle, by its angles from twelve o'clock. */
export function sector(from: number, to: number, inner: number, outer: number): string {
  const [start, end] = [Math.min(from, to) * RAD - Math.PI / 2, Math.max(from, to) * RAD - Math.PI / 2];
  const ring = path();
  ring.arc(0, 0, outer, start, end);
  ring.arc(0, 0, inner, end, start, true);
  ring.closePath();
  return ring.toString();
}
