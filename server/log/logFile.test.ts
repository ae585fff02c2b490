import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, expect, test, vi } from "vitest";
import { log, setUpLog } from "./log.ts";
import { openLogFile } from "./logFile.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-log-"));
afterEach(() => {
  setUpLog("info", undefined);
  vi.restoreAllMocks();
  rmSync(folder, { recursive: true, force: true });
});

test("lines are kept in files that begin anew, never more than five, and no others may read them", async () => {
  const file = join(folder, "show.log");
  const { write, close } = openLogFile(file);
  const line = "x".repeat(1_000);
  for (let i = 0; i < 14_000; i++) {
    write(`${i} ${line}`);
    // As it comes in an evening: one after another, not all at once.
    if (i % 500 === 0) await new Promise((resolve) => setImmediate(resolve));
  }
  await close();
  const names = readdirSync(folder)
    .filter((name) => /^show\.log(\.\d)?$/.test(name))
    .sort();
  expect(names).toEqual(["show.log", "show.log.1", "show.log.2", "show.log.3", "show.log.4"]);
  for (const name of names) {
    expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600);
    expect(statSync(join(folder, name)).size).toBeLessThan(4 * 1024 * 1024);
  }
  expect(readFileSync(file, "utf8").trimEnd().split("\n").at(-1)).toMatch(/^13999 /);
});

test("what is less serious than was asked for is left out", () => {
  vi.spyOn(console, "log").mockImplementation(() => {});
  vi.spyOn(console, "error").mockImplementation(() => {});
  const kept: string[] = [];
  setUpLog("warn", (line) => kept.push(line));
  log.info("A thing of the level below");
  log.warn("A thing of this level");
  log.error("A thing of the level above");
  expect(kept.map((line) => line.slice(25, 30).trim())).toEqual(["WARN", "ERROR"]);
});
