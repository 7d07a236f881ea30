import { Select } from 'antd';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import type { Schemas } from '../shared/api';
import { Radios } from '../shared/Radios';
import { placeLabel, type SlotAddress } from './slots';
import { useBench } from './useBench';
import './entry.css';

type Question = Schemas['AskedView'];

/** A question answered in one of a few words, with what the answer means. */
export function Asked({ question, place, narrow = false }: { question: Question; place: string; narrow?: boolean }) {
  const { view, slots, record, withdraw } = useBench();
  const slot = { place, part: question.part, item: question.code };
  const chosen = slots.get(slot).entry?.content.choice ?? null;
  const choice = question.choices.find((one) => one.code === chosen);
  const name = place === 'engine' ? question.ask : `${placeLabel(view, place)} ${question.ask.toLowerCase()}`;
  const answer = (code: string | null): void => {
    if (code === null) withdraw(slot, name);
    else record('answer', slot, { choice: code }, `${name}: ${question.choices.find((one) => one.code === code)?.label ?? code}`);
  };
  if (narrow && question.several) return <Several question={question} slot={slot} name={name} />;
  if (narrow) {
    return (
      <Choice
        value={chosen}
        label={name}
        placeholder={words.before.notAsked}
        width="100%"
        onChange={answer}
        onClear={() => answer(null)}
        options={question.choices.map((one) => ({ value: one.code, label: one.label, title: one.meaning }))}
      />
    );
  }
  return (
    <fieldset className="asked">
      <legend>{question.ask}</legend>
      <Radios
        label={name}
        value={chosen}
        options={question.choices.map((one) => ({ value: one.code, label: one.label, title: one.meaning }))}
        onChange={answer}
      />
      {chosen === null ? (
        <span className="note not-asked">{words.before.notAsked}</span>
      ) : (
        <button type="button" className="take-back" aria-label={words.story.takeBack(name)} onClick={() => answer(null)}>
          {words.teardown.takeBack}
        </button>
      )}
      {choice && <p className="note">{choice.meaning}</p>}
    </fieldset>
  );
}

/** Where several answers can be true: what denies the others stands alone. */
function Several({ question, slot, name }: { question: Question; slot: SlotAddress; name: string }) {
  const { slots, record, withdraw } = useBench();
  const content = slots.get(slot).entry?.content;
  const chosen = content?.choice == null ? [] : [content.choice, ...(content.also ?? [])];
  const denies = (code: string | undefined): boolean => question.choices.some((one) => one.code === code && one.denies);
  const answer = (codes: string[]): void => {
    const newest = codes.find((code) => !chosen.includes(code));
    const [first, ...also] =
      newest !== undefined && denies(newest) ? [newest] : codes.filter((code) => codes.length === 1 || !denies(code));
    if (first === undefined) withdraw(slot, name);
    else {
      const said = [first, ...also].map((code) => question.choices.find((one) => one.code === code)?.label ?? code).join(', ');
      record('answer', slot, also.length === 0 ? { choice: first } : { choice: first, also }, `${name}: ${said}`);
    }
  };
  return (
    <Select<string[]>
      mode="multiple"
      value={chosen}
      aria-label={name}
      placeholder={words.before.notAsked}
      style={{ width: '100%' }}
      showSearch={false}
      onChange={answer}
      options={question.choices.map((one) => ({ value: one.code, label: one.label, title: one.meaning }))}
    />
  );
}
