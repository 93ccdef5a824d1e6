import { expect, test } from './program';
import { heading, signIn, startLine, stopLine, use } from './people';

test('the worst open defect, its cabin, and back with the filter kept', async ({ page }) => {
  await use(page, 'mira');
  await page.getByRole('link', { name: /My open defects/ }).click();
  await expect(heading(page)).toHaveText('Defects');
  const chips = page.getByRole('group', { name: 'What narrows this screen' });
  await expect(chips).toContainText('Mira Holt');
  await expect(chips).toContainText('not closed');
  const first = page.getByRole('row').nth(1);
  await expect(first).toContainText('high');
  await first.getByRole('link').click();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await page.getByRole('link', { name: 'Its cabin' }).click();
  await expect(heading(page)).toHaveText('Cabin 087');
  await expect(page).toHaveURL(/\/use\/tarnhorn\/cabin\?cabin=87$/);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('button', { name: 'Back to Defect D-2107' }).click();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await page.goBack();
  await expect(heading(page)).toHaveText('Defects');
  await expect(chips).toContainText('not closed');
  await page.goForward();
  await expect(heading(page)).toHaveText('Defect D-2107');
});

test('clearing what narrows a list is a step that back undoes', async ({ page }) => {
  await use(page, 'mira', '/defects?cabin=87');
  const chips = page.getByRole('group', { name: 'What narrows this screen' });
  await expect(chips).toContainText('087');
  const before = await page.getByRole('row').count();
  await chips.getByRole('button', { name: 'Clear Cabin' }).click();
  await expect(chips).toHaveCount(0);
  await expect.poll(() => page.getByRole('row').count()).toBeGreaterThan(before);
  await page.goBack();
  await expect(chips).toContainText('087');
  await page.getByRole('button', { name: 'Filter Severity' }).click();
  await page.getByRole('checkbox', { name: 'high' }).check();
  await page.getByRole('button', { name: 'Show these' }).click();
  await expect(chips).toContainText('high');
  await page.reload();
  await expect(chips).toContainText('high');
  await page.getByRole('button', { name: 'Due', exact: true }).click();
  await expect(page).toHaveURL(/~sort=due/);
});

test('a form: errors beside fields, saving, unsaved work, a change meanwhile', async ({ page, browser }) => {
  await use(page, 'mira', '/defect?defect=107');
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('What *').fill('');
  await page.getByLabel('Hours (h)').fill('many');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Fill in “What”.')).toBeVisible();
  await expect(page.getByText(/is not a number\. Type one like 2\.5/)).toBeVisible();
  await page.getByLabel('What *').fill('Door edge sensor slow');
  await page.getByLabel('Hours (h)').fill('2.5');

  // Meanwhile the shift lead changes the same field, and another one.
  const other = await (await browser.newContext()).newPage();
  await use(other, 'sela', '/defect?defect=107&~mode=edit');
  await other.getByLabel('Hours (h)').fill('3');
  await other.getByLabel('Detail').fill('Looked at by Sela.');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByRole('link', { name: 'Edit' })).toBeVisible(); // it is saved
  await other.context().close();

  await page.getByRole('button', { name: 'Save' }).click();
  const conflict = page.getByRole('alertdialog', { name: 'Changed by two people' });
  await expect(conflict).toContainText('2.5');
  await expect(conflict).toContainText('3');
  await conflict.getByRole('radio', { name: /yours/ }).check();
  await conflict.getByRole('button', { name: 'Save like this' }).click();
  await expect(page.getByText('Looked at by Sela.')).toBeVisible();
  await expect(page.getByText('2.5 h')).toBeVisible();
});

