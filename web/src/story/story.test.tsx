import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { catalogue, openCase, told, twin } from '../testing/case';
import { Changed } from './Changed';
import { Claimed } from './Claimed';
import { ClaimedParts } from './ClaimedParts';
import { EngineForm } from './EngineForm';
import Story from './Story';
import { Symptoms } from './Symptoms';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

/** A server that keeps what is put, or refuses it. */
function putting(view: CaseView, refusal?: { status: number; detail: string; version?: number }) {
  const put: { path: string; ifMatch: string | undefined; body: Record<string, unknown> }[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(((
    path: string,
    options: { params: { header: Record<string, string> }; body: Record<string, unknown> },
  ) => {
    put.push({ path, ifMatch: options.params.header['If-Match'], body: options.body });
    return Promise.resolve(
      refusal === undefined
        ? { data: { ...view, descriptionVersion: 2, engineVersion: 2 }, response: new Response(null, { status: 200 }) }
        : { error: { title: 'No', ...refusal }, response: new Response(null, { status: refusal.status }) },
    );
  }) as never);
  return put;
}

const asked = {
  ...catalogue,
  questions: [
    { field: 'words', ask: 'What happened, in the customer’s words' },
    { field: 'when', ask: 'When' },
  ],
};

test('an answer is saved with the version that was seen, when the field is left', async () => {
  const view = twin({ descriptionVersion: 4, entries: [] });
  const put = putting(view);
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked } });
  await user.type(await screen.findByLabelText('When'), 'over six and a half');
  expect(put).toHaveLength(0);
  await user.tab();
  await waitFor(() => expect(put).toHaveLength(1));
  expect(put[0]).toMatchObject({
    path: '/api/cases/{id}/description',
    ifMatch: '"4"',
    body: { story: { when: 'over six and a half', failed: [] } },
  });
});

test('a story that another hand changed is shown beside this one, and neither is replaced unseen', async () => {
  const view = twin({ entries: [] });
  const put = putting(view, { status: 412, detail: 'The story was changed in another window.', version: 9 });
  const theirs = { descriptionVersion: 9, story: { answers: { ...view.story.answers, when: 'hot only' }, failed: [] } };
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked }, meanwhile: () => (put.length === 0 ? {} : theirs) });
  await user.type(await screen.findByLabelText('When'), 'cold');
  await user.tab();
  const both = await screen.findByRole('row', { name: /^When/ });
  expect(
    within(both)
      .getAllByRole('cell')
      .map((cell) => cell.textContent),
  ).toEqual(['hot only', 'cold']);
  expect(screen.getByLabelText('When')).toHaveValue('cold');
  expect(localStorage.getItem(`mute-tapper.story.${view.id}`)).toContain('cold');
  await user.type(screen.getByLabelText('When'), ' and hot');
  await user.tab();
  expect(put).toHaveLength(1); // leaving a field does not overwrite the other hand
  await user.click(screen.getByRole('button', { name: new RegExp(words.story.save) }));
  await waitFor(() => expect(put).toHaveLength(2));
  expect(put[1]?.ifMatch).toBe('"9"');
  await user.click(screen.getByRole('button', { name: words.document.take }));
  expect(screen.getByLabelText('When')).toHaveValue('hot only');
  expect(localStorage.getItem(`mute-tapper.story.${view.id}`)).toBeNull();
});

test('a draft that was kept goes to the server under the version it was written on', async () => {
  const view = twin({ descriptionVersion: 6, story: { answers: { when: 'theirs' }, failed: [] } });
  const own = (when: string) => ({ name: view.name, answers: { when }, failed: [], units: 'inch' });
  localStorage.setItem(`mute-tapper.story.${view.id}`, JSON.stringify({ draft: own('mine'), base: own('before'), version: 5 }));
  const put = putting(view);
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked } });
  expect(await screen.findByLabelText('When')).toHaveValue('mine');
  expect(screen.getByRole('row', { name: /^When/ })).toHaveTextContent('theirs');
  await user.click(screen.getByLabelText('When'));
  await user.tab();
  expect(put).toEqual([]);
});

