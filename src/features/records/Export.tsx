'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { fileName } from '@/core/fileName';
import type { Bicycle } from '@/model/record';
import { saveFile } from '@/ui/saveFile';
import { BigNumber, Section } from '@/ui/Section';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { archive, Told, zipBlob, type Doing } from './told';

function useAllBicycles() {
  const workshop = useWorkshop();
  return async (): Promise<Bicycle[]> => {
    const ids = Object.keys(workshop.store.getState().summaries);
    const read = await Promise.all(ids.map((id) => workshop.open(id)));
    return read.filter((bicycle) => bicycle !== null);
  };
}

/** The whole workshop out, as one zip. */
export function Export() {
  const workshop = useWorkshop();
  const settings = useSettings();
  const all = useAllBicycles();
  const count = useWorkshopState((state) => Object.keys(state.summaries).length);
  const unexported = useWorkshopState((state) => state.unexported);
  const [doing, setDoing] = useState<Doing>(null);
  async function run() {
    setDoing({ busy: 'Packing…' });
    try {
      await workshop.settled();
      const { packBicycles } = await archive();
      const at = new Date().toISOString();
      const { zip, missing } = await packBicycles(workshop.database, await all(), {
        scope: 'workshop',
        settings,
        currency: settings.currency,
        at,
        stock: Object.values(workshop.store.getState().stock),
      });
      saveFile(zipBlob(zip), `${fileName(settings.name)}-${at.slice(0, 10)}.zip`);
      await workshop.markExported();
      setDoing({
        said: `Packed: ${(zip.length / 1e6).toFixed(1)} MB. Keep it somewhere else than this machine.${missing ? ` ${missing} photographs lie on another device and are not in it.` : ''}`,
      });
    } catch {
      setDoing({
        wrong:
          'It could not be packed: the browser refused to read a record or ran out of memory. Nothing was changed.',
      });
    }
  }
  return (
    <Section title="Export the workshop">
      <Box sx={{ display: 'flex', gap: 4, mb: 2, flexWrap: 'wrap' }}>
        <BigNumber value={count} label={count === 1 ? 'bicycle' : 'bicycles'} />
        <BigNumber value={unexported} label="changes since the last export" />
      </Box>
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        One zip with everything: the records as JSON with a published schema, photographs and sounds, tables of money,
        findings and torque for a spreadsheet, and each drawing as SVG.
      </Typography>
      <Button variant="contained" onClick={() => void run()} disabled={count === 0}>
        Export everything
      </Button>
      <Told doing={doing} />
    </Section>
  );
}
