import { Button, Input } from 'antd';
import { useState } from 'react';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { setPerson, usePerson } from '../shared/person';

/** Who is at the bench, and the dialog to say that it is somebody else. */
export function PersonButton() {
  const name = usePerson();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        {name === '' ? words.whoIsThere : `${words.atTheBench}: ${name}`}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title={words.whoIsThere}>
        <p className="note">{words.whoIsThereWhy}</p>
        <NameForm name={name} onKept={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

/** Asks for the name on the first visit, in a line of its own that hinders nothing. */
export function AskName() {
  if (usePerson() !== '') return null;
  return (
    <div className="ask-name">
      <b>{words.whoIsThere}</b> <span className="note">{words.whoIsThereWhy}</span>
      <NameForm name="" onKept={() => undefined} />
    </div>
  );
}

function NameForm({ name, onKept }: { name: string; onKept: () => void }) {
  const [typed, setTyped] = useState(name);
  return (
    <form
      className="name-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim() === '') return;
        setPerson(typed);
        onKept();
      }}
    >
      <Input
        autoFocus={name !== ''}
        value={typed}
        maxLength={80}
        aria-label={words.whoIsThere}
        placeholder={words.namePlaceholder}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button type="primary" htmlType="submit" disabled={typed.trim() === ''}>
        {words.keepName}
      </Button>
    </form>
  );
}
