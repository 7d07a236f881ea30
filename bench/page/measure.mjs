// Page benchmark: what entering costs in a real browser, on an engine of 32 valves and on one of four, side by side in one run.
// Milliseconds are for this machine; only counts, bytes and the ratio of the two engines are judged.
import { chromium } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ended, serve, uuid } from '../shop/client.mjs';

const ENTRIES = 10;
const EVERY = 800; // ms between two entries, a fast hand
const LIMITS = { requests: 15, bytes: 60_000, firstLoad: 350_000, ratio: 2.5 };

const folder = mkdtempSync(join(tmpdir(), 'mute-tapper-page.'));
const { process: server, shop } = await serve(folder, 8920);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const failures = [];
const judge = (name, value, most) => {
  const ok = value <= most;
  console.log(`${ok ? '  ' : '! '}${name.padEnd(58)} ${String(Math.round(value * 100) / 100).padStart(9)}   at most ${most}`);
  if (!ok) failures.push(name);
};
const show = (name, list) => console.log(`  ${name.padEnd(58)} ${quantile(list, 0.5)} / ${quantile(list, 0.95)} / ${quantile(list, 1)} ms`);
const quantile = (list, q) => {
  const sorted = [...list].sort((a, b) => a - b);
  return Math.round(sorted[Math.min(sorted.length - 1, Math.ceil(q * sorted.length) - 1)] ?? 0);
};

try {
  await firstLoad();
  const engines = {
    '32 valves': { layout: 'vee', drive: 'bucket', cylinders: 8, intakeValves: 2, exhaustValves: 2 },
    '4 valves': { layout: 'inline', drive: 'pushrod', cylinders: 2, intakeValves: 1, exhaustValves: 1, rockerRatio: 1.5 },
  };
  const enters = {};
  for (const [name, engine] of Object.entries(engines)) {
    const id = await filled(engine);
    console.log(`\n${name}`);
    enters[name] = await typing(id);
    await tenEntries(id, name);
  }
  console.log('');
  const ratio = quantile(enters['32 valves'], 0.5) / Math.max(1, quantile(enters['4 valves'], 0.5));
  judge('Enter to paint, 32 valves over 4 (median)', ratio, LIMITS.ratio);
} finally {
  await browser.close();
  const end = ended(server);
  server.kill('SIGTERM');
  await end;
  rmSync(folder, { recursive: true, force: true });
}
if (failures.length > 0) {
  console.log(`\nabove its limit: ${failures.join('; ')}`);
  process.exit(1);
}

/** A case whose springs and signs are nearly all there: what a screen has to carry. */
async function filled(engine) {
  const id = await shop.newCase('Page benchmark', engine);
  const view = JSON.parse((await shop.get(`/api/cases/${id}`)).text);
  const columns = { free_height: '2.050', bind_height: '1.100', load_seat: '118', wire: '0.180' };
  const entries = view.stations.flatMap(({ code }, i) => [
    ...Object.entries(columns).map(([item, text]) => ({
      kind: 'reading',
      slot: { place: code, part: 'spring', item, index: 'outer' },
      data: { text: i % 5 === 0 ? text.replace('0', '2') : text, ...(item === 'load_seat' ? { atText: '1.800' } : {}) },
    })),
    { kind: 'reading', slot: { place: code, part: 'spring_seat', item: 'installed_height', index: null }, data: { text: '1.800' } },
    ...view.parts
      .filter((part) => part.site === 'station')
      .map((part) => ({ kind: 'look', slot: { place: code, part: part.code, item: 'look', index: null }, data: { state: 'as_found' } })),
  ]);
  let refused = 0;
  for (const entry of entries) {
    const made = { id: uuid(), supersedes: null, by: 'bench', at: new Date().toISOString(), ...entry };
    const { status } = await shop.post(`/api/cases/${id}/entries`, made);
    if (status !== 201) refused++;
  }
  console.log(`\n${entries.length - refused} of ${entries.length} entries stored beforehand`);
  return id;
}

async function opened(address) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  await context.addInitScript(() => localStorage.setItem('mute-tapper.person', 'Bench'));
  const page = await context.newPage();
  await page.goto(`${shop.address}${address}`);
  return { page, context };
}

/** Script transferred until the first place shows, as it is sent. */
async function firstLoad() {
  const context = await browser.newContext();
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  const scripts = new Set();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && scripts.add(requestId));
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto(shop.address);
  await page.getByRole('link', { name: 'New case' }).first().waitFor();
  await page.waitForLoadState('networkidle');
  judge('first load, JavaScript as sent, bytes', bytes, LIMITS.firstLoad);
  await context.close();
}

/** Time from a key going down to the frame that shows what it did, in the page itself. */
async function typing(id) {
  const { page, context } = await opened(`/case/${id}/bench?at=A1-E1`);
  await page.locator('.bench-table input:focus').waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.painted = { letters: [], enters: [] };
    window.addEventListener(
      'keydown',
      (event) => {
        const from = performance.now();
        const list = event.key === 'Enter' ? window.painted.enters : window.painted.letters;
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => list.push(performance.now() - from);
          channel.port2.postMessage(null);
        });
      },
      true,
    );
  });
  for (let i = 0; i < 30; i++) {
    await page.keyboard.type(`1.${String(700 + i)}`, { delay: 30 });
    await page.keyboard.press('Enter');
    await page.waitForTimeout(250);
  }
  const { letters, enters } = await page.evaluate(() => window.painted);
  show('letter to paint, median / p95 / most', letters);
  show('Enter to paint, median / p95 / most', enters);
  await context.close();
  return enters;
}

/** Requests and bytes of ten entries, one after the other as a hand makes them, until all is still again. */
async function tenEntries(id, name) {
  const { page, context } = await opened(`/case/${id}/bench?at=A1-E1`);
  await page.locator('.bench-table input:focus').waitFor();
  await page.waitForTimeout(3000);
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  let requests = 0;
  let bytes = 0;
  const paths = {};
  session.on('Network.requestWillBeSent', ({ request }) => {
    requests++;
    const path = `${request.method} ${new URL(request.url).pathname.replace(id, '{id}')}`;
    paths[path] = (paths[path] ?? 0) + 1;
  });
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  for (let i = 0; i < ENTRIES; i++) {
    await page.keyboard.type(`1.${String(600 + i)}`);
    await page.keyboard.press('Enter');
    await page.waitForTimeout(EVERY);
  }
  await page.waitForTimeout(5000);
  console.log(`  ${Object.entries(paths).map(([path, n]) => `${n} ${path}`).join(', ')}`);
  judge(`${name}: requests of ${ENTRIES} entries`, requests, LIMITS.requests);
  judge(`${name}: bytes of ${ENTRIES} entries, as received`, bytes, LIMITS.bytes);
  await context.close();
}
