const MM_PER_INCH = 25.4;

type Cells = Record<string, string | number | null>;
type Unit = 'mm' | 'in' | 'tpi' | null;

/** One thing that is searched for: a word, or a size with how finely it was given. */
type Term = { word: string } | { value: number; within: number; unit: Unit };

const NUMBER = /^(\d+(?:[.,]\d+)?|\d+\/\d+)(mm|in|"|tpi)?$/;
const NUMBERS_IN = /(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|\d+(?:\.\d+)?/g;
/** What parts one word from the next. */
const NO_WORD = /[^\p{L}\d.]+/u;
const UNITS = new Map<string, Unit>([
  ['mm', 'mm'],
  ['in', 'in'],
  ['"', 'in'],
  ['inch', 'in'],
  ['tpi', 'tpi'],
]);
/** What people call things that the tables name otherwise. */
const SAME = new Map([
  ['bb', 'bottom'],
  ['seatpost', 'post'],
  ['hubgear', 'gear'],
]);
/** A fraction is exact; it is met in millimetres rounded to hundredths. */
const FRACTION_WITHIN = 0.0005;

function sizeOf(text: string): { value: number; within: number } {
  if (text.includes('/')) {
    const [over, under] = text.split('/').map(Number) as [number, number];
    return { value: over / under, within: FRACTION_WITHIN };
  }
  const plain = text.replace(',', '.');
  const decimals = plain.split('.')[1]?.length ?? 0;
  // Half of the last figure that was given; a whole number is meant as it stands.
  return { value: Number(plain), within: decimals === 0 ? 1e-9 : 0.5 * 10 ** -decimals - 1e-9 };
}

/** The words and sizes of a search. Example: `termsOf('1 3/8 24tpi')` is one size in inches and one in threads. */
export function termsOf(search: string): Term[] {
  const parts = search
    .toLowerCase()
    .split(/[\s;]+/)
    .filter(Boolean);
  const terms: Term[] = [];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i]!;
    const found = NUMBER.exec(part);
    if (!found) {
      // A lone x between two sizes says nothing.
      if (part !== 'x' && part !== '×')
        terms.push(
          ...part
            .split(NO_WORD)
            .filter(Boolean)
            .map((word) => ({ word })),
        );
      continue;
    }
    const size = sizeOf(found[1]!);
    const next = parts[i + 1] === undefined ? null : /^(\d+)\/(\d+)(in|")?$/.exec(parts[i + 1]!);
    if (next && Number.isInteger(size.value)) {
      size.value += Number(next[1]) / Number(next[2]);
      size.within = FRACTION_WITHIN;
      i++;
    }
    const after = UNITS.get(parts[i + 1] ?? '');
    const unit = UNITS.get(found[2] ?? '') ?? after ?? null;
    if (!found[2] && after) i++;
    terms.push({ ...size, unit });
  }
  return terms;
}

/** Every number that stands in a text: whole, with a point, and as a fraction with what stands before it. */
function numbersIn(text: string): number[] {
  return [...text.matchAll(NUMBERS_IN)].flatMap((found) => {
    if (found[1]) return [Number(found[1]) + Number(found[2]) / Number(found[3])];
    if (found[4]) return [Number(found[4]) / Number(found[5])];
    return [Number(found[0])];
  });
}

function unitOf(key: string, text: string): Unit {
  if (key.endsWith('Mm')) return 'mm';
  if (key === 'tpi' || /\btpi\b/.test(text)) return 'tpi';
  return key.endsWith('In') || /\bin\b/.test(text) ? 'in' : null;
}

/** Whether a size or a word stands in a row. Example: 24 stands in 24 threads and not in 124 millimetres. */
export function stands(term: Term, label: string, cells: Cells): boolean {
  const told = Object.entries(cells).filter((each): each is [string, string | number] => each[1] !== null);
  if ('word' in term) {
    const words = `${label} ${told.map(([, cell]) => cell).join(' ')}`.toLowerCase().split(NO_WORD);
    return [term.word, SAME.get(term.word) ?? term.word].some((wanted) =>
      words.some((word) => word.startsWith(wanted)),
    );
  }
  return told.some(([key, cell]) => {
    if (key === 'source' || key === 'confidence') return false;
    const unit = unitOf(key, typeof cell === 'string' ? cell.toLowerCase() : '');
    const values = typeof cell === 'number' ? [cell] : numbersIn(cell);
    const is = (wanted: number, within: number) => values.some((value) => Math.abs(value - wanted) <= within);
    const fits = term.unit === null || unit === null || term.unit === unit;
    if (fits && is(term.value, term.within)) return true;
    // Inches by what they measure: a fraction is met in millimetres too.
    const inches = term.unit === 'in' || (term.unit === null && term.within === FRACTION_WITHIN);
    return inches && unit === 'mm' && is(term.value * MM_PER_INCH, 0.02);
  });
}
