import type { Filter, PressRequest, Question, Sort } from '../api/client';

/** What a press brings besides its element. */
export interface PressAim {
  row?: string;
  point?: string;
  /** The last of several points of time that are chosen together. */
  pointTo?: string;
  /** The point or row is chosen besides those that are, or no more. */
  also?: boolean;
  /** Of what is turned on and off: how it was drawn. */
  seen?: string;
  option?: string; // of several values to choose from
  /** What a dialog came back with. */
  result?: string;
  trigger?: string;
  rows?: string[];
  /** A row that is edited where it stands: what was typed into it, and what it was. */
  values?: Record<string, string>;
  base?: Record<string, string>;
  version?: string;
}

/** What a press came to: done, or not, with words beside fields. A question is not done yet. */
export interface Pressed {
  done: boolean;
  fields?: Record<string, string>;
}

/** Answers to a question, put with the same press. */
export interface Answers {
  confirmed?: boolean;
  unsaved?: 'save' | 'keep' | 'drop';
  keep?: Record<string, string>;
  picked?: Record<string, string>;
}

/** A press that waits for an answer. */
export interface Asked {
  request: PressRequest;
  question: Question;
}

/** How a list is to be narrowed, ordered and searched; inputs to clear. */
export interface Arrangement {
  filters: Filter[];
  sort: Sort[];
  find?: string;
  tabs?: Record<string, string>;
  clear?: string[];
}

/** What is said at the foot of the window. */
export interface Said {
  words: string;
  bad?: boolean;
}

/** The same press with the answers to what it asked: what was asked once is answered once. */
export function answered({ request, question }: Asked, answers: Answers): PressRequest {
  const tokens = [...(request.tokens ?? []), ...(question.token ? [question.token] : [])];
  const picked = answers.picked && { picked: { ...request.picked, ...answers.picked } };
  const dropped = answers.unsaved === 'drop' ? { values: {} } : {};
  return { ...request, ...dropped, ...answers, ...picked, tokens };
}
