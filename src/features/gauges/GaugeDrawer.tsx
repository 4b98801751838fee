'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Close } from '@/ui/icons';
import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Match, MatchInput } from '@/core/identify/match';
import { kindFrom, PLACES_OF } from '@/core/identify/ontoRecord';
import { READINGS, type IdentifyKind, type ReadingField as FieldOf } from '@/core/identify/readings';
import { stateOf } from '@/core/vocabulary/verdicts';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { percent } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { AskTogether } from '../workshop/AskTogether';
import { useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { TableSearch } from './TableSearch';

const KIND_WORDS: Record<IdentifyKind, string> = {
  'bottom-bracket': 'Bottom bracket',
  headset: 'Headset',
  'hub-axle': 'Hub axle',
  freewheel: 'Freewheel or cog thread',
  pedal: 'Pedal',
  'seat-post': 'Seat post',
  handlebar: 'Handlebar',
  stem: 'Quill',
  'wheel-size': 'Wheel size',
  spoke: 'Spoke',
};
const VERDICTS: Record<Match['verdict'], string> = {
  identified: 'It is',
  ambiguous: 'It may be',
  unknown: 'Nothing in the table is near enough',
};
const SHOWN = 6;

type Readings = MatchInput['readings'];
/** What was measured stays until it is put back in the box, also when the drawer is shut. */
let kept: { kind: IdentifyKind; readings: Readings } = { kind: 'bottom-bracket', readings: {} };

const VIEWS = [
  { id: 'measure', label: 'Measure' },
  { id: 'tables', label: 'Tables' },
] as const;
type View = (typeof VIEWS)[number]['id'];

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function Field({
  field,
  readings,
  asked,
  onRead,
}: {
  field: FieldOf;
  readings: Readings;
  asked: boolean;
  onRead(changes: Readings): void;
}) {
  if ('words' in field) {
    const key = field.field as 'driveHand';
    return (
      <Box sx={{ borderLeft: '3px solid', borderColor: asked ? 'primary.main' : 'transparent', pl: 1.5 }}>
        <Choices
          label={capital(field.label)}
          options={field.words.map((word) => ({ id: word, label: capital(word.replace('-', ' ')) }))}
          value={readings[key] ?? null}
          onChoose={(value) => onRead({ [key]: value } as Readings)}
        />
      </Box>
    );
  }
  const key = field.field as 'diameterMm';
  const pitch = field.field === 'pitchMm';
  return (
    <Box sx={{ borderLeft: '3px solid', borderColor: asked ? 'primary.main' : 'transparent', pl: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label={capital(field.label)}
          kind="number"
          unit="mm"
          width={176}
          large={!pitch}
          value={readings[key] ?? null}
          help={pitch ? undefined : field.how}
          refuse={(value) => (value <= 0 || value > (pitch ? 6 : 1000) ? 'no part measures that' : null)}
          onCommit={(value) => onRead(pitch ? { pitchMm: value, tpi: undefined } : { [key]: value })}
          onClear={() => onRead({ [key]: undefined })}
        />
        {pitch && (
          <ReadingField
            label="or to the inch"
            kind="number"
            unit="tpi"
            width={150}
            value={readings.tpi ?? null}
            refuse={(value) => (value < 4 || value > 80 ? 'four to eighty' : null)}
            onCommit={(tpi) => onRead({ tpi, pitchMm: undefined })}
            onClear={() => onRead({ tpi: undefined })}
          />
        )}
      </Box>
    </Box>
  );
}

function OntoRecord({ kind, readings, found }: { kind: IdentifyKind; readings: Readings; found: Match }) {
  const params = useSearchParams();
  const path = usePathname();
  const workshop = useWorkshop();
  const id = params.get('id') ?? '';
  const bicycle = useWorkshopState((state) => own(state.bicycles, id));
  const [place, setPlace] = useState(PLACES_OF[kind][0]!);
  const [best] = found.candidates;
  if (!bicycle || !best || found.verdict === 'unknown' || !/^\/(bike|bench)/.test(path)) return null;
  const sure = found.verdict === 'identified';
  function put(): void {
    workshop.send(id, {
      type: 'putIdentified',
      identified: {
        id: newId(),
        kind,
        place,
        standard: best!.id,
        name: best!.name,
        readings: Object.fromEntries(Object.entries(readings).filter((each) => each[1] !== undefined)),
        at: nowIso(),
      },
      says: kindFrom(kind, best!.id, { place, readings }, bicycle!.kind),
    });
    workshop.say(`On the record of ${bicycle!.name}: ${best!.name}`);
  }
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 2 }}>
      {PLACES_OF[kind].length > 1 && (
        <TextField
          select
          label="Where"
          value={place}
          onChange={(event) => setPlace(event.target.value)}
          sx={{ minWidth: 150 }}
        >
          {PLACES_OF[kind].map((each) => (
            <MenuItem key={each} value={each}>
              {placeLabel(each)}
            </MenuItem>
          ))}
        </TextField>
      )}
      <Button variant={sure ? 'contained' : 'outlined'} disabled={!sure} sx={{ minHeight: 56 }} onClick={put}>
        Onto {bicycle.name}
      </Button>
      {!sure && <Box sx={{ fontSize: '0.9rem' }}>One more reading first.</Box>}
      <AskTogether place={place} />
    </Box>
  );
}

