import type { Page } from '@playwright/test';
import { expect, test } from './program';
import { build, heading, signIn, stage, use, putIntoUse } from './people';

const sentence = (page: Page) => page.getByRole('tabpanel', { name: 'Way' });

/** Adds a row by a word of a field's name, with the keyboard. */
async function addField(page: Page, word: string) {
  await page.getByRole('button', { name: '+ field' }).last().click();
  await page.getByRole('combobox', { name: 'Field to compare' }).fill(word);
  await page.keyboard.press('Enter');
}

/** Takes back own edits until nothing has changed since the release. */
async function takeBack(page: Page, edits: number) {
  const undo = page.getByRole('banner').getByRole('button', { name: 'Undo' });
  for (let left = edits; left > 0; left--) {
    const before = await page.getByText(/changes? since release|no changes since/).textContent();
    await undo.click();
    await expect(page.getByText(/changes? since release|no changes since/)).not.toHaveText(before ?? '');
  }
}

test('only my own, only while open, not in the first week: without a word of text', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await stage(page).getByRole('button', { name: 'Its cabin' }).click();
  await page.getByRole('button', { name: '+ only while' }).click();
  await addField(page, 'assigned');
  await page.getByRole('combobox', { name: 'Comparison' }).selectOption('is');
  await page.getByRole('combobox', { name: 'Compared with' }).selectOption('the user’s own record');
  await addField(page, 'state');
  await page.getByRole('combobox', { name: 'Comparison' }).last().selectOption('is none of');
  await expect(page.getByText('Every row needs a value.')).toBeVisible();
  await page.getByRole('group', { name: 'Values' }).getByRole('button', { name: 'closed' }).click();
  await addField(page, 'reported');
  await page.getByRole('combobox', { name: 'Compared with' }).last().selectOption('days ago');
  await expect(page.getByText('means: assigned to is the user and state is not “closed” and reported is on or before 7 days ago')).toBeVisible();
  // A group within, moved up by keyboard.
  await page.getByRole('button', { name: '+ group' }).first().click();
  const group = page.getByRole('group', { name: 'any of these' });
  await group.getByRole('button', { name: '+ field' }).click();
  await page.getByRole('combobox', { name: 'Field to compare' }).fill('roles');
  await page.keyboard.press('Enter');
  await group.getByRole('combobox', { name: 'Value' }).selectOption('Shift lead');
  await expect(page.getByText(/7 days ago and the user is Shift lead$/)).toBeVisible();
  await group.getByRole('button', { name: 'Remove this group' }).click();
  // The same as text, and back.
  await page.getByRole('button', { name: 'as text' }).click();
  await expect(page.getByLabel('Condition as text')).toHaveValue('record.assigned == user.record && !(record.state in ["closed"]) && record.reported_on <= daysAgo(7)');
  await page.getByRole('button', { name: 'as rows' }).click();
  await expect(page.getByRole('combobox', { name: 'Comparison' })).toHaveCount(3);
  // Shared under a name, it is used by that name here.
  await page.getByRole('button', { name: 'Share it under a name …' }).click();
  await page.getByLabel('Name of the shared condition').fill('mine for a week');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('while mine for a week:');
  await page.getByRole('navigation', { name: 'Parts of the builder' }).getByRole('button', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Shared conditions' }).click();
  const card = page.getByRole('region', { name: 'mine for a week' });
  await expect(card).toContainText('holds while assigned to is the user and state is not “closed” and reported is on or before 7 days ago');
  await card.getByRole('button', { name: '“Its cabin” on “Defect”' }).click();
  await expect(sentence(page)).toContainText('while mine for a week:');
  await takeBack(page, 2);
});

