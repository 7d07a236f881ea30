import { expect } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { atTheBench, newCase, shop, test } from './bench';

const ROOT = join(import.meta.dirname, '..', '..');

/** A request by hand: a browser would not let its host be set. */
function ask(
  address: string,
  headers: Record<string, string> = {},
): Promise<{ status: number; headers: NodeJS.Dict<string | string[]>; text: string }> {
  return new Promise((done, failed) => {
    httpRequest(address, { headers }, (response) => {
      let text = '';
      response.on('data', (part: Buffer) => (text += part.toString()));
      response.on('end', () => done({ status: response.statusCode ?? 0, headers: response.headers, text }));
    })
      .on('error', failed)
      .end();
  });
}

test('the shop answers to its own name, runs nothing but its own page, and says so in every header', async () => {
  expect((await ask(`${shop()}/api/cases`, { Host: 'evil.example' })).status).toBe(421);
  expect((await ask(`${shop()}/`, { Host: 'evil.example' })).status).toBe(421);
  for (const path of ['/index.php', '/index.php/api/cases', '/../composer.json', '/.env', '/build/../index.php']) {
    expect((await ask(shop() + path)).text, path).not.toContain('<?php');
  }
  expect((await ask(`${shop()}/index.php`)).status).toBe(404);
  const page = await ask(`${shop()}/`);
  expect(page.headers['content-security-policy']).toContain("script-src 'self';");
  expect(page.headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'x-frame-options': 'SAMEORIGIN', server: 'nginx' });
  const tooLong = await ask(`${shop()}/api/cases?find=${'x'.repeat(40_000)}`);
  expect([tooLong.status, tooLong.headers['content-type']]).toEqual([414, 'application/problem+json']);
});

test('no place of the app asks for what its content policy forbids', async ({ page, request }) => {
  await atTheBench(page, 'R. Test');
  const { id } = await newCase(request, 'Guarded');
  const refused: string[] = [];
  page.on('console', (message) => {
    if (/content security policy/i.test(message.text())) refused.push(message.text());
  });
  for (const step of ['', `case/${id}/story`, `case/${id}/teardown`, `case/${id}/bench`, `case/${id}/cause`, `case/${id}/report`]) {
    await page.goto(`${shop()}/${step}`);
    await page.waitForLoadState('networkidle');
  }
  await expect(page.frameLocator('iframe').getByText('Guarded').first()).toBeVisible();
  expect(refused).toEqual([]);
});

test('a case is found by a word, set aside and brought back by keyboard alone', async ({ page, request }) => {
  await atTheBench(page, 'R. Test');
  await newCase(request, 'Wagtail twin');
  await page.goto(`${shop()}/`);
  await page.getByRole('table').waitFor();
  await page.keyboard.press('/');
  await page.keyboard.type('wagtai');
  await expect(page.getByRole('link', { name: 'Wagtail twin' })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(2);
  await page.getByRole('button', { name: 'Wagtail twin: set aside' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('No case has these words.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Wagtail twin' })).toBeVisible();
});

test('a shop that is open to its network asks a device for the shop word once', async ({ browser }) => {
  const folder = mkdtempSync(join(tmpdir(), 'mute-tapper-lan.'));
  const printed = join(folder, 'address');
  const server: ChildProcess = spawn(
    join(ROOT, 'bin/serve'),
    ['--data', join(folder, 'data'), '--port', '8870', '--lan', '--print', printed],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  try {
    let told = '';
    server.stdout?.on('data', (text: Buffer) => (told += text.toString()));
    await expect.poll(() => existsSync(printed), { timeout: 120_000 }).toBe(true);
    const address = readFileSync(printed, 'utf8').trim();
    expect(told).toContain('can read and write every case');
    const word = /Shop word, asked once of each device: ([a-z-]{19})/.exec(told)?.[1] ?? '';
    expect(word).not.toBe('');
    expect((await ask(`${address}/api/cases`)).status).toBe(401);
    const device = await browser.newContext();
    const page = await device.newPage();
    await page.goto(`${address}/`);
    await page.getByLabel('Shop word').fill('aaaa-bbbb-cccc-dddd');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('not the shop word');
    await page.getByLabel('Shop word').fill(word);
    await page.keyboard.press('Enter');
    await expect(page.getByText('No cases yet.')).toBeVisible();
    await expect(page.getByRole('note')).toContainText('whoever tells the shop word there can read and write');
    expect(page.url()).not.toContain(word);
    await page.reload();
    await expect(page.getByText('No cases yet.')).toBeVisible();
    await device.close();
  } finally {
    await new Promise((done) => {
      server.once('exit', done);
      server.kill('SIGTERM');
    });
    rmSync(folder, { recursive: true, force: true });
  }
});
