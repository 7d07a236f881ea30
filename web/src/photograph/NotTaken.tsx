import { Button } from 'antd';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import type { Taking } from './usePhotographs';

/** Pictures that were not taken, each with its reason; they can be tried again or left. */
export function NotTaken({ failed, again, forget }: Pick<Taking, 'failed' | 'again' | 'forget'>) {
  const { view } = useBench();
  if (failed.length === 0) return null;
  return (
    <div className="warn" role="alert">
      {failed.map((one) => (
        <p key={one.file.name}>
          <b>
            {placeLabel(view, one.subject.place)}, {words.teardown.uploadFailed}:
          </b>{' '}
          {one.message}
        </p>
      ))}
      <Button onClick={() => void again()}>{words.photo.again}</Button> <Button onClick={forget}>{words.photo.leave}</Button>
    </div>
  );
}
