'use client';
import Box from '@mui/material/Box';
import { stateOf } from '@/core/vocabulary/verdicts';
import { fitInput, mostMarkOf, MOST_MARK, mountOf, rimSeatOf, tyreWidthOf } from '@/model/tyres/questions';
import type { TyreFit } from '@/model/tyres/part';
import type { WheelEnd } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { LargeFigures } from '@/ui/LargeFigures';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const HOOKS = [
  { id: 'hooked', label: 'With hooks' },
  { id: 'hookless', label: 'Without hooks' },
  { id: 'straight-sided', label: 'Old, straight sides' },
] as const;
const YES_NO = [
  { id: 'yes', label: 'Yes' },
  { id: 'no', label: 'No' },
] as const;
const VALVES = [
  { id: 'narrow', label: 'Narrow, 6 mm' },
  { id: 'wide', label: 'Wide, 8 mm' },
] as const;
type Length = 'tyreSeatMm' | 'tyreMm' | 'rimInnerMm';
const LENGTHS: { figure: Length; label: string; help: string; least: number; most: number }[] = [
  { figure: 'tyreSeatMm', label: 'Tyre’s bead seat', help: 'its marking, second', least: 200, most: 700 },
  { figure: 'tyreMm', label: 'Tyre’s width', help: 'its marking, first', least: 15, most: 130 },
  { figure: 'rimInnerMm', label: 'Rim, inside', help: 'between its sides', least: 13, most: 35 },
];
const refuseBar = (value: number) => (value <= 0 || value > 15 ? '0 to 15 bar' : null);
const yes = (value: boolean | undefined) => (value === undefined ? null : value ? 'yes' : 'no');

/** What rim and tyre are, each asked once, and whether they belong together. */
export function TyreFits({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const settings = useSettings();
  const { name: by } = useHand();
  const fit: TyreFit = bicycle.tyreFits[end] ?? {};
  const rimSeatMm = rimSeatOf(bicycle, end);
  const read = (changes: TyreFit) => send({ type: 'readTyre', end, fit: changes });
  const mostBar = mostMarkOf(bicycle, end);
  const { output: mount } = useReckon('tyres.mount', mountOf(bicycle, end));
  const { output: wide } = useReckon('wheels.tyreFit', fitInput(bicycle, end, settings));
  return (
    <Section title="Tyre and rim">
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Rim’s bead seat"
          kind="length"
          unit="mm"
          width={146}
          help="as described"
          value={rimSeatMm}
          onCommit={(value) => read({ rimSeatMm: value })}
          refuse={(value) => (value < 200 || value > 700 ? '200 to 700 mm' : null)}
        />
        {LENGTHS.map(({ figure, label, help, least, most }) => (
          <ReadingField
            key={figure}
            label={label}
            kind="length"
            unit="mm"
            width={146}
            help={help}
            value={fit[figure] ?? (figure === 'tyreMm' ? tyreWidthOf(bicycle, end) : null)}
            onCommit={(value) => read({ [figure]: value })}
            refuse={(value) => (value < least || value > most ? `${least} to ${most} mm` : null)}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 3, rowGap: 1.5, flexWrap: 'wrap', my: 2 }}>
        <Choices label="The rim is" options={HOOKS} value={fit.hooks ?? null} onChoose={(hooks) => read({ hooks })} />
        {fit.hooks === 'hookless' && (
          <Choices
            label="The tyre is approved for it"
            options={YES_NO}
            value={yes(fit.isHooklessApproved)}
            onChoose={(said) => read({ isHooklessApproved: said === 'yes' })}
          />
        )}
        <Choices
          label="Without a tube"
          options={YES_NO}
          value={yes(fit.isTubeless)}
          onChoose={(said) => read({ isTubeless: said === 'yes' })}
        />
        <Choices label="Valve hole" options={VALVES} value={fit.hole ?? null} onChoose={(hole) => read({ hole })} />
        <Choices label="Valve" options={VALVES} value={fit.valve ?? null} onChoose={(valve) => read({ valve })} />
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Rim, at most"
          kind="pressure"
          unit="bar"
          width={146}
          value={fit.rimMostBar ?? null}
          onCommit={(rimMostBar) => read({ rimMostBar })}
          refuse={refuseBar}
        />
        <ReadingField
          label="Tyre, at most"
          kind="pressure"
          unit="bar"
          width={146}
          help="its mark, for the proof too"
          value={mostBar}
          onCommit={(value) => {
            if (!bicycle.tyreFits[end]) read({});
            send({
              type: 'putProofReading',
              reading: { id: newId(), reading: MOST_MARK[end], when: 'after', value, at: nowIso(), by },
            });
          }}
          refuse={refuseBar}
        />
      </Box>
      {mount && (
        <Box role="status" aria-label="Whether it belongs there" sx={{ mt: 1.5 }}>
          {mount.reasons.map((reason, i) => (
            <Box key={reason} sx={i === 0 ? { fontSize: '1.2rem', fontWeight: 640 } : undefined}>
              {i === 0 && <StateMark state={stateOf('tyres.mount', mount.verdict)} word={false} size={22} />} {reason}
            </Box>
          ))}
          {wide && mount.verdict !== 'never' && (
            <Box>
              <StateMark state={stateOf('wheels.tyreFit', wide.verdict)} word={false} size={18} /> {wide.reasons[0]}
            </Box>
          )}
          {mount.mostBar !== null && (
            <LargeFigures
              figures={[{ value: `${mount.mostBar.toFixed(1)} bar`, words: 'at most, the lower of both' }]}
            />
          )}
        </Box>
      )}
    </Section>
  );
}
