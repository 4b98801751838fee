/** `npm run demo`: installs what is missing, builds, starts on the one fixed port and says where. */
import { accessSync, constants, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { resolve as pathOf } from 'node:path';
import { spawnSync } from 'node:child_process';
import { build, packages, PORT, serve, stop } from './setup.mjs';

const asked = process.argv.indexOf('--port');
const port = asked < 0 ? PORT : Number(process.argv[asked + 1]);
if (!Number.isInteger(port) || port < 1024 || port > 65535)
  stop('Give a port from 1024 to 65535: npm run demo -- --port 4740');

/** A folder that several devices keep the same, for browsers that give a page none. */
const sharing = process.argv.indexOf('--share');
if (sharing >= 0) {
  const given = process.argv[sharing + 1];
  if (!given || given.startsWith('--')) stop('Name the folder: npm run demo -- --share FOLDER');
  const folder = pathOf(process.env.INIT_CWD ?? '.', given);
  try {
    if (!statSync(folder).isDirectory()) stop(`${folder} is no folder.`);
    accessSync(folder, constants.R_OK | constants.W_OK);
  } catch {
    stop(`${folder} is not there, or may not be written.`);
  }
  process.env.ERGASTO_SHARE = folder;
}

function holder() {
  const found = spawnSync('sh', ['-c', `ss -ltnp 2>/dev/null | grep ':${port} ' | sed -n 's/.*users:((//p'`], {
    encoding: 'utf8',
  }).stdout?.trim();
  return found ? ` It is held by ${found.replace(/[()"]/g, ' ').trim()}.` : '';
}

await new Promise((resolve) => {
  const probe = createServer();
  probe.once('error', () =>
    stop(
      `Port ${port} is taken.${holder()} Stop that first. Another port is possible with: npm run demo -- --port 4740; but records kept under one port are not visible under another.`,
    ),
  );
  probe.listen(port, '127.0.0.1', () => probe.close(resolve));
});

await packages();
await build();
const { child, address } = await serve(port);
if (port !== PORT)
  console.log(`\nRecords kept under port ${PORT} are not visible here: the browser keeps them by address.`);
if (process.env.ERGASTO_SHARE)
  console.log(`\nThe shared folder is ${process.env.ERGASTO_SHARE}: choose it on the page Records.`);
console.log(
  `\nErgasto runs. The made-up workshop: ${address}/?workshop=demo\nYour own, empty at first:          ${address}/?workshop=own\nCtrl+C stops it.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
