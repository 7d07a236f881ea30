import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import type { Outgoing } from './kept';
import { placeLabel } from './slots';
import { useBench } from './useBench';
import { whereMade } from './whereMade';

/** Entries that the server did not take, or that another window got ahead of: each with its reason and what can be done. */
export function Unsettled() {
  const { view, outbox, record, drop } = useBench();
  const catalogue = useCatalogue();
  const [open, setOpen] = useState(false);
  const unsettled = outbox.outgoing.filter((one) => one.state !== 'waiting' || one.problem !== undefined);
  const refused = unsettled.filter((one) => one.state !== 'waiting').length;
  if (unsettled.length === 0) return null;
  const text = (one: Outgoing): string =>
    one.entry.data.text ?? (one.entry.data.severity === undefined ? one.entry.kind : `${one.entry.data.severity}`);
  const close = (): void => setOpen(false);
  return (
    <>
      <button type="button" className="plain saving kept" onClick={() => setOpen(true)}>
        {refused > 0 ? words.saving.refused(refused) : words.saving.failing(unsettled.length)}
      </button>
      <Dialog open={open} onClose={close} width={720} title={words.unsettled.title}>
        <ul className="unsettled">
          {unsettled.map((one) => {
            const { slot } = one.entry;
            const name = `${placeLabel(view, slot.place)} ${slot.item.replace('claimed.', 'claimed ').replaceAll('_', ' ')}`;
            const theirs = one.problem?.current;
            return (
              <li key={one.entry.id}>
                <b>
                  {name}: {text(one)}
                </b>
                <span>
                  {one.state === 'contested' && theirs
                    ? words.bench.contested(theirs.by, theirs.shown ?? String(theirs.severity ?? theirs.kind), text(one))
                    : one.state === 'waiting'
                      ? words.unsettled.failing(one.problem?.detail ?? '')
                      : (one.problem?.reason ?? one.problem?.detail)}
                </span>
                <span className="acts-row">
                  {one.state === 'contested' && (
                    <Button type="primary" onClick={() => record(one.entry.kind, slot, one.entry.data, name)}>
                      {words.bench.mine}
                    </Button>
                  )}
                  <Button onClick={() => drop(one.entry.id)}>{one.state === 'contested' ? words.bench.keep : words.unsettled.drop}</Button>
                  <Link to={`/case/${view.id}/${whereMade(one.entry.kind, slot, catalogue.data)}`} onClick={close}>
                    {words.unsettled.goThere}
                  </Link>
                </span>
              </li>
            );
          })}
        </ul>
      </Dialog>
    </>
  );
}
