'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import type { Rail, RailPiece } from '@/model/decide/rails';
import { BigNumber } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';

const RAIL_PX = 44;
const HEAD_PX = 22;
/** A narrower piece says nothing of itself; its words are heard and stand in the list. */
const LEAST_WORDS = 13;
const HATCH = `repeating-linear-gradient(135deg, color-mix(in srgb, ${stateColour('replace')} 42%, transparent) 0 3px, transparent 3px 8px)`;

const isIn = (piece: RailPiece, out: ReadonlySet<string>) => !out.has(piece.id);

/** What is in against how far it may reach: each kept job a piece that a tap takes out and puts back, the limit a line. */
export function RailRow({
  rail,
  fixed,
  out,
  figure,
  words,
  limitWords,
  say,
  onTap,
}: {
  rail: Rail;
  /** The piece that no tap takes out: the price. */
  fixed?: string;
  /** Pieces that are tried without, drawn as ghosts behind the rest. */
  out: readonly RailPiece[];
  figure: ReactNode;
  words: ReactNode;
  limitWords: string | null;
  say(amount: number): string;
  onTap(id: string, isIn: boolean): void;
}) {
  const gone = new Set(out.map(({ id }) => id));
  const ghosts = out.filter(({ amount }) => amount > 0);
  const full = Math.max(rail.total + ghosts.reduce((sum, { amount }) => sum + amount, 0), rail.limit ?? 0, 1);
  const x = scaleLinear([0, full * 1.04], [0, 100]);
  const pieces = [...rail.pieces, ...ghosts];
  const starts = pieces.map((_, i) => pieces.slice(0, i).reduce((sum, { amount }) => sum + amount, 0));
  const over = rail.limit !== null && rail.total > rail.limit;
  const limitAt = rail.limit === null ? null : x(rail.limit);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '148px minmax(0, 1fr)' },
        columnGap: 2.5,
        alignItems: 'end',
        mb: 2,
      }}
    >
      <BigNumber value={figure} label={words} tone={over ? stateColour('replace') : undefined} />
      <Box sx={{ position: 'relative', pt: `${HEAD_PX}px`, height: RAIL_PX + HEAD_PX }}>
        {pieces.map((piece, i) => {
          const here = isIn(piece, gone);
          const width = x(starts[i]! + piece.amount) - x(starts[i]!);
          const at = {
            position: 'absolute',
            top: HEAD_PX,
            height: RAIL_PX,
            left: `${x(starts[i]!)}%`,
            width: `calc(max(10px, ${width}%) - 2px)`,
            borderRadius: '2px',
            px: 0.5,
            overflow: 'hidden',
            font: 'inherit',
            fontSize: '0.8rem',
            lineHeight: 1.15,
            textAlign: 'left',
            justifyContent: 'flex-start',
            transition: 'left 160ms, width 160ms',
          } as const;
          const inside = width > LEAST_WORDS && (
            <Box
              component="span"
              sx={{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical', overflow: 'hidden' }}
            >
              {piece.label}
            </Box>
          );
          if (piece.id === fixed)
            return (
              <Box
                key={piece.id}
                title={`${piece.label}, ${say(piece.amount)}`}
                sx={{
                  ...at,
                  bgcolor: 'text.primary',
                  color: 'background.default',
                  display: 'flex',
                  alignItems: 'center',
                }}
              >
                {inside}
              </Box>
            );
          return (
            <ButtonBase
              key={piece.id}
              aria-pressed={here}
              aria-label={`${piece.label}, ${say(piece.amount)}`}
              title={`${piece.label}, ${say(piece.amount)}`}
              onClick={() => onTap(piece.id, here)}
              sx={{
                ...at,
                border: '1.5px solid',
                borderStyle: here ? 'solid' : 'dashed',
                borderColor: here ? 'text.primary' : 'text.secondary',
                bgcolor: here ? 'background.paper' : 'transparent',
                color: here ? 'text.primary' : 'text.secondary',
              }}
            >
              {inside}
            </ButtonBase>
          );
        })}
        {over && (
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              pointerEvents: 'none',
              top: HEAD_PX,
              height: RAIL_PX,
              left: `${limitAt}%`,
              width: `${x(rail.total) - limitAt!}%`,
              background: HATCH,
            }}
          />
        )}
        {limitAt !== null && (
          <>
            <Box
              aria-hidden
              sx={{
                position: 'absolute',
                pointerEvents: 'none',
                top: HEAD_PX - 6,
                height: RAIL_PX + 12,
                left: `${limitAt}%`,
                borderLeft: '3px solid',
                borderColor: 'primary.main',
                transition: 'left 160ms',
              }}
            />
            <Box
              sx={{
                position: 'absolute',
                top: 0,
                ...(limitAt > 50 ? { right: `${100 - limitAt}%` } : { left: `${limitAt}%` }),
                fontSize: '0.84rem',
                lineHeight: '16px',
                whiteSpace: 'nowrap',
                color: 'primary.main',
                fontWeight: 640,
                fontVariantNumeric: 'tabular-nums',
              }}
            >
              {limitWords}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}
