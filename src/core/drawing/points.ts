import { path as d3Path } from 'd3-path';
import { curveCatmullRom, curveCatmullRomClosed, line } from 'd3-shape';

/** A point of a drawing in millimetres, x to the front of the bicycle, y upwards from the ground. */
export interface Point {
  x: number;
  y: number;
}

const RAD = Math.PI / 180;

/** The point at a distance and an angle from another; 0° points forward, 90° up. */
export function along(from: Point, angleDeg: number, lengthMm: number): Point {
  return { x: from.x + Math.cos(angleDeg * RAD) * lengthMm, y: from.y + Math.sin(angleDeg * RAD) * lengthMm };
}

/** The point a share of the way from one to another. */
export function between(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}

export function shifted(p: Point, dx: number, dy: number): Point {
  return { x: p.x + dx, y: p.y + dy };
}

export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** The direction from one point to another, degrees. */
export function heading(a: Point, b: Point): number {
  return Math.atan2(b.y - a.y, b.x - a.x) / RAD;
}

/** A point mirrored through another. */
export function throughPoint(p: Point, centre: Point): Point {
  return { x: 2 * centre.x - p.x, y: 2 * centre.y - p.y };
}

const straight = line<Point>()
  .x((p) => p.x)
  .y((p) => p.y)
  .digits(1);
const smooth = line<Point>()
  .x((p) => p.x)
  .y((p) => p.y)
  .curve(curveCatmullRom.alpha(0.5))
  .digits(1);
const loop = line<Point>()
  .x((p) => p.x)
  .y((p) => p.y)
  .curve(curveCatmullRomClosed.alpha(0.5))
  .digits(1);

/** SVG path data of a polyline. */
export function polyline(...points: Point[]): string {
  return straight(points) ?? '';
}

/** SVG path data of a smooth line through points. */
export function curved(...points: Point[]): string {
  return smooth(points) ?? '';
}

/** SVG path data of a smooth closed outline through points. */
export function outline(...points: Point[]): string {
  return loop(points) ?? '';
}

/** SVG path data of a polygon. */
export function polygon(...points: Point[]): string {
  return `${polyline(...points)}Z`;
}

export function circle(centre: Point, radiusMm: number): string {
  const drawn = d3Path();
  drawn.arc(round(centre.x), round(centre.y), round(radiusMm), 0, 2 * Math.PI);
  return drawn.toString();
}

/** Part of a circle between two directions, anticlockwise from the first. */
export function arc(centre: Point, radiusMm: number, fromDeg: number, toDeg: number): string {
  const drawn = d3Path();
  drawn.arc(round(centre.x), round(centre.y), round(radiusMm), fromDeg * RAD, toDeg * RAD);
  return drawn.toString();
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

/**
 * The two outer tangents of two circles, upper first: the two runs of a chain.
 * Example: equal circles give lines parallel to the line of centres.
 */
export function outerTangents(a: Point, radiusA: number, b: Point, radiusB: number): [[Point, Point], [Point, Point]] {
  const base = heading(a, b);
  const lean = Math.acos((radiusA - radiusB) / distance(a, b)) / RAD;
  return [
    [along(a, base + lean, radiusA), along(b, base + lean, radiusB)],
    [along(a, base - lean, radiusA), along(b, base - lean, radiusB)],
  ];
}
