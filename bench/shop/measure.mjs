// Queue, search, entries and many clients on a big shop: node bench/shop/measure.mjs DIR (filled by bench/shop/fill.php).
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ended, line, serve, task } from './client.mjs';

const data = process.argv[2];
const log = join(data, 'requests.log');
rmSync(log, { force: true });
const { process: server, shop, up } = await serve(data, 8900, ['--measure', log]);
console.log(`up after ${(up / 1000).toFixed(1)} s`);
const times = async (count, ask) => {
  const answers = [];
  for (let i = 0; i < count; i++) answers.push(await ask(i));
  return answers;
};
const views = ['all', 'mine', 'bench', 'waiting', 'overdue', 'signed', 'aside'];
const words = ['rattled', 'spr', 'oil pressure', 'pushrod bent', 'bulk 77', 'missed over-rev', 'bulk', 'float', 'worn guide', 'zzzz'];
await times(20, () => shop.get('/api/cases'));
line('queue, first page of each view', await times(140, (i) => shop.get(`/api/cases?view=${views[i % 7]}&person=person%203`)), 'aim: p95 50');
let before = '';
line(
  'queue, page after page',
  await times(60, async () => {
    const answer = await shop.get(`/api/cases?before=${before}`);
    before = JSON.parse(answer.text).next ?? '';
    return answer;
  }),
  'aim: p95 50',
);
line('search', await times(200, (i) => shop.get(`/api/cases?find=${encodeURIComponent(words[i % 10])}`)), 'aim: p95 50');
const cases = JSON.parse((await shop.get('/api/cases?before=6000')).text).rows.map((row) => row.id);
const heads = {};
line(
  'one entry, in a case of 200 readings and more',
  await times(200, async (i) => {
    const id = cases[i % cases.length];
    const entry = task(`m${i}-${Date.now()}`);
    heads[id] = entry.id;
    return shop.post(`/api/cases/${id}/entries`, entry);
  }),
  'aim: median 40',
);
line('a case opens', await times(100, (i) => shop.get(`/api/cases/${cases[i % cases.length]}`)));
const large = '0000ffff-0000-7000-8000-000000000000';
line('the case of 5,000 entries opens', await times(40, () => shop.get(`/api/cases/${large}`)), 'aim: 150');
line('one entry in it', await times(40, (i) => shop.post(`/api/cases/${large}/entries`, task(`l${i}-${Date.now()}`))));

// Eight clients for half a minute, each at what people do.
const until = performance.now() + 30_000;
const all = { entry: [], open: [], springs: [], queue: [], search: [], create: [] };
const client = async (n) => {
  for (let i = 0; performance.now() < until; i++) {
    const id = cases[(n * 5 + i) % cases.length];
    const what = ['entry', 'entry', 'entry', 'open', 'entry', 'springs', 'entry', 'queue', 'entry', 'search', 'entry', 'create'][i % 12];
    if (what === 'entry') all.entry.push(await shop.post(`/api/cases/${id}/entries`, task(`c${n}-${i}-${until.toFixed(0)}`)));
    if (what === 'open') all.open.push(await shop.get(`/api/cases/${id}`));
    if (what === 'springs') all.springs.push(await shop.get(`/api/cases/${id}/sheets/springs`));
    if (what === 'queue') all.queue.push(await shop.get('/api/cases'));
    if (what === 'search') all.search.push(await shop.get(`/api/cases?find=${words[i % 4]}`));
    if (what === 'create') {
      const begun = performance.now();
      const made = await shop.newCase(`Made by ${n}`).then(() => 201, () => 500);
      all.create.push({ status: made, milliseconds: performance.now() - begun });
    }
  }
};
await Promise.all([...Array(8).keys()].map(client));
for (const [name, answers] of Object.entries(all)) line(`8 clients, 30 s: ${name}`, answers);
const total = Object.values(all).flat();
const wrong = total.filter((one) => one.status === 0 || one.status >= 400);
console.log(`${(total.length / 30).toFixed(0)} requests a second, ${wrong.length} not answered well ${wrong[0]?.text ?? ''}`);
server.kill('SIGTERM');
await ended(server);
const memory = readFileSync(log, 'utf8').trim().split('\n').map((one) => Number(one.split(' ')[2]) / 1024);
console.log(`peak memory of a request: ${Math.max(...memory).toFixed(0)} MB (aim: 64), median ${memory.sort((a, b) => a - b)[memory.length >> 1].toFixed(0)} MB`);
process.exit(wrong.length === 0 ? 0 : 1);
