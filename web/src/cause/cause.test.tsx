import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type CaseView, type RankingView } from '../shared/api';
import { words } from '../shared/messages';
import { setPerson } from '../shared/person';
import { openCase, told, twin } from '../testing/case';
import { Call } from './Call';
import CauseBoard from './CauseBoard';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

const cause = (code: string, label: string, probability: number) => ({
  code,
  label,
  probability,
  family: 'f',
  familyLabel: 'height',
  region: '2E',
  places: ['A2-E1'],
  form: '',
});
const ranking = {
  standing: 'leader',
  sentence: 'Installed height too small leads.',
  leading: ['height_small'],
  revision: 3,
  evidence: { coils_bright: 'a', tip_peened: 'b' },
  present: 4,
  absent: 3,
  unexplained: 0.02,
  open: [],
  hearsay: [],
  leftOver: [{ sign: 'tip', name: 'a worn rocker tip', whole: true, places: [], words: 'a worn rocker tip' }],
  further: [{ code: 'float', label: 'Valve float', region: 'everywhere', gain: 12, explains: 'seat hammered', outside: false }],
  firstEvent: { event: 'bind', label: 'Coil bind', probability: 0.95, station: 'A2-E1', words: 'Coil bind, 2E' },
  causes: [
    cause('height_small', 'Installed height too small', 0.93),
    cause('float', 'Valve float', 0.21),
    ...['a', 'b', 'c', 'd', 'e'].map((code) => cause(code, `Cause ${code}`, 0.001)),
  ],
  explanations: [],
  mechanisms: [
    { code: 'bind', label: 'Coil bind', probability: 0.95, established: true },
    { code: 'fatigue', label: 'Fatigue', probability: 0.04, established: false },
  ],
  excluded: [{ code: 'oil', label: 'Oil starvation', because: 'lobes looked at and clean' }],
} as unknown as RankingView;
const line = (sign: string, wording: string, factor: string, decibans: number) => ({
  sign,
  words: wording,
  factor,
  decibans,
  step: 'teardown',
  places: ['A2-E1'],
});
const ledger = {
  code: 'height_small',
  label: 'Installed height too small',
  explain: 'The spring was closed further than it can go.',
  for: [line('coils_bright', 'adjacent coils bright at 2E', '×32', 15.1)],
  against: [line('tip_peened', 'tip not peened at 2E', '÷2', -3)],
  start: -12,
  evidence: 12.1,
  total: 0.1,
  silent: 2,
  silentNames: ['locks worn', 'how it lies, seat hammered'],
  region: '2E',
  baseline: 'none listed',
};
const check = {
  check: {
    code: 'height',
    label: 'Installed height',
    minutes: 5,
    days: 0,
    site: 'station',
    signs: [],
    reading: 'Against the claim.',
    destroys: ['bright marks'],
    caution: 'Guard closed.',
  },
  bits: 0.9,
  stations: ['A2-E1'],
  where: '2E',
  sign: 'height below the claim',
  found: { words: 'installed height too small', probability: 0.96 },
  clear: { words: 'nothing listed', probability: 0.24 },
  step: 'bench',
  ifFound: [],
  ifClear: [],
};
/** What a call may leave unsaid. */
const rest = { firstEvent: null, ruledOut: [], open: '' };
const served = {
  '/api/cases/{id}/ranking': ranking,
  '/api/cases/{id}/ledger/{cause}': ledger,
  '/api/cases/{id}/next-checks': { checks: [check] },
  '/api/cases/{id}/calls': [],
  '/api/cases/{id}/past-cases': [],
  '/api/cases/{id}/chain': { events: [], links: [], orders: [], first: null, firstBy: '', edits: [], contained: [], left: [] },
};

