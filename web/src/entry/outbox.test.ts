import { afterEach, expect, test, vi } from 'vitest';
import { Refused, type EntryInput, type EntryView } from '../shared/api';
import { uuidv7 } from '../shared/uuid';
import { keptCounts } from './kept';
import { Outbox, type Stored, type Wire } from './outbox';

const entry = (text: string): EntryInput => ({
  id: uuidv7(),
  kind: 'reading',
  slot: { place: 'A1-E1', part: 'spring', item: 'free_height', index: 'outer' },
  supersedes: null,
  by: 'tests',
  at: new Date().toISOString(),
  data: { text },
});

const at = (text: string, place: string): EntryInput => {
  const made = entry(text);
  return { ...made, slot: { ...made.slot, place } };
};

const refusal = (status: number): Refused => new Refused({ title: 'No', status, detail: 'because' });
const stored = (input: EntryInput): { entry: EntryView; revision: number } => ({ entry: { id: input.id } as EntryView, revision: 1 });

const photograph = (name: string): Stored['photograph'] & object => ({ ...taken, sha256: shaOf(name) });
const shaOf = (name: string): string => name.padEnd(64, '0');
const taken = { fileName: '', mediaType: 'image/jpeg', width: 1, height: 1, workingCopy: 'made' as const } as unknown as NonNullable<
  Stored['photograph']
>;

const boxes: Outbox[] = [];
type Send = (input: EntryInput) => Promise<{ entry: EntryView; revision: number }>;

/** A server that answers each entry in one way, alone or together with others. */
const wireOf = (send: Send): Wire => ({
  entry: (_, input) => send(input),
  together: async (_, inputs) => {
    const taken: Stored[] = [];
    for (const input of inputs) taken.push(await send(input));
    return taken;
  },
  picture: (_, { name }) => Promise.resolve(photograph(name)),
});

function outbox(caseId: string, server: Send | Wire): Outbox {
  const box = new Outbox(caseId, () => undefined, typeof server === 'function' ? wireOf(server) : server);
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
  expect(sent.filter((text) => text === 'good')).toHaveLength(1);
  expect(box.snapshot().outgoing[0]).toMatchObject({ state: 'refused', problem: { detail: 'because' } });
  const asked = sent.length;
  await box.flush();
  expect(sent).toHaveLength(asked);
});

/** Counts what goes how, on a server that takes or refuses it, or fails at the first letters. */
function letters(refused: ReadonlySet<string | undefined>, failure?: Error, failing = Infinity) {
  const alone: (string | undefined)[] = [];
  const together: (string | undefined)[][] = [];
  const send: Send = (input) => (refused.has(input.data.text) ? Promise.reject(refusal(422)) : Promise.resolve(stored(input)));
  const wire = wireOf(send);
  const counted: Wire = {
    ...wire,
    entry: (id, input) => {
      alone.push(input.data.text);
      return wire.entry(id, input);
    },
    together: (id, inputs) => {
      together.push(inputs.map((input) => input.data.text));
      return failure !== undefined && together.length <= failing ? Promise.reject(failure) : wire.together(id, inputs);
    },
  };
  return { alone, together, counted };
}

test('what waits goes together, in the order in which it was made, of one slot too', async () => {
  const { alone, together, counted } = letters(new Set());
  const box = outbox('together', counted);
  const places = Array.from({ length: 60 }, (_, i) => at(`${i}`, `A${i}-E1`));
  await box.add(...places, at('60', 'A0-E1'));
  await settled(box, 0);
  expect(alone).toEqual([]);
  expect(together.map((letter) => letter.length)).toEqual([40, 21]);
  expect(together.flat()).toEqual(Array.from({ length: 61 }, (_, i) => `${i}`));
  expect((await keptCounts()).get('together')).toBeUndefined();
});

test('one that is refused is found among those that went with it, and the others arrive', async () => {
  const { alone, together, counted } = letters(new Set(['1']));
  const box = outbox('apart', counted);
  await box.add(at('0', 'A1-E1'), at('1', 'A2-E1'), at('2', 'A3-E1'));
  await settled(box, 1);
  expect(together).toEqual([['0', '1', '2']]);
  expect(alone).toEqual(['0', '1', '2']);
  expect(box.snapshot().outgoing[0]).toMatchObject({ state: 'refused', entry: { data: { text: '1' } }, problem: { detail: 'because' } });
  await box.add(at('3', 'A4-E1'), at('4', 'A5-E1'));
  await settled(box, 1);
  expect(together.at(-1)).toEqual(['3', '4']);
});

test('without a line nothing that went together is sent again by itself', async () => {
  const { alone, together, counted } = letters(new Set(), new TypeError('no line'));
  const box = outbox('no line', counted);
  await box.add(at('0', 'A1-E1'), at('1', 'A2-E1'));
  await expect.poll(() => box.snapshot().line).toBe('offline');
  expect([alone, together]).toEqual([[], [['0', '1']]]);
  expect(box.snapshot().outgoing.map((one) => one.state)).toEqual(['waiting', 'waiting']);
});

