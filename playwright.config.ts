import { defineConfig, devices } from '@playwright/test';

/** Debian's Chromium without a desktop around it, kept from looking for the network. */
const launchOptions = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // A page of a test lives for seconds: what its code would gain from the last optimising compiler never pays for it.
    '--js-flags=--no-opt',
  ],
};

export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 240_000,
  expect: { timeout: 40_000 },
  workers: 3,
  fullyParallel: true,
  forbidOnly: true,
  // A test that fails on a busy machine is tried again, twice at most, and named at the end of the run where it then passed.
  retries: 2,
  globalSetup: './tests/e2e/global-setup.ts',
  use: {
    launchOptions,
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    // Each test is a new device, which would take in the whole application: those that go on without a server allow it.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'desk',
      // What a hand at the unit does runs once, on a phone. A long way through a job runs at one size; each page is looked at
      // in both (accessibility.spec.ts), and the bench is worked at in both.
      grepInvert: /@phone/,
      use: {
        ...devices['Desktop Chrome'],
        channel: undefined,
        viewport: { width: 1280, height: 800 },
      },
    },
    {
      name: 'phone',
      // What a screen's size does not touch runs once, at a desk.
      testIgnore: /(desk|server-side|faults|safety|silent-store|wrong-inputs)\.spec/,
      grepInvert: /@desk/,
      use: {
        ...devices['Desktop Chrome'],
        channel: undefined,
        viewport: { width: 390, height: 844 },
        hasTouch: true,
        isMobile: true,
      },
    },
  ],
});
