import { arcPoints, polygonPath, type PartDrawing } from './partShapes';
import type { AssemblyPart } from './assembly';

/** A part as it lies on the exploded line: where, how wide, and its outline. */
export interface LaidPart extends PartDrawing {
  id: string;
  /** Middle along the line, mm. */
  x: number;
  widthMm: number;
  heightMm: number;
}

/** Room between two parts of the line, mm. */
const GAP_MM = 9;
/** Longest a part is drawn: an axle is cut short so that a washer beside it can still be seen. */
const LONGEST_MM = 74;
const TALLEST_MM = 62;
/** Room for an arrow over the line and for numbers under it. */
const ASIDE_MM = 8;

/** Long things are drawn shorter and small ones larger than they are, in one smooth measure, so that all can be told. */
function drawn(mm: number, most: number): number {
  return Math.min(most, 5 + 4.4 * Math.sqrt(Math.max(0, mm)));
}

/**
 * The exploded line of an assembly: its parts side by side along the axis, in the order of the axle. Lengths are drawn by
 * the square root, so that an axle leaves room for its washers; the order and the facing are what is read. Millimetres of
 * the drawing. Example: nine parts of a front hub, the locknut left of the cone.
 */
export function explodedLine(parts: AssemblyPart[]): { widthMm: number; heightMm: number; parts: LaidPart[] } {
  let at = GAP_MM;
  const laid = parts.map((part): LaidPart => {
    const widthMm = drawn(part.lengthMm, LONGEST_MM);
    const heightMm = drawn(part.diameterMm, TALLEST_MM);
    const x = at + widthMm / 2;
    at += widthMm + GAP_MM;
    return { id: part.id, x, widthMm, heightMm, ...outline(part, widthMm, heightMm) };
  });
  const tallestMm = Math.max(...parts.map(({ diameterMm }) => drawn(diameterMm, TALLEST_MM)));
  return { widthMm: at, heightMm: tallestMm + ASIDE_MM, parts: laid };
}

