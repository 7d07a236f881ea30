import { Button, Input } from 'antd';
import { useState, type ComponentType } from 'react';
import { failureWords } from '../shared/failure';
import { when } from '../shared/days';
import { words } from '../shared/messages';
import { say } from '../shared/saying';
import { EngineForm, FRESH } from './EngineForm';
import { GaugeForm } from './GaugeForm';
import { LimitForm } from './LimitForm';
import { LobeForm } from './LobeForm';
import { SpringForm } from './SpringForm';
import { StockForm } from './StockForm';
import { StudyForm } from './StudyForm';
import { codeOf, isShipped, useKeep, useVersions, type Content, type Item as Shelved, type ShelfOfForms } from './useShelf';

export interface FormProps {
  code: string;
  content: Content;
  onChange: (content: Content) => void;
}

const FORMS: Record<ShelfOfForms, ComponentType<FormProps>> = {
  gauges: GaugeForm,
  springs: SpringForm,
  lobes: LobeForm,
  limits: LimitForm,
  engines: EngineForm,
  studies: StudyForm,
  stock: StockForm,
};
const EMPTY: Record<ShelfOfForms, Content> = {
  gauges: { kind: 'caliper' },
  springs: { figures: [] },
  lobes: { figures: [] },
  limits: {},
  engines: FRESH,
  studies: { unit: 'in', people: ['', '', ''], readings: [] },
  stock: {},
};

interface Props {
  shelf: ShelfOfForms;
  /** Nothing for one that is new. */
  item: Shelved | undefined;
  /** Its code once it is kept; null once it is off the shelf. */
  onKept: (code: string | null) => void;
}

/** One thing of a shelf: its form, what it comes to, who made it so, and how it was before. */
export function Item({ shelf, item, onKept }: Props) {
  const keep = useKeep(shelf);
  const [name, setName] = useState(item?.name ?? '');
  const [content, setContent] = useState<Content>(item?.content ?? EMPTY[shelf]);
  const Form = FORMS[shelf];
  const put = (kept: Content | null): void =>
    keep.mutate(
      { code: item?.code ?? codeOf(name), name: name.trim(), content: kept, version: item?.version ?? 0 },
      {
        onSuccess: (stands) => {
          say(kept === null ? words.library.off(name) : words.library.kept(name));
          onKept(kept === null && !isShipped(shelf) ? null : stands.code);
        },
      },
    );
  const isChanged = name !== (item?.name ?? '') || JSON.stringify(content) !== JSON.stringify(item?.content ?? EMPTY[shelf]);
  return (
    <section className="sheet shelved" aria-label={item?.name ?? words.library.new}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          put(content);
        }}
      >
        {isShipped(shelf) ? (
          <h2>{name}</h2>
        ) : (
          <Input
            className="name"
            value={name}
            maxLength={120}
            autoFocus={item === undefined}
            placeholder={words.library.name}
            aria-label={words.library.name}
            onChange={(event) => setName(event.target.value)}
          />
        )}
        {item !== undefined && item.sums !== '' && <p className={item.needsAct ? 'sums wrong' : 'sums'}>{item.sums}</p>}
        <Form code={item?.code ?? ''} content={content} onChange={setContent} />
        {keep.error !== null && (
          <p className="wrong" role="alert">
            {failureWords(keep.error)}
          </p>
        )}
        <div className="acts-row">
          <Button type="primary" htmlType="submit" disabled={codeOf(name) === '' || !isChanged}>
            {words.library.keep}
          </Button>
          {item?.content && <Button onClick={() => put(null)}>{isShipped(shelf) ? words.library.asShipped : words.library.takeOff}</Button>}
        </div>
      </form>
      {item !== undefined && item.version > 0 && <History item={item} />}
    </section>
  );
}

/** Every state that it had, newest first. */
export function History({ item }: { item: Shelved }) {
  const versions = useVersions(item);
  return (
    <>
      <h3>{words.library.history}</h3>
      <ol className="versions">
        {(versions.data ?? []).map((one) => (
          <li key={one.version}>
            <b>{one.version}</b>
            <span>{one.content === null ? words.library.wasTakenOff : one.sums || one.name}</span>
            <small className="note">
              {one.by}, {when(one.at).full}
            </small>
          </li>
        ))}
      </ol>
    </>
  );
}
