import type { BicycleKind } from '../bicycle';
import { along, circle, outerTangents, polygon, polyline, shifted, type Point } from './points';
import { CRANK_DEG, type Skeleton } from './skeleton';
import { tube, thin, fine, shape, solid, type Stroke } from './strokes';

const CRANK_MM = 170;

/** Ring, cog and what the chain runs over. */
export interface Drive {
  ringMm: number;
  cogMm: number;
  cage: Point | null;
  jockey: Point | null;
  strokes: Stroke[];
}

/** Cogs, chain, ring and derailleurs. The runs of the chain are the outer tangents of ring and cog. */
export function drive(kind: BicycleKind, s: Skeleton): Drive {
  const derailleur = kind.gears === 'derailleur';
  const ringMm = derailleur ? 98 : 92;
  const cogMm = derailleur ? 46 : 36;
  const [upper, lower] = outerTangents(s.rear, cogMm, s.bb, ringMm);
  const cage = derailleur ? { x: s.rear.x + 34, y: s.rear.y - cogMm - 96 } : null;
  const jockey = derailleur ? { x: s.rear.x + 38, y: s.rear.y - cogMm - 30 } : null;
  const teeth = Array.from({ length: 44 }, (_, i) =>
    polyline(along(s.bb, i * (360 / 44), ringMm - 1), along(s.bb, i * (360 / 44), ringMm + 5)),
  ).join('');
  const chain: Stroke[] =
    cage && jockey
      ? [
          thin('chain-top', 'chain', polyline(...upper)),
          thin('chain-low', 'chain', polyline(...outerTangents(cage, 15, s.bb, ringMm)[1])),
          thin('chain-cage', 'chain', polyline(along(cage, 150, 14), along(jockey, 10, 14), along(s.rear, -20, cogMm))),
        ]
      : [thin('chain-top', 'chain', polyline(...upper)), thin('chain-low', 'chain', polyline(...lower))];
  const cogs = derailleur
    ? [cogMm, 58, 70].map((r, i) => fine(`cog-${i}`, 'cogs', circle(s.rear, r)))
    : [fine('cog-0', 'cogs', circle(s.rear, cogMm))];
  return {
    ringMm,
    cogMm,
    cage,
    jockey,
    strokes: [
      ...cogs,
      shape('freehub', 'freehub', circle(s.rear, 29)),
      ...chain,
      shape('ring', 'chainrings', circle(s.bb, ringMm)),
      fine('ring-teeth', 'chainrings', teeth),
      fine('ring-inner', 'chainrings', circle(s.bb, ringMm - 17)),
      ...(derailleur ? [fine('ring-small', 'chainrings', circle(s.bb, 70))] : []),
      ...[0, 1, 2, 3, 4].map((i) =>
        tube(`spider-${i}`, 'chainrings', polyline(s.bb, along(s.bb, CRANK_DEG + 36 + i * 72, ringMm - 18)), 11),
      ),
      ...(cage && jockey
        ? [
            tube('derailleur-arm', 'derailleur.rear', polyline(along(s.rear, -70, 44), shifted(jockey, 8, 6)), 17),
            tube('derailleur-cage', 'derailleur.rear', polyline(jockey, cage), 13),
            shape('jockey-upper', 'derailleur.rear', circle(jockey, 15)),
            shape('jockey-lower', 'derailleur.rear', circle(cage, 15)),
            solid('hanger', 'hanger', circle(along(s.rear, -70, 44), 7)),
            shape(
              'derailleur-front',
              'derailleur.front',
              polygon(
                shifted(along(s.bb, 96, ringMm + 2), -34, -2),
                shifted(along(s.bb, 96, ringMm + 2), -28, 24),
                shifted(along(s.bb, 96, ringMm + 2), 26, 22),
                shifted(along(s.bb, 96, ringMm + 2), 36, -8),
              ),
            ),
          ]
        : []),
    ],
  };
}

/** One arm with its pedal. */
export function crank(s: Skeleton, side: 'left' | 'right'): Stroke[] {
  const far = side === 'left';
  const angle = far ? CRANK_DEG + 180 : CRANK_DEG;
  const end = along(s.bb, angle, CRANK_MM);
  return [
    tube(`crank-${side}`, `crank.${side}`, polyline(s.bb, end), far ? 17 : 21, far),
    shape(
      `pedal-${side}`,
      `pedal.${side}`,
      polygon(shifted(end, -46, -12), shifted(end, -46, 12), shifted(end, 46, 12), shifted(end, 46, -12)),
      far,
    ),
    ...(far ? [] : [solid('pedal-axle', 'pedal.right', circle(end, 7))]),
  ];
}
