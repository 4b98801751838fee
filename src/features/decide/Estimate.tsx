'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import type { ProposedJob } from '@/core/decide/jobs';
import { NOTHING_LEARNT } from '@/core/money/learnt';
import { fileName } from '@/core/fileName';
import type { Job } from '@/model/decide/part';
import {
  estimateLines,
  estimateText,
  lookedWords,
  NO_RATE,
  priceWords,
  type EstimateLine,
  type LookedAt,
} from '@/model/decide/estimate';
import { nowIso } from '@/store/now';
import { dayOf, money } from '@/ui/format';
import { Paper } from '@/ui/Paper';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { useLearnt } from '../workshop/useLearnt';
import { useToday } from '../workshop/useToday';
import { FoundLoose } from './FoundLoose';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { asJob } from '@/model/decide/decided';

const GROUPS = [
  { need: 'needed', title: 'Needed', words: 'It should not go on the road without these.' },
  { need: 'asked', title: 'Asked for', words: 'Put down by hand.' },
  { need: 'advised', title: 'Advised', words: 'Worth doing while it is here.' },
  { need: 'cosmetic', title: 'For its looks', words: 'As you like.' },
] as const;

function Line({
  line,
  currency,
  onAnswer,
}: {
  line: EstimateLine;
  currency: string;
  onAnswer(answer: 'yes' | 'no' | null, words: string): void;
}) {
  const [words, setWords] = useState(line.approval?.words ?? '');
  const answer = line.approval?.answer ?? null;
  return (
    <tr>
      <td>
        <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
          <b>{line.title}</b>
          <Box sx={{ whiteSpace: 'nowrap', fontWeight: 620 }}>
            {priceWords(line, (minor) => money(minor, currency))}
          </Box>
        </Box>
        {line.because && <Box sx={{ fontSize: '0.92rem' }}>{line.because}</Box>}
        <Box sx={{ display: 'flex', gap: 0.75, mt: 1, alignItems: 'end', '@media print': { display: 'none' } }}>
          <Button
            size="small"
            variant={answer === 'yes' ? 'contained' : 'outlined'}
            aria-pressed={answer === 'yes'}
            aria-label={`The owner approves: ${line.title}`}
            onClick={() => onAnswer(answer === 'yes' ? null : 'yes', words)}
          >
            Yes
          </Button>
          <Button
            size="small"
            color="inherit"
            variant={answer === 'no' ? 'contained' : 'outlined'}
            aria-pressed={answer === 'no'}
            aria-label={`The owner declines: ${line.title}`}
            onClick={() => onAnswer(answer === 'no' ? null : 'no', words)}
          >
            No
          </Button>
          <TextInput
            label="In the owner’s words"
            value={words}
            onChange={(event) => setWords(event.target.value.slice(0, 200))}
            onBlur={() => line.approval && words !== line.approval.words && onAnswer(line.approval.answer, words)}
            sx={{ flex: 1, maxWidth: 320 }}
          />
        </Box>
        <Box sx={{ display: 'none', '@media print': { display: 'block' } }}>
          {line.approval
            ? `${line.approval.answer === 'yes' ? 'Approved' : 'Declined'} ${dayOf(line.approval.at)}${line.approval.words ? `: ${line.approval.words}` : ''}`
            : '☐ yes   ☐ no'}
        </Box>
      </td>
    </tr>
  );
}

