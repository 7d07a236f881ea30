import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..', '..');

/** Two shops with empty databases, served as bin/demo serves: the second one receives what the first exports. */
export default async function startServers(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), 'mute-tapper-e2e.'));
  const children: ChildProcess[] = [];
  process.env['DEVICE_WORD'] = 'word-of-the-tests';
  for (const [name, port] of [
    ['SHOP', '8790'],
    ['OTHER_SHOP', '8830'],
  ] as const) {
    const printed = join(folder, `${name}.address`);
    mkdirSync(join(folder, name));
    writeFileSync(join(folder, name, 'device-word'), `${process.env['DEVICE_WORD']}\n`);
    children.push(
      spawn(join(ROOT, 'bin/serve'), ['--data', join(folder, name), '--port', port, '--print', printed], {
        stdio: ['ignore', 'ignore', 'inherit'],
      }),
    );
    for (let i = 0; !existsSync(printed) && i < 1800; i++) await new Promise((done) => setTimeout(done, 100));
    process.env[name] = readFileSync(printed, 'utf8').trim();
  }
  return async () => {
    await Promise.all(
      children.map(
        (child) =>
          new Promise((done) => {
            child.once('exit', done);
            child.kill('SIGTERM');
          }),
      ),
    );
    rmSync(folder, { recursive: true, force: true });
  };
}
