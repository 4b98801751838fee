import { kindAt, type BicycleKind } from '../bicycle';
import { circle, curved, polygon, polyline, type Point } from './points';

/** A line of a detail drawing; `part` is the part of the assembly that it shows. */
export interface DetailStroke {
  part: string;
  d: string;
  /** Cut metal is hatched, balls and pads are filled, lines are lines. */
  style: 'cut' | 'shape' | 'solid' | 'line';
}

export interface Detail {
  id: 'hub' | 'headset' | 'bottom-bracket' | 'pedal' | 'derailleur' | 'brake';
  title: string;
  widthMm: number;
  heightMm: number;
  strokes: DetailStroke[];
  /** Each part with its name and where its name points. */
  parts: { id: string; label: string; spot: Point }[];
}

/** A part turned about the axle: from where to where along it, and its outer and inner radius. */
interface Turned {
  id: string;
  label: string;
  from: number;
  to: number;
  outer: number;
  inner?: number;
}
interface Balls {
  id: string;
  label: string;
  at: number;
  circle: number;
  ball: number;
}

/** Which way an axis runs on the sheet. */
type Along = 'across' | 'up';

function section(id: Detail['id'], title: string, axis: Along, turned: Turned[], balls: Balls[], room = 14): Detail {
  const all = [...turned.map((t) => t.from), ...turned.map((t) => t.to)];
  const low = Math.min(...all) - room;
  const high = Math.max(...all) + room;
  const wide = Math.max(...turned.map((t) => t.outer)) + room;
  const place = (along: number, off: number): Point =>
    axis === 'across' ? { x: along - low, y: wide + off } : { x: wide + off, y: along - low };
  const strokes: DetailStroke[] = turned.flatMap(({ id: part, from, to, outer, inner = 0 }) =>
    (inner > 0 ? [1, -1] : [0]).map((half): DetailStroke => {
      const [a, b] = half === 0 ? [-outer, outer] : [inner * half, outer * half];
      return {
        part,
        style: inner > 0 ? 'cut' : 'shape',
        d: polygon(place(from, a), place(from, b), place(to, b), place(to, a)),
      };
    }),
  );
  for (const { id: part, at, circle: r, ball } of balls)
    for (const half of [1, -1]) strokes.push({ part, style: 'solid', d: circle(place(at, r * half), ball / 2) });
  strokes.push({ part: 'axis', style: 'line', d: polyline(place(low + 3, 0), place(high - 3, 0)) });
  return {
    id,
    title,
    widthMm: axis === 'across' ? high - low : wide * 2,
    heightMm: axis === 'across' ? wide * 2 : high - low,
    strokes,
    parts: [
      ...turned.map(({ id: part, label, from, to, outer }) => ({
        id: part,
        label,
        spot: place((from + to) / 2, outer * 0.8),
      })),
      ...balls.map(({ id: part, label, at, circle: r }) => ({ id: part, label, spot: place(at, r) })),
    ],
  };
}

/** Both sides of something that is alike left and right. */
function pair<T extends { id: string; label: string }>(build: (sign: 1 | -1) => T): T[] {
  return ([-1, 1] as const).map((sign) => {
    const side = sign < 0 ? 'left' : 'right';
    const made = build(sign);
    return { ...made, id: `${made.id}.${side}`, label: `${made.label}, ${side}` };
  });
}
const span = (sign: 1 | -1, a: number, b: number) => ({
  from: Math.min(a * sign, b * sign),
  to: Math.max(a * sign, b * sign),
});

