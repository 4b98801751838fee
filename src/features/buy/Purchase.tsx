'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Purpose } from '@/model/purposes';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

export const PURPOSE_CHOICES: { id: Purpose; label: string; words: string }[] = [
  { id: 'sale', label: 'Sell it', words: 'A limit on the price, so that profit or wage comes out.' },
  { id: 'save', label: 'Save it', words: 'From the tip: what it may cost counts, time does not.' },
  { id: 'keeper', label: 'Keep it', words: 'No resale: what it would fetch is only a comparison.' },
  { id: 'customer', label: 'A customer’s', words: 'No price to pay: an estimate and the owner’s word, under Decide.' },
];

const PROOF = [
  { id: 'seen', label: 'Seen' },
  { id: 'asked', label: 'Asked for' },
  { id: 'none', label: 'There is none' },
] as const;

/** What it is for. */
export function PurposeSection({ bicycle, send }: StageProps) {
  return (
    <Section title="What for?">
      <Choices
        label="Purpose"
        hideLabel
        options={PURPOSE_CHOICES}
        value={bicycle.purpose}
        onChoose={(purpose) => {
          send({ type: 'setPurpose', purpose });
          if ((purpose === 'save' || purpose === 'keeper') && bicycle.appraisal.target.kind === 'hourly')
            send({ type: 'setAppraisal', changes: { target: { kind: 'profit', amount: 0 } } });
        }}
      />
      <Typography sx={{ mt: 1, color: 'text.secondary' }}>
        {PURPOSE_CHOICES.find((each) => each.id === bicycle.purpose)!.words}
      </Typography>
      {bicycle.purpose === 'customer' && (
        <Box sx={{ mt: 1.5 }}>
          <KeptText
            label="Whose is it?"
            value={bicycle.customer}
            onKeep={(customer) => send({ type: 'nameCustomer', customer })}
            width={320}
          />
        </Box>
      )}
    </Section>
  );
}

/** Bought: the price, and where it came from. */
export function Purchase({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const { provenance } = bicycle;
  const customer = bicycle.purpose === 'customer';
  return (
    <Section title={customer ? 'The owner and the number' : 'Bought?'}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap' }}>
        {!customer && (
          <ReadingField
            label="Paid for it"
            kind="money"
            unit={currency}
            value={bicycle.purchase?.paid ?? null}
            onCommit={(paid) => send({ type: 'recordPurchase', paid, at: nowIso() })}
            onClear={() => send({ type: 'recordPurchase', paid: null, at: nowIso() })}
          />
        )}
        <KeptText
          label="Serial number"
          value={provenance.serial}
          onKeep={(serial) => send({ type: 'notePapers', changes: { serial } })}
          width={200}
        />
        {!customer && (
          <KeptText
            label="Seller"
            value={provenance.seller}
            onKeep={(seller) => send({ type: 'notePapers', changes: { seller } })}
            width={240}
          />
        )}
      </Box>
      {!customer && (
        <Box sx={{ mt: 1.5 }}>
          <Choices
            label="Proof that it is theirs to sell"
            options={PROOF}
            value={provenance.proof}
            onChoose={(proof) => send({ type: 'notePapers', changes: { proof } })}
          />
        </Box>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1.5, maxWidth: '62ch' }}>
        Look for a serial number and ask for proof that it is the seller’s to sell. Rules on second-hand dealing,
        recalls, children’s and electric bicycles are local: look them up where you are; an electric bicycle’s battery
        goes to a qualified person.
      </Typography>
    </Section>
  );
}
