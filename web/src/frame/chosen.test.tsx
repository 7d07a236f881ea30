import { act, screen } from '@testing-library/react';
import { Link } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, twin } from '../testing/case';
import { useChosen } from './Chosen';
import { useSection } from './useSection';

afterEach(() => vi.restoreAllMocks());

function Place() {
  const [chosen, choose] = useChosen();
  const [section, setSection] = useSection(['first', 'second'] as const);
  return (
    <>
      <output aria-label="station">{chosen}</output>
      <output aria-label="section">{section}</output>
      <button type="button" onClick={() => choose('A1-I1')}>
        pick 1I
      </button>
      <button type="button" onClick={() => choose('A2-E1')}>
        pick 2E
      </button>
      <button type="button" onClick={() => setSection('second')}>
        second
      </button>
      <Link to="?at=A2-I1">go there</Link>
      <Link to="/elsewhere">leave</Link>
    </>
  );
}
const station = (): string | null => screen.getByLabelText('station').textContent;

test('the station is that of the address, a cylinder means its first, and what is not there is the failed one', () => {
  const { go } = openCase(<Place />, { at: 'bench?at=A2-E1' });
  expect(station()).toBe('A2-E1');
  go('bench?at=A2');
  expect(station()).toBe('A2-E1');
});

test('an address of another engine is not followed', () => {
  openCase(<Place />, { at: 'bench?at=B4-E1', view: twin({ story: { answers: {}, failed: ['A2-I1'] } }) });
  expect(station()).toBe('A2-I1');
});

test('a link to another station of the same place is followed, after the hand too', async () => {
  const { user, address } = openCase(<Place />, { at: 'bench' });
  await user.click(screen.getByRole('button', { name: 'pick 2E' }));
  expect(station()).toBe('A2-E1');
  await expect.poll(address).toBe('bench?at=A2-E1');
  await user.click(screen.getByRole('link', { name: 'go there' }));
  expect(station()).toBe('A2-I1');
  await user.click(screen.getByRole('button', { name: 'pick 1I' }));
  expect(station()).toBe('A1-I1');
});

test('the hand does not wait for the address, which is written once when it rests', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  const { address } = openCase(<Place />, { at: 'bench?at=A2-I1' });
  for (const name of ['pick 1I', 'pick 2E']) {
    act(() => screen.getByRole('button', { name }).click());
    expect(address()).toBe('bench?at=A2-I1');
  }
  expect(station()).toBe('A2-E1');
  act(() => void vi.advanceTimersByTime(300));
  vi.useRealTimers();
  await expect.poll(address).toBe('bench?at=A2-E1');
});

test('a place that is still being fetched is not called back by the address of the one that is left', async () => {
  let arrive = (): void => undefined;
  const elsewhere = new Promise<void>((done) => (arrive = done));
  const { user } = openCase(<Place />, { at: 'bench?at=A2-I1', elsewhere });
  await user.click(screen.getByRole('button', { name: 'pick 2E' }));
  await user.click(screen.getByRole('link', { name: 'leave' }));
  await new Promise((rested) => setTimeout(rested, 400));
  arrive();
  expect(await screen.findByText('elsewhere')).toBeVisible();
});

test('what is open stands in the address, with the station', async () => {
  const { user, address, go } = openCase(<Place />, { at: 'bench?at=A2-I1' });
  expect(screen.getByLabelText('section')).toHaveTextContent('first');
  await user.click(screen.getByRole('button', { name: 'second' }));
  expect(address()).toBe('bench/second?at=A2-I1');
  expect(screen.getByLabelText('section')).toHaveTextContent('second');
  go('bench/nonsense');
  expect(screen.getByLabelText('section')).toHaveTextContent('first');
  expect(station()).toBe('A2-I1');
});

test('a hand that goes on while its address is being written is not thrown back', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  openCase(<Place />, { at: 'bench?at=A2-I1' });
  act(() => screen.getByRole('button', { name: 'pick 1I' }).click());
  act(() => {
    vi.advanceTimersByTime(250); // the address is on its way
    screen.getByRole('button', { name: 'pick 2E' }).click();
  });
  await act(() => vi.advanceTimersByTimeAsync(50));
  expect(station()).toBe('A2-E1');
  await act(() => vi.advanceTimersByTimeAsync(500));
  vi.useRealTimers();
  expect(station()).toBe('A2-E1');
});
