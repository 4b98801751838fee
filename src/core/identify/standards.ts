import type { IdentifyKind } from './readings';
import {
  bottomBrackets,
  freewheels,
  headsets,
  hubAxles,
  pedals,
  postsAndBars,
  spokes,
  wheelSizes,
} from './data/tables';

/** What a standard says of one reading: the sizes it is met in (and those of its bare shell, measured inside), a word, that it has none (no thread), or nothing known. */
export type Expected = { sizes: number[]; inside?: number[] } | { word: string } | 'none' | 'unknown';

export interface Standard {
  id: string;
  name: string;
  expects: Record<string, Expected>;
  /** Which way it comes out, as seen by who stands there. */
  removal: string[];
  /** What it takes to get it out. */
  tools: string[];
  /** What it must not be mixed with and what is known to go wrong. */
  cautions: string[];
  note: string | null;
  source: string;
  confidence: 'high' | 'medium' | 'low';
}

/** The id of a standard: its name in lower case, whatever is no letter or digit as one hyphen. */
export function idOf(name: string): string {
  return name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
}

const list = (joined: string | null): number[] => (joined === null ? [] : joined.split('|').map(Number));
const sizes = (...values: (number | null)[]): Expected => {
  const known = values.filter((value): value is number => value !== null);
  return known.length ? { sizes: known } : 'unknown';
};
const word = (value: string | null): Expected => (value === null ? 'unknown' : { word: value });
const said = (...words: (string | 0 | null)[]): string[] => words.filter((each): each is string => Boolean(each));

type Row = { name: string; note?: string | null; source: string; confidence: Standard['confidence'] };
function standard(
  row: Row,
  expects: Standard['expects'],
  removal: string[] = [],
  cautions: string[] = said(row.note ?? null),
  tools: string[] = [],
): Standard {
  const { name, source, confidence } = row;
  return { id: idOf(name), name, expects, removal, tools, cautions, note: row.note ?? null, source, confidence };
}

/** A thread's pitch; pressed and plain parts have none. */
const pitch = (row: { pitchMm: number | null; tpi: number | null }): Expected =>
  row.pitchMm === null ? 'none' : { sizes: [row.tpi === null ? row.pitchMm : 25.4 / row.tpi] };

/** Readings that choose a size of one standard and do not make another of it. */
const SIZES_OF_ONE: Partial<Record<IdentifyKind, string[]>> = { 'bottom-bracket': ['shellWidthMm'] };

/** Whether two standards are one answer: read alike but for their sizes, and out in the same way. */
export function interchange(kind: IdentifyKind, a: Standard, b: Standard): boolean {
  const read = ({ expects }: Standard) =>
    JSON.stringify(Object.entries(expects).filter(([field]) => !SIZES_OF_ONE[kind]?.includes(field)));
  return read(a) === read(b) && a.removal.join() === b.removal.join();
}

/** Refuses a table in which two names make one id, since records and links speak of ids. */
export function unclashed(standards: Standard[]): Standard[] {
  const seen = new Map<string, string>();
  for (const { id, name } of standards) {
    if (seen.has(id)) throw new Error(`"${name}" and "${seen.get(id)}" would both be called ${id}`);
    seen.set(id, name);
  }
  return standards;
}

/** Whether an axle of the table is bored through. */
const BORE_OF: Record<string, 'solid' | 'hollow'> = {
  solid: 'solid',
  'heavy solid': 'solid',
  'with flats': 'solid',
  hollow: 'hollow',
};

const posts = (kind: IdentifyKind): Standard[] =>
  postsAndBars
    .filter((row) => row.kind === kind)
    .map((row) =>
      standard(
        row,
        { diameterMm: sizes(row.diameterMm), at: word(row.at) },
        [],
        said(row.caution, row.matesWith && `Goes with: ${row.matesWith}`),
      ),
    );

