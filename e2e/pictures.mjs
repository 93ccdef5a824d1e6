// Makes the pictures of docs/screenshots from fresh demo data: npm run pictures (or make pictures).
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { chromium } from '@playwright/test';

const base = 'http://127.0.0.1:8098';
const dir = new URL('../.test/pictures', import.meta.url).pathname;
const shots = new URL('../docs/screenshots/', import.meta.url).pathname;
const only = process.argv[2];

rmSync(dir, { recursive: true, force: true });
const demo = spawn(new URL('../bin/ambergate', import.meta.url).pathname, ['demo', '--dir', dir, '--address', '127.0.0.1:8098'], { stdio: 'ignore' });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});

async function ready() {
  for (let i = 0; i < 100; i++) {
    try {
      if ((await fetch(`${base}/api/status`)).ok) return;
    } catch {
      // not up yet
    }
    await new Promise((done) => setTimeout(done, 200));
  }
  throw new Error('the demo did not come up');
}

async function page(login) {
  const p = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await p.goto(base);
  await p.getByLabel('Name').fill(login);
  await p.getByLabel('Password').fill(login);
  await p.getByRole('button', { name: 'Sign in' }).click();
  await p.getByLabel('Password').waitFor({ state: 'detached' });
  return p;
}

async function shot(name, login, address, steps = async () => {}) {
  if (only && only !== name) return;
  const p = await page(login);
  await p.goto(base + address);
  await p.waitForTimeout(1200);
  await steps(p);
  await p.mouse.move(2, 798);
  await p.waitForTimeout(700);
  await p.screenshot({ path: `${shots}${name}.png` });
  await p.close();
}

const walkAs = (p, label) => p.getByLabel('Walking as').selectOption({ label });
async function onRecord(p, title) {
  await p.getByRole('banner').getByRole('button', { name: /^(cabin|defect|lift) |which record/ }).click();
  await p.getByRole('combobox', { name: 'Record to walk on' }).fill(title);
  await p.getByRole('option', { name: title }).first().click();
  await p.waitForTimeout(600);
}

try {
  await ready();
  await shot('use-workshop', 'mira', '/use/tarnhorn/workshop');
  await shot('use-defects', 'mira', '/use/tarnhorn/defects?assigned=1&~filter.state=isNot:closed&~sort=-severity');
  await shot('use-defect', 'mira', '/use/tarnhorn/defect?defect=107&~mode=edit', async (p) => {
    await p.getByLabel('Hours (h)').fill('many');
    await p.getByRole('button', { name: 'Save' }).click();
  });
  await shot('use-cabin', 'mira', '/use/tarnhorn/cabin?cabin=87');
  await shot('use-by-component', 'mira', '/use/tarnhorn/defects-by-component');
  await shot('build-screen', 'arno', '/build/tarnhorn/screen/s_cabin', async (p) => {
    await walkAs(p, 'Mira Holt, technician');
    await onRecord(p, '087');
    await p.locator('[data-element=e_report] button').click();
  });
  await shot('build-condition', 'arno', '/build/tarnhorn/screen/s_cabin', async (p) => {
    await walkAs(p, 'Mira Holt, technician');
    await onRecord(p, '087');
    await p.locator('[data-element=e_hold] button').click({ force: true });
    await p.getByRole('tabpanel', { name: 'Way' }).getByRole('button', { name: 'state is in service' }).click();
    await p.waitForTimeout(600);
  });
  await shot('build-finding', 'arno', '/build/tarnhorn/screen/s_cabin', async (p) => {
    await walkAs(p, 'Sela Brandt, shift lead');
    await onRecord(p, '087');
    await p.getByRole('button', { name: 'Add something in row 4, column 8' }).click();
    await p.getByLabel('Words').fill('Its defects');
    await p.getByRole('button', { name: 'Put it here' }).click();
    await p.getByRole('combobox', { name: 'Where it leads' }).fill('d');
    await p.waitForTimeout(600);
  });
  await shot('use-drive-room', 'jon', '/use/tarnhorn/drive-room?lift=1', (p) => p.waitForTimeout(20_000));
} finally {
  await browser.close();
  demo.kill('SIGINT');
}
