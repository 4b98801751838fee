'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Bolt } from '@/core/rebuild/bolts';
import type { Bicycle } from '@/model/record';
import { boltsInput, signedBolts } from '@/model/rebuild/questions';
import { ReadingField } from '@/ui/ReadingField';
import { signBolt } from '../prove/signing';
import { InTheRound } from './InTheRound';
import { WrenchPull } from './WrenchPull';
import { defineBench, NO_STEP, type BenchStep, type StepProps } from '../workshop/declared';
import { useHand } from '../workshop/useHand';

function bandOf({ torqueMinNm, torqueMaxNm }: Bolt): string | null {
  if (torqueMinNm === null) return null;
  return torqueMinNm === torqueMaxNm ? `${torqueMinNm} N·m` : `${torqueMinNm} to ${torqueMaxNm} N·m`;
}

export function torqueSteps(bicycle: Bicycle, bolts: Bolt[]): BenchStep[] {
  const signed = new Map(signedBolts(bicycle, bolts).map((entry) => [entry.bolt, entry]));
  return bolts.map((bolt) => {
    const entry = signed.get(bolt.id);
    const done = entry !== undefined && entry.judgement !== 'under' && entry.judgement !== 'over';
    return {
      ...NO_STEP,
      id: bolt.id,
      place: bolt.place,
      title: bolt.label,
      large: bandOf(bolt) ?? bolt.feel ?? 'By feel',
      aside: [
        bolt.preparation,
        bolt.size,
        entry && `signed: ${entry.row.valueNm === null ? 'by feel' : `${entry.row.valueNm} N·m`}, ${entry.judgement}`,
      ]
        .filter(Boolean)
        .join(' · '),
      tool: bolt.tool,
      forget: [bolt.notes, `By feel: ${bolt.holdTest}`].filter(Boolean).join('. '),
      turn: bolt.fastener ? { fastener: bolt.fastener, side: bolt.side, action: 'tighten' as const } : null,
      done,
      // Somebody's safety hangs on it: nobody walks past it by the key that goes on.
      waitsFor: bolt.safetyCritical && !done ? 'It holds the rider: sign it.' : null,
      mayLeave: bolt.safetyCritical && !done ? 'Leave unsigned' : null,
    };
  });
}

/** The wrench's figure, or a feel that held. Its hold is told above the key: pressing it says that it was tried. */
function AskTorque({ bicycle, send, step, answer }: StepProps<{ bolts: Bolt[] }>) {
  const { name } = useHand();
  const bolt = answer.bolts.find((each) => each.id === step.id);
  const signature = bicycle.signatures.findLast((row) => row.bolt === step.id);
  const sign = (valueNm: number | null) => send(signBolt(step.id, valueNm, name, valueNm === null));
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap' }}>
      {bolt?.torqueMaxNm !== null && (
        <ReadingField
          key={step.id}
          label="Torque reading"
          kind="number"
          unit="N·m"
          large
          width={220}
          value={null}
          keepEmpty
          onCommit={(value) => sign(value)}
          refuse={(value) => (value <= 0 || value > 300 ? 'no bolt here takes that' : null)}
          judge={(value) =>
            bolt?.torqueMinNm == null || bolt.torqueMaxNm === null
              ? null
              : value < bolt.torqueMinNm
                ? { state: 'replace', words: 'under its band' }
                : value > bolt.torqueMaxNm
                  ? { state: 'unsafe', words: 'over its band' }
                  : { state: 'fine', words: 'within its band' }
          }
        />
      )}
      <Button variant="outlined" size="large" onClick={() => sign(null)} sx={{ minHeight: 60 }}>
        By feel, and it holds
      </Button>
      {bolt && signature && <InTheRound send={send} bolt={bolt} row={signature} />}
      {bolt && <WrenchPull bolt={bolt} onClicked={sign} />}
    </Box>
  );
}

/** Every bolt as a step; going on signs none, and passes no bolt that holds the rider. */
export const torqueBench = defineBench<'rebuild.bolts'>({
  asks: { id: 'rebuild.bolts', of: (bicycle, { settings }) => boltsInput(bicycle, settings) },
  steps: (bicycle, { answer }) => torqueSteps(bicycle, answer?.bolts ?? []),
  Ask: AskTorque,
});
