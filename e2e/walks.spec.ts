import { build, heading, signIn, stage, undoAll, use } from './people';
import { expect, test } from './program';
import { sound } from './sound';

test('a walk is recorded, gone, broken by an edit; where it differs and why is told, and what is there now is taken', async ({ page }) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await stage(page).getByRole('heading', { level: 1, name: 'Workshop board' }).waitFor();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  const tries = async (what: string, comesTo: string) => {
    const it = stage(page).getByText(what, { exact: true }).first();
    await it.click();
    await expect(async () => {
      await it.click();
      await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText(comesTo, { timeout: 4000 });
    }).toPass();
  };
  const claims = page.getByRole('group', { name: 'To be claimed' });
  await stage(page).getByText('My open defects', { exact: true }).first().click();
  await claims.getByRole('button', { name: 'it is open' }).click();
  await stage(page).getByText('My open defects', { exact: true }).first().click();
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Defects');
  await tries('D-2107', 'Defect D-2107');
  await tries('Its cabin', 'Cabin 087');
  await expect(page.getByRole('group', { name: 'Recording' })).toContainText('Recording as Mira Holt: 8 steps');
  await page.getByRole('button', { name: 'Keep it …' }).click();
  await page.getByLabel('Name of the walk').fill('Mira finds the cabin');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Mira finds the cabin' })).toBeVisible();
  const steps = page.getByRole('list', { name: 'Steps of Mira finds the cabin' });
  await expect(steps.getByRole('button', { name: /^step 5: opens “D-2107”, a row of defects/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  const side = page.getByRole('complementary', { name: 'What came of it' });
  await expect(side.getByText('As expected', { exact: true })).toBeVisible({ timeout: 30_000 });

  // The way leads elsewhere: the walk says where, and goes on once that is what is meant.
  await page.goto('/build/tarnhorn/screen/s_defect');
  await page.getByLabel('Walking as').selectOption({ label: 'Mira Holt, technician' });
  await page.getByRole('region', { name: 'Ways out' }).getByRole('button', { name: /^Way \d+ to Cabin$/ }).first().click();
  await page.getByRole('button', { name: 'Cabin', exact: true }).last().click();
  await page.getByRole('combobox').last().fill('Parts');
  await page.getByRole('option', { name: /^Parts/ }).first().click();
  await page.getByRole('banner').getByRole('button', { name: 'Walks' }).click();
  await page.getByRole('navigation', { name: 'Walks' }).getByRole('button', { name: /Mira finds the cabin/ }).click();
  await expect(page.getByRole('heading', { level: 2, name: /Mira finds the cabin/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(side.getByText('Step 8 differs')).toBeVisible({ timeout: 30_000 });
  await expect(side.getByText('stands on “Cabin” with “087”')).toBeVisible();
  await side.getByRole('button', { name: 'Take what is there now' }).click();
  await expect(steps.getByRole('button', { name: /^step 8: stands on “Parts”/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(side.getByText('As expected', { exact: true })).toBeVisible({ timeout: 30_000 });
  await undoAll(page);
});

test('the stories of the demo are gone all at once; a step is moved and taken out', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/walks');
  await page.getByRole('button', { name: 'Go all' }).click();
  await expect(page.getByText('9 as expected')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('navigation', { name: 'Walks' }).getByRole('button', { name: /The office sees a defect/ }).click();
  await page.getByRole('button', { name: /^step 3: “Edit” is hidden/ }).hover();
  await page.getByRole('button', { name: 'step 3 down' }).click();
  await expect(page.getByRole('button', { name: /^step 4: “Edit” is hidden/ })).toBeVisible();
  await page.getByRole('button', { name: /^step 4:/ }).focus();
  await page.getByRole('button', { name: 'take step 4 out' }).click();
  await expect(page.getByRole('button', { name: /^step 4:/ })).toHaveCount(0);
  await undoAll(page);
});

test('a walk is put otherwise by clicking: a step put in, another person, the clock; it is watched, and what differs is drawn beside what was expected', async ({
  page,
}) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/walks/wk_office');
  const steps = page.getByRole('list', { name: /^Steps of The office sees/ });
  await steps.getByRole('button', { name: /^step 2:/ }).hover();
  await page.getByRole('button', { name: 'put one in after step 2' }).click();
  const form = page.getByRole('form', { name: 'A new step' });
  await form.getByLabel('What happens').selectOption({ label: 'something shows words' });
  await expect(form.getByRole('button', { name: 'Keep the step' })).toBeDisabled();
  await form.getByLabel('Which screen').selectOption({ label: 'Defect' });
  await form.getByLabel('What it is about').selectOption({ label: 'Severity' });
  await form.getByLabel('Words').fill('high');
  await form.getByRole('button', { name: 'Keep the step' }).click();
  await expect(steps.getByRole('button', { name: /^step 3: “Severity” shows “high”/ })).toBeVisible();

  // A list that is narrowed, named by a condition: all by choosing.
  await page.getByRole('button', { name: '+ a step' }).click();
  await form.getByLabel('What happens').selectOption({ label: 'opens a screen by its address' });
  await form.getByLabel('Which screen').selectOption({ label: 'Defects' });
  await form.getByRole('button', { name: 'Keep the step' }).click();
  // Until it is there, the next one begins where the walk stood before.
  await expect(steps.getByRole('button', { name: /opens “?Defects/ })).toBeVisible();
  await page.getByRole('button', { name: '+ a step' }).click();
  await form.getByLabel('What happens').selectOption({ label: 'looks at the list otherwise' });
  await expect(form.getByLabel('Which screen')).toHaveValue('s_defects');
  await form.getByRole('button', { name: '+ narrow it' }).click();
  await form.getByLabel('Filter 1: field').selectOption({ label: 'Severity' });
  await form.getByLabel('Filter 1: value').fill('high');
  await form.getByRole('button', { name: 'Keep the step' }).click();
  await expect(steps.getByRole('button', { name: /^step \d+: narrows the list to severity is “high”/ })).toBeVisible();
  await page.getByRole('button', { name: '+ a step' }).click();
  await form.getByLabel('What happens').selectOption({ label: 'presses something' });
  await form.getByLabel('What it is about').selectOption({ label: 'the list of defects' });
  await form.getByLabel('Which row: named by').selectOption({ label: 'the first of which' });
  await form.getByRole('button', { name: 'Which row' }).click();
  const condition = page.getByRole('dialog', { name: 'Which row: the first of which' });
  await condition.getByRole('button', { name: '+ field' }).click();
  await condition.getByRole('combobox', { name: 'Field to compare' }).fill('code');
  await page.keyboard.press('Enter');
  await condition.getByLabel('Value', { exact: true }).fill('D-2107');
  await condition.getByRole('button', { name: 'Set condition' }).click();
  await expect(form.getByRole('button', { name: 'Which row' })).toHaveText('code is “D-2107”');
  await form.getByRole('button', { name: 'Keep the step' }).click();
  await expect(steps.getByRole('button', { name: /^step \d+: opens the first of which code is “D-2107”/ })).toBeVisible();

  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByLabel('Where the clock stands').fill('2026-11-24T10:00');
  await page.getByLabel('Where the clock stands').blur();
  await expect(page.getByText(/the clock stands at 24 November 2026, 10:00/)).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  const side = page.getByRole('complementary', { name: 'What came of it' });
  await expect(side.getByText('As expected', { exact: true })).toBeVisible({ timeout: 30_000 });
  await sound(page);

  // Somebody else may edit: there the walk differs, and is drawn as it is and as it was to be.
  await page.getByLabel('Who goes it').selectOption({ label: 'Mira Holt, technician' });
  await expect(page.getByText(/^as Mira Holt, Technician/)).toBeVisible();
  await page.getByRole('button', { name: 'enough' }).click();
  await page.getByRole('button', { name: 'Watch it' }).click();
  const drawn = page.getByRole('region', { name: 'Drawn' });
  await expect(drawn.getByRole('img', { name: /^Found: Defect D-2107/ })).toBeVisible();
  await drawn.getByLabel('How fast').selectOption({ label: 'quickly' });
  await drawn.getByRole('button', { name: 'Play' }).click();
  await expect(drawn.getByText(/^Step 4 differs: expected “Edit” is hidden, found open/)).toBeVisible({ timeout: 30_000 });
  await sound(page);
  await drawn.getByRole('button', { name: 'Enough' }).click();
  await undoAll(page);
});

test('who builds the application records in use, too: what is pressed, gone back, and looked for', async ({ page }) => {
  await use(page, 'arno', '/workshop');
  await page.getByRole('button', { name: 'record', exact: true }).click();
  await page.getByRole('link', { name: /^All open defects/ }).click();
  await expect(heading(page)).toHaveText('Defects');
  await page.getByRole('row').nth(2).getByRole('link').first().click();
  await expect(heading(page)).toHaveText(/^Defect D-/);
  await page.goBack();
  await expect(heading(page)).toHaveText('Defects');
  await page.getByRole('button', { name: /^Home/ }).click();
  await expect(heading(page)).toHaveText('Workshop board');
  await page.getByRole('button', { name: 'Keep it …' }).click();
  await page.getByLabel('Name of the walk').fill('Arno looks around');
  await page.keyboard.press('Enter');
  const steps = page.getByRole('list', { name: 'Steps of Arno looks around' });
  await expect(steps.getByRole('button', { name: /^step 6: goes back/ })).toBeVisible();
  await expect(steps.getByRole('button', { name: /^step 8: goes home/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(page.getByText('As expected', { exact: true })).toBeVisible({ timeout: 30_000 });
  await undoAll(page);
});
