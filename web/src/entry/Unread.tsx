import { Button } from 'antd';
import { useState } from 'react';
import { when } from '../shared/days';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { placeLabel, slotOf } from './slots';
import { useBench } from './useBench';

/** A time as people write it; what is no time as it stands. */
const moment = (at: string): string => (Number.isNaN(Date.parse(at)) ? at : when(at).full);

/** Entries that are stored and cannot be read: named, with what is wrong, and the way to take them back. */
export function Unread() {
  const { view, slots, withdraw } = useBench();
  const [open, setOpen] = useState(false);
  const unread = view.unread.filter((one) => slots.get(slotOf(one)).headId === one.id);
  if (unread.length === 0) return null;
  return (
    <>
      <button type="button" className="plain saving kept" onClick={() => setOpen(true)}>
        {words.unread.count(unread.length)}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} width={720} title={words.unread.title}>
        <p className="note">{words.unread.what}</p>
        <ul className="unsettled">
          {unread.map((one) => {
            const name = `${placeLabel(view, one.place)} ${one.item.replaceAll('_', ' ')}`;
            return (
              <li key={one.id}>
                <b>
                  {name}, {one.kind}
                </b>
                <span>{one.reason}</span>
                <span className="acts-row">
                  <Button onClick={() => withdraw(slotOf(one), name)}>{words.unread.takeBack}</Button>
                  <span className="note">{words.unread.by(one.by, moment(one.at))}</span>
                </span>
              </li>
            );
          })}
        </ul>
      </Dialog>
    </>
  );
}
