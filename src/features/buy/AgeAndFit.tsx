'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CONVENTIONS } from '@/core/buy/conventions';
import { stateOf } from '@/core/vocabulary/verdicts';
import { anyOrder } from '@/ui/anyOrder';
import { EraBars } from '@/ui/EraBars';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { USES, USE_WORDS } from '@/core/buy/saleStates';
import { BigNumber, Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

const USE_CHOICES = USES.map((id) => ({ id, label: USE_WORDS[id] }));

const CONVENTION_WORDS: Record<(typeof CONVENTIONS)[number], string> = {
  'centre-top': 'Centre to the top of the seat tube',
  'centre-centre': 'Centre to the centre of the top tube',
  'centre-toptube': 'Centre to the top of the top tube',
};

function metres(mm: number): string {
  return `${(mm / 1000).toFixed(2)} m`;
}

function FitSection({ bicycle, send }: StageProps) {
  const { size } = bicycle;
  const { height: riderMm = null, 'inside-leg': inseamMm } = bicycle.rider;
  const put = (changes: Partial<typeof size>) => send({ type: 'measureFrame', changes });
  const { output: fit, errors } = useReckon(
    'buy.fit',
    size.sizeMm === null
      ? null
      : {
          kind: size.use,
          sizeMm: size.sizeMm,
          convention: size.convention,
          ...(size.standoverMm === null ? {} : { standoverMm: size.standoverMm }),
          ...(riderMm === null ? {} : { riderMm }),
          ...(inseamMm === undefined ? {} : { inseamMm }),
        },
  );
  return (
    <Section title="Whom it fits">
      <Box data-readings sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Seat tube"
          kind="length"
          unit="mm"
          value={size.sizeMm}
          onCommit={(sizeMm) => put({ sizeMm })}
          onClear={() => put({ sizeMm: null })}
          refuse={(mm) => (mm < 250 || mm > 720 ? '250 to 720 mm; 22 in is 559' : null)}
          error={errors[0]?.message ?? null}
          width={150}
        />
        <TextField
          select
          label="Measured from the bottom bracket"
          value={size.convention}
          onChange={(event) => put({ convention: event.target.value as (typeof CONVENTIONS)[number] })}
          sx={{ minWidth: 270 }}
        >
          {CONVENTIONS.map((id) => (
            <MenuItem key={id} value={id}>
              {CONVENTION_WORDS[id]}
            </MenuItem>
          ))}
        </TextField>
        <ReadingField
          label="Standover"
          kind="length"
          unit="mm"
          value={size.standoverMm}
          onCommit={(standoverMm) => put({ standoverMm })}
          onClear={() => put({ standoverMm: null })}
          refuse={(mm) => (mm < 300 || mm > 1000 ? '300 to 1,000 mm' : null)}
          help="Ground to top tube"
          width={150}
        />
        <ReadingField
          label="A rider of"
          kind="number"
          unit="cm"
          value={riderMm === null ? null : riderMm / 10}
          onCommit={(cm) => send({ type: 'measureRider', figure: 'height', mm: cm * 10 })}
          onClear={() => send({ type: 'measureRider', figure: 'height', mm: null })}
          refuse={(cm) => (cm < 100 || cm > 230 ? '100 to 230 cm' : null)}
          width={130}
        />
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <Choices label="Ridden as" options={USE_CHOICES} value={size.use} onChoose={(use) => put({ use })} />
      </Box>
      {fit && size.sizeMm !== null && (
        <Box aria-live="polite" sx={{ mt: 2 }}>
          <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mb: 1 }}>
            <BigNumber value={`${metres(fit.riderMm.low)} to ${metres(fit.riderMm.high)}`} label="riders, about" />
            {fit.standover && (
              <BigNumber value={`${fit.standover.inseamNeededMm} mm`} label="inseam to stand over it" />
            )}
            <BigNumber value={`${Math.round(fit.seatTubeMm.centreTop)} mm`} label="centre to top" />
            <BigNumber value={`${Math.round(fit.seatTubeMm.centreCentre)} mm`} label="centre to centre" />
          </Box>
          {fit.verdict !== 'range' && <StateMark state={stateOf('buy.fit', fit.verdict)} />}
          {fit.reasons.map((reason) => (
            <Typography key={reason} sx={{ maxWidth: '62ch' }}>
              {reason}
            </Typography>
          ))}
          <Working rows={fit.working} />
        </Box>
      )}
    </Section>
  );
}

