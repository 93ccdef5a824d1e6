import type { Browser, Locator, Page } from '@playwright/test';
import { answered, build, heading, signIn, stage, undoAll, use } from './people';
import { expect, test } from './program';
import { sound } from './sound';

const edit = async (page: Page, ...patch: object[]) => {
  const answer = await page.context().request.post('/api/build/tarnhorn/edits', { data: { patch } });
  expect(answer.status()).toBe(200);
};

const replaced = (path: string, value: unknown) => ({ op: 'replace', path, value });

/** Somebody else in a browser of their own. */
async function another(browser: Browser, baseURL: string | undefined, login: string, address: string) {
  const page = await (await browser.newContext({ baseURL })).newPage();
  await use(page, login, address);
  await expect(heading(page)).toBeVisible();
  return page;
}

const lead = (page: Page): Locator => page.getByRole('group', { name: 'Who uses it first' }).getByRole('checkbox', { name: 'Shift lead', exact: true });

/** Opens the view, and waits for the checks and walks. */
async function releases(page: Page) {
  await page.getByRole('banner').getByRole('button', { name: 'Releases', exact: true }).click();
  await page.getByRole('navigation', { name: 'Releases' }).getByRole('button', { name: /^✎?The draft/ }).click();
  await expect(page.getByText(/Nothing stands in its way|stops? it/)).toBeVisible({ timeout: 30_000 });
}

test('a new builder records a story, breaks it, finds out why, mends it; releases for the leads first, then for all, then goes back', async ({
  page,
  browser,
  baseURL,
}) => {
  await build(page, 's_wboard', 'Mira Holt, technician');
  await stage(page).getByRole('heading', { level: 1, name: 'Workshop board' }).waitFor();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  for (const [what, comesTo] of [
    ['My open defects', 'Defects'],
    ['D-2107', 'Defect D-2107'],
    ['Its cabin', 'Cabin 087'],
  ] as const) {
    const it = stage(page).getByText(what, { exact: true }).first();
    await it.click();
    await expect(async () => {
      await it.click();
      await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText(comesTo, { timeout: 4000 });
    }).toPass();
  }
  await page.getByRole('button', { name: 'Keep it …' }).click();
  await page.getByLabel('Name of the walk').fill('From the board to the cabin');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'From the board to the cabin' })).toBeVisible();

  // Broken: the cabin is led to no more. The release says so, shows where, and is not made.
  await page.goto('/build/tarnhorn/screen/s_defect');
  await page.getByLabel('Walking as').selectOption({ label: 'Mira Holt, technician' });
  await page.getByRole('region', { name: 'Ways out' }).getByRole('button', { name: /^Way \d+ to Cabin$/ }).first().click();
  await page.getByRole('button', { name: 'Cabin', exact: true }).last().click();
  await page.getByRole('combobox').last().fill('Parts');
  await page.getByRole('option', { name: /^Parts/ }).first().click();
  await releases(page);
  const side = page.getByRole('complementary', { name: 'Release the draft' });
  await expect(side.getByText('The walk “From the board to the cabin” differs.')).toBeVisible();
  await expect(side.getByRole('button', { name: 'Release for all' })).toBeDisabled();
  await sound(page);
  const wiring = page.getByRole('region', { name: 'Screen Defect' });
  await expect(wiring.getByRole('button', { name: 'The wiring of the button “Its cabin”' })).toBeVisible();
  await expect(wiring.getByRole('insertion')).toContainText('open Parts');
  await side.getByRole('button', { name: 'Show' }).first().click();
  await page.getByRole('navigation', { name: 'Walks' }).getByRole('button', { name: /From the board to the cabin/ }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'From the board to the cabin' })).toBeVisible(); // until then, “Go it” is that of another
  await page.getByRole('button', { name: 'Go it' }).click();
  await expect(page.getByRole('complementary', { name: 'What came of it' }).getByText('stands on “Cabin” with “087”')).toBeVisible({ timeout: 30_000 });

  // Mended; something else is new, and goes to the leads first.
  await answered(page, /undo$/, () => page.keyboard.press('Control+z'));
  await edit(page, replaced('/s_cabins/heading', 'All cabins'));
  await releases(page);
  await expect(side.getByText('Nothing stands in its way')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: 'Screen Cabins' })).toContainText('“Cabins” → “All cabins”');
  await side.getByRole('textbox', { name: 'Note' }).fill('Cabins have a better heading');
  await side.getByLabel('for some first').click();
  await expect(side.getByRole('button', { name: 'Release for them' })).toBeDisabled();
  await lead(page).click();
  await side.getByRole('button', { name: 'Release for them' }).click();
  const made = page.getByRole('complementary', { name: /^Release \d+$/ });
  await expect(made).toContainText('first for Shift lead');
  await expect(made).toContainText('Cabins have a better heading');
  const sela = await another(browser, baseURL, 'sela', '/cabins');
  const mira = await another(browser, baseURL, 'mira', '/cabins');
  const both = async (leads: string, others: string) =>
    expect(async () => {
      await sela.reload();
      await mira.reload();
      await expect(heading(sela)).toHaveText(leads, { timeout: 2000 });
      await expect(heading(mira)).toHaveText(others, { timeout: 2000 });
    }).toPass();
  await both('All cabins', 'Cabins');
  await made.getByRole('button', { name: 'Let all use it now' }).click();
  await expect(made).toContainText('in use');
  await both('All cabins', 'All cabins');
  await sound(page);

  // The one before, whatever number it has.
  await page.getByRole('navigation', { name: 'Releases' }).getByRole('button', { name: / · / }).nth(1).click();
  await expect(made).toContainText('not in use any more');
  const first = made;
  await first.getByRole('button', { name: 'Bring it back …' }).click();
  await first.getByRole('textbox', { name: 'Note' }).fill('the old heading was known');
  await page.keyboard.press('Enter');
  await expect(made).toContainText(/release \d+ again, in use/);
  await both('Cabins', 'Cabins');
  await undoAll(page);
});

