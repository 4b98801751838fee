'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import * as z from 'zod/mini';
import { newId } from '@/store/browser';
import { FormText, saidText, useSentForm } from '@/ui/forms';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { AtTheBench } from '../prove/AtTheBench';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { SETTING_SECTIONS } from './settingWays';

const MOST = 40;

const formFor = (names: readonly string[]) =>
  z.strictObject({
    name: saidText('Say who.', 80).check(
      z.refine((name) => !names.includes(name), { error: 'That name stands here already.' }),
    ),
  });

function OneMore({ names, onAdd }: { names: readonly string[]; onAdd(name: string): void }) {
  const { control, submit } = useSentForm(formFor(names), { name: '' }, ({ name }, form) => {
    onAdd(name);
    form.reset({ name: '' });
  });
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'start', flexWrap: 'wrap' }}
    >
      <FormText control={control} name="name" label="One more" sx={{ width: 280, maxWidth: '100%' }} />
      <Button type="submit" variant="outlined">
        Add
      </Button>
    </Box>
  );
}

/** Who works here. The name stands beside everything that is signed, declined, accepted or cleared. */
export function People() {
  const { people } = useSettings();
  const workshop = useWorkshop();
  // Over what is kept: another hand may have put somebody down meanwhile.
  const keep = (next: (kept: typeof people) => typeof people) =>
    void workshop.changeSettings((kept) => ({ people: next(kept.people) }));
  return (
    <Section id="people" title={SETTING_SECTIONS.people.title} aside={people.length > 1 ? <AtTheBench /> : undefined}>
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        The name stands beside everything that is signed here, and on the sheet. What was signed keeps its name.
      </Typography>
      {people.map((person, i) => (
        <Box key={person.id} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', mb: 1.5, flexWrap: 'wrap' }}>
          <KeptText
            label={`Name ${i + 1}`}
            value={person.name}
            width={280}
            refuse={(name) => (name.trim() === '' ? 'a name, or take the line out' : null)}
            onKeep={(name) =>
              keep((kept) =>
                kept.map((each) => (each.id === person.id ? { ...each, name: name.trim().slice(0, 80) } : each)),
              )
            }
          />
          {people.length > 1 && (
            <Button color="inherit" onClick={() => keep((kept) => kept.filter((each) => each.id !== person.id))}>
              Take out {person.name}
            </Button>
          )}
        </Box>
      ))}
      {people.length < MOST && (
        <OneMore
          names={people.map(({ name }) => name)}
          onAdd={(name) => keep((kept) => [...kept, { id: newId(), name }])}
        />
      )}
    </Section>
  );
}
