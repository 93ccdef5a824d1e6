import { expect, type Page } from '@playwright/test';

/** Signs somebody of the demo in; the password is the name. */
export async function signIn(page: Page, login: string) {
  await page.goto('/');
  await page.getByLabel('Name').fill(login);
  await page.getByLabel('Password').fill(login);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByLabel('Password')).toHaveCount(0);
}

/** Signs in and opens the demo's start screen. */
export async function use(page: Page, login: string, address = '') {
  await signIn(page, login);
  await page.goto(`/use/tarnhorn${address}`);
}

/** Opens a screen in build, walking as somebody, on a record found by its title. */
export async function build(page: Page, screen: string, as: string, record?: string) {
  await signIn(page, 'arno');
  await page.goto(`/build/tarnhorn/screen/${screen}`);
  await page.getByLabel('Walking as').selectOption({ label: as });
  if (record) {
    await page.getByRole('banner').getByRole('button', { name: /^(cabin|defect|lift) |which record/ }).click();
    await page.getByRole('combobox', { name: 'Record to walk on' }).fill(record);
    await page.getByRole('option', { name: record }).first().click();
  }
}

export const heading = (page: Page) => page.getByRole('heading', { level: 1 });

// The builder's side.
export const stage = (page: Page) => page.locator('[data-stage]');
export const sentence = (page: Page) => page.getByRole('tabpanel', { name: 'Way' });
export const chosen = (page: Page) => page.getByRole('region', { name: 'The chosen way' });

/** Takes back every edit since the release. */
export async function undoAll(page: Page) {
  const button = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  const state = page.getByText(/changes? since release|no changes since/);
  for (let i = 0; i < 16; i++) {
    const before = (await state.textContent()) ?? '';
    if (before.includes('no changes since')) return;
    // While an edit is under way it is shut for a moment; for longer only when nothing is left to undo.
    if (!(await expect(button).toBeEnabled({ timeout: 2_500 }).then(() => true, () => false))) return;
    await button.click();
    await expect(state).not.toHaveText(before);
  }
}
