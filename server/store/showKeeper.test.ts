import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setImmediate as nextTurn } from "node:timers/promises";
import { sql } from "kysely";
import { afterAll, expect, test } from "vitest";
import { workerFile } from "../aside/workerFile.ts";
import { openDatabase } from "./database.ts";
import { ShowKeeper } from "./showKeeper.ts";

const MIB = 1024 * 1024;
const folder = mkdtempSync(join(tmpdir(), "vesko-keeper-"));
afterAll(() => rmSync(folder, { recursive: true }));

test("the log of a show that is written to without a pause stays under 16 MB, and is begun anew", async () => {
  const file = join(folder, "busy.vesko.db");
  const db = await openDatabase(file);
  await sql`create table busy (id integer primary key, words text)`.execute(db);
  const keeper = new ShowKeeper({
    file,
    workerFile: workerFile("store/keeperWorker"),
    now: () => 0,
    isQuiet: () => false,
    changeCount: async () => 0,
  });
  let written = 0;
  let largest = 0;
  let isFolding = false;
  while (written < 60 * MIB) {
    await sql`insert into busy (words) values (${"x".repeat(40_000)})`.execute(db);
    written += 40_000;
    largest = Math.max(largest, statSync(`${file}-wal`).size);
    // Somebody writes in every moment in which the log is folded in.
    if (!isFolding && written % (2 * MIB) < 40_000) {
      isFolding = true;
      void keeper.checkpoint().then(() => {
        isFolding = false;
      });
    }
    await nextTurn();
  }
  expect(largest).toBeLessThan(16 * MIB);
  await keeper.close();
  await db.destroy();
}, 60_000);
