import { useQuery } from '@tanstack/react-query';
import { useDoor } from '../door/DoorGate';
import { answer, api } from '../shared/api';
import { words } from '../shared/messages';
import './keeping.css';

const LOOK_AGAIN = 20_000;

/** What is wrong with the shop's computer, and who can reach it from outside. Empty when nothing is to be said. */
export function Troubles() {
  const door = useDoor();
  const { data } = useQuery({
    queryKey: ['state'],
    queryFn: () => answer(api.GET('/api/state')),
    refetchInterval: LOOK_AGAIN,
  });
  return (
    <>
      {data !== undefined && data.troubles.length > 0 && (
        <p className="troubles wrong" role="alert">
          {data.troubles.join(' ')}
        </p>
      )}
      {door.data !== undefined && door.data.network !== '' && (
        <p className="troubles" role="note">
          {words.door.reachable(door.data.network)}
        </p>
      )}
    </>
  );
}
