import { StartProblem } from "../startProblem.ts";
import { backupFolder, listBackups } from "../store/backupFiles.ts";
import { lockShowFile, tellOwner } from "../store/fileLock.ts";
import { restoreCopy } from "../store/showFile.ts";
import { type Command, CommandProblem } from "./command.ts";
import { databaseNamed } from "./databaseNamed.ts";
import { readOptions } from "./options.ts";

export const restore: Command = {
  does: "lists the copies of a show, or puts one in its place",
  help: `Usage: node vesko.mjs restore [--db FILE] [--copy NAME]

Without --copy: lists the copies of a show. With it: puts that copy in the place of the show, which is set aside and
not thrown away. The server must be stopped. One evening, song or template alone is brought back in the desk, under
“Show files and copies”.

  --db FILE     the show database (data/show.vesko.db)
  --copy NAME   the copy, by its name or the beginning of it, or “newest”`,
  run: async (args, { home, nowMs }) => {
    const { values } = readOptions(args, { db: { type: "string" }, copy: { type: "string" } });
    const file = databaseNamed(values.db, home);
    const copies = listBackups(file);
    if (copies.length === 0)
      throw new CommandProblem(`There is no copy of ${file} in ${backupFolder(file)}. Nothing was changed.`);
    if (values.copy === undefined)
      return [
        `Copies of ${file}, the newest first:`,
        ...copies.map(({ name, bytes }) => `  ${name}  ${Math.round(bytes / 1024)} KB`),
      ];
    const wanted = values.copy;
    const fits =
      wanted === "newest" ? copies.slice(0, 1) : copies.filter(({ name }) => name.startsWith(wanted));
    const [copy] = fits;
    if (!copy || fits.length > 1)
      throw new CommandProblem(
        `${copy ? `${fits.length} copies begin` : "No copy begins"} with “${wanted}”. Nothing was changed; “restore” without --copy lists them.`,
      );
    const locked = lockShowFile(file, "the terminal", nowMs);
    if ("owner" in locked) throw new CommandProblem(tellOwner(file, locked.owner));
    try {
      const aside = restoreCopy(file, copy.name, nowMs);
      return [
        `The show is as it was in ${copy.name}.`,
        ...(aside === undefined ? [] : [`What was there is kept as ${aside}.`]),
      ];
    } catch (error) {
      if (error instanceof StartProblem) throw new CommandProblem(error.message);
      throw error;
    } finally {
      locked.lock.release();
    }
  },
};
