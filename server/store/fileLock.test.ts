import { spawn } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, expect, test } from "vitest";
import { lockShowFile, tellOwner } from "./fileLock.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-lock-"));
afterAll(() => rmSync(folder, { recursive: true }));

/** Takes the lock in a process of its own, and says so. */
const HOLDER = (file: string) => `
const SQLite = require("better-sqlite3");
const sqlite = new SQLite(${JSON.stringify(`${file}.lock`)}, { timeout: 0 });
sqlite.pragma("journal_mode = memory");
sqlite.exec("begin exclusive");
console.log("held");
setInterval(() => {}, 1000);`;

test("one process has a show database; another is told who, and may have it when that one ended, however it did", async () => {
  const file = join(folder, "show.db");
  const holder = spawn(process.execPath, ["-e", HOLDER(file)], { stdio: ["ignore", "pipe", "inherit"] });
  await new Promise((resolve) => holder.stdout.once("data", resolve));
  expect(lockShowFile(file, "http://here", 0)).toEqual({ owner: undefined });
  const ended = new Promise((resolve) => holder.once("exit", resolve));
  holder.kill("SIGKILL");
  await ended;
  const taken = lockShowFile(file, "http://127.0.0.1:4400", 1_000);
  if (!("lock" in taken)) throw new Error("the lock outlived its process");
  expect(taken.lock.wasLeftOpen).toBe(false);
  const second = lockShowFile(file, "http://elsewhere", 2_000);
  expect(second).toMatchObject({ owner: { address: "http://127.0.0.1:4400", processId: process.pid } });
  if ("owner" in second) expect(tellOwner(file, second.owner)).toMatch(/4400.*goes on as it was.*--db/);
  taken.lock.release();
  const third = lockShowFile(file, "http://elsewhere", 3_000);
  expect("lock" in third).toBe(true);
  if (!("lock" in third)) throw new Error("a lock that was released is held");
  expect(third.lock.wasLeftOpen).toBe(false);
  // Ended without closing it, it leaves word that it had it here.
  third.lock.release();
  writeFileSync(`${file}.owner.json`, "{}");
  const fourth = lockShowFile(file, "http://here", 4_000);
  expect("lock" in fourth && fourth.lock.wasLeftOpen).toBe(true);
  if ("lock" in fourth) fourth.lock.release();
});
