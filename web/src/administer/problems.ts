import { Refused } from '../api/client';
import { wordsOfProblem } from '../trail/Press';

/** What is wrong with each field, as the server says it. */
export function wrongFields(error: unknown): Record<string, string> {
  return error instanceof Refused ? (error.problem.fields ?? {}) : {};
}

/** What went wrong as a whole, in words; nothing when it stands beside the fields. */
export function wordsOf(error: unknown): string | undefined {
  if (!error) return undefined;
  if (!(error instanceof Refused)) return 'Something went wrong here. Load the page again.';
  return error.problem.fields ? undefined : wordsOfProblem(error.problem);
}
