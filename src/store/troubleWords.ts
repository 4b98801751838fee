export const NOT_WRITTEN =
  'The browser would not write the last change. It is kept in this tab: free some space, then try again.';
export const CANNOT_BE_KEPT =
  'That change cannot be kept as it stands, and what was saved stays. Look at the field again.';
