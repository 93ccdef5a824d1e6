import { execSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, type Program, test } from './program';
import { heading, use } from './people';

/** Halts or resumes every process of the demo's database, so that it is there and does not answer. */
function database(program: Program, signal: 'STOP' | 'CONT') {
  const main = readFileSync(`${program.dir}/data/postmaster.pid`, 'utf8').split('\n')[0];
  const children = execSync(`pgrep -P ${main} || true`).toString().trim().split('\n').filter(Boolean);
  execSync(`kill -${signal} ${[main, ...children].join(' ')}`);
}

test('the database stops answering: a clear message, the typed text kept, and it goes on by itself', async ({ page, program }) => {
  test.setTimeout(90_000);
  await use(page, 'mira', '/defect?defect=93&~mode=edit');
  await page.getByLabel('Detail').fill('Typed before the database went.');
  database(program, 'STOP');
  try {
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/The database (did not answer in time|does not answer)\. Nothing is lost\./)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByLabel('Detail')).toHaveValue('Typed before the database went.');
  } finally {
    database(program, 'CONT');
  }
  // The press that was waiting is sent again with the same id, and counts once.
  await expect(heading(page)).toHaveText('Defect D-2093', { timeout: 30_000 });
  await expect(page.getByText('Typed before the database went.')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/The database d(id|oes) not/)).toHaveCount(0);
});

test('the server freezes: live values are not shown as if they were still true', async ({ page, program }) => {
  await use(page, 'jon', '/drive-room?lift=2');
  await expect(page.getByText('10 values good')).toBeVisible();
  process.kill(program.pid, 'SIGSTOP');
  try {
    await expect(page.getByText(/10 of 10 values not available/)).toBeVisible({ timeout: 15_000 });
    await expect(page.getByRole('button', { name: 'Stop the line' })).toHaveAttribute('aria-disabled', 'true');
  } finally {
    process.kill(program.pid, 'SIGCONT');
  }
  await expect(page.getByText('10 values good')).toBeVisible({ timeout: 20_000 });
});
