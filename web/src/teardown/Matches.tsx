import { Keycap } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { CaseView, SignView } from '../shared/api';
import { words } from '../shared/messages';
import type { EntryLine } from './entryLine';

type Part = CaseView['parts'][number];

interface Props {
  line: EntryLine;
  matches: readonly SignView[];
  parts: readonly Part[];
  part: Part | undefined;
  station: CaseView['stations'][number];
  onTake: (sign: SignView) => void;
}

const MANY = 7;
const FEW = 4;

/** Signs that were found by their letters, each with where else it stands among the stations of its kind. */
export function Matches({ line, matches, parts, part, station, onTake }: Props) {
  const { view } = useBench();
  const near = useNear(station);
  const isPointed = (i: number): boolean => line.slot === 'sign' && i === line.pointed;
  const partName = (sign: SignView): string => {
    const code = sign.parts.find((one) => parts.some((other) => other.code === one));
    return view.parts.find((one) => one.code === code)?.label ?? '';
  };
  return (
    <>
      <ul className="matches" id="sign-matches" role="listbox" aria-label={words.teardown.signsOfPart}>
        {matches.slice(0, line.slot === 'part' ? FEW : MANY).map((one, i) => (
          <li key={one.code} id={`sign-${one.code}`} role="option" aria-selected={isPointed(i)} onClick={() => onTake(one)}>
            <span>
              {one.name}
              {part && !one.parts.includes(part.code) && <span className="note"> {partName(one)}</span>}
            </span>
            <span className="note">{near(one.code)}</span>
            {isPointed(i) && <Keycap>Enter</Keycap>}
          </li>
        ))}
      </ul>
      {matches.length === 0 && <p className="quiet">{words.teardown.noSign}</p>}
    </>
  );
}

const NEIGHBOURS = 3;

/** Where else a sign stands: the first stations of the same kind, each with its step. */
function useNear(station: CaseView['stations'][number]): (code: string) => string {
  const { view, slots } = useBench();
  const standing = slots.standing('finding');
  return (code) =>
    view.stations
      .filter((one) => one.kind === station.kind && one.code !== station.code)
      .map((one) => ({ one, step: standing.find((entry) => entry.place === one.code && entry.item === code)?.severity ?? 0 }))
      .filter(({ step }) => step > 0)
      .slice(0, NEIGHBOURS)
      .map(({ one, step }) => words.teardown.alsoAt(one.label, step))
      .join('; ');
}