function outline(part: AssemblyPart, w: number, h: number): PartDrawing {
  const [l, r, t, b] = [-w / 2, w / 2, -h / 2, h / 2];
  const box = polygonPath([l, t], [r, t], [r, b], [l, b]);
  const bore = Math.min(h * 0.7, part.boreMm > 0 ? h * (part.boreMm / part.diameterMm) : 0);
  const hidden = bore > 0 ? [`M${l},${-bore / 2}H${r}`, `M${l},${bore / 2}H${r}`] : [];
  // Which end of a one-sided part points to the middle follows from its side.
  const inwards = part.side === 'right' ? -1 : 1;
  switch (part.shape) {
    case 'hex':
      return { shape: box, lines: [`M${l},${-h / 4}H${r}`, `M${l},${h / 4}H${r}`], dashed: hidden };
    case 'disc':
    case 'ring':
    case 'pad':
    case 'block':
    case 'clip':
      return { shape: box, lines: [], dashed: hidden };
    case 'tube':
    case 'cartridge':
      return {
        shape: box,
        lines: part.shape === 'cartridge' ? [`M${l},${-h / 3}H${r}`, `M${l},${h / 3}H${r}`] : [],
        dashed: hidden,
      };
    case 'cone': {
      const small = h * 0.55;
      const shape =
        inwards > 0
          ? polygonPath([l, t], [l + w * 0.45, t], [r, -small / 2], [r, small / 2], [l + w * 0.45, b], [l, b])
          : polygonPath([r, t], [r - w * 0.45, t], [l, -small / 2], [l, small / 2], [r - w * 0.45, b], [r, b]);
      return { shape, lines: [], dashed: hidden };
    }
    case 'cap':
    case 'cup': {
      const deep = inwards > 0 ? r : l;
      const flat = inwards > 0 ? l : r;
      return {
        shape: polygonPath([flat, t], [deep, t + h * 0.12], [deep, b - h * 0.12], [flat, b]),
        lines: [`M${(flat * 2 + deep) / 3},${t + 1}V${b - 1}`],
        dashed: hidden,
      };
    }
    case 'balls':
    case 'cage': {
      const count = 5;
      const radius = Math.min(w / 2.2, h / (2.3 * count));
      const centres = Array.from({ length: count }, (_, i) => t + radius + (i * (h - 2 * radius)) / (count - 1));
      return {
        shape: centres.map((y) => arcPoints(0, y, radius)).join(''),
        lines: part.shape === 'cage' ? [`M${(inwards * -w) / 3},${t}V${b}`] : [],
        dashed: [],
      };
    }
    case 'axle':
      return {
        shape: polygonPath([l, -h * 0.22], [r, -h * 0.22], [r, h * 0.22], [l, h * 0.22]),
        lines: Array.from({ length: 5 }, (_, i) => l + 3 + i * 3).flatMap((x) => [
          `M${x},${-h * 0.22}l-1.6,${h * 0.44}`,
          `M${-x},${-h * 0.22}l-1.6,${h * 0.44}`,
        ]),
        dashed: [],
      };
    case 'hub':
      return {
        shape: polygonPath(
          [l, t],
          [l + 4, t],
          [l + 7, t * 0.55],
          [r - 7, t * 0.55],
          [r - 4, t],
          [r, t],
          [r, b],
          [r - 4, b],
          [r - 7, b * 0.55],
          [l + 7, b * 0.55],
          [l + 4, b],
          [l, b],
        ),
        lines: [],
        dashed: hidden,
      };
    case 'cogs': {
      const steps = 4;
      const points: [number, number][] = [];
      for (let i = 0; i < steps; i++) {
        const half = (h / 2) * (1 - (i * 0.5) / steps);
        points.push([l + (i * w) / steps, -half], [l + ((i + 0.7) * w) / steps, -half]);
      }
      const below = [...points].reverse().map(([x, y]): [number, number] => [x, -y]);
      return { shape: polygonPath(...points, ...below), lines: [], dashed: [] };
    }
    case 'spring': {
      const turns = 4;
      const d = Array.from({ length: turns }, (_, i) => {
        const x = l + (i * w) / turns;
        return `M${x},${b}L${x + w / turns},${t}`;
      });
      return { shape: '', lines: d, dashed: [] };
    }
    case 'bolt': {
      const head = Math.min(8, w * 0.35);
      const shank = h * 0.24;
      return {
        shape: polygonPath(
          [l, t],
          [l + head, t],
          [l + head, -shank],
          [r, -shank],
          [r, shank],
          [l + head, shank],
          [l + head, b],
          [l, b],
        ),
        lines: Array.from({ length: 4 }, (_, i) => `M${r - 3 - i * 3},${-shank}l-1.4,${shank * 2}`),
        dashed: [],
      };
    }
    case 'wedge':
      return { shape: polygonPath([l, t * 0.7], [r, t * 0.1], [r, b * 0.7], [l, b * 0.7]), lines: [], dashed: hidden };
    case 'quill':
      return {
        shape: polygonPath([l, -h * 0.35], [r - 6, -h * 0.35], [r, h * 0.35], [l, h * 0.35]),
        lines: [`M${l + w * 0.55},${-h * 0.35}v${h * 0.2}`],
        dashed: [],
      };
    case 'crank':
    case 'arm':
      return {
        shape: polygonPath([l, t], [r, t + 4], [r * 0.6, b - 4], [l * 0.6, b]),
        lines: [arcPoints(0, t + 9, 3), arcPoints(0, b - 8, 2.4)],
        dashed: [],
      };
    case 'pedal':
      return { shape: box, lines: [`M${l},${t + 5}H${r}`, `M${l},${b - 5}H${r}`], dashed: hidden };
    case 'fork':
      return {
        shape: polygonPath(
          [l, -4],
          [l + w * 0.4, -4],
          [l + w * 0.45, t],
          [r, t + 3],
          [r, t + 7],
          [l + w * 0.55, t + 6],
          [l + w * 0.55, b - 6],
          [r, b - 7],
          [r, b - 3],
          [l + w * 0.45, b],
          [l + w * 0.4, 4],
          [l, 4],
        ),
        lines: [],
        dashed: [],
      };
    case 'stem':
      return { shape: box, lines: [arcPoints(w * 0.1, 0, h * 0.28)], dashed: [] };
    case 'cable':
      return { shape: '', lines: [`M${l},0C${l / 2},${t} ${r / 2},${b} ${r},0`], dashed: [] };
  }
}
