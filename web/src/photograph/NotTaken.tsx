import { Button } from 'antd';
import { words } from '../shared/messages';
import type { Taking } from './usePhotographs';

/** Pictures that were not taken, each with its reason; they can be tried again or left. */
export function NotTaken({ failed, take, forget }: Pick<Taking, 'failed' | 'take' | 'forget'>) {
  if (failed.length === 0) return null;
  return (
    <div className="warn" role="alert">
      {failed.map((one) => (
        <p key={one.file.name}>
          <b>{words.teardown.uploadFailed}:</b> {one.message}
        </p>
      ))}
      <Button onClick={() => void take(failed.map((one) => one.file))}>{words.photo.again}</Button>{' '}
      <Button onClick={forget}>{words.photo.leave}</Button>
    </div>
  );
}
