import Box from '@mui/material/Box';
import type { Stop } from '@/core/buy/appraise';
import { stateColour, StateMark } from '@/ui/StateMark';

/** What ends the deal at the door: said before any figure. */
export function StopWords({ stop }: { stop: Stop }) {
  return (
    <Box sx={{ mb: 1.5, maxWidth: '60ch' }}>
      <Box
        sx={{
          display: 'flex',
          gap: 1,
          alignItems: 'center',
          fontSize: '1.5rem',
          fontWeight: 680,
          color: stateColour('unsafe'),
        }}
      >
        <StateMark state="unsafe" word={false} size={26} /> Stop
      </Box>
      <b>{stop.faults.join('; ')}.</b> {stop.words}
    </Box>
  );
}
