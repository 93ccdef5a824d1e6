import { expect, test } from 'vitest';
import { Refused } from '../api/client';
import { insistently } from './insist';

const away = new Refused({ code: 'no-answer', what: 'Away.' }, 0);
const no = new Refused({ code: 'stale', what: 'No.' }, 409);

function answers(...list: (string | Refused)[]) {
  let asked = 0;
  const call = async () => {
    const answer = list[Math.min(asked++, list.length - 1)];
    if (answer instanceof Refused) throw answer;
    return answer;
  };
  return { call, asked: () => asked };
}

test('what nobody answers is sent again until somebody does', async () => {
  const waited: number[] = [];
  const { call, asked } = answers(away, away, 'done');
  expect(await insistently(call, async (ms) => void waited.push(ms))).toBe('done');
  expect(asked()).toBe(3);
  expect(waited).toEqual([2000, 2000]);
});

test('a no is a no, and nobody waits for ever', async () => {
  const first = answers(no);
  await expect(insistently(first.call, async () => {})).rejects.toBe(no);
  expect(first.asked()).toBe(1);
  const never = answers(away);
  await expect(insistently(never.call, async () => {})).rejects.toBe(away);
  expect(never.asked()).toBe(16);
});
