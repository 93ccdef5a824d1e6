import { expect, type Locator, type Page } from '@playwright/test';

/**
 * Signs somebody of the demo in; the password is the name. It is how a test begins, not what it is
 * about, so it is asked for at once: that signing in works in the page is shown by a test of its own.
 */
export async function signIn(page: Page, login: string) {
  const answer = await page.context().request.post('/api/sign-in', { data: { login, password: login } });
  expect(answer.status()).toBe(200);
}

/** Signs out as one does; until that was answered, its answer would end the next session too. */
export async function signOut(page: Page) {
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
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
    await page.getByRole('banner').getByRole('button', { name: /^(cabin|defect|lift|part) |which record/ }).click();
    await page.getByRole('combobox', { name: 'Record to walk on' }).fill(record);
    await page.getByRole('option', { name: record }).first().click();
    // Until its screen is there, what is pressed belongs to the record before.
    await expect(stage(page).getByRole('heading', { level: 1 })).toContainText(record);
  }
}

export const heading = (page: Page) => page.getByRole('heading', { level: 1 });

// The builder's side.
export const stage = (page: Page) => page.locator('[data-stage]');
export const sentence = (page: Page) => page.getByRole('tabpanel', { name: 'Way' });
export const chosen = (page: Page) => page.getByRole('region', { name: 'The chosen way' });

/**
 * Presses a command in a drive room. A busy machine may have the values too late for a moment: then the press is
 * refused, says so, and is pressed again. Where the plant’s answer came too late to be read, the button is greyed since
 * it is as it was to be.
 */
async function command(page: Page, button: string, said: string, since: RegExp) {
  const press = page.getByRole('button', { name: button, exact: true, description: since });
  const accepted = page.getByText(`${said}: accepted by the plant.`);
  let pressed = false;
  await expect(async () => {
    const done = (await accepted.isVisible()) || (pressed && (await press.isVisible()));
    if (!done) {
      await page.getByRole('button', { name: button, exact: true }).click({ timeout: 5000 });
      pressed = true;
    }
    await expect(accepted.or(press).first()).toBeVisible({ timeout: 5000 });
  }).toPass();
}

export const startLine = (page: Page) => command(page, 'Start', 'Start command', /It runs already/);
export const stopLine = (page: Page) => command(page, 'Stop the line', 'Stop command', /The line stands/);

/**
 * Presses an empty cell and types what goes there. While what is above it is drawn for the first time the cell moves: what
 * goes down and up at two places is no press, and is pressed again.
 */
export async function intoCell(cell: Locator, words: string) {
  const asked = cell.page().getByRole('combobox', { name: 'What goes here' });
  await expect(async () => {
    if (!(await asked.isVisible())) await cell.click({ timeout: 5000 });
    await expect(asked).toBeVisible({ timeout: 3000 });
  }).toPass();
  await asked.fill(words);
}

/** Puts a button with words of its own into an empty cell of the builder's stage. */
export async function putButton(page: Page, cell: string | RegExp, words: string) {
  await intoCell(page.getByRole('button', { name: cell }).first(), words);
  await page.getByRole('option', { name: `a button “${words}”` }).click();
}

/** Takes back every edit since the release: how a test leaves the project, not what it is about. */
export async function undoAll(page: Page) {
  const api = page.context().request;
  for (;;) {
    const draft: { changes: number; undo: boolean } = await (await api.get('/api/build/tarnhorn')).json();
    if (draft.changes === 0 || !draft.undo) return;
    expect((await api.post('/api/build/tarnhorn/undo')).status()).toBe(200);
  }
}

/**
 * Does something and waits until the server has answered the call that it sets off; after an edit until what it came to is
 * drawn too, since what stands there moves then, and a press that comes meanwhile goes beside it.
 */
export async function answered(page: Page, call: RegExp, act: () => Promise<unknown>, sends = '') {
  const answer = page.waitForResponse((r) => call.test(new URL(r.url()).pathname) && (r.request().postData() ?? '').includes(sends));
  await act();
  expect((await answer).ok()).toBe(true);
  await expect(page.getByText('saving …', { exact: true })).toHaveCount(0);
}

/** Puts the draft into use for all, with a reason for what stops it; then goes back to where one was. */
export async function putIntoUse(page: Page, because?: string) {
  const was = page.url();
  await page.getByRole('button', { name: 'Release …', exact: true }).click();
  const all = page.getByRole('button', { name: 'Release for all' });
  await expect(page.getByText(/Nothing stands in its way|stops? it/)).toBeVisible({ timeout: 30_000 });
  if (because) {
    for (const line of await page.getByRole('textbox', { name: /^Released all the same because/ }).all()) await line.fill(because);
  }
  await expect(all).toBeEnabled();
  await answered(page, /releases$/, () => all.click());
  await expect(page.getByRole('complementary', { name: /^Release \d+$/ })).toBeVisible();
  await page.goto(was);
  await expect(page.getByText(/no changes since/)).toBeVisible({ timeout: 20_000 });
}
