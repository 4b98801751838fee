'use client';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Link from 'next/link';
import { stateOf } from '@/core/vocabulary/verdicts';
import type { Bicycle } from '@/model/record';
import { money } from '@/ui/format';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useAppraisal } from '../workshop/useAppraisal';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';
import { DRIVE_WORDS, VERDICT_WORDS } from './words';

const MOST_LEADS = 12;

function Row({ bicycle, isCurrent }: { bicycle: Bicycle; isCurrent: boolean }) {
  const { currency } = useSettings();
  const found = useAppraisal(bicycle).output;
  const { lead, appraisal } = bicycle;
  const verdict = found?.appraisal?.verdict;
  const answered = [lead.kept, lead.indoors, lead.crashed, lead.ridden, lead.papers].filter(
    (answer) => answer !== null,
  ).length;
  return (
    <TableRow selected={isCurrent}>
      <TableCell component="th" scope="row" sx={{ fontWeight: 640 }}>
        {isCurrent ? (
          bicycle.name
        ) : (
          <Box
            component={Link}
            prefetch={false}
            href={`/bike?id=${encodeURIComponent(bicycle.id)}&stage=buy&part=lead`}
            sx={{ color: 'primary.main' }}
          >
            {bicycle.name}
          </Box>
        )}
      </TableCell>
      <TableCell align="right">{appraisal.asking === null ? 'not said' : money(appraisal.asking, currency)}</TableCell>
      <TableCell align="right">
        {!found ? '…' : found.limit.most === null ? 'not said' : money(found.limit.most, currency)}
        {verdict && found?.limit.price && (
          <Box sx={{ color: stateColour(stateOf('money.appraise', verdict)), fontSize: '0.85rem', fontWeight: 620 }}>
            {VERDICT_WORDS[verdict]}
          </Box>
        )}
      </TableCell>
      <TableCell align="right">{lead.distanceKm === null ? '…' : `${lead.distanceKm} km`}</TableCell>
      <TableCell align="right">{answered} of 5</TableCell>
      <TableCell align="right">
        {found?.drive ? (
          <>
            <Box sx={{ color: stateColour(stateOf('money.drive', found.drive.verdict)), fontWeight: 640 }}>
              {DRIVE_WORDS[found.drive.verdict]}
            </Box>
            <Box sx={{ fontSize: '0.85rem' }}>{money(found.drive.expectedGain, currency)}</Box>
          </>
        ) : (
          '…'
        )}
      </TableCell>
    </TableRow>
  );
}

function OpenRow({ id, isCurrent }: { id: string; isCurrent: boolean }) {
  const { bicycle } = useOpenBicycle(id);
  return bicycle ? <Row bicycle={bicycle} isCurrent={isCurrent} /> : null;
}

/** Every lead that is not bought yet, side by side. */
export function LeadTable({ current }: { current: string }) {
  const summaries = useWorkshopState((state) => state.summaries);
  const leads = Object.values(summaries)
    .filter((row) => !row.bought && !row.sold && row.archivedAt === null && row.purpose !== 'customer')
    .sort((a, b) => (a.createdAt < b.createdAt ? 1 : -1));
  if (leads.length < 2) return null;
  return (
    <Section title="Leads side by side" aside={leads.length > MOST_LEADS ? `the newest ${MOST_LEADS}` : undefined}>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" aria-label="Leads side by side">
          <TableHead>
            <TableRow>
              <TableCell>Lead</TableCell>
              <TableCell align="right">Asked</TableCell>
              <TableCell align="right">Your limit</TableCell>
              <TableCell align="right">Away</TableCell>
              <TableCell align="right">Questions</TableCell>
              <TableCell align="right">The drive</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {leads.slice(0, MOST_LEADS).map((row) => (
              <OpenRow key={row.id} id={row.id} isCurrent={row.id === current} />
            ))}
          </TableBody>
        </Table>
      </Box>
    </Section>
  );
}
