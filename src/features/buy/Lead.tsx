'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { BuyAppraisal } from '@/core/buy/appraise';
import type { Drive } from '@/core/money/drive';
import { stateOf } from '@/core/vocabulary/verdicts';
import { Choices } from '@/ui/Choices';
import { hours, money, percent } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { TextInput } from '@/ui/TextInput';
import { StepPhotos } from '../photos/StepPhotos';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { isDriven } from '@/model/buy/questions';
import { roadCost } from '@/model/buy/road';
import { LearntLines } from '../workshop/LearntLines';
import { LeadTable } from './LeadTable';
import { DRIVE_WORDS } from './words';

const KEPT = [
  { id: 'indoors', label: 'Indoors' },
  { id: 'shed', label: 'In a shed' },
  { id: 'outside', label: 'Outside' },
] as const;
const INDOORS = [
  { id: 'no', label: 'No' },
  { id: 'yes', label: 'Yes' },
] as const;
const CRASHED = [
  { id: 'no', label: 'No' },
  { id: 'unsure', label: 'Not sure' },
  { id: 'yes', label: 'Yes' },
] as const;
const RIDDEN = [
  { id: 'week', label: 'Last week' },
  { id: 'year', label: 'This year' },
  { id: 'years', label: 'Years ago' },
] as const;
const PAPERS = [
  { id: 'yes', label: 'Papers' },
  { id: 'number', label: 'A number only' },
  { id: 'none', label: 'Neither' },
] as const;

function DriveVerdict({ drive, currency }: { drive: Drive; currency: string }) {
  return (
    <Box aria-live="polite" sx={{ mt: 2 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'auto auto auto auto' },
          gap: { xs: 2, sm: 4 },
          justifyContent: 'start',
          mb: 1.5,
        }}
      >
        <BigNumber
          value={DRIVE_WORDS[drive.verdict]}
          label="the drive"
          tone={stateColour(stateOf('money.drive', drive.verdict))}
        />
        <BigNumber value={percent(drive.buyChance)} label="chance of buying there" />
        <BigNumber value={money(drive.expectedGain, currency)} label="left over beside what is wanted" />
        <BigNumber value={`${drive.farthestKm} km`} label="the farthest that pays" />
      </Box>
      {drive.reasons.map((reason) => (
        <Typography key={reason} sx={{ maxWidth: '62ch' }}>
          {reason}
        </Typography>
      ))}
      <Working rows={drive.working} />
    </Box>
  );
}

/** A lead before the drive: the advertisement, five questions, the road, and how it stands beside the others. */
export function Lead({ bicycle, send, found }: StageProps & { found: BuyAppraisal | null }) {
  const { currency } = useSettings();
  const { lead } = bicycle;
  const [advert, setAdvert] = useState<string | null>(null);
  const put = (changes: Partial<typeof lead>) => send({ type: 'describeLead', changes });
  const drive = found?.drive ?? null;
  return (
    <>
      <Section title="Worth the drive?" aside={drive ? `${hours(drive.travelMinutes)} on the road` : undefined}>
        <Box data-readings sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
          <ReadingField
            label="Asked for it"
            kind="money"
            unit={currency}
            value={bicycle.appraisal.asking}
            onCommit={(asking) => send({ type: 'setAppraisal', changes: { asking } })}
            onClear={() => send({ type: 'setAppraisal', changes: { asking: null } })}
            width={140}
          />
          <ReadingField
            label="Distance, one way"
            kind="number"
            unit="km"
            value={lead.distanceKm}
            onCommit={(distanceKm) => put({ distanceKm })}
            onClear={() => put({ distanceKm: null })}
            refuse={(km) => (km < 0 || km > 3000 ? '0 to 3,000 km' : null)}
            width={160}
          />
          <ReadingField
            label="Fuel or fare a kilometre"
            kind="money"
            unit={currency}
            value={lead.costPerKm}
            onCommit={(costPerKm) => put({ costPerKm })}
            width={190}
          />
          <ReadingField
            label="Usually comes off"
            kind="number"
            unit="%"
            value={Math.round(lead.haggle * 100)}
            onCommit={(share) => put({ haggle: share / 100 })}
            refuse={(share) => (share < 0 || share > 60 ? '0 to 60 %' : null)}
            width={150}
          />
        </Box>
        {isDriven(bicycle) && lead.distanceKm !== null ? (
          <Typography sx={{ mt: 2, maxWidth: '62ch' }}>
            The road there and back came to {money(roadCost(lead), currency)}. It is spent: it no longer moves your
            limit, and stands in the result.
          </Typography>
        ) : drive ? (
          <>
            <DriveVerdict drive={drive} currency={currency} />
            <LearntLines lines={found?.learnt ?? []} />
          </>
        ) : (
          <Typography sx={{ mt: 2, color: 'text.secondary' }}>
            {lead.distanceKm === null
              ? 'Say how far it is.'
              : bicycle.appraisal.asking === null
                ? 'Say what is asked for it.'
                : 'Say under Figures what it may fetch, and the drive is reckoned.'}
          </Typography>
        )}
      </Section>
      <Section title="Five questions" aside="what is said moves what is likely">
        <Box sx={{ display: 'grid', gap: 1.75 }}>
          <Choices label="Where was it kept?" options={KEPT} value={lead.kept} onChoose={(kept) => put({ kept })} />
          <Choices
            label="Ridden indoors on a trainer?"
            options={INDOORS}
            value={lead.indoors}
            onChoose={(indoors) => put({ indoors })}
          />
          <Choices
            label="Ever crashed?"
            options={CRASHED}
            value={lead.crashed}
            onChoose={(crashed) => put({ crashed })}
          />
          <Choices label="Last ridden?" options={RIDDEN} value={lead.ridden} onChoose={(ridden) => put({ ridden })} />
          <Choices
            label="Papers and number?"
            options={PAPERS}
            value={lead.papers}
            onChoose={(papers) => put({ papers })}
          />
          {lead.papers === 'none' && (
            <Typography sx={{ fontWeight: 620 }}>
              No proof and no number: walk away unless the seller can show that it is theirs to sell.
            </Typography>
          )}
        </Box>
      </Section>
      <Section title="The advertisement">
        <TextInput
          label="Its words"
          multiline
          minRows={3}
          maxRows={10}
          fullWidth
          value={advert ?? lead.advert}
          onChange={(event) => setAdvert(event.target.value.slice(0, 2000))}
          onBlur={() => {
            if (advert !== null && advert !== lead.advert) put({ advert });
            setAdvert(null);
          }}
        />
        <Box sx={{ mt: 1.5 }}>
          <StepPhotos bicycle={bicycle} send={send} place="frame" step="advert" title="The advertisement" />
        </Box>
      </Section>
      <LeadTable current={bicycle.id} />
    </>
  );
}
