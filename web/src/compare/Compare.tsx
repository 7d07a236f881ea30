import { Button, Select } from 'antd';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { PlanSide } from '../frame/PlanSide';
import { useOpened } from '../frame/useSection';
import { Choice } from '../shared/Choice';
import { useKeysEverywhere, isWriting } from '../shared/keys';
import { words } from '../shared/messages';
import { useComparable, useComparison, useGroups, type Group } from '../shared/queries';
import { Differences } from './Differences';
import { Mismatches } from './Mismatches';
import { Pairs } from './Pairs';
import './compare.css';

/** Step 7: any two groups of stations beside each other, and what does not match without being asked. */
export default function Compare() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const groups = useGroups(view.id).data ?? [];
  const [asked, ask] = useOpened('pair');
  const [ofCase, askCase] = useOpened('of');
  const comparable = useComparable(view.id).data ?? [];
  const against = comparable.find((found) => found.id === ofCase) ?? null;
  const [one, other] = sidesOf(asked, groups, view.story.failed, against !== null);
  const comparison = useComparison(view.id, one, other, against?.id ?? null);
  const hold = (first: string | null, second: string | null): void => ask(first === null || second === null ? null : `${first}~${second}`);
  const swap = (): void => hold(other, one);
  useKeysEverywhere([
    { shown: 'X', does: words.keysDo.swapSides, on: /^x$/i, when: (event) => !isWriting(event) && !event.ctrlKey, run: swap },
  ]);
  const side = (value: string | null, label: string, onChange: (code: string) => void) => (
    <Select<string[]>
      mode="multiple"
      value={value?.split(AND) ?? []}
      aria-label={label}
      style={{ minWidth: 190, maxWidth: 420 }}
      popupMatchSelectWidth={false}
      onChange={(codes) => codes.length > 0 && onChange(likeTheLast(codes).join(AND))}
      showSearch={{ optionFilterProp: 'label' }}
      options={groups.map((group) => ({ value: group.code, label: group.name }))}
    />
  );
  return (
    <div className="room in-compare">
      <PlanSide
        chosen={chosen}
        onChoose={(station, walks) => {
          choose(station);
          if (!walks) hold(station, other);
        }}
        first="signs"
      />
      <div className="sheet pad compare">
        <div className="sides">
          {side(one, words.compare.first, (code) => hold(code, other))}
          <span>{words.compare.against}</span>
          {side(other, words.compare.second, (code) => hold(one, code))}
          {comparable.length > 0 && (
            <Choice
              value={against?.id ?? HERE}
              label={words.compare.ofCase}
              width={240}
              onChange={(id) => askCase(id === HERE ? null : id)}
              options={[
                { value: HERE, label: words.compare.here },
                ...comparable.map((found) => ({ value: found.id, label: words.compare.ofOther(found.number, found.name) })),
              ]}
            />
          )}
          <Button onClick={swap}>{words.compare.swap}</Button>
        </div>
        {comparison.data && <Differences of={comparison.data} />}
        {comparison.data && <Pairs one={comparison.data.one} other={comparison.data.other} of={against?.id ?? null} />}
        <h3>{words.compare.unasked}</h3>
        <Mismatches caseId={view.id} onOpen={choose} />
      </div>
    </div>
  );
}

/** What is chosen joins its like; in the place of anything else it stands alone: a station after a bank is that station. */
function likeTheLast(codes: readonly string[]): readonly string[] {
  const kind = (code: string): string => (/^(bank|kind|loose)-|^off-/.exec(code) ?? [code.includes('-') ? 'station' : 'cylinder'])[0];
  const last = codes.at(-1) ?? '';
  return codes.filter((code) => kind(code) === kind(last));
}

/** Between groups that are held together as one side. */
const AND = '+';
/** This case, in the place of the id of another. */
const HERE = '';

/**
 * What the address says; else the failed station in both of two cases; the banks; the failed station and the next of its kind; the two
 * kinds.
 */
function sidesOf(
  asked: string | null,
  groups: readonly Group[],
  failed: readonly string[],
  isOfTwoCases: boolean,
): [string | null, string | null] {
  const known = (code: string | undefined): boolean =>
    code !== undefined && code.split(AND).every((part) => groups.some((group) => group.code === part));
  const [first, second] = asked?.split('~') ?? [];
  if (first !== undefined && second !== undefined && known(first) && known(second)) return [first, second];
  const one = groups.find((group) => group.places.length === 1 && group.places[0] === failed[0]);
  if (isOfTwoCases && one) return [one.code, one.code];
  const banks = groups.filter((group) => group.code.startsWith('bank-'));
  if (banks[0] && banks[1]) return [banks[0].code, banks[1].code];
  const kind = one?.code.split('-')[1];
  const next = groups.find((group) => group.places.length === 1 && group.code !== one?.code && group.code.split('-')[1] === kind);
  if (one && next) return [one.code, next.code];
  return [groups[0]?.code ?? null, groups[1]?.code ?? null];
}
