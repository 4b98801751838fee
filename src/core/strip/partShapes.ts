/** A part's outline about its own middle: a closed shape, its edges, and what is hidden inside. SVG paths in millimetres. */
export interface PartDrawing {
  shape: string;
  lines: string[];
  dashed: string[];
}

const figure = (value: number) => Math.round(value * 100) / 100;

/** A closed outline through its corners. */
export function polygonPath(...corners: [number, number][]): string {
  return `M${corners.map(([x, y]) => `${figure(x)},${figure(y)}`).join('L')}Z`;
}

/** A full circle. */
export function arcPoints(x: number, y: number, radius: number): string {
  const r = figure(radius);
  return `M${figure(x - radius)},${figure(y)}a${r},${r} 0 1,0 ${figure(2 * radius)},0a${r},${r} 0 1,0 ${figure(-2 * radius)},0Z`;
}
