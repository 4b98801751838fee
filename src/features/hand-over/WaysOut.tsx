'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Ready } from '@/core/prove/ready';
import { condemned, lastWayOut, outWords } from '@/model/prove/proving';
import type { WayOut } from '@/model/prove/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { dayOf } from '@/ui/format';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import { TextInput } from '@/ui/TextInput';
import { onStageClick, stageHref } from '../workshop/stageLink';
import { AtTheBench } from '../prove/AtTheBench';
import { OpenList } from '../prove/OpenList';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { OutLabel } from './OutLabel';
import { WAY_WORDS } from './wayWords';

type Way = WayOut['way'];

const WAYS: { id: Way; label: string; words: string }[] = [
  { id: 'ready', label: 'Ready', words: 'The law asks, a person signs. It may be ridden away.' },
  {
    id: 'as-it-is',
    label: 'As it is',
    words:
      'For spares, for a project, or for somebody who declines the work. Not roadworthy, not to be ridden: what stands open goes with it in writing.',
  },
  {
    id: 'parts',
    label: 'For its parts',
    words: 'It does not go on as a bicycle. A cracked frame, fork, bar or stem is marked or cut, and never sold on.',
  },
];

/** It has gone out: how, when, to whom; and the way back where that was a mistake. */
function Gone({ bicycle, send, out }: StageProps & { out: WayOut }) {
  const { name } = useSettings();
  const [label, setLabel] = useState(false);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
      <StateMark state={out.way === 'ready' ? 'fine' : 'replace'} word={false} size={24} />
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <b>{WAY_WORDS[out.way].went}</b> on {dayOf(out.at)}
        {out.to && `, to ${out.to}`}
        {out.packed && ', packed for carriage'}
        {out.by && `; signed ${out.by}`}.{out.toldOn && ` Told what stands open on ${dayOf(out.toldOn)}.`}
      </Box>
      <Button variant="outlined" color="inherit" onClick={() => setLabel(true)}>
        Its label
      </Button>
      {label && <OutLabel name={bicycle.name} workshop={name} out={out} onClose={() => setLabel(false)} />}
      <Button
        color="inherit"
        onClick={() => send({ type: 'comeBack', wayOut: out.id })}
        aria-label={`${bicycle.name} has not gone out`}
      >
        It has not gone out
      </Button>
    </Box>
  );
}

/** The three ways out. Only the first asks the law; none of them detains a bicycle. */
export function WaysOut({
  bicycle,
  send,
  ready,
  findings,
}: StageProps & { ready: Ready | null; findings: LookOver['findings'] | null }) {
  const out = lastWayOut(bicycle);
  const today = useToday();
  const { name } = useHand();
  const [way, setWay] = useState<Way>('ready');
  const [to, setTo] = useState('');
  const [told, setTold] = useState(false);
  const [packed, setPacked] = useState(false);
  const [marked, setMarked] = useState(false);
  const cut = condemned(findings ?? []);
  const blocking = ready?.missing.filter((item) => item.blocks) ?? [];
  // Nothing goes out before it is known what stands open, and what is condemned.
  const known = ready !== null && findings !== null;
  const said = way === 'parts' ? cut.length === 0 || marked : told;
  const mayGo = known && (way === 'ready' ? ready.ready : to.trim() !== '' && said);
  const go = () => {
    send({
      type: 'goOut',
      wayOut: {
        id: newId(),
        way,
        at: nowIso(),
        by: name,
        to: to.trim(),
        toldOn: way === 'as-it-is' ? today : null,
        words: outWords(way, blocking, cut),
        packed: way === 'ready' && packed,
      },
    });
  };
  if (out)
    return (
      <Section title="How it went out">
        <Gone bicycle={bicycle} send={send} out={out} />
      </Section>
    );
  return (
    <Section title="How it goes out" aside={<AtTheBench />}>
      <Choices label="How it goes out" hideLabel options={WAYS} value={way} onChoose={(next) => setWay(next)} />
      <Typography sx={{ mt: 1, maxWidth: '62ch' }}>{WAYS.find((each) => each.id === way)!.words}</Typography>
      {way === 'ready' && ready && !ready.ready && (
        <Box sx={{ mt: 1, color: stateColour('unsafe'), fontWeight: 620 }}>
          Not ready: {blocking.length === 1 ? 'one thing stands' : `${blocking.length} things stand`} in the way.{' '}
          <Box
            component="a"
            href={stageHref(bicycle.id, 'prove')}
            onClick={onStageClick(bicycle.id, 'prove')}
            sx={{ color: 'primary.main' }}
          >
            Prove
          </Box>
        </Box>
      )}
      {way === 'as-it-is' && blocking.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          <b>Not roadworthy, not to be ridden.</b> What stands open and goes with it in writing:
          <Box sx={{ mt: 0.5, fontSize: '0.94rem' }}>
            <OpenList items={blocking} />
          </Box>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextInput
          label={way === 'ready' ? 'Who takes it (may stay empty)' : 'Who takes it'}
          value={to}
          onChange={(event) => setTo(event.target.value.slice(0, 200))}
          sx={{ minWidth: 260 }}
        />
        {way === 'as-it-is' && (
          <FormControlLabel
            control={<Checkbox checked={told} onChange={(event) => setTold(event.target.checked)} />}
            label="They were told what stands open, today"
          />
        )}
        {way === 'parts' && cut.length > 0 && (
          <FormControlLabel
            control={<Checkbox checked={marked} onChange={(event) => setMarked(event.target.checked)} />}
            label={`Marked or cut, never sold on: ${cut.join(', ')}`}
          />
        )}
        {way === 'ready' && (
          <FormControlLabel
            control={<Checkbox checked={packed} onChange={(event) => setPacked(event.target.checked)} />}
            label="Packed for carriage"
          />
        )}
        <Button variant="contained" disabled={!mayGo} onClick={go}>
          {WAY_WORDS[way].goes}
        </Button>
      </Box>
    </Section>
  );
}
