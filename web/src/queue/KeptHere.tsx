import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { keptCounts } from '../entry/kept';
import { Outbox } from '../entry/outbox';
import { words } from '../shared/messages';

/** Entries of any case that only this browser has: they are sent from here too, and what cannot be sent is shown. */
export function KeptHere({ names }: { names: ReadonlyMap<string, string> }) {
  const [cases, setCases] = useState<readonly string[]>([]);
  useEffect(() => {
    void keptCounts().then(
      (counts) => setCases([...counts.keys()]),
      () => undefined, // no database, nothing kept
    );
  }, []);
  return cases.map((id) => <OfCase key={id} id={id} name={names.get(id) ?? words.queue.anotherCase} />);
}

function OfCase({ id, name }: { id: string; name: string }) {
  const queries = useQueryClient();
  const [outbox] = useState(() => new Outbox(id, () => queries.invalidateQueries({ queryKey: ['cases'] })));
  const { outgoing, line } = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  useEffect(() => {
    void outbox.load();
    return () => outbox.dispose();
  }, [outbox]);
  if (outgoing.length === 0) return null;
  const waiting = outgoing.filter((one) => one.state === 'waiting').length;
  return (
    <p className="kept-here" role="status">
      <Link to={`/case/${id}/teardown`}>{words.saving.elsewhere(outgoing.length, name)}</Link>
      <span className={line === 'up' && waiting === outgoing.length ? 'quiet' : 'wrong'}>
        {[waiting > 0 ? words.saving.why[line] : '', outgoing.length > waiting ? words.saving.refused(outgoing.length - waiting) : '']
          .filter((one) => one !== '')
          .join('; ')}
      </span>
    </p>
  );
}
