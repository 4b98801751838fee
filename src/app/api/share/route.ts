import { readBody } from '../body';
import { refusedCaller } from '../callers';
import { givenFolder, lyingFolder, PARTS, type Part } from './lyingFolder';

/** Photographs and snapshots of large workshops lie well under it. */
const MOST_BYTES = 200_000_000;
const NO_STORE = { 'cache-control': 'no-store' };

const told = (status: number, message: string): Response =>
  Response.json({ errors: [{ path: '', message }] }, { status, headers: NO_STORE });

/** Asks about the folder that this Ergasto was given: `?part=` for names, with `&name=` for one file. */
async function asked(
  request: Request,
  answer: (folder: ReturnType<typeof lyingFolder>, part: Part, name: string | null) => Promise<Response>,
): Promise<Response> {
  const why = refusedCaller(request.headers);
  if (why) return told(403, why);
  const root = givenFolder();
  if (!root) return told(404, 'This Ergasto was given no folder: start it with --share FOLDER.');
  const query = new URL(request.url).searchParams;
  const part = PARTS.find((each) => each === (query.get('part') ?? 'changes'));
  if (!part) return told(400, 'No such part: changes, photographs or seals.');
  try {
    return await answer(lyingFolder(root), part, query.get('name'));
  } catch {
    return told(503, 'The folder is not there.');
  }
}

export const GET = (request: Request): Promise<Response> =>
  asked(request, async (folder, part, name) => {
    if (name === null)
      return Response.json({ folder: folder.label, names: await folder.names(part) }, { headers: NO_STORE });
    const bytes = await folder.read(part, name, MOST_BYTES);
    if (!bytes) return told(404, 'No such file.');
    return new Response(bytes, { headers: { ...NO_STORE, 'content-type': 'application/octet-stream' } });
  });

export const PUT = (request: Request): Promise<Response> =>
  asked(request, async (folder, part, name) => {
    const body = await readBody(request, MOST_BYTES);
    if (!body.ok) return told(body.why === 'too-large' ? 413 : 408, 'It is too large, or did not arrive in time.');
    return name !== null && (await folder.write(part, name, body.bytes))
      ? new Response(null, { status: 204 })
      : told(400, 'No file can be called so.');
  });

export const DELETE = (request: Request): Promise<Response> =>
  asked(request, async (folder, part, name) =>
    name !== null && (await folder.remove(part, name))
      ? new Response(null, { status: 204 })
      : told(400, 'No file can be called so.'),
  );

const other = () =>
  Response.json(
    { errors: [{ path: '', message: 'Only GET, PUT and DELETE are answered here.' }] },
    { status: 405, headers: { allow: 'GET, PUT, DELETE' } },
  );
export { other as HEAD, other as POST, other as PATCH, other as OPTIONS };
