import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { afterAll, expect, test } from "vitest";
import { StartProblem } from "../startProblem.ts";
import { openDatabase } from "./database.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-db-"));
afterAll(() => rmSync(folder, { recursive: true }));

test("a database is durable: written through, with foreign keys", async () => {
  const file = join(folder, "new", "show.db");
  const db = await openDatabase(file);
  await db.destroy();
  const sqlite = new SQLite(file);
  expect(sqlite.pragma("journal_mode", { simple: true })).toBe("wal");
  sqlite.close();
  await (await openDatabase(file)).destroy();
});

test("one from a newer version is left alone, with a sentence", async () => {
  const file = join(folder, "newer.db");
  await (await openDatabase(file)).destroy();
  const sqlite = new SQLite(file);
  sqlite.prepare("insert into kysely_migration (name, timestamp) values ('m0999_later', '2030-01-01')").run();
  sqlite.close();
  await expect(openDatabase(file)).rejects.toThrow(StartProblem);
  await expect(openDatabase(file)).rejects.toThrow(/newer version.*m0999_later.*Nothing was changed/);
});

test("a file that is no database is left alone, with a sentence", async () => {
  const file = join(folder, "letter.txt");
  writeFileSync(file, "Dear harbour master, ".repeat(200));
  await expect(openDatabase(file)).rejects.toThrow(
    /cannot be opened as a show database.*Nothing was changed/,
  );
});
