import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../shared/api';
import type { paths } from '../shared/api-types';

type Paper = Schemas['PaperView'];
type Asked = paths['/api/cases/{id}/papers']['post']['requestBody']['content']['application/json'];

const LOOK_AGAIN = 600;
const isBeingMade = (paper: Paper): boolean => paper.state === 'waiting' || paper.state === 'making';

export interface PaperBeingMade {
  /** 0 to 1 while it is being made, else null. */
  progress: number | null;
  /** Why there is none, in words. */
  problem: string | null;
  /** Where it lies once it is made. */
  address: string | null;
  make: (asked: Asked) => Promise<void>;
  cancel: () => void;
}

/** Asks for a paper of a case and follows its making, which goes on aside. */
export function usePaper(caseId: string): PaperBeingMade {
  const [asked, setAsked] = useState<Paper | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const path = { id: caseId, paper: asked?.id ?? '' };
  const { data } = useQuery({
    queryKey: ['paper', caseId, asked?.id],
    enabled: asked !== null,
    queryFn: () => answer(api.GET('/api/cases/{id}/papers/{paper}', { params: { path } })),
    refetchInterval: (query) => (query.state.data !== undefined && !isBeingMade(query.state.data) ? false : LOOK_AGAIN),
    gcTime: 0,
  });
  const paper = asked === null ? null : (data ?? asked);
  return {
    progress: paper !== null && isBeingMade(paper) ? paper.done : null,
    problem: refusal ?? paper?.message ?? null,
    address: paper?.state === 'ready' ? `/api/cases/${caseId}/papers/${paper.id}/file` : null,
    make: async (wanted) => {
      setRefusal(null);
      try {
        setAsked(await answer(api.POST('/api/cases/{id}/papers', { params: { path: { id: caseId } }, body: wanted })));
      } catch (error) {
        setAsked(null);
        setRefusal(error instanceof Error ? error.message : String(error));
      }
    },
    cancel: () => {
      setAsked(null);
      void api.DELETE('/api/cases/{id}/papers/{paper}', { params: { path } });
    },
  };
}
