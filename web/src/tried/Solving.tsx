import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api } from '../shared/api';
import { words } from '../shared/messages';
import { caseKey, isMoving, useSolving } from '../shared/queries';
import './tried.css';

/** What takes long: how far it is, begun and cancelled here. What it comes to is heard by the judgement. */
export function Solving({ isSolved }: { isSolved: boolean }) {
  const { view } = useBench();
  const client = useQueryClient();
  const told = useSolving(view.id);
  const solving = told.data;
  const moves = isMoving(solving);
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current && !moves) void client.invalidateQueries({ queryKey: caseKey(view.id) });
    moved.current = moves;
  }, [moves, client, view.id]);
  const send = async (method: 'POST' | 'DELETE'): Promise<void> => {
    const path = { params: { path: { id: view.id } } };
    client.setQueryData(
      ['solving', view.id],
      await answer(method === 'POST' ? api.POST('/api/cases/{id}/solving', path) : api.DELETE('/api/cases/{id}/solving', path)),
    );
  };
  if (moves && solving !== undefined)
    return (
      <div className="in-tried solving" role="status">
        <progress max={Math.max(1, solving.total)} value={solving.done} aria-label={words.motion.solving(solving.done, solving.total)} />
        <span>{words.motion.solving(solving.done, solving.total)}</span>
        <Button size="small" onClick={() => void send('DELETE')}>
          {words.motion.cancel}
        </Button>
      </div>
    );
  if (isSolved) return null;
  return (
    <div className="in-tried solving">
      <p className="note">{solving?.state === 'cancelled' ? words.motion.cancelled : (solving?.message ?? words.motion.notSolved)}</p>
      <Button size="small" onClick={() => void send('POST')}>
        {words.motion.solve}
      </Button>
    </div>
  );
}
