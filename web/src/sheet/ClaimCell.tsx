import { EntryField } from '../entry/EntryField';
import { reasonOf, refusedIn } from '../entry/refusal';
import { useBench } from '../entry/useBench';
import type { ColumnView } from '../shared/api';
import { words } from '../shared/messages';
import './claim.css';
import { HowWellKnown, useStanding, type Standing } from './HowWellKnown';

interface Props {
  column: ColumnView;
  place: string;
  /** Where it is claimed, in words; nothing for the engine as a whole. */
  placeName?: string;
  coil?: string;
}

/** One claimed figure: saved when the field is left or Enter pressed; a refused one stays with its reason. */
export function ClaimCell({ column, place, placeName = '', coil = 'outer' }: Props) {
  const { slots, record, withdraw } = useBench();
  const slot = { place, part: column.part, item: `claimed.${column.code}`, index: column.byCoil ? coil : null };
  const state = slots.get(slot);
  const { entry } = state;
  const refused = refusedIn(state);
  const written = (text: string, at: string): string => (column.atHeight && at !== '' ? `${text} at ${at}` : text);
  const stands = entry === null || entry.standing === 'unknown' ? '' : written(entry.text ?? '', entry.atText ?? '');
  const { mean, ...how } = useStanding((entry?.standing ?? refused?.entry.data.standing) as Standing | undefined);
  const name = [column.label, placeName].filter(Boolean).join(', ');

  const post = (text: string, standing: Standing): void => {
    mean(null);
    if (standing === 'unknown') {
      record('claim', slot, { standing: 'unknown' }, `${name}, unknown`);
      return;
    }
    const [value = '', at] = column.atHeight ? text.split(/\s+at\s+|\s*@\s*/i) : [text];
    record('claim', slot, { text: value, standing, ...(at === undefined ? {} : { atText: at }) }, `${words.story.claimed(name)}, ${text}`);
  };
  return (
    <div className="claim">
      <EntryField
        label={words.story.claimed(name)}
        stands={stands}
        refused={
          refused === null
            ? null
            : { text: written(refused.entry.data.text ?? '', refused.entry.data.atText ?? ''), reason: reasonOf(refused) }
        }
        placeholder={placeholderOf(column)}
        isFigure
        onRecord={(text) => (text === '' ? withdraw(slot, name) : post(text, how.standing === 'unknown' ? 'said' : how.standing))}
      />
      <HowWellKnown
        {...how}
        name={name}
        onChange={(chosen) => (chosen === 'unknown' || stands !== '' ? post(stands, chosen) : mean(chosen))}
      />
    </div>
  );
}

/** How it is to be typed: a load with its height, a figure in the unit that both systems share. */
function placeholderOf({ atHeight, units }: ColumnView): string {
  if (atHeight) return words.story.loadAtHeight;
  return units.every((unit) => unit === units[0]) ? (units[0] ?? '') : '';
}
