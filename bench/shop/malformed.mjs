// Sends malformed things to every door of a served shop, and looks after each whether the queue and a case can still be read:
//   node bench/shop/malformed.mjs DIR
import { mkdirSync } from 'node:fs';
import { request } from 'node:http';
import { ended, reading, serve, task, uuid } from './client.mjs';

const data = process.argv[2];
mkdirSync(data, { recursive: true, mode: 0o700 });
const { process: server, shop } = await serve(data, 8940);
const id = await shop.newCase('Malformed');
const good = reading('A1-E1', '1.800');
await shop.post(`/api/cases/${id}/entries`, good);
const document = JSON.parse((await shop.get(`/api/cases/${id}/case.json`)).text);
const counts = { sent: 0, faults: 0, hangs: 0, 'not JSON': 0, 'shop shut': 0 };
const told = [];

async function judged(name, answer, lockOut = true) {
  counts.sent++;
  const note = (what) => {
    counts[what]++;
    told.push(`${what}: ${name}: ${answer.status} ${answer.text.slice(0, 160)}`);
  };
  if (answer.status >= 500 || answer.status === 0) note('faults');
  if (answer.milliseconds > 10_000) note('hangs');
  if (answer.status >= 400 && answer.type !== 'application/problem+json') note('not JSON');
  if (!lockOut) return;
  const queue = await shop.get('/api/cases');
  const view = await shop.get(`/api/cases/${id}`);
  const report = counts.sent % 20 === 0 ? await shop.get(`/api/cases/${id}/report.html`) : { status: 200 };
  if (queue.status !== 200 || JSON.parse(queue.text).rows.some((row) => row.unreadable !== null) || view.status !== 200 || report.status !== 200)
    note('shop shut');
}

/** Every value of a document in turn replaced by each of these. */
const JUNK = [null, 0, -1, 1e308, '', ' ', 'x'.repeat(9000), [], {}, [[]], true, '\u0000', '\u{FFFE}\u000b', '../../etc/passwd', "'; DROP TABLE entry; --", '<script>1</script>', '{{7*7}}', '+100000 years', 'Infinity'];
function* mutants(value, path = []) {
  if (path.length > 0) for (const junk of JUNK) yield [path, junk];
  if (value !== null && typeof value === 'object') for (const key of Object.keys(value)) yield* mutants(value[key], [...path, key]);
}
const changed = (value, [key, ...rest], junk) => {
  const copy = Array.isArray(value) ? [...value] : { ...value };
  copy[key] = rest.length === 0 ? junk : changed(copy[key], rest, junk);
  return copy;
};

// Entries: each field of entries of several kinds.
const entry = (kind, place, part, item, index, data) => ({ ...good, id: uuid(), kind, slot: { place, part, item, index }, data });
const kinds = [
  reading('A2-E1', '1.800'),
  task('t'),
  entry('finding', 'A1-E1', 'spring', 'coils_bright', null, { severity: 2, note: 'n' }),
  entry('promise', 'engine', 'schedule', 'promise', null, { date: '2026-12-01' }),
  entry('order', 'engine', 'plan', 'order', null, { codes: [] }),
  entry('event', 'engine', 'timeline', 'event', 'e', { what: 'run', date: '2026-01-01', amount: 3, unit: 'h' }),
  entry('report', 'engine', 'schedule', 'report', 't', { laboratory: 'l', words: 'w', results: [{ name: 'n', value: 'v' }] }),
];
for (const one of kinds)
  for (const [path, junk] of mutants(one)) {
    const sent = { ...changed(one, path, junk) };
    if (path[0] !== 'id') sent.id = uuid();
    await judged(`${one.kind} ${path.join('/')} = ${JSON.stringify(junk)?.slice(0, 30)}`, await shop.post(`/api/cases/${id}/entries`, sent), counts.sent % 3 === 0);
  }
// Documents, calls, settings, engines.
const puts = [
  ['description', { name: 'n', story: { words: 'w', failed: ['A1-E1'] }, settings: { units: 'inch', school: 'usual', schools: {} }, by: 'b' }],
  ['engine?by=x', { layout: 'vee', drive: 'pushrod', cylinders: 8, rockerRatio: 1.5, firingOrder: [1, 2, 3, 4, 5, 6, 7, 8] }],
  ['call', { causes: ['not_listed'], words: 'w', confidence: 5, by: 'b' }],
  ['set-aside', { aside: false, by: 'b' }],
];
for (const [path, body] of puts)
  for (const [where, junk] of mutants(body))
    await judged(`${path} ${where.join('/')}`, await shop.ask('PUT', `/api/cases/${id}/${path}`, changed(body, where, junk), { 'If-Match': '"1"' }), counts.sent % 5 === 0);
