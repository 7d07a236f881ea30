import { Refused } from './api';
import { words } from './messages';

/** What went wrong with a request, for the one who made it: what the server said, or that nobody answered. */
export const failureWords = (error: unknown): string => (error instanceof Refused ? error.message : words.noLine);
