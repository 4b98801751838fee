'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { AlignmentLine } from '@/core/inspect/alignment';
import { stateOf } from '@/core/vocabulary/verdicts';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

function Line({ bicycle, send, line }: StageProps & { line: AlignmentLine }) {
  const { name: by } = useHand();
  const last = bicycle.alignments.findLast((row) => row.line === line.id);
  const put = (offMm: number, coldSet: boolean) =>
    send({
      type: 'putAlignment',
      alignment: {
        id: newId(),
        line: line.id,
        place: line.place,
        offMm,
        result: Math.abs(offMm) > line.withinMm ? 'off' : 'true',
        coldSet,
        words: '',
        by,
        at: nowIso(),
      },
    });
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start', justifyContent: 'space-between' }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Box sx={{ fontWeight: 640 }}>{line.label}</Box>
          <Box sx={{ fontSize: '0.92rem', color: 'text.secondary', maxWidth: '56ch' }}>{line.how}</Box>
        </Box>
        <Box data-readings>
          <ReadingField
            label={line.asks.charAt(0).toUpperCase() + line.asks.slice(1)}
            kind="number"
            unit="mm"
            width={230}
            value={last?.offMm ?? null}
            onCommit={(mm) => put(mm, false)}
            onClear={() => last && send({ type: 'removeAlignment', alignment: last.id })}
            refuse={(mm) => (mm < -100 || mm > 100 ? 'up to 100 mm' : null)}
          />
        </Box>
      </Box>
      <Box aria-live="polite" sx={{ display: 'flex', gap: 1.5, alignItems: 'start', flexWrap: 'wrap', mt: 0.75 }}>
        <StateMark state={line.verdict ? stateOf('inspect.alignment', line.verdict) : 'not-looked-at'} />
        <Box sx={{ flex: 1, minWidth: 200 }}>
          {line.reasons.join(' ')}
          {last && (
            <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
              {[dayOf(last.at), last.by, last.coldSet && 'bent back cold'].filter(Boolean).join(', ')}
            </Box>
          )}
        </Box>
        {line.mayBeColdSet && last && (
          <Button size="small" variant="outlined" color="inherit" onClick={() => put(0, true)}>
            Bent back cold, measured again: in line
          </Button>
        )}
      </Box>
      <Working rows={line.working} />
    </Box>
  );
}

/** In line or not after a crash: each line measured, with how, and what may be done about it. */
export function Alignment({ bicycle, send }: StageProps) {
  const read = Object.fromEntries(
    bicycle.alignments.flatMap(({ line, offMm, result }) => [[line, offMm ?? (result === 'true' ? 0 : 100)] as const]),
  );
  const { output } = useReckon('inspect.alignment', { kind: bicycle.kind, read });
  const done = output?.lines.filter(({ verdict }) => verdict !== null).length ?? 0;
  return (
    <Section title="In line, after a crash" aside={output ? `${done} of ${output.lines.length} measured` : undefined}>
      <Typography sx={{ color: 'text.secondary', maxWidth: '60ch' }}>
        Steel alone is bent back cold. What is out of line is not ridden until a qualified person has judged it.
      </Typography>
      {output ? (
        <RuledList aria-label="Lines of the alignment">
          {output.lines.map((line) => (
            <Line key={line.id} bicycle={bicycle} send={send} line={line} />
          ))}
        </RuledList>
      ) : (
        <p role="status">Getting the lines…</p>
      )}
    </Section>
  );
}
