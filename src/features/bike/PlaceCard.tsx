'use client';
import Close from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { detailOf } from '@/core/drawing/details';
import Link from 'next/link';
import type { Finding } from '@/core/inspect/lookOver';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { boltsInput, signedBolts } from '@/model/rebuild/questions';
import { partsOff } from '@/model/strip/trays';
import { DetailDrawing } from '@/ui/drawing/DetailDrawing';
import { dayOf } from '@/ui/format';
import { StateMark } from '@/ui/StateMark';
import { Notes } from '../notes/Notes';
import { LooseButton } from '../rebuild/LooseEnds';
import { StepPhotos } from '../photos/StepPhotos';
import { useTrays } from '../strip/useTrays';
import { trayHref } from '../strip/useTrayPlace';
import { WhichWay } from '../strip/WhichWay';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Photographs of a place that belong to no step of the bench. */
export const OF_THE_PLACE = 'place';

/** What is known of one place, whatever the stage: its findings, jobs, bolts, photographs and notes, and how it is built. */
export function PlaceCard({
  bicycle,
  send,
  place,
  findings,
  noting,
  onClose,
}: StageProps & { place: string; findings: Finding[]; noting: boolean; onClose(): void }) {
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle));
  const bolts = (output?.bolts ?? []).filter((bolt) => bolt.place === place);
  const signed = new Map(signedBolts(bicycle, bolts).map((entry) => [entry.bolt, entry]));
  const here = findings.filter((finding) => finding.place === place);
  const jobs = bicycle.jobs.filter((job) => job.place === place && job.decision === 'keep');
  const tray = bicycle.trays.find((each) => each.place === place);
  const trays = useTrays(bicycle);
  const detail = detailOf(place, bicycle.kind);
  const off = tray ? partsOff(tray) : [];
  return (
    <Box
      component="section"
      aria-label={placeLabel(place)}
      sx={{ border: '1.5px solid', borderColor: 'text.primary', bgcolor: 'sheet.paper', p: { xs: 2, md: 2.5 }, mb: 4 }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 2 }}>
        <Typography variant="h2" sx={{ fontSize: '1.5rem' }}>
          {placeLabel(place)}
        </Typography>
        <IconButton aria-label="Close the place" onClick={onClose} sx={{ mt: -1, mr: -1 }}>
          <Close />
        </IconButton>
      </Box>
      {here.map((finding) => (
        <Box
          key={finding.check}
          sx={{ mb: 1, display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', columnGap: 1.5 }}
        >
          <StateMark state={finding.state} />
          <Box>{finding.reasons[0]}</Box>
        </Box>
      ))}
      {here.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>No check of the look-over is made here.</Typography>
      )}
      {detail && (
        <Box sx={{ my: 2 }}>
          <DetailDrawing detail={detail} off={off} mostPx={210} />
        </Box>
      )}
      {bicycle.identified
        .filter((row) => row.place === place)
        .map((row) => (
          <Box key={row.id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Box>
              It is: <b>{row.name}</b>{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                measured on {dayOf(row.at)}
              </Box>
            </Box>
            <Button size="small" color="inherit" onClick={() => send({ type: 'removeIdentified', identified: row.id })}>
              Take back
            </Button>
          </Box>
        ))}
      {jobs.map((job) => (
        <Box key={job.id}>
          Job: <b>{job.title}</b>
          {job.done ? ', done' : ''}
        </Box>
      ))}
      {off.length > 0 && <Box>{off.length === 1 ? 'One part lies' : `${off.length} parts lie`} in its tray.</Box>}
      {bolts.map((bolt) => (
        <Box key={bolt.id}>
          {bolt.label}:{' '}
          {bolt.torqueMinNm === null
            ? (bolt.feel ?? 'by feel')
            : `${bolt.torqueMinNm} to ${bolt.torqueMaxNm} N·m, ${bolt.preparation}`}
          {bolt.hand === 'left' && <b>, left-hand thread</b>}
          {signed.has(bolt.id) && ', signed'}
          {bolt.fastener && <WhichWay question={{ fastener: bolt.fastener, side: bolt.side, action: 'loosen' }} />}
        </Box>
      ))}
      <Box sx={{ mt: 2, display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <LooseButton bicycle={bicycle} send={send} place={place} />
        {trays?.trays.some((each) => each.place === place) && (
          <Button
            component={Link}
            prefetch={false}
            href={trayHref(bicycle.id, place)}
            variant="outlined"
            color="inherit"
          >
            Its tray
          </Button>
        )}
      </Box>
      <Box sx={{ mt: 1 }}>
        <StepPhotos bicycle={bicycle} send={send} place={place} step={OF_THE_PLACE} title={placeLabel(place)} />
      </Box>
      <Box sx={{ mt: 2 }}>
        <Notes bicycle={bicycle} send={send} place={place} open={noting} />
      </Box>
    </Box>
  );
}
