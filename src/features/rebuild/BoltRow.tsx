'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import type { BoltTrouble } from '@/core/prove/boltTroubles';
import type { Bolt } from '@/core/rebuild/bolts';
import type { TorqueJudgement } from '@/core/rebuild/judgeTorque';
import type { Fastener, Signature } from '@/model/rebuild/part';
import { nowIso } from '@/store/now';
import { ReadingField } from '@/ui/ReadingField';
import { stateColour, StateMark } from '@/ui/StateMark';
import { signBolt } from '../prove/signing';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { InTheRound } from './InTheRound';
import { OwnFigure } from './OwnFigure';

const HANDS = {
  right: 'right-hand thread',
  left: 'LEFT-hand thread',
  none: 'no thread',
  unknown: 'identify its thread first',
} as const;

/** What the law still asks of a bolt that is signed; the rest is told by its figure. */
const TROUBLE_WORDS: Partial<Record<BoltTrouble, string>> = {
  'part-out': 'its part is not back in',
  reopened: 'worked on since: sign it again',
  'wrench-asked': 'the wrench is asked for here',
  'hold-test': 'its hold was not tried',
  'second-eyes': 'another person signs it too',
};

function judgementWords(judgement: TorqueJudgement, row: Signature): string {
  switch (judgement) {
    case 'within':
      return `${row.valueNm} N·m by wrench, within its band`;
    case 'under':
      return `${row.valueNm} N·m is under its band: tighten it`;
    case 'over':
      return `${row.valueNm} N·m is over its band: slacken it and look at the thread`;
    case 'by feel':
      return 'signed by feel';
    case 'no figure':
      return `${row.valueNm} N·m, and no figure to hold it against`;
  }
}

function Band({ bolt }: { bolt: Bolt }) {
  if (bolt.torqueMinNm === null || bolt.torqueMaxNm === null)
    return <Box sx={{ fontSize: '0.92rem' }}>{bolt.feel ?? 'By feel'}</Box>;
  return (
    <Box sx={{ whiteSpace: 'nowrap' }}>
      <Box component="span" sx={{ fontSize: '1.5rem', fontWeight: 660 }}>
        {bolt.torqueMinNm === bolt.torqueMaxNm ? bolt.torqueMinNm : `${bolt.torqueMinNm}–${bolt.torqueMaxNm}`}
      </Box>{' '}
      N·m
    </Box>
  );
}

/** The size that is really there, where several are met. */
function SizeMenu({ send, bolt }: Pick<StageProps, 'send'> & { bolt: Bolt }) {
  const known = bolt.size === null || bolt.sizes.includes(bolt.size) ? bolt.sizes : [...bolt.sizes, bolt.size];
  return (
    <TextField
      select
      size="small"
      variant="standard"
      value={bolt.size ?? ''}
      onChange={(event) => send({ type: 'sizeBolt', bolt: bolt.id, place: bolt.place, size: event.target.value })}
      slotProps={{ htmlInput: { 'aria-label': `Size: ${bolt.label}` } }}
      sx={{ ml: 0.5, '& .MuiSelect-select': { minHeight: 32, display: 'inline-flex', alignItems: 'center' } }}
    >
      {known.map((size) => (
        <MenuItem key={size} value={size} sx={{ minHeight: 48 }}>
          {size}
        </MenuItem>
      ))}
    </TextField>
  );
}

export interface BoltRowProps extends Pick<StageProps, 'send'> {
  /** Its number, in the list and on the drawing. */
  number: number;
  bolt: Bolt;
  signed: { judgement: TorqueJudgement; row: Signature } | undefined;
  /** What was chosen of it, where that is not the usual. */
  fastener: Fastener | undefined;
  /** What the law still asks of it. */
  open: [BoltTrouble, string][];
}

/** A change of the bicycle draws anew only the bolts that it is about. */
const sameRow = (a: BoltRowProps, b: BoltRowProps) =>
  a.send === b.send &&
  a.bolt === b.bolt &&
  a.fastener === b.fastener &&
  a.number === b.number &&
  a.signed?.row === b.signed?.row &&
  a.signed?.judgement === b.signed?.judgement &&
  String(a.open) === String(b.open);

