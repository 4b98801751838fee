/** Where a spoke broke tells why. */
export const BROKE_AT = ['elbow', 'thread', 'middle', 'unknown'] as const;
