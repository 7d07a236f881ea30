import { Button } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/useChosen';
import { words } from '../shared/messages';

/** Saves what an address gives under the name that the server says. */
async function download(address: string, signal: AbortSignal): Promise<void> {
  const response = await fetch(address, { signal });
  if (!response.ok) throw new Error(((await response.json()) as { detail?: string }).detail ?? `The server answered ${response.status}.`);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await response.blob());
  link.download = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1] ?? 'report';
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Step 10: the report as it will print, and the case as an open file. */
export default function Report() {
  const { view } = useBench();
  const [chosen, choose] = useChosen();
  const [running, setRunning] = useState<AbortController | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const make = async (): Promise<void> => {
    const controller = new AbortController();
    setRunning(controller);
    setProblem(null);
    try {
      await download(`/api/cases/${view.id}/report.pdf`, controller.signal);
    } catch (error) {
      if (!controller.signal.aborted) setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setRunning(null);
    }
  };
  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="signs" />
      <div className="sheet pad" style={{ display: 'grid', gridTemplateRows: 'auto auto minmax(0,1fr)', gap: 10 }}>
        <div style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
          <h2 style={{ marginRight: 'auto' }}>{words.report.title}</h2>
          {running !== null && <Button onClick={() => running.abort()}>Cancel</Button>}
          <Button type="primary" loading={running !== null} onClick={() => void make()}>
            {running === null ? words.report.pdf : words.report.making}
          </Button>
          <Button href={`/api/cases/${view.id}/case.json`} download>
            {words.report.json}
          </Button>
        </div>
        <p className="note">
          {words.report.hint}{' '}
          {problem !== null && (
            <span className="wrong" role="alert">
              {problem}
            </span>
          )}
        </p>
        <iframe
          key={view.revision}
          title={words.report.preview}
          src={`/api/cases/${view.id}/report.html`}
          style={{ width: '100%', height: '100%', border: '1px solid var(--edge)', background: '#fff' }}
        />
      </div>
    </div>
  );
}
