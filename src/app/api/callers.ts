/** Who may ask: this machine and the names that it was told it bears, and no page of another site. */

const OWN_NAMES = ['127.0.0.1', 'localhost', '[::1]'];

/** Names under which this Ergasto is reached besides, from `ERGASTO_HOSTS`, separated by commas. */
function allowedNames(): string[] {
  const configured = (process.env.ERGASTO_HOSTS ?? '').split(',').map((name) => name.trim().toLowerCase());
  return [...OWN_NAMES, ...configured.filter(Boolean)];
}

/** Whether a `Host` is one that this Ergasto bears; with or without its port. */
export function isOwnHost(host: string | null): boolean {
  if (host === null) return false;
  const name = host.toLowerCase().replace(/:\d+$/, '');
  return allowedNames().some((own) => own === name || own === host.toLowerCase());
}

/** Why a caller is refused, or null: a foreign `Host`, or a page of another site that asks in its visitor's name. */
export function refusedCaller(headers: Headers): string | null {
  const host = headers.get('host');
  if (!isOwnHost(host)) return 'Ergasto does not answer under that name.';
  const origin = headers.get('origin');
  if (origin !== null) {
    let from: string | null = null;
    try {
      from = new URL(origin).host.toLowerCase();
    } catch {
      // An opaque origin names nobody, and is no page of ours.
    }
    if (from !== host!.toLowerCase()) return 'Pages of another site may not ask here.';
  }
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return 'Pages of another site may not ask here.';
  return null;
}

/** By what a caller is told from others when wrong codes are counted. */
export function callerOf(headers: Headers): string {
  return (headers.get('x-forwarded-for') ?? 'here').slice(0, 200);
}
