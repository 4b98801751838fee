'use client';
import Box from '@mui/material/Box';
import { addDays, formatISO, parseISO } from 'date-fns';
import { mountOf } from '@/model/tyres/questions';
import { openLooks } from '@/model/prove/secondLooks';
import type { WheelEnd } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Sealant in a tyre without a tube: how much by its width, since when, and when it is looked at again. */
export function Sealant({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const { name: by } = useHand();
  const today = useToday();
  const { output } = useReckon('tyres.mount', mountOf(bicycle, end));
  const kept = bicycle.sealants[end] ?? null;
  const usual = output?.sealantMl ?? null;
  const dated = openLooks(bicycle).find((look) => look.of === 'sealant' && look.words.startsWith(`The ${end}`));
  return (
    <Section title="Sealant" aside={kept ? `since ${dayOf(kept.at)}` : undefined}>
      <Box sx={{ maxWidth: '58ch', mb: 1 }}>
        {usual ? `${usual.low} to ${usual.high} ml in a tyre of this width. ` : 'The width of the tyre says how much. '}
        It dries within months: it is looked at again{dated ? ` on ${dayOf(dated.dueOn)}` : ''}.
      </Box>
      <Box data-readings>
        <ReadingField
          label="Filled in"
          kind="number"
          unit="ml"
          width={200}
          value={kept?.ml ?? null}
          refuse={(value) => (value <= 0 || value > 500 ? '1 to 500 ml' : null)}
          onCommit={(ml) => {
            send({ type: 'sealTyre', end, sealant: { at: nowIso(), by, ml } });
            if (!output) return;
            send({
              type: 'putSecondLook',
              look: {
                id: dated?.id ?? newId(),
                of: 'sealant',
                dueOn: formatISO(addDays(parseISO(today), output.sealantDays), { representation: 'date' }),
                doneAt: null,
                by,
                words: `The ${end} tyre: sealant looked at, and filled up.`,
                at: nowIso(),
              },
            });
          }}
          onClear={() => send({ type: 'sealTyre', end, sealant: null })}
        />
      </Box>
    </Section>
  );
}
