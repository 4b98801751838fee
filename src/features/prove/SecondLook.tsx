'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { addDays, formatISO, parseISO } from 'date-fns';
import { AGAIN_DAYS, LOOK_WORDS, lookOf, minutesLeft } from '@/model/prove/secondLooks';
import type { ProofMark, SecondLook as Look } from '@/model/prove/part';
import { proofMarkOf } from '@/model/prove/proving';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { saveServices } from '../workshop/serviceCalendar';
import { useHand } from '../workshop/useHand';
import { useNow } from '../workshop/useNow';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

/** The ten minutes that are ridden before it is looked at again. */
function TenMinutes({ look, again, onBegin }: { look: Look | null; again: ProofMark | null; onBegin(): void }) {
  const now = useNow(10_000);
  if (!look)
    return (
      <Button variant="outlined" sx={{ minHeight: 48 }} onClick={onBegin}>
        The ten minutes begin now
      </Button>
    );
  // Passing the proof says that it was looked at again; nobody is asked twice.
  if (again)
    return (
      <Box sx={{ fontWeight: 620 }}>
        Ridden, and looked at again {dayOf(again.at)}
        {again.by && ` by ${again.by}`}.
      </Box>
    );
  const left = minutesLeft(look, now.getTime());
  return (
    <Box role="timer" sx={{ fontSize: '1.7rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
      {left > 0 ? `${left} min to ride` : 'Look at it again now'}
    </Box>
  );
}

/** When it is looked at again: after ten minutes of riding, and after fifty kilometres, dated into a calendar. */
export function SecondLook({ bicycle, send }: StageProps) {
  const { name: by } = useHand();
  const today = useToday();
  const mark = proofMarkOf(bicycle, 'ride-again');
  const ten = lookOf(bicycle, 'ten-minutes');
  const fifty = lookOf(bicycle, 'fifty-km');
  const date = (of: Look['of'], dueOn: string, words: string, row: Partial<Look> = {}) =>
    send({
      type: 'putSecondLook',
      look: { id: newId(), of, dueOn, doneAt: null, by, words, at: nowIso(), ...row },
    });
  const inAWeek = formatISO(addDays(parseISO(today), AGAIN_DAYS), { representation: 'date' });
  return (
    <Box sx={{ display: 'grid', gap: 1.5, mt: 1 }}>
      <TenMinutes
        key={ten?.id}
        look={ten}
        again={ten && mark?.passed && mark.at >= ten.at ? mark : null}
        onBegin={() => date('ten-minutes', today, '')}
      />
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        {fifty ? (
          <>
            <TextField
              type="date"
              size="small"
              label={LOOK_WORDS['fifty-km']}
              value={fifty.dueOn}
              onChange={({ target: { value } }) =>
                value && send({ type: 'putSecondLook', look: { ...fifty, dueOn: value } })
              }
              sx={{ width: 280 }}
            />
            <Button variant="outlined" onClick={() => void saveServices(bicycle, [])}>
              Into the calendar
            </Button>
            <Button color="inherit" onClick={() => send({ type: 'dropSecondLook', look: fifty.id })}>
              Drop it
            </Button>
          </>
        ) : (
          <Button
            variant="outlined"
            sx={{ minHeight: 48 }}
            onClick={() => date('fifty-km', inAWeek, 'Spokes, cables, headset, cranks, brakes: two minutes each.')}
          >
            Second look in a week, or after fifty kilometres
          </Button>
        )}
      </Box>
    </Box>
  );
}
