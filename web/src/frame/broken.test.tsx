import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { Guarded } from './Broken';

beforeEach(() => {
  // React tells of the error that the boundary takes.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => vi.restoreAllMocks());

function Failing({ message }: { message: string }): never {
  throw new Error(message);
}

function Places({ message }: { message: string }) {
  const [place, setPlace] = useState('bench');
  return (
    <>
      <button type="button" onClick={() => setPlace('cause')}>
        go on
      </button>
      <Guarded place={place}>{place === 'bench' ? <Failing message={message} /> : <p>the other place</p>}</Guarded>
    </>
  );
}

test('a place that fails ends in words, and the others go on', async () => {
  render(<Places message="row is undefined" />);
  expect(screen.getByRole('alert')).toHaveTextContent(words.broken.title);
  expect(screen.getByRole('alert')).toHaveTextContent('row is undefined');
  expect(screen.getByRole('button', { name: words.broken.reload })).toBeVisible();
  await userEvent.setup().click(screen.getByRole('button', { name: 'go on' }));
  expect(screen.getByText('the other place')).toBeVisible();
});

test('a part of an older page that is not there any more asks for the page to be loaded again', () => {
  render(<Places message="Failed to fetch dynamically imported module: /build/assets/Bench-1.js" />);
  expect(screen.getByRole('alert')).toHaveTextContent(words.broken.newer);
});
