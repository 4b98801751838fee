'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Diagnosis } from '@/core/inspect/conclude';
import type { Knowledge, KnownTest } from '@/core/inspect/knowledge';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { faultJob } from '@/core/decide/faultJob';
import type { TestAnswer } from '@/core/inspect/testAnswers';
import { asJob, decidedJob } from '@/model/decide/decided';
import type { Complaint } from '@/model/inspect/part';
import { diagnosisInput } from '@/model/inspect/questions';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf, hours, money, percent } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { stateColour, StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useHand } from '../workshop/useHand';
import { useJobs } from '../workshop/useJobs';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const MOST_BARS = 6;
/** What stands in the list beside the faults once one is known. */
const NOTHING_ELSE = { label: 'Nothing else', unsafe: false };

function minutesWords(minutes: number): string {
  return minutes < 1 ? `${Math.round(minutes * 60)} s` : `${minutes} min`;
}

/** The likeliest causes as bars that move with each answer. */
function Causes({ found, known }: { found: Diagnosis; known: Knowledge }) {
  const top = found.faults.slice(0, MOST_BARS);
  const rest = found.faults.slice(MOST_BARS).reduce((sum, fault) => sum + fault.probability, 0);
  const rows = [
    ...top.map(({ id, probability }) => {
      const fault = known.faults.find((each) => each.id === id) ?? NOTHING_ELSE;
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
          <Box sx={{ textAlign: 'right', fontWeight: 640 }}>{percent(cause.share)}</Box>
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

/** What the likeliest fault asks for: the job that a finding asks for already, or one of its own. */
function Fix({ fault, bicycle, send }: StageProps & { fault: string }) {
  const { currency } = useSettings();
  const { jobs } = useJobs(bicycle);
  const job = jobs?.find(({ rule, aka }) => rule === faultJob(fault) || aka.includes(faultJob(fault)));
  if (!job) return null;
  const kept = decidedJob(bicycle.jobs, job)?.decision === 'keep';
  return (
    <Box sx={{ my: 2, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Box sx={{ fontWeight: 640, fontSize: '1.1rem' }}>{job.title}</Box>
        <Box sx={{ color: 'text.secondary' }}>
          {hours(job.minutes.low)} to {hours(job.minutes.high)}, parts {money(job.parts.low, currency)} to{' '}
          {money(job.parts.high, currency)}
        </Box>
        {job.check !== null && <Box sx={{ fontSize: '0.92rem' }}>{job.because}</Box>}
      </Box>
      <Button
        variant="contained"
        disabled={kept}
        onClick={() =>
          send({
            type: 'decideJob',
            job: decidedJob(bicycle.jobs, job)
              ? { ...decidedJob(bicycle.jobs, job)!, decision: 'keep', reason: '', declined: null }
              : asJob(job),
          })
        }
      >
        {kept ? 'On the list of jobs' : 'Put it on the list of jobs'}
      </Button>
    </Box>
  );
}

/** Tests that other stages have answered already: nothing is asked twice, and each may be made all the same. */
function KnownAlready({
  answers,
  known,
  onTest,
}: {
  answers: TestAnswer[];
  known: Knowledge;
  onTest(test: string): void;
}) {
  if (answers.length === 0) return null;
  return (
    <Box sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        Known already
      </Typography>
      <RuledList>
        {answers.map((answer) => {
          const test = known.tests.find(({ id }) => id === answer.test);
          const outcome = test?.outcomes.find(({ id }) => id === answer.outcome);
          return (
            <Box component="li" key={answer.test} sx={{ py: 0.5, display: 'flex', gap: 1, alignItems: 'center' }}>
              <Box sx={{ flex: 1 }}>
                {test?.label}: <b>{outcome?.label}</b>
                <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
                  {answer.label}
                  {answer.at && `, ${dayOf(answer.at)}`}
                </Box>
              </Box>
              <Button
                size="small"
                color="inherit"
                aria-label={`Test all the same: ${test?.label}`}
                onClick={() => onTest(answer.test)}
              >
                Test all the same
              </Button>
            </Box>
          );
        })}
      </RuledList>
    </Box>
  );
}

function OpenComplaint({ bicycle, send, row, known }: StageProps & { row: Complaint; known: Knowledge }) {
  const { lookOver, complaints } = useJobs(bicycle);
  const said = complaints?.find(({ id }) => id === row.id);
  const { name: by } = useHand();
  const question = lookOver && diagnosisInput(row, lookOver);
  const { output: first } = useReckon('inspect.diagnose', row.known.length === 0 ? question : null);
  const { output: second } = useReckon(
    'inspect.diagnoseAfter',
    question && row.known.length > 0 ? { ...question, known: row.known, still: row.complaints } : null,
  );
  const found = row.known.length === 0 ? first : second;
  const answers = (lookOver?.answers ?? []).filter(({ test, outcome }) =>
    question?.results.some((each) => each.test === test && each.outcome === outcome && 'blur' in each),
  );
  const overtaken = new Set(answers.map(({ test }) => test));
  const tried = row.results.filter(({ test }) => !overtaken.has(test));
  const [picked, setPicked] = useState<string | null>(null);
  const put = (changes: Partial<Complaint>) => send({ type: 'putComplaint', complaint: { ...row, ...changes } });
  const done = new Set([...tried.map((result) => result.test), ...row.unavailable]);
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
            {(found.unsafe || said?.unsafe) && <StateMark state="unsafe" />}
            {said?.unsafe && !found.unsafe && (
              <Typography sx={{ fontSize: '0.94rem' }}>
                What was found before speaks against it; it stays unsafe until a test for this complaint rules it out.
              </Typography>
            )}
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
              {row.known.length > 0 && (
                <Typography sx={{ mt: 2 }}>
                  Mended already:{' '}
                  <b>{row.known.map((id) => known.faults.find((each) => each.id === id)?.label).join(', ')}</b>. What it
                  explained counts for nothing else.
                </Typography>
              )}
              {top && top.id !== 'none' && top.probability >= 0.6 && (
                <>
                  <Fix fault={top.id} bicycle={bicycle} send={send} />
                  {row.known.length < 6 && (
                    <Button
                      variant="outlined"
                      color="inherit"
                      onClick={() => {
                        setPicked(null);
                        put({ known: [...row.known, top.id] });
                      }}
                    >
                      That is mended, and it is still there
                    </Button>
                  )}
                </>
              )}
              {test && !((found.settled || found.enough) && !picked) ? (
                <TestBlock
                  key={test.id}
                  test={test}
                  why={test.id === advised ? found.why : null}
                  onOutcome={(outcome) => {
                    setPicked(null);
                    put({
                      results: [
                        ...row.results.filter((each) => each.test !== test.id),
                        { test: test.id, outcome, at: nowIso(), ...(by && { by }) },
                      ],
                    });
                  }}
                  onCannot={() => {
                    setPicked(null);
                    put({ unavailable: [...row.unavailable, test.id] });
                  }}
                />
              ) : (
                <Typography sx={{ my: 2 }}>
                  {top?.id === 'none'
                    ? 'Nothing else is behind it: close it once it is gone.'
                    : found.settled
                      ? 'Put it right, then look again: what was said should be gone.'
                      : 'No test is left that would move the odds.'}
                </Typography>
              )}
            </Box>
          </Box>
        </>
      )}
      <KnownAlready answers={answers} known={known} onTest={setPicked} />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 4 }}>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            Tried
          </Typography>
          {tried.length === 0 && <Typography sx={{ color: 'text.secondary' }}>Nothing yet.</Typography>}
          <RuledList>
            {tried.map((result) => {
              const test = known.tests.find((each) => each.id === result.test);
              return (
                <Box component="li" key={result.test} sx={{ py: 0.5, display: 'flex', gap: 1, alignItems: 'center' }}>
                  <Box sx={{ flex: 1 }}>
                    {test?.label}: <b>{test?.outcomes.find((each) => each.id === result.outcome)?.label}</b>
                  </Box>
                  <Button
                    size="small"
                    color="inherit"
                    aria-label={`Take back: ${test?.label}`}
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
          complaint: { id: newId(), complaints: [complaint], results: [], unavailable: [], closedAt: null, known: [] },
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
