import SvgIcon, { type SvgIconProps } from '@mui/material/SvgIcon';

/** Signs in the pen of the drawing: one line, round ends, on a sheet of 24 by 24. */
export const icon = (path: string) =>
  function LineIcon(props: SvgIconProps) {
    return (
      <SvgIcon {...props}>
        <path
          d={path}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.7}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </SvgIcon>
    );
  };

export const Caliper = icon('M2.5 5.5h19v3.5h-19zM4.5 9v9.5l3-4.5V9M13 9v5l3 4.5V9M10.5 5.5V7M18.5 5.5V7');
export const DayRuler = icon('M3 4.5h18M6 4.5V7M12 4.5V7M18 4.5V7M4 11h7M9 15.5h7M14.5 20h6');
export const Wheel = icon(
  'M12 4a8 8 0 1 0 0 16 8 8 0 1 0 0-16zM12 10a2 2 0 1 0 0 4 2 2 0 1 0 0-4zM12 4v6M5.1 16l5.2-3M18.9 16l-5.2-3',
);
export const Drawer = icon('M3.5 4h17v16h-17zM3.5 12h17M10 8h4M10 16h4');
export const Ledger = icon(
  'M12 6v14M12 6C9.5 4.5 6.5 4.5 3.5 5v14c3-.5 6-.5 8.5 1 2.5-1.5 5.5-1.5 8.5-1V5c-3-.5-6-.5-8.5 1M6.5 9.5h2.5M15 9.5h2.5',
);
export const Sheet = icon('M5.5 3.5h9l4 4v13h-13zM14.5 3.5v4h4M8.5 12h7M8.5 16h7');
export const Rules = icon('M4 6.5h8M4 12.5h8M4 18.5h8M15.5 6l2 2 3.5-4M15.5 18l2 2 3.5-4M16 11l4 4M20 11l-4 4');
export const Close = icon('M6 6l12 12M18 6L6 18');
export const ChevronDown = icon('M6 9.5l6 6 6-6');
export const ChevronRight = icon('M9 6l6 6-6 6');
export const Undo = icon('M8.5 5L4.5 9l4 4M4.5 9h9.5a5 5 0 0 1 0 10H10');
export const Redo = icon('M15.5 5l4 4-4 4M19.5 9H10a5 5 0 0 0 0 10h4');
export const More = icon('M12 5v.6M12 11.7v.6M12 18.4v.6');
export const Lamp = icon(
  'M12 8a4 4 0 1 0 0 8 4 4 0 1 0 0-8zM12 3v2M12 19v2M3 12h2M19 12h2M5.6 5.6L7 7M17 17l1.4 1.4M5.6 18.4L7 17M17 7l1.4-1.4',
);
export const Moon = icon('M19.5 14.5A8 8 0 0 1 9.5 4.5 8 8 0 1 0 19.5 14.5z');
export const BoxOpen = icon('M4 4h16v16H4z');
export const BoxTicked = icon('M4 4h16v16H4zM7.5 12.5l3.2 3.2L16.8 8.5');