test('a draft of an older page that cannot be read any more does not end the page', async () => {
  const view = twin();
  for (const kept of ['{"answers":', '{"name":"x"}', '{"draft":{},"base":{},"version":1}', '7']) {
    localStorage.setItem(`mute-tapper.story.${view.id}`, kept);
    openCase(<Story />, { view, get: { '/api/catalogue': asked } });
    expect((await screen.findAllByLabelText('When'))[0]).toHaveValue('');
    cleanup();
  }
});

test('what is typed while it is being saved stays', async () => {
  const view = twin({ descriptionVersion: 4, entries: [] });
  let done: () => void = () => undefined;
  const puts: string[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(((_path: string, { body }: { body: { story: Record<string, string> } }) => {
    puts.push(body.story['when'] ?? '');
    const fresh = { ...view, descriptionVersion: 4 + puts.length, story: { answers: body.story, failed: [] } };
    return new Promise((answered) => {
      done = () => answered({ data: fresh, response: new Response(null, { status: 200 }) });
    });
  }) as never);
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked } });
  await user.type(await screen.findByLabelText('When'), 'cold{Tab}');
  await user.type(screen.getByLabelText('When'), ' and hot');
  done();
  await waitFor(() => expect(screen.getByRole('button', { name: new RegExp(words.story.save) })).toBeEnabled());
  expect(screen.getByLabelText('When')).toHaveValue('cold and hot');
  await user.tab();
  await waitFor(() => expect(puts).toEqual(['cold', 'cold and hot']));
});

test('what is marked while an answer is on its way waits for it, and is no other hand', async () => {
  const view = twin({ descriptionVersion: 4, entries: [] });
  let done: () => void = () => undefined;
  const puts: string[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(((
    _path: string,
    { params, body }: { params: { header: Record<string, string> }; body: { story: Record<string, unknown> } },
  ) => {
    puts.push(params.header['If-Match'] ?? '');
    const fresh = { ...view, descriptionVersion: 4 + puts.length, story: { answers: body.story, failed: body.story['failed'] } };
    return new Promise((answered) => {
      done = () => answered({ data: fresh, response: new Response(null, { status: 200 }) });
    });
  }) as never);
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked } });
  await user.type(await screen.findByLabelText('When'), 'cold{Tab}');
  await waitFor(() => expect(puts).toEqual(['"4"']));
  await user.click(screen.getByRole('button', { name: /1E/ }));
  expect(puts).toEqual(['"4"']);
  done();
  await waitFor(() => expect(puts).toEqual(['"4"', '"5"']));
  done();
  await waitFor(() => expect(screen.getByRole('button', { name: new RegExp(words.story.save) })).toBeEnabled());
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a station is reported failed at once from the plan', async () => {
  const view = twin();
  const put = putting(view);
  const { user } = openCase(<Story />, { view, get: { '/api/catalogue': asked } });
  await user.click(screen.getByRole('button', { name: /1E/ }));
  await waitFor(() => expect(put[0]?.body).toMatchObject({ story: { failed: ['A1-E1'] } }));
});

test('a part claimed is words first, then how well they are known', async () => {
  const { user, sent } = openCase(<ClaimedParts />);
  await user.type(screen.getByLabelText('claimed springs, all intakes'), 'pale dots, new last winter{Enter}');
  await user.type(screen.getByLabelText('claimed oil: grade and maker’s code'), 'thin, from the drum');
  await user.tab();
  await waitFor(() => expect(sent).toHaveLength(2));
  await user.click(screen.getByLabelText('how well known: springs, all intakes'));
  await user.click(await screen.findByTitle('known'));
  await user.click(screen.getByLabelText('how well known: springs, all exhausts'));
  await user.click((await screen.findAllByTitle('unknown')).at(-1) as HTMLElement);
  await waitFor(() => expect(sent).toHaveLength(4));
  expect(told(sent)).toEqual([
    ['kind-I/springs/claimed.words', { words: 'pale dots, new last winter', standing: 'said' }],
    ['engine/oil/claimed.words', { words: 'thin, from the drum', standing: 'said' }],
    ['kind-I/springs/claimed.words', { words: 'pale dots, new last winter', standing: 'known' }],
    ['kind-E/springs/claimed.words', { standing: 'unknown' }],
  ]);
});

