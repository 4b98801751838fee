'use client';
import { parseISO } from 'date-fns';
import { localDay } from '@/model/localDay';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { fileName } from '@/core/fileName';
import { nowIso } from '@/store/now';
import { saveFile } from '@/ui/saveFile';
import { BigNumber, Section } from '@/ui/Section';
import { useSettings, useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { Told } from './Told';
import { useRecordsJob } from './useRecordsJob';

/** What an export leaves out, in a sentence each; nothing is left out in silence. */
function leftOut(missing: number, left: number): string {
  const photographs = missing === 1 ? '1 photograph lies' : `${missing} photographs lie`;
  const bicycles = left === 1 ? '1 bicycle is' : `${left} bicycles are`;
  return [
    missing > 0 && ` ${photographs} on another device and not in it.`,
    left > 0 && ` ${bicycles} closed here and not in it.`,
  ]
    .filter(Boolean)
    .join('');
}

function sizeWords(bytes: number): string {
  return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

/** The whole workshop out, as one zip. */
export function Export() {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const settings = useSettings();
  const count = useWorkshopState((state) => Object.keys(state.summaries).length);
  const unexported = useWorkshopState((state) => state.unexported);
  const exported = useWorkshopState((state) => state.exportedAt !== null);
  const { doing, setDoing, run, stop } = useRecordsJob();
  async function pack() {
    await workshop.settled();
    const at = nowIso();
    const packed = await run<{ zip: Blob; missing: number; left: number }>(
      'Packing…',
      (api, onProgress) => api.pack(name, { ids: null, scope: 'workshop', at }, onProgress),
      {
        wrong:
          'It could not be packed: the browser refused to read a record or ran out of memory. Nothing was changed.',
      },
    );
    if (!packed) return;
    saveFile(packed.zip, `${fileName(settings.name)}-${localDay(parseISO(at))}.zip`);
    await workshop.markExported();
    setDoing({
      said: `Packed: ${sizeWords(packed.zip.size)}. Keep it somewhere else than this machine.${leftOut(packed.missing, packed.left)}`,
    });
  }
  const busy = doing !== null && 'busy' in doing;
  return (
    <Section title="Export the workshop">
      <Box sx={{ display: 'flex', gap: 4, mb: 2, flexWrap: 'wrap' }}>
        <BigNumber value={count} label={count === 1 ? 'bicycle' : 'bicycles'} />
        {exported ? (
          <BigNumber value={unexported} label="changes since the last export" />
        ) : (
          <BigNumber value="Never" label="exported" />
        )}
      </Box>
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        One zip with everything: the records as JSON with a published schema, photographs and sounds, tables of money,
        findings and torque for a spreadsheet, and each drawing as SVG.
      </Typography>
      <Button variant="contained" onClick={() => void pack()} disabled={count === 0 || busy}>
        Export everything
      </Button>
      <Told doing={doing} onStop={stop} />
    </Section>
  );
}