test('a release while browsers stand on what changes, moves and vanishes: nobody is thrown out, nothing typed is lost, what is passed over is said', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(240_000);
  // A device, a form half typed, a dialog, a guided task, a list that will be gone, and a record with that list behind it.
  const nora = await (await browser.newContext({ baseURL })).newPage();
  await signIn(nora, 'nora');
  await nora.goto('/displays');
  await nora.getByRole('button', { name: 'Add a display' }).click();
  await nora.getByLabel('What it is called: where it stands').fill('Counter');
  await nora.getByRole('combobox', { name: /^As/ }).selectOption({ label: 'Visitor' });
  await nora.getByRole('combobox', { name: /^Starts at/ }).selectOption({ label: 'Welcome' });
  await nora.getByRole('button', { name: 'Add, and show its code' }).click();
  const code = await nora.getByRole('status', { name: 'Code' }).innerText();
  const hall = await (await browser.newContext({ baseURL })).newPage();
  await hall.goto('/display');
  await hall.getByLabel('Code').fill(code);
  await hall.getByRole('button', { name: 'Begin' }).click();
  await expect(heading(hall)).toHaveText('Tarnhorn Ropeway');
  const typing = await another(browser, baseURL, 'mira', '/defect?defect=107&~mode=edit');
  await typing.getByRole('textbox', { name: /^What/ }).fill('The door sensor, twice');
  const dialog = await another(browser, baseURL, 'sela', '/cabin?cabin=87');
  await dialog.getByRole('link', { name: 'Next one as a card' }).or(dialog.getByRole('button', { name: 'Next one as a card' })).first().click();
  await expect(dialog.getByRole('dialog')).toBeVisible();
  const task = await another(browser, baseURL, 'sela', '/report-defect?~mode=add');
  const step = task.getByRole('navigation', { name: /^Report/ }).getByRole('status');
  await task.getByLabel('Lift').fill('Lower Tarn');
  await task.getByRole('option', { name: 'Lower Tarn' }).first().click();
  await task.getByRole('button', { name: 'Next step' }).click();
  await expect(step).toContainText('step 2 of');
  await answered(task, /\/draft$/, () => task.getByLabel('What').first().fill('A rattle at tower 9'), 'A rattle at tower 9');
  const standing = await another(browser, baseURL, 'priya', '/parts');
  const behind = await another(browser, baseURL, 'priya', '/parts');
  await behind.getByRole('row').nth(2).click();
  await expect(behind).toHaveURL(/\/part\?/);
  const part = await heading(behind).innerText();

  await signIn(page, 'arno');
  await edit(
    page,
    { op: 'remove', path: '/s_parts' },
    replaced('/s_defect/elements/e_what/cell/row', 20),
    replaced('/s_card/heading', 'The card of {record.f_number}'),
    replaced('/s_report/elements/e_steps/steps/t_where/label', 'Where it stands'),
    replaced('/s_welcome/heading', 'Welcome to the Tarnhorn'),
  );
  await page.goto('/build/tarnhorn/releases');
  const side = page.getByRole('complementary', { name: 'Release the draft' });
  await expect(side.getByText(/things? stops? it/)).toBeVisible({ timeout: 30_000 });
  await side.getByLabel('One reason for all of them', { exact: true }).fill('Stores keeps the parts from now on');
  await side.getByRole('button', { name: 'For all', exact: true }).click();
  await side.getByRole('button', { name: 'Release for all' }).click();
  const made = page.getByRole('complementary', { name: /^Release \d+$/ });
  await expect(made).toContainText('because “Stores keeps the parts from now on”');
  await page.waitForTimeout(1500); // which release is in use is believed for a second

  await expect(typing.getByRole('textbox', { name: /^What/ })).toHaveValue('The door sensor, twice');
  await typing.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(typing.getByText('The door sensor, twice')).toBeVisible();
  await expect(typing.getByRole('textbox', { name: /^What/ })).toHaveCount(0);

  await dialog.reload();
  await expect(dialog.getByRole('dialog')).toContainText('The card of 0');

  await task.reload();
  await expect(task.getByRole('button', { name: /Where it stands/ })).toBeVisible();
  await expect(step).toContainText('step 2 of');
  await expect(task.getByLabel('What').first()).toHaveValue('A rattle at tower 9');
  await task.getByRole('button', { name: 'Back a step' }).click();
  await expect(task.getByLabel('Lift')).toHaveValue('Lower Tarn');

  await standing.getByRole('row').nth(2).click();
  await expect(standing.getByText('Skipped Parts in store: gone, or not open to you.')).toBeVisible();
  await expect(heading(standing)).not.toHaveText('Parts in store');

  await expect(heading(behind)).toHaveText(part);
  await behind.goBack();
  await expect(behind.getByText('Skipped Parts in store: gone, or not open to you.')).toBeVisible();

  await expect(heading(hall)).toHaveText('Welcome to the Tarnhorn', { timeout: 60_000 });

  await page.getByRole('navigation', { name: 'Releases' }).getByRole('button', { name: / · / }).nth(1).click();
  await page.getByRole('button', { name: 'Bring it back …' }).click();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: /^Release \d+$/ })).toContainText('again, in use');
  await undoAll(page);
});

