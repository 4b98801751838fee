'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { newId } from '@/store/browser';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { AtTheBench } from '../prove/AtTheBench';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

const MOST = 40;

/** Who works here. The name stands beside everything that is signed, declined, accepted or cleared. */
export function People() {
  const { people } = useSettings();
  const workshop = useWorkshop();
  const keep = (next: typeof people) => void workshop.changeSettings({ people: next });
  return (
    <Section title="Who works here" aside={people.length > 1 ? <AtTheBench /> : undefined}>
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
              keep(people.map((each) => (each.id === person.id ? { ...each, name: name.trim().slice(0, 80) } : each)))
            }
          />
          {people.length > 1 && (
            <Button color="inherit" onClick={() => keep(people.filter((each) => each.id !== person.id))}>
              Take out {person.name}
            </Button>
          )}
        </Box>
      ))}
      <Button
        variant="outlined"
        disabled={people.length >= MOST}
        onClick={() => keep([...people, { id: newId(), name: `Person ${people.length + 1}` }])}
      >
        One more
      </Button>
    </Section>
  );
}