/** A server that keeps calls under the version that was seen. */
function calling(view: CaseView, refuse?: { status: number; detail: string; version?: number }) {
  const put: { ifMatch: string; body: Record<string, unknown> }[] = [];
  vi.spyOn(api, 'PUT').mockImplementation(((
    _path: string,
    { params, body }: { params: { header: { 'If-Match': string } }; body: Record<string, unknown> },
  ) => {
    put.push({ ifMatch: params.header['If-Match'], body });
    return Promise.resolve(
      refuse === undefined || put.length > 1
        ? { data: { ...view, callVersion: 2, call: body }, response: new Response(null, { status: 200 }) }
        : { error: { title: 'No', ...refuse }, response: new Response(null, { status: refuse.status }) },
    );
  }) as never);
  return put;
}

test('the board says who leads, what speaks for it and against it, and what is excluded', async () => {
  const { user } = openCase(<CauseBoard />, { get: served });
  expect(await screen.findByRole('status')).toHaveTextContent('Installed height too small leads.');
  const rows = within(screen.getAllByRole('table')[0] as HTMLElement).getAllByRole('row');
  expect(rows).toHaveLength(6);
  expect(rows[0]).toHaveTextContent('93 %');
  const columns = await screen.findByRole('region', { name: words.cause.forThis('Installed height too small') });
  expect(columns).toHaveTextContent('adjacent coils bright at 2E');
  expect(columns).toHaveTextContent('a worn rocker tip');
  expect(columns).toHaveTextContent('against none listed');
  expect(screen.getByText('Coil bind, 2E')).toBeVisible();
  expect(screen.queryByText(/locks worn/)).toBeNull();
  await user.click(within(columns).getByRole('button', { name: words.cause.silent(2) }));
  expect(columns).toHaveTextContent('locks worn; how it lies, seat hammered.');
  expect(screen.getByText(words.cause.wouldExplain('seat hammered'))).toBeVisible();
  expect(within(columns).getAllByRole('link', { name: 'teardown' })[0]).toHaveAttribute(
    'href',
    expect.stringMatching(/teardown\?at=A2-E1$/),
  );
  expect(screen.getByText('Lobes looked at and clean:')).toBeVisible();
  expect(screen.getByText('Oil starvation')).toBeVisible();
  expect(screen.queryByText('Fatigue')).toBeNull(); // weighed below a tenth: not said
  await user.click(screen.getByRole('button', { name: 'Show all 7' }));
  expect(screen.getByRole('button', { name: 'Cause e' })).toBeVisible();
  expect(screen.getAllByText('below 1 %').length).toBeGreaterThanOrEqual(5);
});

test('what would tell most is said with what either result would do, and where it is recorded', async () => {
  openCase(<CauseBoard />, { get: served });
  const next = await screen.findByRole('region', { name: words.cause.nextChecks });
  for (const said of ['Against the claim.', '5 min', 'Destroys bright marks.', 'Guard closed.'])
    expect(within(next).getByText(said)).toBeVisible();
  expect(next).toHaveTextContent('If height below the claim: installed height too small, 96 %');
  expect(next).toHaveTextContent('If none of it: nothing listed, 24 %');
  expect(within(next).getByRole('link', { name: 'record it: bench' })).toHaveAttribute('href', expect.stringMatching(/bench\?at=A2-E1$/));
});

test('one key records the result of a check that is made by looking', async () => {
  const finding = (item: string, severity: number) => ({ place: 'A2-E1', part: 'spring', item, severity });
  const looked = {
    ...check,
    check: { ...check.check, code: 'mirror', label: 'Mirror' },
    ifFound: [finding('coils_bright', 2)],
    ifClear: [finding('coils_bright', 0), finding('end_coil_dug', 0)],
  };
  const { user, sent } = openCase(<CauseBoard />, { get: { ...served, '/api/cases/{id}/next-checks': { checks: [check, looked] } } });
  const next = await screen.findByRole('region', { name: words.cause.nextChecks });
  const [first, second] = within(next).getAllByRole('listitem');
  act(() => first?.focus());
  await user.keyboard('f'); // this one needs a figure
  await user.keyboard('{ArrowDown}');
  expect(second).toHaveFocus();
  await user.keyboard('n');
  await waitFor(() =>
    expect(told(sent)).toEqual([
      ['A2-E1/spring/coils_bright', { severity: 0 }],
      ['A2-E1/spring/end_coil_dug', { severity: 0 }],
    ]),
  );
  await user.click(within(next).getByRole('button', { name: /^Found/ }));
  await waitFor(() => expect(told(sent)[2]).toEqual(['A2-E1/spring/coils_bright', { severity: 2 }]));
});