function hub(kind: BicycleKind, end: 'front' | 'rear'): Detail {
  const half = end === 'front' ? 50 : 65;
  const ball = end === 'front' ? 4.76 : 6.35;
  const flange = half - 16;
  const over = kind.wheels === 'nutted' ? 22 : 5;
  return section(
    'hub',
    `${end === 'front' ? 'Front' : 'Rear'} hub, cut along its axle`,
    'across',
    [
      { id: 'shell', label: 'Hub shell', from: -flange, to: flange, outer: 13, inner: 9.5 },
      ...pair((sign) => ({ id: 'flange', label: 'Flange', ...span(sign, flange - 3, flange), outer: 23, inner: 13 })),
      ...pair((sign) => ({
        id: 'cup',
        label: 'Cup',
        ...span(sign, flange - 8, flange + 1),
        outer: 18,
        inner: 10 + ball * 0.55,
      })),
      ...pair((sign) => ({
        id: 'dust-cap',
        label: 'Dust cap',
        ...span(sign, flange + 1, flange + 3.4),
        outer: 17,
        inner: 9.6,
      })),
      ...pair((sign) => ({ id: 'cone', label: 'Cone', ...span(sign, flange - 5, half - 7.5), outer: 8.4, inner: 4.6 })),
      ...pair((sign) => ({
        id: 'washer',
        label: 'Keyed washer',
        ...span(sign, half - 7.5, half - 5.5),
        outer: 9,
        inner: 4.6,
      })),
      ...pair((sign) => ({ id: 'locknut', label: 'Locknut', ...span(sign, half - 5.5, half), outer: 9, inner: 4.6 })),
      { id: 'axle', label: 'Axle', from: -half - over, to: half + over, outer: 4.5 },
    ],
    pair((sign) => ({ id: 'balls', label: 'Balls', at: (flange - 2.5) * sign, circle: 10.6, ball })),
  );
}

function headset(kind: BicycleKind): Detail {
  const threaded = kind.stem === 'quill';
  const inner = threaded ? 12.7 : 14.3;
  return section(
    'headset',
    threaded ? 'Threaded headset, cut along the steerer' : 'Threadless headset, cut along the steerer',
    'up',
    [
      { id: 'head-tube', label: 'Head tube', from: -34, to: 34, outer: inner + 5.4, inner: inner + 3.4 },
      { id: 'race.lower', label: 'Lower cup', from: -42, to: -30, outer: inner + 8, inner: inner + 4.4 },
      { id: 'race.upper', label: 'Upper race', from: 30, to: 40, outer: inner + 8, inner: inner + 3.8 },
      { id: 'crown-race', label: 'Crown race', from: -52, to: -45, outer: inner + 6.6, inner },
      { id: 'crown', label: 'Fork crown', from: -66, to: -52, outer: inner + 11, inner },
      ...(threaded
        ? [
            { id: 'adjustable-cup', label: 'Adjustable cup', from: 44, to: 54, outer: inner + 8.6, inner: inner + 0.2 },
            { id: 'washer', label: 'Keyed washer', from: 54, to: 57, outer: inner + 6, inner: inner + 0.2 },
            { id: 'locknut', label: 'Locknut', from: 57, to: 66, outer: inner + 6.4, inner: inner + 0.2 },
          ]
        : [
            { id: 'compression-ring', label: 'Split ring', from: 43, to: 48, outer: inner + 4, inner: inner + 0.2 },
            { id: 'cover', label: 'Cover', from: 48, to: 54, outer: inner + 9, inner: inner + 0.4 },
            { id: 'spacers', label: 'Spacers', from: 54, to: 68, outer: inner + 4, inner: inner + 0.4 },
            { id: 'top-cap', label: 'Top cap', from: 84, to: 88, outer: inner + 4 },
          ]),
      { id: 'steerer', label: 'Steerer', from: -66, to: threaded ? 66 : 82, outer: inner, inner: inner - 1.7 },
    ],
    [
      { id: 'balls.upper', label: 'Upper balls', at: 42.2, circle: inner + 4.6, ball: 4 },
      { id: 'balls.lower', label: 'Lower balls', at: -43.6, circle: inner + 4.8, ball: 4 },
    ],
    12,
  );
}

