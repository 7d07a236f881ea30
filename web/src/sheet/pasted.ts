/**
 * The cells of a range as a spreadsheet puts it on the clipboard: lines of cells parted by tabs. Null for the text of a single cell, which
 * is typed where the hand is.
 */
export function pastedRange(text: string): string[][] | null {
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n$/, '').split('\n');
  const range = lines.map((line) => line.split('\t').map((cell) => cell.trim()));
  return range.length === 1 && range[0]?.length === 1 ? null : range;
}
