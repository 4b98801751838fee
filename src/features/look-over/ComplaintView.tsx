'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Diagnosis } from '@/core/inspect/diagnose';
import type { Knowledge, KnownTest } from '@/core/inspect/knowledge';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Complaint } from '@/model/inspect/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { hours, money } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { stateColour, StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const MOST_BARS = 6;

function minutesWords(minutes: number): string {
  return minutes < 1 ? `${Math.round(minutes * 60)} s` : `${minutes} min`;
}

/** The likeliest causes as bars that move with each answer. */
function Causes({ found, known }: { found: Diagnosis; known: Knowledge }) {
  const top = found.faults.slice(0, MOST_BARS);
  const rest = found.faults.slice(MOST_BARS).reduce((sum, fault) => sum + fault.probability, 0);
  const rows = [
    ...top.map(({ id, probability }) => {
      const fault = known.faults.find((each) => each.id === id)!;
      return { id, label: fault.label, unsafe: fault.unsafe, share: probability };
    }),
    { id: 'rest', label: 'Any other', unsafe: false, share: rest },
  ];
  return (
    <Box
      component="ul"
      aria-label="Likeliest causes"
      sx={{ p: 0, m: 0, listStyle: 'none', display: 'grid', gap: 0.75 }}
    >
      {rows.map((cause) => (
        <Box
          component="li"
          key={cause.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr) 56px', sm: '260px minmax(0, 1fr) 56px' },
            columnGap: 2,
            alignItems: 'center',
          }}
        >
          <Box sx={{ minWidth: 0, color: cause.id === 'rest' ? 'text.secondary' : undefined }}>
            {cause.label}
            {cause.unsafe && (
              <Box component="span" sx={{ ml: 1, color: stateColour('unsafe'), fontWeight: 640 }}>
                unsafe
              </Box>
            )}
          </Box>
          <Box sx={{ bgcolor: 'sheet.soft', height: 14, gridRow: { xs: 2, sm: 'auto' } }}>
            <Box
              sx={{
                height: '100%',
                width: `${cause.share * 100}%`,
                bgcolor: cause.unsafe ? stateColour('unsafe') : cause.id === 'rest' ? 'text.secondary' : 'primary.main',
                transition: 'width 220ms',
              }}
            />
          </Box>
          <Box sx={{ textAlign: 'right', fontWeight: 640 }}>{Math.round(cause.share * 100)} %</Box>
        </Box>
      ))}
    </Box>
  );
}

function TestBlock({
  test,
  why,
  onOutcome,
  onCannot,
}: {
  test: KnownTest;
  why: string | null;
  onOutcome(outcome: string): void;
  onCannot(): void;
}) {
  return (
    <Box sx={{ border: '1.5px solid', borderColor: 'text.primary', bgcolor: 'sheet.paper', p: 2.25, my: 2.5 }}>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
        Next test · {placeLabel(test.place).toLowerCase()} · {minutesWords(test.minutes)}
      </Box>
      <Box
        component="h3"
        aria-live="polite"
        sx={{ m: 0, mt: 0.25, fontSize: '1.45rem', lineHeight: 1.2, fontWeight: 660 }}
      >
        {test.label}
      </Box>
      <Typography sx={{ mt: 0.75, maxWidth: '58ch' }}>{test.how}</Typography>
      {why && (
        <Typography sx={{ mt: 0.75, maxWidth: '58ch', color: 'text.secondary' }}>
          <b>Why this one:</b> {why}
        </Typography>
      )}
      <Box role="group" aria-label="How did it come out?" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.75 }}>
        {test.outcomes.map((outcome) => (
          <Button key={outcome.id} variant="outlined" sx={{ minHeight: 52 }} onClick={() => onOutcome(outcome.id)}>
            {outcome.label}
          </Button>
        ))}
        <Button color="inherit" sx={{ minHeight: 52 }} onClick={onCannot}>
          Cannot do this one
        </Button>
      </Box>
    </Box>
  );
}

