import { bicycleKind, BRAKES } from '../bicycle';
import { assembliesFor } from '../strip/assembly';
import { detailOf } from './details';
import { SIGN_SHAPES, SIGNS, signLabel } from './signs';
import { drawingSvg } from './svg';

const kind = bicycleKind.parse({});

describe('what is no bearing', () => {
  test.each(BRAKES)('%s: every line is a part of the tray there, or stays on the bicycle', (brakes) => {
    for (const place of ['brake.front', 'brake.rear', 'derailleur.rear']) {
      const detail = detailOf(place, { ...kind, brakes, gears: 'derailleur' });
      if (!detail) {
        expect([brakes, place]).toEqual([expect.stringMatching(/drum|back-pedal/), expect.stringMatching(/^brake/)]);
        continue;
      }
      expect(detail.strokes.map((line) => line.d).join('')).not.toMatch(/NaN|undefined/);
      const here = assembliesFor({ ...kind, brakes, gears: 'derailleur' }, {}).filter(
        (each) => each.place === place || each.place === place.replace('brake', 'disc'),
      );
      const known = here.flatMap(({ parts }) => parts.map(({ id }) => id));
      const drawn = [...new Set(detail.strokes.flatMap(({ part }) => part ?? []))];
      expect(known).toEqual(expect.arrayContaining(drawn));
      expect(drawn.length).toBeGreaterThan(1);
    }
  });
  test('a seat has none, nor a hub gear a derailleur', () => {
    expect(detailOf('saddle', kind)).toBeNull();
    expect(detailOf('derailleur.rear', { ...kind, gears: 'hub' })).toBeNull();
  });
});

describe('signs', () => {
  test('no two have the same shape or the same word', () => {
    const bare = SIGNS.map((id) => JSON.stringify(SIGN_SHAPES[id]));
    expect(new Set(bare).size).toBe(SIGNS.length);
    expect(new Set(SIGNS.map(signLabel)).size).toBe(SIGNS.length);
  });
});

describe('the drawing as a file', () => {
  test('names and signs stand in it, and nothing typed becomes markup', () => {
    const svg = drawingSvg(kind, 'Green <script>alert(1)</script> & "tourer"', [
      { place: 'hub.front', sign: 'service' },
      { place: 'no.such', sign: 'fine' },
    ]);
    expect(svg).toContain('<title>Front hub: Service</title>');
    expect(svg).not.toContain('<script');
    expect(svg).toContain('Green &#60;script&#62;');
    expect(svg).not.toMatch(/NaN|var\(--/);
  });
});
