import { icon } from './icons';

/** Signs that a single view or two have, so that every other need not bring them. */
export const ChevronUp = icon('M6 15l6-6 6 6');
export const ArrowLeft = icon('M20 12H4.5M11 5.5L4.5 12l6.5 6.5');
export const ArrowUp = icon('M12 20V4.5M5.5 11L12 4.5l6.5 6.5');
export const ArrowDown = icon('M12 4v15.5M5.5 13l6.5 6.5 6.5-6.5');
export const Plus = icon('M12 5v14M5 12h14');
export const Minus = icon('M5 12h14');
export const Tick = icon('M4.5 12.5l5 5L19.5 7');
export const Find = icon('M10.5 4.5a6 6 0 1 0 0 12 6 6 0 1 0 0-12zM15 15l5 5');
export const Closer = icon('M10.5 4.5a6 6 0 1 0 0 12 6 6 0 1 0 0-12zM15 15l5 5M10.5 8v5M8 10.5h5');
export const Farther = icon('M10.5 4.5a6 6 0 1 0 0 12 6 6 0 1 0 0-12zM15 15l5 5M8 10.5h5');
export const PutAway = icon('M3.5 4.5h17V9h-17zM5.5 9v10.5h13V9M12 11.5v5M9.5 14.5l2.5 2.5 2.5-2.5');
export const BringBack = icon('M3.5 4.5h17V9h-17zM5.5 9v10.5h13V9M12 17v-5M9.5 14l2.5-2.5 2.5 2.5');
export const SaveFile = icon('M12 4v11M7.5 11l4.5 4.5 4.5-4.5M4.5 16v4h15v-4');
export const TurnRight = icon('M18.5 9A7 7 0 1 0 19 14M19 4.5V9.5h-5');
export const TurnLeft = icon('M5.5 9A7 7 0 1 1 5 14M5 4.5v5h5');
export const Camera = icon('M3.5 7.5h4l1.5-2.5h6l1.5 2.5h4v11.5h-17zM12 9.5a3.5 3.5 0 1 0 0 7 3.5 3.5 0 1 0 0-7z');
export const Hold = icon('M8.5 5.5v13M15.5 5.5v13');
export const Microphone = icon(
  'M12 4a2.5 2.5 0 0 0-2.5 2.5v5a2.5 2.5 0 0 0 5 0v-5A2.5 2.5 0 0 0 12 4zM6.5 11.5a5.5 5.5 0 0 0 11 0M12 17v3',
);
export const Grip = icon('M6 9.5h12M6 14.5h12');
export const Clock = icon('M12 4a8 8 0 1 0 0 16 8 8 0 1 0 0-16zM12 7.5V12l3.5 2');
