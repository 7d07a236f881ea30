import { useQuery } from '@tanstack/react-query';
import { Input, InputNumber, Select } from 'antd';
import { HeadPlan } from '../draw/HeadPlan';
import { answer, api, Refused, type EngineInput } from '../shared/api';
import { words } from '../shared/messages';
import type { EngineDraft } from './draft';
import './engine.css';

const NONE: ReadonlySet<string> = new Set();

interface Props {
  draft: EngineDraft;
  /** What the draft comes to: it is drawn as it is typed. */
  entered: EngineInput;
  onChange: (part: Partial<EngineDraft>) => void;
}

/** An engine in full, with its plan. */
export function EngineFields({ draft, entered, onChange }: Props) {
  const { engine, firing, angles, numbering } = draft;
  const change = (part: Partial<EngineInput>): void => onChange({ engine: { ...engine, ...part } });
  const plan = useQuery({
    queryKey: ['plan', entered],
    queryFn: () => answer(api.POST('/api/engine/plan', { body: entered })),
    placeholderData: (previous) => previous,
    retry: false,
  });
  const choice = <T extends string>(
    label: string,
    value: T | undefined,
    options: readonly (readonly [T, string])[],
    set: (value: T) => void,
  ) => (
    <label>
      <span>{label}</span>
      <Select
        value={value ?? null}
        aria-label={label}
        onChange={(picked: T | null) => picked !== null && set(picked)}
        options={options.map(([code, text]) => ({ value: code, label: text }))}
      />
    </label>
  );
  const number = (label: string, value: number | null | undefined, set: (value: number | null) => void) => (
    <label>
      <span>{label}</span>
      <InputNumber value={value ?? null} aria-label={label} onChange={set} style={{ width: '100%' }} />
    </label>
  );

  return (
    <div className="in-engine">
      <div className="engine-fields">
        {choice(
          words.newCase.drive,
          engine.drive,
          [
            ['pushrod', words.newCase.drives.pushrod],
            ['bucket', words.newCase.drives.bucket],
            ['finger', words.newCase.drives.finger],
          ],
          (drive) => change({ drive }),
        )}
        {choice(
          words.newCase.layout,
          engine.layout,
          [
            ['inline', words.newCase.layouts.inline],
            ['vee', words.newCase.layouts.vee],
            ['flat', words.newCase.layouts.flat],
          ],
          (layout) => change({ layout }),
        )}
        {choice(
          words.engine.names.face,
          engine.face,
          [
            ['flat', words.engine.faces.flat],
            ['crowned', words.engine.faces.crowned],
            ['roller', words.engine.faces.roller],
          ],
          (face) => change({ face }),
        )}
        {choice(
          words.engine.names.lash,
          engine.lash,
          [
            ['solid', words.engine.lashes.solid],
            ['hydraulic', words.engine.lashes.hydraulic],
          ],
          (lash) => change({ lash }),
        )}
        {number(words.newCase.cylinders, engine.cylinders, (cylinders) => change({ cylinders: cylinders ?? 0 }))}
        {number(words.engine.names.intakeValves, engine.intakeValves, (value) => change({ intakeValves: value ?? 0 }))}
        {number(words.engine.names.exhaustValves, engine.exhaustValves, (value) => change({ exhaustValves: value ?? 0 }))}
        {number(words.engine.names.rockerRatio, engine.rockerRatio, (rockerRatio) => change({ rockerRatio }))}
        {number(words.engine.names.intendedSpeed, engine.intendedSpeed, (intendedSpeed) => change({ intendedSpeed }))}
        {number(words.engine.names.reachedSpeed, engine.reachedSpeed, (reachedSpeed) => change({ reachedSpeed }))}
        {Object.entries(words.engine.flags).map(([flag, label]) => (
          <div key={flag}>
            {choice(
              label,
              engine.flags?.[flag] ?? 'unknown',
              [
                ['unknown', words.engine.flagStates.unknown],
                ['yes', words.engine.flagStates.yes],
                ['no', words.engine.flagStates.no],
              ],
              (state) => change({ flags: { ...engine.flags, [flag]: state } }),
            )}
          </div>
        ))}
        <label>
          <span>{words.engine.names.firingOrder}</span>
          <Input value={firing} placeholder="1-3-4-2" onChange={(event) => onChange({ firing: event.target.value })} />
        </label>
        <label>
          <span>{words.engine.names.firingAngles}</span>
          <Input
            value={angles}
            placeholder={words.engine.anglesPlaceholder}
            onChange={(event) => onChange({ angles: event.target.value })}
          />
        </label>
        {Object.entries(numbering).map(([bank, text]) => (
          <label key={bank}>
            <span>{words.engine.numbering(bank)}</span>
            <Input value={text} onChange={(event) => onChange({ numbering: { ...numbering, [bank]: event.target.value } })} />
          </label>
        ))}
        {engine.valveOrder != null &&
          Object.entries(engine.valveOrder).map(([bank, order]) => (
            <label key={bank}>
              <span>{words.engine.valveOrder(bank)}</span>
              <Input value={order} onChange={(event) => change({ valveOrder: { ...engine.valveOrder, [bank]: event.target.value } })} />
            </label>
          ))}
        <div className="engine-plan">
          {plan.data && (
            <HeadPlan
              plan={plan.data.plan}
              reading={(cell) => ({ figure: cell.name, spoken: cell.label })}
              failed={NONE}
              label={words.engine.asEntered(plan.data.engine.summary)}
            />
          )}
        </div>
        {plan.error instanceof Refused && <p className="wide wrong">{plan.error.message}</p>}
      </div>
    </div>
  );
}
