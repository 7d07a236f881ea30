import { Checkbox } from 'antd';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { Field, FigureInput, Labelled, shown, withMember } from './fields';
import type { FormProps } from './Item';

const FIGURES = ['resolution', 'repeat', 'repeat_relative', 'gain', 'gain_floor', 'zero', 'offset'] as const;
const SHARES: ReadonlySet<string> = new Set(['gain', 'repeat_relative']);

/** A gauge: of a kind, with what its calibration says of it. What is left empty is as of its kind. */
export function GaugeForm({ content, onChange }: FormProps) {
  const kinds = (useCatalogue().data?.gauges ?? []).filter((one) => one.kind === null);
  const kind = kinds.find((one) => one.code === content['kind']);
  const set = (key: string, value: unknown): void => onChange(withMember(content, key, value));
  return (
    <>
      <Labelled label={words.library.kind} hint={kind?.stated ?? ''}>
        <Choice
          value={kind?.code ?? null}
          label={words.library.kind}
          width="100%"
          onChange={(code) => set('kind', code)}
          options={kinds.map((one) => ({ value: one.code, label: one.label }))}
        />
      </Labelled>
      <Field label={words.library.serial} value={shown(content, 'serial')} onChange={(text) => set('serial', text)} />
      {FIGURES.map((key) => (
        <Labelled key={key} label={words.library.worth[key]} hint={words.library.worthHint[key] ?? ''}>
          <FigureInput
            label={words.library.worth[key]}
            unit={SHARES.has(key) ? '%' : (kind?.unit ?? '')}
            isShare={SHARES.has(key)}
            value={content[key]}
            onChange={(value) => set(key, value)}
          />
        </Labelled>
      ))}
      <Field
        label={words.library.calibrated}
        hint={words.library.asDay}
        value={shown(content, 'calibrated_on')}
        onChange={(day) => set('calibrated_on', day)}
      />
      <Labelled label={words.library.every}>
        <FigureInput label={words.library.every} value={content['every_months']} onChange={(value) => set('every_months', value)} />
      </Labelled>
      <Labelled label={words.library.cable} hint={words.library.cableHint}>
        <Checkbox checked={content['cable'] === true} onChange={(event) => set('cable', event.target.checked || null)}>
          {words.library.onCable}
        </Checkbox>
      </Labelled>
    </>
  );
}
