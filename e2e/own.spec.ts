import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import { addsPlant, pumphouse, takesEquipment } from './own/pumphouse';
import { heading, putButton, sentence, stage, putIntoUse } from './people';
import { expect, type Program, test } from './program';

const root = new URL('..', import.meta.url).pathname;
const secret = 'planted-5ecret';

/** A database of somebody's own, in the cluster of the demo: its port. */
function ownDatabase(demo: Program): string {
  const port = readFileSync(`${demo.dir}/data/postmaster.pid`, 'utf8').split('\n')[3] ?? '';
  const env = { ...process.env, PGPASSWORD: readFileSync(`${demo.dir}/password`, 'utf8').trim() };
  const psql = (database: string, ...args: string[]) =>
    execFileSync('psql', ['-q', '-v', 'ON_ERROR_STOP=1', '-h', '127.0.0.1', '-p', port, '-U', 'postgres', '-d', database, ...args], { env });
  psql('postgres', '-c', 'create database works', '-c', `create role works_app login password '${secret}'`);
  psql('works', '-f', `${root}e2e/own/works.sql`, '-c', 'grant usage on schema works to works_app', '-c', 'grant select, insert, update, delete on all tables in schema works to works_app', '-c', 'grant create on database works to works_app');
  return port;
}

/** An issuer beside the program, and the configuration that names it. */
function issuerAt(address: string, dir: string): { issuer: ChildProcess; config: string } {
  const config = `${dir}.yaml`;
  writeFileSync(config, `issuer:\n  url: http://${address}\n  client: ambergate\n  secret: ${secret}\n  name: Works account\n`);
  return { issuer: spawn(`${root}bin/ambergate`, ['issuer', '--address', address, '--secret', secret, '--person', 'cy=Cy Moss'], { stdio: 'ignore' }), config };
}

