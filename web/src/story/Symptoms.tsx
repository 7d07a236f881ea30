import '../entry/entry.css';
import { TemperChip } from '../draw/Temper';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { Radios } from '../shared/Radios';
import { useCatalogue } from '../shared/queries';

/** Running symptoms, each answered with a step of severity or "not so". */
export function Symptoms() {
  const { view, slots, record, withdraw } = useBench();
  const catalogue = useCatalogue();
  const possible = new Set(view.possibleSigns);
  const told = new Set((catalogue.data?.asked ?? []).filter((one) => one.step === 'story').flatMap((one) => one.signs));
  const signs = (catalogue.data?.signs ?? []).filter(
    (sign) => sign.parts.includes('running') && possible.has(sign.code) && !told.has(sign.code),
  );
  return (
    <>
      <p className="note">{words.story.symptomsHint}</p>
      <table className="symptoms">
        <tbody>
          {signs.map((sign) => {
            const slot = { place: 'engine', part: 'running', item: sign.code };
            const severity = slots.get(slot).entry?.severity ?? null;
            return (
              <tr key={sign.code}>
                <th scope="row">
                  {sign.name}
                  <small>{sign.lookFor}</small>
                </th>
                <td>
                  <Radios
                    label={sign.name}
                    value={severity}
                    options={[0, 1, 2, 3, 4].map((step) => ({
                      value: step,
                      label: (
                        <>
                          <TemperChip step={step} size={18} />
                          {step === 0 ? words.story.notSo : sign.severity[step]}
                        </>
                      ),
                    }))}
                    onChange={(step) => record('finding', slot, { severity: step, state: 'as_found' }, `${sign.name}, ${step}`)}
                  />
                  {severity === null ? (
                    <span className="note not-asked">{words.story.notAsked}</span>
                  ) : (
                    <button
                      type="button"
                      className="take-back"
                      aria-label={words.story.takeBack(sign.name)}
                      onClick={() => withdraw(slot, sign.name)}
                    >
                      {words.teardown.takeBack}
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
