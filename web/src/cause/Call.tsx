import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Select, Slider } from 'antd';
import { useEffect, useState } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type RankingView } from '../shared/api';
import { words } from '../shared/messages';
import { usePerson } from '../shared/person';
import { caseKey } from '../shared/queries';

interface Draft {
  causes: string[];
  words: string;
  confidence: number | null;
}

/** The analyst's call, in their own words, with a stated confidence. The tool never signs. */
export function Call({ ranking }: { ranking: RankingView | undefined }) {
  const { view } = useBench();
  const queries = useQueryClient();
  const who = usePerson();
  const key = `mute-tapper.call.${view.id}`;
  const kept = localStorage.getItem(key);
  const [draft, setDraft] = useState<Draft>(() =>
    kept === null
      ? { causes: view.call?.causes ?? [], words: view.call?.words ?? '', confidence: view.call?.confidence ?? null }
      : (JSON.parse(kept) as Draft),
  );
  const [dirty, setDirty] = useState(kept !== null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [version, setVersion] = useState(view.callVersion);

  useEffect(() => {
    if (!dirty) setVersion(view.callVersion);
  }, [dirty, view.callVersion]);

  const change = (part: Partial<Draft>): void => {
    const changed = { ...draft, ...part };
    setDraft(changed);
    setDirty(true);
    localStorage.setItem(key, JSON.stringify(changed));
  };
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    try {
      await work();
      setProblem(null);
    } catch (error) {
      if (error instanceof Refused && error.problem.version !== undefined) setVersion(error.problem.version);
      setProblem(error instanceof Refused ? error.message : 'No line to the server. Your call is kept in this browser.');
    } finally {
      setBusy(false);
    }
  };
  const save = async (): Promise<number> => {
    const fresh = await answer(
      api.PUT('/api/cases/{id}/call', {
        params: { path: { id: view.id }, header: { 'If-Match': `"${version}"` } },
        body: { ...draft, by: who || 'not named' },
      }),
    );
    localStorage.removeItem(key);
    setDirty(false);
    setVersion(fresh.callVersion);
    queries.setQueryData(caseKey(view.id), fresh);
    return fresh.callVersion;
  };
  const sign = async (): Promise<void> => {
    const seen = dirty ? await save() : version;
    const fresh = await answer(
      api.POST('/api/cases/{id}/call/signature', {
        params: { path: { id: view.id }, header: { 'If-Match': `"${seen}"` } },
        body: { by: who },
      }),
    );
    queries.setQueryData(caseKey(view.id), fresh);
  };

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
      {problem !== null && (
        <p className="wrong" role="alert">
          {problem}
        </p>
      )}
      <Button
        disabled={!dirty || busy}
        onClick={() =>
          void attempt(async () => {
            await save();
          })
        }
      >
        {words.cause.save}
      </Button>
      <Button type="primary" size="large" disabled={!isComplete || who === '' || isSigned || busy} onClick={() => void attempt(sign)}>
        {words.cause.sign(who || '…')}
      </Button>
      {isComplete && who === '' && <p className="note">{words.cause.needsName}</p>}
      {isSigned && <p className="note">{words.cause.signedAsItStands}</p>}
      {view.signed && (
        <div className="signed">
          <b>{words.cause.signed(view.signed.by, new Date(view.signed.at).toLocaleString())}</b>
          <p className="note">
            “{view.signed.call.words}”, {view.signed.call.confidence} %. {words.cause.saidThen}: {view.signed.rankingSentence}
          </p>
        </div>
      )}
    </aside>
  );
}
