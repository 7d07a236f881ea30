import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Select, Slider } from 'antd';
import { useMemo, useState } from 'react';
import { storedChanges } from '../chain/edits';
import { Theirs } from '../entry/Theirs';
import { useBench } from '../entry/useBench';
import { useDocument } from '../entry/useDocument';
import { answer, api, Refused, type CaseView, type RankingView } from '../shared/api';
import { Choice } from '../shared/Choice';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author, usePerson } from '../shared/person';
import { caseChanged, refetchCase, useCatalogue, useChain } from '../shared/queries';
import { RuledOut, type Ruled } from './RuledOut';
import { SignedCalls } from './SignedCalls';

interface Draft {
  causes: string[];
  words: string;
  confidence: number | null;
  firstEvent: string | null;
  ruledOut: Ruled[];
  open: string;
}

const EMPTY: Draft = { causes: [], words: '', confidence: null, firstEvent: null, ruledOut: [], open: '' };

const draftOf = ({ call }: CaseView): Draft =>
  call === null
    ? EMPTY
    : {
        causes: call.causes,
        words: call.words,
        confidence: call.confidence,
        firstEvent: call.firstEvent,
        ruledOut: call.ruledOut,
        open: call.open,
      };

/** Where two calls differ. */
function differences(theirs: Draft, mine: Draft, name: (code: string) => string): { name: string; theirs: string; mine: string }[] {
  const shown = (one: Draft) => [
    one.causes.map(name).join(', '),
    one.firstEvent === null ? '' : name(one.firstEvent),
    one.words,
    one.ruledOut.map(({ cause, why }) => `${name(cause)}: ${why}`).join('; '),
    one.open,
    one.confidence === null ? '' : `${one.confidence} %`,
  ];
  const [left, right] = [shown(theirs), shown(mine)];
  return [words.cause.which, words.cause.began, words.cause.inWords, words.cause.ruledOut, words.cause.open, words.cause.howSure]
    .map((label, i) => ({ name: label, theirs: left[i] ?? '', mine: right[i] ?? '' }))
    .filter((one) => one.theirs !== one.mine);
}

