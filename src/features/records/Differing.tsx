'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ShareQuestion } from '@/model/share/question';
import { questionWords } from '@/model/share/questionWords';
import { answerQuestion } from '@/store/share/browserShare';
import { money } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { useShare } from '../workshop/sharePart';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

const keyOf = (question: ShareQuestion) =>
  question.is === 'short' ? `short ${question.item}` : `${question.record} ${question.leaf}`;

/** What two entered without knowing of each other, outside of bicycles: whoever is there chooses, for everybody. */
export function Differing() {
  const share = useShare();
  const { currency } = useSettings();
  const stock = useWorkshopState((state) => state.stock);
  const [answered, setAnswered] = useState<ReadonlySet<string>>(new Set());
  const open = (share?.questions ?? []).filter((question) => !answered.has(keyOf(question)));
  if (open.length === 0) return null;
  const choose = (question: ShareQuestion, value: unknown) => {
    setAnswered((was) => new Set([...was, keyOf(question)]));
    void answerQuestion(question, value);
  };
  return (
    <RuledList aria-label="Entered differently on two devices">
      {open.map((question) => {
        const { words, choices } = questionWords(question, {
          money: (minor) => money(minor, currency),
          labelOf: (id) => stock[id]?.label ?? id,
        });
        return (
          <Box
            component="li"
            key={keyOf(question)}
            sx={{ py: 1, display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}
          >
            <Box sx={{ flex: '1 1 240px' }}>{words}</Box>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
              {choices.map(({ label, value }) => (
                <Button key={label} variant="outlined" onClick={() => choose(question, value)}>
                  {label}
                </Button>
              ))}
            </Box>
          </Box>
        );
      })}
    </RuledList>
  );
}
