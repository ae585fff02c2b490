import { workerFile } from "./aside/workerFile.ts";
import { fileOf, readFlags } from "./flags.ts";
import { log } from "./log/log.ts";
import { StartProblem } from "./startProblem.ts";
import { lookThroughAside } from "./store/lookThrough.ts";
import { isStorageTrouble } from "./store/storageTrouble.ts";

/** Ended by a problem that another start would meet again. */
const WONT_START = 2;

// A fault of ours ends no show: it is written down, and the air goes on.
process.on("uncaughtException", (error) => log.error("A fault of ours, and the show goes on", error));
process.on("unhandledRejection", (error) => log.error("A fault of ours, and the show goes on", error));
// Whoever reads what is printed here may go away.
for (const stream of [process.stdout, process.stderr]) stream.on("error", () => {});

async function main(): Promise<void> {
  // What is written here is for this user alone.
  process.umask(0o077);
  const flags = readFlags();
  const file = fileOf(flags);
  // What is there is looked through while the rest of the program is loaded; not where something else comes in its place.
  const isThere = !flags.restore && flags.follow === undefined;
  const looked = isThere ? lookThroughAside(file, workerFile("store/lookThroughWorker")) : undefined;
  const { serve } = await import("./serve.ts");
  await serve(flags, file, looked);
}

main().catch((error: unknown) => {
  if (error instanceof StartProblem) console.error(error.message);
  else if (isStorageTrouble(error))
    console.error(
      `The show could not be opened: the disk is full, or may not be read and written (${(error as Error).message}). Nothing was started. Make room or give this user the rights, and start again.`,
    );
  else {
    log.error("The show could not be opened", error);
    console.error(
      `The show could not be opened, for a fault of ours that stands above (${error instanceof Error ? error.message : String(error)}). Nothing was changed; start again with --restore to go on with the newest copy.`,
    );
  }
  process.exit(WONT_START);
});
