import { TemperChip } from '../draw/Temper';
import { useBench } from '../entry/useBench';
import type { EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';

/** What was found at a place, each with who found it and the way to take it back. */
export function Recorded({ place, label }: { place: string; label: string }) {
  const { view, slots, withdraw } = useBench();
  const catalogue = useCatalogue();
  const recorded = slots.findingsAt(place).filter((entry) => entry.severity !== null);
  const signName = (code: string): string => catalogue.data?.signs.find((one) => one.code === code)?.name ?? code;
  const partName = (code: string): string => view.parts.find((one) => one.code === code)?.label ?? code;
  return (
    <section aria-label={words.teardown.found}>
      <h3>
        {words.teardown.found}: {label}
      </h3>
      {recorded.length === 0 && <p className="note">{words.teardown.foundNothing}</p>}
      <ul>
        {recorded.map((entry) => (
          <li key={entry.id}>
            <TemperChip step={entry.severity} size={20} />
            <span>
              {partName(entry.part)}: {signName(entry.item)}
              <small>{beside(entry)}</small>
            </span>
            <button type="button" className="take-back" onClick={() => withdraw(entry, `${label} ${signName(entry.item)}`)}>
              {words.teardown.takeBack}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const FAIRLY = 0.6;

/** Who saw it, in which state, how sure, and what else was said. */
function beside({ by, state, sureness, note }: EntryView): string {
  const said = [
    by,
    state === 'after_cleaning' ? words.teardown.afterCleaning : '',
    sureness !== null && sureness < 1 ? (sureness > FAIRLY ? words.teardown.fairlySure : words.teardown.notSure) : '',
  ];
  return `${said.filter(Boolean).join(', ')}${note === null ? '' : `. ${note}`}`;
}
