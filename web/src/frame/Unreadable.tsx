import { useQueryClient, type Query } from '@tanstack/react-query';
import { Button } from 'antd';
import { useSyncExternalStore } from 'react';
import { Refused } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { caseKey, isDerived } from '../shared/queries';

/** What the server cannot do now; what it refuses for a reason is said where it was asked for. */
const isFault = (error: unknown): boolean => !(error instanceof Refused) || error.problem.status >= 500;

/** Says when something shown here could not be worked out: an empty place must not look like one with nothing to tell. */
export function Unreadable({ caseId }: { caseId: string }) {
  const queries = useQueryClient();
  const cache = queries.getQueryCache();
  const failed = (): Query[] =>
    cache.findAll({
      queryKey: caseKey(caseId),
      type: 'active',
      predicate: (query) => isDerived(query) && query.state.status === 'error' && isFault(query.state.error),
    });
  const said = useSyncExternalStore(
    (tell) => cache.subscribe(tell),
    () => [...new Set(failed().map((query) => failureWords(query.state.error)))].join(' '),
  );
  return said === '' ? null : (
    <div className="troubles wrong" role="alert">
      {words.unreadable(said)}{' '}
      <Button size="small" onClick={() => failed().forEach((query) => void query.fetch())}>
        {words.tryAgain}
      </Button>
    </div>
  );
}
