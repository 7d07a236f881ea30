/** Height and load. */
export type Pair = [height: number, load: number];

/** Two figures a line, as a spreadsheet or a tester's file has them; the first line may be heads. */
export function readPasted(text: string): { points: Pair[]; badLine: number | null } {
  const points: Pair[] = [];
  const lines = text.split('\n');
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue;
    const parts = line.trim().split(line.includes('\t') || line.includes(';') ? /[\t;]+/ : /[\s,]+/);
    const [height, load] = parts.map((part) => Number(part.trim().replace(',', '.')));
    const isPoint = parts.length === 2 && Number.isFinite(height) && Number.isFinite(load);
    if (isPoint) points.push([height ?? 0, load ?? 0]);
    else if (points.length > 0 || i > 0) return { points, badLine: i + 1 };
  }
  return { points, badLine: null };
}
