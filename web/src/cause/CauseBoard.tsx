import { Segmented } from 'antd';
import { useState } from 'react';
import { Chain } from '../chain/Chain';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useOpened, useSection } from '../frame/useSection';
import { useChosen } from '../frame/Chosen';
import type { RankingView } from '../shared/api';
import { words } from '../shared/messages';
import { useLedger, useRanking } from '../shared/queries';
import { Call } from './Call';
import { when } from '../shared/days';
import { Changed, Ledger } from './Ledger';
import { changedSigns, MOVED, useLastLook, type Look } from './lastLook';
import { NextChecks } from './NextChecks';
import { PastCases } from './PastCases';
import './cause.css';

const percent = (share: number): string => (share < 0.005 ? 'below 1 %' : share > 0.995 ? 'above 99 %' : `${Math.round(share * 100)} %`);
const SHOWN = 6;
const IN_LINE = 4;
const SECTIONS = ['ranking', 'chain'] as const;

/** Step 8: causes ranked with the evidence for and against each, and the analyst's call beside them. */
export default function CauseBoard() {
  const { view } = useBench();
  const ranking = useRanking(view.id);
  const [chosen, choose] = useChosen();
  const [opened, setOpened] = useOpened('cause');
  const [section, setSection] = useSection(SECTIONS);
  const [all, setAll] = useState(false);
  const data = ranking.data;
  const before = useLastLook(view.id, data);
  const changed = data === undefined || before === null ? [] : changedSigns(before, data);
  const first = data && data.standing !== 'not_enough_evidence' ? (data.leading[0] ?? null) : (data?.causes[0]?.code ?? null);
  const cause = opened ?? first;
  const isEmpty = data !== undefined && data.present + data.absent === 0;
  const rival = data?.causes.find((one) => one.code !== cause && one.probability > 0)?.code ?? null;
  const [againstRival, setAgainstRival] = useState(false);
  const ledger = useLedger(view.id, isEmpty ? null : cause, againstRival ? rival : null);

  const sections = (
    <Segmented<(typeof SECTIONS)[number]>
      value={section}
      onChange={setSection}
      options={SECTIONS.map((value) => ({ value, label: words.cause.sections[value] }))}
    />
  );
  return (
    <div className="room in-cause">
      <PlanSide chosen={chosen} onChoose={choose} first="signs">
        <p className="plan-note">{words.cause.honest}</p>
      </PlanSide>
      {section === 'chain' ? (
        <div className="sheet of-chain">
          <div className="tool-row">{sections}</div>
          {data && <InLine data={data} />}
          <Chain beside={<NextChecks caseId={view.id} />} changed={changed} />
        </div>
      ) : (
        <div className="cause">
          <div className="sheet pad">
            <div className="tool-row">{sections}</div>
            <div className="cause-head">
              <h2>{words.cause.title}</h2>
              {data && <span className="quiet">{words.cause.from(data.present, data.absent)}</span>}
              {before && changed.length > 0 && <Since before={before} count={changed.length} />}
            </div>
            {ranking.isPending && <p className="note">{words.cause.weighing}</p>}
            {isEmpty && (
              <div className="empty">
                <b>{words.cause.empty}</b>
                {words.cause.emptyWhat}
              </div>
            )}
            {data && !isEmpty && (
              <>
                <p className="standing" role="status">
                  {data.sentence}
                </p>
                {data.firstEvent && (
                  <p className="first-event">
                    {words.cause.firstEvent}: <b>{data.firstEvent.words}</b>
                  </p>
                )}
                <table className="ranking">
                  <tbody>
                    {data.causes.slice(0, all ? undefined : SHOWN).map((one) => (
                      <tr key={one.code} className={one.code === cause ? 'current' : ''}>
                        <th scope="row">
                          <button type="button" aria-expanded={one.code === cause} onClick={() => setOpened(one.code)}>
                            <svg width="10" height="10" aria-hidden="true">
                              <path d={one.code === cause ? 'M0 2h10l-5 7z' : 'M2 0v10l7-5z'} fill="currentColor" />
                            </svg>
                            {one.label}
                          </button>
                        </th>
                        <td className="where">
                          {one.region}
                          {one.form !== '' && <span className="note">, {one.form}</span>}
                        </td>
                        <td className="bar">
                          <Bar share={one.probability} was={before?.shares[one.code] ?? null} />
                        </td>
                        <td className="figure">{percent(one.probability)}</td>
                        {before !== null && (
                          <td className="was">
                            <Was before={before} code={one.code} share={one.probability} />
                          </td>
                        )}
                      </tr>
                    ))}
                  </tbody>
                </table>
                <p className="note">
                  {words.cause.needNotAdd(percent(data.unexplained))} <Together data={data} />
                  {data.causes.length > SHOWN && (
                    <button type="button" className="more" onClick={() => setAll(!all)}>
                      {all ? 'Show the first only' : `Show all ${data.causes.length}`}
                    </button>
                  )}
                </p>
                {ledger.data && (
                  <Ledger
                    ledger={ledger.data}
                    left={cause !== null && data.leading[0] === cause ? data.leftOver : null}
                    rival={data.causes.find((one) => one.code === rival)?.label ?? null}
                    againstRival={againstRival}
                    onAgainstRival={setAgainstRival}
                    onPlace={choose}
                    caseId={view.id}
                    changed={changed}
                  />
                )}
                <NextChecks caseId={view.id} />
                {data.further.length > 0 && (
                  <section className="further">
                    <h3>{words.cause.further}</h3>
                    <p className="note">{words.cause.furtherWhat}</p>
                    <ul>
                      {data.further.slice(0, 6).map((one) => (
                        <li key={one.code}>
                          <button type="button" className="more" onClick={() => setOpened(one.code)}>
                            {one.label}
                          </button>
                          , {one.region}
                          {one.explains !== '' && <span className="note"> {words.cause.wouldExplain(one.explains)}</span>}
                        </li>
                      ))}
                    </ul>
                  </section>
                )}
                <PastCases caseId={view.id} />
                <section className="below">
                  <div>
                    <h3>{words.cause.mechanisms}</h3>
                    <ul>
                      {data.mechanisms
                        .filter((one) => one.probability >= 0.1)
                        .slice(0, 6)
                        .map((one) => (
                          <li key={one.code}>
                            {one.label} <span className="figures">{percent(one.probability)}</span>{' '}
                            {one.established && <b>{words.cause.established}</b>}
                          </li>
                        ))}
                    </ul>
                  </div>
                  <div>
                    <h3>{words.cause.excluded}</h3>
                    <ul>
                      {[...new Set(data.excluded.map((one) => one.because))].map((because) => (
                        <li key={because}>
                          <b>{because.charAt(0).toUpperCase() + because.slice(1)}:</b>{' '}
                          <span className="note">
                            {data.excluded
                              .filter((one) => one.because === because)
                              .map((one, i) => (i === 0 ? one.label : one.label.charAt(0).toLowerCase() + one.label.slice(1)))
                              .join('; ')}
                          </span>
                        </li>
                      ))}
                    </ul>
                  </div>
                </section>
              </>
            )}
          </div>
          <Call ranking={data} />
        </div>
      )}
    </div>
  );
}

