import { bicycleKind } from '../bicycle';
import { bicycleGeometry } from './bicycle';
import { groupSigns } from './groups';
import { SIGNS, signRank } from './signs';
import type { PlacedSign } from './svg';

const { spots } = bicycleGeometry(bicycleKind.parse({}));
const WITHIN_MM = 60;
const square = (mm: number) => () => ({ wideMm: mm, highMm: mm });
const all = Object.keys(spots).map((place, i): PlacedSign => ({ place, sign: SIGNS[i % SIGNS.length]! }));

describe('near signs', () => {
  test('each place is in one group, and no two leads stand on one another', () => {
    const groups = groupSigns(all, spots, square(WITHIN_MM));
    expect(groups.flatMap(({ places }) => places).sort()).toEqual(Object.keys(spots).sort());
    expect(groups.length).toBeLessThan(all.length);
    for (const a of groups)
      for (const b of groups)
        if (a !== b) {
          const [p, q] = [spots[a.lead.place]!, spots[b.lead.place]!];
          expect(Math.max(Math.abs(p.x - q.x), Math.abs(p.y - q.y))).toBeGreaterThanOrEqual(WITHIN_MM);
        }
  });
  test('the gravest leads: what is unsafe is never hidden', () => {
    for (const { lead, places } of groupSigns(all, spots, square(400))) {
      const ranks = places.map((place) => signRank(all.find((sign) => sign.place === place)!.sign));
      expect(signRank(lead.sign)).toBe(Math.max(...ranks));
    }
    const near = groupSigns(
      [
        { place: 'crank.right', sign: 'fine' },
        { place: 'bottom-bracket', sign: 'unsafe' },
      ],
      spots,
      square(200),
    );
    expect(near).toEqual([
      { lead: { place: 'bottom-bracket', sign: 'unsafe' }, places: ['bottom-bracket', 'crank.right'] },
    ]);
  });
  test('drawn larger they come apart, and a place that is not drawn is left out', () => {
    expect(groupSigns(all, spots, square(0.001))).toHaveLength(all.length);
    expect(groupSigns([{ place: 'no.such', sign: 'fine' }], spots, square(10))).toEqual([]);
  });
});
