import fc from 'fast-check';
import { bicycleKind, BRAKES, FRAMES, GEARS, type BicycleKind } from '../bicycle';
import { places } from '../vocabulary/vocabulary';
import { bicycleGeometry, type BicycleGeometry } from './bicycle';
import { nearestPlace, placeAt } from './nearest';
import { distance, outerTangents, throughPoint, type Point } from './points';
import { skeletonOf } from './skeleton';

const anyKind: fc.Arbitrary<BicycleKind> = fc
  .record({
    frame: fc.constantFrom(...FRAMES),
    gears: fc.constantFrom(...GEARS),
    brakes: fc.constantFrom(...BRAKES),
    bars: fc.constantFrom('drop', 'flat', 'swept'),
    stem: fc.constantFrom('quill', 'threadless'),
    wheels: fc.constantFrom('quick-release', 'nutted'),
    beadSeatMm: fc.constantFrom(305, 349, 406, 451, 507, 559, 584, 590, 622, 630),
    tyreWidthMm: fc.integer({ min: 18, max: 64 }),
    mudguards: fc.boolean(),
    rack: fc.boolean(),
    lights: fc.boolean(),
    basket: fc.boolean(),
  })
  .map((kind) => bicycleKind.parse(kind));

/** The points that path data names, the ends of its curves among them. */
function pointsOf(d: string): Point[] {
  const points: Point[] = [];
  for (const [, letter, list] of d.matchAll(/([MLCA])([^MLCAZ]*)/g)) {
    const numbers = (list!.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
    if (letter === 'A') points.push({ x: numbers[5]!, y: numbers[6]! });
    else for (let i = 0; i + 1 < numbers.length; i += 2) points.push({ x: numbers[i]!, y: numbers[i + 1]! });
  }
  return points;
}

function boxOf(geometry: BicycleGeometry, part: string): { x: [number, number]; y: [number, number] } | null {
  const points = geometry.strokes.filter((line) => line.part === part).flatMap((line) => pointsOf(line.d));
  if (points.length === 0) return null;
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { x: [Math.min(...xs), Math.max(...xs)], y: [Math.min(...ys), Math.max(...ys)] };
}

/** Places that are drawn with the wheels or stand for a whole between its parts. */
const OF_WHEELS = /^(rim|tyre|spokes)\./;
const GUARD_MM = 15;
const WITHIN_MM = 30;

describe('the drawing of any bicycle', () => {
  test('both wheels stand on the ground and nothing lies below it', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const geometry = bicycleGeometry(kind);
        for (const wheel of geometry.wheels) expect(wheel.centre.y).toBeCloseTo(wheel.tyreRadiusMm, 6);
        const low = geometry.strokes.flatMap((line) => pointsOf(line.d)).filter((p) => p.y < 0);
        expect(low).toEqual([]);
      }),
    );
  });

  test('it fits its sheet and holds no figure that is none', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const { strokes, wheels, widthMm, heightMm, spots } = bicycleGeometry(kind);
        const drawn = [...strokes.map((line) => line.d), ...wheels.map((wheel) => wheel.spokes)].join('');
        expect(drawn).not.toMatch(/NaN|Infinity|undefined/);
        const outside = [...strokes.flatMap((line) => pointsOf(line.d)), ...Object.values(spots)].filter(
          (p) => p.x < 0 || p.x > widthMm + 0.05 || p.y > heightMm + 0.05,
        );
        expect(outside).toEqual([]);
      }),
    );
  });

  test('the chain meets ring and cog', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const { strokes, ring, cog } = bicycleGeometry(kind);
        const [from, to] = pointsOf(strokes.find((line) => line.id === 'chain-top')!.d) as [Point, Point];
        expect(distance(from, cog.centre)).toBeCloseTo(cog.radiusMm, 0);
        expect(distance(to, ring.centre)).toBeCloseTo(ring.radiusMm, 0);
        // A tangent stands square on its radius.
        const square = (to.x - from.x) * (to.x - ring.centre.x) + (to.y - from.y) * (to.y - ring.centre.y);
        expect(Math.abs(square) / (distance(from, to) * ring.radiusMm)).toBeLessThan(0.01);
        const low = pointsOf(strokes.find((line) => line.id === 'chain-low')!.d).at(-1)!;
        expect(distance(low, ring.centre)).toBeCloseTo(ring.radiusMm, 0);
      }),
    );
  });

  test('no place lies outside its part', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const geometry = bicycleGeometry(kind);
        for (const [place, spot] of Object.entries(geometry.spots)) {
          if (OF_WHEELS.test(place)) {
            const { centre, rimRadiusMm, tyreRadiusMm } = geometry.wheels.find((w) => place.endsWith(w.end))!;
            const away = distance(spot, centre);
            const [least, most] = place.startsWith('tyre')
              ? [rimRadiusMm, tyreRadiusMm]
              : place.startsWith('rim')
                ? [rimRadiusMm - 26, rimRadiusMm]
                : [24, rimRadiusMm];
            expect([place, away >= least && away <= most]).toEqual([place, true]);
            continue;
          }
          if (place === 'mudguards') {
            const rear = geometry.wheels[0]!;
            expect(distance(spot, rear.centre)).toBeCloseTo(rear.tyreRadiusMm + GUARD_MM, 6);
            continue;
          }
          // A headset is its two ends; what is under the frame has no line of its own; levers sit on their bar.
          const part =
            { headset: 'frame', 'frame.underside': 'bottom-bracket', 'shifter.left': 'frame' }[place] ?? place;
          const box = boxOf(
            geometry,
            part === 'frame' && place === 'shifter.left' && kind.bars !== 'drop' ? 'grip.left' : part,
          );
          const room =
            place === 'frame.underside' || place.startsWith('axle') || place.startsWith('shifter') ? 70 : WITHIN_MM;
          const inside =
            box !== null &&
            spot.x >= box.x[0] - room &&
            spot.x <= box.x[1] + room &&
            spot.y >= box.y[0] - room &&
            spot.y <= box.y[1] + room;
          expect([place, kind.frame, inside]).toEqual([place, kind.frame, true]);
        }
      }),
    );
  });

  test('left and right are mirrored: cranks and pedals through the bottom bracket, the bar through its middle', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const { spots } = bicycleGeometry(kind);
        for (const part of ['crank', 'pedal'])
          expect(
            distance(spots[`${part}.left`]!, throughPoint(spots[`${part}.right`]!, spots['bottom-bracket']!)),
          ).toBeLessThan(0.01);
        // Seen from the side the bar's ends are shifted by the same amount, one to the viewer, one away.
        const apart = (part: string) => ({
          x: spots[`${part}.right`]!.x - spots[`${part}.left`]!.x,
          y: spots[`${part}.right`]!.y - spots[`${part}.left`]!.y,
        });
        expect(apart('grip').x).toBeCloseTo(apart('brake-lever').x, 6);
        expect(apart('grip').y).toBeCloseTo(apart('brake-lever').y, 6);
      }),
    );
  });

  test('every place has a word, and a bicycle has between thirty-five and fifty of them', () => {
    const known = new Set(places.map((place) => place.id));
    fc.assert(
      fc.property(anyKind, (kind) => {
        const drawn = Object.keys(bicycleGeometry(kind).spots);
        expect(drawn.filter((place) => !known.has(place))).toEqual([]);
        expect(drawn.length).toBeGreaterThan(34);
        expect(drawn.length).toBeLessThan(52);
      }),
    );
  });

  test('no two places lie so close that a finger could not tell them apart when zoomed', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const spots = Object.entries(bicycleGeometry(kind).spots);
        const close = spots.flatMap(([a, here], i) =>
          spots.slice(i + 1).flatMap(([b, there]) => (distance(here, there) > 15 ? [] : [`${a} and ${b}`])),
        );
        expect(close).toEqual([]);
      }),
    );
  });

  test('every place is reached by arrow keys from every other', () => {
    fc.assert(
      fc.property(anyKind, (kind) => {
        const { spots } = bicycleGeometry(kind);
        const reached = new Set(['hub.front']);
        const open = ['hub.front'];
        for (let at = open.pop(); at; at = open.pop())
          for (const way of ['left', 'right', 'up', 'down'] as const) {
            const next = nearestPlace(spots, at, way);
            if (next && !reached.has(next)) {
              reached.add(next);
              open.push(next);
            }
          }
        expect([...Object.keys(spots)].filter((place) => !reached.has(place))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  test('a wider tyre lifts the axles and the frame with them; a disc is drawn only for a disc brake', () => {
    const of = (changes: object) => bicycleGeometry(bicycleKind.parse(changes));
    expect(
      of({ tyreWidthMm: 50 }).spots['bottom-bracket']!.y - of({ tyreWidthMm: 25 }).spots['bottom-bracket']!.y,
    ).toBeCloseTo(25, 6);
    expect(of({ brakes: 'disc' }).spots['disc.front']).toBeDefined();
    expect(of({ brakes: 'caliper' }).spots['disc.front']).toBeUndefined();
    expect(of({ gears: 'single' }).spots.hanger).toBeUndefined();
    expect(of({ brakes: 'back-pedal' }).spots['pads.rear']).toBeUndefined();
  });

  test('a pedal never reaches the ground', () => {
    fc.assert(fc.property(anyKind, (kind) => expect(skeletonOf(kind).bb.y - 170).toBeGreaterThan(60)));
  });
});

describe('pointing', () => {
  test('a pointer finds the nearest place within reach and nothing beyond it', () => {
    const spots = { a: { x: 0, y: 0 }, b: { x: 100, y: 0 } };
    expect(placeAt(spots, { x: 30, y: 5 }, 60)).toBe('a');
    expect(placeAt(spots, { x: 70, y: 0 }, 60)).toBe('b');
    expect(placeAt(spots, { x: 50, y: 200 }, 60)).toBeNull();
  });
  test('what lies straight ahead counts as nearer than what lies aside, and an edge stays an edge', () => {
    const spots = { from: { x: 0, y: 0 }, ahead: { x: 100, y: 10 }, aside: { x: 50, y: 60 } };
    expect(nearestPlace(spots, 'from', 'right')).toBe('ahead');
    expect(nearestPlace(spots, 'from', 'left')).toBeNull();
  });
  test('outer tangents of equal circles run beside the line of centres', () => {
    const [[a, b]] = outerTangents({ x: 0, y: 0 }, 10, { x: 50, y: 0 }, 10);
    expect([a.y, b.y]).toEqual([expect.closeTo(10, 6), expect.closeTo(10, 6)]);
  });
});
