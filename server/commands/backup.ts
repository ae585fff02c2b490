import { copyFileSync, existsSync, statSync } from "node:fs";
import { basename, join, resolve } from "node:path";
import { backUp } from "../store/backupFiles.ts";
import { type Command, CommandProblem } from "./command.ts";
import { databaseNamed } from "./databaseNamed.ts";
import { readOptions } from "./options.ts";

export const backup: Command = {
  does: "copies a show, while it runs or not",
  help: `Usage: node vesko.mjs backup [--db FILE] [--to FOLDER]

Copies a show database into the folder “…backups” beside it, as it is at this moment, and looks the copy through.
A server that runs goes on.

  --db FILE     the show database (data/show.vesko.db)
  --to FOLDER   puts the copy there as well`,
  run: async (args, { home, nowMs }) => {
    const { values } = readOptions(args, { db: { type: "string" }, to: { type: "string" } });
    const file = databaseNamed(values.db, home);
    const folder = values.to === undefined ? undefined : resolve(values.to);
    if (folder !== undefined && !(existsSync(folder) && statSync(folder).isDirectory()))
      throw new CommandProblem(`There is no folder ${folder}. Nothing was copied; make it first.`);
    const copy = await backUp(file, nowMs);
    if (folder !== undefined) copyFileSync(copy, join(folder, basename(copy)));
    const bytes = statSync(copy).size;
    return [
      `Copied ${file}, ${Math.round(bytes / 1024)} KB, looked through and good:`,
      `  ${copy}`,
      ...(folder === undefined ? [] : [`  ${join(folder, basename(copy))}`]),
      "Pictures and clips are not in it: they lie in the folder “…media” beside the show, and in show files.",
    ];
  },
};
