import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';

const folder = mkdtempSync(join(tmpdir(), 'reckon-'));
/** The command line in one file: made once, it starts in a tenth of the time. */
const PROGRAM = join(folder, 'reckon.mjs');
beforeAll(() => {
  const made = spawnSync(
    'node_modules/.bin/esbuild',
    ['scripts/reckon.ts', '--bundle', '--platform=node', '--format=esm', `--outfile=${PROGRAM}`],
    { encoding: 'utf8' },
  );
  expect([made.status, made.stderr]).toEqual([0, expect.any(String)]);
});
afterAll(() => rmSync(folder, { recursive: true }));

function commandLine(args: string[], input: string) {
  const { status, stdout, stderr } = spawnSync('node', [PROGRAM, ...args], { input, encoding: 'utf8' });
  return { status, stdout, stderr };
}

describe('the command line', () => {
  jest.setTimeout(60_000);

  test('as it is called: npm run reckon', () => {
    const { status, stdout } = spawnSync('npm', ['run', '--silent', 'reckon', '--', 'inspect.crankPlay'], {
      input: '{"left":"loose","right":"firm"}',
      encoding: 'utf8',
    });
    expect([status, (JSON.parse(stdout) as { cause: string }).cause]).toEqual([0, 'left-arm']);
  });

  test('one document in, one document out', () => {
    const { status, stdout } = commandLine(['inspect.crankPlay'], '{"left":"loose","right":"firm"}');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ cause: 'left-arm' });
    expect(stdout.trim().split('\n')).toHaveLength(1);
  });

  test('refused input, no JSON and an unknown id leave with 2 and say why on stdout', () => {
    const refused = commandLine(['inspect.crankPlay'], '{"left":"wobbly","extra":1}');
    expect(refused.status).toBe(2);
    expect((JSON.parse(refused.stdout) as { errors: { path: string }[] }).errors.map((e) => e.path).sort()).toEqual([
      'extra',
      'left',
      'right',
    ]);
    expect(commandLine(['inspect.crankPlay'], 'nonsense')).toMatchObject({
      status: 2,
      stdout: expect.stringContaining('"path":""') as string,
    });
    expect(commandLine(['no.such'], '{}')).toMatchObject({
      status: 2,
      stdout: expect.stringContaining('"ids":[') as string,
    });
  });

  test('a stream answers a line for a line and goes on after a bad one', () => {
    const { status, stdout } = commandLine(
      ['inspect.crankPlay', '--lines'],
      '{"left":"firm","right":"firm"}\n\nbad\n{"left":"loose","right":"loose"}\n',
    );
    expect(status).toBe(0);
    const lines = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { cause?: string; errors?: unknown[] });
    expect(lines.map((line) => line.cause ?? line.errors?.length)).toEqual(['none', 1, 'bottom-bracket']);
  });

  test('each line is answered before the next is asked, in its order, and the end of the stream leaves with 0', async () => {
    const child = spawn('node', [PROGRAM, 'inspect.crankPlay', '--lines'], { stdio: ['pipe', 'pipe', 'ignore'] });
    const ended = new Promise((resolve) => child.on('close', resolve));
    const answers = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
    for (const [left, cause] of [
      ['firm', 'none'],
      ['wobbly', undefined],
      ['loose', 'left-arm'],
    ]) {
      child.stdin.write(`${JSON.stringify({ left, right: 'firm' })}\n`);
      const { value } = (await answers.next()) as { value: string };
      expect((JSON.parse(value) as { cause?: string }).cause).toBe(cause);
    }
    child.stdin.end();
    expect(await ended).toBe(0);
  });

  test('it ends quietly when nobody reads on', () => {
    const { status, stdout, stderr } = spawnSync(
      'bash',
      [
        '-c',
        `yes '{"left":"firm","right":"firm"}' | head -20000 | node ${PROGRAM} inspect.crankPlay --lines | head -1; exit \${PIPESTATUS[2]}`,
      ],
      { encoding: 'utf8' },
    );
    expect(JSON.parse(stdout)).toMatchObject({ cause: 'none' });
    expect([status, stderr.replace(/^npm .*$/gm, '').trim()]).toEqual([0, '']);
  });

  test('the list and the schemas', () => {
    expect(commandLine(['--list'], '').stdout).toMatch(/^money\.appraise\tWhat may be paid$/m);
    const schema = JSON.parse(commandLine(['--schema', 'money.appraise'], '').stdout) as {
      required: string[];
      additionalProperties: boolean;
    };
    expect(schema.required).not.toContain('seed');
    expect(schema.required).toContain('resale');
    expect(schema.additionalProperties).toBe(false);
  });
});
