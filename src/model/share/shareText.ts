import { shareFile, type ShareFile } from './change';

export const SHARE_FORMAT = 'ergasto share';
export const SHARE_VERSION = 1;

/** A file's name in the folder; who reads goes by what is in it and not by its name, so that a copy under another name is the same file. */
export const shareName = ({ kind, writer, number }: ShareFile): string =>
  `${writer}.${kind === 'batch' ? 'b' : 's'}${String(number).padStart(8, '0')}.json`;

/** A file as it is written: a line that says what it is and its sum, and a line that it is the sum of. */
export function shareText(file: ShareFile, sumOf: (text: string) => string): string {
  const body = JSON.stringify(file);
  return `${JSON.stringify({ format: SHARE_FORMAT, version: SHARE_VERSION, sum: sumOf(body) })}\n${body}\n`;
}

/** What a file says: one that is not whole yet, or is none of ours, waits. A newer release's is told apart, so that nothing is taken for damage. */
export function readShare(
  text: string,
  sumOf: (text: string) => string,
): { file: ShareFile } | { waits: 'not whole' | 'not ours' | 'newer' } {
  const [head, body] = text.split('\n') as [string, string | undefined];
  const said = parsed(head) as { format?: unknown; version?: unknown; sum?: unknown } | null;
  if (said?.format !== SHARE_FORMAT) return { waits: 'not ours' };
  if (typeof said.version === 'number' && said.version > SHARE_VERSION) return { waits: 'newer' };
  if (body === undefined || said.sum !== sumOf(body)) return { waits: 'not whole' };
  const file = shareFile.safeParse(parsed(body));
  return file.success ? { file: file.data } : { waits: 'not ours' };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}

/** Files of a writer that a snapshot of its own stands for, and that it may take away. Nobody takes away what another wrote. */
export function standsFor(files: readonly ShareFile[], snapshot: ShareFile & { kind: 'snapshot' }): ShareFile[] {
  return files.filter(
    (file) =>
      file.writer === snapshot.writer &&
      (file.kind === 'snapshot'
        ? file.number < snapshot.number
        : (snapshot.holds[file.writer] ?? []).some(([from, to]) => from <= file.number && file.number <= to)),
  );
}