test('text is completed while it is typed; a bare field gets its whole path', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2107');
  await stage(page).getByRole('button', { name: 'Edit' }).click();
  await page.getByRole('tab', { name: 'As text' }).click();
  const text = page.getByLabel('Condition as text');
  await text.fill('');
  await text.pressSequentially('record.cab');
  await expect(page.getByRole('option', { name: /^cabin/ })).toBeVisible();
  // A busy browser draws late: what is typed on goes behind what was put in all the same.
  await page.evaluate(() => {
    window.requestAnimationFrame = (draw) => window.setTimeout(() => draw(performance.now()), 400);
  });
  await page.keyboard.press('Tab');
  await page.keyboard.type('.in_s', { delay: 150 });
  await expect(text).toHaveValue('record.cabin.in_s');
  await expect(page.getByRole('option', { name: /shared condition/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await text.fill('record.due < daysAgo(');
  await text.press('End');
  await page.keyboard.press('Control+Space');
  await expect(page.getByText('daysAgo(a whole number)')).toBeVisible();
  await text.fill('state != "closed"');
  await expect(page.getByText('“state” is not known by itself. The field is record.state, state of Defects.')).toBeVisible();
  await page.getByRole('button', { name: 'record.state', exact: true }).click();
  await expect(text).toHaveValue('record.state != "closed"');
});

test('roles and tables at one look: a row rule is made there, holds in use after the release, and is taken back', async ({ page, browser }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/data/tables');
  await page.getByRole('button', { name: /^Office, Defects/ }).click();
  const chosen = page.getByRole('region', { name: 'The chosen right' });
  await expect(chosen).toContainText('Office may view defects: all of them; hidden from them: nothing.');
  await chosen.getByRole('button', { name: 'all of them' }).click();
  await addField(page, 'severity');
  await page.getByRole('combobox', { name: 'Value' }).selectOption('high');
  await page.getByRole('button', { name: 'Set condition' }).click();
  await expect(chosen).toContainText('those where severity is “high”');
  await expect(page.getByRole('button', { name: /^Office, Defects/ })).toContainText('where severity is “high”');
  // Hidden from them, too.
  await chosen.getByRole('button', { name: 'nothing' }).click();
  await page.getByRole('checkbox', { name: 'Hours' }).check();
  await page.getByRole('button', { name: 'Set fields' }).click();
  await expect(chosen).toContainText('hidden from them: hours');
  // What the database cannot decide is said so.
  await chosen.getByRole('button', { name: 'severity is “high”' }).click();
  await page.getByRole('button', { name: 'as text' }).click();
  await page.getByLabel('Condition as text').fill('record.what.contains("rope")');
  await expect(page.getByText(/The database cannot decide this/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  await putIntoUse(page);
  await expect(page.getByText(/no changes since/)).toBeVisible();
  const priya = await (await browser.newContext()).newPage();
  await use(priya, 'priya', '/defects');
  await expect(heading(priya)).toHaveText('Defects');
  await expect(async () => {
    await priya.reload();
    const severities = await priya.getByRole('row').getByText(/^(low|medium)$/).count();
    expect(severities).toBe(0);
    await expect.poll(() => priya.getByRole('row').count()).toBeGreaterThan(2);
  }).toPass();
  await priya.goto('/me');
  await expect(priya.getByRole('listitem').filter({ hasText: 'Defects:' })).toContainText('you may view those where severity is “high”; you do not see hours.');
  await priya.context().close();
  await takeBack(page, 2);
  await putIntoUse(page);
  await expect(page.getByText(/no changes since/)).toBeVisible();
});

test('roles and screens at one look: a guard is set there and keeps others out by address', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/data/screens');
  await page.getByRole('button', { name: /^Office, Cabins/ }).click();
  const chosen = page.getByRole('region', { name: 'The chosen right' });
  await chosen.getByRole('button', { name: 'everyone' }).click();
  await page.getByRole('checkbox', { name: 'Office' }).uncheck();
  await page.getByRole('button', { name: 'Set roles' }).click();
  await expect(page.getByRole('button', { name: /^Office, Cabins: no/ })).toBeVisible();
  await expect(chosen).toContainText('Office: may not be here');
  // Arrows go from cell to cell.
  await page.getByRole('button', { name: /^Office, Cabins/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Operator, Cabins/ })).toBeFocused();
  // The table that a guard speaks of is one press away, here and beside the screen.
  await page.getByRole('button', { name: /^Office, Defect: / }).click();
  await chosen.getByRole('button', { name: 'defects', exact: true }).click();
  await expect(heading(page)).toHaveText('Defects');
  await page.goto('/build/tarnhorn/screen/s_cabin');
  await page.getByRole('group', { name: 'Who may be on this screen' }).getByRole('button', { name: 'cabins' }).click();
  await expect(page).toHaveURL(/data\/t_cabins/);
  await page.goto('/build/tarnhorn/data/screens');
  await page.getByRole('button', { name: 'Cabins', exact: true }).last().click();
  await page.getByLabel('Walking as').selectOption({ label: 'Priya Oduya, office' });
  await expect(page.getByText('“Cabins” is not for Priya Oduya: only for').first()).toBeVisible();
  await takeBack(page, 1);
});

test('why: what was judged, what would have to change, and who would see it', async ({ page }) => {
  await build(page, 's_defect', 'Mira Holt, technician', 'D-2193');
  await stage(page).getByRole('button', { name: 'Edit' }).click({ force: true });
  await page.getByRole('tab', { name: 'Why' }).click();
  const why = page.getByRole('tabpanel', { name: 'Why' });
  await expect(why).toContainText('Mira Holt may view defects');
  await expect(why).toContainText('to be changed: component’s area is neither “drive” nor “line”');
  await expect(why).toContainText('It would open if');
  await expect(why.getByText('now line').first()).toBeVisible();
  await expect(why.getByRole('listitem').filter({ hasText: 'Shift lead' })).toContainText('open');
  await expect(why.getByRole('listitem').filter({ hasText: 'Office' })).toContainText('hidden');
  await page.getByLabel('Walking as').selectOption({ label: 'Sela Brandt, shift lead' });
  await expect(why).toContainText('Leads to');
  await expect(why).not.toContainText('For it to be open');
});

test('story: Mira edits a defect that Office can only view; a closed one says why it is read only', async ({ page, browser }) => {
  await use(page, 'mira', '/defects');
  await page.getByRole('row').filter({ hasText: 'D-2107' }).first().click();
  await expect(heading(page)).toHaveText('Defect D-2107');
  await expect(page.getByRole('link', { name: 'Edit', exact: true }).or(page.getByRole('button', { name: 'Edit', exact: true }))).toBeEnabled();
  const priya = await (await browser.newContext()).newPage();
  await use(priya, 'priya', '/defect?defect=107');
  await expect(heading(priya)).toHaveText('Defect D-2107');
  await expect(priya.getByText('Edit', { exact: true })).toHaveCount(0);
  await priya.goto('/use/tarnhorn/defect?defect=107&~mode=edit');
  await expect(priya.getByText('You may not change defects.')).toBeVisible();
  await priya.context().close();
  // A closed one: the button is there, greyed, with the reason.
  await page.goto('/use/tarnhorn/defects?~f=state.is.closed');
  await page.goto('/use/tarnhorn/defect?defect=1');
  await expect(heading(page)).toHaveText(/Defect D-/);
  if ((await page.getByText('closed', { exact: true }).count()) > 0) {
    const edit = page.getByRole('button', { name: 'Edit', exact: true });
    await expect(edit).toHaveAttribute('aria-disabled', 'true');
    await edit.hover();
    await expect(page.getByText('Closed defects are read only.').first()).toBeVisible();
  }
});

test('one’s own page: rights, a new password, and the end of all other sessions', async ({ page, browser }) => {
  const elsewhere = await (await browser.newContext()).newPage();
  await use(elsewhere, 'ilse');
  await use(page, 'ilse');
  await page.getByRole('link', { name: 'Ilse Frey', exact: true }).click();
  await expect(heading(page)).toHaveText('Ilse Frey');
  await expect(page.getByText('You are Technician, Operator and start at Workshop board.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Staff:' })).toContainText('you may view all.');
  await expect(page.getByText(/In \d+ browsers, including this one\./)).toBeVisible();
  const change = async (old: string, next: string) => {
    await page.getByLabel('The one you have now').fill(old);
    await page.getByLabel('The new one: 8 characters or more').fill(next);
    await page.getByLabel('The new one again').fill(next);
    await page.getByRole('button', { name: 'Change it' }).click();
  };
  await page.getByLabel('The new one: 8 characters or more').fill('ropeway-wind');
  await page.getByLabel('The new one again').fill('ropeway-rain');
  await expect(page.getByText('The two are not the same.')).toBeVisible();
  await change('wrong', 'ropeway-wind');
  await expect(page.getByText('Name or password is wrong.')).toBeVisible();
  await change('ilse', 'ropeway-wind');
  await expect(page.getByText('Changed. All other sessions of yours have ended.')).toBeVisible();
  await expect(async () => {
    await elsewhere.reload();
    await expect(elsewhere.getByLabel('Password')).toBeVisible({ timeout: 1000 });
  }).toPass();
  await elsewhere.context().close();
  await page.reload();
  await expect(page.getByText('failed').first()).toBeVisible();
  await page.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  await page.getByLabel('Name').fill('ilse');
  await page.getByLabel('Password').fill('ropeway-wind');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(heading(page)).toHaveText('Workshop board');
});

test('a table says in which orders it is read, and which index would serve one', async ({ page }) => {
  await signIn(page, 'arno');
  await page.goto('/build/tarnhorn/data/t_stops');
  await expect(page.getByText(/About 14\d records: any order is quick\./)).toBeVisible(); // other tests add stops
  await expect(page.getByText('began, newest first')).toBeVisible();
  await page.getByRole('button', { name: 'show the index to add' }).first().click();
  await expect(page.getByText('create index on "tarnhorn"."stops" ("began_at" desc, "id")')).toBeVisible();
  await page.goto('/build/tarnhorn/data/t_inspections');
  await expect(page.getByText(/inspections_cabin_id/)).toBeVisible();
});

test('the right to build is given, gives no roles, and the log tells who gave it', async ({ page, browser }) => {
  await build(page, 's_cabins', 'Mira Holt, technician');
  const people = async (of: Page) => {
    await of.getByRole('navigation', { name: 'Parts of the builder' }).getByRole('button', { name: 'Data' }).click();
    await of.getByRole('button', { name: 'Roles and people' }).click();
  };
  await people(page);
  await page.getByRole('button', { name: 'Sela Brandt, Builds it: has it not' }).click();
  await expect(page.getByRole('button', { name: 'Sela Brandt, Builds it: has it', exact: true })).toBeVisible();

  const sela = await (await browser.newContext()).newPage();
  await signIn(sela, 'sela');
  await sela.goto('/');
  await sela.getByRole('button', { name: /Build it/ }).click();
  await people(sela);
  await expect(sela.getByRole('navigation', { name: 'Data' }).getByRole('button', { name: 'Log' })).toHaveCount(0);
  await sela.getByRole('button', { name: 'Sela Brandt, Technician: has it not' }).click();
  await expect(sela.getByRole('alert')).toContainText('Only who administers this application may do that.');
  await sela.context().close();

  await page.getByRole('button', { name: 'Log', exact: true }).click();
  const log = page.getByRole('table', { name: 'Log' });
  await expect(log.getByRole('row', { name: /Arno Vey gave Sela Brandt the right to build 127\.0\.0\.1/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Roles and people' }).click();
  await page.getByRole('button', { name: 'Sela Brandt, Builds it: has it', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sela Brandt, Builds it: has it not' })).toBeVisible();
});
