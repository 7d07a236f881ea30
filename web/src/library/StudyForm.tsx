import { Input } from 'antd';
import { useState } from 'react';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { Labelled, figure, shown } from './fields';
import type { FormProps } from './Item';
import type { Content } from './useShelf';

const PARTS = 10;
const REPEATS = 2;

type Readings = readonly (readonly (readonly unknown[])[])[];

/** A gauge study: so many people read the same parts, each as often; the table goes part by part, a person's readings side by side. */
export function StudyForm({ content, onChange }: FormProps) {
  const gauges = useCatalogue().data?.gauges ?? [];
  const people = (content['people'] ?? []) as readonly string[];
  const readings = (content['readings'] ?? []) as Readings;
  const [size, setSize] = useState({ parts: readings[0]?.length ?? PARTS, repeats: readings[0]?.[0]?.length ?? REPEATS });
  const [typed, type] = useState<{ at: string; text: string } | null>(null);
  const decimals = Math.max(0, ...readings.flat(2).map((one) => (typeof one === 'number' ? (String(one).split('.')[1]?.length ?? 0) : 0)));
  const textAt = (person: number, part: number, repeat: number): string => {
    const value = readings[person]?.[part]?.[repeat];
    return typeof value === 'number' ? value.toFixed(decimals) : typeof value === 'string' ? value : '';
  };
  const resized = (parts: number, repeats: number, change?: { at: readonly number[]; value: unknown }): Content => ({
    ...content,
    readings: people.map((_, o) =>
      Array.from({ length: parts }, (__, p) =>
        Array.from({ length: repeats }, (___, r) =>
          change?.at[0] === o && change.at[1] === p && change.at[2] === r ? change.value : (readings[o]?.[p]?.[r] ?? null),
        ),
      ),
    ),
  });
  const sized = (parts: number, repeats: number): void => {
    setSize({ parts, repeats });
    onChange(resized(parts, repeats));
  };
  return (
    <>
      <Labelled label={words.library.study.gauge}>
        <Choice
          value={shown(content, 'gauge') || null}
          label={words.library.study.gauge}
          width="100%"
          onChange={(code) => onChange({ ...content, gauge: code, unit: gauges.find((one) => one.code === code)?.unit ?? 'in' })}
          options={gauges.map((one) => ({ value: one.code, label: one.label }))}
        />
      </Labelled>
      <Labelled label={words.library.study.size}>
        <span className="ends">
          <Choice
            value={size.parts}
            label={words.library.study.parts}
            onChange={(parts) => sized(parts, size.repeats)}
            options={[2, 3, 5, 10, 15, 20].map((value) => ({ value, label: words.library.study.ofParts(value) }))}
          />
          <Choice
            value={size.repeats}
            label={words.library.study.repeats}
            onChange={(repeats) => sized(size.parts, repeats)}
            options={[2, 3, 4, 5].map((value) => ({ value, label: words.library.study.ofRepeats(value) }))}
          />
        </span>
      </Labelled>
      <div className="table-wrap">
        <table className="study">
          <thead>
            <tr>
              <th scope="col">{words.library.study.part}</th>
              {people.map((person, o) => (
                <th key={o} scope="colgroup" colSpan={size.repeats}>
                  <Input
                    value={person}
                    placeholder={words.library.study.person(o + 1)}
                    aria-label={words.library.study.person(o + 1)}
                    onChange={(event) =>
                      onChange({ ...content, people: people.map((one, other) => (other === o ? event.target.value : one)) })
                    }
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: size.parts }, (_, p) => (
              <tr key={p}>
                <th scope="row">{p + 1}</th>
                {people.flatMap((person, o) =>
                  Array.from({ length: size.repeats }, (__, r) => (
                    <td key={`${o} ${r}`}>
                      <input
                        value={typed?.at === `${o} ${p} ${r}` ? typed.text : textAt(o, p, r)}
                        onBlur={() => type(null)}
                        aria-label={words.library.study.cell(person || words.library.study.person(o + 1), p + 1, r + 1)}
                        onChange={(event) => {
                          type({ at: `${o} ${p} ${r}`, text: event.target.value });
                          onChange(resized(size.parts, size.repeats, { at: [o, p, r], value: figure(event.target.value) }));
                        }}
                      />
                    </td>
                  )),
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="note">{words.library.study.hint}</p>
    </>
  );
}
