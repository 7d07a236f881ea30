import { useState } from 'react';
import { Choice } from '../shared/Choice';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { useLimits, type Limit } from '../shared/queries';
import { useSettings } from './useSettings';

/** The limit whose school stands in the head of the place. */
const IN_HEAD = 'travel_to_bind';

/** Whose figure judges this case, limit by limit, where practitioners differ. */
export function Schools() {
  const limits = useLimits();
  const { settings, change, problem } = useSettings();
  const [open, setOpen] = useState(false);
  const disputed = (limits.data ?? []).filter((one) => one.code !== IN_HEAD && schoolsOf(one).length > 1);
  const schools = settings.schools as Record<string, string>;
  return (
    <>
      <button type="button" className="act-button" onClick={() => setOpen(true)}>
        {words.bench.otherSchools}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} width={680} title={words.bench.otherSchools}>
        <p className="note">{words.bench.otherSchoolsHint}</p>
        {problem !== null && (
          <p className="wrong" role="alert">
            {problem}
          </p>
        )}
        <table className="claimed">
          <tbody>
            {disputed.map((limit) => (
              <tr key={limit.code}>
                <th scope="row">{limit.title}</th>
                <td>
                  <Choice
                    value={schools[limit.code] ?? limit.ruling}
                    label={limit.title}
                    width={420}
                    onChange={(school) => change((now) => ({ schools: { ...now.schools, [limit.code]: school } }))}
                    options={schoolsOf(limit).map((value) => ({ value, label: figuresOf(limit, value) }))}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Dialog>
    </>
  );
}

const schoolsOf = (limit: Limit): string[] => [...new Set(limit.figures.map((one) => one.school))];

/** "usual, 0.030 in; exhausts 0.045 in" */
function figuresOf(limit: Limit, school: string): string {
  const own = limit.figures.filter((one) => one.school === school);
  const said = own.map((one) =>
    [words.library.ofKind(one.kind), [one.least, one.most].filter((end) => end !== null).join(words.library.to), limit.unit]
      .filter((word) => word !== '' && word !== '1')
      .join(' '),
  );
  return `${own[0]?.label ?? school}: ${said.join('; ')}`;
}
