import { kindAt, type BicycleKind } from '../bicycle';
import { circle, curved, polygon, polyline, type Point } from './points';

/** A line of a detail drawing. */
export interface DetailStroke {
  /** The part of the tray that it shows; null where it stays on the bicycle. */
  part: string | null;
  d: string;
  /** Cut metal is hatched, balls and pads are filled, lines are lines. */
  style: 'cut' | 'shape' | 'solid' | 'line';
}

export interface Detail {
  title: string;
  widthMm: number;
  heightMm: number;
  strokes: DetailStroke[];
}

function derailleur(): Detail {
  const p = (x: number, y: number): Point => ({ x, y });
  const upper = p(78, 96);
  const lower = p(64, 34);
  const strokes: DetailStroke[] = [
    { part: null, style: 'cut', d: polygon(p(96, 178), p(116, 178), p(112, 140), p(92, 140)) },
    { part: 'bolt', style: 'solid', d: circle(p(102, 148), 6) },
    { part: 'body', style: 'line', d: polyline(p(116, 152), p(132, 158)) },
    { part: 'body', style: 'shape', d: polygon(p(104, 142), p(118, 132), p(98, 96), p(84, 106)) },
    { part: 'body', style: 'line', d: polyline(p(108, 138), p(90, 104)) + polyline(p(114, 134), p(95, 99)) },
    { part: 'body', style: 'solid', d: circle(p(116, 126), 2.6) + circle(p(112, 119), 2.6) },
    { part: 'anchor', style: 'solid', d: circle(p(122, 112), 4) },
    { part: 'body', style: 'shape', d: polygon(p(124, 100), p(140, 92), p(144, 99), p(128, 107)) },
    { part: 'plate', style: 'shape', d: polygon(p(70, 100), p(86, 100), p(73, 30), p(56, 30)) },
    { part: 'pulley.upper', style: 'shape', d: circle(upper, 17) },
    { part: 'pulley.lower', style: 'shape', d: circle(lower, 17) },
    { part: 'pulley-bolt.upper', style: 'solid', d: circle(upper, 5) },
    { part: 'pulley-bolt.lower', style: 'solid', d: circle(lower, 5) },
    { part: 'inner', style: 'line', d: polyline(p(142, 95), p(122, 112), p(112, 119)) },
    {
      part: null,
      style: 'line',
      d: curved(p(20, 176), p(56, 128), p(62, 100), p(92, 82), p(80, 44), p(64, 17), p(20, 20)),
    },
    { part: 'body', style: 'line', d: circle(p(88, 100), 11) },
  ];
  return {
    title: 'Rear derailleur, from the drive side',
    widthMm: 160,
    heightMm: 190,
    strokes,
  };
}

/** Seen from the front the bicycle's left lies at the right. */
const sideOf = (s: 1 | -1) => (s > 0 ? 'left' : 'right');

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
      title,
      widthMm: 150,
      heightMm: 130,
      strokes: [
        { part: 'disc', style: 'cut', d: polygon(p(-0.9, 6), p(0.9, 6), p(0.9, 96), p(-0.9, 96)) },
        ...both((s): DetailStroke[] => [
          {
            part: null,
            style: 'cut',
            d: polygon(p(12 * s, 62), p(34 * s, 62), p(34 * s, 122), p(0, 122), p(0, 108), p(12 * s, 104)),
          },
          { part: null, style: 'shape', d: polygon(p(7 * s, 70), p(20 * s, 70), p(20 * s, 92), p(7 * s, 92)) },
          { part: 'pads', style: 'shape', d: polygon(p(3.6 * s, 66), p(6 * s, 66), p(6 * s, 96), p(3.6 * s, 96)) },
          { part: 'pads', style: 'solid', d: polygon(p(1.4 * s, 68), p(3.6 * s, 68), p(3.6 * s, 94), p(1.4 * s, 94)) },
        ]),
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
        part: `arm.${sideOf(s)}`,
        style: 'shape',
        d: polygon(
          p(24 * s, 46),
          p(33 * s, 46),
          p((kind.brakes === 'cantilever' ? 62 : 30) * s, kind.brakes === 'cantilever' ? 118 : 146),
          p((kind.brakes === 'cantilever' ? 54 : 22) * s, kind.brakes === 'cantilever' ? 122 : 146),
        ),
      },
      { part: `bolt.${sideOf(s)}`, style: 'solid', d: circle(p(28 * s, 48), 5) },
    ],
  };
  const posts = kind.brakes === 'cantilever' || kind.brakes === 'direct-pull';
  const pads = (s: 1 | -1) => (posts ? `pads.${sideOf(s)}` : 'pads');
  return {
    title,
    widthMm: 150,
    heightMm: 176,
    strokes: [
      {
        part: null,
        style: 'cut',
        d: polygon(p(-10, 62), p(-10, 88), p(-7, 88), p(-7, 66), p(7, 66), p(7, 88), p(10, 88), p(10, 62)),
      },
      { part: null, style: 'line', d: curved(p(-9, 88), p(-15, 102), p(0, 116), p(15, 102), p(9, 88)) },
      ...both(arms[posts ? 'posts' : 'caliper']),
      ...both((s): DetailStroke[] => [
        { part: pads(s), style: 'solid', d: polygon(p(11 * s, 66), p(18 * s, 66), p(18 * s, 82), p(11 * s, 82)) },
        {
          part: pads(s),
          style: 'shape',
          d: polygon(p(18 * s, 70), p((posts ? 30 : 27) * s, 70), p((posts ? 30 : 27) * s, 78), p(18 * s, 78)),
        },
      ]),
      ...(posts
        ? ([
            ...(kind.brakes === 'cantilever'
              ? ([
                  { part: 'straddle', style: 'line', d: polyline(p(-58, 120), p(0, 150), p(58, 120)) },
                  { part: 'inner', style: 'line', d: polyline(p(0, 150), p(0, 172)) },
                ] satisfies DetailStroke[])
              : ([{ part: 'inner', style: 'line', d: polyline(p(-26, 142), p(40, 142)) }] satisfies DetailStroke[])),
            {
              part: 'anchor',
              style: 'solid',
              d: circle(kind.brakes === 'cantilever' ? p(0, 150) : p(-26, 142), 4),
            },
          ] satisfies DetailStroke[])
        : ([
            { part: 'pivot', style: 'solid', d: circle(p(0, 132), 5) },
            { part: 'inner', style: 'line', d: polyline(p(12, 150), p(12, 172)) },
            { part: 'anchor', style: 'solid', d: circle(p(12, 148), 4) },
          ] satisfies DetailStroke[])),
    ],
  };
}

/**
 * The drawing of an assembly that is no bearing, from its usual numbers, or null where there is none; bearings are cut
 * along their axle by `bearingSection`. Shapes: millimetres, y upwards. Source: usual sizes of each kind. Example:
 * `detailOf('derailleur.rear', kind)` is the rear derailleur from the drive side.
 */
export function detailOf(place: string, kind: BicycleKind): Detail | null {
  switch (place) {
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
