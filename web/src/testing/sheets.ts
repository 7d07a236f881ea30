import type { MarginView, Schemas } from '../shared/api';

/** A margin of a made-up quantity, inside its limit where nothing else is said. */
export const margin = (more: Partial<MarginView> = {}): MarginView => ({
  place: 'A1-E1',
  label: '1E',
  coil: 'outer',
  quantity: 'travel_to_bind',
  title: 'travel to bind',
  verdict: 'inside',
  verdictWords: 'inside',
  probabilityGood: 1,
  value: { figure: '0.088', unit: 'in', plusMinus: '0.002', shown: '0.088 ± 0.002 in' },
  room: 0.0007,
  side: 'at_least',
  limit: { figure: '0.060', unit: 'in', plusMinus: null, shown: '0.060 in' },
  limitWords: 'at least 0.060 in',
  school: 'usual',
  schools: ['usual'],
  notch: 0.34,
  upper: null,
  goodIsRight: true,
  at: 0.5,
  low: 0.48,
  high: 0.52,
  offScale: null,
  others: [{ school: 'roomy', at: 0.6 }],
  strokes: [],
  scaleFrom: '0.006',
  scaleTo: '0.166',
  missing: [],
  asClaimed: null,
  sentence: '',
  spoken: '1E travel to bind: 0.088 plus or minus 0.002 in, limit at least 0.060 in, inside',
  ...more,
});

type Layout = Schemas['SheetLayoutView'];

export const column = (key: string, more: Partial<Layout['columns'][number]> = {}): Layout['columns'][number] => ({
  key,
  code: key,
  part: 'valve',
  head: key,
  under: '',
  name: key,
  index: [],
  unit: 'in',
  dimension: 'length',
  gauge: 'feeler',
  atHeight: false,
  usualHeight: null,
  ...more,
});

export const stationRow = (key: string): Layout['rows'][number] => ({
  key,
  place: key,
  part: '',
  label: key.slice(1, -1).replace('-', ''),
  name: key.slice(1, -1).replace('-', ''),
  isStation: true,
});

/** A sheet of some stations, laid out as the server would. */
export const sheetLayout = (code: string, rows: Layout['rows'], more: Partial<Layout> = {}): Layout => ({
  code,
  title: code,
  step: 'bench',
  goesAcross: false,
  rows,
  faces: [],
  lines: [],
  columns: [],
  computed: [],
  margins: [],
  questions: [],
  isLoose: false,
  ...more,
});
