'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

/** Two workshops that are about to meet: what it is called, how many bicycles lie there and here, and what joins them. */
export interface Meeting {
  called: string;
  there: number;
  here: number;
  onJoin(): void;
}

const bicycles = (count: number) => (count === 1 ? 'one bicycle' : `${count} bicycles`);

/** Two workshops that never met are asked about before they are one. */
export function JoinThem({ meeting: { called, there, here, onJoin }, onLeave }: { meeting: Meeting; onLeave(): void }) {
  return (
    <Box role="alert" sx={{ border: '1.5px solid', borderColor: 'text.primary', p: 2, mb: 2, bgcolor: 'sheet.paper' }}>
      <Box sx={{ maxWidth: '62ch', mb: 1.5 }}>
        <b>
          “{called}” holds {bicycles(there)} of a workshop that this browser never met, and here{' '}
          {here === 1 ? 'is' : 'are'} {bicycles(here)}.
        </b>{' '}
        From then on they are one workshop on every device, and nobody takes them apart again. What both set differently
        is asked about.
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        <Button variant="outlined" onClick={onJoin}>
          Make them one
        </Button>
        <Button color="inherit" onClick={onLeave}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}
