const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'] as const;
type Method = (typeof METHODS)[number];

/** Answers to every way of asking that a route does not know. Example: `export const { GET, PUT, … } = otherThan('POST')`. */
export function otherThan(known: Method): Record<Method, () => Response> {
  const message = `Only ${known} is answered here.`;
  const answer = () =>
    Response.json({ errors: [{ path: '', message }], why: message }, { status: 405, headers: { allow: known } });
  return Object.fromEntries(METHODS.map((method) => [method, answer])) as Record<Method, () => Response>;
}
