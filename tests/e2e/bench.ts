import { expect, test as base, type APIRequestContext, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import type { components } from '../../web/src/shared/api-types';

type CaseView = components['schemas']['CaseView'];

export const shop = (): string => process.env['SHOP'] ?? '';
export const otherShop = (): string => process.env['OTHER_SHOP'] ?? '';

/** A UUIDv7, as the screens make them. */
export function uuid(): string {
  const hex =
    Date.now().toString(16).padStart(12, '0') +
    '7' +
    randomBytes(2).toString('hex').slice(1) +
    '8' +
    randomBytes(8).toString('hex').slice(1);
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** Requests of a test are those of a program: it shows the device word of the shop. */
export const test = base.extend({
  request: async ({ playwright }, provide) => {
    const program = await playwright.request.newContext({ extraHTTPHeaders: { 'X-Device-Word': process.env['DEVICE_WORD'] ?? '' } });
    await provide(program);
    await program.dispose();
  },
  page: async ({ page }, provide) => {
    if (SLOW > 1) await slowed(page, SLOW);
    if (FAR > 0) await page.context().route('**/api/**', (route) => sleep(FAR).then(() => route.fallback()));
    await provide(page);
  },
});

/** How many times slower the pages compute than this machine: what a hand does between two frames shows only on a slow one. */
const SLOW = Number(process.env['SLOW'] ?? 1);

/** How many milliseconds away the server is: an answer that comes late must not undo what the hand did meanwhile. */
const FAR = Number(process.env['FAR'] ?? 0);

/** For a test that takes long even here. */
export const patient = (milliseconds: number): void => test.setTimeout(milliseconds * SLOW);

export async function slowed(page: Page, times: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: Math.max(times, SLOW) });
}

interface Case {
  id: string;
  engine: Record<string, unknown>;
}

/** A case made by way of the API, for tests that begin in the middle of the work. */
export async function newCase(
  request: APIRequestContext,
  name: string,
  engine: Record<string, unknown> = { layout: 'vee', drive: 'pushrod', cylinders: 8, rockerRatio: 1.5 },
): Promise<Case> {
  const id = uuid();
  const response = await request.post(`${shop()}/api/cases`, { data: { id, name, by: 'tests', engine } });
  expect(response.status()).toBe(201);
  return { id, engine };
}

export async function atTheBench(page: Page, name: string): Promise<void> {
  await page.addInitScript((person) => localStorage.setItem('mute-tapper.person', person), name);
}

export const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'All entries saved' })).toBeVisible();

/** Types a reading into the live cell and goes on with Enter. */
export async function reading(page: Page, cell: string, text: string): Promise<void> {
  await page.getByLabel(cell, { exact: true }).pressSequentially(text);
  await page.keyboard.press('Enter');
}

/** The case as the server has it. */
export async function viewOf(request: APIRequestContext, id: string): Promise<CaseView> {
  return (await (await request.get(`${shop()}/api/cases/${id}`)).json()) as CaseView;
}

/** Every entry ever recorded, from the open file. */
export async function recorded(request: APIRequestContext, id: string): Promise<{ kind: string; data: { text?: string } | null }[]> {
  const document = (await (await request.get(`${shop()}/api/cases/${id}/case.json`)).json()) as {
    entries: { kind: string; data: { text?: string } | null }[];
  };
  return document.entries;
}

const ROOT = join(import.meta.dirname, '..', '..');

/** Runs a stand-in of a gauge, its lines carried to the shop by the cable program. */
export function sends(program: string, ...options: string[]): Promise<number | null> {
  const gauge = spawn(join(ROOT, 'simulated', program), options);
  const cable = spawn(join(ROOT, 'bin/gauge-cable'), [shop()], {
    env: { ...process.env, MUTE_TAPPER_DEVICE_WORD: process.env['DEVICE_WORD'] },
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  gauge.stdout.pipe(cable.stdin);
  return new Promise((done) => cable.once('exit', done));
}

/** Records an entry by way of the API. */
export async function entered(request: APIRequestContext, id: string, kind: string, slot: object, data: object): Promise<void> {
  const response = await request.post(`${shop()}/api/cases/${id}/entries`, {
    data: { id: uuid(), kind, supersedes: null, by: 'tests', at: new Date().toISOString(), slot: { index: null, ...slot }, data },
  });
  expect(response.status(), await response.text()).toBe(201);
}

/** A made-up spring pressed until it is solid, so much stronger or weaker at every height. */
export const sweptTo = (bind: number, moved = 0) => ({
  points: Array.from({ length: 200 }, (_, i) => Number((1.95 - 0.005 * i).toFixed(3)))
    .filter((height) => height > bind - 0.015)
    .map((height) => [height, Math.round(400 * (2.3 - Math.max(height, bind)) + moved + 24000 * Math.max(0, bind - height))]),
  heightUnit: 'in',
  loadUnit: 'lbf',
});

/** A phone in the hand. */
export const PHONE = { viewport: { width: 360, height: 800 }, hasTouch: true, isMobile: true, reducedMotion: 'reduce' as const };

/** A picture of one grey pixel. */
export const PIXEL = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNoAAAAggCBd81ytgAAAABJRU5ErkJggg==', 'base64');
