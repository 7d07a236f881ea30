import { useState } from 'react';
import { placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { useLimits } from '../shared/queries';

type End = 'least' | 'most';

/** Limits that the maker of a part states: each goes before every school, at the places it is stated for. */
export function MakersLimits({ places }: { places: readonly { place: string; label: string }[] }) {
  const { view, slots, record, withdraw } = useBench();
  const limits = useLimits().data ?? [];
  const [code, setCode] = useState<string | null>(null);
  const [end, setEnd] = useState<End>('least');
  const [place, setPlace] = useState('engine');
  const [text, setText] = useState('');
  const limit = limits.find((one) => one.code === code);
  const ends: readonly End[] =
    limit === undefined || limit.side === 'between' ? ['least', 'most'] : [limit.side === 'at_least' ? 'least' : 'most'];
  const standing = slots.standing('claim').filter((one) => one.item.startsWith('maker.'));
  const nameOf = (item: string): string => {
    const [, named = '', which = ''] = item.split('.');
    return [limits.find((one) => one.code === named)?.title ?? named, which in words.library.end ? words.library.end[which as End] : '']
      .filter(Boolean)
      .join(', ');
  };
  return (
    <>
      <h3>{words.story.makers}</h3>
      <p className="note">{words.story.makersHint}</p>
      {standing.length > 0 && (
        <table className="claimed">
          <tbody>
            {standing.map((one) => (
              <tr key={one.id}>
                <th scope="row">{nameOf(one.item)}</th>
                <td>{placeLabel(view, one.place)}</td>
                <td className="figure">{one.shown}</td>
                <td>
                  <button
                    type="button"
                    className="take-back"
                    aria-label={words.story.takeBack(nameOf(one.item))}
                    onClick={() => withdraw({ place: one.place, part: one.part, item: one.item, index: one.index }, nameOf(one.item))}
                  >
                    {words.teardown.takeBack}
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <LineForm
        label={words.story.makers}
        send={words.story.makersAdd}
        isReady={limit !== undefined && text.trim() !== ''}
        onSend={() => {
          if (limit === undefined) return;
          const item = `maker.${limit.code}.${ends.includes(end) ? end : (ends[0] ?? 'least')}`;
          record(
            'claim',
            { place, part: limit.part, item, index: null },
            { text: text.trim(), standing: 'known' },
            `${nameOf(item)}, ${text}`,
          );
          setText('');
        }}
      >
        <Choice
          value={code}
          label={words.story.makersOf}
          placeholder={words.story.makersOf}
          width={260}
          onChange={setCode}
          options={limits.map((one) => ({ value: one.code, label: one.title }))}
        />
        <Choice
          value={ends.includes(end) ? end : (ends[0] ?? 'least')}
          label={words.story.makersEnd}
          onChange={setEnd}
          options={ends.map((value) => ({ value, label: words.library.end[value] }))}
        />
        <LineText value={text} label={`${words.story.makersFigure}${limit === undefined ? '' : `, ${limit.unit}`}`} onChange={setText} />
        <Choice
          value={place}
          label={words.story.makersWhere}
          onChange={setPlace}
          options={[{ place: 'engine', label: words.place.engine }, ...places].map((one) => ({ value: one.place, label: one.label }))}
        />
      </LineForm>
    </>
  );
}