function bottomBracket(kind: BicycleKind): Detail {
  const taper = kind.cranks === 'square-taper' || kind.cranks === 'cottered';
  return section(
    'bottom-bracket',
    'Bottom bracket, cut along its spindle',
    'across',
    [
      { id: 'shell', label: 'Shell', from: -34, to: 34, outer: 20.5, inner: 17.4 },
      { id: 'cup.left', label: 'Adjustable cup, left', from: -40, to: -24, outer: 17.4, inner: 13.4 },
      { id: 'lockring', label: 'Lockring, left', from: -40, to: -34.4, outer: 22, inner: 17.4 },
      { id: 'cup.right', label: 'Fixed cup, right', from: 24, to: 34, outer: 17.4, inner: 13.4 },
      { id: 'cup-flange', label: 'Flange of the fixed cup', from: 34, to: 37.5, outer: 21, inner: 10 },
      { id: 'spindle-shoulder.left', label: 'Shoulder, left', from: -30, to: -25, outer: 10.4 },
      { id: 'spindle-shoulder.right', label: 'Shoulder, right', from: 25, to: 30, outer: 10.4 },
      { id: 'spindle', label: 'Spindle', from: taper ? -62 : -58, to: taper ? 64 : 58, outer: 8.2 },
    ],
    [
      { id: 'balls.left', label: 'Balls, left', at: -27, circle: 12.2, ball: 6.35 },
      { id: 'balls.right', label: 'Balls, right', at: 27, circle: 12.2, ball: 6.35 },
    ],
  );
}

function pedal(side: 'left' | 'right'): Detail {
  return section(
    'pedal',
    `${side === 'left' ? 'Left' : 'Right'} pedal, cut along its axle`,
    'across',
    [
      { id: 'body', label: 'Body', from: -42, to: 40, outer: 12, inner: 9.6 },
      { id: 'cage', label: 'Cage', from: -44, to: 42, outer: 32, inner: 29.5 },
      { id: 'cup.inner', label: 'Inner cup', from: 32, to: 40, outer: 11.8, inner: 8.8 },
      { id: 'cup.outer', label: 'Outer cup', from: -42, to: -34, outer: 11.8, inner: 8.4 },
      { id: 'cone', label: 'Cone', from: -47, to: -37, outer: 6.6, inner: 3.2 },
      { id: 'washer', label: 'Keyed washer', from: -49, to: -47, outer: 5.6, inner: 3.2 },
      { id: 'locknut', label: 'Locknut', from: -54, to: -49, outer: 6, inner: 3.2 },
      { id: 'cap', label: 'Dust cap', from: -58, to: -56, outer: 11 },
      { id: 'axle', label: 'Axle', from: -55, to: 46, outer: 4.4 },
      { id: 'flats', label: 'Spanner flats', from: 46, to: 52, outer: 9 },
      { id: 'thread', label: `Thread, ${side === 'left' ? 'left-hand' : 'right-hand'}`, from: 52, to: 66, outer: 7.1 },
    ],
    [
      { id: 'balls.outer', label: 'Outer balls', at: -36, circle: 7.6, ball: 3.97 },
      { id: 'balls.inner', label: 'Inner balls', at: 34, circle: 7.6, ball: 3.97 },
    ],
  );
}

function derailleur(): Detail {
  const p = (x: number, y: number): Point => ({ x, y });
  const upper = p(78, 96);
  const lower = p(64, 34);
  const strokes: DetailStroke[] = [
    { part: 'hanger', style: 'cut', d: polygon(p(96, 178), p(116, 178), p(112, 140), p(92, 140)) },
    { part: 'mounting-bolt', style: 'solid', d: circle(p(102, 148), 6) },
    { part: 'b-screw', style: 'line', d: polyline(p(116, 152), p(132, 158)) },
    { part: 'parallelogram', style: 'shape', d: polygon(p(104, 142), p(118, 132), p(98, 96), p(84, 106)) },
    { part: 'parallelogram', style: 'line', d: polyline(p(108, 138), p(90, 104)) + polyline(p(114, 134), p(95, 99)) },
    { part: 'limit-screws', style: 'solid', d: circle(p(116, 126), 2.6) + circle(p(112, 119), 2.6) },
    { part: 'cable-anchor', style: 'solid', d: circle(p(122, 112), 4) },
    { part: 'barrel', style: 'shape', d: polygon(p(124, 100), p(140, 92), p(144, 99), p(128, 107)) },
    { part: 'cage', style: 'shape', d: polygon(p(70, 100), p(86, 100), p(73, 30), p(56, 30)) },
    { part: 'pulley.upper', style: 'shape', d: circle(upper, 17) + circle(upper, 5) },
    { part: 'pulley.lower', style: 'shape', d: circle(lower, 17) + circle(lower, 5) },
    {
      part: 'chain',
      style: 'line',
      d: curved(p(20, 176), p(56, 128), p(62, 100), p(92, 82), p(80, 44), p(64, 17), p(20, 20)),
    },
    { part: 'cage-spring', style: 'line', d: circle(p(88, 100), 11) },
  ];
  return {
    id: 'derailleur',
    title: 'Rear derailleur, from the drive side',
    widthMm: 160,
    heightMm: 190,
    strokes,
    parts: [
      { id: 'hanger', label: 'Hanger', spot: p(104, 172) },
      { id: 'mounting-bolt', label: 'Mounting bolt', spot: p(102, 148) },
      { id: 'b-screw', label: 'Angle screw', spot: p(130, 157) },
      { id: 'parallelogram', label: 'Pivots', spot: p(96, 112) },
      { id: 'limit-screws', label: 'Limit screws', spot: p(115, 122) },
      { id: 'cable-anchor', label: 'Cable anchor', spot: p(122, 112) },
      { id: 'barrel', label: 'Barrel adjuster', spot: p(136, 98) },
      { id: 'pulley.upper', label: 'Guide pulley', spot: upper },
      { id: 'pulley.lower', label: 'Tension pulley', spot: lower },
      { id: 'cage-spring', label: 'Cage pivot and spring', spot: p(88, 111) },
    ],
  };
}

