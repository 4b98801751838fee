/** Kinds of work that hours are learnt by. */
export const WORK_KINDS = [
  'wheels',
  'hubs',
  'headset',
  'bottom bracket',
  'brakes',
  'drive',
  'tyres',
  'frame',
  'the rest',
] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

const OF: readonly [RegExp, WorkKind][] = [
  [/^(rim|spokes)\./, 'wheels'],
  [/^(hub|axle)\./, 'hubs'],
  [/^headset/, 'headset'],
  [/^(bottom-bracket|crank\.)/, 'bottom bracket'],
  [/^(brake|brake-lever|pads|disc)\.|^cables\.brake/, 'brakes'],
  [/^(derailleur|shifter)\.|^(chain|chainrings|cogs|freehub|pulleys|hanger|cables\.gear|pedal)/, 'drive'],
  [/^tyre\./, 'tyres'],
  [/^(frame|fork|stem|bars|seat-post|saddle|mudguards|rack|linkage)/, 'frame'],
];

/** The kind of work of a job, by its place. Example: `rim.rear` → wheels. */
export const kindOfPlace = (place: string): WorkKind => OF.find(([pattern]) => pattern.test(place))?.[1] ?? 'the rest';