test('past cases like this one are shown with their calls', async () => {
  const past = {
    id: 'x',
    number: 3,
    name: 'Fen four',
    degree: 0.4,
    shared: ['tip peened', 'seat hammered'],
    alike: 1,
    causes: ['Spring lost its load'],
    words: '',
    confidence: 80,
    by: 'T. O.',
    at: '2026-11-20T10:00:00Z',
    outcome: 'gone after 10 h',
  };
  openCase(<CauseBoard />, { get: { ...served, '/api/cases/{id}/past-cases': [past] } });
  const shown = await screen.findByRole('region', { name: words.cause.pastCases });
  expect(within(shown).getByRole('link', { name: 'Fen four' })).toHaveAttribute('href', '/case/x/cause');
  expect(shown).toHaveTextContent('Spring lost its load, 80 %, T. O.');
  expect(shown).toHaveTextContent('it came back: gone after 10 h');
  expect(shown).toHaveTextContent('shares 2 signs, 1 lying alike: tip peened; seat hammered');
});

test('where no check tells the causes apart, that is said', async () => {
  openCase(<CauseBoard />, { get: { ...served, '/api/cases/{id}/next-checks': { checks: [] } } });
  expect(await screen.findByText(words.cause.noCheck)).toBeVisible();
});

test('a cause is held against the runner-up on request', async () => {
  const { user, asked } = openCase(<CauseBoard />, { get: served });
  await user.click(await screen.findByRole('button', { name: words.cause.againstRival('Valve float') }));
  await waitFor(() =>
    expect(screen.getByRole('button', { name: words.cause.againstRival('Valve float') })).toHaveAttribute('aria-pressed', 'true'),
  );
  expect(asked).toEqual([]); // nothing is sent by looking
});

test('what changed since the last look is said: where each cause stood, and which lines are new', async () => {
  const view = twin();
  const first = openCase(<CauseBoard />, { view, get: served });
  expect(await screen.findByRole('status')).toBeVisible();
  expect(screen.queryByText(/was \d/)).toBeNull();
  await waitFor(() => expect(localStorage.getItem(`mute-tapper.look.${view.id}`)).not.toBeNull());
  cleanup();
  const later = {
    ...ranking,
    causes: [cause('height_small', 'Installed height too small', 0.6), ...ranking.causes.slice(1)],
    evidence: { coils_bright: 'z', tip_peened: 'b' },
  };
  openCase(<CauseBoard />, { view, get: { ...served, '/api/cases/{id}/ranking': later } });
  expect(await screen.findByText(words.cause.was('93 %'))).toBeVisible();
  expect(screen.getByText(/1 sign changed since your look/)).toBeVisible();
  const columns = await screen.findByRole('region', { name: words.cause.forThis('Installed height too small') });
  const marked = within(columns).getAllByRole('img', { name: words.cause.changed });
  expect(marked).toHaveLength(1);
  expect(marked[0]?.parentElement).toHaveTextContent('adjacent coils bright');
  cleanup();
  // A look at the same evidence is no other look: what changed is still said.
  openCase(<CauseBoard />, { view, get: { ...served, '/api/cases/{id}/ranking': later } });
  expect(await screen.findByText(words.cause.was('93 %'))).toBeVisible();
  expect(first.sent).toEqual([]);
});

test('a look that cannot be read is none', async () => {
  const view = twin();
  localStorage.setItem(`mute-tapper.look.${view.id}`, '{"now":{"shares":3}');
  openCase(<CauseBoard />, { view, get: served });
  expect(await screen.findByRole('status')).toBeVisible();
  expect(screen.queryByText(/was \d/)).toBeNull();
});

