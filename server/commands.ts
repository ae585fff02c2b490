import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { backup } from "./commands/backup.ts";
import { checkFile } from "./commands/checkFile.ts";
import { type Command, CommandMisused, CommandProblem } from "./commands/command.ts";
import { restore } from "./commands/restore.ts";
import { service } from "./commands/service.ts";
import { log } from "./log/log.ts";
import { isStorageTrouble } from "./store/storageTrouble.ts";

const COMMANDS: Readonly<Record<string, Command>> = {
  backup,
  restore,
  "check-file": checkFile,
  service,
};

const NOT_DONE = 1;
const MISUSED = 2;

const here = dirname(fileURLToPath(import.meta.url));
const home = here.endsWith(join("build", "server")) ? resolve(here, "../..") : resolve(here, "..");
const [name = "", ...args] = process.argv.slice(2);
process.umask(0o077);
process.exitCode = await carryOut(name, args);

async function carryOut(name: string, args: readonly string[]): Promise<number> {
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!command) {
    console.error(`There is no command “${name}”.`);
    return MISUSED;
  }
  if (args.includes("--help")) {
    console.log(command.help);
    return 0;
  }
  try {
    console.log((await command.run(args, { home, nowMs: Date.now() })).join("\n"));
    return 0;
  } catch (error) {
    if (error instanceof CommandMisused) {
      console.error(`${error.message}. Nothing was done.\n\n${command.help}`);
      return MISUSED;
    }
    if (error instanceof CommandProblem) console.error(error.message);
    else if (isStorageTrouble(error))
      console.error(
        `The disk is full, or may not be read and written (${(error as Error).message}). Nothing was done.`,
      );
    else {
      log.error("A command failed", error);
      console.error("That failed for a fault of ours, which stands above. Nothing was done.");
    }
    return NOT_DONE;
  }
}
