import { noAnswer, type Problem, Refused } from './client';

const brokenOff: Problem = {
  code: 'broken-off',
  what: 'The file broke off before its end.',
  // biome-ignore lint/suspicious/noThenProperty: the field of the documented error form
  then: 'Nothing was saved. Try again.',
};

/** A file that the server makes: what it is called and what is in it. A no, and one that breaks off, is a Refused. */
export async function askFile(address: string): Promise<{ name: string; content: Blob }> {
  const answer = await fetch(address).catch(() => undefined);
  if (!answer) throw new Refused(noAnswer, 0);
  if (!answer.ok) throw new Refused(await answer.json().catch(() => noAnswer), answer.status);
  const name = /filename="?([^";]+)/.exec(answer.headers.get('Content-Disposition') ?? '')?.[1];
  const content = await answer.blob().catch(() => undefined);
  if (!content) throw new Refused(brokenOff, 0);
  return { name: name ?? 'list.csv', content };
}
