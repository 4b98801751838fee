'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useRef, useState } from 'react';
import { checkPlaces, type CheckPlace } from '@/core/inspect/check';
import { SEEN_AS, SEEN_WORDS } from '@/core/inspect/seenAs';
import { Choices } from '@/ui/Choices';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import type { StageViewProps } from '../workshop/declared';
import { ElectricFields } from '../kind/ElectricFields';
import { Disclosure } from '@/ui/Disclosure';
import { PlaceChecks } from './PlaceChecks';
import { PlaceRow, summed } from './PlaceRow';
import { useChecks } from './useChecks';

const Alignment = dynamic(() => import('./Alignment').then((module) => module.Alignment), { ssr: false });
const Recalls = dynamic(() => import('./Recalls').then((module) => module.Recalls), { ssr: false });
const ComplaintView = dynamic(() => import('./ComplaintView').then((module) => module.ComplaintView), { ssr: false });

const SETS = [
  { id: 'full', label: 'Full, half an hour' },
  { id: 'quick', label: 'Quick, ten minutes' },
  { id: 'complaint', label: 'One complaint' },
] as const;
type LookSet = (typeof SETS)[number]['id'];

const SEEN_CHOICES = SEEN_AS.map((id) => ({ id, label: SEEN_WORDS[id].replace(/^./, (first) => first.toUpperCase()) }));

/** The look-over: its places, on the ground first and then front to back, one at a time at hand. */
export function LookOverStage({ bicycle, send, lookOver, place: open, onPlace: onOpen, noting }: StageViewProps) {
  const checks = useChecks(bicycle.kind);
  const openComplaint = bicycle.complaints.some((row) => row.closedAt === null);
  const [set, setSet] = useState<LookSet>(openComplaint ? 'complaint' : 'full');
  const findings = new Map((lookOver?.findings ?? []).map((finding) => [finding.check, finding]));
  const shown = checkPlaces(checks ?? [], set === 'quick' ? 'quick' : 'full');
  // What the door or another stage knows already is passed over: the next place is one that asks something.
  const after = shown.findIndex(({ place }) => place === open) + 1;
  const next = shown.slice(after).find((later) => summed(later, findings).asks)?.place ?? null;
  const latest = useRef(onOpen);
  useEffect(() => {
    latest.current = onOpen;
  });
  const opens = useCallback((place: string | null) => latest.current(place), []);
  const missing = shown.filter((at) => summed(at, findings).looked === 0).length;
  const again = lookOver?.again ?? 0;
  const readings = shown.flatMap(({ checks: here }) =>
    here.flatMap(({ id }) => {
      const finding = findings.get(id);
      return finding && finding.measured !== null ? [finding] : [];
    }),
  );
  const unmeasured = readings.filter(({ measured }) => !measured).length;
  const aside =
    set === 'complaint' || !checks || !lookOver
      ? undefined
      : [
          missing ? `${missing} of ${shown.length} places still to check` : 'every place looked at',
          missing < shown.length && unmeasured > 0 && `${unmeasured} of ${readings.length} not measured`,
          again > 0 && `${again} to look at again`,
        ]
          .filter(Boolean)
          .join(' · ');
  const section = (phase: CheckPlace['phase'], title: string) => {
    const rows = shown.filter((at) => at.phase === phase);
    if (rows.length === 0) return null;
    return (
      <>
        <Typography variant="h3" sx={{ mt: 2.5, mb: 0.5, color: 'text.secondary' }}>
          {title}
        </Typography>
        <RuledList ordered>
          {rows.map((at) => {
            const index = shown.indexOf(at);
            return (
              <PlaceRow
                key={at.place}
                at={at}
                number={index + 1}
                isOpen={open === at.place}
                findings={findings}
                onOpen={opens}
              >
                {open === at.place && (
                  <PlaceChecks
                    bicycle={bicycle}
                    send={send}
                    at={at}
                    findings={findings}
                    onNext={() => onOpen(next)}
                    last={next === null}
                    noting={noting}
                  />
                )}
              </PlaceRow>
            );
          })}
        </RuledList>
      </>
    );
  };
  const crashed = bicycle.lead.crashed === 'yes' || bicycle.lead.crashed === 'unsure' || bicycle.alignments.length > 0;
  return (
    <>
      <Section title={set === 'complaint' ? 'From complaint to cause' : 'Front to back'} aside={aside}>
        <Box sx={{ display: 'flex', gap: { xs: 1.5, md: 3 }, flexWrap: 'wrap' }}>
          <Choices<LookSet> label="How much" options={SETS} value={set} onChoose={setSet} />
          {set !== 'complaint' && (
            <Choices
              label="Condition when checked"
              options={SEEN_CHOICES}
              value={bicycle.seenAs}
              onChoose={(seenAs) => send({ type: 'seenFromNow', seenAs })}
            />
          )}
        </Box>
        {set === 'complaint' ? (
          <ComplaintView bicycle={bicycle} send={send} />
        ) : !checks || !lookOver ? (
          <p role="status">Getting the checks…</p>
        ) : (
          <>
            {section('ground', 'On the ground')}
            {section('stand', 'On the stand')}
            <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
              Clamp the stand on the seat post, never hard on a thin tube, and watch for trapped cables. Feel stays with
              the hand: this sheet holds what you felt, and certifies nothing. Doubts about carbon, cracks, unknown
              repairs and batteries go to a qualified person.
            </Typography>
          </>
        )}
      </Section>
      {set !== 'complaint' && (
        <>
          {bicycle.kind.electric && (
            <Section title="The electric drive" aside={bicycle.electricDrive.way ? 'declared' : 'not declared'}>
              <ElectricFields bicycle={bicycle} send={send} />
            </Section>
          )}
          {crashed ? (
            <Alignment bicycle={bicycle} send={send} />
          ) : (
            <Disclosure wide summary={<>It was crashed after all: is it in line?</>}>
              <Alignment bicycle={bicycle} send={send} />
            </Disclosure>
          )}
          {bicycle.recalls.length > 0 ? (
            <Recalls bicycle={bicycle} send={send} />
          ) : (
            <Disclosure wide summary={<>Recalls: none looked up yet</>}>
              <Recalls bicycle={bicycle} send={send} />
            </Disclosure>
          )}
        </>
      )}
    </>
  );
}
