/** Places whose parts have to work together with the rest of the drive. */
export const DRIVE_PLACES: readonly string[] = [
  'derailleur.rear',
  'shifter.left',
  'shifter.right',
  'cogs',
  'chainrings',
  'chain',
  'freehub',
];
