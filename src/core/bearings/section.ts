import {
  cartridgeRow,
  closed,
  cupAndConeRow,
  cutRing,
  drawnPlayMm,
  WALL_MM,
  type BareShape,
  type Place,
} from './sectionRows';
import type {
  BearingSection,
  Fitting,
  Point,
  Radius,
  RowFace,
  SectionInput,
  SectionRow,
  SectionShape,
} from './sectionTypes';

/** How far the axle is drawn beyond its outer rows. */
const AXLE_END_MM = 18;
/** Nothing touches the edge of the sheet. */
const EDGE_MM = 1;
const ROOM_MM = 5;
/** A slip of the caliper may leave no room between bore and outside; it is drawn all the same, and told beside it. */
const LEAST_BALL_MM = 0.2;
/** Rows of a wide hub are drawn nearer than this many ball circles. */
const MOST_APART = 2.6;
const MOST_APART_UPRIGHT = 1.9;

/** The ball that fits between the rings of a cartridge: about three fifths of what lies between bore and outside. */
export function cartridgeBallMm({ boreMm, odMm }: { boreMm: number; odMm: number }): number {
  return Math.max(LEAST_BALL_MM, ((odMm - boreMm) / 2) * 0.6);
}

function faceOf(row: SectionRow, circleMm: number, { x, y }: Point): RowFace {
  const count = Math.max(row.holds ?? 0, row.in ?? 0);
  const circleR = circleMm / 2;
  return {
    row: row.id,
    x,
    y,
    circleR,
    ballR: row.ballMm / 2,
    slots: Array.from({ length: count }, (_, i) => {
      const angle = (2 * Math.PI * i) / count - Math.PI / 2;
      return {
        x: x + circleR * Math.cos(angle),
        y: y + circleR * Math.sin(angle),
        ball: row.in === null ? 'never out' : i < row.in ? 'in' : 'wanting',
      };
    }),
  };
}

interface Frame {
  ends: [number, number];
  alongOf(row: string): number;
  signOf(row: string): 1 | -1;
  radius(told: Radius): number;
}

/** Where each row stands along the axle and which way is outwards there. */
function frameOf(input: SectionInput): Frame {
  const { rows, circleMm, rowsApartMm, upright, kind } = input;
  const apart = Math.min(rowsApartMm, circleMm * (upright ? MOST_APART_UPRIGHT : MOST_APART));
  const at = (i: number) => (rows.length === 1 ? 0 : -apart / 2 + (apart / (rows.length - 1)) * i);
  const index = (id: string) =>
    id === 'first' ? 0 : id === 'last' ? rows.length - 1 : rows.findIndex((row) => row.id === id);
  const balls = rows.map((row) => (row.circleMm ?? circleMm) + row.ballMm);
  const shell =
    kind === 'cup-and-cone'
      ? Math.max(circleMm, ...balls) / 2 + WALL_MM
      : Math.max(...Object.values(input.cartridges).map((size) => size.odMm), 0) / 2;
  const base = { axle: input.axleMm / 2, circle: circleMm / 2, shell: shell || circleMm / 2 };
  return {
    ends: [-apart / 2, apart / 2],
    alongOf: (id) => (rows.length === 0 ? (id === 'first' ? -apart / 2 : apart / 2) : at(index(id))),
    signOf: (id) => (rows.length === 0 ? (id === 'first' ? -1 : 1) : index(id) < Math.floor(rows.length / 2) ? -1 : 1),
    radius: ({ of, plusMm }) => (of === null ? 0 : base[of]) + plusMm,
  };
}

interface Placed {
  fitting: Fitting;
  from: number;
  to: number;
  inner: number;
  outer: number;
}