/** What the likeliest fault asks for, to be put on the list of jobs. */
function Fix({ fault, bicycle, send }: StageProps & { fault: string }) {
  const { currency } = useSettings();
  const { output: remedy } = useReckon('inspect.remedy', { fault });
  if (!remedy) return null;
  const id = `fault-${fault}`;
  const kept = bicycle.jobs.some((job) => job.id === id && job.decision === 'keep');
  return (
    <Box sx={{ my: 2, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Box sx={{ fontWeight: 640, fontSize: '1.1rem' }}>{remedy.title}</Box>
        <Box sx={{ color: 'text.secondary' }}>
          {hours(remedy.minutes.low)} to {hours(remedy.minutes.high)}, parts {money(remedy.parts.low, currency, true)}{' '}
          to {money(remedy.parts.high, currency, true)}
        </Box>
      </Box>
      <Button
        variant="contained"
        disabled={kept}
        onClick={() =>
          send({
            type: 'decideJob',
            job: {
              id,
              rule: null,
              title: remedy.title,
              place: remedy.place,
              minutes: remedy.minutes,
              parts: remedy.parts,
              decision: 'keep',
              reason: '',
              done: false,
              approval: null,
              declined: null,
            },
          })
        }
      >
        {kept ? 'On the list of jobs' : 'Put it on the list of jobs'}
      </Button>
    </Box>
  );
}

function OpenComplaint({ bicycle, send, row, known }: StageProps & { row: Complaint; known: Knowledge }) {
  const { output: found } = useReckon('inspect.diagnose', {
    complaints: row.complaints,
    results: row.results.map(({ test, outcome }) => ({ test, outcome })),
    unavailable: row.unavailable,
  });
  const [picked, setPicked] = useState<string | null>(null);
  const put = (changes: Partial<Complaint>) => send({ type: 'putComplaint', complaint: { ...row, ...changes } });
  const done = new Set([...row.results.map((result) => result.test), ...row.unavailable]);
  const advised = found?.next[0]?.test ?? null;
  const shownTest = picked && !done.has(picked) ? picked : advised;
  const test = known.tests.find((each) => each.id === shownTest) ?? null;
  const labelOf = (id: string) => known.complaints.find((each) => each.id === id)?.label ?? id;
  const top = found?.faults[0];
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 2 }}>
        <Typography sx={{ fontSize: '1.25rem', fontWeight: 640, flex: 1, minWidth: 220 }}>
          “{row.complaints.map(labelOf).join('; ')}”
        </Typography>
        <Button color="inherit" size="small" onClick={() => put({ closedAt: nowIso() })}>
          Close it
        </Button>
      </Box>
      {found && (
        <>
          <Box aria-live="polite" sx={{ minHeight: 54, mb: 1.5 }}>
            {found.unsafe && <StateMark state="unsafe" />}
            <Typography sx={{ fontWeight: found.settled ? 660 : 400, fontSize: found.settled ? '1.15rem' : undefined }}>
              {found.settled && 'Settled. '}
              {found.reasons[0]}
            </Typography>
            {found.reasons.slice(1).map((reason) => (
              <Typography key={reason} sx={{ fontSize: '0.94rem' }}>
                {reason}
              </Typography>
            ))}
          </Box>
          <Box sx={{ display: 'flex', flexDirection: 'column' }}>
            {/* On a phone the test at hand comes first, under the thumb; on a laptop the causes are seen above it. */}
            <Box sx={{ order: { xs: 2, md: 1 } }}>
              <Causes found={found} known={known} />
            </Box>
            <Box sx={{ order: { xs: 1, md: 2 } }}>
              {top && top.probability >= 0.6 && <Fix fault={top.id} bicycle={bicycle} send={send} />}
              {test && !(found.settled && !picked) ? (
                <TestBlock
                  key={test.id}
                  test={test}
                  why={test.id === advised ? found.why : null}
                  onOutcome={(outcome) => {
                    setPicked(null);
                    put({ results: [...row.results, { test: test.id, outcome, at: nowIso() }] });
                  }}
                  onCannot={() => {
                    setPicked(null);
                    put({ unavailable: [...row.unavailable, test.id] });
                  }}
                />
              ) : (
                <Typography sx={{ my: 2 }}>
                  {found.settled
                    ? 'Put it right, then look again: what was said should be gone.'
                    : 'No test is left that would move the odds.'}
                </Typography>
              )}
            </Box>
          </Box>
        </>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 4 }}>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            Tried
          </Typography>
          {row.results.length === 0 && <Typography sx={{ color: 'text.secondary' }}>Nothing yet.</Typography>}
          <RuledList>
            {row.results.map((result) => {
              const tried = known.tests.find((each) => each.id === result.test);
              return (
                <Box component="li" key={result.test} sx={{ py: 0.5, display: 'flex', gap: 1, alignItems: 'center' }}>
                  <Box sx={{ flex: 1 }}>
                    {tried?.label}: <b>{tried?.outcomes.find((each) => each.id === result.outcome)?.label}</b>
                  </Box>
                  <Button
                    size="small"
                    color="inherit"
                    aria-label={`Take back: ${tried?.label}`}
                    onClick={() => put({ results: row.results.filter((each) => each.test !== result.test) })}
                  >
                    Back
                  </Button>
                </Box>
              );
            })}
          </RuledList>
        </Box>
        <Box>
          <Disclosure summary="Other tests, most telling first">
            <RuledList>
              {(found?.next ?? []).slice(1, 9).map((each) => {
                const other = known.tests.find((one) => one.id === each.test)!;
                return (
                  <Box component="li" key={each.test}>
                    <Button
                      color="inherit"
                      fullWidth
                      sx={{ justifyContent: 'space-between', textAlign: 'left', px: 0.5 }}
                      onClick={() => setPicked(each.test)}
                    >
                      <span>{other.label}</span>
                      <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap', pl: 1 }}>
                        {minutesWords(each.minutes)}
                      </Box>
                    </Button>
                  </Box>
                );
              })}
            </RuledList>
          </Disclosure>
          {row.unavailable.length > 0 && (
            <Button color="inherit" size="small" onClick={() => put({ unavailable: [] })}>
              Ask again for the {row.unavailable.length} left out
            </Button>
          )}
        </Box>
      </Box>
      {found && <Working rows={found.working} />}
    </Box>
  );
}

