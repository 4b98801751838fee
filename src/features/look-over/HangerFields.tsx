'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Evidence } from '@/core/inspect/evidence';
import type { Hanger } from '@/core/inspect/hanger';
import { hangerQuestion } from '@/core/inspect/questions';
import type { BicycleKind } from '@/core/bicycle';
import { ReadingField } from '@/ui/ReadingField';
import { useReckon } from '../workshop/useReckon';

const CLOCK = [
  { deg: 90, label: 'Three o’clock' },
  { deg: 180, label: 'Six o’clock' },
  { deg: 270, label: 'Nine o’clock' },
  { deg: 0, label: 'Twelve o’clock' },
];
const R = 70;
const C = 96;

function point(deg: number, out: number): readonly [number, number] {
  const angle = ((deg - 90) * Math.PI) / 180;
  return [C + R * out * Math.cos(angle), C + R * out * Math.sin(angle)];
}

/** The clock face of the hanger, seen from the drive side: the gap at each point, and where it wants to be pushed. */
function Clock({ seen, found }: { seen: Evidence; found: Hanger | null }) {
  const bent = found && (found.verdict === 'align' || found.verdict === 'replace');
  const [fromX, fromY] = bent ? point(found.pushAtDeg, 0.98) : [C, C];
  const [toX, toY] = bent ? point(found.pushAtDeg, 0.3) : [C, C];
  return (
    <svg
      width="192"
      height="192"
      viewBox="0 0 192 192"
      role="img"
      aria-label={
        found
          ? `Clock face seen from the drive side: spread ${found.spreadMm.toFixed(1)} mm. ${found.words}`
          : 'Clock face seen from the drive side, nothing reckoned yet'
      }
    >
      <circle cx={C} cy={C} r={R} fill="none" stroke="var(--mui-palette-sheet-line)" strokeWidth="1.6" />
      {Array.from({ length: 12 }, (_, i) => {
        const [x1, y1] = point(i * 30, 1);
        const [x2, y2] = point(i * 30, i % 3 === 0 ? 0.88 : 0.94);
        return <path key={i} d={`M${x1} ${y1}L${x2} ${y2}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="1.4" />;
      })}
      {(seen.gaps ?? []).map(({ clockDeg, gapMm }) => {
        const [x, y] = point(clockDeg, 1.22);
        return (
          <text
            key={clockDeg}
            x={x}
            y={y + 5}
            textAnchor="middle"
            fontSize="15"
            fontWeight="640"
            fill="var(--mui-palette-text-primary)"
          >
            {gapMm}
          </text>
        );
      })}
      {bent && (
        <g stroke="var(--mui-palette-primary-main)" strokeWidth="3.4" fill="none" strokeLinecap="round">
          <path d={`M${fromX} ${fromY}L${toX} ${toY}`} />
          <g transform={`translate(${toX} ${toY}) rotate(${found.pushAtDeg})`}>
            <path d="M-8 -11L0 0L8 -11" />
          </g>
        </g>
      )}
      {bent && (
        <text
          x={C}
          y={C + (toY > C ? -8 : 22)}
          textAnchor="middle"
          fontSize="19"
          fontWeight="680"
          fill="var(--mui-palette-primary-main)"
        >
          {found.pushMm.toFixed(1)} mm
        </text>
      )}
    </svg>
  );
}

/** The hanger at four clock points, read to one and the same point of the rim. */
export function HangerFields({
  kind,
  seen,
  note,
}: {
  kind: BicycleKind;
  seen: Evidence;
  note(changes: Evidence): void;
}) {
  const gaps = seen.gaps ?? [];
  const { output } = useReckon('inspect.hanger', hangerQuestion(kind, seen));
  const put = (clockDeg: number, gapMm: number | null) =>
    note({
      gaps: [...gaps.filter((gap) => gap.clockDeg !== clockDeg), ...(gapMm === null ? [] : [{ clockDeg, gapMm }])].sort(
        (a, b) => a.clockDeg - b.clockDeg,
      ),
    });
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
      <Clock seen={seen} found={gaps.length >= 3 ? output : null} />
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 150px))', gap: 1.5 }}>
          {CLOCK.map(({ deg, label }) => (
            <ReadingField
              key={deg}
              label={label}
              kind="number"
              unit="mm"
              value={gaps.find((gap) => gap.clockDeg === deg)?.gapMm ?? null}
              onCommit={(gapMm) => put(deg, gapMm)}
              onClear={() => put(deg, null)}
              refuse={(mm) => (mm < 0 || mm > 500 ? 'a gap is 0 to 500 mm' : null)}
              step={0.5}
            />
          ))}
        </Box>
        <FormControlLabel
          control={
            <Checkbox
              checked={seen.bentBefore ?? false}
              onChange={(event) => note({ bentBefore: event.target.checked })}
            />
          }
          label="Has been bent back before"
        />
      </Box>
    </Box>
  );
}
