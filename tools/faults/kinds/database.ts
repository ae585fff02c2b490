import { closeSync, cpSync, mkdtempSync, openSync, rmSync, statSync, writeSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { RunningShow } from "../../../e2e/support/runningShow.ts";
import type { Evening } from "../evening.ts";
import type { Fault } from "../fault.ts";

const PAGE_BYTES = 4_096;
const NOISY_PAGES = 40;

/** What a start says that is refused; undefined when it serves. */
async function refusal(show: RunningShow): Promise<string | undefined> {
  try {
    await show.start();
    await show.kill();
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

/** A copy of the show, harmed, is not opened, and says why; the show itself goes on. */
async function harmedCopy(
  evening: Evening,
  harm: (file: string) => void,
  says: RegExp,
): Promise<readonly string[]> {
  const folder = mkdtempSync(join(tmpdir(), "vesko-harmed-"));
  try {
    await evening.show.close();
    cpSync(evening.show.databaseFile, join(folder, "show.db"));
    await evening.startAgain();
    harm(join(folder, "show.db"));
    const said = await refusal(new RunningShow(true, { folder, isQuiet: true }));
    if (said === undefined) return ["it was opened as if nothing were"];
    return says.test(said) && !/^\s+at /m.test(said) ? [] : [`it said: ${said.slice(0, 300)}`];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Other servers, and databases that are not what they should be. */
export const DATABASE_FAULTS: readonly Fault[] = [
  {
    name: "a second server on the database",
    weight: 2,
    happen: async (evening) => {
      const folder = join(evening.show.databaseFile, "..");
      const said = await refusal(new RunningShow(true, { folder, isQuiet: true }));
      if (said === undefined) return ["a second server serves"];
      return /is open already, by the Vesko at http/.test(said) ? [] : [`it said: ${said.slice(0, 300)}`];
    },
  },
  {
    name: "a database of a later version",
    weight: 1,
    happen: (evening) =>
      harmedCopy(
        evening,
        (file) => {
          const database = new SQLite(file);
          database.exec("insert into kysely_migration (name, timestamp) values ('m9999_later', '2040')");
          database.close();
        },
        /written by a newer version.*Nothing was changed/s,
      ),
  },
  {
    name: "damaged pages",
    weight: 1,
    happen: (evening) =>
      harmedCopy(
        evening,
        (file) => {
          const pages = Math.floor(statSync(file).size / PAGE_BYTES);
          const handle = openSync(file, "r+");
          for (let i = 0; i < NOISY_PAGES; i++) {
            const noise = Buffer.alloc(PAGE_BYTES, Math.floor(evening.random() * 256));
            writeSync(handle, noise, 0, PAGE_BYTES, Math.floor(evening.random() * pages) * PAGE_BYTES);
          }
          closeSync(handle);
        },
        /is damaged.*Nothing was changed/s,
      ),
  },
];