/** Every standard of every kind, from the tables. */
export const STANDARDS_OF: Record<IdentifyKind, Standard[]> = {
  'bottom-bracket': unclashed(
    bottomBrackets.map((row) =>
      standard(
        row,
        {
          diameterMm: {
            sizes: [row.boreOrMajorDiameterMm],
            ...(row.minorDiameterHintMm !== null && { inside: [row.minorDiameterHintMm] }),
          },
          pitchMm: pitch(row),
          shellWidthMm: sizes(...list(row.shellWidthsMm)),
          driveHand: word(row.driveHand),
        },
        said(row.removalDrive && `Drive side: ${row.removalDrive}`, row.removalLeft && `Left side: ${row.removalLeft}`),
        undefined,
        said(row.driveTool && `Tool, drive side: ${row.driveTool}`, row.leftTool && `Tool, left side: ${row.leftTool}`),
      ),
    ),
  ),
  headset: unclashed(
    headsets.map((row) =>
      standard(
        row,
        {
          steererMm: sizes(row.steererMm),
          pitchMm: pitch(row),
          crownRaceMm: sizes(row.crownRaceMm, row.crownRaceSeatMm),
          headTubeMm: sizes(row.headTubeMm),
        },
        row.cupPressMm === null
          ? ['The bearings lift out by hand; nothing is pressed in']
          : [
              row.kind === 'threaded'
                ? 'Locknut, then the adjustable cup, both anticlockwise from above'
                : 'Top cap and stem off; the fork drops, so hold it',
              'Cups are driven out from the opposite end, evenly, a little at a time; the crown race with a thin blade round and round',
            ],
        said(row.note, row.quillMm && `Takes a ${row.quillMm} mm quill`),
      ),
    ),
  ),
  'hub-axle': unclashed(
    hubAxles.map((row) =>
      standard(
        row,
        {
          diameterMm: sizes(row.diameterMm),
          pitchMm: pitch(row),
          overLocknutMm: sizes(...list(row.overLocknutMm)),
          axle: word(BORE_OF[row.axle] ?? null),
        },
        [],
        undefined,
        said(
          row.coneSpannerMm && `Cone spanner ${row.coneSpannerMm.replace('|', ' to ')} mm`,
          row.locknutSpannerMm && `Locknut spanner ${row.locknutSpannerMm.replace('|', ' to ')} mm`,
          row.axleNutSpannerMm && `Axle nut ${row.axleNutSpannerMm.replace('|', ' or ')} mm`,
        ),
      ),
    ),
  ),
  freewheel: unclashed(
    freewheels.map((row) =>
      standard(
        row,
        { diameterMm: sizes(row.diameterMm), pitchMm: pitch(row), what: word(row.what), hand: word(row.hand) },
        [row.removal],
      ),
    ),
  ),
  pedal: unclashed(
    pedals.map((row) =>
      standard(row, { diameterMm: sizes(row.diameterMm), pitchMm: pitch(row) }, [row.removalRight, row.removalLeft]),
    ),
  ),
  'seat-post': unclashed(posts('seat-post')),
  handlebar: unclashed(posts('handlebar')),
  stem: unclashed(posts('stem')),
  'wheel-size': unclashed(
    wheelSizes.map((row) =>
      standard(
        row,
        { beadSeatMm: sizes(row.beadSeatMm) },
        [],
        said(
          row.caution,
          row.tyreMinMm && row.tyreMaxMm && `Usual tyres ${row.tyreMinMm} to ${row.tyreMaxMm} mm`,
          row.use,
        ),
      ),
    ),
  ),
  spoke: unclashed(
    spokes.map((row) =>
      standard(
        row,
        { diameterMm: sizes(row.endMm), middleMm: sizes(row.middleMm) },
        [],
        said(
          row.note,
          row.nippleMm &&
            `Nipple spanner ${row.nippleMm} mm${row.nippleAltMm ? ` or ${row.nippleAltMm} mm` : ''}: the smallest that slides on`,
        ),
      ),
    ),
  ),
};
