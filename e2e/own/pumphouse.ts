import { type ChildProcess, spawn } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { createInterface, type Interface } from 'node:readline';
import type { Page } from '@playwright/test';
import { stage } from '../people';
import { expect } from '../program';

const root = new URL('../..', import.meta.url).pathname;

/** A plant of another make, which trusts nobody yet. */
export interface Pumphouse {
  run: ChildProcess;
  port: number;
  said: Interface;
}

export async function pumphouse(port: number, dir: string): Promise<Pumphouse> {
  rmSync(dir, { recursive: true, force: true });
  mkdirSync(dir, { recursive: true });
  const run = spawn('node', [`${root}e2e/plant/pumphouse.mjs`, dir, String(port)], { stdio: ['pipe', 'pipe', 'ignore'] });
  if (!run.stdout) throw new Error('the plant says nothing');
  const said = createInterface({ input: run.stdout });
  await hears(said, 'up');
  return { run, port, said };
}

/** Waits until a line is said. */
function hears(said: Interface, line: string): Promise<void> {
  return new Promise((done) => {
    const heard = (l: string) => {
      if (l !== line) return;
      said.off('line', heard);
      done();
    };
    said.on('line', heard);
  });
}

/** Who runs the plant lets it trust a certificate, as it was saved in the page. */
async function trusts(plant: Pumphouse, pem: string) {
  const trusted = hears(plant.said, 'trusted');
  plant.run.stdin?.write(`${pem.replace(/-----[^-]+-----|\s/g, '')}\n`);
  await trusted;
}

/** The plant is added: each side is let trust the other, and it is kept once it lets the program in. */
export async function addsPlant(page: Page, plant: Pumphouse) {
  await page.getByRole('button', { name: 'Add a plant' }).click();
  await page.getByLabel('What it is called here').fill('Pumphouse');
  await page.getByLabel('Address (OPC UA)').fill(`opc.tcp://127.0.0.1:${plant.port}`);
  await page.getByLabel('Signing in').selectOption({ label: 'by a name and a password' });
  await page.getByLabel('Signs in as').fill('operator');
  await page.getByRole('textbox', { name: 'Password' }).fill('pumping all day');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('alert')).toContainText('nobody said to trust yet');
  await page.getByRole('button', { name: 'It is the same: trust it' }).click();
  await expect(page.getByRole('alert')).toContainText('does not let this program in');
  const href = await page.getByRole('dialog').getByRole('link', { name: 'save it as a file' }).getAttribute('href');
  await trusts(plant, decodeURIComponent(href?.split(',')[1] ?? ''));
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  const added = page.getByRole('region', { name: 'Pumphouse' });
  await expect(added).toContainText('reached');
  await added.getByRole('button', { name: 'Browse Pumphouse' }).click();
  await added.getByRole('searchbox').fill('p-002 press');
  await expect(added).toContainText('200 kPa now; a number, 0 to 400');
}

/** The pumps' folders become their equipment, with an operator screen. */
export async function takesEquipment(page: Page) {
  await page.getByRole('navigation', { name: 'Parts of the builder' }).getByRole('button', { name: 'Data' }).click();
  await page.getByRole('navigation', { name: 'Data' }).getByRole('button', { name: 'Plant', exact: true }).click();
  await page.getByRole('button', { name: 'Take in equipment' }).click();
  await page.getByRole('button', { name: 'The folders in Pumphouse' }).click();
  await expect(page.getByLabel('Field that names the folder').locator('option:checked')).toHaveText('Pumps: Code (3 match)');
  await expect(page.getByText('3 of 3 folders belong to a record')).toBeVisible();
  await page.getByRole('button', { name: 'Take in 3 values of 3' }).click();
  await expect(stage(page).getByRole('heading', { level: 1 })).toHaveText(/^Pump P-/);
}
