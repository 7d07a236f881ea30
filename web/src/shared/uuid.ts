import { v7 } from 'uuid';

/** A new id that sorts by time; also the idempotency key of what it names. */
export function uuidv7(): string {
  return v7();
}
