import { Button } from 'antd';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { PaperButton } from '../paper/PaperButton';
import { useOpened } from '../frame/useSection';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';

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
        <p className="note">{words.report.hint}</p>
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
