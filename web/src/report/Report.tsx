import { Button } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { PaperButton } from '../paper/PaperButton';
import { useOpened } from '../frame/useSection';
import { Choice } from '../shared/Choice';
import { when } from '../shared/days';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { useCalls } from '../shared/queries';

/** Where it stands that a report was given out. */
const ISSUE = { place: 'engine', part: 'report', item: 'issue' };

const AUDIENCES = ['insurer', 'supplier', 'customer'] as const;

/** Step 10: the report as it will print, and the case as an open file. */
export default function Report() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [asked, ask] = useOpened('for');
  const audience = AUDIENCES.find((one) => one === asked) ?? AUDIENCES[0];
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="signs" />
      <div className="sheet pad" style={{ display: 'grid', gridTemplateRows: 'auto auto minmax(0,1fr)', gap: 10 }}>
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}>
          <h2 style={{ marginRight: 'auto' }}>{words.report.title}</h2>
          <Choice
            label={words.report.audience}
            value={audience}
            width={230}
            onChange={ask}
            options={AUDIENCES.map((value) => ({ value, label: words.report.audiences[value] }))}
          />
          <PaperButton
            key={audience}
            caseId={view.id}
            asked={{ kind: 'report', options: { for: audience } }}
            label={words.report.pdf}
            primary
          />
          <PaperButton caseId={view.id} asked={{ kind: 'package' }} label={words.report.package} />
          <Button href={`/api/cases/${view.id}/case.json`} download>
            {words.report.json}
          </Button>
        </div>
        <GivenOut />
        <iframe
          key={`${view.revision} ${audience}`}
          title={words.report.preview}
          src={`/api/cases/${view.id}/report.html?for=${audience}`}
          style={{ width: '100%', height: '100%', border: '1px solid var(--edge)', background: '#fff' }}
        />
      </div>
    </div>
  );
}

/** That a report was given out stands with the case: the one after it lists what changed. */
function GivenOut() {
  const { view, record } = useBench();
  const [whom, setWhom] = useState('');
  const signed = useCalls(view.id).data?.[0]?.stands === true;
  const given = view.entries.filter((one) => one.kind === 'issue').sort((a, b) => Number(a.index) - Number(b.index));
  const last = given.at(-1);
  const number = Number(last?.index ?? 0) + 1;
  const giveOut = (): void => {
    record('issue', { ...ISSUE, index: String(number) }, { whom: whom.trim() }, words.report.wasGiven(number));
    setWhom('');
  };
  const said = signed ? words.report.hint : words.report.notSigned;
  return (
    <LineForm
      label={words.report.giveOut(number)}
      send={words.report.giveOut(number)}
      isReady={signed && whom.trim() !== ''}
      onSend={giveOut}
      after={
        <span className="note" role="status">
          {last === undefined ? said : words.report.given(number - 1, when(last.at).full, last.by, last.content.whom ?? '')}
        </span>
      }
    >
      <LineText value={whom} label={words.report.whom} onChange={setWhom} />
    </LineForm>
  );
}
