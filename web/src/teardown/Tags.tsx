import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { PaperButton } from '../paper/PaperButton';
import { words } from '../shared/messages';

/** Tags to print: for the stations reported failed, or for all. */
export function Tags() {
  const { view } = useBench();
  const [all, setAll] = useState(view.story.failed.length === 0);
  const [parts, setParts] = useState<string[]>(['valve', 'spring', 'retainer', 'locks']);
  const stations = all ? [] : view.story.failed;
  return (
    <section aria-label={words.tags.title}>
      <h3>{words.tags.title}</h3>
      <div className="line-form">
        <Select
          mode="multiple"
          value={parts}
          aria-label={words.tags.parts}
          style={{ minWidth: 320 }}
          onChange={setParts}
          options={view.parts.filter((part) => part.site === 'station').map((part) => ({ value: part.code, label: part.label }))}
        />
        <Checkbox checked={all} onChange={(event) => setAll(event.target.checked)}>
          {words.tags.all}
        </Checkbox>
        <PaperButton caseId={view.id} asked={{ kind: 'tags', options: { stations, parts } }} label={words.tags.make} primary />
      </div>
    </section>
  );
}