test('with nothing recorded the board asks for evidence and shows no figures', async () => {
  openCase(<CauseBoard />, { get: { '/api/cases/{id}/ranking': { ...ranking, present: 0, absent: 0 } } });
  expect(await screen.findByText(words.cause.empty)).toBeVisible();
  expect(screen.queryByText('93 %')).toBeNull();
});

test('a call is not signed without a cause, words and a stated confidence', async () => {
  const view = twin({ entries: [] });
  const put = calling(view);
  setPerson('R. Test');
  const { user, asked } = openCase(<Call ranking={ranking} />, { view, get: { '/api/cases/{id}/call/signature': view } });
  const sign = screen.getByRole('button', { name: words.cause.sign('R. Test') });
  expect(sign).toBeDisabled();
  await user.click(screen.getByLabelText(words.cause.which));
  await user.click(await screen.findByTitle('Valve float'));
  expect(screen.getByText(words.cause.differs)).toBeVisible();
  await user.type(screen.getByLabelText(words.cause.inWords), 'It floated.');
  expect(sign).toBeDisabled();
  const sure = screen.getByRole('slider');
  for (let i = 0; i < 2; i++) fireEvent.keyDown(sure, { key: 'ArrowRight', keyCode: 39 });
  expect(sign).toBeEnabled();
  await user.click(sign);
  await waitFor(() => expect(asked.map((one) => one.path)).toEqual(['/api/cases/{id}/call/signature']));
  expect(put[0]).toMatchObject({ ifMatch: '"1"', body: { causes: ['float'], words: 'It floated.', confidence: 10, by: 'R. Test' } });
});

test('what it was not is begun with what speaks most against it, and goes with the call', async () => {
  const view = twin({ entries: [] });
  const put = calling(view);
  const { user } = openCase(<Call ranking={ranking} />, { view, get: served });
  await user.click(screen.getByLabelText(words.cause.ruleOut));
  await user.click(await screen.findByTitle('Valve float'));
  const why = await screen.findByLabelText(words.cause.whyNot('Valve float'));
  expect(why).toHaveValue('tip not peened at 2E');
  await user.type(why, ', nor 4E');
  await user.type(screen.getByLabelText(words.cause.open), 'Who shimmed it.');
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() =>
    expect(put[0]?.body).toMatchObject({ ruledOut: [{ cause: 'float', why: 'tip not peened at 2E, nor 4E' }], open: 'Who shimmed it.' }),
  );
});

/** A ledger that comes when it is told to. */
function slowLedger(): { late: Promise<object>; answerLate: () => void } {
  let answerLate = (): void => undefined;
  const late = new Promise<object>((done) => {
    answerLate = () => done({ against: [line('x', 'told late', '÷2', -3)] });
  });
  return { late, answerLate: () => answerLate() };
}

test('what is written while the reason against a cause is looked up stays, and is not written over', async () => {
  const view = twin({ entries: [] });
  const put = calling(view);
  const { late, answerLate } = slowLedger();
  const { user } = openCase(<Call ranking={ranking} />, { view, get: { ...served, '/api/cases/{id}/ledger/{cause}': () => late } });
  for (const label of ['Valve float', 'Cause a']) {
    await user.type(screen.getByLabelText(words.cause.ruleOut), label);
    await user.click(await screen.findByTitle(label));
    expect(await screen.findByLabelText(words.cause.whyNot(label))).toHaveValue('');
  }
  await user.type(screen.getByLabelText(words.cause.whyNot('Valve float')), 'Mine.');
  await user.type(screen.getByLabelText(words.cause.open), 'Who shimmed it.');
  act(() => answerLate());
  await waitFor(() => expect(screen.getByLabelText(words.cause.whyNot('Cause a'))).toHaveValue('told late'));
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() =>
    expect(put[0]?.body).toMatchObject({
      ruledOut: [
        { cause: 'float', why: 'Mine.' },
        { cause: 'a', why: 'told late' },
      ],
      open: 'Who shimmed it.',
    }),
  );
});

