import { expect, test } from 'vitest';
import { today } from './days';

test('the day is that of the person, not of Greenwich', () => {
  // A morning east of Greenwich and an evening west of it, whatever zone this runs in: the parts of the local day decide.
  const morning = new Date(2026, 10, 22, 0, 30);
  const evening = new Date(2026, 10, 21, 23, 30);
  expect([today(morning), today(evening)]).toEqual(['2026-11-22', '2026-11-21']);
  const [east, west] = [new Date('2026-11-21T21:30:00Z'), new Date('2026-11-22T03:30:00Z')];
  const offset = process.env['TZ'];
  try {
    process.env['TZ'] = 'Australia/Sydney';
    expect(today(east)).toBe('2026-11-22');
    process.env['TZ'] = 'America/Los_Angeles';
    expect(today(west)).toBe('2026-11-21');
  } finally {
    if (offset === undefined) delete process.env['TZ'];
    else process.env['TZ'] = offset;
  }
});
