/** A table under data/, the JSON made from it, and the files of other subjects that add rows to it. */
export interface TableSource {
  csv: string;
  json: string;
  added: string[];
}

export type Cell = string | number | boolean | string[] | null;

export function tables(): TableSource[];
export function rowsOf(table: { csv: string; added?: string[] }): Promise<Record<string, Cell>[]>;
export function makeTables(): Promise<void>;
