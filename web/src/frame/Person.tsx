import { Button, Input } from 'antd';
import { useState } from 'react';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';
import { setPerson, usePerson } from '../shared/person';

/** Who is at the bench, and the dialog to say so. */
export function PersonButton() {
  const name = usePerson();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState(name);
  const keep = (): void => {
    if (typed.trim() !== '') {
      setPerson(typed);
      setOpen(false);
    }
  };
  return (
    <>
      <button
        type="button"
        className={name === '' ? 'plain wrong' : 'plain'}
        onClick={() => {
          setTyped(name);
          setOpen(true);
        }}
      >
        {name === '' ? words.whoIsThere : `${words.atTheBench}: ${name}`}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title={words.whoIsThere}>
        <p className="note">{words.whoIsThereWhy}</p>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
          style={{ display: 'flex', gap: 8, marginTop: 12 }}
        >
          <Input autoFocus value={typed} maxLength={80} aria-label={words.whoIsThere} onChange={(event) => setTyped(event.target.value)} />
          <Button type="primary" htmlType="submit">
            OK
          </Button>
        </form>
      </Dialog>
    </>
  );
}