test('how well a thing is known may be said before the thing', async () => {
  const { user, sent } = openCase(<ClaimedParts />);
  await user.click(screen.getByLabelText('how well known: springs, all intakes'));
  await user.click(await screen.findByTitle('known'));
  expect(sent).toEqual([]);
  await user.type(screen.getByLabelText('claimed springs, all intakes'), 'pale dots{Enter}');
  await waitFor(() => expect(told(sent)).toEqual([['kind-I/springs/claimed.words', { words: 'pale dots', standing: 'known' }]]));
});

test('Escape puts back what was claimed, and an emptied claim is taken back', async () => {
  const entries = [
    { kind: 'claim' as const, place: 'engine', part: 'oil', item: 'claimed.words', content: { words: 'thin', standing: 'known' as const } },
  ];
  const { user, sent } = openCase(<ClaimedParts />, { entries });
  const oil = screen.getByLabelText('claimed oil: grade and maker’s code');
  await user.type(oil, 'ner still{Escape}');
  expect(oil).toHaveValue('thin');
  await user.clear(oil);
  await user.tab();
  await waitFor(() => expect(sent.map((entry) => entry.kind)).toEqual(['withdrawal']));
});

test('a claimed figure that is refused stays in its field with the reason', async () => {
  const columns = catalogue.columns.map((one) => (one.code === 'lash' ? { ...one, claimable: true } : one));
  const { user, sent } = openCase(<Claimed />, {
    get: { '/api/catalogue': { ...catalogue, columns } },
    refuse: () => ({ detail: 'x', reason: 'lash: “two thou” is not a length; write 0.002 in or 0.05 mm' }),
  });
  const lash = await screen.findByLabelText('claimed lash, all intakes');
  await user.type(lash, 'two thou{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('write 0.002 in or 0.05 mm');
  expect(lash).toHaveValue('two thou');
  expect(lash).toHaveAttribute('aria-invalid', 'true');
  expect(told(sent)).toEqual([['kind-I/valve/claimed.lash', { text: 'two thou', standing: 'said' }]]);
});

test('a load claimed at a height is sent as two readings', async () => {
  const columns = [
    ...catalogue.columns,
    { ...catalogue.columns[2], code: 'seat_load', label: 'seat load', part: 'spring', sheet: 'spring' },
  ].map((one) => (one.code === 'seat_load' ? { ...one, claimable: true, atHeight: true, byCoil: true } : one));
  const { user, sent } = openCase(<Claimed />, { get: { '/api/catalogue': { ...catalogue, columns } } });
  await user.type(await screen.findByLabelText('claimed seat load, all exhausts'), '130 lbf at 1.800 in{Enter}');
  await waitFor(() =>
    expect(told(sent)).toEqual([['kind-E/spring/claimed.seat_load/outer', { text: '130 lbf', standing: 'said', atText: '1.800 in' }]]),
  );
});

test('symptoms that this engine cannot have are not asked, and an answer can be taken back', async () => {
  const running = [
    { ...catalogue.signs[0], code: 'misfire_high', name: 'misfire at high speed', parts: ['running'] },
    { ...catalogue.signs[0], code: 'pump_up', name: 'follower pumped up', parts: ['running'] },
  ];
  const { user, sent } = openCase(<Symptoms />, {
    view: twin({ possibleSigns: ['misfire_high'] }),
    get: { '/api/catalogue': { ...catalogue, signs: running } },
  });
  const misfire = await screen.findByRole('radiogroup', { name: 'misfire at high speed' });
  expect(screen.queryByRole('radiogroup', { name: 'follower pumped up' })).toBeNull();
  await user.click(within(misfire).getByRole('radio', { name: /much/ }));
  await waitFor(() => expect(within(misfire).getByRole('radio', { name: /much/ })).toBeChecked());
  await user.click(screen.getByRole('button', { name: 'take back: misfire at high speed' }));
  await waitFor(() =>
    expect(sent.map((entry) => [entry.kind, entry.slot.item])).toEqual([
      ['finding', 'misfire_high'],
      ['withdrawal', 'misfire_high'],
    ]),
  );
});

const engine = {
  drive: 'pushrod',
  layout: 'inline',
  cylinders: 2,
  intakeValves: 1,
  exhaustValves: 1,
  face: 'flat',
  lash: 'solid',
  summary: 'Inline 2, 4 valves',
  firingOrder: [1, 2],
  firingAngles: [],
  numbering: { A: [1, 2] },
  valveOrder: { A: 'EIIE' },
};

test('the engine is saved with numbers read from the fields, and shown as it is entered', async () => {
  const view = twin({ engine });
  const put = putting(view);
  const { user, asked: requests } = openCase(<EngineForm />, {
    view,
    get: { '/api/engine/plan': { plan: view.plan, engine: { summary: 'As typed' } } },
  });
  expect(await screen.findByRole('img', { name: /As typed/ })).toBeVisible();
  const firing = screen.getByLabelText('Firing order');
  await user.clear(firing);
  await user.type(firing, '2 - 1');
  await user.type(screen.getByLabelText(/^Fires at/), '0 270');
  await waitFor(() =>
    expect(requests.at(-1)?.body).toMatchObject({ firingOrder: [2, 1], firingAngles: [0, 270], valveOrder: { A: 'EIIE' } }),
  );
  await user.click(screen.getByRole('button', { name: /Save the engine/ }));
  await waitFor(() => expect(put[0]).toMatchObject({ path: '/api/cases/{id}/engine', ifMatch: '"1"', body: { firingOrder: [2, 1] } }));
  expect(put[0]?.body).not.toHaveProperty('summary');
});

test('another number of cylinders asks for new defaults instead of keeping numbers that cannot fit', async () => {
  const view = twin({ engine });
  putting(view);
  const { user, asked: requests } = openCase(<EngineForm />, {
    view,
    get: { '/api/engine/plan': { plan: view.plan, engine: { summary: 'As typed' } } },
  });
  const cylinders = await screen.findByLabelText(/^Cylinders/);
  await user.clear(cylinders);
  await user.type(cylinders, '4');
  await waitFor(() => expect(requests.at(-1)?.body).toMatchObject({ cylinders: 4, valveOrder: null }));
  expect(requests.at(-1)?.body).not.toHaveProperty('numbering', engine.numbering);
});

test('a refused change of the engine says which entries would lose their place', async () => {
  const view = twin({ engine });
  putting(view, { status: 409, detail: 'Entries stand at 2E, which the changed engine does not have.' });
  const { user } = openCase(<EngineForm />, {
    view,
    get: { '/api/engine/plan': { plan: view.plan, engine: { summary: 'As typed' } } },
  });
  await user.type(screen.getByLabelText('Rocker ratio'), '1.6');
  await user.click(screen.getByRole('button', { name: /Save the engine/ }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Entries stand at 2E');
});

test('an engine that another hand changed meanwhile is shown beside what is written here, and is not replaced unseen', async () => {
  const view = twin({ engine });
  let version = 1;
  const { user, refetch } = openCase(<EngineForm />, {
    view,
    get: { '/api/engine/plan': { plan: view.plan, engine: { summary: 'As typed' } } },
    meanwhile: () => ({ engine: { ...view.engine, intendedSpeed: 7200 }, engineVersion: (version += 1) }),
  });
  await user.type(screen.getByLabelText('Intended speed, 1/min'), '8000');
  await refetch();
  const theirs = await screen.findByRole('alert');
  expect(theirs).toHaveTextContent('7200');
  expect(theirs).toHaveTextContent('8000');
  await user.click(screen.getByRole('button', { name: words.document.take }));
  expect(screen.getByLabelText('Intended speed, 1/min')).toHaveValue('7200');
});

test('what was changed before the engine came is asked of what this engine has', async () => {
  const changed = (part: string, sign: string) => ({
    code: `replaced_${part}`,
    ask: `Other ${part}`,
    step: 'story',
    part: 'running',
    site: 'engine',
    signs: [sign],
    several: false,
    choices: [{ code: 'no_effect', label: 'no effect', meaning: 'Not in them.', spoils: false, denies: true }],
  });
  const asked = [changed('springs', 'gone_with_springs'), changed('pushrods', 'gone_with_pushrods')];
  const { user, sent } = openCase(<Changed />, {
    view: twin({ possibleSigns: ['gone_with_springs'] }),
    get: { '/api/catalogue': { ...catalogue, asked } },
  });
  await user.click(await screen.findByLabelText('Other springs'));
  await user.click(await screen.findByTitle('Not in them.'));
  await expect
    .poll(() => sent.at(-1))
    .toMatchObject({ kind: 'answer', slot: { place: 'engine', item: 'replaced_springs' }, data: { choice: 'no_effect' } });
  expect(screen.queryByText('Other pushrods')).toBeNull();
});
