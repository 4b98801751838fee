'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { newsSeen, takePart } from '@/store/share/browserShare';
import { stateColour } from '@/ui/StateMark';
import { stageFrom } from '@/model/stages';
import { useStageLabel } from '../workshop/declared';
import { SHARE_CHANGED, tellShare, useShare } from '../workshop/sharePart';
import { useHand } from '../workshop/useHand';
import { useNow } from '../workshop/useNow';
import { useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { besideBicycles, handsAbout, handsWords, isTrouble, newsWords, partWords } from '../workshop/shareWords';

const LOOKED_MS = 3000;

/** The bicycle that this page is about, and the stage. */
function useWhere(): { bicycle: string | null; stage: string | null } {
  const path = usePathname();
  const query = useSearchParams();
  const isAtOne = path === '/bike' || path === '/bench';
  return { bicycle: isAtOne ? query.get('id') : null, stage: path === '/bike' ? query.get('stage') : null };
}

/** Takes part in the shared folder, where one was chosen, and says in a line how it stands, who is about, and what others changed. */
export function ShareRunner() {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const hand = useHand();
  const { bicycle, stage } = useWhere();
  const [round, setRound] = useState(0);
  const here = useRef<{ name: string; bicycle: string | null; stage: string | null }>(null);
  useEffect(() => {
    here.current = { name: hand.name, bicycle, stage };
  }, [hand.name, bicycle, stage]);
  useEffect(() => {
    const again = () => setRound((was) => was + 1);
    window.addEventListener(SHARE_CHANGED, again);
    return () => window.removeEventListener(SHARE_CHANGED, again);
  }, []);
  useEffect(
    () =>
      takePart(
        name,
        workshop,
        () => here.current,
        (told) => tellShare(told, besideBicycles(told, Date.now())),
      ),
    [name, workshop, round],
  );
  return <ShareLine bicycle={bicycle} />;
}

/** The line under the top edge: always there where there is a folder. */
function ShareLine({ bicycle }: { bicycle: string | null }) {
  const share = useShare();
  const nowMs = useNow(20_000).getTime();
  const stageLabel = useStageLabel();
  const summaries = useWorkshopState((state) => state.summaries);
  const isNews = bicycle !== null && share?.news[bicycle] !== undefined;
  useEffect(() => {
    if (!isNews) return;
    const since = Date.now();
    // Who had it before their eyes has looked.
    return () => void (Date.now() - since > LOOKED_MS && newsSeen(bicycle));
  }, [isNews, bicycle]);
  if (!share || share.part.is === 'none') return null;
  const { part, hands, questions, hasOthers } = share;
  const about = handsAbout(hands, nowMs);
  const here = bicycle === null ? [] : about.filter((hand) => hand.bicycle === bicycle);
  const changed = bicycle === null ? undefined : share.news[bicycle];
  const others = about.filter((hand) => !here.includes(hand));
  return (
    <Box
      component="aside"
      aria-label="Shared folder"
      className="no-print"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2.5,
        alignItems: 'center',
        px: { xs: 2, md: 3 },
        minHeight: 30,
        // In sight also where the page is scrolled.
        position: 'sticky',
        top: 0,
        zIndex: 'appBar',
        fontSize: '0.88rem',
        color: 'text.secondary',
        borderBottom: '1px solid',
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Box role="status">
        <Box
          component={Link}
          href="/records#folder"
          prefetch={false}
          sx={{
            py: 0.5,
            color: isTrouble(part) ? stateColour('unsafe') : 'inherit',
            fontWeight: isTrouble(part) ? 640 : 400,
            textDecoration: 'none',
            '&:hover': { textDecoration: 'underline' },
          }}
        >
          {partWords(part)}
          {hasOthers && '; some of it is sealed with another passphrase'}
        </Box>
      </Box>
      {questions.length > 0 && (
        <Box component={Link} href="/records#folder" prefetch={false} sx={{ color: 'primary.main', fontWeight: 640 }}>
          {questions.length === 1 ? 'One thing differs: choose' : `${questions.length} things differ: choose`}
        </Box>
      )}
      {here.length > 0 && <Box sx={{ color: 'text.primary', fontWeight: 620 }}>{handsWords(here, nowMs)}</Box>}
      {others.length > 0 && (
        <Box sx={{ display: { xs: bicycle === null ? 'block' : 'none', md: 'block' } }}>
          {others
            .map(({ name, bicycle: at, stage, device }) => {
              const where = at
                ? [summaries[at]?.name, stage && stageLabel(stageFrom(stage))].filter(Boolean).join(', ')
                : '';
              return `${name} (${device})${where && `: ${where}`}`;
            })
            .join('; ')}
        </Box>
      )}
      {changed && bicycle !== null && (
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            color: 'text.primary',
            flexBasis: { xs: '100%', md: 'auto' },
          }}
        >
          <span>{newsWords(changed)}</span>
          <Button
            size="small"
            color="inherit"
            onClick={() => {
              void newsSeen(bicycle);
              const news = Object.fromEntries(Object.entries(share.news).filter(([id]) => id !== bicycle));
              tellShare({ ...share, news }, besideBicycles({ ...share, news }, nowMs));
            }}
          >
            Seen
          </Button>
        </Box>
      )}
    </Box>
  );
}
