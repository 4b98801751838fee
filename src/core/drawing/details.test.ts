import { bicycleKind, BRAKES } from '../bicycle';
import { assemblyAt } from '../strip/assembly';
import { detailOf } from './details';
import { SIGN_SHAPES, SIGNS, signLabel } from './signs';
import { drawingSvg } from './svg';

const frontHub = assemblyAt('hub-front', 'hub.front');

const kind = bicycleKind.parse({});
const PLACES = [
  'hub.front',
  'hub.rear',
  'headset',
  'bottom-bracket',
  'pedal.left',
  'pedal.right',
  'derailleur.rear',
  'brake.front',
  'brake.rear',
];

describe('detail drawings', () => {
  test.each(PLACES)('%s is drawn from numbers, and every named part has a line and lies on the sheet', (place) => {
    for (const brakes of BRAKES)
      for (const stem of ['quill', 'threadless'] as const) {
        const detail = detailOf(place, { ...kind, brakes, stem });
        if (!detail) {
          expect([brakes, place]).toEqual([expect.stringMatching(/drum|back-pedal/), expect.stringMatching(/^brake/)]);
          continue;
        }
        const drawn = new Set(detail.strokes.map((line) => line.part));
        for (const part of detail.parts) {
          expect(drawn).toContain(part.id);
          expect(part.spot.x).toBeGreaterThanOrEqual(0);
          expect(part.spot.x).toBeLessThanOrEqual(detail.widthMm);
          expect(part.spot.y).toBeGreaterThanOrEqual(0);
          expect(part.spot.y).toBeLessThanOrEqual(detail.heightMm);
        }
        expect(detail.strokes.map((line) => line.d).join('')).not.toMatch(/NaN|undefined/);
      }
  });
  test('the front hub shows each part that its tray holds, but for the skewer', () => {
    const named = new Set(detailOf('hub.front', kind)!.parts.map((part) => part.id));
    expect(frontHub.parts.map((part) => part.id).filter((id) => !named.has(id))).toEqual(['skewer']);
  });
  test('the left pedal’s thread is left-handed, and a seat has no detail', () => {
    expect(detailOf('pedal.left', kind)!.parts.find((part) => part.id === 'thread')!.label).toBe('Thread, left-hand');
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
