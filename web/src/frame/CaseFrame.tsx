import { Button, Spin } from 'antd';
import { useState, type ReactNode } from 'react';
import { Link, Outlet, useMatch, useParams } from 'react-router';
import { Keycap } from '../draw/Tag';
import { Unread } from '../entry/Unread';
import { BenchProvider, useBench } from '../entry/useBench';
import { Troubles } from '../keeping/Troubles';
import { type CaseView } from '../shared/api';
import { isWriting, KeysProvider, useKeysEverywhere } from '../shared/keys';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useCase, useCatalogue } from '../shared/queries';
import { Announcer } from './Announcer';
import { Guarded } from './Broken';
import { ChosenProvider, useChosen } from './Chosen';
import { KeysDialog } from './KeysDialog';
import { AskName, PersonButton } from './Person';
import { Saving } from './Saving';
import { Title } from './Title';
import { Unreadable } from './Unreadable';
import { useTyping } from './useTyping';
import { Mark } from '../draw/Wordmark';

/** A case with all of its places: which one is open stands in the address. */
export function CasePage() {
  const { id = '' } = useParams();
  const step = useMatch('/case/:id/:step/*')?.params.step ?? '';
  return (
    <CaseFrame key={id} id={id} step={step}>
      <Guarded place={step}>
        <Outlet />
      </Guarded>
    </CaseFrame>
  );
}

interface Props {
  id: string;
  step: string;
  children: ReactNode;
}

/** Head row and step line around every place of a case. */
export function CaseFrame({ id, step, children }: Props) {
  const query = useCase(id);
  // Letters find signs: a place that takes them before the signs are there would lose what was typed.
  const catalogue = useCatalogue();
  const failed = [query, catalogue].find((one) => one.isLoadingError);
  if (query.data === undefined || catalogue.data === undefined) {
    return (
      <main className="pad">
        {failed === undefined ? (
          <Spin />
        ) : (
          <div className="empty">
            <b>{failureWords(failed.error)}</b>
            <Link to="/">{words.newCase.back}</Link> <Button onClick={() => void failed.refetch()}>{words.tryAgain}</Button>
          </div>
        )}
      </main>
    );
  }
  const name = query.data.steps.find((one) => one.code === step)?.label ?? words.places[step] ?? '';
  return (
    <BenchProvider view={query.data}>
      <ChosenProvider>
        <KeysProvider>
          <Announcer />
          <Title of={[name, caseName(query.data)].filter(Boolean).join(' · ')} />
          <div className="place case">
            <div>
              <HeadRow view={query.data} step={step} />
              <AskName />
              <Troubles />
              <Unreadable caseId={id} />
            </div>
            <StepLine view={query.data} step={step} />
            <main className="place-main" aria-label={name}>
              <h1 className="unseen">{`${caseName(query.data)}: ${name}`}</h1>
              {children}
            </main>
          </div>
        </KeysProvider>
      </ChosenProvider>
    </BenchProvider>
  );
}

const caseName = (view: CaseView): string => `${String(view.number).padStart(4, '0')} · ${view.name}`;

function HeadRow({ view, step }: { view: CaseView; step: string }) {
  const { undo, undoable } = useBench();
  const [keys, setKeys] = useState(false);
  const isBeingTyped = useTyping();
  useKeysEverywhere([
    {
      shown: 'Ctrl Z',
      does: words.keysDo.undo,
      on: /^z$/i,
      ctrl: true,
      shift: false,
      when: ({ target }) => !isBeingTyped(target),
      run: undo,
    },
    { shown: '?', does: words.keysDo.keys, on: /^\?$/, when: (event) => !isWriting(event), run: () => setKeys(true) },
  ]);
  return (
    <header className="head-row">
      <Link to="/" aria-label={words.queue.title} className="home">
        <Mark />
      </Link>
      <span className="name" title={view.name}>
        {caseName(view)}
      </span>
      <span className="spring" />
      {undoable !== null && (
        <button type="button" className="plain undo" onClick={undo}>
          <span className="undoable">{words.undo(undoable)}</span> <Keycap>Ctrl Z</Keycap>
        </button>
      )}
      <DaysDoor view={view} open={step === 'schedule'} />
      <Unread />
      <Saving />
      <PersonButton />
      <button type="button" className="plain keys-door" onClick={() => setKeys(true)}>
        <Keycap>?</Keycap> {words.keys}
      </button>
      <KeysDialog open={keys} onClose={() => setKeys(false)} />
    </header>
  );
}

/** The way to the days ahead; it says when the case is late. */
function DaysDoor({ view, open }: { view: CaseView; open: boolean }) {
  const { sentence, late, overdue } = view.days;
  return (
    <Link
      to={`/case/${view.id}/schedule`}
      className={late || overdue !== '' ? 'days-door wrong' : 'days-door'}
      aria-current={open ? 'page' : undefined}
    >
      {words.days.door(sentence, overdue !== '')}
    </Link>
  );
}

function StepLine({ view, step }: { view: CaseView; step: string }) {
  const [chosen] = useChosen();
  return (
    <nav className="step-line" aria-label={words.step.all}>
      {view.steps.map((one, i) => (
        <StepLink key={one.code} step={one} number={i + 1} to={`/case/${view.id}/${one.code}?at=${chosen}`} isOpen={one.code === step} />
      ))}
    </nav>
  );
}

interface StepLinkProps {
  step: CaseView['steps'][number];
  number: number;
  to: string;
  isOpen: boolean;
}

/** A step of the work, and how far it is. */
function StepLink({ step, number, to, isOpen }: StepLinkProps) {
  const line = isOpen ? 'var(--sheet)' : 'var(--ink)';
  return (
    <Link to={to} className={isOpen ? 'step open' : 'step'} aria-current={isOpen ? 'step' : undefined}>
      {number} {step.label}
      <svg width="100%" height="10" viewBox="0 0 125 10" preserveAspectRatio="none" aria-hidden="true">
        <path
          d="M0 4H125M25 4v4M50 4v4M75 4v4M100 4v4"
          stroke={isOpen ? 'var(--sheet)' : 'var(--edge)'}
          fill="none"
          vectorEffect="non-scaling-stroke"
        />
        <path d="M0.5 0v9" stroke={line} vectorEffect="non-scaling-stroke" />
        {step.done !== null && step.done > 0 && (
          <path d={`M0 4H${125 * Math.min(1, step.done)}`} stroke={line} strokeWidth="4" vectorEffect="non-scaling-stroke" />
        )}
      </svg>
      <small className={step.overdue ? 'wrong' : ''}>{step.left}</small>
    </Link>
  );
}
