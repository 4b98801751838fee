import { memo } from 'react';
import type { BicycleGeometry } from '@/core/drawing/bicycle';

const LINE = 'var(--mui-palette-sheet-line)';
const FAINT = 'var(--mui-palette-sheet-faint)';
const PAPER = 'var(--mui-palette-sheet-paper)';
const CASING_MM = 6;
const FAR = 0.5;

/** Every line of the bicycle at full size: tubes as outlines, wheels with their spokes. */
export const BicycleLines = memo(function BicycleLines({
  geometry,
  ghost,
}: {
  geometry: BicycleGeometry;
  /** Places whose parts are off the bicycle: drawn as a dashed ghost. */
  ghost: string;
}) {
  const off = new Set(ghost.split(' '));
  return (
    <>
      <path d={`M10 0H${geometry.widthMm - 10}`} strokeWidth={2.5} stroke={FAINT} />
      {geometry.wheels.map(({ end, centre, tyreRadiusMm, rimRadiusMm, spokes }) => (
        <g key={end}>
          <path d={spokes} stroke={FAINT} strokeWidth={1.4} />
          <circle cx={centre.x} cy={centre.y} r={tyreRadiusMm - 2.5} strokeWidth={5} />
          <circle cx={centre.x} cy={centre.y} r={rimRadiusMm + 2} strokeWidth={2.5} />
          <circle cx={centre.x} cy={centre.y} r={rimRadiusMm - 14} strokeWidth={2.5} />
        </g>
      ))}
      {geometry.strokes.map(({ id, part, d, style, widthMm, far }) => {
        if (off.has(part))
          return <path key={id} d={d} stroke={FAINT} strokeWidth={3.5} strokeDasharray="9 8" fill="none" />;
        if (style === 'tube')
          return (
            <g key={id} opacity={far ? FAR : undefined}>
              <path d={d} strokeWidth={widthMm} />
              <path d={d} strokeWidth={widthMm - CASING_MM} stroke={PAPER} />
            </g>
          );
        return (
          <path
            key={id}
            d={d}
            opacity={far ? FAR : undefined}
            strokeWidth={widthMm}
            fill={style === 'shape' ? PAPER : style === 'solid' ? LINE : 'none'}
          />
        );
      })}
    </>
  );
});

/** The same bicycle small: heavy single lines, no spokes, so that it stays legible at a thumb's width. */
export const BicycleSketch = memo(function BicycleSketch({ geometry }: { geometry: BicycleGeometry }) {
  return (
    <>
      {geometry.wheels.map(({ end, centre, tyreRadiusMm, rimRadiusMm }) => (
        <circle
          key={end}
          cx={centre.x}
          cy={centre.y}
          r={(tyreRadiusMm + rimRadiusMm) / 2 - 4}
          strokeWidth={Math.max(16, tyreRadiusMm - rimRadiusMm - 8)}
        />
      ))}
      {geometry.strokes
        .filter(({ far, style, part }) => !far && style !== 'fine' && !/^(cables|pads|bell|axle)/.test(part))
        .map(({ id, d, style, widthMm }) => (
          <path
            key={id}
            d={d}
            strokeWidth={style === 'tube' ? Math.max(15, widthMm * 0.72) : 12}
            fill={style === 'solid' ? LINE : style === 'shape' ? PAPER : 'none'}
          />
        ))}
    </>
  );
});
