import { Button, Spin } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Keycap } from '../draw/Tag';
import { Unread } from '../entry/Unread';
import { BenchProvider, useBench } from '../entry/useBench';
import { Troubles } from '../keeping/Troubles';
import { type CaseView } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useCase, useSchedule } from '../shared/queries';
import { KeysDialog } from './KeysDialog';
import { PersonButton } from './Person';
import { Saving } from './Saving';
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
            <b>{failureWords(query.error)}</b>
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
