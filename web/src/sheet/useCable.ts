import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Schemas } from '../shared/api';

export type CableReading = Schemas['GaugeLineView'];

/** What the ear is told, so that the eye can stay on the part: taken, or not. */
const TONES = { taken: 880, refused: 220 } as const;
const LENGTH = 0.09;

/**
 * Hears what gauges on a cable send, while it is on. The stream ends now and then and is taken up where it ended; what was sent
 * meanwhile comes after it.
 */
export function useCable(isOn: boolean, onReading: (reading: CableReading) => boolean): { isHeard: boolean } {
  const [isHeard, setHeard] = useState(false);
  const latest = useRef(onReading);
  useLayoutEffect(() => {
    latest.current = onReading;
  });
  useEffect(() => {
    if (!isOn) return;
    const stream = new EventSource('/api/gauges/lines/stream');
    stream.addEventListener('listening', () => setHeard(true));
    stream.addEventListener('reading', (event: MessageEvent<string>) => {
      sound(latest.current(JSON.parse(event.data) as CableReading) ? 'taken' : 'refused');
    });
    // A stream that ended of itself is opened again at once and says so; only one that stays away is told of.
    let away: ReturnType<typeof setTimeout> | undefined;
    stream.addEventListener('error', () => {
      clearTimeout(away);
      away = setTimeout(() => setHeard(false), 3000);
    });
    stream.addEventListener('listening', () => clearTimeout(away));
    return () => {
      clearTimeout(away);
      stream.close();
      setHeard(false);
    };
  }, [isOn]);
  return { isHeard };
}

let speaker: AudioContext | null = null;

function sound(what: keyof typeof TONES): void {
  try {
    speaker ??= new AudioContext();
    const tone = speaker.createOscillator();
    const gain = speaker.createGain();
    gain.gain.value = 0.15;
    tone.frequency.value = TONES[what];
    tone.connect(gain).connect(speaker.destination);
    tone.start();
    tone.stop(speaker.currentTime + LENGTH);
  } catch {
    // A computer without sound shows it all the same.
  }
}
