'use client';
import Box from '@mui/material/Box';
import { own } from '@/core/own';
import { RIM_METALS } from '@/core/brakes/brakedOn';
import type { SetBrake } from '@/core/setup/kinds';
import { stateOf } from '@/core/vocabulary/verdicts';
import {
  brakeNumber,
  cantileverOf,
  CHAIN_MEASURES,
  handToPad,
  type BrakePlace,
  type ChainMeasure,
} from '@/model/brakes/questions';
import { percent } from '@/ui/format';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { LargeFigures } from '@/ui/LargeFigures';

const FIELDS: { measure: ChainMeasure; label: string; unit: string; help: string; most: number }[] = [
  { measure: 'lever-ratio', label: 'Lever ratio', unit: '×', help: 'cable force over hand force', most: 12 },
  { measure: 'lever-pull', label: 'Lever pulls', unit: 'mm', help: 'cable, before the bar', most: 60 },
  { measure: 'bends', label: 'Bends of the outer', unit: '°', help: 'all of them added up', most: 1440 },
  { measure: 'pad-travel', label: 'Pad travel', unit: 'mm', help: 'each pad, from rest', most: 20 },
  { measure: 'arm-ratio', label: 'Arm ratio', unit: '×', help: 'both pads over the cable', most: 80 },
];
const RIMS = RIM_METALS.map((id) => ({ id, label: id === 'steel' ? 'Steel' : 'Aluminium' }));

/** From hand to pad in one working: what bends leave, what lever and arms make of it, whether the lever pulls enough. What nobody measured is as usual, and said. */
export function HandToPad({ bicycle, send, place, brake }: StageProps & { place: BrakePlace; brake: SetBrake }) {
  const isCantilever = brake === 'cantilever';
  const isRim = isCantilever || brake === 'caliper' || brake === 'direct-pull';
  const { output: arms } = useReckon('brakes.cantilever', isCantilever ? cantileverOf(bicycle, place) : null);
  const usual = useReckon('brakes.usual', { brake }).output?.usual ?? null;
  const reckoned = arms ? 2 * arms.padForcePerCableN : null;
  const chain = usual && handToPad(bicycle, place, reckoned, usual);
  const { output } = useReckon('brakes.chain', chain?.question ?? null);
  const taken = FIELDS.filter(({ measure }) => chain?.taken.includes(measure)).map(({ label }) => label.toLowerCase());
  return (
    <Disclosure summary={<>From hand to pad: does the lever go with the brake?</>} wide>
      <Box
        data-readings
        sx={{
          display: 'grid',
          gap: 1.5,
          py: 1.5,
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, minmax(0, 1fr))' },
          alignItems: 'start',
        }}
      >
        {FIELDS.filter(({ measure }) => measure !== 'arm-ratio' || reckoned === null).map(
          ({ measure, label, unit, help, most }) => (
            <ReadingField
              key={measure}
              label={label}
              kind="number"
              unit={unit}
              help={usual ? `${help}; usual ${usual[CHAIN_MEASURES[measure]]}` : help}
              width="100%"
              value={brakeNumber(bicycle, place, measure)}
              onCommit={(value) => send({ type: 'measureBrake', place, changes: { [measure]: value } })}
              onClear={() => send({ type: 'measureBrake', place, changes: { [measure]: null } })}
              refuse={(value) => (value > most ? `at most ${most}` : null)}
            />
          ),
        )}
      </Box>
      {isRim && (
        <Choices
          label="The rim"
          options={RIMS}
          value={own(bicycle.rimMetals, place) ?? null}
          onChoose={(metal) => send({ type: 'sayRimMetal', place, metal })}
        />
      )}
      {reckoned !== null && <Box sx={{ color: 'text.secondary' }}>Arms as reckoned above: {reckoned.toFixed(2)}.</Box>}
      {output && (
        <Box role="status" aria-label="From hand to pad">
          <LargeFigures
            figures={[
              { value: `${Math.round(output.padN)} N`, words: 'both pads, at a firm squeeze' },
              { value: percent(output.efficiency), words: 'left by the bends' },
              {
                value: `${output.slowsMs2.dry.toFixed(1)} m/s²`,
                words: `roughly, dry, alone; wet ${output.slowsMs2.wet.toFixed(1)}`,
              },
            ]}
          />
          {output.reasons.map((reason, i) => (
            <Box key={reason} sx={i === 0 ? { fontWeight: 640 } : {}}>
              {i === 0 &&
                (taken.length === 0 ? (
                  <StateMark state={stateOf('brakes.chain', output.verdict)} word={false} size={18} />
                ) : (
                  'With usual figures:'
                ))}{' '}
              {reason}
            </Box>
          ))}
          {taken.length > 0 && (
            <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
              Not measured, taken as usual for such a brake: {taken.join(', ')}.
            </Box>
          )}
          <Working rows={output.working} />
        </Box>
      )}
    </Disclosure>
  );
}
