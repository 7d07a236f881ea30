import { Button } from 'antd';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
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
    <div className="pad" role="alert">
      <div className="empty">
        <b>{isOfOlderPage(error) ? words.broken.newer : words.broken.title}</b>
        {words.broken.kept}
        {!isOfOlderPage(error) && <p className="note">{error instanceof Error ? error.message : String(error)}</p>}
        <div className="acts-row">
          <Button type="primary" onClick={() => window.location.reload()}>
            {words.broken.reload}
          </Button>
          <Button onClick={resetErrorBoundary}>{words.broken.again}</Button>
        </div>
      </div>
    </div>
  );
}
