import { answered, heading, signIn, putIntoUse } from './people';
import { expect, test } from './program';
import { sound } from './sound';

test('story: the visitors’ display goes round by itself, comes back to welcome, and never reaches the drive room', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(360_000); // it waits for stays and rests
  const nora = await (await browser.newContext({ baseURL })).newPage();
  await signIn(nora, 'nora');
  await nora.goto('/displays');
  await nora.getByRole('button', { name: 'Add a display' }).click();
  await nora.getByLabel('What it is called: where it stands').fill('Summit');
  await nora.getByRole('combobox', { name: /^As/ }).selectOption({ label: 'Visitor' });
  await nora.getByRole('combobox', { name: /^Starts at/ }).selectOption({ label: 'Welcome' });
  await nora.getByRole('button', { name: 'Add, and show its code' }).click();
  const code = await nora.getByRole('status', { name: 'Code' }).innerText();
  await nora.getByRole('button', { name: 'Close' }).last().click();
  await expect(nora.getByRole('row', { name: /Summit/ })).toContainText('waits for its code');

  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.goto('/display');
  await page.getByLabel('Code').fill('wrong');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('This code does not hold');
  await page.getByLabel('Code').fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(heading(page)).toHaveText('Tarnhorn Ropeway');
  await expect(page.getByRole('navigation', { name: 'Trail' })).toHaveCount(0); // nobody to sign out
  await sound(page);

  // By itself, by its ways, and by its round.
  await expect(heading(page)).toHaveText('The lifts now', { timeout: 60_000 });
  await expect(page.getByText('is open').first()).toBeVisible();
  await page.getByRole('button', { name: 'Welcome' }).click();
  await page.getByRole('link', { name: 'Which lifts run now?' }).click();
  await expect(page.getByRole('img', { name: '2 of 2' })).toBeVisible();
  await page.getByRole('button', { name: 'The next' }).click();
  await expect(page.getByRole('img', { name: '1 of 2' })).toBeVisible();

  // Not by an address, not in another tab, and not by the program's own pages.
  const tab = await page.context().newPage();
  await tab.goto('/use/tarnhorn/drive-room?lift=3');
  await expect(heading(tab)).toHaveText('Tarnhorn Ropeway');
  await tab.goto('/build/tarnhorn');
  await expect(tab.getByText(/Only builders/)).toBeVisible();
  await tab.close();

  // Without a round it comes back to welcome when nobody touches it, told before.
  const arno = await (await browser.newContext({ baseURL })).newPage();
  await signIn(arno, 'arno');
  await arno.goto('/build/tarnhorn/data/roles');
  for (const stop of ['Welcome', 'Lift status']) {
    await answered(arno, /edits$/, () => arno.getByRole('button', { name: `Take ${stop} out of the round` }).click());
  }
  const minutes = arno.getByLabel('Minutes untouched after which Visitor goes back to the start');
  await minutes.fill('0.2');
  await answered(arno, /edits$/, () => arno.keyboard.press('Enter'));
  await putIntoUse(arno, 'it goes round again tomorrow'); // the walk of the hall goes round
  await expect(arno.getByText('no changes since')).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: 'Which lifts run now?' }).click();
  await expect(heading(page)).toHaveText('The lifts now');
  await expect(page.getByText(/Back to the start in \d+ s/)).toBeVisible();
  await expect(heading(page)).toHaveText('Tarnhorn Ropeway');

  // Removed, it is out.
  await nora.getByRole('button', { name: 'Summit' }).click();
  await nora.getByRole('button', { name: 'Remove it' }).click();
  await expect(nora.getByRole('row', { name: /Summit/ })).toHaveCount(0);
  // Whatever is pressed there, if it is not out by itself already.
  await page.getByRole('link', { name: 'Which lifts run now?' }).click({ timeout: 5000 }).catch(() => undefined);
  await expect(page.getByLabel('Password')).toBeVisible();

  await arno.getByLabel('Add a screen to the round of Visitor').selectOption({ label: 'Welcome' });
  await expect(arno.getByLabel('Seconds that Welcome stays')).toHaveValue('20');
  await answered(arno, /edits$/, () =>
    arno.getByLabel('Add a screen to the round of Visitor').selectOption({ label: 'Lift status' }),
  );
  await minutes.fill('2');
  await answered(arno, /edits$/, () => arno.keyboard.press('Enter'));
  await putIntoUse(arno);
  await expect(arno.getByText('no changes since')).toBeVisible();
});
