'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Contact, ContactPoint } from '@/core/bearings/contact';

const H = 220;
const PAD = { left: 52, right: 52, top: 30, bottom: 34 };

/** Pressure against what marks the nearer track, and what is left of the bearing's life, by degrees of cone; where the track keeps a mark is ruled in. */
export function ContactCurve({ contact, turnDeg }: { contact: Contact; turnDeg: number }) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 380 : 640;
  const { curve } = contact;
  const most = Math.max(1.15, ...curve.map((point) => point.markShare));
  const x = scaleLinear([curve[0]!.turnDeg, curve.at(-1)!.turnDeg], [PAD.left, W - PAD.right]);
  const y = scaleLinear([0, most], [H - PAD.bottom, PAD.top]);
  const share = scaleLinear([0, 1], [H - PAD.bottom, PAD.top]);
  const pressure = line<ContactPoint>()
    .x((point) => x(point.turnDeg))
    .y((point) => y(point.markShare))(curve);
  const life = area<ContactPoint>()
    .x((point) => x(point.turnDeg))
    .y0(share(0))
    .y1((point) => share(point.life))(curve);
  const text = { fontSize: 12.5, fill: 'var(--mui-palette-text-secondary)' };
  const here = Math.max(curve[0]!.turnDeg, Math.min(curve.at(-1)!.turnDeg, turnDeg));
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`At ${turnDeg} degrees ${Math.round(contact.markShare * 100)} per cent of the pressure at which a track keeps a mark, ${Math.round(contact.lifeShare * 100)} per cent of its best life`}
      style={{ width: '100%', maxWidth: 700, height: 'auto', display: 'block' }}
    >
      <path d={life ?? ''} fill="var(--mui-palette-sheet-faint)" opacity="0.28" />
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <path d={`M${PAD.left} ${y(tick)}H${W - PAD.right}`} stroke="var(--mui-palette-divider)" />
          <text x={PAD.left - 6} y={y(tick) + 4} textAnchor="end" {...text}>
            {Math.round(tick * 100)} %
          </text>
        </g>
      ))}
      <path
        d={`M${PAD.left} ${y(1)}H${W - PAD.right}`}
        stroke="var(--mui-palette-state-replace)"
        strokeWidth="1.8"
        strokeDasharray="7 4"
      />
      <text x={PAD.left + 6} y={y(1) - 6} fontSize={12.5} fill="var(--mui-palette-text-primary)">
        a track keeps a mark
      </text>
      <path d={pressure ?? ''} fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth="2.4" />
      <path d={`M${x(here)} ${PAD.top}V${H - PAD.bottom}`} stroke="var(--mui-palette-text-primary)" strokeWidth="1.6" />
      {[-30, 0, 30, 60].map((tick) => (
        <text key={tick} x={x(tick)} y={H - 14} textAnchor="middle" {...text}>
          {tick === 0 ? 'play ends' : tick < 0 ? `${-tick}° loose` : `${tick}° tight`}
        </text>
      ))}
      <text x={4} y={12} {...text}>
        pressure
      </text>
      <text x={W - 4} y={12} textAnchor="end" {...text}>
        life left
      </text>
      {[0, 0.5, 1].map((tick) => (
        <text key={tick} x={W - PAD.right + 6} y={share(tick) + 4} {...text}>
          {tick * 100} %
        </text>
      ))}
    </svg>
  );
}
