import type { Schemas } from '../shared/api';
import { CountedPieces } from './CountedPieces';
import { Custody } from './Custody';
import { PartTags } from './PartTags';
import { Tags } from './Tags';
import '../entry/entry.css';

interface Props {
  teardown: Schemas['TeardownView'];
  chosen: string;
  choose: (station: string) => void;
}

/** Every piece accounted for, where each part is, and the tags they carry. */
export function Pieces({ teardown, chosen, choose }: Props) {
  return (
    <div className="pieces">
      <CountedPieces teardown={teardown} chosen={chosen} choose={choose} />
      <Custody chosen={chosen} />
      <PartTags chosen={chosen} />
      <Tags />
    </div>
  );
}
