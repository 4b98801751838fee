'use client';
import Box from '@mui/material/Box';
import { roundVerdict } from '@/core/bearings/round';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Ready } from '@/core/prove/ready';
import type { Bolt } from '@/core/rebuild/bolts';
import type { JointHere } from '@/core/rebuild/jointsOf';
import { SEEN_WORDS } from '@/core/inspect/seenAs';
import { ballRowLabel } from '@/core/strip/tray';
import { placeLabel, stateLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '@/model/record';
import type { Bearing } from '@/model/bearings/part';
import { readWords } from '@/model/prove/paper';
import { acceptedWords, lastWayOut, proofMarkOf } from '@/model/prove/proving';
import { openLooks } from '@/model/prove/secondLooks';
import { signedBolts } from '@/model/rebuild/questions';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { dayOf } from '@/ui/format';
import { Paper } from '@/ui/Paper';
import { useEvidence } from '../prove/useEvidence';
import { useProofs } from '../prove/useProofs';
import { SafetyParts } from './SafetyParts';
import { WentBetween } from './WentBetween';
import { OpenList } from '../prove/OpenList';

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box sx={{ mt: 2.5, breakInside: 'avoid' }}>
      <Box component="h3" sx={{ m: 0, mb: 0.75, fontSize: '1rem', borderBottom: '1px solid' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}

function Listed({ words, items }: { words: string; items: string[] }) {
  return items.length === 0 ? null : (
    <Box sx={{ mt: 0.75 }}>
      <b>{words}:</b> {items.join(', ').toLowerCase()}.
    </Box>
  );
}

function ballsIn(bearing: Bearing): string[] {
  return Object.entries(bearing.balls).flatMap(([row, { in: put }]) =>
    put === null ? [] : [`${put} ${ballRowLabel(row).toLowerCase()}`],
  );
}

function stateWords({ feel, play, spinS }: NonNullable<Bearing['before']>): string {
  const known = [
    feel !== 'unknown' && `feel ${feel.replace('-', ' ')}`,
    play !== 'unknown' && `play ${play}`,
    spinS !== null && `spun ${spinS} s`,
  ];
  return known.filter(Boolean).join(', ') || 'not felt';
}

/** One bearing that was opened or set: before, after, balls, what runs on, when to look again. */
function OpenedBearing({ bearing, dueOn }: { bearing: Bearing; dueOn: string | null }) {
  const balls = ballsIn(bearing);
  const round = roundVerdict(bearing.round);
  return (
    <Box sx={{ mt: 0.75, breakInside: 'avoid' }}>
      <b>{placeLabel(bearing.place)}</b>
      {bearing.before && <div>Before: {stateWords(bearing.before)}</div>}
      {bearing.after && <div>After: {stateWords(bearing.after)}</div>}
      {balls.length > 0 && (
        <div>
          Balls in: {balls.join(', ')}
          {bearing.ballsWere === 'renewed' && ', new'}
          {bearing.ballsWere === 'reused' && ', the same again'}
        </div>
      )}
      {bearing.runOn && (
        <div>
          <b>A cup is pitted and runs on</b>: set at its tightest spot, it may dance a little. Look at it sooner.
        </div>
      )}
      {!bearing.runOn && (round.verdict === 'dances' || round.verdict === 'slack-elsewhere') && (
        <div>{round.words}</div>
      )}
      {dueOn && <div>Look at it again by {dayOf(dueOn)}.</div>}
    </Box>
  );
}

/** Whether it may be ridden, at the head of the sheet. */
function standing(bicycle: Bicycle, ready: Ready): string {
  const blocking = ready.missing.filter((item) => item.blocks);
  if (ready.ready) return 'Proved and signed as listed below.';
  const was = blocking.every((item) => item.kind === 'aged') ? ready.provedOn : null;
  if (was) return `Was ready on ${dayOf(was)}; look it over again before it is ridden.`;
  const open = `${blocking.length} ${blocking.length === 1 ? 'point stands' : 'points stand'} open`;
  const gone = lastWayOut(bicycle);
  return gone && gone.way !== 'ready'
    ? `Not roadworthy, not to be ridden: ${open}.`
    : `Not ready: ${open}. Not to be ridden until they are closed.`;
}

/** The sheet that goes with the bicycle: found, done, measured, torqued. No price stands on it. */
export function PrintSheet({
  bicycle,
  findings,
  bolts,
  joints,
  ready,
  workshop,
  today,
  due,
}: {
  bicycle: Bicycle;
  findings: LookOver['findings'];
  bolts: Bolt[];
  joints: JointHere[];
  ready: Ready;
  workshop: string;
  today: string;
  /** When each bearing is due again. */
  due: { place: string; dueOn: string; reasons: string[] }[];
}) {
  const proofs = useProofs(bicycle.kind);
  const evidence = useEvidence(bicycle);
  const signature = bicycle.signed.at(-1);
  const looks = openLooks(bicycle);
  const look = looks.find(({ of }) => of === 'fifty-km');
  const hand = bicycle.observations.findLast(({ check, withdrawn }) => check === 'lever-hand' && !withdrawn)?.evidence
    .outcome;
  const overhauled = bicycle.bearings.filter(
    (bearing) => bearing.before || bearing.after || ballsIn(bearing).length > 0,
  );
  const done = bicycle.jobs.filter((job) => job.decision === 'keep' && job.done);
  const left = bicycle.jobs.filter((job) => job.decision === 'drop');
  const signed = signedBolts(bicycle, bolts);
  const boltById = new Map(bolts.map((bolt) => [bolt.id, bolt]));
  const untouched = [...new Set(findings.map((each) => each.place))]
    .filter((place) => findings.every((each) => each.place !== place || each.state === 'not-looked-at'))
    .map(placeLabel);
  const blocking = ready.missing.filter((item) => item.blocks);
  const out = lastWayOut(bicycle);
  const labels = new Map(findings.map((finding) => [finding.check, finding.label]));
  const accepted = acceptedWords(bicycle, (check) => labels.get(check) ?? check);
  return (
    <Paper
      id="sheet"
      sx={{
        fontSize: '0.92rem',
        '& table': { borderCollapse: 'collapse', width: '100%' },
        '& td': { py: 0.3, pr: 2, verticalAlign: 'top' },
        '& td:nth-of-type(-n+2)': { whiteSpace: { xs: 'normal', sm: 'nowrap' } },
        overflowWrap: 'anywhere',
        '@media print': { '& td:nth-of-type(-n+2)': { whiteSpace: 'nowrap' } },
      }}
    >
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 96px', sm: '1fr 220px' }, gap: 3, alignItems: 'end' }}
      >
        <Box>
          <Box sx={{ fontSize: '1.7rem', fontWeight: 680, lineHeight: 1.15 }}>{bicycle.name}</Box>
          <Box>
            {workshop}, {dayOf(today)}
          </Box>
          <Box sx={{ mt: 1, fontWeight: 620 }}>{standing(bicycle, ready)}</Box>
          {out?.way === 'as-it-is' && (
            <Box sx={{ mt: 0.5 }}>
              Taken as it is by {out.to}
              {out.toldOn && `, who was told on ${dayOf(out.toldOn)} what stands open`}.
            </Box>
          )}
        </Box>
        <BicycleDrawing kind={bicycle.kind} label="" quiet />
      </Box>
      {!ready.ready && blocking.length > 0 && (
        <Part title="What stands open, and hinders riding">
          <OpenList items={blocking} />
        </Part>
      )}
      {out?.packed && (
        <Part title="Packed for carriage: put together before the first ride">
          Bars and stem, pedals (the left one has a left-hand thread), front wheel, saddle height. Tighten them to the
          figures below, then brakes at walking pace. Whoever is not sure has it done by a workshop.
        </Part>
      )}
      <Part title="Found">
        <table>
          <tbody>
            {findings
              .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
              .map((finding) => (
                <tr key={finding.check}>
                  <td>{finding.label}</td>
                  <td>
                    <b>{stateLabel(finding.state)}</b>
                  </td>
                  <td>
                    {finding.reasons[0]} {finding.seenAs && `(${SEEN_WORDS[finding.seenAs]})`}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
        <Listed words="Fine" items={findings.filter((each) => each.state === 'fine').map((each) => each.label)} />
        <Listed words="Not looked at" items={untouched} />
      </Part>
      <SafetyParts bicycle={bicycle} Part={Part} />
      <Part title="Done">
        {done.length === 0 ? 'No job is marked as done.' : done.map((job) => <div key={job.id}>{job.title}</div>)}
        {accepted.length > 0 && <Box sx={{ mt: 1 }}>Accepted as it is: {accepted.join('; ')}</Box>}
        {left.length > 0 && (
          <Box sx={{ mt: 1 }}>
            Left alone on purpose:{' '}
            {left
              .map(
                (job) =>
                  `${job.title} (${job.reason || 'no reason given'}${job.declined ? `, ${job.declined.by || 'nobody named'}, ${dayOf(job.declined.on)}` : ''})`,
              )
              .join('; ')}
          </Box>
        )}
      </Part>
      {overhauled.length > 0 && (
        <Part title="Bearings">
          {overhauled.map((bearing) => (
            <OpenedBearing
              key={bearing.place}
              bearing={bearing}
              dueOn={due.find((each) => each.place === bearing.place)?.dueOn ?? null}
            />
          ))}
        </Part>
      )}
      <Part title="Torqued">
        {signed.length === 0 ? (
          'No bolt is signed.'
        ) : (
          <table>
            <tbody>
              {signed.map(({ bolt, row, judgement }) => (
                <tr key={bolt}>
                  <td>{boltById.get(bolt)!.label}</td>
                  <td>
                    {row.valueNm === null
                      ? `by feel${row.holdTest ? ', hold tried' : ''}`
                      : `${row.valueNm} N·m by wrench${judgement === 'within' ? '' : `, ${judgement}`}`}
                  </td>
                  <td>
                    {boltById.get(bolt)!.preparation}
                    {row.what === 'checked' && ' · checked, not worked on'}
                    {row.foundLoose && ' · was found loose'}
                    {row.by && ` · ${row.by}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Part>
      <WentBetween bicycle={bicycle} joints={joints} Part={Part} />
      <Part title="Proved">
        {proofs === null && 'Calculating…'}
        {proofs?.map((proof) => {
          const mark = proofMarkOf(bicycle, proof.id);
          return (
            <div key={proof.id}>
              {proof.label}: <b>{mark ? (mark.passed ? 'passed' : 'failed') : 'not signed'}</b>
              {mark?.by && `, ${mark.by}`}
              {evidence && readWords(bicycle, proof.id, evidence).map((words) => `; ${words}`)}
              {mark?.note && `; ${mark.note}`}
              {mark?.accepted && `; accepted by ${mark.accepted.by}: ${mark.accepted.words}`}
            </div>
          );
        })}
      </Part>
      {signature && (
        <Part title="Signed">
          {signature.by}, {dayOf(signature.at)}, {signature.lines.length} lines.
          {signature.left && ` Left as it is: ${signature.left}`}
          {signature.accepted && ` Accepted in writing by ${signature.accepted.by}.`}
          {signature.qualified && ` A qualified person: ${signature.qualified}`}
        </Part>
      )}
      {(hand === 'left' || hand === 'right') && (
        <Part title="Which lever works which brake">
          The {hand} lever works the front brake, the {hand === 'left' ? 'right' : 'left'} one the rear: tried before
          the first ride.
        </Part>
      )}
      {bicycle.notOriginal.length > 0 && (
        <Part title="Not original">{bicycle.notOriginal.map(({ label }) => label).join(', ')}.</Part>
      )}
      {due.length > 0 && (
        <Part title="Next service">
          {due.map(({ place, dueOn, reasons }) => (
            <div key={place}>
              {placeLabel(place)}: by {dayOf(dueOn)}. {reasons[0]}
            </div>
          ))}
        </Part>
      )}
      <Part title="Watch">
        {look
          ? `Second look by ${dayOf(look.dueOn)}, or after fifty kilometres: spokes settle and cables bed in. `
          : 'Spokes settle and cables bed in: have bolts and brakes looked at again after the first rides. '}
        {looks.filter(({ of }) => of !== 'fifty-km').map(({ words, dueOn }) => `${words} By ${dayOf(dueOn)}. `)}
        This sheet says what was seen and done; it is no certificate.
      </Part>
    </Paper>
  );
}
