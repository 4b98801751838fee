'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { MouseEvent } from 'react';
import type { Missing, Ready } from '@/core/prove/ready';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf } from '@/ui/format';
import { goToLine } from '@/ui/goToLine';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import { onStageClick, stageHref } from '../workshop/stageLink';
import { useStageLabel } from '../workshop/declared';
import type { StageProps } from '../workshop/WorkshopProvider';
import { MissingRow } from './Answer';
import { missingGroups } from './missingGroups';

/** The line of what stands in the way. */
const OPEN_LINE = 'stands-open';

/** So many of one stage are shown at once; the rest a press away. */
const SHOWN = 4;

function Items({ items, send }: { items: Missing[] } & Pick<StageProps, 'send'>) {
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {items.map((item) => (
        <MissingRow key={`${item.kind} ${item.id}`} item={item} send={send} />
      ))}
    </Box>
  );
}

function Groups({ items, bicycleId, send }: { items: Missing[]; bicycleId: string } & Pick<StageProps, 'send'>) {
  const stageLabel = useStageLabel();
  return missingGroups(items).map(({ stage, items: own }) => (
    <Box
      key={stage}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '118px minmax(0, 1fr)' },
        columnGap: 2,
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
      }}
    >
      <Box sx={{ pt: 0.4 }}>
        {stage === 'prove' ? (
          <b>{stageLabel(stage)}</b>
        ) : (
          <Box
            component="a"
            href={stageHref(bicycleId, stage)}
            onClick={onStageClick(bicycleId, stage)}
            sx={{ color: 'primary.main', fontWeight: 640 }}
          >
            {stageLabel(stage)}
          </Box>
        )}{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {own.length}
        </Box>
      </Box>
      <Box>
        <Items items={own.slice(0, SHOWN)} send={send} />
        {own.length > SHOWN && (
          <Disclosure summary={<>and {own.length - SHOWN} more</>}>
            <Items items={own.slice(SHOWN)} send={send} />
          </Disclosure>
        )}
      </Box>
    </Box>
  ));
}

/** Ready, not ready, or ready once: a proof grows old. */
function standingWords(ready: Ready): string {
  if (ready.ready) return 'Ready, as far as it was signed';
  const old = ready.missing.every((item) => !item.blocks || item.kind === 'aged');
  return old && ready.provedOn ? `Was ready on ${dayOf(ready.provedOn)}` : 'Not ready';
}

/** What the law says, in a place of its own size: nothing below it moves when it arrives. */
export function Standing({ ready }: { ready: Ready | null }) {
  const blocking = ready?.missing.filter((item) => item.blocks) ?? [];
  const state = ready?.ready ? 'fine' : 'unsafe';
  const [first] = blocking;
  return (
    <Box role="status" sx={{ minHeight: 112 }}>
      {ready === null ? (
        <Box sx={{ fontSize: '1.8rem', fontWeight: 680, color: 'text.secondary' }}>Calculating…</Box>
      ) : (
        <>
          <Box
            sx={{
              fontSize: '1.8rem',
              fontWeight: 680,
              display: 'flex',
              gap: 1.5,
              alignItems: 'center',
              color: stateColour(state),
            }}
          >
            <StateMark state={state} word={false} size={32} />
            {standingWords(ready)}
          </Box>
          {first && (
            <Box
              sx={{
                mt: 0.5,
                display: '-webkit-box',
                WebkitLineClamp: 2,
                WebkitBoxOrient: 'vertical',
                overflow: 'hidden',
              }}
            >
              {blocking.length === 1 ? 'One thing stands in the way' : `${blocking.length} things stand in the way`};
              first: <b>{first.words}</b>.{' '}
              <Box
                component="a"
                href={`#${OPEN_LINE}`}
                onClick={(event: MouseEvent) => {
                  event.preventDefault();
                  goToLine(OPEN_LINE);
                }}
                sx={{ color: 'primary.main', fontWeight: 640, whiteSpace: 'nowrap' }}
              >
                See all
              </Box>
            </Box>
          )}
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem', mt: 0.5 }}>
            It counts what people have signed; it certifies nothing.
          </Box>
        </>
      )}
    </Box>
  );
}

/** What stands in the way and what is asked besides, by where it is put right. */
export function WhatStandsOpen({
  ready,
  bicycleId,
  send,
}: { ready: Ready; bicycleId: string } & Pick<StageProps, 'send'>) {
  const blocking = ready.missing.filter((item) => item.blocks);
  const others = ready.missing.filter((item) => !item.blocks);
  return (
    <Box id={OPEN_LINE} tabIndex={-1} sx={{ mt: 4 }}>
      <Section
        title="What stands in the way"
        aside={blocking.length === 0 ? 'nothing' : blocking.length === 1 ? 'one thing' : `${blocking.length} things`}
      >
        {blocking.length > 0 && <Groups items={blocking} bicycleId={bicycleId} send={send} />}
        {others.length > 0 && (
          <Disclosure summary={<>{others.length} more to ask about, which do not stand in the way</>}>
            <Groups items={others} bicycleId={bicycleId} send={send} />
          </Disclosure>
        )}
        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
          Carbon, cracks, unknown repairs and electric drives go to a qualified person.
        </Typography>
      </Section>
    </Box>
  );
}
