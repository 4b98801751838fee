/**
 * The built application, served: what the framework answers with a fault of its own (an address that cannot be read, a method
 * that it does not know) is answered here in a sentence, and callers are told by their connection and not by their word.
 * `node scripts/server.mjs <port>`
 */
import { createServer } from 'node:http';
import { chdir } from 'node:process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);
const HOST = '127.0.0.1';
/** A request that has not arrived after this long is given up. */
const PATIENCE_MS = 60_000;

/** Why a request is not handed on, or null. */
export function refusal({ method, url }) {
  if (!METHODS.has(method ?? '')) return [405, 'That way of asking is not known here.'];
  try {
    decodeURIComponent(new URL(url ?? '', 'http://here').pathname);
    return null;
  } catch {
    return [400, 'That address cannot be read.'];
  }
}

function refuse(response, status, message) {
  const headers = { 'content-type': 'application/json', connection: 'close' };
  if (status === 405) headers.allow = [...METHODS].join(', ');
  response.writeHead(status, headers).end(JSON.stringify({ errors: [{ path: '', message }] }));
}

async function serve(port) {
  chdir(ROOT);
  process.env.NODE_ENV = 'production';
  const { default: next } = await import('next');
  const app = next({ dev: false, dir: ROOT, hostname: HOST, port });
  await app.prepare();
  const handle = app.getRequestHandler();
  // Behind a proxy of one's own, which is named, its word is taken for who is asking.
  const behindProxy = Boolean(process.env.ERGASTO_HOSTS);
  const server = createServer({ requestTimeout: PATIENCE_MS }, (request, response) => {
    const why = refusal(request);
    if (why) return refuse(response, ...why);
    if (!behindProxy) request.headers['x-forwarded-for'] = request.socket.remoteAddress ?? '';
    void handle(request, response).catch(() => {
      if (!response.headersSent) refuse(response, 500, 'That went wrong here, which is a fault of ours.');
    });
  });
  // What is no request at all is closed without a word.
  server.on('clientError', (_error, socket) => socket.writable && socket.end('HTTP/1.1 400 Bad Request\r\n\r\n'));
  server.on('connect', (_request, socket) => socket.end('HTTP/1.1 405 Method Not Allowed\r\n\r\n'));
  server.on('upgrade', (_request, socket) => socket.end('HTTP/1.1 400 Bad Request\r\n\r\n'));
  server.listen(port, HOST);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await serve(Number(process.argv[2] ?? 4730));
