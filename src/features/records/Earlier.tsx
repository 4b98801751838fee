'use client';
import { parseISO } from 'date-fns';
import { localDay } from '@/model/localDay';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { KEPT_BEFORE, type KeptBefore } from '@/store/keptBefore';
import { dayOf } from '@/ui/format';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { useWorkshop } from '../workshop/WorkshopProvider';

/** The records as they were before this release brought them up to date, for a machine that still has the older one. */
export function Earlier() {
  const { database } = useWorkshop();
  const [kept, setKept] = useState<KeptBefore | null>(null);
  useEffect(() => {
    let left = false;
    database.readSetting(KEPT_BEFORE).then(
      (found) => !left && found !== null && found !== undefined && setKept(found as KeptBefore),
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [database]);
  if (!kept) return null;
  return (
    <Section title="As they were before the last update">
      <Typography sx={{ maxWidth: '62ch', mb: 1.5 }}>
        {kept.bicycles === 1 ? 'One record was' : `${kept.bicycles} records were`} brought up to date on{' '}
        {dayOf(kept.at)}. They are kept as they stood, in a file that the earlier Ergasto reads; their photographs are
        in the export.
      </Typography>
      <Button
        variant="outlined"
        onClick={() => saveFile(kept.zip, `records-before-${localDay(parseISO(kept.at))}.zip`)}
      >
        Save them
      </Button>
    </Section>
  );
}
