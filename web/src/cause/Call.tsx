import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Select, Slider } from 'antd';
import { useMemo, useState } from 'react';
import { Theirs } from '../entry/Theirs';
import { useBench } from '../entry/useBench';
import { useDocument } from '../entry/useDocument';
import { answer, api, Refused, type CaseView, type RankingView } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { when } from '../shared/days';
import { author, usePerson } from '../shared/person';
import { caseChanged, refetchCase } from '../shared/queries';

interface Draft {
  causes: string[];
  words: string;
  confidence: number | null;
}

const draftOf = (view: CaseView): Draft => ({
  causes: view.call?.causes ?? [],
  words: view.call?.words ?? '',
  confidence: view.call?.confidence ?? null,
});

/** Where two calls differ. */
function differences(theirs: Draft, mine: Draft, causeName: (code: string) => string): { name: string; theirs: string; mine: string }[] {
  const shown = (one: Draft) => [one.causes.map(causeName).join(', '), one.words, one.confidence === null ? '' : `${one.confidence} %`];
  const [left, right] = [shown(theirs), shown(mine)];
  return [words.cause.which, words.cause.inWords, words.cause.howSure]
    .map((name, i) => ({ name, theirs: left[i] ?? '', mine: right[i] ?? '' }))
    .filter((one) => one.theirs !== one.mine);
}

/** The analyst's call, in their own words, with a stated confidence. The tool never signs. */
export function Call({ ranking }: { ranking: RankingView | undefined }) {
  const { view } = useBench();
  const queries = useQueryClient();
  const who = usePerson();
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
          body: { ...wanted, by: author() },
        }),
      );
      caseChanged(queries, fresh);
      return fresh.callVersion;
    },
    refetch: () => refetchCase(queries, view.id),
  });
  const { draft, change } = document;
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

  const causeName = (code: string): string => ranking?.causes.find((cause) => cause.code === code)?.label ?? code;
  const isSigned = view.signed?.stands === true && !dirty;
  const isComplete = draft.causes.length > 0 && draft.words.trim() !== '' && draft.confidence !== null;
  const differs =
    ranking !== undefined &&
    ranking.standing === 'leader' &&
    draft.causes.length > 0 &&
    draft.causes.some((cause) => !ranking.leading.includes(cause));
  return (
    <aside className="call" aria-label={words.cause.call}>
      <h2>{words.cause.call}</h2>
      <label>
        <span>{words.cause.which}</span>
        <Select
          mode="multiple"
          value={draft.causes}
          aria-label={words.cause.which}
          onChange={(causes: string[]) => change({ causes })}
          showSearch={{ optionFilterProp: 'label' }}
          style={{ width: '100%' }}
          options={[
            ...(ranking?.causes ?? []).map((cause) => ({ value: cause.code, label: cause.label })),
            { value: 'not_listed', label: words.cause.notListed },
          ]}
        />
      </label>
      <label>
        <span>{words.cause.inWords}</span>
        <Input.TextArea value={draft.words} rows={7} maxLength={8000} onChange={(event) => change({ words: event.target.value })} />
      </label>
      <label>
        <span className="sure">
          {words.cause.howSure} <b className="figures">{draft.confidence === null ? '–' : `${draft.confidence} %`}</b>
        </span>
        <Slider
          value={draft.confidence ?? 0}
          min={0}
          max={100}
          step={5}
          ariaLabelForHandle={words.cause.howSure}
          tooltip={{ open: false }}
          onChange={(confidence: number) => change({ confidence })}
        />
      </label>
      {differs && <p className="note">{words.cause.differs}</p>}
      {document.theirs !== null && <Theirs differences={differences(document.theirs, draft, causeName)} onTake={document.takeTheirs} />}
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
      {view.signed && (
        <div className="signed">
          <b>{words.cause.signed(view.signed.by, when(view.signed.at).full)}</b>
          <p className="note">
            “{view.signed.call.words}”, {view.signed.call.confidence} %. {words.cause.saidThen}: {view.signed.rankingSentence}
          </p>
        </div>
      )}
    </aside>
  );
}
