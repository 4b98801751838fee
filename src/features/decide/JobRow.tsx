'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { learntMinutes, minutesWhy, type LearntInUse } from '@/core/money/learnt';
import type { Job } from '@/model/decide/part';
import { dayOf, hours, money } from '@/ui/format';
import { TextInput } from '@/ui/TextInput';
import { FromStock } from '../stock/FromStock';
import { AskTogether } from '../workshop/AskTogether';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

const DROP_REASONS = ['Leave well alone', 'Not worth it here', 'The buyer will do it', 'Done already'];

/** One job: what, why, what it takes, what comes along, and whether it is kept, dropped or tried. */
export function JobRow({
  job,
  learnt,
  why,
  because,
  reactions,
  decided,
  currency,
  tried,
  onTry,
  send,
}: {
  job: Job;
  learnt: LearntInUse;
  why: string;
  because: string[];
  reactions: string[];
  decided: Job | undefined;
  currency: string;
  /** In a what-if: whether it counts there; null where nothing is tried. */
  tried: boolean | null;
  onTry(counts: boolean): void;
} & Pick<StageProps, 'send'>) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const { name } = useHand();
  const today = useToday();
  const drop = (words: string) => {
    const reason = words.slice(0, 2000);
    send({
      type: 'decideJob',
      job: { ...(decided ?? job), decision: 'drop', reason, declined: { by: name, on: today, words: reason } },
    });
    setAsking(false);
    setReason('');
  };
  const minutes = learntMinutes(job.minutes, job.place, learnt);
  const learntWhy = minutesWhy(job.place, learnt);
  const dropped = tried === null ? decided?.decision === 'drop' : !tried;
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr auto auto', sm: 'minmax(0, 1fr) 96px 96px' },
          columnGap: 2,
          rowGap: 0.5,
          alignItems: 'baseline',
        }}
      >
        <Box sx={{ minWidth: 0, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
          <Box sx={{ fontWeight: 640, fontSize: '1.05rem', textDecoration: dropped ? 'line-through' : 'none' }}>
            {job.title}
          </Box>
          {because.map((words) => (
            <Box key={words} sx={{ fontSize: '0.9rem' }}>
              {words}
            </Box>
          ))}
          <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{why}</Box>
          {learntWhy && job.minutes.likely > 0 && (
            <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
              {hours(job.minutes.likely)} estimated; {learntWhy}
            </Box>
          )}
          {reactions.map((words) => (
            <Box
              key={words}
              sx={{ fontSize: '0.9rem', mt: 0.25, pl: 1.5, borderLeft: '2px solid', borderColor: 'divider' }}
            >
              {words}
            </Box>
          ))}
          {decided?.decision === 'drop' && (
            <Box sx={{ fontSize: '0.9rem' }}>
              Dropped: {decided.reason}
              {decided.declined && ` (${decided.declined.by || 'nobody named'}, ${dayOf(decided.declined.on)})`}
            </Box>
          )}
          {decided?.approval && (
            <Box sx={{ fontSize: '0.9rem', fontWeight: 620 }}>
              {decided.approval.answer === 'yes' ? 'Approved by the owner' : 'Declined by the owner'}
              {decided.approval.words && `: ${decided.approval.words}`}
            </Box>
          )}
        </Box>
        <Box sx={{ textAlign: { sm: 'right' }, visibility: job.minutes.high === 0 ? 'hidden' : undefined }}>
          <b>{hours(minutes.likely)}</b>
          <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>to {hours(minutes.high)}</Box>
        </Box>
        <Box
          sx={{
            textAlign: { sm: 'right' },
            visibility: job.minutes.high === 0 && job.parts.high === 0 ? 'hidden' : undefined,
          }}
        >
          <b>{money(job.parts.likely, currency)}</b>
          <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>to {money(job.parts.high, currency)}</Box>
        </Box>
      </Box>
      {tried === null && decided?.decision === 'keep' && !decided.done && (
        <>
          <FromStock job={decided} send={send} />
          {decided.parts.high > 0 && <AskTogether place={decided.place} />}
        </>
      )}
      {tried !== null ? (
        <Button
          size="small"
          variant={tried ? 'contained' : 'outlined'}
          aria-pressed={tried}
          onClick={() => onTry(!tried)}
          sx={{ mt: 1 }}
        >
          {tried ? 'Counts in the what-if' : 'Count it'}
        </Button>
      ) : (
        <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <Button
            size="small"
            aria-pressed={decided?.decision === 'keep'}
            variant={decided?.decision === 'keep' ? 'contained' : 'outlined'}
            onClick={() =>
              send({ type: 'decideJob', job: { ...(decided ?? job), decision: 'keep', reason: '', declined: null } })
            }
          >
            {decided?.decision === 'keep' ? 'Kept' : 'Keep'}
          </Button>
          {(!dropped || !decided?.declined) && (
            <Button size="small" color="inherit" aria-expanded={asking} onClick={() => setAsking(!asking)}>
              {dropped ? 'Say why, in writing…' : 'Drop, because…'}
            </Button>
          )}
          {decided?.decision === 'keep' && (
            <Button
              size="small"
              color="inherit"
              aria-pressed={decided.done}
              onClick={() => send({ type: 'finishJob', job: decided.id, done: !decided.done })}
            >
              {decided.done ? '✓ Done' : 'Mark as done'}
            </Button>
          )}
        </Box>
      )}
      {asking && tried === null && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          {DROP_REASONS.map((words) => (
            <Button key={words} size="small" variant="outlined" onClick={() => drop(words)}>
              {words}
            </Button>
          ))}
          <TextInput
            label="Another reason, then Enter"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && reason.trim() && drop(reason.trim())}
          />
        </Box>
      )}
    </Box>
  );
}
