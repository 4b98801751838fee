/** A line of the drawing. `part` is the place of the vocabulary that it shows. */
export interface Stroke {
  id: string;
  part: string;
  d: string;
  /** Tubes are drawn as outlines of their width, lines and fine lines by their weight, shapes filled with paper. */
  style: 'tube' | 'line' | 'fine' | 'shape' | 'solid';
  widthMm: number;
  /** Drawn lighter, because it lies behind. */
  far?: boolean;
}

/** A tube, drawn as an outline of its width. */
export const tube = (id: string, part: string, d: string, widthMm: number, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'tube',
  widthMm,
  far,
});
/** A line of usual weight. */
export const thin = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'line',
  widthMm: 5,
  far,
});
/** A line of little weight. */
export const fine = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'fine',
  widthMm: 2.6,
  far,
});
/** An outline filled with paper. */
export const shape = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'shape',
  widthMm: 4.5,
  far,
});
/** A small thing filled with ink. */
export const solid = (id: string, part: string, d: string): Stroke => ({ id, part, d, style: 'solid', widthMm: 3 });