/** A fitting in the section's own mm; null where rows that stand near one another leave it no room. */
function placed(fitting: Fitting, frame: Frame, playMm: number): Placed | null {
  const [one, other] = fitting.at;
  const start = frame.alongOf(one);
  const sign = frame.signOf(one);
  const shift = fitting.moves ? sign * playMm : 0;
  const [a, b] =
    other === undefined
      ? [start + sign * fitting.fromMm + shift, start + sign * fitting.toMm + shift]
      : [start + fitting.fromMm, frame.alongOf(other) - fitting.toMm];
  const [inner, outer] = [Math.max(0, frame.radius(fitting.inner)), frame.radius(fitting.outer)];
  if ((other !== undefined && a >= b) || inner >= outer) return null;
  return { fitting, from: Math.min(a, b), to: Math.max(a, b), inner, outer };
}

/**
 * A bearing cut along its axle, to scale from its numbers, with each row of balls seen along the axle beside it.
 *
 * Shapes carry their row, part and name, so that a finger can point at a track. Units: mm of the bearing. Where rows
 * stand far apart they are drawn nearer; play is drawn much larger than it is. Errors: none. Example: ten balls of
 * 3/16 in on a circle of 16.2 mm, six in: six filled.
 */
export function bearingSection(input: SectionInput): BearingSection {
  const { rows, circleMm, upright, axleMm, kind, stacked = false, faceless = false, set = null } = input;
  const frame = frameOf(input);
  const playMm = set ? drawnPlayMm(set.playMm) : 0;
  const fittings = (input.fittings ?? []).flatMap((fitting) => placed(fitting, frame, playMm) ?? []);
  const reach = Math.max(
    ...fittings.map((fitting) => fitting.outer),
    frame.radius({ of: 'shell', plusMm: 0 }),
    axleMm / 2,
  );
  const low = Math.min(frame.ends[0] - AXLE_END_MM, ...fittings.map((fitting) => fitting.from));
  const high = Math.max(frame.ends[1] + AXLE_END_MM, ...fittings.map((fitting) => fitting.to));
  const start = low - EDGE_MM;
  const length = high - low + 2 * EDGE_MM;
  const counted = kind === 'cup-and-cone' && !faceless ? rows.filter((row) => !row.shut) : [];
  const face = Math.max(0, ...counted.map((row) => (row.circleMm ?? circleMm) + row.ballMm)) + 6;
  const across = 2 * reach + 2 * ROOM_MM;
  const facesWide = counted.length * face;
  const beside = counted.length > 0 && !stacked;
  const alone = upright ? across : length;
  const faceRows = upright ? counted.length : 1;
  const width = stacked
    ? Math.max(alone, facesWide)
    : upright
      ? across + (beside ? face : 0)
      : length + (beside ? Math.max(counted.length, 2) * (face + ROOM_MM) : 0);
  const tall = upright ? Math.max(length, beside ? faceRows * face : 0) : across;
  const top = upright ? (tall - length) / 2 : 0;
  // Upright on a narrow sheet it stands at the right, so that its names have what is left of it.
  const left = stacked ? (width - alone) / (upright ? 1 : 2) : upright || !beside ? 0 : face + ROOM_MM;
  const down = upright ? 0 : Math.max(0, beside ? (face - across) / 2 : 0);
  const place: Place = (along, off) =>
    upright
      ? { x: left + reach + ROOM_MM + off, y: top + along - start }
      : { x: left + along - start, y: down + reach + ROOM_MM + off };
  const bar = closed([
    place(low, -axleMm / 2),
    place(high, -axleMm / 2),
    place(high, axleMm / 2),
    place(low, axleMm / 2),
  ]);
  const bare: BareShape[] = [
    { row: null, part: 'axle', tone: 'metal', label: null, d: bar },
    ...rows.flatMap((row) =>
      kind === 'cup-and-cone'
        ? cupAndConeRow(row, frame.alongOf(row.id), frame.signOf(row.id), input, place)
        : cartridgeRow(row, frame.alongOf(row.id), input, place),
    ),
  ];
  const [axle, ...rowShapes] = bare.map((shape) => ({ ...shape, shows: shownBy(shape, input) }));
  const shapes: SectionShape[] = [axle!, ...fittings.flatMap((each) => drawn(each, place)), ...rowShapes];
  const faceAt = (row: SectionRow, i: number) => {
    if (stacked) return { x: (width * (i + 0.5)) / counted.length, y: (upright ? tall : across) + face / 2 };
    if (!upright) {
      const x = i === 0 ? face / 2 : left + length + ROOM_MM + (face + ROOM_MM) * (i - 1) + face / 2;
      return { x, y: Math.max(across, face) / 2 };
    }
    const y = place(frame.alongOf(row.id), 0).y;
    return { x: across + face / 2, y: Math.min(tall - face / 2, Math.max(face / 2, y)) };
  };
  const offOf = (row: SectionRow) => (row.circleMm ?? circleMm) / 2;
  const setRow = rows.find((row) => row.id === set?.row);
  const track = setRow ?? rows.at(-1);
  const tracks = track && kind === 'cup-and-cone' ? trackNames(track, offOf(track), frame, input, place) : [];
  return {
    widthMm: width,
    heightMm: stacked && counted.length > 0 ? tall + face : beside && !upright ? Math.max(tall, face) : tall,
    freeLeftMm: left,
    shapes,
    axisY: upright ? null : place(0, 0).y,
    faces: counted.map((row, i) => faceOf(row, 2 * offOf(row), faceAt(row, i))),
    named: onePerName([
      ...tracks,
      ...fittings
        .map(({ fitting, from, to, inner, outer }) => ({
          label: fitting.label,
          moves: fitting.moves,
          ...place((from + to) / 2, -(inner + outer) / 2),
        }))
        .sort((a, b) => a.x - b.x),
    ]),
    setAt: setRow
      ? {
          ...place(frame.alongOf(setRow.id), -offOf(setRow)),
          outward: upright ? { x: 0, y: frame.signOf(setRow.id) } : { x: frame.signOf(setRow.id), y: 0 },
        }
      : null,
  };
}

