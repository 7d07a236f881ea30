// Takes the pictures of the README anew, from a demo that bin/demo serves: node docs/screenshots/take.mjs [address] [name…]
import { chromium } from '@playwright/test';
import { join } from 'node:path';

const [shop = 'http://127.0.0.1:8740', ...only] = process.argv.slice(2);
const PERSON = 'T. Orrin';
const BENCH = { width: 1280, height: 800 };
const PHONE = { width: 360, height: 800 };

/** What is tried at the station that is shown. */
const TRIED = encodeURIComponent(
  JSON.stringify([{ places: ['B2-E1'], name: 'locator_thickness', to: { number: 0, unit: 'in' } }]),
);
const button = (name) => (page) => page.getByRole('button', { name }).first().click();
/** Name of the picture, place of the case or address of the shop, what is done there first; of the V8 but where another case of the demo is named. */
const PICTURES = [
  ['queue', '/'],
  ['library', '/library/links?of=mechanism-coil_bind'],
  ['story', 'story'],
  ['log', 'story/log'],
  ['teardown', 'teardown?at=B2-E1', (page) => page.keyboard.type('sbr')],
  ['plan', 'teardown/plan'],
  ['photograph', 'teardown/photographs', button(/open large/)],
  ['bench', 'bench?at=B2-E1'],
  ['clearances', 'clearances?at=B2-E1', button(/^4E travel to bind/)],
  ['station', `clearances/station?at=B2-E1&try=${TRIED}`],
  ['swept', 'bench/swept?at=B2-E1'],
  ['sweep', 'motion/sweep?at=A2-E1', undefined, 'four'],
  ['compare', 'compare', undefined, 'car 31'],
  ['cause', 'cause'],
  ['chain', 'cause/chain?event=coil_bind'],
  ['remedy', 'remedy/remedies', undefined, 'car 31'],
  ['reassembly', 'remedy/reassembly?at=B1-E1&stage=Springs', (page) => page.setViewportSize(PHONE), 'car 31'],
  ['report', 'report'],
  ['days', 'schedule'],
];

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless', '--no-sandbox'] });
const context = await browser.newContext({ viewport: BENCH, reducedMotion: 'reduce' });
await context.addInitScript((person) => localStorage.setItem('mute-tapper.person', person), PERSON);
const page = await context.newPage();
await page.goto(shop);
const { rows } = await (await page.request.get(`${shop}/api/cases`)).json();
for (const [name, place, act, of = 'car 23'] of PICTURES) {
  if (only.length > 0 && !only.includes(name)) continue;
  const { id } = rows.find((row) => row.name.includes(of));
  await page.goto(shop + (place.startsWith('/') ? place : `/case/${id}/${place}`));
  await page.waitForLoadState('networkidle');
  await act?.(page);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(name === 'report' || name === 'sweep' ? 5000 : 1000);
  await page.screenshot({ path: join(import.meta.dirname, `${name}.png`) });
  await page.setViewportSize(BENCH);
}
await browser.close();
