import { byValve } from '../entry/byValve';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { useOpened } from '../frame/useSection';
import { Choice } from '../shared/Choice';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { useFit } from '../shared/queries';
import { leastFirst, RuleField } from './RuleField';

/** What fits into what at every valve: go or no go, as the parts stand or with one spring tried everywhere. */
export function FitField({ onOpen }: { onOpen: (place: string) => void }) {
  const { view } = useBench();
  const [chosen] = useChosen();
  const [spring, take] = useOpened('spring');
  const [order, setOrder] = useOpened('order');
  const told = useFit(view.id, spring ?? '');
  if (told.error !== null)
    return (
      <p className="wrong" role="alert">
        {failureWords(told.error)}
      </p>
    );
  if (told.data === undefined) return null;
  const { columns, margins, springs } = told.data;
  const margin = new Map(byValve(view.stations, margins).map(([code, one]) => [`${code} ${one.quantity} ${one.coil ?? ''}`, one]));
  const find = (place: string, i: number) => margin.get(`${place} ${columns[i]?.quantity ?? ''} ${columns[i]?.index[0] ?? ''}`);
  const sorted = columns.findIndex((one) => one.key === order);
  return (
    <>
      <div className="more-lift">
        {springs.length > 0 && (
          <Choice
            value={spring ?? ''}
            label={words.fit.spring}
            width={330}
            onChange={(from) => take(from === '' ? null : from)}
            options={[
              { value: '', label: `${words.fit.spring}: ${words.fit.asTheyStand}` },
              ...springs.map((one) => ({
                value: one.from,
                label: one.isShelved ? words.stack.onShelf(one.name) : words.stack.offEngine(one.name),
              })),
            ]}
          />
        )}
        <span className="note">{words.fit.note}</span>
      </div>
      {columns.length === 0 ? (
        <p className="more-or-less-note">{words.fit.nothing}</p>
      ) : (
        <RuleField
          rows={sorted === -1 ? view.stations : leastFirst(view.stations, (code) => find(code, sorted))}
          columns={columns}
          find={find}
          chosen={chosen}
          sortedBy={sorted === -1 ? null : order}
          onSort={setOrder}
          onOpen={onOpen}
        />
      )}
    </>
  );
}
