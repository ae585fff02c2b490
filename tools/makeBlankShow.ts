// Makes a database with nothing in it but the texts that ship and the index of their words: what a new show begins with.
import { mkdirSync, rmSync } from "node:fs";
import { dirname, resolve } from "node:path";
import { sql } from "kysely";
import { blankShow } from "../server/store/blankShow.ts";
import { openDatabase } from "../server/store/database.ts";
import { addShippedTexts } from "../server/store/makeShow.ts";

const home = resolve(import.meta.dirname, "..");
const file = blankShow(home);
mkdirSync(dirname(file), { recursive: true });
for (const name of [file, `${file}-wal`, `${file}-shm`]) rmSync(name, { force: true });
const db = await openDatabase(file);
await addShippedTexts(db, home);
await sql`vacuum`.execute(db);
await sql`pragma journal_mode = delete`.execute(db);
await db.destroy();
