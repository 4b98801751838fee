'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Recall } from '@/model/inspect/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { dayOf } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { TextInput } from '@/ui/TextInput';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

const OF: { id: Recall['of']; label: string; place: string }[] = [
  { id: 'fork', label: 'Fork', place: 'fork' },
  { id: 'stem', label: 'Stem', place: 'stem' },
  { id: 'crank', label: 'Crank', place: 'crank.right' },
  { id: 'frame', label: 'Frame', place: 'frame' },
  { id: 'battery', label: 'Battery', place: 'frame' },
];
const RESULTS = [
  { id: 'none', label: 'None found' },
  { id: 'recalled', label: 'It is recalled' },
  { id: 'remedied', label: 'Recalled, remedied' },
] as const;

function Row({ bicycle, send, of }: StageProps & { of: (typeof OF)[number] }) {
  const { name: by } = useHand();
  const today = useToday();
  const last = bicycle.recalls.findLast((row) => row.of === of.id);
  const before = bicycle.recalls.findLast(({ where }) => where !== '')?.where ?? '';
  const [where, setWhere] = useState<string | null>(null);
  const said = where ?? last?.where ?? before;
  const put = (result: Recall['result']) =>
    send({
      type: 'putRecall',
      recall: { id: newId(), of: of.id, place: of.place, where: said, on: today, result, words: '', by, at: nowIso() },
    });
  return (
    <Box component="li" sx={{ py: 1.25 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ width: 90, fontWeight: 640, alignSelf: 'center' }}>{of.label}</Box>
        <TextInput
          label="Looked up where"
          value={said}
          onChange={({ target }) => setWhere(target.value.slice(0, 200))}
          onBlur={() => {
            if (last && where !== null && where !== last.where) send({ type: 'putRecall', recall: { ...last, where } });
            setWhere(null);
          }}
          sx={{ flex: 1, minWidth: 180 }}
        />
        <Choices
          label={`What it came to: ${of.label.toLowerCase()}`}
          hideLabel
          options={RESULTS}
          value={last?.result ?? null}
          onChoose={put}
        />
      </Box>
      {last && (
        <Box
          sx={{ mt: 0.5, fontSize: '0.9rem', color: 'text.secondary', display: 'flex', gap: 1, alignItems: 'center' }}
        >
          {last.result === 'recalled' && <StateMark state="unsafe" size={16} />}
          {dayOf(last.on)}
          {last.by && `, ${last.by}`}
          <Button size="small" color="inherit" onClick={() => send({ type: 'removeRecall', recall: last.id })}>
            Take back
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** Recalls that were looked up: of what, where, when, and what it came to. A recalled part is not ridden. */
export function Recalls({ bicycle, send }: StageProps) {
  const parts = OF.filter(({ id }) => id !== 'battery' || bicycle.kind.electric);
  const done = parts.filter(({ id }) => bicycle.recalls.some(({ of }) => of === id)).length;
  return (
    <Section title="Recalls looked up" aside={`${done} of ${parts.length}`}>
      <Typography sx={{ color: 'text.secondary', maxWidth: '60ch' }}>
        By maker, model and number, in the register of your country and with the maker. A recalled part stays off the
        road until it is remedied.
      </Typography>
      <RuledList aria-label="Recalls">
        {parts.map((of) => (
          <Row key={of.id} bicycle={bicycle} send={send} of={of} />
        ))}
      </RuledList>
    </Section>
  );
}
