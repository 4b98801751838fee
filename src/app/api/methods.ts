/** An answer to a way of asking that a route does not know. */
export function onlyAllowed(...methods: string[]) {
  const allow = methods.join(', ');
  return function notAllowed(): Response {
    const message = `Only ${allow} is answered here.`;
    return Response.json({ errors: [{ path: '', message }], why: message }, { status: 405, headers: { allow } });
  };
}
