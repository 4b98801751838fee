import { path } from 'd3-path';

/** One row of balls, or one cartridge, of the bearing that is drawn. */
export interface SectionRow {
  id: string;
  /** Ball diameter; of a cartridge, what fits between its rings. */
  ballMm: number;
  /** How many balls belong. */
  holds: number | null;
  /** How many are in so far. */
  in: number;
}

export interface SectionInput {
  rows: SectionRow[];
  kind: 'cup-and-cone' | 'cartridge' | 'bushing';
  /** Diameter of the circle through the middles of the balls. */
  circleMm: number;
  rowsApartMm: number;
  axleMm: number;
  /** Headsets stand upright; the rest lie across. */
  upright: boolean;
  cartridges: Record<string, { boreMm: number; odMm: number; widthMm: number }>;
  /** Faces under the section instead of beside it, for a narrow sheet. */
  stacked?: boolean;
}

export interface SectionShape {
  row: string | null;
  part: 'shell' | 'axle' | 'cup' | 'cone' | 'balls' | 'outer' | 'inner' | 'seal';
  d: string;
}

/** A row seen along the axle: where each ball lies on its circle. */
export interface RowFace {
  row: string;
  x: number;
  y: number;
  circleR: number;
  ballR: number;
  slots: { x: number; y: number; filled: boolean }[];
}

export interface BearingSection {
  widthMm: number;
  heightMm: number;
  shapes: SectionShape[];
  faces: RowFace[];
  /** Where each row's name, its play and its cone's way point, in the section. */
  spots: Record<string, { x: number; y: number; outward: { x: number; y: number } }>;
}

const CLEAR = 1.05;
const WALL_MM = 2.2;
const DEG = Math.PI / 180;
const ROOM_MM = 5;
/** A slip of the caliper may leave no room between bore and outside; it is drawn all the same, and told beside it. */
const LEAST_BALL_MM = 0.2;
/** Rows of a wide hub are drawn nearer, with the shell broken between them; nothing else is out of scale. */
const MOST_APART = 2.6;
const MOST_APART_UPRIGHT = 1.9;

type Place = (along: number, off: number) => { x: number; y: number };

function closed(points: { x: number; y: number }[]): string {
  const drawn = path();
  points.forEach(({ x, y }, i) => (i === 0 ? drawn.moveTo(x, y) : drawn.lineTo(x, y)));
  drawn.closePath();
  return drawn.toString();
}

function arcPoints(
  centre: { along: number; off: number },
  radius: number,
  fromDeg: number,
  toDeg: number,
): { along: number; off: number }[] {
  const steps = 14;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (fromDeg + ((toDeg - fromDeg) * i) / steps) * DEG;
    return { along: centre.along + radius * Math.cos(angle), off: centre.off + radius * Math.sin(angle) };
  });
}

/** A ring of one row cut through, above and below the axle. Angles from the way outwards along the axle, towards the rim. */
function cupAndConeRow(row: SectionRow, at: number, sign: 1 | -1, input: SectionInput, place: Place): SectionShape[] {
  const r = row.ballMm / 2;
  const circleR = input.circleMm / 2;
  const axleR = input.axleMm / 2;
  return ([1, -1] as const).flatMap((half): SectionShape[] => {
    const put = (points: { along: number; off: number }[]) =>
      closed(points.map(({ along, off }) => place(at + along * sign, off * half)));
    const centre = { along: 0, off: circleR };
    // The cup hugs the ball from outside the circle and from inboard; the cone from within and from outboard.
    const cup = [...arcPoints(centre, r * CLEAR, 75, 195), ...arcPoints(centre, r * CLEAR + WALL_MM, 195, 75)];
    const cone = [
      { along: -r * 0.5, off: axleR },
      ...arcPoints(centre, r * CLEAR, -105, -10),
      { along: r * CLEAR + 1.2, off: circleR - r * 0.1 },
      { along: r * CLEAR + 5, off: Math.max(axleR + 2, circleR - r * 0.6) },
      { along: r * CLEAR + 5, off: axleR },
    ];
    const ball = path();
    const middle = place(at, circleR * half);
    ball.arc(middle.x, middle.y, r, 0, 2 * Math.PI);
    return [
      { row: row.id, part: 'cup', d: put(cup) },
      { row: row.id, part: 'cone', d: put(cone) },
      { row: row.id, part: 'balls', d: ball.toString() },
    ];
  });
}

function cartridgeRow(row: SectionRow, at: number, input: SectionInput, place: Place): SectionShape[] {
  const size = input.cartridges[row.id];
  if (!size) return [];
  const { boreMm, odMm, widthMm } = size;
  const [inner, outer] = [boreMm / 2, odMm / 2];
  const ring = (outer - inner) * 0.24;
  const w = widthMm / 2;
  return ([1, -1] as const).flatMap((half): SectionShape[] => {
    const box = (a: number, b: number, from: number, to: number) =>
      closed([
        place(at + a, from * half),
        place(at + b, from * half),
        place(at + b, to * half),
        place(at + a, to * half),
      ]);
    const ball = path();
    const middle = place(at, ((inner + outer) / 2) * half);
    ball.arc(middle.x, middle.y, row.ballMm / 2, 0, 2 * Math.PI);
    return [
      { row: row.id, part: 'outer', d: box(-w, w, outer - ring, outer) },
      { row: row.id, part: 'inner', d: box(-w, w, inner, inner + ring) },
      { row: row.id, part: 'seal', d: box(-w, -w + 0.7, inner + ring, outer - ring) },
      { row: row.id, part: 'seal', d: box(w - 0.7, w, inner + ring, outer - ring) },
      { row: row.id, part: 'balls', d: ball.toString() },
    ];
  });
}

