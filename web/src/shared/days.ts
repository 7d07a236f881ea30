const two = (n: number): string => String(n).padStart(2, '0');
const dayOf = (at: Date): string => `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;

/** Today where the person is, as year-month-day: at half past eight in the morning it is their day, whatever day it is in Greenwich. */
export const today = (now = new Date()): string => dayOf(now);

/** A moment as it is written everywhere: year-month-day and hour:minute, by the reader's clock. */
export function when(moment: Date | string): { day: string; time: string; full: string } {
  const at = typeof moment === 'string' ? new Date(moment) : moment;
  const day = dayOf(at);
  const time = `${two(at.getHours())}:${two(at.getMinutes())}`;
  return { day, time, full: `${day} ${time}` };
}
