import { Input } from 'antd';
import { useCatalogue } from '../shared/queries';
import { NoteField } from './fields';
import type { FormProps } from './Item';

interface Figure {
  item: string;
  text: string;
}

/** A lobe as its card describes it: lift, durations, ramp. */
export function LobeForm({ content, onChange }: FormProps) {
  const columns = (useCatalogue().data?.columns ?? []).filter((one) => one.part === 'lobe' && one.claimable);
  const figures = (content['figures'] ?? []) as readonly Figure[];
  const set = (item: string, text: string): void => {
    const others = figures.filter((one) => one.item !== item);
    onChange({ ...content, figures: text === '' ? others : [...others, { item, text }] });
  };
  return (
    <>
      <table className="spring-figures">
        <tbody>
          {columns.map((column) => (
            <tr key={column.code}>
              <th scope="row">{column.label}</th>
              <td>
                <Input
                  value={figures.find((one) => one.item === column.code)?.text ?? ''}
                  aria-label={column.label}
                  onChange={(event) => set(column.code, event.target.value)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <NoteField content={content} onChange={onChange} />
    </>
  );
}
