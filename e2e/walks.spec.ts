import { build, signIn, stage, undoAll } from './people';
import { expect, test } from './program';

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
  await tries('My open defects', 'Defects');
  await tries('D-2107', 'Defect D-2107');
  await tries('Its cabin', 'Cabin 087');
  await expect(page.getByRole('group', { name: 'Recording' })).toContainText('Recording as Mira Holt: 7 steps');
  await page.getByRole('button', { name: 'Keep it …' }).click();
  await page.getByLabel('Name of the walk').fill('Mira finds the cabin');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Mira finds the cabin' })).toBeVisible();
  const steps = page.getByRole('list', { name: 'Steps of Mira finds the cabin' });
  await expect(steps.getByRole('button', { name: /^step 4: opens “D-2107”, a row of defects/ })).toBeVisible();
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
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(side.getByText('Step 7 differs')).toBeVisible({ timeout: 30_000 });
  await expect(side.getByText('stands on “Cabin” with “087”')).toBeVisible();
  await side.getByRole('button', { name: 'Take what is there now' }).click();
  await expect(steps.getByRole('button', { name: /^step 7: stands on “Parts”/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(side.getByText('As expected', { exact: true })).toBeVisible({ timeout: 30_000 });
  await undoAll(page);
});

test('the stories of the demo are gone all at once; a step is moved and taken out', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/walks');
  await page.getByRole('button', { name: 'Go all' }).click();
  await expect(page.getByText('8 as expected')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('navigation', { name: 'Walks' }).getByRole('button', { name: /The office sees a defect/ }).click();
  await page.getByRole('button', { name: /^step 3: “Edit” is hidden/ }).hover();
  await page.getByRole('button', { name: 'step 3 down' }).click();
  await expect(page.getByRole('button', { name: /^step 4: “Edit” is hidden/ })).toBeVisible();
  await page.getByRole('button', { name: /^step 4:/ }).focus();
  await page.getByRole('button', { name: 'take step 4 out' }).click();
  await expect(page.getByRole('button', { name: /^step 4:/ })).toHaveCount(0);
  await undoAll(page);
});
