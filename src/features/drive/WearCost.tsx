'use client';
import Box from '@mui/material/Box';
import { wearCostInput } from '@/model/drive/questions';
import { Disclosure } from '@/ui/Disclosure';
import { Working } from '@/ui/Working';
import { LargeFigures } from '@/ui/LargeFigures';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { DriveField } from './DriveField';

const KM = { unit: 'km', least: 1, most: 1_000_000, width: 200 };

/** What a thousand kilometres cost: chains renewed early, or chain and cogs to the end. */
export function WearCost({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const { output } = useReckon('drive.wearCost', wearCostInput(bicycle));
  const perThousand = (minor: number) => `${((minor * 1000) / 100).toFixed(2)} ${currency}`;
  const money = { unit: currency, kind: 'money' as const, least: 0, most: 1_000_000_000, width: 200 };
  return (
    <Disclosure summary={<>Chains early, or all of it to the end</>} wide>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1.5 }}>
        <DriveField bicycle={bicycle} send={send} figure="chain-price" label="A chain" {...money} />
        <DriveField bicycle={bicycle} send={send} figure="cogs-price" label="A set of cogs" {...money} />
        <DriveField bicycle={bicycle} send={send} figure="chain-km" label="A chain runs, early" {...KM} />
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="chains-per-cogs"
          label="Chains to a set of cogs"
          unit=""
          least={1}
          most={20}
          width={200}
        />
        <DriveField bicycle={bicycle} send={send} figure="together-km" label="Both run, to the end" {...KM} />
      </Box>
      {output && (
        <Box role="status" aria-label="What it costs">
          <LargeFigures
            figures={[
              { value: perThousand(output.earlyPerKm), words: 'a thousand km, chains early' },
              { value: perThousand(output.togetherPerKm), words: 'a thousand km, to the end' },
            ]}
          />
          <Box sx={{ fontWeight: 640 }}>
            {output.cheaper === 'alike'
              ? 'They cost alike.'
              : output.cheaper === 'early'
                ? 'Early is cheaper.'
                : 'To the end is cheaper.'}{' '}
            Alike if both ran {Math.round(output.breakEvenKm)} km.
          </Box>
          <Working rows={output.working} />
        </Box>
      )}
    </Disclosure>
  );
}
