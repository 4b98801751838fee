/**
 * How often a property is tried: `many` times where somebody is patient (`PATIENT=1`, as `npm run bench` asks), and as often as tells a
 * fault of ours from a green run while one works.
 */
export function runs(many: number, usual = 150): number {
  return process.env.PATIENT ? many : Math.min(many, usual);
}
