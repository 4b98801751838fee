import { defineConfig } from '@playwright/test';

const PORT = 4739;
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  retries: process.env.CI ? 1 : 0,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: 'list',
  forbidOnly: Boolean(process.env.CI),
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    // Keeping every file for offline use costs each test seconds; the test without a network allows it.
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // A microphone that hums, given without asking: spoken notes are tried with it.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
  webServer: {
    command: `node scripts/server.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}`,
    env: { NEXT_TELEMETRY_DISABLED: '1' },
    timeout: 60_000,
  },
});
