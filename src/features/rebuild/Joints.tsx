'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { COMPOUND_WORDS, COMPOUNDS, type Compound } from '@/core/rebuild/joints';
import type { JointHere } from '@/core/rebuild/jointsOf';
import { nowIso } from '@/store/now';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';

const NEVER_WORDS: Record<string, string> = {
  'threadlock-medium': 'threadlock',
  'threadlock-high': 'threadlock of high strength',
};

/** What goes between at the joints of a place: planned by the table, confirmed by one tap, and only what differs is entered. */
export function Joints({ send, joints }: Pick<StageProps, 'send'> & { joints: JointHere[] }) {
  const { name: by } = useHand();
  if (joints.length === 0) return null;
  const fill = (entries: [string, Compound | null][]) =>
    send({
      type: 'fillJoints',
      fills: Object.fromEntries(entries.map(([id, used]) => [id, used && { used, at: nowIso(), by }])),
    });
  const unsaid = joints.filter(({ used }) => used === null);
  return (
    <Section title="What goes between" aside={unsaid.length > 0 ? 'planned, not said yet' : 'said'}>
      <Box component="ul" sx={{ p: 0, m: 0, listStyle: 'none' }}>
        {joints.map(({ id, label, planned, used, verdict, words }) => (
          <Box
            component="li"
            key={id}
            sx={{
              py: 1.25,
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 230px' },
              gap: 1.5,
              alignItems: 'start',
            }}
          >
            <Box>
              <Box sx={{ color: 'text.secondary' }}>{label}</Box>
              <Box sx={{ fontSize: '1.25rem', fontWeight: 660 }}>{COMPOUND_WORDS[planned.compound]}</Box>
              <Box sx={{ fontSize: '0.92rem' }}>
                {planned.where && `${planned.where.charAt(0).toUpperCase()}${planned.where.slice(1)}. `}
                {planned.reasons[0]}
              </Box>
              {planned.never.length > 0 && (
                <Box sx={{ fontSize: '0.92rem', fontWeight: 620 }}>
                  Never {planned.never.map((each) => NEVER_WORDS[each] ?? each).join(', ')}.
                </Box>
              )}
              {verdict === 'never' && (
                <Box role="alert" sx={{ mt: 0.5, color: stateColour('unsafe'), fontWeight: 640 }}>
                  <StateMark state="unsafe" word={false} size={18} /> {words}
                </Box>
              )}
              {verdict === 'differs' && <Box sx={{ fontSize: '0.92rem' }}>{words}</Box>}
            </Box>
            <TextField
              select
              label="What went in"
              value={used ?? ''}
              onChange={(event) => fill([[id, (event.target.value || null) as Compound | null]])}
              slotProps={{ htmlInput: { 'aria-label': `What went in: ${label}` } }}
            >
              <MenuItem value="">not said</MenuItem>
              {COMPOUNDS.map((compound) => (
                <MenuItem key={compound} value={compound} sx={{ minHeight: 48 }}>
                  {COMPOUND_WORDS[compound]}
                </MenuItem>
              ))}
            </TextField>
          </Box>
        ))}
      </Box>
      {unsaid.length > 0 && (
        <Button
          variant="outlined"
          sx={{ minHeight: 56, mt: 1 }}
          onClick={() => fill(unsaid.map(({ id, planned }) => [id, planned.compound]))}
        >
          {unsaid.length === 1 ? 'As planned' : `All ${unsaid.length} as planned`}
        </Button>
      )}
    </Section>
  );
}
