import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { answer, api } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';

interface Props {
  onTake: (file: File) => void;
  onClose: () => void;
}

/** The camera of this device: shown live, one press takes the picture. */
export function DeviceCamera({ onTake, onClose }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let closed = false;
    const open = async (): Promise<void> => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 3840 } } });
        if (closed) stream.getTracks().forEach((track) => track.stop());
        else if (video.current) video.current.srcObject = stream;
      } catch {
        setProblem(words.photo.noCamera);
      }
    };
    void open();
    return () => {
      closed = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  const take = (): void => {
    const from = video.current;
    if (from === null || from.videoWidth === 0) return;
    const canvas = document.createElement('canvas');
    canvas.width = from.videoWidth;
    canvas.height = from.videoHeight;
    canvas.getContext('2d')?.drawImage(from, 0, 0);
    canvas.toBlob(
      (blob) => blob && onTake(new File([blob], `camera-${new Date().toISOString().replace(/[:.]/g, '-')}.jpg`, { type: 'image/jpeg' })),
      'image/jpeg',
      0.95,
    );
  };
  return (
    <Dialog open scope="in-photographs" onClose={onClose} width={900} title={words.photo.device}>
      {problem === null ? <video ref={video} autoPlay muted playsInline className="live-camera" /> : <p className="wrong">{problem}</p>}
      <Button type="primary" size="large" disabled={problem !== null} onClick={take}>
        {words.photo.take}
      </Button>
    </Dialog>
  );
}

/** The simulated bench camera and borescope: a made-up part with a chosen sign. */
export function SimulatedCamera({ part, onTake, onClose }: Props & { part: string }) {
  const pictures = useQuery({
    queryKey: ['simulated-camera'],
    queryFn: () => answer(api.GET('/api/simulated/camera')),
    staleTime: Infinity,
  });
  const [kind, setKind] = useState<string | null>(null);
  const [severity, setSeverity] = useState(2);
  const [borescope, setBorescope] = useState(false);
  const [seed, setSeed] = useState(() => Math.floor(Math.random() * 100000));
  const list = pictures.data ?? [];
  const code = kind ?? list.find((one) => one.part === part)?.code ?? list[0]?.code;
  const address =
    code === undefined ? '' : `/api/simulated/camera/${code}.png?severity=${severity}&seed=${seed}${borescope ? '&borescope=1' : ''}`;
  const take = async (): Promise<void> => {
    const blob = await (await fetch(address)).blob();
    onTake(new File([blob], `simulated-${borescope ? 'borescope' : 'camera'}-${code ?? ''}-${seed}.png`, { type: 'image/png' }));
    setSeed(Math.floor(Math.random() * 100000));
  };
  return (
    <Dialog open scope="in-photographs" onClose={onClose} width={860} title={words.photo.simulated}>
      <p className="wrong">{words.photo.simulatedWhy}</p>
      <div className="line-form">
        <Select
          value={code ?? null}
          aria-label={words.photo.shows}
          style={{ width: 320 }}
          onChange={(one: string | null) => setKind(one)}
          options={list.map((one) => ({ value: one.code, label: one.label }))}
        />
        <Select
          value={severity}
          aria-label={words.teardown.howBad}
          style={{ width: 80 }}
          onChange={setSeverity}
          options={[0, 1, 2, 3, 4].map((value) => ({ value, label: String(value) }))}
        />
        <Select
          value={borescope}
          aria-label={words.photo.through}
          style={{ width: 160 }}
          onChange={setBorescope}
          options={[
            { value: false, label: words.photo.bench },
            { value: true, label: words.photo.borescope },
          ]}
        />
        <Button type="primary" onClick={() => void take()}>
          {words.photo.take}
        </Button>
      </div>
      {address !== '' && <img className="live-camera" src={`${address}&preview=1`} alt={words.photo.simulated} />}
    </Dialog>
  );
}