/** The analyst's call, in their own words, with a stated confidence. The tool never signs. */
export function Call({ ranking }: { ranking: RankingView | undefined }) {
  const { view } = useBench();
  const queries = useQueryClient();
  const who = usePerson();
  const sureness = useCatalogue().data?.sure ?? [];
  const chain = useChain(view.id, storedChanges(view)).data;
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const document = useDocument<Draft>({
    key: `mute-tapper.call.${view.id}`,
    stands: useMemo(() => draftOf(view), [view]),
    version: view.callVersion,
    isReadable: (kept) => Array.isArray(kept.causes) && typeof kept.words === 'string',
    put: async (wanted, version) => {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/call', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` } },
          body: { ...EMPTY, ...wanted, by: author() },
        }),
      );
      caseChanged(queries, fresh);
      return fresh.callVersion;
    },
    refetch: () => refetchCase(queries, view.id),
  });
  const { change } = document;
  // What an older page kept has fewer fields.
  const draft = { ...EMPTY, ...document.draft };
  const dirty = document.state !== 'saved';
  const sign = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      const seen = dirty ? await document.save() : view.callVersion;
      if (seen === null) return;
      const fresh = await answer(
        api.POST('/api/cases/{id}/call/signature', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${seen}"` } },
          body: { by: who },
        }),
      );
      caseChanged(queries, fresh);
    } catch (error) {
      setProblem(failureWords(error));
      if (error instanceof Refused && error.problem.status === 412) await refetchCase(queries, view.id);
    } finally {
      setBusy(false);
    }
  };

  const causes = ranking?.causes ?? [];
  const name = (code: string): string =>
    causes.find((one) => one.code === code)?.label ?? chain?.events.find((one) => one.code === code)?.label ?? code;
  const began = (chain?.events ?? []).filter((one) => one.number !== null);
  const isSigned = view.signed?.stands === true && !dirty;
  const isComplete = draft.causes.length > 0 && draft.words.trim() !== '' && draft.confidence !== null;
  const differs =
    ranking !== undefined &&
    ranking.standing === 'leader' &&
    draft.causes.length > 0 &&
    draft.causes.some((cause) => !ranking.leading.includes(cause));
  const { confidence } = draft;
  const sure = confidence === null ? '' : (sureness.find((one) => confidence >= one.least)?.words ?? '');
  return (
    <aside className="call" aria-label={words.cause.call}>
      <h2>{words.cause.call}</h2>
      <label>
        <span>{words.cause.which}</span>
        <Select
          mode="multiple"
          value={draft.causes}
          aria-label={words.cause.which}
          onChange={(chosen: string[]) => change({ causes: chosen, ruledOut: draft.ruledOut.filter((one) => !chosen.includes(one.cause)) })}
          showSearch={{ optionFilterProp: 'label' }}
          style={{ width: '100%' }}
          options={[
            ...causes.map((cause) => ({ value: cause.code, label: cause.label })),
            { value: 'not_listed', label: words.cause.notListed },
          ]}
        />
      </label>
      <label>
        <span>{words.cause.began}</span>
        <Choice
          label={words.cause.began}
          value={draft.firstEvent}
          width="100%"
          placeholder={words.cause.notSaid}
          onChange={(firstEvent) => change({ firstEvent })}
          onClear={() => change({ firstEvent: null })}
          options={[
            ...began.map((one) => ({ value: one.code, label: one.label })),
            ...(draft.firstEvent === null || began.some((one) => one.code === draft.firstEvent)
              ? []
              : [{ value: draft.firstEvent, label: name(draft.firstEvent) }]),
          ]}
        />
      </label>
      <label>
        <span>{words.cause.inWords}</span>
        <Input.TextArea value={draft.words} rows={6} maxLength={8000} onChange={(event) => change({ words: event.target.value })} />
      </label>
      <RuledOut
        caseId={view.id}
        list={draft.ruledOut}
        causes={causes.filter((one) => !draft.causes.includes(one.code))}
        name={name}
        onChange={(to) => change((now) => ({ ruledOut: to({ ...EMPTY, ...now }.ruledOut) }))}
      />
      <label>
        <span>{words.cause.open}</span>
        <Input.TextArea
          value={draft.open}
          autoSize={{ minRows: 1, maxRows: 6 }}
          maxLength={8000}
          onChange={(event) => change({ open: event.target.value })}
        />
      </label>
      <label>
        <span className="sure">
          {words.cause.howSure} <b className="figures">{confidence === null ? '–' : `${confidence} %`}</b>
        </span>
        <Slider
          value={confidence ?? 0}
          min={0}
          max={100}
          step={5}
          ariaLabelForHandle={words.cause.howSure}
          tooltip={{ open: false }}
          onChange={(sureAs: number) => change({ confidence: sureAs })}
        />
        {sure !== '' && <small className="note">{sure}</small>}
      </label>
      {differs && <p className="note">{words.cause.differs}</p>}
      {document.theirs !== null && (
        <Theirs differences={differences({ ...EMPTY, ...document.theirs }, draft, name)} onTake={document.takeTheirs} />
      )}
      {(problem ?? document.problem) !== null && (
        <p className="wrong" role="alert">
          {problem ?? document.problem}
        </p>
      )}
      <Button disabled={!dirty || busy || document.state === 'saving'} onClick={() => void document.save()}>
        {words.cause.save}
      </Button>
      <Button
        type="primary"
        size="large"
        disabled={!isComplete || who === '' || isSigned || busy || document.theirs !== null}
        onClick={() => void sign()}
      >
        {words.cause.sign(who || '…')}
      </Button>
      {isComplete && who === '' && <p className="note">{words.cause.needsName}</p>}
      {isSigned && <p className="note">{words.cause.signedAsItStands}</p>}
      {view.signed && <SignedCalls view={view} last={view.signed} stands={isSigned} ranking={ranking} name={name} />}
    </aside>
  );
}