test.each([429, 503, 507])('a server that is busy or full (%d) is asked again for all of them together', async (status) => {
  const { alone, together, counted } = letters(new Set(), refusal(status), 1);
  const box = outbox(`busy ${status}`, counted);
  await box.add(at('0', 'A1-E1'), at('1', 'A2-E1'));
  await expect.poll(() => box.snapshot().line).toBe('fault');
  await box.flush();
  await settled(box, 0);
  const letter = ['0', '1'];
  expect([alone, together]).toEqual([[], [letter, letter]]);
});

test.each([408, 500, 502, 504])('where they take too long, or the program fails at them (%d), they go apart', async (status) => {
  const { alone, together, counted } = letters(new Set(), refusal(status), 1);
  const box = outbox(`fails ${status}`, counted);
  await box.add(at('0', 'A1-E1'), at('1', 'A2-E1'));
  await settled(box, 0);
  expect([alone, together]).toEqual([['0', '1'], [['0', '1']]]);
});

test('one at which the program failed keeps no others from going together', async () => {
  const { alone, together, counted } = letters(new Set());
  let up = false;
  const box = outbox('failed once', { ...counted, entry: (id, input) => (up ? counted.entry(id, input) : Promise.reject(refusal(500))) });
  await box.add(at('0', 'A1-E1'));
  await expect.poll(() => box.snapshot().line).toBe('fault');
  up = true;
  await box.add(at('1', 'A2-E1'), at('2', 'A3-E1'));
  await settled(box, 0);
  expect([alone, together]).toEqual([['0'], [['1', '2']]]);
});

test('a picture goes before its entry, and the entries beside it together', async () => {
  const { alone, together, counted } = letters(new Set());
  const pictures: string[] = [];
  let up = false;
  const offline = () => Promise.reject(new TypeError('no line'));
  const box = outbox('picture beside', {
    entry: (id, input) => (up ? counted.entry(id, input) : offline()),
    together: (id, inputs) => (up ? counted.together(id, inputs) : offline()),
    picture: (_, { name }) => (up ? (pictures.push(name), Promise.resolve(photograph(name))) : offline()),
  });
  await box.addPicture({ ...entry('of the picture'), kind: 'photograph' }, { bytes: new ArrayBuffer(1), name: 'abc', type: 'image/jpeg' });
  await box.add(at('1', 'A2-E1'), at('2', 'A3-E1'));
  await expect.poll(() => box.snapshot().line).toBe('offline');
  up = true;
  await box.flush();
  await settled(box, 0);
  expect([pictures, alone, together]).toEqual([['abc'], ['of the picture'], [['1', '2']]]);
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
  await expect.poll(() => box.snapshot().line).toBe('offline');
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
  await expect.poll(() => box.snapshot().line).toBe('fault');
  up = true;
  await box.flush();
  await settled(box, 0);
});

test.each([401, 403, 421])('a door that is closed (%d) keeps the entry waiting: nothing is wrong with it', async (status) => {
  let open = false;
  const box = outbox(`door ${status}`, (input) => (open ? Promise.resolve(stored(input)) : Promise.reject(refusal(status))));
  void box.add(entry('x'));
  await expect.poll(() => box.snapshot().line).toBe('shut');
  expect(box.snapshot().outgoing.map((one) => one.state)).toEqual(['waiting']);
  open = true;
  await box.flush();
  await settled(box, 0);
});

test('entries that make the server fail, however many, never block the others; those of their slot wait for them', async () => {
  const sent: (string | undefined)[] = [];
  const bad = new Set(['1', '2', '3', '4', '5', '6']);
  const box = outbox('faults', (input) => {
    if (bad.has(input.data.text ?? '')) return Promise.reject(refusal(500));
    sent.push(input.data.text);
    return Promise.resolve(stored(input));
  });
  for (const text of bad) await box.add(at(text, `A${text}-E1`));
  await box.add(at('after the first', 'A1-E1'), at('good', 'A9-E1'));
  await expect.poll(() => sent).toEqual(['good']);
  expect(box.snapshot().outgoing.map((one) => one.state)).toEqual(Array(7).fill('waiting'));
  expect(box.snapshot().outgoing[0]?.problem?.detail).toBe('because');
  bad.clear();
  await expect.poll(() => sent.length).toBe(8);
  expect(sent.indexOf('after the first')).toBeGreaterThan(sent.indexOf('1'));
});

test.each([408, 425, 429])('what the server only puts off (%d) is tried again', async (status) => {
  let answered = 0;
  const box = outbox(`later ${status}`, (input) => (answered++ === 0 ? Promise.reject(refusal(status)) : Promise.resolve(stored(input))));
  void box.add(entry('x'));
  await settled(box, 0);
  expect(answered).toBe(2);
});

