'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { metricThread, PROOF_MPA, STRENGTHS } from '@/core/rebuild/threads';
import type { Bolt } from '@/core/rebuild/bolts';
import { USUAL_FASTENER, type Fastener } from '@/model/rebuild/part';
import { percent } from '@/ui/format';
import { Disclosure } from '@/ui/Disclosure';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

const noBolt = (value: number) => (value <= 0 || value > 300 ? 'no bolt here takes that' : null);

/** What the figure does to the bolt, dry and greased, where its thread is known. */
function Pull({ bolt, strength }: { bolt: Bolt; strength: string | null }) {
  const thread = metricThread(bolt.size);
  const torqueNm = bolt.torqueMaxNm;
  const proofMPa = strength === null ? undefined : PROOF_MPA[strength];
  const question = (greased: boolean) =>
    thread && torqueNm !== null ? { torqueNm, ...thread, greased, proofMPa } : null;
  const { output: dry } = useReckon('rebuild.preload', question(false));
  const { output: greased } = useReckon('rebuild.preload', question(true));
  if (!thread || torqueNm === null)
    return <Box sx={{ color: 'text.secondary' }}>Its thread is not told by its size: no pull is reckoned.</Box>;
  if (!dry || !greased) return <Box role="status">Calculating…</Box>;
  const kN = (newton: number) => `${(newton / 1000).toFixed(1)} kN`;
  return (
    <Box>
      {torqueNm} N·m pull {kN(dry.preloadN)} dry, {kN(greased.preloadN)} greased
      {greased.proofShare !== null &&
        `: ${percent(dry.proofShare!)} and ${percent(greased.proofShare)} of what it bears`}
      . The figure belongs to its stated preparation.
    </Box>
  );
}

/** What stands on the part itself goes before the table; and what is chosen of its fastener. */
export function OwnFigure({
  send,
  bolt,
  fastener,
}: Pick<StageProps, 'send'> & { bolt: Bolt; fastener: Fastener | undefined }) {
  const chosen = fastener ?? USUAL_FASTENER;
  const choose = (changes: Partial<Fastener>) =>
    send({ type: 'chooseFastener', bolt: bolt.id, place: bolt.place, changes });
  return (
    <Disclosure summary={<span aria-label={`Fastener: ${bolt.label}`}>Its fastener</span>} wide>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start', py: 1 }}>
        <ReadingField
          label="On the part, from"
          kind="number"
          unit="N·m"
          width={150}
          value={chosen.ownMinNm}
          onCommit={(ownMinNm) => choose({ ownMinNm })}
          onClear={() => choose({ ownMinNm: null })}
          refuse={noBolt}
        />
        <ReadingField
          label="to"
          kind="number"
          unit="N·m"
          width={130}
          value={chosen.ownMaxNm}
          onCommit={(ownMaxNm) => choose({ ownMaxNm })}
          onClear={() => choose({ ownMaxNm: null })}
          refuse={noBolt}
        />
        <ReadingField
          label="Thread engaged"
          kind="number"
          unit="mm"
          width={150}
          value={chosen.engagedMm}
          onCommit={(engagedMm) => choose({ engagedMm })}
          onClear={() => choose({ engagedMm: null })}
          refuse={(value) => (value <= 0 || value > 200 ? 'no bolt here is that long' : null)}
        />
        <TextField
          select
          label="Class"
          value={chosen.strength ?? ''}
          onChange={(event) => choose({ strength: event.target.value || null })}
          sx={{ minWidth: 120 }}
        >
          <MenuItem value="">not known</MenuItem>
          {STRENGTHS.map((strength) => (
            <MenuItem key={strength} value={strength}>
              {strength}
            </MenuItem>
          ))}
        </TextField>
        <KeptText
          label="Washer"
          value={chosen.washer ?? ''}
          width={160}
          onKeep={(washer) => choose({ washer: washer || null })}
        />
      </Box>
      <Pull bolt={bolt} strength={chosen.strength} />
    </Disclosure>
  );
}
