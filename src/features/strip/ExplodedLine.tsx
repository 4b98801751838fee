'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import { explodedLine } from '@/core/strip/explode';
import { partWords, type Assembly } from '@/core/strip/tray';
import type { TurnInput } from '@/core/strip/turn';
import type { Tray } from '@/model/strip/part';
import { orderOf } from '@/model/strip/trays';
import { useReckon } from '../workshop/useReckon';

const TURNED = new Set(['hex', 'bolt', 'ring', 'cup', 'cone', 'cogs', 'cartridge']);

/** An arrow bent over the axis, the way the top of the tool goes as it is seen from where it goes on. */
function turnArrow(clockwise: boolean): string {
  const side = clockwise ? 1 : -1;
  return `M${-9 * side},2Q0,-13 ${9 * side},2M${9 * side},2l${-6 * side},-1.5M${9 * side},2l${1.2 * side},-6`;
}

type Where = 'on' | 'off' | 'back';

function whereIs(tray: Tray, part: string): Where {
  if (!Object.hasOwn(tray.off, part)) return 'on';
  return tray.backIn.includes(part) ? 'back' : 'off';
}

const WORDS: Record<Where, string> = { on: 'still on', off: 'in the tray', back: 'back in' };
const MARK_SIGNS = { missing: '?', wrong: '×', worn: '~' } as const;

/** The assembly as a line of parts along its axis, the way it is read at assembly: what is off is filled and numbered. */
export function ExplodedLine({
  assembly,
  tray,
  hand = [],
  question = null,
}: {
  assembly: Assembly;
  tray: Tray;
  /** Parts at hand. */
  hand?: string[];
  /** Which way the fastener at hand turns, shown as an arrow over it. */
  question?: TurnInput | null;
}) {
  const order = orderOf(tray);
  const { output: turn } = useReckon('strip.turn', question);
  const { parts, widthMm, heightMm } = explodedLine(assembly.parts);
  const middle = heightMm / 2;
  // Of what comes off together the arrow stands over what the tool is on.
  const turned = (assembly.parts.find((part) => hand.includes(part.id) && TURNED.has(part.shape)) ?? { id: hand[0] })
    .id;
  const told = assembly.parts
    .map((part) => `${partWords(part)}: ${own(tray.marks, part.id) ?? WORDS[whereIs(tray, part.id)]}`)
    .join('; ');
  return (
    // A line that is longer than a phone is pushed sideways, by thumb or by arrow keys.
    <Box
      tabIndex={0}
      role="group"
      aria-label={`Line of parts, ${assembly.axis}`}
      sx={{ overflowX: 'auto', mx: -1, px: 1 }}
    >
      <svg
        role="img"
        aria-label={told}
        viewBox={`0 -12 ${widthMm} ${heightMm + 24}`}
        style={{ display: 'block', width: '100%', minWidth: `${widthMm * 1.15}px`, maxHeight: 210 }}
      >
        <path
          d={`M2,${middle}H${widthMm - 2}`}
          stroke="var(--mui-palette-sheet-line)"
          strokeWidth={0.6}
          strokeDasharray="7 2 1.5 2"
        />
        {parts.map((part) => {
          const where = whereIs(tray, part.id);
          const mark = own(tray.marks, part.id);
          const at = order.indexOf(part.id);
          const ink = where === 'off' ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-text-primary)';
          return (
            <g key={part.id} transform={`translate(${part.x} ${middle})`} opacity={where === 'on' ? 0.55 : 1}>
              <path
                d={part.shape || 'M0,0'}
                fill={
                  where === 'off'
                    ? 'color-mix(in srgb, var(--mui-palette-primary-main) 16%, var(--mui-palette-sheet-paper))'
                    : 'var(--mui-palette-sheet-paper)'
                }
                stroke={ink}
                strokeWidth={hand.includes(part.id) ? 2 : 1.1}
                strokeLinejoin="round"
                strokeDasharray={mark === 'missing' ? '2 2' : undefined}
              />
              {part.lines.map((d) => (
                <path key={d} d={d} fill="none" stroke={ink} strokeWidth={0.7} />
              ))}
              {part.dashed.map((d) => (
                <path key={d} d={d} fill="none" stroke={ink} strokeWidth={0.5} strokeDasharray="2.4 1.6" />
              ))}
              {question && turn && turn.rotation !== 'unknown' && part.id === turned && (
                <path
                  d={turnArrow(turn.rotation === 'clockwise')}
                  transform={`translate(0 ${-middle})`}
                  fill="none"
                  stroke="var(--mui-palette-primary-main)"
                  strokeWidth={2.2}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
              )}
              <text
                y={middle + 8}
                textAnchor="middle"
                fontSize={10}
                fontWeight={680}
                fill={mark ? 'var(--mui-palette-state-replace)' : ink}
              >
                {mark ? MARK_SIGNS[mark] : where === 'back' ? '✓' : at >= 0 ? at + 1 : ''}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
