'use client';
import Box from '@mui/material/Box';
import type { Feel } from '@/core/drive/shifts';
import { newBicycle } from '@/model/fresh';
import { usualBuild } from '@/model/wheels/questions';
import { LargeFigures } from '@/ui/LargeFigures';
import { Section } from '@/ui/Section';
import { Cassette } from '../drive/Cassette';
import { GearsChart } from '../drive/GearsChart';
import { WheelFigure } from '../wheels/WheelFigure';
import { useReckon } from '../workshop/useReckon';

const TOURING = { rings: [26, 36, 48], cogs: [11, 13, 15, 17, 19, 21, 24, 28, 32], wheelMm: 2155 };
const FELT: Partial<Record<string, Feel>> = {
  'toLarger 2': 'crisp',
  'toLarger 3': 'slow',
  'toLarger 4': 'fails',
  'toSmaller 3': 'noisy',
  'toSmaller 2': 'skips',
};
const SWING = Array.from({ length: 32 }, (_, i) => Math.round(90 * Math.exp(-(((i - 9) / 3) ** 2))) / 100);
const reading = (lateralMm: number[]) => ({
  id: 'gallery',
  at: '2026-01-01T09:00:00.000Z',
  by: '',
  end: 'front' as const,
  lateralMm,
  dishMm: null,
});

const FRESH = newBicycle('gallery', '2026-01-01T09:00:00.000Z', 'Gallery');
const GALLERY = { ...FRESH, wheelBuilds: { front: { ...usualBuild(FRESH, 'front'), spokes: 32 } } };

/** Gears on their axis, shifts on their cogs, a wheel in its stand, figures side by side. */
export function OfTheTrade() {
  const { output } = useReckon('drive.gears', TOURING);
  return (
    <Section title="Drive and wheels">
      <LargeFigures
        figures={[
          { value: '950 N', words: 'drive side' },
          { value: '0.9 → 0.2 mm', words: 'sideways, now and then' },
        ]}
      />
      {output && <GearsChart gears={output} other={null} />}
      <Cassette
        cogs={5}
        teeth={[14, 17, 20, 24, 28]}
        at={{ gear: 5, way: 'toLarger' }}
        felt={({ gear, way }) => FELT[`${way} ${gear}`] ?? null}
      />
      <Box sx={{ mt: 2 }}>
        <WheelFigure
          bicycle={GALLERY}
          end="front"
          wheel={{
            build: GALLERY.wheelBuilds.front,
            last: reading(SWING.map((mm) => mm / 3)),
            before: reading(SWING),
            round: null,
            cause: null,
            truth: null,
            pending: false,
          }}
          atHand={8}
        />
      </Box>
    </Section>
  );
}
