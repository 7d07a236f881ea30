import { Button } from 'antd';
import type { ReactNode } from 'react';
import { words } from '../shared/messages';
import type { Outgoing } from '../entry/outbox';
import { useBench } from '../entry/useBench';

interface Props {
  /** The live cell's entry that was refused or contested, if any. */
  unsettled: Outgoing | null;
  /** The live cell in words. */
  name: string;
  /** Takes a reading that the refusal offered. */
  onOffer: (text: string) => void;
  /** What stands here while nothing is wrong. */
  children: ReactNode;
}

/** The foot of a sheet: why the live cell was refused and what is accepted, or which of two entries stands. */
export function SheetFoot({ unsettled, name, onOffer, children }: Props) {
  const { record, drop } = useBench();
  return (
    <footer className="bench-foot">
      {unsettled === null ? (
        children
      ) : unsettled.state === 'contested' ? (
        <>
          <p className="warn" role="alert">
            {words.bench.contested(
              unsettled.problem?.current?.by ?? '?',
              unsettled.problem?.current?.shown ?? 'nothing',
              unsettled.entry.data.text ?? '',
            )}
          </p>
          <Button onClick={() => drop(unsettled.entry.id)}>{words.bench.keep}</Button>
          <Button type="primary" onClick={() => record(unsettled.entry.kind, unsettled.entry.slot, unsettled.entry.data, name)}>
            {words.bench.mine}
          </Button>
        </>
      ) : (
        <>
          <p className="warn" role="alert">
            <b className="wrong">
              {name}: {unsettled.problem?.reason ?? unsettled.problem?.detail}
            </b>{' '}
            {unsettled.problem?.accepted ? `Accepted: ${unsettled.problem.accepted}. ` : ''}
            {words.bench.staysInCell}
          </p>
          {unsettled.problem?.offers?.map((offer) => (
            <Button key={offer} onClick={() => onOffer(offer)}>
              {words.bench.take(offer)}
            </Button>
          ))}
        </>
      )}
    </footer>
  );
}
