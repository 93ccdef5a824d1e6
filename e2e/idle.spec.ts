import { answered, heading, signIn, use, putIntoUse } from './people';
import { expect, test } from './program';

test('after some time untouched the office is back at its start, told before; what was typed is forgotten', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/data/roles');
  const minutes = page.getByLabel('Minutes untouched after which Office goes back to the start');
  await minutes.fill('0.2');
  await answered(page, /edits$/, () => page.keyboard.press('Enter'));
  const told = page.getByLabel('Seconds for which Office is told before');
  await told.fill('8');
  await answered(page, /edits$/, () => page.keyboard.press('Enter'));
  await putIntoUse(page);
  await expect(page.getByText('no changes since')).toBeVisible({ timeout: 20_000 });

  const priya = await (await browser.newContext({ baseURL })).newPage();
  await use(priya, 'priya', '/parts');
  await expect(heading(priya)).toHaveText('Parts in store');
  await expect(priya.getByText(/Back to the start in \d s, as nobody is here/)).toBeVisible({ timeout: 20_000 });
  await priya.mouse.move(300, 300);
  await expect(priya.getByText(/Back to the start in/)).toHaveCount(0);
  await expect(heading(priya)).toHaveText('Parts in store');
  await expect(heading(priya)).toHaveText('Defects by component', { timeout: 30_000 });
  await expect(
    priya.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: 'Back', exact: true }),
  ).toBeDisabled(); // another trail

  await minutes.fill('');
  await answered(page, /edits$/, () => page.keyboard.press('Enter'));
  await expect(told).toHaveCount(0);
  await putIntoUse(page);
  await expect(page.getByText('no changes since')).toBeVisible({ timeout: 20_000 });
});
