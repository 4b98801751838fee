/** One figure beside what it is compared with. */
export type Line = (what: string, measured: string, compared: string) => void;

export const line: Line = (what, measured, compared) =>
  console.log(`${what.padEnd(58)} ${measured.padStart(22)}   ${compared}`);

export function median(times: number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}

export function timed(runs: number, work: () => void): number {
  work();
  return median(
    Array.from({ length: runs }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
}
