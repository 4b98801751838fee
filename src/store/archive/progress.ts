/** How far a long piece of work is. */
export interface Progress {
  done: number;
  total: number;
}
export type OnProgress = (progress: Progress) => void;
export const QUIET: OnProgress = () => undefined;
