'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Bath } from '@/model/settings/settings';
import { newId } from '@/store/browser';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { SETTING_SECTIONS } from './settingWays';

const PROCESSES = [
  ['hot ultrasonic, water-based degreaser', 'Warm, water-based degreaser'],
  ['cold ultrasonic, water-based degreaser', 'Cold, water-based degreaser'],
  ['white vinegar soak', 'Vinegar'],
] as const;

/** The baths that the workshop owns; the wash is planned over them. */
export function Baths() {
  const { baths } = useSettings();
  const workshop = useWorkshop();
  const put = (next: (kept: Bath[]) => Bath[]) => void workshop.changeSettings((kept) => ({ baths: next(kept.baths) }));
  const change = (id: string, changes: Partial<Bath>) =>
    put((kept) => kept.map((bath) => (bath.id === id ? { ...bath, ...changes } : bath)));
  return (
    <Section id="baths" title={SETTING_SECTIONS.baths.title}>
      <Typography sx={{ maxWidth: '62ch', mb: 1 }}>
        What parts are washed in. One tank that is used warm and cold stands here twice; do not run both at once.
      </Typography>
      <RuledList aria-label="Baths">
        {baths.map((bath) => (
          <Box
            component="li"
            key={bath.id}
            data-readings
            sx={{ py: 1.5, display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}
          >
            <KeptText
              label="Name"
              value={bath.label}
              width={150}
              refuse={(text) => (text ? null : 'give it a name')}
              onKeep={(label) => change(bath.id, { label })}
            />
            <TextField
              select
              label="What is in it"
              value={bath.process}
              onChange={(event) => change(bath.id, { process: event.target.value })}
              sx={{ width: 256 }}
            >
              {PROCESSES.map(([id, label]) => (
                <MenuItem key={id} value={id}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            <ReadingField
              label="Holds"
              kind="number"
              unit="ml"
              width={130}
              value={bath.capacityMl}
              refuse={(ml) => (ml <= 0 || ml > 1_000_000 ? 'more than nothing' : null)}
              onCommit={(capacityMl) => change(bath.id, { capacityMl })}
            />
            <ReadingField
              label="Parts may fill"
              kind="number"
              unit="%"
              width={130}
              value={Math.round(bath.fillShare * 100)}
              refuse={(share) => (share <= 0 || share > 100 ? 'up to a hundred' : null)}
              onCommit={(share) => change(bath.id, { fillShare: share / 100 })}
            />
            <Button
              color="inherit"
              aria-label={`Remove ${bath.label}`}
              onClick={() => put((kept) => kept.filter((each) => each.id !== bath.id))}
              sx={{ minHeight: 44 }}
            >
              Remove
            </Button>
          </Box>
        ))}
      </RuledList>
      <Button
        variant="outlined"
        color="inherit"
        sx={{ mt: 1, minHeight: 48 }}
        disabled={baths.length >= 30}
        onClick={() => {
          const fresh: Bath = {
            id: newId(),
            label: `Bath ${baths.length + 1}`,
            process: PROCESSES[0][0],
            capacityMl: 3000,
            fillShare: 0.6,
          };
          put((kept) => [...kept, fresh]);
        }}
      >
        One more bath
      </Button>
    </Section>
  );
}
