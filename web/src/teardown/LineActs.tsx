import { Button } from 'antd';
import { Keycap } from '../draw/Tag';
import { words } from '../shared/messages';
import type { LineActions } from './LineSlots';

interface Props {
  hasSign: boolean;
  isComplete: boolean;
  /** Parts of the place that nobody looked at. */
  left: number;
  /** The station before, where there is one. */
  neighbour: string | null;
  acts: LineActions;
}

/** What the line can do, for the hand that has no keys. */
export function LineActs({ hasSign, isComplete, left, neighbour, acts }: Props) {
  return (
    <div className="entry-acts">
      {hasSign ? (
        <Button type="primary" disabled={!isComplete} onClick={acts.accept}>
          {words.teardown.accept}
        </Button>
      ) : (
        <>
          <Button onClick={acts.nothingHere}>
            {words.teardown.nothingHere} <Keycap>0</Keycap>
          </Button>
          {left > 0 && (
            <Button onClick={acts.rest}>
              {words.teardown.rest(left)} <Keycap>.</Keycap>
            </Button>
          )}
          {neighbour !== null && (
            <Button onClick={acts.asNeighbour}>
              {words.teardown.asNeighbour(neighbour)} <Keycap>=</Keycap>
            </Button>
          )}
        </>
      )}
    </div>
  );
}
