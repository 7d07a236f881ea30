// Kills parts of a served shop while people enter and upload, and counts what was acknowledged and is not there:
//   node bench/shop/storm.mjs DIR [KILLS]
// Then two editors of the same places, each going on from what they saw.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { ended, line, reading, serve, task } from './client.mjs';

const data = process.argv[2];
const wanted = Number(process.argv[3] ?? 200);
mkdirSync(data, { recursive: true, mode: 0o700 });
let { process: server, shop } = await serve(data, 8920);
const sleep = (milliseconds) => new Promise((done) => setTimeout(done, milliseconds));
const sh = (command) => execFileSync('bash', ['-c', command], { encoding: 'utf8' }).trim();
const id = await shop.newCase('Storm');

/** Processes below the server by what they are, asked of the system by their parents: never by name alone. */
function below() {
  const parents = new Map(sh('ps -eo pid=,ppid=,args=').split('\n').map((one) => /^\s*(\d+)\s+(\d+)\s+(.*)$/.exec(one)).filter(Boolean).map((m) => [m[1], [m[2], m[3]]]));
  const isBelow = (pid) => pid === String(server.pid) || (parents.has(pid) && isBelow(parents.get(pid)[0]));
  return [...parents].filter(([pid]) => isBelow(pid)).map(([pid, [, args]]) => ({ pid: Number(pid), args }));
}

