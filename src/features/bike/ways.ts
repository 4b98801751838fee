import HandymanOutlined from '@mui/icons-material/HandymanOutlined';
import Inventory2Outlined from '@mui/icons-material/Inventory2Outlined';
import RuleOutlined from '@mui/icons-material/RuleOutlined';

/** Pages that are reached from the top edge of every other. */
export const WAYS = [
  { href: '/stock', label: 'The drawer: parts in stock', title: 'The drawer', Icon: HandymanOutlined },
  { href: '/records', label: 'Records: export, import, send', title: 'Records', Icon: Inventory2Outlined },
  { href: '/settings', label: 'House rules', title: 'House rules', Icon: RuleOutlined },
] as const;
