import { cpSync, existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { afterEach, expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { copyPages } from "../store/backupFiles.ts";
import { DatabaseLog } from "./databaseLog.ts";
import { LogCopy } from "./logCopy.ts";

const folders: string[] = [];
afterEach(() => {
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true });
});
function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), "vesko-second-"));
  folders.push(folder);
  return folder;
}

function openSource(file: string): SQLite.Database {
  const sqlite = new SQLite(file);
  sqlite.pragma("journal_mode = WAL");
  sqlite.pragma("wal_autocheckpoint = 0");
  sqlite.exec("create table thing (id integer primary key, words text) strict");
  return sqlite;
}

const contentsOf = (sqlite: SQLite.Database) =>
  sqlite.prepare("select id, words from thing order by id").all();

/** What a machine has that is handed these files after the first one died. */
function openCopy(file: string): unknown {
  const folder = newFolder();
  for (const name of ["", "-wal"])
    if (existsSync(`${file}${name}`)) cpSync(`${file}${name}`, join(folder, `copy${name}`));
  const sqlite = new SQLite(join(folder, "copy"));
  try {
    expect(sqlite.pragma("integrity_check", { simple: true })).toBe("ok");
    return contentsOf(sqlite);
  } finally {
    sqlite.close();
  }
}

test.each(Array.from({ length: 20 }, (_, seed) => seed))(
  "a copy that is told of every transaction is the database after each of them, whenever its log begins anew (seed %i)",
  async (seed) => {
    const random = mulberry(seed);
    const upTo = (count: number) => Math.floor(random() * count);
    const of = <T>(all: readonly T[]): T => all[upTo(all.length)] as T;
    const folder = newFolder();
    const source = openSource(join(folder, "source"));
    const insert = source.prepare("insert or replace into thing values (?, ?)");
    const write = () => {
      const act = upTo(10);
      if (act === 0) source.pragma(`wal_checkpoint(${of(["passive", "truncate", "restart"])})`);
      else if (act === 1) source.exec(`delete from thing where id % 3 = ${upTo(3)}`);
      else
        source.transaction(() => {
          for (let row = 0; row <= upTo(act === 2 ? 4_000 : 20); row++)
            insert.run(upTo(5_000), "lamp ".repeat(upTo(act === 2 ? 60 : 9)));
        })();
    };
    for (let i = 0; i < 8; i++) write();
    const databaseLog = new DatabaseLog(join(folder, "source"));
    const held = databaseLog.read();
    // What is written while the pages are copied is in the log, and may be in the pages already.
    for (let i = 0; i < 3; i++) {
      write();
      held.push(...databaseLog.read());
    }
    await copyPages(join(folder, "source"), join(folder, "copy"));
    const copy = new LogCopy(join(folder, "copy"));
    const tell = (news: ReturnType<DatabaseLog["read"]>) => {
      for (const each of news) {
        if (each.kind === "newLog") copy.beginLog();
        else copy.append(each.bytes);
      }
    };
    tell(held);
    for (let i = 0; i < 25; i++) {
      write();
      tell(databaseLog.read());
      expect(openCopy(join(folder, "copy"))).toEqual(contentsOf(source));
    }
    copy.moveTo(join(folder, "elsewhere"));
    write();
    tell(databaseLog.read());
    expect(openCopy(join(folder, "elsewhere"))).toEqual(contentsOf(source));
    expect(existsSync(join(folder, "copy"))).toBe(false);
    databaseLog.close();
    source.close();
  },
);

test("what was not ended, or was taken back, is not told", () => {
  const folder = newFolder();
  const source = openSource(join(folder, "source"));
  source.exec("insert into thing values (1, 'one')");
  const databaseLog = new DatabaseLog(join(folder, "source"));
  databaseLog.read();
  source.pragma("cache_size = 10");
  source.exec("begin");
  const insert = source.prepare("insert into thing values (?, ?)");
  // More than the cache holds: pages are in the log before the end.
  for (let id = 10; id < 3_000; id++) insert.run(id, "lamp ".repeat(20));
  expect(databaseLog.read()).toEqual([]);
  source.exec("rollback");
  expect(databaseLog.read()).toEqual([]);
  source.exec("insert into thing values (2, 'two')");
  expect(databaseLog.read().map(({ kind }) => kind)).toEqual(["log"]);
  databaseLog.close();
  source.close();
});

test("a log that breaks off in the middle of a transaction is the database before it", async () => {
  const folder = newFolder();
  const source = openSource(join(folder, "source"));
  source.exec("insert into thing values (1, 'one')");
  const databaseLog = new DatabaseLog(join(folder, "source"));
  await copyPages(join(folder, "source"), join(folder, "copy"));
  const copy = new LogCopy(join(folder, "copy"));
  copy.beginLog();
  for (const each of databaseLog.read()) if (each.kind === "log") copy.append(each.bytes);
  const before = contentsOf(source);
  source.exec("insert into thing values (2, 'two')");
  for (const each of databaseLog.read())
    if (each.kind === "log") copy.append(each.bytes.subarray(0, each.bytes.length - 100));
  expect(openCopy(join(folder, "copy"))).toEqual(before);
  databaseLog.close();
  source.close();
});