/** A brake from the front: what one arm has, the other has mirrored. */
function brake(whole: BicycleKind, end: 'front' | 'rear'): Detail | null {
  const kind = kindAt(whole, `brake.${end}`);
  if (kind.brakes === 'drum' || (kind.brakes === 'back-pedal' && end === 'rear')) return null;
  const middle = 75;
  const p = (x: number, y: number): Point => ({ x: middle + x, y });
  const both = (build: (s: 1 | -1) => DetailStroke[]) => [...build(-1), ...build(1)];
  const title = `${end === 'front' ? 'Front' : 'Rear'} brake, ${kind.brakes === 'disc' ? 'cut across the disc' : 'from the front'}`;
  if (kind.brakes === 'disc')
    return {
      id: 'brake',
      title,
      widthMm: 150,
      heightMm: 130,
      strokes: [
        { part: 'disc', style: 'cut', d: polygon(p(-0.9, 6), p(0.9, 6), p(0.9, 96), p(-0.9, 96)) },
        ...both((s): DetailStroke[] => [
          {
            part: 'caliper',
            style: 'cut',
            d: polygon(p(12 * s, 62), p(34 * s, 62), p(34 * s, 122), p(0, 122), p(0, 108), p(12 * s, 104)),
          },
          { part: 'piston', style: 'shape', d: polygon(p(7 * s, 70), p(20 * s, 70), p(20 * s, 92), p(7 * s, 92)) },
          { part: 'pads', style: 'shape', d: polygon(p(3.6 * s, 66), p(6 * s, 66), p(6 * s, 96), p(3.6 * s, 96)) },
          { part: 'pads', style: 'solid', d: polygon(p(1.4 * s, 68), p(3.6 * s, 68), p(3.6 * s, 94), p(1.4 * s, 94)) },
        ]),
      ],
      parts: [
        { id: 'disc', label: 'Disc', spot: p(0, 24) },
        { id: 'caliper', label: 'Caliper', spot: p(26, 112) },
        { id: 'piston', label: 'Piston', spot: p(15, 81) },
        { id: 'pads', label: 'Pad and backing', spot: p(-4, 90) },
      ],
    };
  const arms: Record<'caliper' | 'posts', (s: 1 | -1) => DetailStroke[]> = {
    caliper: (s) => [
      {
        part: 'arms',
        style: 'line',
        d: curved(p(-8 * s, 152), p(4 * s, 136), p(34 * s, 120), p(40 * s, 92), p(26 * s, 74)),
      },
      {
        part: 'arms',
        style: 'line',
        d: curved(p(-14 * s, 148), p(-2 * s, 130), p(24 * s, 112), p(30 * s, 92), p(20 * s, 76)),
      },
    ],
    posts: (s) => [
      {
        part: 'arms',
        style: 'shape',
        d: polygon(
          p(24 * s, 46),
          p(33 * s, 46),
          p((kind.brakes === 'cantilever' ? 62 : 30) * s, kind.brakes === 'cantilever' ? 118 : 146),
          p((kind.brakes === 'cantilever' ? 54 : 22) * s, kind.brakes === 'cantilever' ? 122 : 146),
        ),
      },
      { part: 'pivots', style: 'solid', d: circle(p(28 * s, 48), 5) },
    ],
  };
  const posts = kind.brakes === 'cantilever' || kind.brakes === 'direct-pull';
  return {
    id: 'brake',
    title,
    widthMm: 150,
    heightMm: 176,
    strokes: [
      {
        part: 'rim',
        style: 'cut',
        d: polygon(p(-10, 62), p(-10, 88), p(-7, 88), p(-7, 66), p(7, 66), p(7, 88), p(10, 88), p(10, 62)),
      },
      { part: 'tyre', style: 'line', d: curved(p(-9, 88), p(-15, 102), p(0, 116), p(15, 102), p(9, 88)) },
      ...both(arms[posts ? 'posts' : 'caliper']),
      ...both((s): DetailStroke[] => [
        { part: 'pads', style: 'solid', d: polygon(p(11 * s, 66), p(18 * s, 66), p(18 * s, 82), p(11 * s, 82)) },
        {
          part: 'pad-bolts',
          style: 'shape',
          d: polygon(p(18 * s, 70), p((posts ? 30 : 27) * s, 70), p((posts ? 30 : 27) * s, 78), p(18 * s, 78)),
        },
      ]),
      ...(posts
        ? ([
            {
              part: 'cable',
              style: 'line',
              d:
                kind.brakes === 'cantilever'
                  ? polyline(p(-58, 120), p(0, 150), p(58, 120)) + polyline(p(0, 150), p(0, 172))
                  : polyline(p(-26, 142), p(40, 142)),
            },
          ] satisfies DetailStroke[])
        : ([
            { part: 'pivot', style: 'solid', d: circle(p(0, 132), 5) },
            { part: 'cable', style: 'line', d: polyline(p(12, 150), p(12, 172)) },
          ] satisfies DetailStroke[])),
    ],
    parts: [
      { id: 'rim', label: 'Rim', spot: p(-8, 64) },
      { id: 'pads', label: 'Pad', spot: p(-15, 68) },
      { id: 'pad-bolts', label: 'Pad nut', spot: p(25, 74) },
      {
        id: 'arms',
        label: 'Arm',
        spot: posts ? p(kind.brakes === 'cantilever' ? 52 : 28, kind.brakes === 'cantilever' ? 106 : 120) : p(36, 112),
      },
      posts ? { id: 'pivots', label: 'Pivot', spot: p(28, 48) } : { id: 'pivot', label: 'Pivot', spot: p(0, 132) },
      { id: 'cable', label: 'Cable', spot: posts ? p(0, kind.brakes === 'cantilever' ? 158 : 142) : p(12, 164) },
    ],
  };
}

/**
 * The detail drawing of the assembly at a place, from its usual numbers, or null where there is none.
 *
 * Shapes: millimetres, y upwards. Sections are cut along the axle; left is the bicycle's left. Source: usual sizes of
 * each kind. Example: `detailOf('hub.front', kind)` is the front hub, cut along its axle.
 */
export function detailOf(place: string, kind: BicycleKind): Detail | null {
  switch (place) {
    case 'hub.front':
      return hub(kind, 'front');
    case 'hub.rear':
      return hub(kind, 'rear');
    case 'headset':
    case 'headset.upper':
    case 'headset.lower':
      return headset(kind);
    case 'bottom-bracket':
      return bottomBracket(kind);
    case 'pedal.left':
      return pedal('left');
    case 'pedal.right':
      return pedal('right');
    case 'derailleur.rear':
      return kind.gears === 'derailleur' ? derailleur() : null;
    case 'brake.front':
    case 'pads.front':
    case 'disc.front':
      return brake(kind, 'front');
    case 'brake.rear':
    case 'pads.rear':
    case 'disc.rear':
      return brake(kind, 'rear');
    default:
      return null;
  }
}
