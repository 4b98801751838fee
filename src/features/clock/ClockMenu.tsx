'use client';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { hours } from '@/ui/format';

/** Starts and stops the clock, and corrects what was put down. */
export function ClockMenu({
  anchor,
  runMinutes,
  corrections,
  stageLabel,
  onClose,
  onStart,
  onStop,
  onCorrect,
}: {
  anchor: HTMLElement;
  /** How long it has been running; null while it stands. */
  runMinutes: number | null;
  /** Minutes more or less that can be put down here. */
  corrections: readonly number[];
  stageLabel: string;
  onClose(): void;
  onStart(): void;
  onStop(): void;
  onCorrect(by: number): void;
}) {
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <Menu
      anchorEl={anchor}
      open
      onClose={onClose}
      disablePortal
      // Beside the button and not over it: a second tap must not put time down.
      anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
    >
      {runMinutes === null ? (
        <MenuItem onClick={then(onStart)}>Start the clock</MenuItem>
      ) : (
        <MenuItem onClick={then(onStop)}>Stop the clock at {hours(Math.floor(runMinutes))}</MenuItem>
      )}
      {corrections.map((by) => (
        <MenuItem key={by} onClick={then(() => onCorrect(by))}>
          {by > 0 ? `${by} min more` : `${-by} min less`} on {stageLabel}
        </MenuItem>
      ))}
    </Menu>
  );
}