const acknowledged = [];
const pictures = [];
let halted = false;
const writer = async (n) => {
  for (let i = 0; !halted; i++) {
    const entry = task(`w${n}-${i}`);
    for (;;) {
      const answer = await shop.post(`/api/cases/${id}/entries`, entry);
      if (answer.status === 201 || answer.status === 200) {
        acknowledged.push(entry.id);
        break;
      }
      if (answer.status !== 0 && answer.status < 500) throw new Error(`${answer.status} ${answer.text}`);
      if (halted) return;
      await sleep(20);
    }
  }
};
const uploader = async () => {
  for (let i = 0; !halted; i++) {
    const png = picture(i);
    const answer = await shop.post(`/api/cases/${id}/photographs`, png, { 'Content-Type': 'application/octet-stream' });
    if (answer.status === 201) pictures.push([createHash('sha256').update(png).digest('hex'), png]);
    await sleep(100);
  }
};
/** A small grey picture, another one each time: an uncompressed PNG. */
function picture(seed) {
  const table = [...Array(256).keys()].map((n) => {
    for (let k = 0; k < 8; k++) n = n & 1 ? 0xedb88320 ^ (n >>> 1) : n >>> 1;
    return n >>> 0;
  });
  const crc = (bytes) => (bytes.reduce((c, byte) => table[(c ^ byte) & 255] ^ (c >>> 8), 0xffffffff) ^ 0xffffffff) >>> 0;
  const chunk = (name, body) => {
    const inner = Buffer.concat([Buffer.from(name), body]);
    const size = Buffer.alloc(4);
    size.writeUInt32BE(body.length);
    const sum = Buffer.alloc(4);
    sum.writeUInt32BE(crc(inner));
    return Buffer.concat([size, inner, sum]);
  };
  const rows = Buffer.alloc(40 * 41, seed % 251);
  for (let y = 0; y < 40; y++) rows[y * 41] = 0;
  rows.writeUInt32LE(seed, 10);
  let [a, b] = [1, 0];
  for (const byte of rows) {
    a = (a + byte) % 65521;
    b = (b + a) % 65521;
  }
  const head = Buffer.from([0x78, 1, 1, rows.length & 255, rows.length >> 8, ~rows.length & 255, (~rows.length >> 8) & 255]);
  const adler = Buffer.from([b >> 8, b & 255, a >> 8, a & 255]);
  const size = Buffer.from([0, 0, 0, 40, 0, 0, 0, 40, 8, 0, 0, 0, 0]);
  return Buffer.concat([Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'), chunk('IHDR', size), chunk('IDAT', Buffer.concat([head, rows, adler])), chunk('IEND', Buffer.alloc(0))]);
}

const killed = {};
const kill = async (n) => {
  const processes = below();
  const kinds = [
    ['a php-fpm child', processes.filter((one) => /php-fpm: pool/.test(one.args)).slice(n % 4, (n % 4) + 1)],
    ['all php-fpm children', processes.filter((one) => /php-fpm: pool/.test(one.args))],
    ['a worker', processes.filter((one) => /messenger:consume/.test(one.args)).slice(0, 1)],
    ['a php-fpm child', processes.filter((one) => /php-fpm: pool/.test(one.args)).slice(0, 1)],
    ...(n % 10 === 4 ? [['the php-fpm master', processes.filter((one) => /php-fpm: master/.test(one.args))]] : []),
    ...(n % 10 === 9 ? [['the whole server', processes]] : []),
  ];
  const [name, victims] = n % 10 === 4 || n % 10 === 9 ? kinds.at(-1) : kinds[n % 4];
  if (victims.length === 0) return false;
  for (const one of victims)
    try {
      process.kill(one.pid, 'SIGKILL');
    } catch {
      // it ended by itself meanwhile
    }
  killed[name] = (killed[name] ?? 0) + 1;
  if (name === 'the whole server' || name === 'the php-fpm master') {
    await ended(server);
    ({ process: server, shop } = await serve(data, 8920));
  }
  return true;
};
const people = [writer(1), writer(2), uploader()];
for (let n = 0, done = 0; done < wanted; n++) {
  await sleep(60 + (n % 7) * 40);
  if (await kill(n)) done++;
}
await sleep(500);
halted = true;
await Promise.all(people);

const document = JSON.parse((await shop.get(`/api/cases/${id}/case.json`)).text);
const stored = new Map();
for (const entry of document.entries) stored.set(entry.id, (stored.get(entry.id) ?? 0) + 1);
const lost = acknowledged.filter((one) => !stored.has(one));
const twice = [...stored.values()].filter((count) => count > 1).length;
const half = document.entries.filter((entry) => entry.data === null || entry.data.label === undefined).length;
let lostPictures = 0;
for (const [sha256] of pictures) {
  const answer = await fetch(`${shop.address}/api/cases/${id}/photographs/${sha256}/original`);
  const bytes = Buffer.from(await answer.arrayBuffer());
  if (createHash('sha256').update(bytes).digest('hex') !== sha256) lostPictures++;
}
let stuck = pictures.length;
for (const end = performance.now() + 60_000; stuck > 0 && performance.now() < end; await sleep(1000)) {
  stuck = 0;
  for (const [sha256] of pictures) stuck += JSON.parse((await shop.get(`/api/cases/${id}/photographs/${sha256}`)).text).workingCopy === 'ready' ? 0 : 1;
}
console.log(`kills: ${JSON.stringify(killed)}`);
console.log(`entries acknowledged ${acknowledged.length}, lost ${lost.length}, twice ${twice}, half ${half}`);
console.log(`photographs acknowledged ${pictures.length}, lost ${lostPictures}, working copy not made within a minute ${stuck}`);
const whole = sh(`php -r '$d = new SQLite3($argv[1]); echo $d->querySingle("PRAGMA integrity_check"), " ", $d->querySingle("SELECT COUNT(*) FROM pragma_foreign_key_check"), " ", $d->querySingle("SELECT COUNT(*) FROM entry e WHERE NOT EXISTS (SELECT 1 FROM audit a WHERE json_extract(a.detail, \\"$.entry\\") = e.id)");' ${data}/cases.sqlite`);
console.log(`database: ${whole} (verdict, broken references, entries without their audit record)`);

// Two editors, each of whom goes on from what they last saw.
const other = await shop.newCase('Two editors');
const places = [...Array(4).keys()].flatMap((n) => ['E1', 'I1'].flatMap((kind) => [`A${n + 1}-${kind}`, `B${n + 1}-${kind}`]));
const answers = [];
let silent = 0;
const editor = async (name) => {
  const seen = {};
  for (let i = 0; i < 1000; i++) {
    const place = places[i % 16];
    const entry = { ...reading(place, (1.7 + (i % 90) / 1000).toFixed(3), seen[place] ?? null), by: name };
    const answer = await shop.post(`/api/cases/${other}/entries`, entry);
    answers.push(answer);
    if (answer.status === 201) seen[place] = entry.id;
    else seen[place] = JSON.parse(answer.text).current?.id;
  }
};
await Promise.all([editor('left'), editor('right')]);
line('two editors × 1,000 on 16 places', answers);
const chain = JSON.parse((await shop.get(`/api/cases/${other}/case.json`)).text).entries;
const heads = {};
for (const entry of chain) {
  if ((heads[entry.slot.place] ?? null) !== entry.supersedes) silent++;
  heads[entry.slot.place] = entry.id;
}
console.log(`silent overwrites: ${silent}`);
server.kill('SIGTERM');
await ended(server);
process.exit(lost.length + twice + half + lostPictures + stuck + silent === 0 && whole === 'ok 0 0' ? 0 : 1);
