import { defineConfig } from '@playwright/test';

// One window of the browser for all tests of a worker, emptied before each: with a new one each time, every test loads and
// compiles the program anew, which takes a quarter of all computing.
process.env.PW_TEST_REUSE_CONTEXT = '1';

// What the browser is not to do by itself. The last such list counts: what Playwright leaves off, and the pages behind the
// line for addresses, which each window loads for nobody.
const off = [
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
];

/** On the built program with the demo data: see program.ts. */
export default defineConfig({
  testDir: '.',
  outputDir: 'results',
  // Each has a program of its own; while two wait, for a stay, a rest or a call, the others go on.
  workers: 4,
  // Waiting is what a loaded machine needs; what does not come at all still fails.
  timeout: 180_000,
  retries: process.env.CI ? 1 : 0,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    // Nothing moves or fades in, so that nothing has to be waited for.
    contextOptions: { reducedMotion: 'reduce' },
    // Recording takes a quarter of the time: only what failed once is recorded.
    trace: 'on-first-retry',
    screenshot: 'only-on-failure',
    actionTimeout: 20_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        // Pages live for seconds: compiling for speed costs more than it gives, as does smoothing letters for three colours.
        '--js-flags=--no-maglev --no-opt',
        '--disable-lcd-text',
        `--disable-features=${off.join(',')}`,
        '--disable-gpu',
        '--in-process-gpu',
        '--disable-software-rasterizer',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
