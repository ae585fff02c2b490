import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: "e2e",
  // Those marked @long are run too with VESKO_LONG=1: all together take longer than a clean run may.
  ...(process.env.VESKO_LONG ? {} : { grepInvert: /@long/ }),
  outputDir: "test-results/browser",
  snapshotPathTemplate: "e2e/read-out/{arg}{ext}",
  // A test waits for what is meant, however slow the machine: two at once on two cores.
  workers: 2,
  fullyParallel: false,
  retries: 0,
  // Nothing is timed here: a machine that stalls for half a minute, or is four times as slow, fails no test.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [["list"]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? "/usr/bin/chromium",
      args: [
        "--headless",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
