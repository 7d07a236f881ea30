import { screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, told } from '../testing/case';
import { NotTaken } from './NotTaken';
import { usePhotographs } from './usePhotographs';

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const SHA = 'ab'.repeat(32);
const file = new File(['x'], 'spring.jpg', { type: 'image/jpeg' });

/** A strip that follows the person from station to station. */
function Strip() {
  const [place, setPlace] = useState('A1-E1');
  const { take } = usePhotographs(place, 'spring', 'as_found');
  return (
    <>
      <NotTaken />
      <button type="button" onClick={() => void take([file])}>
        take
      </button>
      <button type="button" onClick={() => setPlace('A2-I1')}>
        walk on
      </button>
    </>
  );
}

test('a picture that is tried again is filed where it was taken, not where the person stands now', async () => {
  let isGood = false;
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      isGood
        ? new Response(JSON.stringify({ sha256: SHA }), { status: 201 })
        : new Response(JSON.stringify({ status: 422, detail: 'Not a picture.' }), { status: 422 }),
    ),
  );
  const { user, sent } = openCase(<Strip />);
  await user.click(screen.getByRole('button', { name: 'take' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('1E');
  await user.click(screen.getByRole('button', { name: 'walk on' }));
  isGood = true;
  await user.click(screen.getByRole('button', { name: words.photo.again }));
  await expect.poll(() => told(sent)[0]?.[0]).toBe(`A1-E1/spring/photograph/${SHA.slice(0, 16)}`);
  expect(sent[0]?.data.caption).toMatch(/^1E /);
  await expect.poll(() => screen.queryByRole('alert')).toBeNull();
});

test('without a line a picture waits in this browser, with the place it was taken at', async () => {
  let isUp = false;
  vi.stubGlobal('fetch', () =>
    isUp ? Promise.resolve(new Response(JSON.stringify({ sha256: SHA }), { status: 201 })) : Promise.reject(new TypeError('no line')),
  );
  const { user, sent } = openCase(<Strip />);
  await user.click(screen.getByRole('button', { name: 'take' }));
  await user.click(screen.getByRole('button', { name: 'walk on' }));
  expect(screen.queryByRole('alert')).toBeNull();
  isUp = true;
  await expect
    .poll(() => {
      window.dispatchEvent(new Event('online'));
      return told(sent)[0]?.[0];
    })
    .toBe(`A1-E1/spring/photograph/${SHA.slice(0, 16)}`);
});
