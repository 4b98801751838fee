'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ListingPart } from '@/core/sell/listingParts';
import { mayNotSay } from '@/core/sell/mayNotSay';
import { asText, type SentenceNow } from '@/model/sell/listingText';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { TextInput } from '@/ui/TextInput';
import { useSettings, useWorkshop, type StageProps } from '../workshop/WorkshopProvider';
import { useListing } from './useListing';

const PART_WORDS: Record<ListingPart, string> = {
  what: 'What it is',
  fit: 'Whom it fits',
  age: 'How old',
  state: 'How it goes',
  done: 'Done',
  renewed: 'Renewed',
  measured: 'Measured',
  flaws: 'Flaws',
  'not-original': 'Not original',
  'for-whom': 'For whom',
  options: 'Options',
  answers: 'Asked and answered',
  price: 'Price',
};
const TONES = [
  { id: 'plain', label: 'Plain' },
  { id: 'warm', label: 'Warm' },
] as const;
const LENGTHS = [
  { id: 'short', label: 'Short' },
  { id: 'full', label: 'Full' },
] as const;
const refuse = (text: string) => {
  const word = mayNotSay(text);
  return word === null ? null : `a seller may not say “${word}”`;
};

/** One sentence, written over in place and kept; it can always go back to the record’s. */
function SentenceRow({ send, sentence }: Pick<StageProps, 'send'> & { sentence: SentenceNow }) {
  const [draft, setDraft] = useState<string | null>(null);
  const { id, text, of, isEdited, isStale } = sentence;
  const hint = draft === null ? null : refuse(draft);
  const keep = () => {
    if (draft === null || hint) return;
    if (draft.trim() !== text)
      send({ type: 'editSentence', sentence: id, edit: draft.trim() === of ? null : { text: draft.trim(), of } });
    setDraft(null);
  };
  return (
    <Box component="li" sx={{ py: 1 }}>
      <TextInput
        label={PART_WORDS[id]}
        multiline
        fullWidth
        value={draft ?? text}
        error={hint !== null}
        helperText={
          hint ??
          (isStale
            ? 'The record has moved on since this was written.'
            : isEdited
              ? text === ''
                ? 'Left out.'
                : 'Your own words.'
              : null)
        }
        onChange={({ target: { value } }) => setDraft(value.slice(0, 2000))}
        onBlur={keep}
      />
      {isEdited && (
        <Button size="small" color="inherit" onClick={() => send({ type: 'editSentence', sentence: id, edit: null })}>
          As the record has it{isStale && `: ${of}`}
        </Button>
      )}
    </Box>
  );
}