function Found({ found }: { found: Match }) {
  const [best] = found.candidates;
  const likely = found.candidates.filter((each, i) => i === 0 || each.probability >= 0.005).slice(0, SHOWN);
  return (
    <Box aria-live="polite" sx={{ mt: 2.5 }}>
      <Box sx={{ color: 'text.secondary' }}>
        <StateMark state={stateOf('identify.match', found.verdict)} word={false} size={16} /> {VERDICTS[found.verdict]}
      </Box>
      {found.verdict !== 'unknown' && (
        <Box sx={{ fontSize: '1.7rem', fontWeight: 690, lineHeight: 1.12 }}>{best!.name}</Box>
      )}
      {found.nextReading && (
        <Box sx={{ mt: 1, borderLeft: '3px solid', borderColor: 'primary.main', pl: 1.5 }}>
          <b>Read next:</b> {found.nextReading.why}
        </Box>
      )}
      <Box component="ol" aria-label="What it may be" sx={{ p: 0, m: 0, mt: 1.5, listStyle: 'none' }}>
        {likely.map((each) => (
          <Box
            component="li"
            key={each.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: 'minmax(0, 1fr) 92px 58px',
              gap: 1,
              alignItems: 'center',
              py: 0.5,
            }}
          >
            <Box sx={{ lineHeight: 1.2 }}>
              {each.name}
              {each.misses[0] && each.misses[0].sigmas >= 1 && (
                <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.84rem' }}>
                  {' '}
                  {each.misses[0].read} read, {each.misses[0].expected} there
                </Box>
              )}
            </Box>
            <Box aria-hidden sx={{ height: 10, bgcolor: 'sheet.soft' }}>
              <Box sx={{ height: '100%', width: `${each.probability * 100}%`, bgcolor: 'primary.main' }} />
            </Box>
            <Box sx={{ textAlign: 'right', fontWeight: 640 }}>{percent(each.probability)}</Box>
          </Box>
        ))}
      </Box>
      {found.removal.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          <b>How it comes out</b>
          {found.removal.map((words) => (
            <Box key={words}>{words}</Box>
          ))}
        </Box>
      )}
      {found.warnings.length > 0 && (
        <Box sx={{ mt: 1.5, borderLeft: '3px solid', borderColor: 'text.primary', pl: 1.5 }}>
          {found.warnings.slice(0, 6).map((words) => (
            <Box key={words}>{words}</Box>
          ))}
        </Box>
      )}
      <Working rows={found.working} />
      <Box sx={{ fontSize: '0.84rem', color: 'text.secondary' }}>
        Source: {best!.source}, {best!.confidence} confidence.
      </Box>
    </Box>
  );
}

/** The gauge drawer: what the caliper and the thread gauge say, and what the part then is. */
export function GaugeDrawer({ onClose }: { onClose(): void }) {
  const [{ kind, readings }, setState] = useState(kept);
  const [view, setView] = useState<View>('measure');
  const set = (next: typeof kept) => {
    kept = next;
    setState(next);
  };
  const read = (changes: Readings) => {
    const next = Object.fromEntries(
      Object.entries({ ...readings, ...changes }).filter(([, value]) => value !== undefined),
    ) as Readings;
    set({ kind, readings: next });
  };
  const fields = useRef<HTMLDivElement>(null);
  // A caliper types where the focus is: the first empty reading has it as soon as the drawer is open.
  useEffect(() => {
    const soon = setTimeout(() => {
      const open = [...(fields.current?.querySelectorAll<HTMLInputElement>('input[data-reading]') ?? [])];
      (open.find((field) => field.value === '') ?? open[0])?.focus();
    }, 80);
    return () => clearTimeout(soon);
  }, [kind, view]);
  const some = Object.keys(readings).length > 0;
  const { output: found, errors } = useReckon('identify.match', some ? { kind, readings } : null);
  return (
    <Drawer
      anchor="right"
      open
      onClose={onClose}
      slotProps={{
        paper: {
          'aria-labelledby': 'gauges-title',
          sx: { width: { xs: '100%', sm: 520 }, bgcolor: 'sheet.paper', backgroundImage: 'none' },
        },
      }}
    >
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', mb: 1 }}>
          <Box component="h2" id="gauges-title" sx={{ m: 0, fontSize: '1.4rem', fontWeight: 690 }}>
            What is it?
          </Box>
          <IconButton aria-label="Close the gauge drawer" onClick={onClose} sx={{ width: 56, height: 56, mr: -1.5 }}>
            <Close />
          </IconButton>
        </Box>
        <Choices<View> label="View" hideLabel options={VIEWS} value={view} onChoose={setView} />
        {view === 'tables' && <TableSearch />}
        {view === 'measure' && (
          <Box ref={fields} data-readings sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', mb: 2 }}>
              <TextField
                select
                label="Kind of part"
                value={kind}
                onChange={(event) => set({ kind: event.target.value as IdentifyKind, readings: {} })}
                sx={{ flex: 1 }}
              >
                {(Object.keys(READINGS) as IdentifyKind[]).map((each) => (
                  <MenuItem key={each} value={each}>
                    {KIND_WORDS[each]}
                  </MenuItem>
                ))}
              </TextField>
              <Button
                color="inherit"
                disabled={!some}
                onClick={() => set({ kind, readings: {} })}
                sx={{ minHeight: 56 }}
              >
                Start again
              </Button>
            </Box>
            <Box key={kind} sx={{ display: 'grid', gap: 2 }}>
              {READINGS[kind].map((field) => (
                <Field
                  key={field.field}
                  field={field}
                  readings={readings}
                  asked={found?.nextReading?.field === field.field}
                  onRead={read}
                />
              ))}
            </Box>
            {errors.map((error) => (
              <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
                {error.message}
              </Box>
            ))}
            {!some && (
              <Box sx={{ mt: 2, color: 'text.secondary' }}>
                One reading is enough to begin with; the next is then named.
              </Box>
            )}
            {some && found && <Found found={found} />}
            {some && found && <OntoRecord key={kind} kind={kind} readings={readings} found={found} />}
          </Box>
        )}
      </Box>
    </Drawer>
  );
}