/** The estimate of a customer's bicycle: a clean page to print or send, and the owner's word line by line. */
export function Estimate({
  bicycle,
  send,
  proposed,
  looked,
}: StageProps & { proposed: ProposedJob[]; looked: LookedAt }) {
  const settings = useSettings();
  const { currency, customerPerHour } = settings;
  const lines = estimateLines(bicycle, proposed, customerPerHour, useLearnt() ?? NOTHING_LEARNT);
  const today = useToday();
  const answer = (line: EstimateLine, said: 'yes' | 'no' | null, words: string) => {
    const known = bicycle.jobs.find((job) => job.id === line.id);
    const source = proposed.find((job) => job.rule === line.id);
    const approval = said === null ? null : { answer: said, words, at: nowIso() };
    const job: Job | null = known ?? (source ? asJob(source) : null);
    if (!job) return;
    // The owner's no takes the job off the list with its reason; a yes puts it on.
    send({
      type: 'decideJob',
      job: {
        ...job,
        approval,
        decision: said === 'no' ? 'drop' : 'keep',
        reason: said === 'no' ? 'The owner declined' : '',
        declined: said === 'no' ? { by: bicycle.customer.slice(0, 80), on: today, words } : null,
      },
    });
  };
  const sum = (rows: EstimateLine[]) => ({
    low: rows.reduce((total, line) => total + line.low, 0),
    high: rows.reduce((total, line) => total + line.high, 0),
  });
  const range = (each: { low: number; high: number }) =>
    priceWords({ ...each, unpriced: false }, (minor) => money(minor, currency));
  const approved = lines.filter((line) => line.approval?.answer === 'yes');
  const declined = lines.filter((line) => line.approval?.answer === 'no');
  const whole = sum(lines.filter((line) => line.need === 'needed'));
  const agreed = sum(approved);
  const save = () =>
    saveFile(
      new Blob([estimateText(bicycle, lines, settings, dayOf(today), looked)], { type: 'text/plain;charset=utf-8' }),
      `${fileName(bicycle.name)}-estimate.txt`,
    );
  return (
    <Section title="The estimate" aside={`${approved.length} of ${lines.length} approved`}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 2 }}>
        <Button variant="contained" onClick={() => window.print()}>
          Print the estimate
        </Button>
        <Button variant="outlined" color="inherit" onClick={save}>
          Save it as a file
        </Button>
        {customerPerHour === 0 && (
          <Typography sx={{ alignSelf: 'center', fontSize: '0.92rem' }}>
            The price of a customer’s hour stands under{' '}
            <Link prefetch={false} href="/settings">
              House rules
            </Link>
            .
          </Typography>
        )}
      </Box>
      <Paper
        id="estimate"
        sx={{
          '& table': { width: '100%', borderCollapse: 'collapse' },
          '& td': { py: 0.9, verticalAlign: 'top', borderTop: '1px solid #ddd' },
        }}
      >
        <Box sx={{ fontSize: '1.6rem', fontWeight: 680, lineHeight: 1.15 }}>Estimate: {bicycle.name}</Box>
        <Box sx={{ mb: 1 }}>
          {settings.name}, {dayOf(today)}
          {bicycle.customer && ` · for ${bicycle.customer}`}
          {bicycle.provenance.serial && ` · number ${bicycle.provenance.serial}`}
        </Box>
        <Box>{lookedWords(looked)}</Box>
        {customerPerHour === 0 && <Box>{NO_RATE}</Box>}
        {GROUPS.map((group) => {
          const rows = lines.filter((line) => line.need === group.need);
          if (rows.length === 0) return null;
          return (
            <Box key={group.need} sx={{ mt: 2.5 }}>
              <Box component="h3" sx={{ m: 0, fontSize: '1.1rem' }}>
                {group.title}
              </Box>
              <Box sx={{ fontSize: '0.92rem', mb: 0.5 }}>{group.words}</Box>
              <table>
                <tbody>
                  {rows.map((line) => (
                    <Line
                      key={line.id}
                      line={line}
                      currency={currency}
                      onAnswer={(said, words) => answer(line, said, words)}
                    />
                  ))}
                </tbody>
              </table>
            </Box>
          );
        })}
        <FoundLoose bicycle={bicycle} />
        <Box sx={{ mt: 3, fontSize: '1.1rem' }}>
          {lines.some((line) => line.need === 'needed') ? (
            <>
              What is needed comes to <b>{range(whole)}</b>, {customerPerHour === 0 ? 'parts only' : 'parts and work'}.
            </>
          ) : (
            'Nothing is needed before it goes on the road, as far as it was looked at.'
          )}
          {approved.length > 0 && (
            <Box>
              Approved so far: <b>{range(agreed)}</b>
              {declined.length > 0 && `; declined: ${declined.map((line) => line.title.toLowerCase()).join(', ')}`}.
            </Box>
          )}
        </Box>
        <Box sx={{ mt: 1.5, fontSize: '0.92rem' }}>
          Ranges, since some of it shows only when it is apart. Nothing beyond an approved line is done without asking
          again. What may not be ridden until a qualified person has looked stays so, whatever is approved.
        </Box>
      </Paper>
    </Section>
  );
}