test('a reason that is told after the call was saved goes on top of what was saved', async () => {
  const view = twin({ entries: [] });
  const put = calling(view);
  const { late, answerLate } = slowLedger();
  const { user } = openCase(<Call ranking={ranking} />, { view, get: { ...served, '/api/cases/{id}/ledger/{cause}': () => late } });
  await user.click(screen.getByLabelText(words.cause.ruleOut));
  await user.click(await screen.findByTitle('Valve float'));
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() => expect(put).toHaveLength(1));
  await waitFor(() => expect(screen.getByRole('button', { name: words.cause.save })).toBeDisabled());
  act(() => answerLate());
  expect(await screen.findByDisplayValue('told late')).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() => expect(put[1]).toMatchObject({ ifMatch: '"2"', body: { ruledOut: [{ cause: 'float', why: 'told late' }] } }));
});

test('what is called after all is not ruled out any more', async () => {
  const call = { causes: [], words: '', confidence: null, by: 'x', ...rest, ruledOut: [{ cause: 'float', why: 'no' }] };
  const { user } = openCase(<Call ranking={ranking} />, { view: twin({ call }), get: served });
  expect(screen.getByLabelText(words.cause.whyNot('Valve float'))).toHaveValue('no');
  await user.click(screen.getByLabelText(words.cause.which));
  await user.click(await screen.findByTitle('Valve float'));
  expect(screen.queryByLabelText(words.cause.whyNot('Valve float'))).toBeNull();
});

test('a call signed anew shows what it superseded, and what was recorded since', async () => {
  const of = (at: string, said: string) => ({
    by: 'A. Nalyst',
    at,
    call: { causes: ['float'], words: said, confidence: 60, by: 'x', ...rest },
    rankingSentence: 'It led.',
    revision: 3,
    stands: true,
    departs: false,
    sure: 'likely',
  });
  const [last, before] = [of('2026-11-21T10:00:00Z', 'Now.'), of('2026-11-20T10:00:00Z', 'Then.')];
  openCase(<Call ranking={ranking} />, {
    view: twin({ call: last.call, signed: last, revision: 5 }),
    get: { ...served, '/api/cases/{id}/calls': [last, before] },
  });
  const superseded = await screen.findByRole('list', { name: words.cause.superseded });
  expect(superseded).toHaveTextContent('Then.');
  expect(superseded).not.toHaveTextContent('Now.');
  expect(screen.getByText(words.cause.recordedSince(2))).toBeVisible();
  expect(screen.getByText(new RegExp(words.cause.saysNow))).toHaveTextContent(ranking.sentence);
});

test('a call kept in the browser by an older page is read with nothing lost', async () => {
  const view = twin({ entries: [] });
  const kept = { causes: ['float'], words: 'Typed before.', confidence: 40 };
  localStorage.setItem(`mute-tapper.call.${view.id}`, JSON.stringify({ draft: kept, base: kept, version: 1 }));
  const put = calling(view);
  const { user } = openCase(<Call ranking={ranking} />, { view, get: served });
  expect(screen.getByLabelText(words.cause.inWords)).toHaveValue('Typed before.');
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() => expect(put[0]?.body).toMatchObject({ words: 'Typed before.', ruledOut: [], open: '' }));
});

test('nobody signs without a name, and what is signed as it stands is not signed again', async () => {
  const call = { causes: ['float'], words: 'It floated.', confidence: 60, by: 'x', ...rest };
  const view = twin({ call, entries: [] });
  const signed = {
    by: 'R. Test',
    at: '2026-11-20T10:00:00Z',
    call,
    rankingSentence: '',
    revision: 3,
    stands: true,
    departs: false,
    sure: 'likely',
  };
  const { user, asked } = openCase(<Call ranking={ranking} />, { view, get: { '/api/cases/{id}/call/signature': { ...view, signed } } });
  const sign = (who: string) => screen.getByRole('button', { name: words.cause.sign(who) });
  expect(sign('…')).toBeDisabled();
  expect(screen.getByText(words.cause.needsName)).toBeVisible();
  act(() => setPerson('R. Test'));
  expect(sign('R. Test')).toBeEnabled();
  await user.dblClick(sign('R. Test'));
  await waitFor(() => expect(asked.map((one) => one.path)).toEqual(['/api/cases/{id}/call/signature']));
});

