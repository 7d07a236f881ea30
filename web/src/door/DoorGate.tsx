import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { Wordmark } from '../draw/Wordmark';
import { answer, api, onClosedDoor } from '../shared/api';
import { words } from '../shared/messages';
import './door.css';

export const doorKey = ['door'];

export const useDoor = () => useQuery({ queryKey: doorKey, queryFn: () => answer(api.GET('/api/door')), staleTime: Infinity });

/** Lets in devices that know the shop word; where the shop is not open to a network, everybody. */
export function DoorGate({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const { data } = useDoor();
  useEffect(() => onClosedDoor(() => void queries.invalidateQueries({ queryKey: doorKey })), [queries]);
  // What is kept on this device can be worked on while the server is away: only a closed door closes.
  return data !== undefined && !data.open ? <Porch onOpen={() => void queries.invalidateQueries()} /> : children;
}

function Porch({ onOpen }: { onOpen: () => void }) {
  const [word, setWord] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const tell = async (): Promise<void> => {
    try {
      await answer(api.POST('/api/door', { body: { word } }));
      onOpen();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <main className="porch">
      <Wordmark />
      <h1>{words.door.title}</h1>
      <p>{words.door.what}</p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void tell();
        }}
      >
        <Input
          autoFocus
          value={word}
          aria-label={words.door.word}
          placeholder={words.door.placeholder}
          autoComplete="off"
          autoCapitalize="none"
          spellCheck={false}
          status={problem === null ? '' : 'error'}
          onChange={(event) => setWord(event.target.value)}
        />
        <Button type="primary" htmlType="submit" disabled={word.trim() === ''}>
          {words.door.tell}
        </Button>
      </form>
      {problem !== null && (
        <p className="wrong" role="alert">
          {problem}
        </p>
      )}
    </main>
  );
}
