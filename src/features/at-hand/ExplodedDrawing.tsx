'use client';
import Box from '@mui/material/Box';
import { explodedLine } from '@/core/strip/explode';
import type { Assembly } from '@/core/strip/tray';
import type { TurnInput } from '@/core/strip/turn';
import { useReckon } from '../workshop/useReckon';
import { ACCENT, LINE, PAPER, penOf, type DrawnStates } from './pen';

const MOST_PX_PER_MM = 1.7;
const TURNED = new Set(['hex', 'bolt', 'ring', 'cup', 'cone', 'cogs', 'cartridge']);

/** An arrow bent over the axis, the way the top of the tool goes as it is seen from where it goes on. */
function turnArrow(clockwise: boolean): string {
  const side = clockwise ? 1 : -1;
  return `M${-9 * side},2Q0,-13 ${9 * side},2M${9 * side},2l${-6 * side},-1.5M${9 * side},2l${1.2 * side},-6`;
}

/** Of what comes off together the arrow stands over what the tool is on. */
function turnedPart({ parts }: Assembly, isAtHand: DrawnStates['isAtHand']): string | null {
  const hand = parts.filter(({ id }) => isAtHand(id));
  return (hand.find(({ shape }) => TURNED.has(shape)) ?? hand[0])?.id ?? null;
}

/** The parts of an assembly pulled apart along their axis, the way it is read at assembly; what is off is a numbered ghost. */
export function ExplodedDrawing({
  assembly,
  stateOf,
  isAtHand,
  onTap,
  turn: question,
  mostPx,
  told,
}: DrawnStates & {
  assembly: Assembly;
  /** Which way the fastener at hand turns, shown as an arrow over it. */
  turn: TurnInput | null;
  mostPx: number;
  /** Every part with where it is, in words. */
  told: string;
}) {
  const { output: turn } = useReckon('strip.turn', question);
  const { parts, widthMm, heightMm } = explodedLine(assembly.parts);
  const middle = heightMm / 2;
  const turned = question && turn && turn.rotation !== 'unknown' ? turnedPart(assembly, isAtHand) : null;
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
        style={{
          display: 'block',
          width: '100%',
          minWidth: `${widthMm * 0.8}px`,
          // Three parts are not drawn as if they were a wall.
          maxWidth: `${widthMm * MOST_PX_PER_MM}px`,
          margin: '0 auto',
          maxHeight: mostPx,
        }}
      >
        <path d={`M2,${middle}H${widthMm - 2}`} stroke={LINE} strokeWidth={0.6} strokeDasharray="7 2 1.5 2" />
        {parts.map((part) => {
          const state = stateOf(part.id);
          const atHand = isAtHand(part.id);
          const pen = penOf(state, atHand);
          const tap = onTap && (() => onTap({ part: part.id, track: null }));
          const dash = pen.dash ? '3 2.4' : undefined;
          return (
            <g
              key={part.id}
              data-part={part.id}
              transform={`translate(${part.x} ${middle})`}
              opacity={pen.ghost && !atHand ? 0.55 : 1}
              style={tap && { cursor: 'pointer' }}
              onClick={tap}
            >
              {state && <title>{state.words}</title>}
              {/* A thin washer is not hit by a thumb: the whole height over it is. */}
              <rect
                x={-part.widthMm / 2 - 3}
                y={-middle}
                width={part.widthMm + 6}
                height={heightMm}
                fill="transparent"
              />
              <path
                d={part.shape || 'M0,0'}
                fill={pen.ghost ? 'none' : PAPER}
                stroke={pen.stroke}
                strokeWidth={1.1 * pen.weight}
                strokeLinejoin="round"
                strokeDasharray={dash}
              />
              {part.lines.map((d) => (
                <path key={d} d={d} fill="none" stroke={pen.stroke} strokeWidth={0.7} strokeDasharray={dash} />
              ))}
              {!pen.ghost &&
                part.dashed.map((d) => (
                  <path key={d} d={d} fill="none" stroke={pen.stroke} strokeWidth={0.5} strokeDasharray="2.4 1.6" />
                ))}
              {part.id === turned && (
                <path
                  d={turnArrow(turn!.rotation === 'clockwise')}
                  transform={`translate(0 ${-middle})`}
                  fill="none"
                  stroke={ACCENT}
                  strokeWidth={2.2}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
              )}
              {pen.ghost && state?.slot && (
                <text y={middle + 8} textAnchor="middle" fontSize={10} fontWeight={680} fill={pen.stroke}>
                  {state.slot}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
