// Serves the demo studio while it is being changed: screens are replaced as they are saved, the server starts anew.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { build, install } from './prepare.mjs';
import { ROOT } from './steps.mjs';

/** @returns {Promise<number>} */
const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' ? (address?.port ?? 0) : 0));
    });
  });

install();
build();
const [server, web] = [await freePort(), await freePort()];
const folder = mkdtempSync(path.join(os.tmpdir(), 'ythrion-dev-'));
const main = path.join(ROOT, 'packages/server/dist/main.js');
const vite = path.join(ROOT, 'node_modules/vite/bin/vite.js');
const env = { ...process.env, PORT: String(server), YTHRION_DATA: folder, YTHRION_SERVER: String(server) };

const children = [
  [vite, 'build', 'packages/server', '--config', 'packages/server/vite.config.ts', '--watch'],
  ['--watch', main, 'demo'],
  [vite, 'packages/web', '--config', 'packages/web/vite.config.ts', '--port', String(web), '--strictPort'],
].map((args) => spawn(process.execPath, args, { cwd: ROOT, env, stdio: 'inherit' }));

const end = () => {
  for (const child of children) child.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
  process.exit();
};
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);
