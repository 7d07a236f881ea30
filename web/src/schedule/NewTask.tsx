import { InputNumber, Select } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { EntryInput } from '../shared/api';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { uuidv7 } from '../shared/uuid';
import { taskSlot, type Task } from './taskSlot';

type Kind = NonNullable<EntryInput['data']['kind']>;

/** Something that is to be done: whose it is, how many days it takes, after what, and when it is due. */
export function NewTask({ tasks }: { tasks: readonly Task[] }) {
  const { record } = useBench();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<Kind>('work');
  const [least, setLeast] = useState<number | null>(1);
  const [most, setMost] = useState<number | null>(null);
  const [due, setDue] = useState('');
  const [after, setAfter] = useState<string[]>([]);
  const add = (): void => {
    record(
      'task',
      taskSlot(uuidv7()),
      {
        label: label.trim(),
        kind,
        leastDays: least ?? 0,
        mostDays: most ?? least ?? 0,
        ...(due === '' ? {} : { due }),
        ...(after.length === 0 ? {} : { after }),
      },
      label.trim(),
    );
    setLabel('');
    setDue('');
    setAfter([]);
  };
  return (
    <LineForm label={words.days.add} heading={words.days.add} send={words.days.addIt} isReady={label.trim() !== ''} onSend={add}>
      <LineText value={label} label={words.days.what} onChange={setLabel} />
      <Select<Kind>
        value={kind}
        onChange={setKind}
        aria-label={words.days.kind}
        options={(['work', 'parts', 'customer', 'laboratory'] as const).map((value) => ({ value, label: words.days.kinds[value] }))}
      />
      <label>
        <InputNumber value={least} min={0} aria-label={words.days.leastDays} onChange={setLeast} /> {words.days.to}{' '}
        <InputNumber value={most} min={0} aria-label={words.days.mostDays} onChange={setMost} /> {words.days.unit}
      </label>
      <LineText value={due} label={words.days.due} onChange={(typed) => setDue(typed.trim())} />
      <Select
        mode="multiple"
        value={after}
        onChange={setAfter}
        placeholder={words.days.after}
        aria-label={words.days.after}
        options={tasks.filter((task) => task.readiness !== 'done').map((task) => ({ value: task.id, label: task.label }))}
      />
    </LineForm>
  );
}
