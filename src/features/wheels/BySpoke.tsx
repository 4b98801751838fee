'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { fromMeter } from '@/core/wheels/fromMeter';
import type { WheelBuild, WheelReading } from '@/model/wheels/part';
import { readOne, readOf, type ReadQuantity } from '@/model/wheels/readOne';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings } from '../workshop/WorkshopProvider';
import { spokeWords } from './words';

const QUANTITIES: { id: ReadQuantity; label: string; unit: string; help: string }[] = [
  { id: 'lateralMm', label: 'Sideways', unit: 'mm', help: 'left more, right less; Enter goes on' },
  { id: 'radialMm', label: 'Up and down', unit: 'mm', help: 'outwards more, inwards less; Enter goes on' },
  { id: 'tensionN', label: 'Tension', unit: 'N', help: 'by the meter; Enter goes on' },
];

/** A wheel read spoke by spoke from the valve, each reading kept as it comes; one that is left out stays open. */
export function BySpoke({
  build,
  reading,
  onRead,
  onSpoke,
}: {
  build: WheelBuild;
  reading: WheelReading;
  onRead(reading: WheelReading): void;
  /** The spoke that is asked for now. */
  onSpoke(spoke: number | null): void;
}) {
  const { tensionMeter } = useSettings();
  const [quantity, setQuantity] = useState<ReadQuantity>('lateralMm');
  const [at, setAt] = useState(() => firstOpen(reading, 'lateralMm'));
  const [refused, setRefused] = useState<string | null>(null);
  const { unit, help } = QUANTITIES.find(({ id }) => id === quantity)!;
  const list = readOf(reading, quantity);
  const count = list.filter((each) => each !== null).length;
  const hasTable = quantity === 'tensionN' && tensionMeter.length > 1;
  const go = (spoke: number) => {
    const to = (spoke + build.spokes) % build.spokes;
    setAt(to);
    onSpoke(to);
    setRefused(null);
  };
  const limits = quantity === 'tensionN' ? (hasTable ? [0, 200] : [0, 4000]) : [-15, 15];
  return (
    <Box>
      <Choices
        label="What is read"
        options={QUANTITIES}
        value={quantity}
        onChoose={(id) => {
          setQuantity(id);
          go(firstOpen(reading, id));
        }}
      />
      <Box sx={{ fontSize: '1.5rem', fontWeight: 660, mt: 1.5 }} role="status" aria-label="Which spoke">
        {spokeWords(build, at)}
        {list[at] !== null && `: ${list[at]} ${unit}`}
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start', mt: 1 }}>
        <ReadingField
          label={hasTable ? 'The meter reads' : QUANTITIES.find(({ id }) => id === quantity)!.label}
          kind={unit === 'mm' ? 'signed' : 'number'}
          unit={hasTable ? '' : unit}
          width={230}
          large
          keepEmpty
          value={null}
          help={hasTable ? 'newtons by its table; Enter goes on' : help}
          error={refused}
          onCommit={(value) => {
            const newtons = hasTable ? fromMeter(tensionMeter, value) : value;
            if (newtons === null) {
              setRefused('outside the table of the meter');
              return;
            }
            onRead(readOne(reading, quantity, at, Math.round(newtons * 100) / 100));
            go(at + 1);
          }}
          refuse={(value) => (value < limits[0]! || value > limits[1]! ? `${limits[0]} to ${limits[1]}` : null)}
        />
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => go(at - 1)}>
          Back one
        </Button>
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => go(at + 1)}>
          Leave it out
        </Button>
      </Box>
      <Box sx={{ mt: 1, color: 'text.secondary' }}>
        {count} of {build.spokes} read
        {count > 2 && count < build.spokes && '; what is left out is taken straight between its neighbours'}
      </Box>
    </Box>
  );
}

function firstOpen(reading: WheelReading, quantity: ReadQuantity): number {
  return Math.max(0, readOf(reading, quantity).indexOf(null));
}
