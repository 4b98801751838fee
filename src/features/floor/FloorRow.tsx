'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { BringBack, PutAway } from '@/ui/toolIcons';
import Link from 'next/link';
import { memo } from 'react';
import { stateLabel } from '@/core/vocabulary/vocabulary';
import { rowNext, type Summary } from '@/model/summary';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { clockTime, dayOf, hours, limit, money } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { useStageLabel } from '../workshop/declared';
import { useOtherHands } from '../workshop/sharePart';
import { nextHref } from '../workshop/stageLink';

/** The price against the limit, as a rule with its end. */
function Spent({ row, currency }: { row: Summary; currency: string }) {
  const ceiling = row.drawn?.ceiling ?? null;
  const customer = row.purpose === 'customer';
  const said = customer ? row.spent : row.bought ? row.paid : row.asking;
  const amount = said ?? 0;
  const over = ceiling !== null && said !== null && amount > ceiling;
  const full = Math.max(ceiling ?? 0, amount, 1);
  return (
    <Box sx={{ textAlign: { md: 'right' }, fontSize: '0.86rem', color: 'text.secondary' }}>
      <Box
        component="span"
        sx={{ color: over ? stateColour('replace') : 'text.primary', fontWeight: 660, fontSize: '1.2rem' }}
      >
        {said === null ? 'not said' : money(said, currency)}
      </Box>{' '}
      {customer ? 'spent' : row.bought ? 'paid' : 'asked'}
      {ceiling !== null && (
        <Box
          aria-hidden="true"
          sx={{ height: 6, mt: 0.5, border: '1px solid', borderColor: 'text.secondary', position: 'relative' }}
        >
          <Box
            sx={{
              position: 'absolute',
              inset: 0,
              right: 'auto',
              width: `${(100 * amount) / full}%`,
              bgcolor: over ? stateColour('replace') : 'text.primary',
            }}
          />
          {over && (
            <Box
              sx={{
                position: 'absolute',
                top: -3,
                bottom: -3,
                width: 2,
                bgcolor: 'text.primary',
                left: `${(100 * ceiling) / full}%`,
              }}
            />
          )}
        </Box>
      )}
      <Box sx={{ mt: 0.25 }}>
        {ceiling !== null && `your limit ${limit(ceiling, currency)}`}
        {row.worked >= 1 && `${ceiling !== null ? ', ' : ''}${hours(row.worked)}`}
      </Box>
    </Box>
  );
}

/** One bicycle of the floor: drawn with what is wrong, what can be done next, what waits, and its money. */
export const FloorRow = memo(function FloorRow({
  row,
  minute,
  currency,
  onArchive,
  inLong,
}: {
  row: Summary;
  /** The minute it is, so that a row is drawn anew when its timers move and not each second. */
  minute: number;
  currency: string;
  onArchive(id: string, archived: boolean): void;
  /** Its place in a long list of which only a part is drawn. */
  inLong?: { index: number; count: number; measure(row: Element | null): void };
}) {
  const stageLabel = useStageLabel();
  const others = useOtherHands(row.id);
  const nowMs = minute * 60_000;
  const marks = row.drawn?.marks ?? [];
  const next = rowNext(row);
  const worst = marks.filter(([, state]) => state === 'unsafe').length;
  return (
    <Box
      component="li"
      sx={{
        listStyle: 'none',
        borderTop: '1px solid',
        borderColor: 'divider',
        display: 'flex',
        alignItems: 'center',
      }}
      {...(inLong && {
        ref: inLong.measure,
        'data-index': inLong.index,
        'aria-posinset': inLong.index + 1,
        'aria-setsize': inLong.count,
      })}
    >
      <Box
        component={Link}
        href={nextHref(row.id, next)}
        prefetch={false}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '116px minmax(0, 1fr)', md: '150px minmax(0, 1fr) minmax(0, 1.2fr) 150px' },
          gap: { xs: 1.5, md: 3 },
          alignItems: 'center',
          py: { xs: 1.75, md: 1 },
          color: 'inherit',
          textDecoration: 'none',
          '&:hover': { bgcolor: 'background.paper' },
        }}
      >
        <BicycleDrawing
          kind={row.kind}
          label={
            marks.length
              ? `Needs something: ${marks.map(([, state]) => stateLabel(state).toLowerCase()).join(', ')}`
              : ''
          }
          signs={marks.map(([place, sign]) => ({ place, sign }))}
          quiet
        />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontSize: '1.2rem', fontWeight: 640, overflowWrap: 'anywhere' }}>{row.name}</Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', display: { xs: 'none', md: 'block' } }}>
            {row.note}
          </Box>
        </Box>
        <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, minWidth: 0 }}>
          <Box sx={{ color: 'primary.main', fontWeight: 640 }}>
            {stageLabel(next.stage)} · {next.words}
            {row.drawn?.nextMinutes != null && row.wentOut === null && (
              <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                , from {hours(row.drawn.nextMinutes)}
              </Box>
            )}
          </Box>
          <Box sx={{ fontSize: '0.88rem' }}>
            {worst > 0 && <Box sx={{ color: stateColour('unsafe'), fontWeight: 620 }}>{worst} unsafe as last seen</Box>}
            {row.drawn?.law?.ready && !row.sold && row.wentOut === null && (
              <Box sx={{ color: stateColour('fine'), fontWeight: 620 }}>Ready, as far as it was signed</Box>
            )}
            {row.timers.map((timer) => (
              <Box
                key={timer.id}
                sx={timer.dueAtMs <= nowMs ? { fontWeight: 640, color: stateColour('unsafe') } : undefined}
              >
                {timer.dueAtMs > nowMs
                  ? `${timer.label}: take out at ${clockTime(new Date(timer.dueAtMs))}`
                  : `${timer.label}: time is up since ${clockTime(new Date(timer.dueAtMs))}`}
              </Box>
            ))}
            {row.waits.map((wait) => (
              <Box key={wait.id}>
                Waits for {wait.label}
                {wait.dueOn && `, due ${dayOf(wait.dueOn)}`}
              </Box>
            ))}
            {row.loose.length > 0 && <Box sx={{ fontWeight: 620 }}>Loose for now: {row.loose.join(', ')}</Box>}
            {others.map((words) => (
              <Box key={words}>{words}</Box>
            ))}
            {row.conflicts > 0 && <Box sx={{ fontWeight: 620 }}>{row.conflicts} entered twice: choose</Box>}
          </Box>
        </Box>
        <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>
          <Spent row={row} currency={currency} />
        </Box>
      </Box>
      <IconButton
        aria-label={row.archivedAt ? `Back on the floor: ${row.name}` : `Put away: ${row.name}`}
        title={row.archivedAt ? 'Back on the floor' : 'Put away'}
        onClick={() => onArchive(row.id, row.archivedAt === null)}
        sx={{ color: 'text.secondary', alignSelf: { xs: 'start', md: 'center' }, mt: { xs: 1, md: 0 } }}
      >
        {row.archivedAt ? <BringBack fontSize="small" /> : <PutAway fontSize="small" />}
      </IconButton>
    </Box>
  );
});
