import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, Refused, type CaseView } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author } from '../shared/person';

const isPackage = (file: File): boolean => /\.zip$/i.test(file.name);

async function imported(file: File, copy: boolean): Promise<CaseView> {
  const body = await file.text();
  return answer(
    api.POST('/api/cases/import', {
      params: { query: { by: author(), copy, file: file.name } },
      body: {},
      bodySerializer: () => body,
      headers: { 'Content-Type': 'application/json' },
    }),
  );
}

/** With its pictures and logs: the package is checked whole before anything of it is taken in. */
const unpacked = (file: File, copy: boolean): Promise<CaseView> =>
  answer(
    api.POST('/api/cases/unpack', {
      params: { query: { by: author(), copy, file: file.name } },
      body: '',
      bodySerializer: () => file,
      headers: { 'Content-Type': 'application/octet-stream' },
    }),
  );

/** Takes a case from a file; one that is here already is offered as a copy. */
export function ImportCase() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<{ message: string; file: File; isHere: boolean } | null>(null);
  const [busy, setBusy] = useState(false);

  const take = async (file: File, copy: boolean): Promise<void> => {
    setBusy(true);
    try {
      const view = await (isPackage(file) ? unpacked(file, copy) : imported(file, copy));
      setRefusal(null);
      await queries.invalidateQueries({ queryKey: ['cases'] });
      void navigate(`/case/${view.id}/story`);
    } catch (error) {
      setRefusal({
        message: failureWords(error),
        file,
        isHere: error instanceof Refused && error.problem.existing !== undefined,
      });
    } finally {
      setBusy(false);
    }
  };

  return (
    <>
      <Button loading={busy} onClick={() => input.current?.click()}>
        {words.queue.importCase}
      </Button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json,application/zip,.zip"
        hidden
        aria-label={words.queue.importCase}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file, false);
        }}
      />
      <Dialog open={refusal !== null} title={words.queue.notImported} onClose={() => setRefusal(null)}>
        <p role="alert">{refusal?.message}</p>
        {refusal?.isHere && (
          <Button type="primary" style={{ marginTop: 12 }} onClick={() => void take(refusal.file, true)}>
            {words.queue.copy}
          </Button>
        )}
      </Dialog>
    </>
  );
}
