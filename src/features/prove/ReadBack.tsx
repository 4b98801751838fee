'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { changedSince, type PaperLine } from '@/model/prove/paper';
import { MOST_PROOF_BYTES, readProofFile, type ReadProof } from '@/model/prove/proofFile';
import type { Bicycle } from '@/model/record';
import { FileButton } from '@/ui/FileButton';
import { dayOf } from '@/ui/format';
import { StateMark } from '@/ui/StateMark';

function Said({ read, bicycle, lines }: { read: ReadProof; bicycle: Bicycle; lines: PaperLine[] }) {
  if (!read.ok) return <Box role="alert">{read.why}</Box>;
  const { file, agrees } = read;
  const { signed } = file;
  const changes = file.bicycle.id === bicycle.id ? changedSince(signed.lines, lines) : null;
  return (
    <Box role="status">
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: '1.2rem', fontWeight: 660 }}>
        <StateMark state={agrees ? 'fine' : 'unsafe'} word={false} size={22} />
        {agrees
          ? 'Its sum agrees: nothing in it was changed.'
          : 'Its sum does not agree: it was changed after signing.'}
      </Box>
      <Box sx={{ mt: 1 }}>
        {file.bicycle.name}, signed by {signed.by || 'nobody named'} on {dayOf(signed.at)} at{' '}
        {file.workshop || 'a workshop'}, {signed.lines.length} lines.
      </Box>
      <Box sx={{ mt: 0.5 }}>
        {changes === null
          ? 'It is of another bicycle than the one that is open.'
          : changes.length === 0
            ? 'The record of this bicycle says the same.'
            : changes.length === 1
              ? 'One line differs from the record of this bicycle now.'
              : `${changes.length} lines differ from the record of this bicycle now.`}
      </Box>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5, maxHeight: 260, overflow: 'auto', fontSize: '0.92rem' }}>
        {signed.lines.map(({ id, words }) => (
          <li key={id}>{words}</li>
        ))}
      </Box>
    </Box>
  );
}

/** A proof file read back: whether its sum agrees, and whether the record still says the same. */
export function ReadBack({ bicycle, lines, onClose }: { bicycle: Bicycle; lines: PaperLine[]; onClose(): void }) {
  const [read, setRead] = useState<ReadProof | null>(null);
  const take = async (file: File) =>
    setRead(
      file.size > MOST_PROOF_BYTES ? { ok: false, why: 'Too large for a proof.' } : readProofFile(await file.text()),
    );
  return (
    <Dialog open onClose={onClose} aria-label="Check a proof file" maxWidth="sm" fullWidth>
      <Box sx={{ p: 3, display: 'grid', gap: 2, justifyItems: 'start' }}>
        <FileButton accept="application/json,.json" inputLabel="A proof file" onFile={(file) => void take(file)}>
          Choose the file
        </FileButton>
        {read && <Said read={read} bicycle={bicycle} lines={lines} />}
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}