test('adding, cancelling, and closing with a question', async ({ page }) => {
  await use(page, 'mira', '/cabin?cabin=87');
  await page.getByRole('link', { name: 'Report a defect' }).click();
  await expect(heading(page)).toHaveText('New defect');
  await expect(page.getByRole('combobox', { name: 'Cabin' })).toHaveValue('087');
  await page.getByLabel('What *').fill('Handle loose');
  await page.getByLabel('Severity *').selectOption('low');
  await page.getByLabel('State *').selectOption('open');
  await page.getByLabel('Component *').fill('Seats');
  await page.getByRole('option', { name: 'Seats and floor' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(heading(page)).toHaveText(/^Defect D-22\d\d$/);
  await page.getByRole('button', { name: 'Take it on' }).click();
  await expect(page.getByText('Mira Holt').nth(1)).toBeVisible();
  await page.getByRole('button', { name: 'Close it' }).click();
  const question = page.getByRole('alertdialog');
  await expect(question).toContainText('Handle loose');
  await page.keyboard.press('Escape');
  await expect(question).toHaveCount(0);
  await page.getByRole('button', { name: 'Close it' }).click();
  await question.getByRole('button', { name: 'Yes' }).click();
  await expect(heading(page)).toHaveText('Cabin 087');
  await expect(page.getByRole('row', { name: /Handle loose/ })).toContainText('closed');
});

test('a closed defect cannot be edited, and says why; office only looks', async ({ page, browser }) => {
  await use(page, 'mira', '/defects?~filter.state=is:closed');
  await page.getByRole('row').nth(1).getByRole('link').click();
  const edit = page.getByRole('button', { name: 'Edit' });
  await expect(edit).toHaveAttribute('aria-disabled', 'true');
  await edit.hover();
  await expect(page.getByRole('tooltip', { name: 'Closed defects are read only.' }).or(page.getByText('Closed defects are read only.'))).toBeVisible();
  const office = await (await browser.newContext()).newPage();
  await use(office, 'priya', '/defect?defect=107');
  await expect(heading(office)).toHaveText('Defect D-2107');
  await expect(office.getByRole('link', { name: 'Edit' })).toHaveCount(0);
  await office.goto('/use/tarnhorn/defect?defect=107&~mode=edit');
  await expect(office.getByRole('alert')).toContainText('may not change defects');
  await office.context().close();
});

test('a chart point opens the list narrowed to it; back restores', async ({ page }) => {
  await use(page, 'mira', '/defects-by-component');
  await page.getByRole('button', { name: /^Grip jaw, \d+$/ }).click();
  await expect(heading(page)).toHaveText('Defects');
  await expect(page.getByRole('group', { name: 'What narrows this screen' })).toContainText('Grip jaw');
  for (const row of (await page.getByRole('row').all()).slice(1)) await expect(row).toContainText('Grip jaw');
  await page.goBack();
  await expect(heading(page)).toHaveText('Defects by component');
});

test('the drive room stops and starts the line on the answer that comes back', async ({ page }) => {
  await use(page, 'jon');
  await page.getByRole('row', { name: /Horn Saddle/ }).getByRole('link').click();
  await expect(heading(page)).toHaveText('Horn Saddle, drive room');
  await expect(page.getByText('values good')).toBeVisible();
  const stop = page.getByRole('button', { name: 'Stop the line' });
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toHaveAttribute('aria-disabled', 'true');
  await stopLine(page);
  await expect(page.getByText('standing')).toBeVisible({ timeout: 15_000 });
  await expect(stop).toHaveAttribute('aria-disabled', 'true');
  // An answer that comes later than the change it set off is older than what is shown by then.
  const running = page.getByText('running', { exact: true });
  await page.route('**/press', async (route) => {
    const answer = await route.fetch();
    if (await page.getByText('standing').isVisible()) await running.waitFor().catch(() => undefined);
    await route.fulfill({ response: answer });
  });
  await startLine(page);
  await expect(running).toBeVisible();
});

test('wrong addresses say what is wrong and offer a way on', async ({ page }) => {
  await use(page, 'mira', '/nowhere');
  await expect(page.getByRole('alert')).toContainText('There is no screen at “nowhere”');
  await page.getByRole('button', { name: 'Home' }).click();
  await expect(heading(page)).toHaveText('Workshop board');
  for (const [address, words] of [
    ['/cabin', 'needs to know which cabin'],
    ['/cabin?cabin=999999', 'This cabin is not there'],
    ['/cabin?cabin=abc', 'This cabin is not there'],
    ['/cabin?wagon=1', 'takes nothing called “wagon”'],
    ['/drive-room?lift=1', 'is not for you: only for'],
    ['/cabins?~mode=edit', 'cannot be opened to edit'],
  ] as const) {
    await page.goto(`/use/tarnhorn${address}`);
    await expect(page.getByRole('alert')).toContainText(words);
  }
});

test('signing out ends it; a wrong password says so', async ({ page }) => {
  await use(page, 'mira');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('Name').fill('mira');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('Name or password is wrong');
  await page.goto('/use/tarnhorn/cabins');
  await signIn(page, 'mira');
});

test('a dialog lies over its place: Escape, reload, and a full move from inside', async ({ page }) => {
  await use(page, 'mira', '/defect?defect=107');
  await page.getByRole('button', { name: 'Others on this cabin' }).click();
  const dialog = page.getByRole('dialog', { name: 'Defects' });
  await expect(dialog.getByRole('row', { name: /D-2093/ })).toBeVisible();
  await expect(page).toHaveURL(/defect\?defect=107$/);
  await page.reload();
  await expect(dialog.getByRole('row', { name: /D-2093/ })).toBeVisible();
  // Narrowing the list in the dialog leaves the screen below as it is.
  await dialog.getByRole('button', { name: 'Filter Severity' }).click();
  await page.getByRole('checkbox', { name: 'high' }).check();
  await page.getByRole('button', { name: 'Show these' }).click();
  await expect(dialog.getByRole('row', { name: /D-2093/ })).toHaveCount(0);
  await expect(page).toHaveURL(/defect\?defect=107$/);
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await page.reload();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await expect(dialog).toHaveCount(0);
  await page.getByRole('button', { name: 'Others on this cabin' }).click();
  await dialog.getByRole('link', { name: 'D-2093' }).click();
  await expect(heading(page)).toHaveText('Defect D-2093');
  await expect(dialog).toHaveCount(0);
  await page.goBack();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await expect(dialog).toHaveCount(0);
});

test('two tabs of one user keep trails of their own', async ({ page, context }) => {
  await use(page, 'mira', '/cabins');
  await expect(heading(page)).toHaveText('Cabins');
  const other = await context.newPage();
  await other.goto('/use/tarnhorn/defects');
  await expect(heading(other)).toHaveText('Defects');
  await page.getByRole('link', { name: '001', exact: true }).click();
  await expect(heading(page)).toHaveText('Cabin 001');
  await other.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(heading(other)).toHaveText('Workshop board');
  await page.goBack();
  await expect(heading(page)).toHaveText('Cabins');
});

test('a held key presses once', async ({ page }) => {
  await use(page, 'mira', '/defects');
  let presses = 0;
  page.on('request', (r) => {
    if (/\/press$/.test(new URL(r.url()).pathname)) presses++;
  });
  const high = page.getByRole('button', { name: 'High only' });
  await high.focus();
  await page.keyboard.down('Enter');
  for (let i = 0; i < 20; i++) await page.keyboard.down('Enter'); // as a key that stays down repeats
  await page.keyboard.up('Enter');
  await expect(page.getByText('Severity: high')).toBeVisible();
  expect(presses).toBe(1);
});

test('light, dark, or as the system does', async ({ page }) => {
  await use(page, 'mira');
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const day = await ground();
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  await expect.poll(ground).not.toBe(day);
  const night = await ground();
  await page.goto('/me');
  await page.getByRole('radio', { name: 'light', exact: true }).check();
  await expect.poll(ground).not.toBe(night);
  await page.reload();
  await expect.poll(ground).not.toBe(night);
  await page.getByRole('radio', { name: 'as the system does' }).check();
  await expect.poll(ground).toBe(night);
});
