'use client';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { useMemo, useState } from 'react';
import type { BuyAppraisal } from '@/core/buy/appraise';
import { payableOf, sortedCeiling, sortedChance, type Samples, type Target } from '@/core/money/ceiling';
import type { Bicycle } from '@/model/record';
import { samplesInput } from '@/model/buy/questions';
import { money, percent } from '@/ui/format';
import { PriceCurve } from '@/ui/PriceCurve';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const CURVE_POINTS = 64;

/** How far a slider of the wanted amount reaches, in minor units. */
const MOST = { hourly: 6000, profit: 40_000 } as const;

function usePayable(samples: Samples | null, target: Target, labourPerHour: number): Float64Array | null {
  return useMemo(
    () => (samples ? payableOf(samples, target, labourPerHour).sort() : null),
    [samples, target, labourPerHour],
  );
}

/** The wage or profit and the confidence as sliders: the ceiling and its curve move with the thumb, by arithmetic on the trials at hand. */
export function Sliders({ bicycle, send, found }: StageProps & { found: BuyAppraisal }) {
  const settings = useSettings();
  const { currency, labourPerHour } = settings;
  const { appraisal } = bicycle;
  const { output: samples } = useReckon('money.samples', samplesInput(settings, found));
  const [drag, setDrag] = useState<Partial<{ amount: number; confidence: number }>>({});
  const amount = drag.amount ?? appraisal.target.amount;
  const confidence = drag.confidence ?? appraisal.confidence;
  const target = useMemo<Bicycle['appraisal']['target']>(
    () => ({ kind: appraisal.target.kind, amount }),
    [appraisal.target.kind, amount],
  );
  const price = found.limit.price?.amount ?? 0;
  const payable = usePayable(samples, target, labourPerHour);
  const points = useMemo(() => {
    if (!payable) return [];
    const most = Math.max(payable.at(-1) ?? 0, price, 100);
    return Array.from({ length: CURVE_POINTS }, (_, i) => {
      const price = (most * i) / (CURVE_POINTS - 1);
      return { price, chance: sortedChance(payable, price) };
    });
  }, [payable, price]);
  const ceiling = payable ? sortedCeiling(payable, confidence) : (found.limit.most ?? 0);
  const settle = () => setDrag({});
  return (
    <Box>
      <Box sx={{ minHeight: 130 }}>
        {payable && (
          <PriceCurve points={points} asking={price} ceiling={ceiling} confidence={confidence} currency={currency} />
        )}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          columnGap: 5,
          rowGap: 1,
          mt: 1,
          px: 1,
        }}
      >
        <Box>
          <Box id="slide-sure" sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>How sure to be</span>
            <b>{percent(confidence)}</b>
          </Box>
          <Slider
            aria-labelledby="slide-sure"
            min={50}
            max={99}
            shiftStep={5}
            value={Math.round(confidence * 100)}
            onChange={(_event, value) => setDrag((was) => ({ ...was, confidence: value / 100 }))}
            onChangeCommitted={(_event, value) => {
              send({ type: 'setAppraisal', changes: { confidence: value / 100 } });
              settle();
            }}
          />
        </Box>
        <Box>
          <Box id="slide-wanted" sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>{target.kind === 'hourly' ? 'Wanted an hour' : 'Profit wanted'}</span>
            <b>{money(amount, currency)}</b>
          </Box>
          <Slider
            aria-labelledby="slide-wanted"
            min={0}
            max={Math.max(MOST[target.kind], appraisal.target.amount)}
            step={100}
            shiftStep={1000}
            value={amount}
            onChange={(_event, value) => setDrag((was) => ({ ...was, amount: value }))}
            onChangeCommitted={(_event, value) => {
              send({ type: 'setAppraisal', changes: { target: { ...appraisal.target, amount: value } } });
              settle();
            }}
          />
        </Box>
      </Box>
    </Box>
  );
}