test('two builders see each other, an edit of one reaches the other, a clash is told in words; the history tells who did what, and takes it back', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, 'arno');
  const rights = await page.context().request.put('/api/build/tarnhorn/people/a_sela/rights', { data: { builds: true, administers: false } });
  expect(rights.ok()).toBe(true);
  await page.goto('/build/tarnhorn/screen/s_cabins');
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Cabins');
  const sela = await (await browser.newContext({ baseURL })).newPage();
  await signIn(sela, 'sela');
  await sela.goto('/build/tarnhorn/screen/s_cabin');
  await expect(page.getByRole('button', { name: 'Sela Brandt is on Cabin' })).toBeVisible();
  await expect(sela.getByRole('button', { name: 'Arno Vey is on Cabins' })).toBeVisible();

  await sela.getByRole('button', { name: 'Arno Vey is on Cabins' }).click();
  await expect(sela).toHaveURL(/s_cabins/);
  await expect(stage(sela).getByRole('heading', { level: 1 })).toHaveText('Cabins');

  await edit(sela, replaced('/s_cabins/heading', 'Each cabin'));
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Each cabin');
  await edit(page, replaced('/s_cabins/heading', 'All cabins'));
  await expect(stage(sela).getByRole('heading', { level: 1 })).toHaveText('All cabins');
  await sela.keyboard.press('Control+z');
  await expect(sela.getByRole('alert')).toContainText('Arno Vey changed this at');

  await page.getByRole('banner').getByRole('button', { name: 'Releases', exact: true }).click();
  await page.getByRole('tab', { name: 'Who changed what' }).click();
  const edits = page.getByRole('article', { name: /^Edit \d+ by/ });
  await expect(edits.first()).toContainText('Arno Vey');
  await page.getByLabel('Of which screen').selectOption({ label: 'Cabins' });
  await expect(edits.nth(1)).toContainText('Sela Brandt');
  await expect(edits.first()).toContainText('“Each cabin” → “All cabins”');
  await page.getByLabel('By whom').selectOption({ label: 'Sela Brandt' });
  await expect(edits.first()).toContainText('“Cabins” → “Each cabin”');
  await edits.first().getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('alert')).toContainText('changed since');
  await page.getByLabel('By whom').selectOption({ label: 'by everybody' });
  await sound(page);
  await edits.nth(1).getByRole('button', { name: 'Cabins before it' }).click();
  await expect(page.getByRole('img', { name: /^Cabins as it was/ })).toContainText('Cabins');
  await expect(page.getByRole('region', { name: 'What was changed since' })).toContainText('“Cabins” → “All cabins”');
  await sound(page);
  await page.getByRole('button', { name: 'Back to the edits' }).click();
  await edits.first().getByRole('button', { name: 'Take it back' }).click();
  await expect(edits.first()).toContainText('takes an edit back');
  await expect(edits.first()).toContainText('“All cabins” → “Each cabin”');
  await sela.close();
  await expect(page.getByRole('list', { name: 'Who else is here' }).getByRole('button')).toHaveCount(0);
  await edit(page, replaced('/s_cabins/heading', 'Cabins'));
  await page.context().request.put('/api/build/tarnhorn/people/a_sela/rights', { data: { builds: false, administers: false } });
});
