import { DayRuler, Drawer, Ledger, Rules, Sheet, Wheel } from '@/ui/icons';

/** Pages that are reached from the top edge of every other. */
export const WAYS = [
  { href: '/plan', label: 'Plan: what now, and when it is done', title: 'Plan', Icon: DayRuler },
  {
    href: '/practice',
    label: 'Practice room: set a bearing by feel',
    title: 'Practice room',

    Icon: Wheel,
  },
  { href: '/stock', label: 'The drawer: parts in stock', title: 'The drawer', Icon: Drawer },
  { href: '/books', label: 'Books: what each bicycle earned', title: 'Books', Icon: Ledger },
  {
    href: '/records',
    label: 'Records: export, import, send',
    title: 'Records',

    Icon: Sheet,
  },
  { href: '/settings', label: 'House rules', title: 'House rules', Icon: Rules },
] as const;
