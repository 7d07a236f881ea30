import { Button } from 'antd';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';

/** Pictures that the server did not take, each with its place and its reason; they can be tried again or left. */
export function NotTaken() {
  const { view, outbox, again, drop } = useBench();
  const refused = outbox.outgoing.filter((one) => one.withPicture === true && one.state !== 'waiting');
  if (refused.length === 0) return null;
  return (
    <div className="warn" role="alert">
      {refused.map((one) => (
        <p key={one.entry.id}>
          <b>
            {placeLabel(view, one.entry.slot.place)}, {words.teardown.uploadFailed}:
          </b>{' '}
          {one.problem?.detail}
        </p>
      ))}
      <Button onClick={() => again(refused.map((one) => one.entry.id))}>{words.photo.again}</Button>{' '}
      <Button onClick={() => refused.forEach((one) => drop(one.entry.id))}>{words.photo.leave}</Button>
    </div>
  );
}
