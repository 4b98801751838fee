import type { BicycleKind } from '../bicycle';
import { along, between, circle, curved, outline, polyline, shifted, type Point } from './points';
import { BAR_LEAN, type Skeleton } from './skeleton';
import { tube, thin, shape, type Stroke } from './strokes';

/** Stem, bars, levers, shifters and bell; the far side first. */
export function cockpit(kind: BicycleKind, s: Skeleton): Stroke[] {
  const near = (p: Point) => shifted(p, BAR_LEAN.x, BAR_LEAN.y);
  const away = (p: Point) => shifted(p, -BAR_LEAN.x, -BAR_LEAN.y);
  const c = s.bars;
  const halves = (build: (side: (p: Point) => Point, name: 'left' | 'right', far: boolean) => Stroke[]) => [
    ...build(away, 'left', true),
    ...build(near, 'right', false),
  ];
  const stem: Stroke[] =
    kind.stem === 'quill'
      ? [tube('stem', 'stem', polyline(along(s.headTop, s.steerDeg, 18), s.stemTop, c), 23)]
      : [
          tube('steerer', 'stem', polyline(along(s.headTop, s.steerDeg, 18), along(s.stemTop, s.steerDeg, 18)), 34),
          tube('stem', 'stem', polyline(s.stemTop, c), 30),
        ];
  const across = tube('bar-across', 'bars', polyline(away(c), near(c)), 24);
  const bar = halves((side, name, far) => {
    const at = (x: number, y: number) => side(shifted(c, x, y));
    if (kind.bars === 'drop')
      return [
        tube(
          `grip-${name}`,
          `grip.${name}`,
          curved(at(0, 0), at(52, 2), at(88, -26), at(92, -68), at(66, -104), at(24, -116), at(-18, -112)),
          24,
          far,
        ),
        shape(
          `lever-hood-${name}`,
          `brake-lever.${name}`,
          outline(at(58, 6), at(84, 30), at(108, 26), at(110, 2), at(92, -22)),
          far,
        ),
        thin(`lever-${name}`, `brake-lever.${name}`, curved(at(106, 4), at(120, -34), at(112, -78)), far),
      ];
    if (kind.bars === 'flat')
      return [
        tube(`grip-${name}`, `grip.${name}`, polyline(at(0, 0), at(-26, 8)), 30, far),
        thin(`lever-${name}`, `brake-lever.${name}`, curved(at(16, 2), at(34, -14), at(30, -52)), far),
      ];
    return [
      tube(`grip-${name}`, `grip.${name}`, curved(at(0, 0), at(28, 22), at(0, 40), at(-70, 32), at(-150, 10)), 24, far),
      thin(`lever-${name}`, `brake-lever.${name}`, curved(at(-44, 26), at(-72, -2), at(-138, -16)), far),
    ];
  });
  const geared = kind.gears === 'derailleur' || kind.gears === 'hub';
  const shifters = !geared
    ? []
    : kind.bars === 'drop'
      ? [
          thin('shifter', 'shifter.right', polyline(downTube(s, 0.62), shifted(downTube(s, 0.62), 16, 42))),
          shape('shifter-boss', 'shifter.right', circle(downTube(s, 0.62), 11)),
        ]
      : [
          shape(
            'shifter',
            'shifter.right',
            circle(near(shifted(c, kind.bars === 'flat' ? 18 : 10, kind.bars === 'flat' ? -14 : 38)), 13),
          ),
        ];
  const bell = shape('bell', 'bell', circle(shifted(c, -14, 34), 12), true);
  return [bell, ...stem, ...bar.filter((b) => b.far), across, ...bar.filter((b) => !b.far), ...shifters];
}

/** A point along the down tube, counted from the bottom bracket. */
export function downTube(s: Skeleton, share: number): Point {
  return between(s.bb, between(s.headLow, s.headTop, 0.2), share);
}