/** The program as somebody starts it with nothing, and the address that it prints. */
async function started(address: string, dir: string, config: string): Promise<{ serve: ChildProcess; first: string; said: () => string }> {
  const serve = spawn(`${root}bin/ambergate`, ['serve', '--dir', dir, '--address', address, '--config', config], { stdio: 'pipe' });
  let said = '';
  serve.stdout?.on('data', (d) => (said += d));
  serve.stderr?.on('data', (d) => (said += d));
  for (let i = 0; i < 400; i++) {
    const first = said.match(/http:\S+\/first#\S+/)?.[0];
    if (first) return { serve, first, said: () => said };
    if (serve.exitCode !== null) break;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error(`the program did not start: ${said}`);
}

/** Somebody else at another browser, by the link that they were given. */
async function joins(browser: Browser, link: string, password: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(link);
  await page.getByLabel(/^A password/).fill(password);
  await page.getByLabel('The same again').fill(password);
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.waitForURL(/\/use\/pump-works/); // the only one that is open to them
  return page;
}

test('from an empty folder to an application that two people use, by clicking', async ({ page, browser, program }) => {
  test.setTimeout(400_000);
  const port = ownDatabase(program);
  const dir = `${root}.test/own`;
  rmSync(dir, { recursive: true, force: true });
  const at = Number(process.env.E2E_PORT ?? 8097) + 50;
  const { issuer, config } = issuerAt(`127.0.0.1:${at + 1}`, dir);
  const plant = await pumphouse(at + 2, `${root}.test/pumphouse`);
  const { serve, first, said } = await started(`127.0.0.1:${at}`, dir, config);
  const home = first.split('/first')[0] ?? '';
  try {
    await page.goto(first);
    await page.getByLabel('Your name').fill('Ana Ruiz');
    await page.getByLabel('The name you sign in by').fill('Ana');
    await page.getByLabel(/^A password/).fill('three tall ladders');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('No application yet.')).toBeVisible();

    // A connection, tried with a wrong password first; the table for presses is made on a press.
    await page.getByRole('navigation').getByRole('link', { name: 'Connections' }).click();
    await page.getByRole('button', { name: 'Add a database' }).click();
    await page.getByLabel('What it is called here').fill('Works database');
    await page.getByLabel('Port').fill(port);
    await page.getByLabel('Name of the database').fill('works');
    await page.getByLabel('Signs in as').fill('works_app');
    await page.getByLabel('Password').fill('wrong');
    await page.getByLabel('Encrypted').selectOption({ label: 'not at all: on this machine, or in a network of one’s own' });
    await page.getByRole('button', { name: 'Try it' }).click();
    await expect(page.getByRole('alert')).toContainText('refuses the login “works_app” with this password');
    await page.getByLabel('Password').fill(secret);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('status')).toContainText('records can only be read');
    await page.getByRole('button', { name: 'Make the table' }).click();
    await expect(page.getByRole('region', { name: 'Works database' })).toContainText('reached');

    // A plant beside it: each side has to trust the other.
    await addsPlant(page, plant);

    // Tables are taken in; all else is proposed, and one name corrected.
    await page.getByRole('link', { name: 'New application over it' }).click();
    await page.getByRole('checkbox', { name: 'Take in works.pumps' }).check();
    await page.getByRole('checkbox', { name: 'Take in works.repairs', exact: true }).check();
    await page.getByRole('button', { name: 'Take in what these name too: 2' }).click();
    await page.getByRole('checkbox', { name: 'Take in works.repair_parts' }).check();
    await page.getByRole('checkbox', { name: 'Take in works.parts' }).check();
    await page.getByLabel('What the application is called').fill('Pump works');
    await page.getByRole('button', { name: 'Pumps 42 records', exact: false }).click();
    await expect(page.getByRole('row', { name: /state/ })).toContainText('running, standing, in repair');
    await page.getByLabel('Name of built').fill('Built in');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Make 12 screens, 28 ways' }).click();
    await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText('Pump works');

    // The plant's folders become the equipment of the pumps.
    await takesEquipment(page);

    // One button is wired by hand.
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').last().fill('pump form');
    await page.keyboard.press('Enter');
    await expect(stage(page).getByText('Built in')).toBeVisible();
    await putButton(page, /^Add something in row .*, column 1$/, 'All parts');
    await page.getByRole('combobox', { name: 'Where it leads' }).fill('parts');
    await page.getByRole('option', { name: 'Parts list', exact: true }).click();
    await expect(sentence(page)).toContainText('open Parts');
    await putIntoUse(page);
    await expect(page.getByText('release 1, no changes since')).toBeVisible();

    // Two people are invited, who may do different things.
    await page.goto(`${home}/people`);
    await page.getByRole('button', { name: 'Add people' }).click();
    await page.getByRole('button', { name: 'Many, from a list' }).click();
    await page.getByLabel('List of people').fill('name, signs in as, roles\nBo Lund, bo, Editors\nCy Moss, ana, Everyone here');
    await expect(page.getByText('somebody signs in as “ana” already')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add 1' })).toBeDisabled();
    await page.getByLabel('List of people').fill('name, signs in as, roles\nBo Lund, bo, Editors\nCy Moss, cy, Everyone here');
    await page.getByRole('button', { name: 'Add 2' }).click();
    const link = (name: string) => page.getByRole('textbox', { name: `Link for ${name}` }).inputValue();
    const [forBo, forCy] = [await link('Bo Lund'), await link('Cy Moss')];
    await page.getByRole('button', { name: 'Close' }).click();

    // Who edits changes a record, and follows the wired button.
    const bo = await joins(browser, forBo, 'seven green boats');
    await bo.getByRole('link', { name: 'Pumps' }).click();
    await bo.getByText('P-003').click();
    // What the plant says of this pump, on a screen that was proposed.
    await bo.getByRole('link', { name: 'Plant' }).click();
    await expect(bo.getByText('300.0').first()).toBeVisible();
    await bo.goBack();
    await bo.getByRole('link', { name: 'Edit' }).click();
    await bo.getByLabel('Built in').fill('2031');
    await bo.getByRole('button', { name: 'Save' }).click();
    await expect(bo.getByText('2031')).toBeVisible();
    await bo.getByRole('link', { name: 'All parts' }).click();
    await expect(heading(bo)).toHaveText('Parts');
    // Who looks sees it, and can change nothing.
    const cy = await (await browser.newContext()).newPage();
    await cy.goto(home);
    await cy.getByRole('link', { name: 'Sign in by Works account' }).click();
    await cy.getByRole('button', { name: 'Cy Moss' }).click();
    await cy.waitForURL(/\/use\/pump-works/);
    await cy.goto(`${home}/use/pump-works/pumps`);
    await cy.getByText('P-003').click();
    await expect(cy.getByText('2031')).toBeVisible();
    await expect(cy.getByRole('link', { name: 'Edit' })).toBeHidden();
    // Who came by the issuer needs no link any more.
    await cy.goto('about:blank');
    await cy.goto(forCy);
    await expect(cy.getByRole('alert')).toContainText('does not hold any more');
    // Kept out, one is out at once.
    await page.getByRole('button', { name: 'Bo Lund' }).click();
    await page.getByRole('button', { name: 'Keep out' }).click();
    await expect(page.getByRole('button', { name: 'Let in again' })).toBeVisible();
    await bo.goto(`${home}/use/pump-works`);
    await expect(bo.getByRole('button', { name: 'Sign in' })).toBeVisible();
    expect(said()).not.toContain(secret);
    expect(said()).not.toContain('pumping all day');
  } finally {
    issuer.kill('SIGINT');
    plant.run.kill('SIGKILL');
    serve.kill('SIGINT');
    if (serve.exitCode === null) await once(serve, 'exit');
  }
});
