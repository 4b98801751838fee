/** `npm run demo`: installs what is missing, builds, starts on the one fixed port and says where. */
import { createServer } from 'node:net';
import { spawnSync } from 'node:child_process';
import { build, packages, PORT, serve, stop } from './setup.mjs';

const asked = process.argv.indexOf('--port');
const port = asked < 0 ? PORT : Number(process.argv[asked + 1]);
if (!Number.isInteger(port) || port < 1024 || port > 65535)
  stop('Give a port from 1024 to 65535: npm run demo -- --port 4740');

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
console.log(
  `\nErgasto runs. The made-up workshop: ${address}/?workshop=demo\nYour own, empty at first:          ${address}/?workshop=own\nCtrl+C stops it.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
