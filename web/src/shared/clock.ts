/** A time within a run, in seconds: as seconds, from a minute on as minutes and seconds. */
export function clock(seconds: number): string {
  const tenths = Math.round(seconds * 10);
  const m = Math.floor(tenths / 600);
  const s = (tenths - 600 * m) / 10;
  return m === 0 ? `${s.toFixed(1)} s` : `${m}:${s.toFixed(1).padStart(4, '0')}`;
}
