import { defineConfig } from "vitest/config";

// React Router's plugin stays out: unit tests never load routes.
export default defineConfig({
  test: {
    include: ["{core,painters,server,app,designs,demo,stand-ins,tools}/**/*.test.ts"],
    testTimeout: 60_000,
    hookTimeout: 60_000,
    maxWorkers: 2,
    // Files of one worker share their modules: nothing that is imported keeps anything of a test, and it takes half the time.
    isolate: false,
  },
});