test('what this browser cannot keep is said, and sent all the same', async () => {
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  let up = false;
  const sent: (string | undefined)[] = [];
  const box = outbox('full', (input) => {
    if (!up) return Promise.reject(new TypeError('no line'));
    sent.push(input.data.text);
    return Promise.resolve(stored(input));
  });
  await box.add(entry('x'));
  expect(box.snapshot().unkept).toBe(1);
  up = true;
  await box.flush();
  await settled(box, 0);
  expect(sent).toEqual(['x']);
  expect(box.snapshot().unkept).toBe(0);
  put.mockRestore();
});

test('what was sent is not kept any more', async () => {
  const box = outbox('gone', (input) => Promise.resolve(stored(input)));
  await box.add(entry('x'));
  await settled(box, 0);
  expect((await keptCounts()).get('gone')).toBeUndefined();
});

test('when the line is back, nobody has to press anything', async () => {
  let up = false;
  vi.useFakeTimers({ toFake: ['setTimeout'] }); // no second try by itself
  const box = outbox('online', (input) => (up ? Promise.resolve(stored(input)) : Promise.reject(new TypeError('no line'))));
  await box.load();
  await box.add(entry('x'));
  await vi.waitFor(() => expect(box.snapshot().line).toBe('offline'));
  up = true;
  window.dispatchEvent(new Event('online'));
  await vi.waitFor(() => expect(box.snapshot().outgoing).toHaveLength(0));
  vi.useRealTimers();
});

test('what a closed tab kept is sent by the one that is still open, and both show it', async () => {
  let up = false;
  const shown: string[] = [];
  const sent: (string | undefined)[] = [];
  const send = (input: EntryInput) => {
    if (!up) return Promise.reject(new TypeError('no line'));
    sent.push(input.data.text);
    return Promise.resolve(stored(input));
  };
  const second = new Outbox('tabs', (list) => void shown.push(...list.map((one) => one.entry.id)), wireOf(send));
  boxes.push(second);
  await second.load();
  const first = outbox('tabs', send);
  await first.load();
  await first.add(entry('x'));
  first.dispose();
  await expect.poll(() => second.snapshot().outgoing.length).toBe(1);
  up = true;
  await second.flush();
  await settled(second, 0);
  expect(sent).toEqual(['x']);
  expect(shown).toHaveLength(1);
});

test('one tab sends at a time, and what it sent the other does not send again', async () => {
  const queue: (() => void)[] = [];
  let held = Promise.resolve();
  vi.stubGlobal('navigator', { locks: { request: (_: string, work: () => Promise<void>) => (held = held.then(work)) } });
  const sent: (string | undefined)[] = [];
  const slow = (input: EntryInput) =>
    new Promise<{ entry: EntryView; revision: number }>((done) => {
      sent.push(input.data.text);
      queue.push(() => done(stored(input)));
    });
  const first = outbox('locks', slow);
  const second = outbox('locks', slow);
  await first.load();
  await second.load();
  await first.add(entry('1'));
  await second.add(entry('2'));
  await expect.poll(() => second.snapshot().outgoing.length).toBe(2);
  await new Promise((done) => setTimeout(done, 50));
  expect(sent).toEqual(['1']);
  while (first.snapshot().outgoing.length + second.snapshot().outgoing.length > 0) {
    queue.splice(0).forEach((go) => go());
    await new Promise((done) => setTimeout(done, 5));
  }
  expect(sent).toEqual(['1', '2']);
  vi.unstubAllGlobals();
});

test('a picture waits with its slot, and its entry names what the server kept', async () => {
  const sent: EntryInput[] = [];
  let up = false;
  const box = outbox('pictures', (input) => {
    if (!up) return Promise.reject(new TypeError('no line'));
    sent.push(input);
    return Promise.resolve(stored(input));
  });
  const picture = { bytes: new ArrayBuffer(3), name: 'abc', type: 'image/jpeg' };
  const of: EntryInput = {
    ...entry(''),
    kind: 'photograph',
    slot: { place: 'A1-E1', part: 'valve', item: 'photograph', index: null },
    data: {},
  };
  await box.addPicture(of, picture);
  box.dispose();
  up = true;
  const later = outbox('pictures', (input) => {
    sent.push(input);
    return Promise.resolve(stored(input));
  });
  await later.load();
  await settled(later, 0);
  expect(sent).toHaveLength(1);
  expect(sent[0]).toMatchObject({ id: of.id, slot: { place: 'A1-E1', index: shaOf('abc').slice(0, 16) }, data: { sha256: shaOf('abc') } });
  expect((await later.picture(of.id))?.name).toBeUndefined();
});

test('a picture that stands at its part already is there', async () => {
  const current = { id: 'other', kind: 'photograph' } as EntryView;
  const box = outbox('twice', () => Promise.reject(new Refused({ title: 'No', status: 409, detail: 'there', current })));
  await box.addPicture({ ...entry(''), kind: 'photograph' }, { bytes: new ArrayBuffer(1), name: 'abc', type: 'image/jpeg' });
  await settled(box, 0);
});