/** One bolt: what it is, its figure, what signs it, and what the law still asks of it. */
export const BoltRow = memo(function BoltRow({ send, number, bolt, signed, fastener, open }: BoltRowProps) {
  const { name } = useHand();
  const sign = (valueNm: number | null) => send(signBolt(bolt.id, valueNm, name, false));
  const state =
    open.length === 0 ? 'fine' : signed?.judgement === 'under' || signed?.judgement === 'over' ? 'unsafe' : 'watch';
  return (
    <Box
      component="li"
      sx={{
        py: 1.5,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 138px 238px' },
        gap: { xs: 1, sm: 2 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 500, mr: 0.75 }}>
            {number}
          </Box>
          {bolt.label}{' '}
          {bolt.sizes.length > 0 ? (
            <SizeMenu send={send} bolt={bolt} />
          ) : (
            bolt.size && (
              <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                {bolt.size}
              </Box>
            )
          )}
        </Box>
        <Box sx={{ fontSize: '0.92rem' }}>
          <b>{bolt.preparation}</b>,{' '}
          <Box component="span" sx={{ fontWeight: bolt.hand === 'left' ? 700 : 400 }}>
            {HANDS[bolt.hand]}
          </Box>
          , {bolt.tool}
        </Box>
        {signed && (
          <Box
            sx={{
              fontSize: '0.92rem',
              mt: 0.5,
              color: stateColour(state),
              fontWeight: 600,
            }}
          >
            <StateMark state={state} word={false} size={16} /> {judgementWords(signed.judgement, signed.row)}
            {signed.row.holdTest && ', its hold tried'}
            {signed.row.what === 'checked' && ', checked'}
            {signed.row.foundLoose && ', was found loose'}
            {signed.row.by && `, ${signed.row.by}`}
            {open.map(([kind]) =>
              TROUBLE_WORDS[kind] ? (
                <Box key={kind} component="span" sx={{ color: 'text.primary', fontWeight: 400 }}>
                  ; {TROUBLE_WORDS[kind]}
                </Box>
              ) : null,
            )}
          </Box>
        )}
        {signed?.judgement === 'by feel' && !signed.row.holdTest && (
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', mt: 0.5, flexWrap: 'wrap' }}>
            <Box sx={{ flex: 1, minWidth: 220, fontSize: '0.92rem' }}>{bolt.holdTest}</Box>
            <Button
              variant="outlined"
              aria-label={`It holds: ${bolt.label}`}
              onClick={() =>
                send({
                  type: 'signBolt',
                  signature: { ...signed.row, holdTest: true, by: name, at: nowIso() },
                })
              }
            >
              It holds
            </Button>
          </Box>
        )}
      </Box>
      <Box>
        <Band bolt={bolt} />
        <Box sx={{ fontSize: '0.78rem', color: 'text.secondary' }}>
          {bolt.ownFigure ? 'its own figure, ' : ''}
          {bolt.safetyCritical ? 'holds the rider' : 'not safety-critical'}
          {bolt.confidence === 'low' && ', figure uncertain'}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'start' }}>
        {bolt.torqueMaxNm !== null && (
          <ReadingField
            label="Torque reading"
            kind="number"
            unit="N·m"
            keepEmpty={false}
            value={signed?.row.valueNm ?? null}
            width={140}
            onCommit={(valueNm) => sign(valueNm)}
            refuse={(v) => (v <= 0 || v > 300 ? 'no bolt here takes that' : null)}
          />
        )}
        <Button
          variant={signed?.row.how === 'feel' ? 'contained' : 'outlined'}
          aria-pressed={signed?.row.how === 'feel'}
          aria-label={`Sign by feel: ${bolt.label}`}
          onClick={() =>
            signed?.row.how === 'feel' ? send({ type: 'unsignBolt', signature: signed.row.id }) : sign(null)
          }
        >
          By feel
        </Button>
      </Box>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        {signed && <InTheRound send={send} bolt={bolt} row={signed.row} />}
        <OwnFigure send={send} bolt={bolt} fastener={fastener} />
      </Box>
      {bolt.notes && (
        <Box sx={{ gridColumn: '1 / -1', fontSize: '0.88rem', color: 'text.secondary', mt: { xs: 0, sm: -1 } }}>
          {bolt.notes}.
        </Box>
      )}
    </Box>
  );
}, sameRow);
