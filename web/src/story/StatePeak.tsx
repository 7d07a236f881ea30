import { useBench } from '../entry/useBench';
import type { SlotAddress } from '../entry/slots';
import type { Schemas } from '../shared/api';
import { words } from '../shared/messages';

type Peak = Schemas['PeakView'];

/** Figures of the build that a log knows better than anybody: the pressures at the valves at their worst, the oil at its hottest. */
const STATES: Partial<Record<Peak['channel'], SlotAddress>> = {
  boost: { place: 'kind-I', part: 'port', item: 'claimed.port_pressure', index: null },
  exhaust_pressure: { place: 'kind-E', part: 'port', item: 'claimed.port_pressure', index: null },
  oil_temperature: { place: 'engine', part: 'oil', item: 'claimed.oil_temperature', index: null },
};

/** States the peak of a log as a figure of the build, for the gas at the seat and the oil film to reckon with. */
export function StatePeak({ peak, figure }: { peak: Peak; figure: string }) {
  const { slots, record } = useBench();
  const slot = STATES[peak.channel];
  if (slot === undefined) return null;
  const text = `${figure} ${peak.unit}`;
  if (slots.get(slot).entry?.text === text) return <span className="note">{words.log.stated}</span>;
  return (
    <button
      type="button"
      className="take-back"
      title={words.log.countsHint}
      onClick={() => record('claim', slot, { text, standing: 'known' }, words.log.state(peak.label, text))}
    >
      {words.log.counts}
    </button>
  );
}
