import { SIGN_SHAPES } from '@/core/drawing/signs';
import type { PlacedSign } from '@/core/drawing/svg';
import { signColour, StateGlyph } from '../StateMark';

const PAPER = 'var(--mui-palette-sheet-paper)';
const GLYPH = 24;

/** Letters of a number, px. */
const TEXT_PX = 12;

const isNumbered = ({ number, sign }: PlacedSign): boolean => number !== undefined && sign !== 'unsafe';

/** How much room a mark takes, `size` being how wide a sign is drawn, mm. */
export function roomOfMark(sign: PlacedSign, size: number, mmPerPx: number): { wideMm: number; highMm: number } {
  if (!isNumbered(sign)) return { wideMm: size, highMm: size };
  const text = TEXT_PX * mmPerPx;
  return { wideMm: Math.max(text * 1.5, sign.number!.length * text * 0.58 + text * 0.7), highMm: text * 1.5 };
}

/** A number in a frame that says its state: dashed while nothing is signed, plain for some, filled for all. */
function Numbered({ sign, mmPerPx }: { sign: PlacedSign; mmPerPx: number }) {
  const size = TEXT_PX * mmPerPx;
  const { wideMm: wide, highMm: tall } = roomOfMark(sign, size, mmPerPx);
  const colour = signColour(sign.sign);
  const full = sign.sign === 'signed';
  return (
    <g>
      <rect
        x={-wide / 2}
        y={-tall / 2}
        width={wide}
        height={tall}
        rx={size * 0.2}
        fill={full ? colour : PAPER}
        stroke={colour}
        strokeWidth={1.4 * mmPerPx}
        strokeDasharray={sign.sign === 'unsigned' ? `${2.4 * mmPerPx} ${2 * mmPerPx}` : undefined}
      />
      <text y={size * 0.36} fontSize={size} fontWeight={680} textAnchor="middle" fill={full ? PAPER : colour}>
        {sign.number}
      </text>
    </g>
  );
}

/** A sign on the drawing. Only its own lines cover what lies beneath. */
export function Mark({ sign, size, mmPerPx }: { sign: PlacedSign; size: number; mmPerPx: number }) {
  if (isNumbered(sign)) return <Numbered sign={sign} mmPerPx={mmPerPx} />;
  return (
    <g transform={`translate(${(-size / 2).toFixed(1)} ${(-size / 2).toFixed(1)}) scale(${(size / GLYPH).toFixed(3)})`}>
      {/* A rim of paper about its lines, so that it is told from what lies beneath. */}
      {SIGN_SHAPES[sign.sign].map(({ d, width }) => (
        <path key={d} d={d} fill="none" stroke={PAPER} strokeWidth={width + 4} strokeLinejoin="round" opacity={0.9} />
      ))}
      <StateGlyph state={sign.sign} />
    </g>
  );
}

/** How many near signs a mark stands for: all of them, or those besides its own numbers. */
export function MarkCount({
  sign,
  size,
  count,
  mmPerPx,
}: {
  sign: PlacedSign;
  size: number;
  count: number;
  mmPerPx: number;
}) {
  const { wideMm, highMm } = roomOfMark(sign, size, mmPerPx);
  return (
    <text
      x={wideMm / 2}
      y={-highMm * 0.28}
      fontSize={11 * mmPerPx}
      fontWeight={700}
      fill="var(--mui-palette-text-primary)"
      stroke={PAPER}
      strokeWidth={3 * mmPerPx}
      paintOrder="stroke"
    >
      {isNumbered(sign) ? `+${count - 1}` : count}
    </text>
  );
}