/** The part of the tray that a line of a row, or the axle, shows. */
function shownBy({ row, part }: BareShape, { shows = {}, kind }: SectionInput): string | null {
  if (part === 'axle') return shows.axle ?? null;
  const piece = kind === 'cartridge' && part !== 'fitting' ? 'cartridge' : part;
  return row === null ? null : (shows[`${piece}.${row}`] ?? null);
}

interface Named extends Point {
  label: string;
  moves: boolean;
}

/** Where the two tracks of a row lie, under the names that they have in this bearing. */
function trackNames(row: SectionRow, offMm: number, frame: Frame, input: SectionInput, place: Place): Named[] {
  if (!input.names) return [];
  const r = row.ballMm / 2;
  const out = frame.signOf(row.id) * (input.outboard?.includes(row.id) ? -1 : 1);
  const at = frame.alongOf(row.id);
  return [
    { label: input.names.cup, moves: true, ...place(at - out * r * 0.8, -(offMm + r * 1.05 + WALL_MM * 0.4)) },
    { label: input.names.cone, moves: true, ...place(at + out * (r + 2.5), -(offMm - r * 0.9)) },
  ];
}

/** One leader for each name: to what moves when the bearing is set, where there is one on both sides. */
function onePerName(all: Named[]): BearingSection['named'] {
  const kept = new Map<string, Named>();
  for (const each of all)
    if (!kept.has(each.label) || (each.moves && !kept.get(each.label)!.moves)) kept.set(each.label, each);
  return [...kept.values()].map(({ label, x, y }) => ({ label, x, y }));
}

function drawn({ fitting, from, to, inner, outer }: Placed, place: Place): SectionShape[] {
  return cutRing(place, from, to, inner, outer).map((d) => ({
    row: null,
    part: 'fitting',
    tone: fitting.tone,
    label: fitting.label,
    shows: fitting.part,
    d,
  }));
}
