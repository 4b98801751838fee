import type { HistoryRow } from './history';

/** What can be taken back and what can be done again, the next one last. */
export function stacks(rows: HistoryRow[]): { undo: HistoryRow[]; redo: HistoryRow[] } {
  let undo: HistoryRow[] = [];
  let redo: HistoryRow[] = [];
  for (const row of rows) {
    if (row.kind === 'do') {
      undo.push(row);
      redo = [];
      continue;
    }
    const from = row.kind === 'undo' ? undo : redo;
    const moved = from.find((old) => old.id === row.of);
    if (!moved) continue;
    const rest = from.filter((old) => old !== moved);
    if (row.kind === 'undo') {
      undo = rest;
      redo.push(moved);
    } else {
      redo = rest;
      undo.push(moved);
    }
  }
  return { undo, redo };
}
