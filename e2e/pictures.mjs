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
  await shot('use-defects', 'mira', '/use/tarnhorn/defects?assigned=1&~filter.state=isNot:closed&~sort=-severity');
  await shot('use-defect', 'mira', '/use/tarnhorn/defect?defect=107&~mode=edit', async (p) => {
    await p.getByLabel('Hours (h)').fill('many');
    await p.getByRole('button', { name: 'Save' }).click();
  });
  await shot('use-season', 'sela', '/use/tarnhorn/season', async (p) => {
    await p.getByRole('button', { name: /^Upper Tarn,/ }).click();
    await p.waitForTimeout(500);
    await p.getByRole('button', { name: /–.*: [\d,]+ riders/ }).nth(-5).click();
  });
  await shot('build-screen', 'arno', '/build/tarnhorn/screen/s_cabin', async (p) => {
    await walkAs(p, 'Mira Holt, technician');
    await onRecord(p, '087');
    await p.locator('[data-element=e_report] button').click();
  });
  await shot('build-rights-tables', 'arno', '/build/tarnhorn/data/tables', (p) => p.getByRole('button', { name: /^Technician, Defects/ }).click());
  await shot('new-application', 'nora', '/new?over=tarnhorn', async (p) => {
    for (const t of ['cabins', 'lifts', 'inspections', 'defects', 'components']) await p.getByRole('checkbox', { name: `Take in tarnhorn.${t}`, exact: true }).check();
    await p.getByLabel('What the application is called').fill('Cabins');
    await p.getByRole('button', { name: /^Lifts/ }).first().click();
    await p.waitForTimeout(900);
  });
  await shot('people', 'nora', '/people');
  await shot('use-steps', 'mira', '/use/tarnhorn/report-defect?~mode=add', async (p) => {
    await p.getByLabel('Lift').fill('Lower');
    await p.getByRole('option', { name: 'Lower Tarn' }).click();
    await p.getByRole('button', { name: 'Next step' }).click();
    await p.getByLabel('Severity').selectOption('high');
    await p.getByRole('button', { name: 'Next step' }).click();
    await p.getByText('Fill in “Component”.').waitFor();
  });
  await shot('build-map', 'arno', '/build/tarnhorn/map', async (p) => {
    await p.getByLabel('For whom').selectOption('for Technician');
    await p.getByLabel('Find a screen').fill('workshop board');
    await p.keyboard.press('Enter');
    await p.getByLabel('Find a screen').fill('');
  });
  await shot('build-reach', 'arno', '/build/tarnhorn/reach/s_drive~r_oper');
  await shot('build-findings', 'arno', '/build/tarnhorn/findings', async (p) => {
    await p.request.post(`${base}/api/build/tarnhorn/edits`, { data: { patch: [{ op: 'remove', path: '/s_card' }] } });
    await p.getByRole('heading', { name: /^Broken/ }).waitFor();
  });
  await shot('build-walks', 'arno', '/build/tarnhorn/walks', async (p) => {
    const patch = [{ op: 'replace', path: '/s_defect/elements/e_cabin/gate/cases/c_1/move', value: { kind: 'home' } }];
    await p.request.post(`${base}/api/build/tarnhorn/undo`);
    await p.request.post(`${base}/api/build/tarnhorn/edits`, { data: { patch } });
    await p.reload();
    await p.getByRole('button', { name: 'Go all' }).click();
    await p.getByText('1 of 9 differ').waitFor({ timeout: 60_000 });
  });
  await shot('build-releases', 'arno', '/build/tarnhorn/releases', async (p) => {
    const patch = [
      { op: 'replace', path: '/s_cabins/heading', value: 'All cabins' },
      { op: 'add', path: '/s_wboard/elements/e_season', value: { kind: 'button', pos: 50, cell: { row: 9, col: 1, w: 4 }, words: 'Season', gate: { cases: { c_1: { pos: 1, move: { kind: 'screen', target: 's_season' } } } } } },
    ];
    await p.request.post(`${base}/api/build/tarnhorn/edits`, { data: { patch } });
    await p.reload();
    await p.getByText(/things? stops? it/).waitFor({ timeout: 60_000 });
    await p.waitForTimeout(600);
  });
  await shot('build-history', 'arno', '/build/tarnhorn/releases/history', (p) => p.getByRole('article').first().waitFor());
  await shot('build-making', 'arno', '/build/tarnhorn/screen/s_bycomp', async (p) => {
    await p.keyboard.press('Control+b');
    await p.getByRole('button', { name: /Add something in row/ }).last().click();
    await p.getByRole('combobox', { name: 'What goes here' }).fill('stops');
    await p.getByRole('option', { name: 'chart of stops by cause' }).waitFor();
  });
  await shot('build-table', 'arno', '/build/tarnhorn/data/t_defects', async (p) => {
    await p.getByRole('button', { name: 'What Severity is' }).click();
    await p.getByRole('button', { name: 'a dashboard' }).click();
    await p.getByText('A chart of defects by severity.').waitFor();
  });
  await shot('use-drive-room', 'jon', '/use/tarnhorn/drive-room?lift=1', (p) => p.waitForTimeout(20_000));
  await shot('use-display', 'nora', '/displays', async (p) => {
    await p.getByRole('button', { name: 'Valley station, hall' }).click();
    await p.getByRole('button', { name: /^New code/ }).click();
    const code = await p.getByRole('status', { name: 'Code' }).innerText();
    await p.goto(`${base}/display`);
    await p.getByLabel('Code').fill(code);
    await p.getByRole('button', { name: 'Begin' }).click();
    await p.getByRole('link', { name: 'Which lifts run now?' }).click();
    await p.getByText('is open').first().waitFor();
    await p.waitForTimeout(1500);
  });
  await shot('use-called-up', 'jon', '/use/tarnhorn/stop?~mode=add', async (p) => {
    const sela = await page('sela');
    await sela.goto(`${base}/use/tarnhorn/wind-watch?lift=1`);
    await sela.waitForTimeout(2500);
    await sela.getByRole('button', { name: 'A gust, for trying' }).click();
    await p.getByRole('heading', { level: 1, name: /wind watch/ }).waitFor({ timeout: 30_000 });
    await p.waitForTimeout(5000);
    await sela.close();
  });
} finally {
  await browser.close();
  demo.kill('SIGINT');
}