// Whole documents.
document.signed_calls = [{ id: uuid(), by: 'b', at: '2026-11-25T10:00:00Z', content: { call: { causes: ['not_listed'], words: 'w', confidence: 5, by: 'b' }, ranking: { sentence: 's' }, revision: 1 } }];
document.call = document.signed_calls[0].content.call;
document.photographs = [{ sha256: 'a'.repeat(64), received_at: '2026-11-25T10:00:00Z' }];
for (const [where, junk] of mutants({ ...document, stations: [], story: { words: 'w', failed: [] } })) {
  const sent = changed(document, where, junk);
  if (where[1] !== 'id' && sent.case !== null && typeof sent.case === 'object') sent.case = { ...sent.case, id: uuid() };
  await judged(`import ${where.join('/')} = ${JSON.stringify(junk)?.slice(0, 30)}`, await shop.post('/api/cases/import?by=b', sent), counts.sent % 3 === 0);
}
// Bodies that are no JSON, cut, flipped, deep, many.
const body = JSON.stringify(task('cut'));
for (let i = 0; i < 40; i++) await judged(`cut at ${i}`, await shop.post(`/api/cases/${id}/entries`, body.slice(0, Math.floor((i * body.length) / 40))), i % 5 === 0);
for (let i = 0; i < 40; i++) {
  const bytes = Buffer.from(body);
  bytes[(i * 7) % bytes.length] ^= 1 << i % 8;
  await judged(`flipped ${i}`, await shop.post(`/api/cases/${id}/entries`, bytes), i % 5 === 0);
}
for (const [name, text] of [['deep', '['.repeat(100_000)], ['deep object', '{"a":'.repeat(10_000)], ['keys', JSON.stringify(Object.fromEntries([...Array(200_000).keys()].map((k) => [`k${k}`, 1])))], ['long', JSON.stringify({ ...task('l'), by: 'x'.repeat(20_000_000) })], ['NaN', '{"id":NaN}'], ['not UTF-8', Buffer.from([0x22, 0xff, 0xfe, 0x22])]]) {
  await judged(name, await shop.post(`/api/cases/${id}/entries`, text));
  await judged(`import ${name}`, await shop.post('/api/cases/import', text));
}
// Pictures and logs.
const png = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
const files = [Buffer.alloc(0), png, Buffer.concat([png, Buffer.alloc(1000, 7)]), Buffer.from('GIF89a'), Buffer.from('<svg onload="1"/>'), Buffer.from('RIFF....WEBPVP8 '), Buffer.from('ffd8ffe000104a464946', 'hex'), Buffer.alloc(5_000_000, 65), Buffer.from('a,b\n1,1e999\n'), Buffer.from('time_s,rpm\n1,1e308\n1e308,1e308\n2e308,1\n'), Buffer.from(`time_s,rpm${',x'.repeat(100_000)}\n1,2\n`), Buffer.from('time_s,rpm\n"1,2\n'), Buffer.from('\ufeff\ufefftime_s;rpm\n1,5;2\n')];
for (const [i, file] of files.entries())
  for (const name of ['a.png', '%ff%00', '../../x', `${'n'.repeat(4000)}`]) {
    const headers = { 'Content-Type': 'application/octet-stream', 'X-File-Name': name };
    await judged(`picture ${i} ${name.slice(0, 10)}`, await shop.post(`/api/cases/${id}/photographs`, file, headers), false);
    await judged(`log ${i} ${name.slice(0, 10)}`, await shop.post(`/api/cases/${id}/logs`, file, headers), false);
  }
// Addresses, by hand: a client library would not send them.
const raw = (path, method = 'GET') =>
  new Promise((done) => {
    const begun = performance.now();
    const sent = request({ host: '127.0.0.1', port: new URL(shop.address).port, path, method, headers: { 'X-Device-Word': shop.word } }, (response) => {
      let text = '';
      response.on('data', (part) => (text += part));
      response.on('end', () => done({ status: response.statusCode, text, milliseconds: performance.now() - begun, type: response.headers['content-type'] ?? '' }));
    });
    sent.on('error', (error) => done({ status: 0, text: String(error), milliseconds: performance.now() - begun, type: '' }));
    sent.end();
  });
const words = ['%ff', '%00', '..%2f..', "'", '%F0%9F', '9'.repeat(400), '-1', 'null', '%3Cscript%3E', '{}', 'x'.repeat(3000)];
for (const word of words)
  for (const path of [`/api/cases/${word}`, `/api/cases/${id}/${word}`, `/api/cases/${id}/sheets/${word}`, `/api/cases/${id}/trace/${word}/${word}`, `/api/cases/${id}/ledger/${word}`, `/api/cases/${id}/attention/${word}`, `/api/cases/${id}/photographs/${word}`, `/api/cases/${id}/papers/${word}`, `/api/cases?find=${word}`, `/api/cases?before=${word}`, `/api/cases?view=${word}`, `/api/cases?person=${word}`, `/api/cases?find[]=${word}`, `/api/log-analyses/${word}`, `/api/gauges/${word}/reading?quantity=${word}`, `/api/simulated/camera/${word}.png?seed=${word}`, `/api/calculations/${word}`, `/api/${word}`])
    await judged(path.slice(0, 60), await raw(path), false);
for (const method of ['DELETE', 'PATCH', 'OPTIONS', 'PROPFIND']) for (const path of ['/api/cases', `/api/cases/${id}`, '/api/door']) await judged(`${method} ${path}`, await raw(path, method), false);
for (const kind of ['report', 'tags', 'nonsense', '']) for (const options of [{}, { stations: ['Z'] }, { stations: Array(500).fill('A1-E1') }, { parts: ['wing'] }, [], 'x']) await judged(`paper ${kind}`, await shop.post(`/api/cases/${id}/papers`, { kind, options }), false);
await judged('at last', await shop.get('/api/cases'));
console.log(JSON.stringify(counts));
for (const one of told.slice(0, 40)) console.log(one);
server.kill('SIGTERM');
await ended(server);
process.exit(counts.faults + counts.hangs + counts['not JSON'] + counts['shop shut'] === 0 ? 0 : 1);
