'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { WheelReading } from '@/model/wheels/part';
import { dialTurn } from '@/sim/dialGauge';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { TurnTrace } from '@/ui/TurnTrace';

const AT: { id: 'disc' | 'flange'; label: string }[] = [
  { id: 'disc', label: 'The disc' },
  { id: 'flange', label: 'A flange' },
];
const STEPS = 12;

/** How the disc or a flange swings once round: held against the rim’s trace, it tells a bent disc from a hub that is out. */
export function HubTrace({
  reading,
  isDemo,
  onRead,
}: {
  reading: WheelReading;
  isDemo: boolean;
  onRead(reading: WheelReading): void;
}) {
  const list = reading.hubMm ?? [];
  const put = (hubMm: number[]) => onRead({ ...reading, hubAt: reading.hubAt ?? 'disc', hubMm });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Choices
        label="Read at"
        options={AT}
        value={reading.hubAt ?? 'disc'}
        onChoose={(hubAt) => onRead({ ...reading, hubAt })}
      />
      <Box data-readings sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label={`Reading ${list.length + 1}, from the valve`}
          kind="signed"
          unit="mm"
          width={240}
          keepEmpty
          value={null}
          help="at even steps round one turn; six at least"
          onCommit={(value) => put([...list, value])}
          refuse={(value) => (Math.abs(value) > 15 ? '15 mm at most' : list.length >= 48 ? 'that is all round' : null)}
        />
        <Button
          color="inherit"
          disabled={list.length === 0}
          sx={{ minHeight: 56 }}
          onClick={() => put(list.slice(0, -1))}
        >
          Back one
        </Button>
        {isDemo && (
          <Button variant="outlined" sx={{ minHeight: 56 }} onClick={() => put(dialTurn(STEPS, 77))}>
            One turn of the dial gauge (stand-in)
          </Button>
        )}
      </Box>
      {list.length > 1 && <TurnTrace readings={list} unit="mm" label="Disc or flange" />}
    </Box>
  );
}
