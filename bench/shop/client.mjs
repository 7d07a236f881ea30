// What the measurements of a served shop have in common: a program that shows the device word, and figures of many answers.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';

export const ROOT = join(import.meta.dirname, '..', '..');

export const uuid = () => {
  const hex = Date.now().toString(16).padStart(12, '0') + '7' + randomBytes(2).toString('hex').slice(1) + '8' + randomBytes(8).toString('hex').slice(1);
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20, 32)}`;
};

/** Starts a shop and resolves when it answers. */
export async function serve(data, port, more = []) {
  const printed = join(data, 'address');
  rmSync(printed, { force: true });
  const process = spawn(join(ROOT, 'bin/serve'), ['--data', data, '--port', String(port), '--print', printed, ...more], {
    stdio: ['ignore', 'ignore', 'ignore'],
  });
  const begun = performance.now();
  while (!existsSync(printed)) {
    if (process.exitCode !== null) throw new Error(`bin/serve ended with ${process.exitCode} before it answered`);
    await new Promise((done) => setTimeout(done, 20));
  }
  const shop = new Shop(readFileSync(printed, 'utf8').trim(), readFileSync(join(data, 'device-word'), 'utf8').trim());
  return { process, shop, up: performance.now() - begun };
}

export const ended = (process) =>
  new Promise((done) => {
    if (process.exitCode !== null || process.signalCode !== null) done();
    else process.once('exit', done);
  });

export class Shop {
  constructor(address, word) {
    this.address = address;
    this.word = word;
  }

  /** One request; status 0 where nothing answered. */
  async ask(method, path, body, headers = {}) {
    const begun = performance.now();
    try {
      const response = await fetch(this.address + path, {
        method,
        headers: { 'X-Device-Word': this.word, 'Content-Type': 'application/json', ...headers },
        body: body === undefined || typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body),
        signal: AbortSignal.timeout(120_000),
      });
      const text = await response.text();
      return { status: response.status, text, milliseconds: performance.now() - begun, type: response.headers.get('Content-Type') ?? '' };
    } catch (error) {
      return { status: 0, text: String(error), milliseconds: performance.now() - begun, type: '' };
    }
  }

  get = (path) => this.ask('GET', path);
  post = (path, body, headers) => this.ask('POST', path, body, headers);

  async newCase(name, engine = { layout: 'vee', drive: 'pushrod', cylinders: 8, rockerRatio: 1.5 }) {
    const id = uuid();
    const answer = await this.post('/api/cases', { id, name, by: 'bench', engine });
    if (answer.status !== 201) throw new Error(`${answer.status} ${answer.text}`);
    return id;
  }
}

/** A reading of installed height, as the screens send it. */
export const reading = (place, text, supersedes = null) => ({
  id: uuid(),
  kind: 'reading',
  supersedes,
  ...(supersedes === null ? {} : { reason: 're-measured' }),
  by: 'bench',
  at: new Date().toISOString(),
  slot: { place, part: 'spring_seat', item: 'installed_height', index: null },
  data: { text },
});

export const task = (index) => ({
  id: uuid(),
  kind: 'task',
  supersedes: null,
  by: 'bench',
  at: new Date().toISOString(),
  slot: { place: 'engine', part: 'schedule', item: 'task', index },
  data: { label: `Task ${index}`, kind: 'work' },
});

const share = (sorted, part) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;

/** Median, 95th percentile and statuses in one line. */
export function line(name, answers, aim = '') {
  const sorted = answers.map((one) => one.milliseconds).sort((a, b) => a - b);
  const statuses = {};
  for (const one of answers) statuses[one.status] = (statuses[one.status] ?? 0) + 1;
  console.log(
    `${name.padEnd(46)} ${share(sorted, 0.5).toFixed(1).padStart(8)} ms median ${share(sorted, 0.95).toFixed(1).padStart(8)} ms p95  ` +
      `${JSON.stringify(statuses)} ${aim}`,
  );
  return { median: share(sorted, 0.5), p95: share(sorted, 0.95), statuses };
}
