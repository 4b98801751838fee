/** `npm run --silent reckon -- <id> < input.json`: any calculator from the command line. */
import { createInterface } from 'node:readline';
import { writeSync } from 'node:fs';
import * as z from 'zod/mini';
import { calculator, registry } from '../src/core/registry';
import { bodyOf, parseJson, reckon } from '../src/core/reckon';

const REFUSED = 2;

function write(value: unknown): void {
  writeText(`${JSON.stringify(value)}\n`);
}

function writeText(text: string): void {
  const bytes = Buffer.from(text);
  let written = 0;
  while (written < bytes.length) {
    try {
      written += writeSync(1, bytes, written);
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      // Whoever reads has gone: there is nobody left to answer.
      if (code === 'EPIPE') process.exit(0);
      if (code !== 'EAGAIN') throw error;
    }
  }
}

function reckonText(id: string, text: string): { body: unknown; refused: boolean } {
  const parsed = parseJson(text);
  if (!parsed.ok) return { body: { errors: parsed.errors }, refused: true };
  const result = reckon(id, parsed.value);
  return { body: bodyOf(result), refused: result.status !== 'ok' };
}

async function readAll(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks)
    .toString('utf8')
    .replace(/^\uFEFF/, '');
}

async function main(): Promise<number> {
  const words = process.argv.slice(2);
  const flags = new Set(words.filter((word) => word.startsWith('--')));
  const [id] = words.filter((word) => !word.startsWith('--'));
  const strange = [...flags].find((flag) => !['--list', '--schema', '--lines'].includes(flag));
  if (strange) {
    write({
      errors: [{ path: 'id', message: `${strange} is not known; use --list, --schema <id>, <id> or <id> --lines` }],
      ids: registry.map((c) => c.id),
    });
    return REFUSED;
  }
  if (flags.has('--list')) {
    writeText(registry.map(({ id: listed, title }) => `${listed}\t${title}\n`).join(''));
    return 0;
  }
  const found = id === undefined ? undefined : calculator(id);
  if (id === undefined || !found) {
    write(bodyOf(reckon(id ?? '', {})));
    return REFUSED;
  }
  if (flags.has('--schema')) {
    write(z.toJSONSchema(found.input, { io: 'input' }));
    return 0;
  }
  if (flags.has('--lines')) {
    for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
      if (line.trim() !== '') write(reckonText(id, line).body);
    }
    return 0;
  }
  const { body, refused } = reckonText(id, await readAll());
  write(body);
  return refused ? REFUSED : 0;
}

main().then(
  (code) => {
    process.exitCode = code;
  },
  (error: unknown) => {
    console.error(error);
    process.exitCode = 1;
  },
);
