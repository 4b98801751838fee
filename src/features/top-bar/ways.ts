import CalendarMonthOutlined from '@mui/icons-material/CalendarMonthOutlined';
import HandymanOutlined from '@mui/icons-material/HandymanOutlined';
import Inventory2Outlined from '@mui/icons-material/Inventory2Outlined';
import MenuBookOutlined from '@mui/icons-material/MenuBookOutlined';
import TuneOutlined from '@mui/icons-material/TuneOutlined';
import RuleOutlined from '@mui/icons-material/RuleOutlined';

/** Pages that are reached from the top edge of every other. */
export const WAYS = [
  { href: '/plan', label: 'Plan: what now, and when it is done', title: 'Plan', Icon: CalendarMonthOutlined },
  {
    href: '/practice',
    label: 'Practice room: set a bearing by feel',
    title: 'Practice room',

    Icon: TuneOutlined,
  },
  { href: '/stock', label: 'The drawer: parts in stock', title: 'The drawer', Icon: HandymanOutlined },
  { href: '/books', label: 'Books: what each bicycle earned', title: 'Books', Icon: MenuBookOutlined },
  {
    href: '/records',
    label: 'Records: export, import, send',
    title: 'Records',

    Icon: Inventory2Outlined,
  },
  { href: '/settings', label: 'House rules', title: 'House rules', Icon: RuleOutlined },
] as const;