/** What only a person can say: for whom, options, what is not original, and questions that came back. */
function Told({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  return (
    <Box sx={{ display: 'grid', gap: 2, my: 2 }}>
      <KeptText
        label="For whom is it good"
        value={bicycle.listing.forWhom}
        width={520}
        most={400}
        refuse={refuse}
        onKeep={(forWhom) => send({ type: 'setListing', changes: { forWhom } })}
      />
      <Disclosure summary={<>Not original, {bicycle.notOriginal.length}</>} wide>
        <RuledList>
          {bicycle.notOriginal.map((row) => (
            <Box component="li" key={row.id} sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, py: 0.5 }}>
              {row.label}
              <Button color="inherit" onClick={() => send({ type: 'dropNotOriginal', row: row.id })}>
                Take it out
              </Button>
            </Box>
          ))}
        </RuledList>
        <KeptText
          key={bicycle.notOriginal.length}
          label="A part that is not original"
          value=""
          width={420}
          refuse={refuse}
          onKeep={(label) => {
            if (label) send({ type: 'putNotOriginal', row: { id: newId(), label } });
          }}
        />
      </Disclosure>
      <Disclosure summary={<>Options, {bicycle.saleOptions.length}</>} wide>
        <RuledList>
          {bicycle.saleOptions.map((row) => (
            <Box
              component="li"
              key={row.id}
              data-readings
              sx={{ display: 'flex', gap: 2, py: 0.75, alignItems: 'start' }}
            >
              <Box sx={{ flex: 1, pt: 1 }}>{row.label}</Box>
              <ReadingField
                label="Surcharge"
                kind="money"
                unit={currency}
                width={140}
                value={row.price}
                onCommit={(price) => send({ type: 'putOption', option: { ...row, price } })}
              />
              <Button
                color="inherit"
                sx={{ minHeight: 48 }}
                onClick={() => send({ type: 'dropOption', option: row.id })}
              >
                Take it out
              </Button>
            </Box>
          ))}
        </RuledList>
        <KeptText
          key={bicycle.saleOptions.length}
          label="An option, such as pedals"
          value=""
          width={420}
          refuse={refuse}
          onKeep={(label) => {
            if (label) send({ type: 'putOption', option: { id: newId(), label, price: 0 } });
          }}
        />
      </Disclosure>
      <Disclosure summary={<>Questions that came back, {bicycle.buyersQuestions.length}</>} wide>
        <RuledList>
          {bicycle.buyersQuestions.map((row) => (
            <Box component="li" key={row.id} sx={{ py: 1, display: 'grid', gap: 1 }}>
              <b>{row.asked}</b>
              <Box sx={{ display: 'flex', gap: 1 }}>
                <KeptText
                  label="The answer"
                  value={row.answer}
                  width={420}
                  most={400}
                  refuse={refuse}
                  onKeep={(answer) => send({ type: 'putQuestion', question: { ...row, answer } })}
                />
                <Button color="inherit" onClick={() => send({ type: 'dropQuestion', question: row.id })}>
                  Take it out
                </Button>
              </Box>
            </Box>
          ))}
        </RuledList>
        <KeptText
          key={bicycle.buyersQuestions.length}
          label="What was asked"
          value=""
          width={420}
          refuse={refuse}
          onKeep={(text) => {
            if (text) send({ type: 'putQuestion', question: { id: newId(), at: nowIso(), asked: text, answer: '' } });
          }}
        />
      </Disclosure>
    </Box>
  );
}

/** The listing: from the record, every sentence written over in place, and out as text, Markdown, a page or a folder. */
export function ListingView({ bicycle, send }: StageProps) {
  const { database } = useWorkshop();
  const told = useListing(bicycle);
  const [said, setSaid] = useState<string | null>(null);
  const { tone, length } = bicycle.listing;
  if (!told) return <p role="status">Writing it…</p>;
  const { listing, sentences } = told;
  const save = async (as: 'md' | 'html' | 'zip') => {
    const { saveListing } = await import('./saveListing');
    const missing = await saveListing(as, listing.title, sentences, bicycle, (id) => database.readPhoto(id));
    setSaid(missing > 0 ? `${missing} of its photographs lie on another device.` : 'Saved.');
  };
  return (
    <Section
      title="Listing"
      aside={
        <Button
          variant="contained"
          onClick={() =>
            void navigator.clipboard.writeText(asText(listing.title, sentences)).then(
              () => setSaid('Copied.'),
              () => setSaid('It could not be copied: save it as a file.'),
            )
          }
        >
          Copy it
        </Button>
      }
    >
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Choices
          label="Tone"
          options={TONES}
          value={tone}
          onChoose={(next) => send({ type: 'setListing', changes: { tone: next } })}
        />
        <Choices
          label="Length"
          options={LENGTHS}
          value={length}
          onChoose={(next) => send({ type: 'setListing', changes: { length: next } })}
        />
      </Box>
      <Box sx={{ mt: 2 }} />
      <RuledList aria-label="Sentences">
        {sentences.map((sentence) => (
          <SentenceRow key={sentence.id} send={send} sentence={sentence} />
        ))}
      </RuledList>
      {listing.leftOut.length > 0 && (
        <Box role="note" sx={{ my: 1.5, borderLeft: '3px solid', borderColor: stateColour('service'), pl: 1.5 }}>
          <b>Left out</b>, since a seller may not say it:{' '}
          {listing.leftOut.map(({ text, word }) => `“${text}” (${word})`).join('; ')}.
        </Box>
      )}
      {listing.missing.length > 0 && (
        <Box sx={{ my: 1.5 }}>
          <b>A buyer will ask</b>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {listing.missing.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </Box>
        </Box>
      )}
      <Told bicycle={bicycle} send={send} />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => void save('md')}>
          As Markdown
        </Button>
        <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => void save('html')}>
          As a page
        </Button>
        <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => void save('zip')}>
          With its photographs
        </Button>
        <Box role="status">{said}</Box>
      </Box>
    </Section>
  );
}
