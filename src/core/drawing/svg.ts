import type { BicycleKind } from '../bicycle';
import { placeLabel } from '../vocabulary/vocabulary';
import { bicycleGeometry } from './bicycle';
import { SIGN_SHAPES, signLabel, signTone, type SignId } from './signs';

export interface PlacedSign {
  place: string;
  sign: SignId;
  words?: string;
  /** What it is called in the list beside the drawing, instead of its shape. */
  number?: string;
}

/** Colours of a drawing that leaves the application: ink on paper. */
const INK = '#16212b';
const PAPER = '#ffffff';
const FAINT = '#8d979d';
const TONES: Record<string, string> = {
  fine: '#1f6b3f',
  watch: '#7d5a00',
  service: '#0f6674',
  replace: '#a2440c',
  unsafe: '#b3141c',
  'not-looked-at': '#5d6870',
  ink: INK,
  accent: '#1d45b8',
};
const SIGN_MM = 60;
const CASING_MM = 6;
const TITLE_MM = 90;

function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
}

/**
 * The drawing of a bicycle with its signs as one SVG file, in millimetres of the bicycle, readable anywhere.
 *
 * Every sign has a `<title>` with its place and word; text is escaped. Example: `drawingSvg(kind, 'Green tourer', [])`.
 */
export function drawingSvg(kind: BicycleKind, title: string, signs: PlacedSign[]): string {
  const { widthMm, heightMm, wheels, strokes, spots } = bicycleGeometry(kind);
  const height = heightMm + TITLE_MM;
  const lines: string[] = [];
  for (const wheel of wheels) {
    const { centre, tyreRadiusMm, rimRadiusMm } = wheel;
    lines.push(
      `<path d="${wheel.spokes}" stroke="${FAINT}" stroke-width="1.4"/>`,
      ...[
        [tyreRadiusMm - 2.5, 5],
        [rimRadiusMm + 2, 2.5],
        [rimRadiusMm - 14, 2.5],
      ].map(([r, weight]) => `<circle cx="${centre.x}" cy="${centre.y}" r="${r}" stroke-width="${weight}"/>`),
    );
  }
  for (const stroke of strokes) {
    const opacity = stroke.far ? ' opacity="0.55"' : '';
    if (stroke.style === 'tube')
      lines.push(
        `<g${opacity}><path d="${stroke.d}" stroke-width="${stroke.widthMm}"/><path d="${stroke.d}" stroke="${PAPER}" stroke-width="${stroke.widthMm - CASING_MM}"/></g>`,
      );
    else {
      const fill = stroke.style === 'shape' ? PAPER : stroke.style === 'solid' ? INK : 'none';
      lines.push(`<path d="${stroke.d}" fill="${fill}" stroke-width="${stroke.widthMm}"${opacity}/>`);
    }
  }
  const marks = signs.flatMap(({ place, sign, words }) => {
    const spot = spots[place];
    if (!spot) return [];
    const tone = TONES[signTone(sign)]!;
    const colour = { tone, paper: PAPER, none: 'none' };
    const shapes = SIGN_SHAPES[sign].map(
      ({ d, fill, stroke, width, dash }) =>
        `<path d="${d}" fill="${colour[fill]}" stroke="${colour[stroke]}" stroke-width="${width}"${dash ? ` stroke-dasharray="${dash}"` : ''} stroke-linecap="round" stroke-linejoin="round"/>`,
    );
    const at = `translate(${(spot.x - SIGN_MM / 2).toFixed(1)} ${(heightMm - spot.y - SIGN_MM / 2).toFixed(1)}) scale(${SIGN_MM / 24})`;
    return [
      `<g transform="${at}"><title>${escaped(`${placeLabel(place)}: ${words ?? signLabel(sign)}`)}</title>${shapes.join('')}</g>`,
    ];
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${widthMm.toFixed(1)} ${height.toFixed(1)}" width="${widthMm.toFixed(1)}" height="${height.toFixed(1)}" font-family="sans-serif">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="100%" height="100%" fill="${PAPER}"/>`,
    `<g transform="translate(0 ${heightMm.toFixed(1)}) scale(1 -1)" fill="none" stroke="${INK}" stroke-linecap="round" stroke-linejoin="round">`,
    `<path d="M10 0H${(widthMm - 10).toFixed(1)}" stroke="${FAINT}" stroke-width="2.5"/>`,
    ...lines,
    '</g>',
    ...marks,
    `<text x="30" y="${(height - 30).toFixed(1)}" font-size="36" fill="${INK}">${escaped(title)}</text>`,
    '</svg>',
    '',
  ].join('\n');
}
