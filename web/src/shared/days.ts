/** Today where the person is, as year-month-day: at half past eight in the morning it is their day, whatever day it is in Greenwich. */
export function today(now = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