/** The first of the ranking in one line, above the chain that they lead to. */
function InLine({ data }: { data: RankingView }) {
  return (
    <ul className="in-line">
      {data.causes.slice(0, IN_LINE).map((one) => (
        <li key={one.code}>
          <b>{one.label}</b> <Bar share={one.probability} /> <span className="figures">{percent(one.probability)}</span>
        </li>
      ))}
    </ul>
  );
}

function Together({ data }: { data: RankingView }) {
  const pairs = data.explanations.filter((one) => one.causes.length > 1 && one.probability >= 0.1);
  return (
    <>
      {pairs.map((pair) => (
        <span key={pair.label}>
          {pair.label} {words.cause.together}: {percent(pair.probability)}.{' '}
        </span>
      ))}
    </>
  );
}

/** When this browser last looked with other evidence, and how much of it changed since. */
function Since({ before, count }: { before: Look; count: number }) {
  return (
    <span className="quiet">
      <Changed /> {words.cause.since(count, when(before.at).full)}
    </span>
  );
}

/** What a cause stood at then, where it moved. */
function Was({ before, code, share }: { before: Look | null; code: string; share: number }) {
  const was = before?.shares[code];
  return was === undefined || Math.abs(was - share) < MOVED ? null : <span className="note">{words.cause.was(percent(was))}</span>;
}

/** Where it stood at the last look is a hooked tick. */
function Bar({ share, was = null }: { share: number; was?: number | null }) {
  return (
    <svg width="100%" height="22" viewBox="0 0 260 22" preserveAspectRatio="none" aria-hidden="true">
      <path d="M0.5 18H260M65 18v4M130 18v4M195 18v4M259.5 18v4M0.5 18v4" stroke="var(--edge)" vectorEffect="non-scaling-stroke" />
      <rect x="0" y="6" width={260 * share} height="10" fill="var(--ink)" />
      {was !== null && Math.abs(was - share) >= MOVED && (
        <path
          d={`M${260 * was} 18V3h${was > 0.5 ? -8 : 8}`}
          fill="none"
          stroke="var(--enamel)"
          strokeWidth="2.4"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
