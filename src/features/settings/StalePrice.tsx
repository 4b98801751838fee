'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { isInSeason, type StalePrice as Rule } from '@/core/sell/staleRule';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { SETTING_SECTIONS } from './settingWays';

const FIELDS: { field: keyof Rule; label: string; unit: string; most: number }[] = [
  { field: 'inSeasonDays', label: 'In season', unit: 'days', most: 365 },
  { field: 'outOfSeasonDays', label: 'Out of season', unit: 'days', most: 365 },
  { field: 'fromMonth', label: 'Season from month', unit: '', most: 12 },
  { field: 'toMonth', label: 'to month', unit: '', most: 12 },
];

/** How long a price may stand without an offer before Hand over calls it stale. */
export function StalePrice() {
  const { stalePrice } = useSettings();
  const workshop = useWorkshop();
  const today = useToday();
  return (
    <Section id="stale" title={SETTING_SECTIONS.stale.title}>
      <Typography sx={{ maxWidth: '62ch', mb: 1 }}>
        After so many days without an offer, {isInSeason(today, stalePrice) ? 'now in season' : 'now out of season'}. A
        season may run over the new year.
      </Typography>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        {FIELDS.map(({ field, label, unit, most }) => (
          <ReadingField
            key={field}
            label={label}
            kind="number"
            unit={unit}
            width={170}
            value={stalePrice[field]}
            refuse={(value) => (value % 1 !== 0 || value < 1 || value > most ? `a whole number, 1 to ${most}` : null)}
            onCommit={(value) =>
              void workshop.changeSettings((kept) => ({ stalePrice: { ...kept.stalePrice, [field]: value } }))
            }
          />
        ))}
      </Box>
    </Section>
  );
}
