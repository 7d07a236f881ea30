import { useQuery } from '@tanstack/react-query';
import { Modal } from 'antd';
import { LargeMarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { answer, api, type MarginView } from '../shared/api';
import { words } from '../shared/messages';

/** A margin with its reasoning, in a dialog. */
export function TraceDialog({ caseId, margin, onClose }: { caseId: string; margin: MarginView | null; onClose: () => void }) {
  return (
    <Modal
      open={margin !== null}
      onCancel={onClose}
      footer={null}
      width={640}
      title={words.trace.title}
      transitionName=""
      maskTransitionName=""
    >
      {margin && <Reasoning caseId={caseId} margin={margin} />}
    </Modal>
  );
}

/** Formula, inputs with their origin, source; above it the rule, large. */
export function Reasoning({ caseId, margin }: { caseId: string; margin: MarginView }) {
  const trace = useQuery({
    queryKey: ['trace', caseId, margin.place, margin.quantity, margin.coil, margin.value?.shown],
    enabled: margin.value !== null,
    queryFn: () =>
      answer(
        api.GET('/api/cases/{id}/springs/trace', {
          params: {
            path: { id: caseId },
            query: { place: margin.place, quantity: margin.quantity, ...(margin.coil === null ? {} : { coil: margin.coil }) },
          },
        }),
      ),
  });
  const outside = margin.verdict === 'outside' || margin.verdict === 'outside_close';
  return (
    <div className="reasoning">
      <p className="reasoning-head">
        <Tag label={margin.label} /> <b>{margin.title}</b>
        <span className={outside ? 'wrong' : 'quiet'}>
          {margin.verdictWords}, {margin.limitWords}
        </span>
      </p>
      <LargeMarginRule margin={margin} />
      <p>{margin.sentence}</p>
      {trace.data && (
        <>
          <h3>{words.trace.formula}</h3>
          <p>{trace.data.formula}</p>
          <table>
            <thead>
              <tr>
                <th>{words.trace.inputs}</th>
                <th className="figure">value</th>
                <th>{words.trace.from}</th>
                <th className="figure">{words.trace.share}</th>
              </tr>
            </thead>
            <tbody>
              {trace.data.inputs.map((input, i) => (
                <tr key={i}>
                  <td style={{ height: 34 }} title={input.meaning}>
                    {input.name.replaceAll('_', ' ')}
                  </td>
                  <td className="figure" style={{ whiteSpace: 'nowrap' }}>
                    {input.value.shown}
                  </td>
                  <td>{input.origin}</td>
                  <td className="figure">{Math.round(input.share * 100)} %</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="note">
            {words.trace.source}: {trace.data.source}
            {trace.data.source === 'common practice of the trade' ? '' : ` (${words.trace.marks[trace.data.mark] ?? trace.data.mark})`}. ±
            is twice the standard uncertainty.
          </p>
        </>
      )}
    </div>
  );
}
