import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { StartProblem } from "./startProblem.ts";

const OPTIONS = {
  db: { type: "string" },
  port: { type: "string", default: "4400" },
  host: { type: "string", default: "127.0.0.1" },
  "tls-cert": { type: "string" },
  "tls-key": { type: "string" },
  "trusted-proxy": { type: "string", multiple: true },
  "backup-folder": { type: "string" },
  "feed-folder": { type: "string" },
  "slide-converter": { type: "string" },
  "feed-host": { type: "string", multiple: true },
  "tally-port": { type: "string" },
  "osc-port": { type: "string" },
  "osc-to": { type: "string", multiple: true },
  device: { type: "string", multiple: true },
  "log-file": { type: "string" },
  "log-level": { type: "string", default: "info" },
  follow: { type: "string" },
  lead: { type: "boolean", default: false },
  restore: { type: "boolean", default: false },
  "as-it-is": { type: "boolean", default: false },
  demo: { type: "boolean", default: false },
  "with-faults": { type: "boolean", default: false },
  dev: { type: "boolean", default: false },
} as const;

/** What was said at the command. */
export type Flags = ReturnType<typeof readFlags>;

/** @throws StartProblem */
export function readFlags() {
  try {
    return parseArgs({ options: OPTIONS }).values;
  } catch (error) {
    throw new StartProblem(
      `${(error as Error).message.split(". To ")[0]}. Nothing was started; the options are --port, --host, --db, --tls-cert, --tls-key, --trusted-proxy, --backup-folder, --slide-converter, --feed-folder, --feed-host, --tally-port, --osc-port, --osc-to, --device, --log-file, --log-level, --follow, --lead, --restore and --as-it-is.`,
    );
  }
}

const here = dirname(fileURLToPath(import.meta.url));
/** Folder of this project. The bundle lies in build/server, the source in server. */
export const home = here.endsWith(join("build", "server")) ? resolve(here, "../..") : resolve(here, "..");

/** The database of the show. */
export const fileOf = (flags: Flags): string =>
  resolve(
    flags.db ??
      join(
        home,
        "data",
        `${flags.follow !== undefined ? "second" : flags.demo ? (flags["with-faults"] ? "faults" : "demo") : "show"}.vesko.db`,
      ),
  );
