import { path } from 'd3-path';
import type { Point, SectionInput, SectionRow, SectionShape } from './sectionTypes';

/** A shape before it is told which part it shows. */
export type BareShape = Omit<SectionShape, 'shows'>;

/** A place in the section: along the axle from its middle, and off the axle. */
export type Place = (along: number, off: number) => Point;

/** How thick a cup is drawn round its balls. */
export const WALL_MM = 2.2;
const CLEAR = 1.05;
const DEG = Math.PI / 180;
const BOTH = [1, -1] as const;

export function closed(points: Point[]): string {
  const drawn = path();
  points.forEach(({ x, y }, i) => (i === 0 ? drawn.moveTo(x, y) : drawn.lineTo(x, y)));
  drawn.closePath();
  return drawn.toString();
}

/** Above and below the axle, a ring that is cut through: from one place along it to another, between two radii. */
export function cutRing(place: Place, from: number, to: number, inner: number, outer: number): string[] {
  const box = (half: number) =>
    closed([place(from, inner * half), place(to, inner * half), place(to, outer * half), place(from, outer * half)]);
  return inner <= 0
    ? [closed([place(from, -outer), place(to, -outer), place(to, outer), place(from, outer)])]
    : BOTH.map(box);
}

function disc({ x, y }: Point, r: number): string {
  const drawn = path();
  drawn.arc(x, y, r, 0, 2 * Math.PI);
  return drawn.toString();
}

function arcPoints(off: number, radius: number, fromDeg: number, toDeg: number): { along: number; off: number }[] {
  const steps = 14;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (fromDeg + ((toDeg - fromDeg) * i) / steps) * DEG;
    return { along: radius * Math.cos(angle), off: off + radius * Math.sin(angle) };
  });
}

/**
 * A row of balls with its two tracks, cut through. `sign` points outwards. In a hub the cone lies outboard of its balls;
 * in a bottom bracket the cup does, and the same two shapes stand the other way round.
 */
export function cupAndConeRow(
  row: SectionRow,
  at: number,
  sign: 1 | -1,
  input: SectionInput,
  place: Place,
): BareShape[] {
  const r = row.ballMm / 2;
  const circleR = (row.circleMm ?? input.circleMm) / 2;
  const axleR = input.axleMm / 2;
  const way = input.outboard?.includes(row.id) ? -sign : sign;
  const loose = (part: 'cup' | 'cone') =>
    input.set?.row === row.id && input.set.part === part ? drawnPlayMm(input.set.playMm) * sign : 0;
  const cup = [...arcPoints(circleR, r * CLEAR, 75, 195), ...arcPoints(circleR, r * CLEAR + WALL_MM, 195, 75)];
  const end = r * CLEAR + 5;
  const cone = [
    { along: -r * 0.5, off: axleR },
    ...arcPoints(circleR, r * CLEAR, -105, -10),
    { along: r * CLEAR + 1.2, off: circleR - r * 0.1 },
    { along: end, off: Math.max(axleR + 2, circleR - r * 0.6) },
    { along: end, off: axleR },
  ];
  const shape = (part: 'cup' | 'cone', points: { along: number; off: number }[], half: 1 | -1): BareShape => ({
    row: row.id,
    part,
    tone: 'metal',
    label: null,
    d: closed(points.map(({ along, off }) => place(at + along * way + loose(part), off * half))),
  });
  return BOTH.flatMap((half): BareShape[] => [
    shape('cup', cup, half),
    shape('cone', cone, half),
    { row: row.id, part: 'balls', tone: 'metal', label: null, d: disc(place(at, circleR * half), r) },
  ]);
}

export function cartridgeRow(row: SectionRow, at: number, input: SectionInput, place: Place): BareShape[] {
  const size = input.cartridges[row.id];
  if (!size) return [];
  const { boreMm, odMm, widthMm } = size;
  const [inner, outer] = [boreMm / 2, odMm / 2];
  const ring = (outer - inner) * 0.24;
  const w = widthMm / 2;
  const rings = (part: SectionShape['part'], ...box: [number, number, number, number]): BareShape[] =>
    cutRing((along, off) => place(at + along, off), ...box).map((d) => ({
      row: row.id,
      part,
      tone: part === 'seal' ? 'seal' : 'metal',
      label: null,
      d,
    }));
  return [
    ...rings('outer', -w, w, outer - ring, outer),
    ...rings('inner', -w, w, inner, inner + ring),
    ...rings('seal', -w, -w + 0.7, inner + ring, outer - ring),
    ...rings('seal', w - 0.7, w, inner + ring, outer - ring),
    ...BOTH.map((half): BareShape => ({
      row: row.id,
      part: 'balls',
      tone: 'metal',
      label: null,
      d: disc(place(at, ((inner + outer) / 2) * half), row.ballMm / 2),
    })),
  ];
}

/** Hundredths of a millimetre would not be seen: play is drawn forty times as large, and never more than a few mm. */
export const PLAY_DRAWN = 40;
const MOST_PLAY_MM = 4;
export function drawnPlayMm(playMm: number): number {
  return Math.min(MOST_PLAY_MM, playMm * PLAY_DRAWN);
}
