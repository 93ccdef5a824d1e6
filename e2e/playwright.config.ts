import { defineConfig } from '@playwright/test';

const port = 8097;

/** The built program with fresh demo data; tests share it and run one after the other. */
export default defineConfig({
  testDir: '.',
  outputDir: 'results',
  workers: 1,
  // Waiting is what a loaded machine needs; what does not come at all still fails.
  timeout: 90_000,
  retries: process.env.CI ? 1 : 0,
  expect: { timeout: 15_000 },
  reporter: process.env.CI ? [['list']] : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    actionTimeout: 20_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
  webServer: {
    command: `rm -rf ../.test/e2e && exec ../bin/ambergate demo --dir ../.test/e2e --address 127.0.0.1:${port}`,
    url: `http://127.0.0.1:${port}/api/status`,
    reuseExistingServer: false,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGINT', timeout: 10_000 },
  },
});
