import { Link } from 'react-router';
import { words } from '../shared/messages';
import { useEngines } from '../shared/queries';
import type { FormProps } from './Item';

/** A saved engine: its name is changed here, all else where a case describes it. */
export function EngineForm({ code }: FormProps) {
  const engine = useEngines().data?.find((one) => one.id === code)?.engine;
  return (
    <>
      <p>{engine?.summary}</p>
      <p className="note">
        {words.library.engineHint} <Link to={`/new?engine=${code}`}>{words.library.beginWithIt}</Link>
      </p>
    </>
  );
}
