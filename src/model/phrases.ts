/** How fields are called in the words of a change, where their name says too little. */
const READABLE: Record<string, string> = {
  asking: 'asked',
  resale: 'what it may fetch',
  otherCosts: 'travel and other costs',
  target: 'what is wanted',
  confidence: 'how sure to be',
  beadSeatMm: 'wheel size',
  tyreWidthMm: 'tyre width',
};

/** A figure without a tail of noughts. Example: 0.30000000000000004 → "0.3". */
export function figure(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

/** Money without its currency. Example: 12050 → "120.50", 12000 → "120". */
export function amount(minor: number): string {
  return minor % 100 === 0 ? String(minor / 100) : (minor / 100).toFixed(2);
}

/** An id as words: the tables that hold the labels are too heavy for every page. Example: "hub-front" → "hub front". */
export function plain(id: string): string {
  return id.replaceAll('-', ' ');
}

/** A part by its id. Example: "lock-nut.left" → "lock nut, left". */
export function partPhrase(id: string): string {
  return plain(id).replace('.', ', ');
}

/** Which fields were changed. Example: `{ tyreWidthMm: 32 }` → "tyre width". */
export function fieldNames(changes: object): string {
  return Object.keys(changes)
    .map((key) => READABLE[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase())
    .join(', ');
}
