import { expect, test } from './program';
import { heading, signIn, use, putIntoUse } from './people';
import type { Page } from '@playwright/test';

const step = (page: Page) => page.getByRole('navigation', { name: /^Report a defect|^New component/ });
const at = (page: Page, words: string) => expect(step(page).getByRole('status')).toContainText(words);
const next = (page: Page) => page.getByRole('button', { name: 'Next step' }).click();

/** Chooses a record by typing. */
async function choose(page: Page, field: string, words: string) {
  await page.getByLabel(field).fill(words);
  await page.getByRole('option', { name: words }).first().click();
}

test('story: a defect is reported step by step; what is missing is told in its step, one step is passed by, finish opens it', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await use(page, 'mira', '/workshop');
  await page.getByRole('link', { name: /^Report a defect/ }).click();
  await at(page, 'step 1 of 3');
  await next(page);
  await expect(page.getByText('Fill in “Lift”.')).toBeVisible();
  await at(page, 'step 1 of 3');
  await expect(step(page).getByRole('button', { name: /What it is/ })).toHaveAttribute('aria-disabled', 'true');
  await choose(page, 'Lift', 'Lower Tarn');
  await next(page);
  await at(page, 'step 2 of 3');
  await choose(page, 'Component', 'Grip jaw');
  await page.getByLabel('Severity').selectOption('high');
  await page.getByLabel('What').first().fill('Found by going through steps');
  await next(page);
  await at(page, 'step 3 of 4'); // it is high: it is to be shown
  await expect(step(page).getByRole('button', { name: /Show it/ })).toHaveAttribute('aria-current', 'step');
  await page.getByLabel('Detail').fill('Seen at the valley station');
  await page.reload(); // what was typed in all steps is kept
  await at(page, 'step 3 of 4');
  await expect(page.getByLabel('Detail')).toHaveValue('Seen at the valley station');
  await page.getByRole('button', { name: 'Back a step' }).click();
  await expect(page.getByLabel('What').first()).toHaveValue('Found by going through steps');
  await page.getByRole('button', { name: 'Back a step' }).click();
  await expect(page.getByLabel('Lift')).toHaveValue('Lower Tarn');
  await next(page);
  await page.getByLabel('Severity').selectOption('low');
  await next(page);
  await at(page, 'step 3 of 3'); // it is not high any more: that step is passed by
  await step(page)
    .getByRole('button', { name: /Where it is/ })
    .click();
  await at(page, 'step 1 of 3');
  await step(page)
    .getByRole('button', { name: /Who looks after it/ })
    .click();
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await expect(heading(page)).toHaveText(/^Defect D-/);
  await expect(page.getByText('Found by going through steps')).toBeVisible();
  await expect(page.getByText('Seen at the valley station')).toHaveCount(0); // typed in a step that was no part of it
  // The other way to finish begins anew; cancel leaves nothing.
  await page.goto('/use/tarnhorn/workshop');
  await page.getByRole('link', { name: /^Report a defect/ }).click();
  await at(page, 'step 1 of 3');
  await choose(page, 'Lift', 'Upper Tarn');
  await next(page);
  await choose(page, 'Component', 'Grip jaw');
  await page.getByLabel('Severity').selectOption('low');
  await page.getByLabel('What').first().fill('The second of two');
  await next(page);
  await page.getByRole('button', { name: 'Finish, and report another' }).click();
  await at(page, 'step 1 of 3');
  await expect(page.getByLabel('Lift')).toHaveValue('');
  await choose(page, 'Lift', 'Upper Tarn');
  await next(page);
  await at(page, 'step 2 of 3'); // one press at a time
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(heading(page)).toHaveText('Workshop board'); // where the steps were begun, past all of them
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  await page.goto('/use/tarnhorn/report-defect?~mode=add');
  await expect(page.getByLabel('Lift')).toHaveValue('');
  await page.goto('/use/tarnhorn/defects?~sort=-code');
  await expect(page.getByRole('row', { name: /The second of two/ })).toHaveCount(1);
});

test('guided steps are made by clicking, with a condition, tried, released and used', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/screen/s_wboard');
  await page
    .getByRole('button', { name: 'Screens', exact: true })
    .or(page.getByRole('banner').getByRole('button').first())
    .first()
    .click();
  await page.getByRole('button', { name: '+ a new screen' }).click();
  const asked = page.getByRole('dialog', { name: 'A new screen' });
  await asked.getByLabel('What it is for').selectOption({ label: 'guided steps for a new one of …' });
  await asked.getByLabel('Of which table').selectOption({ label: 'Components' });
  await asked.getByRole('button', { name: 'Make it' }).click();
  await expect(page).toHaveURL(/s_new_component/);
  await expect(page.locator('[data-stage]').getByRole('navigation', { name: 'New component' })).toBeVisible();
  await putIntoUse(page);
  await expect(page.getByText('no changes since')).toBeVisible({ timeout: 20_000 });
  const sela = await (await browser.newContext({ baseURL })).newPage();
  await use(sela, 'sela', '/new-component-step-by-step?~mode=add');
  await expect(step(sela).getByRole('status')).toContainText('step 1 of');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
});