/** From what the rider says to its cause, by the most telling test a minute. */
export function ComplaintView({ bicycle, send }: StageProps) {
  const { output: known } = useReckon('inspect.knowledge', {});
  const open = bicycle.complaints.find((row) => row.closedAt === null);
  if (!known) return <Typography role="status">Reading what is known…</Typography>;
  const say = (complaint: string) =>
    open
      ? send({ type: 'putComplaint', complaint: { ...open, complaints: [...open.complaints, complaint] } })
      : send({
          type: 'putComplaint',
          complaint: { id: newId(), complaints: [complaint], results: [], unavailable: [], closedAt: null },
        });
  const left = known.complaints.filter((each) => !open?.complaints.includes(each.id));
  const list = (
    <Box role="group" aria-label="What the rider says" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
      {left.map((each) => (
        <Button key={each.id} variant="outlined" color="inherit" onClick={() => say(each.id)}>
          {each.label}
        </Button>
      ))}
    </Box>
  );
  return (
    <Box sx={{ mt: 2.5 }}>
      {open ? (
        <>
          <OpenComplaint key={open.id} bicycle={bicycle} send={send} row={open} known={known} />
          {open.complaints.length < 10 && (
            <Box sx={{ mt: 2 }}>
              <Disclosure summary="The rider says something else besides">{list}</Disclosure>
            </Box>
          )}
        </>
      ) : (
        <>
          <Typography sx={{ maxWidth: '58ch' }}>
            Choose what the rider says. The cheapest telling test comes first; nothing is taken apart before it must be.
          </Typography>
          {list}
        </>
      )}
    </Box>
  );
}
