/** The id of a job that a complaint was traced to. Example: `faultJob('pawls')` is `fault-pawls`. */
export const faultJob = (fault: string): string => `fault-${fault}`;
