import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { basename, join } from "node:path";
import SQLite from "better-sqlite3";
import { type Backup, backupsToDrop } from "./backupPlan.ts";
import { syncFolder } from "./syncFolder.ts";

/** All copies of a database together take no more than this. */
const MOST_BYTES = 2 * 1024 * 1024 * 1024;
const NAME = /^(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d-\d{3}Z)(-before-[\w]+)?\.vesko\.db$/;

export const backupFolder = (file: string): string => `${file}.backups`;

/** The copies of a database, the newest first. */
export const listBackups = (file: string): Backup[] => listIn(backupFolder(file));

function listIn(folder: string): Backup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const [, at, before] = NAME.exec(name) ?? [];
      if (at === undefined) return [];
      const iso = at.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, "T$1:$2:$3.$4Z");
      return [
        {
          name,
          atMs: Date.parse(iso),
          bytes: statSync(join(folder, name)).size,
          isBeforeMigration: before !== undefined,
        },
      ];
    })
    .sort((a, b) => b.atMs - a.atMs);
}

/**
 * Copies a database while it is in use, by SQLite's own online copy, and looks the copy through. It has its name only when it is
 * whole and good.
 * @param before the migration it is made before
 * @returns where it lies
 * @throws when the database is damaged, or there is no room
 */
export async function backUp(file: string, atMs: number, before?: string): Promise<string> {
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const name of readdirSync(folder)) if (name.endsWith(".part")) rmSync(join(folder, name));
  const stamp = new Date(atMs).toISOString().replace(/[:.]/g, "-");
  const target = join(folder, `${stamp}${before === undefined ? "" : `-before-${before}`}.vesko.db`);
  const part = `${target}.part`;
  await copyPages(file, part);
  try {
    const copy = new SQLite(part);
    try {
      const [fault] = findFaults(copy);
      if (fault !== undefined) throw new Error(`The copy is not good: ${fault}`);
      // A file of its own that nobody has open.
      copy.pragma("journal_mode = delete");
      copy.pragma("user_version = 0");
    } finally {
      copy.close();
    }
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  renameSync(part, target);
  syncFolder(folder);
  for (const name of backupsToDrop(listBackups(file), atMs, MOST_BYTES))
    rmSync(join(folder, name), { force: true });
  return target;
}

/** Copies all pages in one go: one moment of the show, however it goes on meanwhile. */
export async function copyPages(file: string, to: string): Promise<void> {
  const source = new SQLite(file, { fileMustExist: true, timeout: 2_000 });
  try {
    await source.backup(to, { progress: () => 0x7fff_ffff });
  } finally {
    source.close();
  }
}

/** Puts a copy into another folder as well, such as one on another disk, where as many stay as beside the show. */
export function copyTo(copy: string, folder: string, atMs: number): void {
  const target = join(folder, basename(copy));
  copyFileSync(copy, `${target}.part`);
  syncFolder(`${target}.part`);
  renameSync(`${target}.part`, target);
  syncFolder(folder);
  for (const name of backupsToDrop(listIn(folder), atMs, MOST_BYTES))
    rmSync(join(folder, name), { force: true });
}

/** What is wrong with a database, as SQLite says it; nothing when all is well. */
export function findFaults(sqlite: SQLite.Database): string[] {
  const rows = sqlite.pragma("quick_check(5)") as { quick_check: string }[];
  return rows.map(({ quick_check }) => quick_check).filter((said) => said !== "ok");
}

/** The newest copy that is good. */
export function newestGoodBackup(file: string): Backup | undefined {
  return listBackups(file).find(({ name }) => {
    try {
      const sqlite = new SQLite(join(backupFolder(file), name), { readonly: true });
      try {
        return findFaults(sqlite).length === 0;
      } finally {
        sqlite.close();
      }
    } catch {
      return false;
    }
  });
}

/** Names of a database and what lies beside it. */
export const partsOf = (file: string): string[] => [file, `${file}-wal`, `${file}-shm`, `${file}-journal`];

/** Puts a database out of the way, whole. @returns what it is called now */
export function setAside(file: string, why: string, atMs: number): string {
  const aside = `${file}.${why}-${new Date(atMs).toISOString().replace(/[:.]/g, "-")}`;
  const parts = partsOf(file);
  partsOf(aside).forEach((name, i) => {
    const part = parts[i] as string;
    if (existsSync(part)) renameSync(part, name);
  });
  syncFolder(join(file, ".."));
  return basename(aside);
}
