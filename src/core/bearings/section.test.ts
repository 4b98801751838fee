import { benchRows } from './data/benches';
import { assemblyAt } from '../strip/assembly';
import { assemblyRows } from '../strip/data/templates';
import { fittingRows, sectionPartRows } from './data/fittings';
import { bearingSection, cartridgeBallMm } from './section';
import { fitSection, layLabels } from './sectionLabels';
import { drawnPlayMm } from './sectionRows';
import type { BearingSection, SectionInput, SectionShape } from './sectionTypes';

const hub: SectionInput = {
  kind: 'cup-and-cone',
  rows: [
    { id: 'left', ballMm: 4.7625, holds: 10, in: 6 },
    { id: 'right', ballMm: 4.7625, holds: 10, in: 0 },
  ],
  circleMm: 16.2,
  rowsApartMm: 54,
  axleMm: 9,
  upright: false,
  cartridges: {},
  names: { cup: 'Cup', cone: 'Cone' },
};
const fittingsOf = (assembly: string) => fittingRows.filter((row) => row.assemblies.includes(assembly));
/** A hub with all that lies round its balls. */
const dressed: SectionInput = { ...hub, fittings: fittingsOf('hub-front') };

/** The corners of a path of straight lines. */
function corners(shape: SectionShape): [number, number][] {
  return [...shape.d.matchAll(/[ML](-?[\d.e-]+),(-?[\d.e-]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
}
const middleX = (shape: SectionShape) => {
  const xs = corners(shape).map(([x]) => x);
  return (Math.min(...xs) + Math.max(...xs)) / 2;
};
const part = (section: BearingSection, row: string, which: 'cup' | 'cone') =>
  section.shapes.find((shape) => shape.row === row && shape.part === which)!;
const fitting = (section: BearingSection, label: string, last = false) => {
  const all = section.shapes.filter((shape) => shape.label === label);
  return last ? all.at(-1)! : all[0]!;
};

describe('the section of a bearing', () => {
  test('it is to scale: the balls lie on their circle and do not overlap, and as many are filled as are in', () => {
    const { faces } = bearingSection(hub);
    expect(faces.map((face) => face.slots.filter((slot) => slot.ball === 'in').length)).toEqual([6, 0]);
    const [left] = faces;
    for (const { x, y } of left!.slots) expect(Math.hypot(x - left!.x, y - left!.y)).toBeCloseTo(8.1, 9);
    const [a, b] = left!.slots;
    expect(Math.hypot(a!.x - b!.x, a!.y - b!.y)).toBeGreaterThan(4.7625);
  });

  test('every row has its cup, its cone and its balls, above and below the axle', () => {
    const { shapes } = bearingSection(hub);
    for (const row of ['left', 'right'])
      for (const which of ['cup', 'cone', 'balls'] as const)
        expect(shapes.filter((shape) => shape.row === row && shape.part === which)).toHaveLength(2);
  });

  test.each([{}, { upright: true }, { stacked: true }, { upright: true, stacked: true }])(
    'everything lies on the sheet: %p',
    (changes) => {
      const { widthMm, heightMm, faces, shapes, setAt } = bearingSection({
        ...dressed,
        set: { row: 'right', part: 'cone', playMm: 0.05 },
        ...changes,
      });
      for (const { x, y, circleR, ballR } of faces) {
        expect(x - circleR - ballR).toBeGreaterThanOrEqual(0);
        expect(x + circleR + ballR).toBeLessThanOrEqual(widthMm + 1e-9);
        expect(y - circleR - ballR).toBeGreaterThanOrEqual(0);
        expect(y + circleR + ballR).toBeLessThanOrEqual(heightMm + 1e-9);
      }
      for (const [x, y] of [...shapes.flatMap(corners), [setAt!.x, setAt!.y]]) {
        expect(x).toBeGreaterThan(0);
        expect(x).toBeLessThan(widthMm);
        expect(y).toBeGreaterThan(0);
        expect(y).toBeLessThan(heightMm);
      }
    },
  );

  test('in a hub the cones lie outboard of the cups; in a bottom bracket the cups lie outboard', () => {
    const inHub = bearingSection(hub);
    expect(middleX(part(inHub, 'left', 'cone'))).toBeLessThan(middleX(part(inHub, 'left', 'cup')));
    expect(middleX(part(inHub, 'right', 'cone'))).toBeGreaterThan(middleX(part(inHub, 'right', 'cup')));
    const bracket = bearingSection({ ...hub, outboard: ['left', 'right'] });
    expect(middleX(part(bracket, 'left', 'cup'))).toBeLessThan(middleX(part(bracket, 'left', 'cone')));
    expect(middleX(part(bracket, 'right', 'cup'))).toBeGreaterThan(middleX(part(bracket, 'right', 'cone')));
  });

  test('play stands what is turned off its balls, with its washer and locknut, and moves nothing else', () => {
    const still = bearingSection({ ...dressed, set: { row: 'right', part: 'cone', playMm: 0 } });
    const loose = bearingSection({ ...dressed, set: { row: 'right', part: 'cone', playMm: 0.03 } });
    const moved = (shape: (section: BearingSection) => SectionShape) => middleX(shape(loose)) - middleX(shape(still));
    expect(moved((at) => part(at, 'right', 'cone'))).toBeCloseTo(drawnPlayMm(0.03), 6);
    expect(moved((at) => fitting(at, 'Locknut', true))).toBeCloseTo(drawnPlayMm(0.03), 6);
    expect(moved((at) => part(at, 'right', 'cup'))).toBe(0);
    expect(moved((at) => part(at, 'left', 'cone'))).toBe(0);
    expect(moved((at) => fitting(at, 'Locknut'))).toBe(0);
    expect(drawnPlayMm(0.06)).toBeGreaterThan(drawnPlayMm(0.03));
    expect(drawnPlayMm(5)).toBe(drawnPlayMm(50));
  });

  test('washer and locknut follow their cone outwards, as they come off', () => {
    const section = bearingSection(dressed);
    const order = [part(section, 'right', 'cone'), fitting(section, 'Washer', true), fitting(section, 'Locknut', true)];
    expect(order.map(middleX)).toEqual(order.map(middleX).sort((a, b) => a - b));
  });

  test('a bore wider than its outside is drawn and not a fault of the page', () => {
    expect(cartridgeBallMm({ boreMm: 28, odMm: 15 })).toBeGreaterThan(0);
    const slip = { left: { boreMm: 28, odMm: 15, widthMm: 7 }, right: { boreMm: 15, odMm: 28, widthMm: 7 } };
    const rows = hub.rows.map((row) => ({ ...row, ballMm: cartridgeBallMm(slip.left) }));
    expect(bearingSection({ ...hub, rows, kind: 'cartridge', cartridges: slip }).shapes.length).toBeGreaterThan(8);
  });

  test('three retainers of a coaster hub are three faces, the small one on its own circle; both inner ones face the sprocket', () => {
    const three = bearingSection({
      ...hub,
      rows: ['brake', 'driver', 'small'].map((id) => ({
        id,
        ballMm: 5,
        holds: 8,
        in: 0,
        ...(id === 'small' ? { circleMm: 12 } : {}),
      })),
    });
    expect(three.faces.map((face) => face.circleR)).toEqual([8.1, 8.1, 6]);
    expect(middleX(part(three, 'brake', 'cone'))).toBeLessThan(middleX(part(three, 'brake', 'cup')));
    for (const row of ['driver', 'small'])
      expect(middleX(part(three, row, 'cone'))).toBeGreaterThan(middleX(part(three, row, 'cup')));
  });

  test('cartridges are boxes of their size; rows that stay shut are drawn and never counted', () => {
    const boxes = bearingSection({
      ...hub,
      kind: 'cartridge',
      cartridges: { left: { boreMm: 15, odMm: 28, widthMm: 7 }, right: { boreMm: 15, odMm: 28, widthMm: 7 } },
    });
    expect(boxes.faces).toHaveLength(0);
    expect(boxes.shapes.filter((shape) => shape.part === 'outer')).toHaveLength(4);
    const shut = bearingSection({ ...hub, rows: hub.rows.map((row) => ({ ...row, shut: true })) });
    expect(shut.faces).toHaveLength(0);
    expect(shut.shapes.filter((shape) => shape.part === 'balls')).toHaveLength(4);
  });
});

describe('the names in a section', () => {
  const wide = (label: string, textMm: number) => label.length * 0.54 * textMm;

  test.each([1, 2, 4])('across: no words touch and no leader runs through words, at %p mm', (textMm) => {
    const { labels } = layLabels(bearingSection(dressed), true, textMm);
    expect(labels.length).toBeGreaterThan(2);
    for (const one of labels)
      for (const other of labels)
        if (one !== other) {
          const apart = Math.abs(one.x - other.x) >= (wide(one.label, textMm) + wide(other.label, textMm)) / 2;
          expect(apart || Math.abs(one.y - other.y) >= textMm).toBe(true);
          const passes = Math.min(one.y, one.toY) < other.y && Math.max(one.y, one.toY) > other.y;
          if (passes) expect(Math.abs(one.toX - other.x)).toBeGreaterThan(wide(other.label, textMm) / 2);
        }
  });

  test('upright: every name stands at the left, one under another in the order of what they point at', () => {
    const { labels, leftMm } = layLabels(bearingSection({ ...dressed, upright: true }), true, 3);
    expect(labels).toHaveLength(bearingSection(dressed).named.length);
    const ys = labels.map((label) => label.y);
    for (let i = 1; i < ys.length; i++) expect(ys[i]! - ys[i - 1]!).toBeGreaterThanOrEqual(3);
    for (const { x, label } of labels) expect(x - wide(label, 3)).toBeGreaterThanOrEqual(-leftMm - 1e-9);
  });

  test.each([
    { widePx: 626, tallPx: 320 },
    { widePx: 358, tallPx: 480 },
  ])('fitted, the section with its names fills its sheet and no more: %p', (sheet) => {
    for (const upright of [false, true]) {
      const section = bearingSection({ ...dressed, upright });
      const fitted = fitSection(section, { ...sheet, textPx: 12.5, rowNamePx: 24 }, true);
      const wide = (section.widthMm + fitted.leftMm) / fitted.mmPerPx / sheet.widePx;
      const tall = (section.heightMm + fitted.aboveMm + fitted.underMm) / fitted.mmPerPx / sheet.tallPx;
      expect(Math.max(wide, tall)).toBeLessThan(1.02);
      expect(Math.max(wide, tall)).toBeGreaterThan(0.9);
    }
  });
});

describe('the table of what lies round the balls', () => {
  test('every bearing is drawn with more than its balls, and every row of the table belongs to one', () => {
    const ids = benchRows.map((row) => row.assembly);
    for (const id of ids) expect([id, fittingsOf(id).length > 1]).toEqual([id, true]);
    for (const row of fittingRows) for (const id of row.assemblies) expect(ids).toContain(id);
  });

  test('a pedal’s inner body sits at the crank, its washer outboard with the convex side out', () => {
    const pedal = fittingsOf('pedal-sleeve');
    expect(pedal.find((row) => row.label === 'Inner body')!.at).toEqual(['inner']);
    expect(pedal.find((row) => row.label === 'Washer, convex side out')!.at).toEqual(['outer']);
  });

  test('the bottom bracket’s cups lie outboard, a threaded headset’s only at the top', () => {
    const outboard = (id: string) => benchRows.find((row) => row.assembly === id)!.outboard;
    expect(outboard('bb-cup-cone')).toEqual(['left', 'right']);
    expect(outboard('headset-threaded')).toEqual(['upper']);
    expect(outboard('hub-front')).toEqual([]);
  });
});

describe('the parts of a tray in a section', () => {
  /** What lies outside of what is cut: skewers and nuts, cogs and guards, what hangs on the arm. */
  const BESIDE =
    /^(skewer|nuts?\b|nut\.|spoke-guard|freewheel|freehub-bolt|cassette|lockring|arm-clip|cog-clip|tab\.|cap$|sleeve|tube|seal|shims|spacer|bolt\.lower|lower|covers\.lower)/;
  test.each(benchRows.map((row) => row.assembly))('%s: each line is a part that exists, each part has a line', (id) => {
    const { parts } = assemblyAt(id, assemblyRows.find((row) => row.id === id)!.places[0]!);
    const known = parts.map((part) => part.id);
    const shown = [
      ...fittingRows.filter((row) => row.assemblies.includes(id)).flatMap(({ part }) => part ?? []),
      ...sectionPartRows.filter((row) => row.assemblies.includes(id)).map(({ part }) => part),
    ];
    expect(known).toEqual(expect.arrayContaining([...new Set(shown)]));
    expect(known.filter((part) => !shown.includes(part) && !BESIDE.test(part))).toEqual([]);
  });
  test('a cone says which part it is, above and below the axle; a row that never came out wants no ball', () => {
    const shows = { 'cone.left': 'cone.left', axle: 'axle' };
    const { shapes, faces } = bearingSection({
      ...hub,
      shows,
      rows: [hub.rows[0]!, { ...hub.rows[1]!, in: null }],
    });
    expect(shapes.filter((shape) => shape.shows === 'cone.left')).toHaveLength(2);
    expect(shapes[0]).toMatchObject({ part: 'axle', shows: 'axle' });
    expect(new Set(faces[1]!.slots.map(({ ball }) => ball))).toEqual(new Set(['never out']));
    expect(bearingSection({ ...hub, faceless: true }).faces).toEqual([]);
  });
});