function AgeSection({ bicycle, send }: StageProps) {
  const { output: known } = useReckon('buy.features', {});
  const features = Object.keys(bicycle.features);
  const thisYear = Number(useToday().slice(0, 4));
  const { output: age } = useReckon('buy.age', { features, thisYear });
  const [typed, setTyped] = useState('');
  const left = (known?.features ?? []).filter((each) => !bicycle.features[each.id]);
  const byId = new Map(known?.features.map((each) => [each.id, each]));
  return (
    <Section title="How old is it?" aside={features.length ? `${features.length} features seen` : undefined}>
      <Autocomplete
        options={left}
        groupBy={(each) => each.group}
        getOptionLabel={(each) => each.feature}
        filterOptions={(options, state) =>
          anyOrder(options, { inputValue: state.inputValue, getOptionLabel: (each) => `${each.feature} ${each.group}` })
        }
        value={null}
        inputValue={typed}
        onInputChange={(_event, text, why) => setTyped(why === 'reset' ? '' : text)}
        onChange={(_event, chosen) => chosen && send({ type: 'seeFeature', feature: chosen.id, seen: true })}
        autoHighlight
        blurOnSelect={false}
        sx={{ maxWidth: 460 }}
        renderInput={(input) => <TextField {...input} label="What is on it? Cogs, levers, brakes, wheels…" />}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5 }}>
        {features.map((id) => (
          <Chip
            key={id}
            label={byId.get(id)?.feature ?? id}
            onDelete={() => send({ type: 'seeFeature', feature: id, seen: false })}
            sx={{ borderRadius: '3px', height: 36 }}
          />
        ))}
      </Box>
      {age && (
        <Box aria-live="polite" sx={{ mt: 2 }}>
          {age.possible && (
            <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mb: 1 }}>
              <BigNumber
                value={age.likely ? `${age.likely.from} to ${age.likely.to}` : `from ${age.possible.from}`}
                label="likeliest"
              />
              <BigNumber value={age.possible.from} label="not before" />
            </Box>
          )}
          {age.verdict === 'changed' && (
            <Box sx={{ mb: 1, fontSize: '1.15rem' }}>
              <StateMark state="watch" /> <b>Something was changed.</b>
            </Box>
          )}
          {age.reasons.map((reason) => (
            <Typography key={reason} sx={{ maxWidth: '66ch' }}>
              {reason}
            </Typography>
          ))}
          {age.evidence.length > 0 && (
            <Box sx={{ mt: 2 }}>
              <EraBars
                bars={age.evidence.map((each) => ({ ...each, label: each.feature }))}
                possible={age.possible}
                likely={age.likely}
                thisYear={thisYear}
              />
            </Box>
          )}
          {age.evidence.some((each) => each.note) && (
            <Box component="ul" sx={{ pl: 2.5, my: 1, fontSize: '0.9rem', color: 'text.secondary' }}>
              {age.evidence
                .filter((each) => each.note)
                .map((each) => (
                  <li key={each.id}>
                    {each.feature}: {each.note}
                  </li>
                ))}
            </Box>
          )}
        </Box>
      )}
    </Section>
  );
}

/** Whom it fits and how old it is: what a listing has to say and a price hangs on. */
export function AgeAndFit(props: StageProps) {
  return (
    <>
      <FitSection {...props} />
      <AgeSection {...props} />
    </>
  );
}
