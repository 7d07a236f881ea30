import { screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, told } from '../shared/test-case';
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
  const { take, again, failed, forget } = usePhotographs(place, 'spring', 'as_found');
  return (
    <>
      <NotTaken failed={failed} again={again} forget={forget} />
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
  let isUp = false;
  vi.stubGlobal('fetch', () =>
    isUp ? Promise.resolve(new Response(JSON.stringify({ sha256: SHA }), { status: 201 })) : Promise.reject(new TypeError('no line')),
  );
  const { user, sent } = openCase(<Strip />);
  await user.click(screen.getByRole('button', { name: 'take' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('1E');
  await user.click(screen.getByRole('button', { name: 'walk on' }));
  isUp = true;
  await user.click(screen.getByRole('button', { name: words.photo.again }));
  await expect.poll(() => told(sent)[0]?.[0]).toBe(`A1-E1/spring/photograph/${SHA.slice(0, 16)}`);
  expect(sent[0]?.data.caption).toMatch(/^1E /);
  await expect.poll(() => screen.queryByRole('alert')).toBeNull();
});