test('a call that is signed as it stands is changed before it is signed anew', async () => {
  const call = { causes: ['float'], words: 'It floated.', confidence: 60, by: 'x', ...rest };
  setPerson('R. Test');
  const signed = {
    by: 'R. Test',
    at: '2026-11-20T10:00:00Z',
    call,
    rankingSentence: 'It led.',
    revision: 3,
    stands: true,
    departs: false,
    sure: 'likely',
  };
  const { user } = openCase(<Call ranking={ranking} />, { view: twin({ call, signed }) });
  const sign = screen.getByRole('button', { name: words.cause.sign('R. Test') });
  expect(sign).toBeDisabled();
  expect(screen.getByText(words.cause.signedAsItStands)).toBeVisible();
  await user.type(screen.getByLabelText(words.cause.inWords), ' Surely.');
  expect(sign).toBeEnabled();
});

test('a call that another hand changed is shown beside this one, and is not signed or replaced unseen', async () => {
  const view = twin({ entries: [] });
  const put = calling(view, { status: 412, detail: 'The call was changed meanwhile.', version: 5 });
  const call = { causes: ['float'], words: 'Theirs.', confidence: 30, by: 'Other', ...rest };
  setPerson('R. Test');
  const { user } = openCase(<Call ranking={ranking} />, { view, meanwhile: () => (put.length === 0 ? {} : { callVersion: 5, call }) });
  await user.type(screen.getByLabelText(words.cause.inWords), 'Height.');
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  const both = await screen.findByRole('row', { name: new RegExp(words.cause.inWords) });
  expect(both).toHaveTextContent('Theirs.');
  expect(screen.getByLabelText(words.cause.inWords)).toHaveValue('Height.');
  expect(localStorage.getItem(`mute-tapper.call.${view.id}`)).toContain('Height.');
  expect(screen.getByRole('button', { name: words.cause.sign('R. Test') })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() => expect(put.map((one) => one.ifMatch)).toEqual(['"1"', '"5"']));
  await waitFor(() => expect(localStorage.getItem(`mute-tapper.call.${view.id}`)).toBeNull());
});

test('a call that nobody is writing here follows what a colleague wrote', async () => {
  const view = twin({ entries: [] });
  const changed: Partial<CaseView>[] = [];
  const put = calling(view);
  const { user, refetch } = openCase(<Call ranking={ranking} />, { view, get: served, meanwhile: () => changed[0] ?? {} });
  changed.push({ callVersion: 3, call: { causes: ['float'], words: 'Theirs.', confidence: 30, by: 'Other', ...rest } });
  await refetch();
  await waitFor(() => expect(screen.getByLabelText(words.cause.inWords)).toHaveValue('Theirs.'));
  await user.type(screen.getByLabelText(words.cause.inWords), ' And mine.');
  await user.click(screen.getByRole('button', { name: words.cause.save }));
  await waitFor(() => expect(put[0]).toMatchObject({ ifMatch: '"3"', body: { words: 'Theirs. And mine.' } }));
});

test('what was signed is shown with what the board said then', () => {
  const signed = {
    by: 'A. Nalyst',
    at: '2026-11-20T10:00:00Z',
    call: { causes: ['height_small'], words: 'Height.', confidence: 80, by: 'x', ...rest },
    rankingSentence: 'It led.',
    sure: 'very likely',
    revision: 3,
    departs: true,
    stands: true,
  };
  openCase(<Call ranking={ranking} />, { view: twin({ signed }) });
  expect(screen.getByText(/A\. Nalyst/)).toBeVisible();
  expect(screen.getByText(/“Height\.”, 80 % \(very likely\)\..*It led\. The call departs from it: both stand\./)).toBeVisible();
});
