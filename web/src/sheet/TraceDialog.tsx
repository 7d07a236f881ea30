import { useQuery } from '@tanstack/react-query';

import { LargeMarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { answer, api, type MarginView, type Schemas } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';

/** What a reasoning is about: a margin with its rule, or a derived value without a limit. */
export interface Subject {
  place: string;
  label: string;
  title: string;
  /** Name of the value. */
  value: string;
  index: string | null;
  margin: MarginView | null;
}

export const ofValue = (value: Schemas['ValueView'], label: string): Subject => ({
  place: value.place,
  label,
  title: value.title,
  value: value.name,
  index: value.index,
  margin: null,
});

export const ofMargin = (margin: MarginView): Subject => ({
  place: margin.place,
  label: margin.label,
  title: margin.title,
  value: margin.quantity,
  index: margin.coil,
  margin,
});

/** A value with its reasoning, in a dialog. */
export function TraceDialog({ caseId, subject, onClose }: { caseId: string; subject: Subject | null; onClose: () => void }) {
  return (
    <Dialog open={subject !== null} onClose={onClose} width={640} title={words.trace.title}>
      {subject && <Reasoning caseId={caseId} subject={subject} />}
    </Dialog>
  );
}

/** Formula, inputs with their origin, source; above it the rule, large. */
export function Reasoning({ caseId, subject }: { caseId: string; subject: Subject }) {
  const { margin } = subject;
  const trace = useQuery({
    queryKey: ['trace', caseId, subject.place, subject.value, subject.index, margin?.value?.shown],
    enabled: margin === null || margin.value !== null || margin.asClaimed !== null,
    queryFn: () =>
      answer(
        api.GET('/api/cases/{id}/trace/{place}/{value}', {
          params: {
            path: { id: caseId, place: subject.place, value: subject.value },
            query: subject.index === null ? {} : { index: subject.index },
          },
        }),
      ),
  });
  const outside = margin?.verdict === 'outside' || margin?.verdict === 'outside_close';
  return (
    <div className="reasoning">
      <p className="reasoning-head">
        <Tag label={subject.label} /> <b>{subject.title}</b>
        {margin ? (
          <span className={outside ? 'wrong' : 'quiet'}>
            {margin.verdictWords}, {margin.limitWords}
          </span>
        ) : (
          <b className="figures">{trace.data?.result.shown}</b>
        )}
      </p>
      {margin && <LargeMarginRule margin={margin} />}
      {margin && <p>{margin.sentence}</p>}
      {trace.data && (
        <>
          <h3>{words.trace.formula}</h3>
          <p>{trace.data.formula}</p>
          <TraceTable trace={trace.data} />
        </>
      )}
    </div>
  );
}

/** What went into a result: each input with its origin and its share of the uncertainty, and where the formula comes from. */
export function TraceTable({ trace }: { trace: Schemas['TraceView'] }) {
  return (
    <>
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
          {trace.inputs.map((input, i) => (
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
        {words.trace.source}: {trace.source}
        {trace.source === 'common practice of the trade' ? '' : ` (${words.trace.marks[trace.mark] ?? trace.mark})`}. ± is twice the
        standard uncertainty.
      </p>
    </>
  );
}
