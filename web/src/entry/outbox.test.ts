import { afterEach, expect, test } from 'vitest';
import { Refused, type EntryInput, type EntryView } from '../shared/api';
import { uuidv7 } from '../shared/uuid';
import { Outbox } from './outbox';

const entry = (text: string): EntryInput => ({
  id: uuidv7(),
  kind: 'reading',
  slot: { place: 'A1-E1', part: 'spring', item: 'free_height', index: 'outer' },
  supersedes: null,
  by: 'tests',
  at: new Date().toISOString(),
  data: { text },
});

const refusal = (status: number): Refused => new Refused({ title: 'No', status, detail: 'because' });
const stored = (input: EntryInput): { entry: EntryView; revision: number } => ({ entry: { id: input.id } as EntryView, revision: 1 });

const boxes: Outbox[] = [];
function outbox(caseId: string, send: (input: EntryInput) => Promise<{ entry: EntryView; revision: number }>): Outbox {
  const box = new Outbox(
    caseId,
    () => undefined,
    (_, input) => send(input),
  );
  boxes.push(box);
  return box;
}
afterEach(() => boxes.splice(0).forEach((box) => box.dispose()));

const settled = async (box: Outbox, count: number): Promise<void> => {
  await expect.poll(() => box.snapshot().outgoing.length).toBe(count);
};

test('entries are sent in the order in which they were made', async () => {
  const sent: (string | undefined)[] = [];
  const box = outbox('order', (input) => {
    sent.push(input.data.text);
    return Promise.resolve(stored(input));
  });
  for (const text of ['1', '2', '3']) void box.add(entry(text));
  await settled(box, 0);
  expect(sent).toEqual(['1', '2', '3']);
  expect(box.snapshot().savedAt).not.toBeNull();
});

test('a refused entry stays with its reason and never blocks the others', async () => {
  const sent: (string | undefined)[] = [];
  const box = outbox('refused', (input) => {
    sent.push(input.data.text);
    return input.data.text === 'bad' ? Promise.reject(refusal(422)) : Promise.resolve(stored(input));
  });
  void box.add(entry('bad'));
  void box.add(entry('good'));
  await settled(box, 1);
  expect(sent).toEqual(['bad', 'good']);
  expect(box.snapshot().outgoing[0]).toMatchObject({ state: 'refused', problem: { detail: 'because' } });
  await box.flush();
  expect(sent).toHaveLength(2);
});

test('a conflict is told apart from a refusal', async () => {
  const box = outbox('contested', () => Promise.reject(refusal(409)));
  void box.add(entry('mine'));
  await expect.poll(() => box.snapshot().outgoing[0]?.state).toBe('contested');
});

test('without a line entries wait, keep their order, and a later page sends them', async () => {
  const box = outbox('offline', () => Promise.reject(new TypeError('Failed to fetch')));
  await box.add(entry('first'));
  await box.add(entry('second'));
  await expect.poll(() => box.snapshot().line).toBe('down');
  expect(box.snapshot().outgoing.map((one) => one.state)).toEqual(['waiting', 'waiting']);
  box.dispose();

  const sent: (string | undefined)[] = [];
  const later = outbox('offline', (input) => {
    sent.push(input.data.text);
    return Promise.resolve(stored(input));
  });
  await later.load();
  await settled(later, 0);
  expect(sent).toEqual(['first', 'second']);
});

test('a fault of the server keeps the entry waiting', async () => {
  let up = false;
  const box = outbox('fault', (input) => (up ? Promise.resolve(stored(input)) : Promise.reject(refusal(500))));
  void box.add(entry('x'));
  await expect.poll(() => box.snapshot().line).toBe('down');
  up = true;
  await box.flush();
  await settled(box, 0);
});

test.each([401, 403, 421])('a door that is closed (%d) keeps the entry waiting: nothing is wrong with it', async (status) => {
  let open = false;
  const box = outbox(`door ${status}`, (input) => (open ? Promise.resolve(stored(input)) : Promise.reject(refusal(status))));
  void box.add(entry('x'));
  await expect.poll(() => box.snapshot().line).toBe('down');
  expect(box.snapshot().outgoing.map((one) => one.state)).toEqual(['waiting']);
  open = true;
  await box.flush();
  await settled(box, 0);
});