/** The ball that fits between the rings of a cartridge: about three fifths of what lies between bore and outside. */
export function cartridgeBallMm({ boreMm, odMm }: { boreMm: number; odMm: number }): number {
  return Math.max(LEAST_BALL_MM, ((odMm - boreMm) / 2) * 0.6);
}

function faceOf(row: SectionRow, circleMm: number, x: number, y: number): RowFace {
  const count = row.holds ?? 0;
  const circleR = circleMm / 2;
  return {
    row: row.id,
    x,
    y,
    circleR,
    ballR: row.ballMm / 2,
    slots: Array.from({ length: Math.max(count, row.in) }, (_, i) => {
      const angle = (2 * Math.PI * i) / Math.max(count, row.in) - Math.PI / 2;
      return { x: x + circleR * Math.cos(angle), y: y + circleR * Math.sin(angle), filled: i < row.in };
    }),
  };
}

/**
 * A bearing cut along its axle, to scale from its numbers, with each row of balls seen along the axle beside it.
 *
 * Shapes carry their row and part, so that a finger can point at a track. Units: mm of the bearing. Where rows stand far
 * apart they are drawn nearer. Errors: none. Example: ten balls of 3/16 in on a circle of 16.2 mm, six in: six filled.
 */
export function bearingSection(input: SectionInput): BearingSection {
  const { rows, circleMm, upright, axleMm, kind, stacked = false } = input;
  const sizes = Object.values(input.cartridges);
  const wide = Math.max(circleMm, ...sizes.map((size) => size.odMm));
  const reach = wide / 2 + (kind === 'cup-and-cone' ? Math.max(...rows.map((row) => row.ballMm), 0) / 2 + WALL_MM : 0);
  const apart = Math.min(input.rowsApartMm, circleMm * (upright ? MOST_APART_UPRIGHT : MOST_APART));
  const gap = rows.length > 1 ? apart / (rows.length - 1) : 0;
  const length = apart + 36;
  const middle = length / 2;
  const face = Math.max(wide, circleMm + Math.max(0, ...rows.map((row) => row.ballMm))) + 6;
  const showFaces = kind === 'cup-and-cone';
  const across = 2 * reach + 2 * ROOM_MM;
  const facesWide = showFaces ? rows.length * face : 0;
  const beside = showFaces && !stacked;
  const alone = upright ? across : length;
  const width = stacked
    ? Math.max(alone, facesWide)
    : upright
      ? across + (beside ? face : 0)
      : length + (beside ? Math.max(rows.length, 2) * (face + ROOM_MM) : 0);
  const left = stacked ? (width - alone) / 2 : upright || !beside ? 0 : face + ROOM_MM;
  const place: Place = (along, off) =>
    upright
      ? { x: left + reach + ROOM_MM + off, y: middle + along }
      : { x: left + middle + along, y: reach + ROOM_MM + off };
  const at = (i: number) => (rows.length === 1 ? 0 : -apart / 2 + gap * i);
  const signOf = (i: number): 1 | -1 => (i < rows.length / 2 ? -1 : 1);
  const tube = (from: number, to: number, r: number, end: number) =>
    closed([place(-end, from * r), place(end, from * r), place(end, to * r), place(-end, to * r)]);
  const shellR = reach;
  const shapes: SectionShape[] = [
    ...([1, -1] as const).map((half): SectionShape => ({
      row: null,
      part: 'shell',
      d: closed([
        place(-apart / 2 + 3, shellR * half),
        place(apart / 2 - 3, shellR * half),
        place(apart / 2 - 3, (shellR - 2.5) * half),
        place(-apart / 2 + 3, (shellR - 2.5) * half),
      ]),
    })),
    { row: null, part: 'axle', d: tube(-1, 1, axleMm / 2, middle) },
    ...rows.flatMap((row, i) =>
      kind === 'cup-and-cone'
        ? cupAndConeRow(row, at(i), signOf(i), input, place)
        : cartridgeRow(row, at(i), input, place),
    ),
  ];
  const spots = Object.fromEntries(
    rows.map((row, i) => {
      const here = place(at(i), -circleMm / 2);
      const on = place(at(i) + signOf(i), -circleMm / 2);
      return [row.id, { ...here, outward: { x: on.x - here.x, y: on.y - here.y } }];
    }),
  );
  const faceAt = (i: number): { x: number; y: number } => {
    if (stacked) return { x: (width * (i + 0.5)) / rows.length, y: (upright ? length : across) + face / 2 };
    if (upright) return { x: across + face / 2, y: place(at(i), 0).y };
    const y = reach + ROOM_MM;
    return i === 0 ? { x: face / 2, y } : { x: length + (face + ROOM_MM) * i + face / 2, y };
  };
  const faces = showFaces ? rows.map((row, i) => faceOf(row, circleMm, faceAt(i).x, faceAt(i).y)) : [];
  const tall = upright ? length : across;
  return {
    widthMm: width,
    heightMm: stacked && showFaces ? tall + face : beside && !upright ? Math.max(tall, face) : tall,
    shapes,
    faces,
    spots,
  };
}
