'use client';
import Box from '@mui/material/Box';
import { judgeDepth } from '@/core/rebuild/insertion';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

const far = (value: number) => (value <= 0 || value > 500 ? 'nothing here is that long' : null);

/** How deep a post or a quill stands, against its own mark. */
export function HowDeep({ bicycle, send, place }: StageProps & { place: string }) {
  const depth = bicycle.insertions[place] ?? { insertedMm: null, minimumMm: null };
  const put = (changes: Partial<typeof depth>) => send({ type: 'measureInsertion', place, changes });
  const judged = judgeDepth(depth);
  return (
    <Section title="How deep it stands" aside="its mark, or what its paper asks">
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Stands in"
          kind="number"
          unit="mm"
          width={150}
          value={depth.insertedMm}
          onCommit={(insertedMm) => put({ insertedMm })}
          onClear={() => put({ insertedMm: null })}
          refuse={far}
        />
        <ReadingField
          label="Mark: at least"
          kind="number"
          unit="mm"
          width={150}
          value={depth.minimumMm}
          onCommit={(minimumMm) => put({ minimumMm })}
          onClear={() => put({ minimumMm: null })}
          refuse={far}
        />
        <Box
          role="status"
          sx={{
            alignSelf: 'center',
            fontWeight: 640,
            color: judged && !judged.deepEnough ? stateColour('unsafe') : undefined,
          }}
        >
          {judged && (
            <>
              <StateMark state={judged.deepEnough ? 'fine' : 'unsafe'} word={false} size={20} />{' '}
              {judged.deepEnough ? 'Deep enough' : `${judged.wantingMm} mm too shallow: it breaks out, or breaks off`}
            </>
          )}
        </Box>
      </Box>
    </Section>
  );
}
