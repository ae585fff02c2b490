import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import { CommandProblem } from "./command.ts";

/** The database that is meant: the one that is named, else the one that “start” uses. @throws CommandProblem where there is none */
export function databaseNamed(named: string | undefined, home: string): string {
  const file = resolve(named ?? join(home, "data", "show.vesko.db"));
  if (!existsSync(file))
    throw new CommandProblem(`There is no show database ${file}. Nothing was done; name another with --db.`);
  return file;
}
