import { useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { answer, api, Refused, type EngineInput } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author } from '../shared/person';

/** Saves the engine as it is described to the shop's library; one of the same name is replaced only when asked to. */
export function SaveToLibrary({ engine, suggestion }: { engine: EngineInput; suggestion: string }) {
  const queries = useQueryClient();
  const [name, setName] = useState(suggestion);
  const [state, setState] = useState<{ words: string; wrong: boolean; isThere: boolean } | null>(null);
  const save = async (replace: boolean): Promise<void> => {
    try {
      await answer(api.POST('/api/engines', { body: { name: name.trim(), engine, by: author(), replace } }));
      await queries.invalidateQueries({ queryKey: ['engines'] });
      setState({ words: words.story.savedToLibrary, wrong: false, isThere: false });
    } catch (error) {
      setState({
        words: failureWords(error),
        wrong: true,
        isThere: error instanceof Refused && error.problem.status === 409,
      });
    }
  };
  return (
    <div className="wide acts-row">
      <Input
        value={name}
        maxLength={120}
        aria-label={words.story.libraryName}
        placeholder={words.story.libraryName}
        style={{ width: 260 }}
        onChange={(event) => setName(event.target.value)}
      />
      <Button disabled={name.trim() === ''} onClick={() => void save(false)}>
        {words.story.saveToLibrary}
      </Button>
      {state?.isThere && <Button onClick={() => void save(true)}>{words.story.replaceInLibrary}</Button>}
      {state !== null && (
        <span className={state.wrong ? 'wrong' : 'quiet'} role={state.wrong ? 'alert' : 'status'}>
          {state.words}
        </span>
      )}
    </div>
  );
}
