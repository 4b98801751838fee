import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, symlinkSync, unlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** A copy of the tree as it stands, with its packages, in a folder of its own. */
export interface Clone {
  /** `said` is all of it, `printed` what stands on stdout. */
  run(command: string, ...args: string[]): { ok: boolean; said: string; printed: string };
  git(...args: string[]): string;
  /** Takes the shared packages away, so that whoever runs next installs its own. */
  withoutPackages(): void;
  remove(): void;
}

const AS_NOBODY = ['-c', 'user.name=nobody', '-c', 'user.email=nobody@example.org'];

/** Errors: a tree that is no checkout. */
export function cloneTree(): Clone {
  const folder = mkdtempSync(join(tmpdir(), 'ergasto-clone-'));
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' });
  const packed = execFileSync('tar', ['cf', '-', '--ignore-failed-read', '-T', '-'], {
    input: files,
    maxBuffer: 1 << 30,
    stdio: ['pipe', 'pipe', 'ignore'],
  });
  execFileSync('tar', ['xf', '-', '-C', folder], { input: packed });
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'));
  const git = (...args: string[]) => execFileSync('git', [...AS_NOBODY, ...args], { cwd: folder, encoding: 'utf8' });
  git('init', '-q');
  git('add', '-A');
  git('commit', '-qm', 'as it stands');
  return {
    git,
    run(command, ...args) {
      const { status, stdout, stderr } = spawnSync(command, args, {
        cwd: folder,
        encoding: 'utf8',
        maxBuffer: 1 << 28,
      });
      return { ok: status === 0, said: `${stdout}${stderr}`.trim(), printed: stdout.trim() };
    },
    withoutPackages: () => unlinkSync(join(folder, 'node_modules')),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}
