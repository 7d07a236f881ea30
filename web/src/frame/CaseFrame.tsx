import { Button, Spin } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Keycap } from '../draw/Tag';
import { Unread } from '../entry/Unread';
import { Unsettled } from '../entry/Unsettled';
import { BenchProvider, useBench } from '../entry/useBench';
import { Troubles } from '../keeping/Troubles';
import { Refused, type CaseView } from '../shared/api';
import { words } from '../shared/messages';
import { useCase, useSchedule } from '../shared/queries';
import { KeysDialog } from './KeysDialog';
import { PersonButton } from './Person';
import { useTyping } from './useTyping';
import { Mark } from './Wordmark';

/** Head row and step line around every place of a case. */
export function CaseFrame({ id, step, children }: { id: string; step: string; children: ReactNode }) {
  const query = useCase(id);
  if (query.data === undefined) {
    return (
      <div className="pad">
        {query.error === null ? (
          <Spin />
        ) : (
          <div className="empty">
            <b>{query.error instanceof Refused ? query.error.message : 'The server does not answer.'}</b>
            <Link to="/">{words.newCase.back}</Link> <Button onClick={() => void query.refetch()}>Try again</Button>
          </div>
        )}
      </div>
    );
  }
  return (
    <BenchProvider view={query.data}>
      <div className="place case">
        <div>
          <HeadRow view={query.data} step={step} />
          <Troubles />
        </div>
        <StepLine view={query.data} step={step} />
        {children}
      </div>
    </BenchProvider>
  );
}

function HeadRow({ view, step }: { view: CaseView; step: string }) {
  const { undo, undoable } = useBench();
  const [keys, setKeys] = useState(false);
  const isBeingTyped = useTyping();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented) return; // the place had a meaning for it
      if ((event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z' && !isBeingTyped(event.target)) {
        event.preventDefault();
        undo();
      }
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (event.key === '?' && !typing) setKeys(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, isBeingTyped]);
  return (
    <header className="head-row">
      <Link to="/" aria-label="Bench queue" style={{ display: 'flex' }}>
        <Mark />
      </Link>
      <span className="name" title={view.name}>
        {String(view.number).padStart(4, '0')} · {view.name}
      </span>
      <span className="spring" />
      {undoable !== null && (
        <button type="button" className="plain" onClick={undo}>
          {words.undo(undoable)} <Keycap>Ctrl Z</Keycap>
        </button>
      )}
      <DaysDoor view={view} open={step === 'schedule'} />
      <Unread />
      <Saving />
      <PersonButton />
      <button type="button" className="plain" onClick={() => setKeys(true)}>
        <Keycap>?</Keycap> {words.keys}
      </button>
      <KeysDialog step={step} open={keys} onClose={() => setKeys(false)} />
    </header>
  );
}

/** The way to the days ahead; it says when the case is late. */
function DaysDoor({ view, open }: { view: CaseView; open: boolean }) {
  const schedule = useSchedule(view.id, view.revision);
  return (
    <Link
      to={`/case/${view.id}/schedule`}
      className={schedule.data?.late || schedule.data?.overdue ? 'days-door wrong' : 'days-door'}
      aria-current={open ? 'page' : undefined}
    >
      {words.days.door(schedule.data?.sentence ?? '', schedule.data?.overdue !== undefined && schedule.data.overdue !== '')}
    </Link>
  );
}

function Saving() {
  const { outbox } = useBench();
  const waiting = outbox.outgoing.filter((one) => one.state === 'waiting').length;
  if (waiting > 0 && outbox.line === 'down') {
    return (
      <span className="saving kept" role="status">
        <svg width="16" height="16" aria-hidden="true">
          <circle cx="8" cy="8" r="6" fill="none" stroke="var(--lead)" strokeWidth="2" strokeDasharray="3 2.4" />
        </svg>
        {words.saving.kept(waiting)}
      </span>
    );
  }
  if (waiting === 0 && outbox.outgoing.length > 0) return <Unsettled />;
  return (
    <span className="saving" role="status">
      <svg width="16" height="16" aria-hidden="true" fill="none">
        {waiting > 0 ? (
          <path d="M8 2a6 6 0 1 1-6 6" stroke="var(--ink)" strokeWidth="2" />
        ) : (
          <path d="M2 8.5l4 4L14 3.5" stroke="var(--enamel)" strokeWidth="2.4" />
        )}
      </svg>
      {waiting > 0
        ? words.saving.sending(waiting)
        : outbox.savedAt === null
          ? words.saving.none
          : words.saving.saved(outbox.savedAt.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' }))}
    </span>
  );
}

function StepLine({ view, step }: { view: CaseView; step: string }) {
  return (
    <nav className="step-line" aria-label="Steps of the work">
      {view.steps.map((one, i) => {
        const open = one.code === step;
        return (
          <Link
            key={one.code}
            to={`/case/${view.id}/${one.code}`}
            className={open ? 'step open' : 'step'}
            aria-current={open ? 'step' : undefined}
          >
            {i + 1} {one.label}
            <svg width="100%" height="10" viewBox="0 0 125 10" preserveAspectRatio="none" aria-hidden="true">
              <path
                d="M0 4H125M25 4v4M50 4v4M75 4v4M100 4v4"
                stroke={open ? 'var(--sheet)' : 'var(--edge)'}
                fill="none"
                vectorEffect="non-scaling-stroke"
              />
              <path d="M0.5 0v9" stroke={open ? 'var(--sheet)' : 'var(--ink)'} vectorEffect="non-scaling-stroke" />
              {one.done !== null && one.done > 0 && (
                <path
                  d={`M0 4H${125 * Math.min(1, one.done)}`}
                  stroke={open ? 'var(--sheet)' : 'var(--ink)'}
                  strokeWidth="4"
                  vectorEffect="non-scaling-stroke"
                />
              )}
            </svg>
            <small className={one.overdue ? 'wrong' : ''}>{one.left}</small>
          </Link>
        );
      })}
    </nav>
  );
}
