import { Button } from 'antd';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Link, useLocation, useRouteError } from 'react-router';
import { words } from '../shared/messages';

/** Ends a fault of the page in words; `place` changes where the person has gone elsewhere, and it is tried again. */
export function Guarded({ place, children }: { place: string; children: ReactNode }) {
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[place]}>
      {children}
    </ErrorBoundary>
  );
}

/** A part of the page that was replaced on the server by a newer one is not there any more: the page has to be loaded again. */
const isOfOlderPage = (error: unknown): boolean =>
  error instanceof Error && /dynamically imported module|Importing a module script failed|error loading dynamically/i.test(error.message);

function Broken({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <Words error={error}>
      <Button onClick={resetErrorBoundary}>{words.broken.again}</Button>
    </Words>
  );
}

/** A place that could not be fetched, or failed: the frame around it stays. */
export function BrokenPlace() {
  const { pathname } = useLocation();
  return (
    <Words error={useRouteError()}>
      <Link to={pathname}>{words.broken.again}</Link>
    </Words>
  );
}

/** A page that could not be fetched, or failed. */
export function BrokenPage() {
  return (
    <Words error={useRouteError()}>
      <Link to="/">{words.newCase.back}</Link>
    </Words>
  );
}

function Words({ error, children }: { error: unknown; children: ReactNode }) {
  return (
    <div className="pad" role="alert">
      <div className="empty">
        <b>{isOfOlderPage(error) ? words.broken.newer : words.broken.title}</b>
        {words.broken.kept}
        {!isOfOlderPage(error) && <p className="note">{error instanceof Error ? error.message : String(error)}</p>}
        <div className="acts-row">
          <Button type="primary" onClick={() => window.location.reload()}>
            {words.broken.reload}
          </Button>
          {children}
        </div>
      </div>
    </div>
  );
}
