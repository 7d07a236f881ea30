import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api } from '../shared/api';
import { failureWords } from '../shared/failure';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { refetchCase } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';

/** Sends a request to one of the laboratories; the report comes back to this case. */
export function AskLaboratory() {
  const { view } = useBench();
  const queries = useQueryClient();
  const laboratories = useQuery({ queryKey: ['laboratories'], queryFn: () => answer(api.GET('/api/laboratories')), staleTime: Infinity });
  const [code, setCode] = useState<string | null>(null);
  const [request, setRequest] = useState('');
  const asking = useMutation({
    mutationFn: (body: { laboratory: string; request: string }) =>
      answer(
        api.POST('/api/cases/{id}/laboratory-requests', {
          params: { path: { id: view.id } },
          body: { id: uuidv7(), task: uuidv7(), ...body, by: author() },
        }),
      ),
    onSuccess: () => {
      setRequest('');
      return refetchCase(queries, view.id);
    },
  });
  return (
    <LineForm
      label={words.days.ask}
      heading={words.days.ask}
      send={words.days.send}
      isReady={code !== null && request.trim() !== '' && !asking.isPending}
      onSend={() => asking.mutate({ laboratory: code ?? '', request: request.trim() })}
      after={
        asking.error !== null && (
          <p className="wrong" role="alert">
            {failureWords(asking.error)}
          </p>
        )
      }
    >
      <LineText value={request} label={words.days.question} onChange={setRequest} />
      <Select
        value={code}
        placeholder={words.days.whom}
        aria-label={words.days.whom}
        onChange={setCode}
        options={(laboratories.data ?? []).map((one) => ({ value: one.code, label: one.label }))}
      />
    </LineForm>
  );
}
