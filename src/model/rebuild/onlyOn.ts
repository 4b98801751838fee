/** Assemblies of which nothing lies in a tray; each stands for itself. */
export const ONLY_ON = {
  cockpit: { label: 'Bars and levers', place: 'bars' },
  cables: { label: 'Cables and hoses', place: 'cables.brake' },
  'tape-or-grips': { label: 'Tape or grips', place: 'grip.left' },
} as const;
export type OnlyOn = keyof typeof ONLY_ON;
