'use client';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { hours } from '@/ui/format';

/** Starts and stops the clock, and corrects what was put down. */
export function ClockMenu({
  anchor,
  runMinutes,
  paused,
  corrections,
  stageLabel,
  onClose,
  onStart,
  onStop,
  onPause,
  onResume,
  onCorrect,
  onPutDown,
}: {
  anchor: HTMLElement;
  /** How long it has been running; null while it stands. */
  runMinutes: number | null;
  /** It stands still for now. */
  paused: boolean;
  /** Minutes more or less that can be put down here. */
  corrections: readonly number[];
  stageLabel: string;
  onClose(): void;
  onStart(): void;
  onStop(): void;
  onPause(): void;
  onResume(): void;
  /** Time that was worked away from the screen. */
  onPutDown(): void;
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
        [
          <MenuItem key="pause" onClick={then(paused ? onResume : onPause)}>
            {paused ? 'Go on' : 'Pause the clock'}
          </MenuItem>,
          <MenuItem key="stop" onClick={then(onStop)}>
            Stop the clock at {hours(Math.floor(runMinutes))}
          </MenuItem>,
        ]
      )}
      <MenuItem onClick={then(onPutDown)}>Log time…</MenuItem>
      {corrections.map((by) => (
        <MenuItem key={by} onClick={then(() => onCorrect(by))}>
          {by > 0 ? `${by} min more` : `${-by} min less`} on {stageLabel}
        </MenuItem>
      ))}
    </Menu>
  );
}
