'use client';
import Typography from '@mui/material/Typography';
import type { Bolt } from '@/core/rebuild/bolts';
import { openBolts } from '@/model/prove/readyQuestion';
import { signedBolts } from '@/model/rebuild/questions';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { AtTheBench } from '../prove/AtTheBench';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { BoltRow } from './BoltRow';

/** Bolts in their list: every one of them, or those of a place, numbered as in the whole list and on the drawing. */
export function Bolts({
  bicycle,
  send,
  bolts,
  of = bolts,
}: StageProps & { bolts: readonly Bolt[]; of?: readonly Bolt[] }) {
  const signed = new Map(signedBolts(bicycle, [...of]).map((entry) => [entry.bolt, entry]));
  const open = openBolts(bicycle, [...of], useSettings());
  return (
    <RuledList data-readings>
      {of.map((bolt) => (
        <BoltRow
          key={bolt.id}
          send={send}
          number={bolts.indexOf(bolt) + 1}
          bolt={bolt}
          fastener={bicycle.fasteners[bolt.id]}
          signed={signed.get(bolt.id)}
          open={open.get(bolt.id) ?? []}
        />
      ))}
    </RuledList>
  );
}

/** The torque round: every bolt, front to back, with its compound, its hand and who judged it how. */
export function TorqueRound({ bicycle, send, bolts }: StageProps & { bolts: Bolt[] | null }) {
  const open = openBolts(bicycle, bolts ?? [], useSettings());
  return (
    <Section
      title="Torque round"
      aside={
        <>
          {bolts && `${bolts.length - open.size} of ${bolts.length} signed · `}
          <AtTheBench />
        </>
      }
    >
      <Typography sx={{ mb: 2, maxWidth: '62ch' }}>
        Every bolt, front to back: the round always finds some loose. The figure on the part or its paper comes first;
        this table is the fall-back. What was not touched is checked, and said to be checked.
      </Typography>
      {bolts ? (
        <Bolts bicycle={bicycle} send={send} bolts={bolts} />
      ) : (
        <Typography role="status">Looking the bolts up…</Typography>
      )}
    </Section>
  );
}
