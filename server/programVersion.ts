import { readFileSync } from "node:fs";
import { join } from "node:path";

/** The version of this program, as its package says it. @param home folder of this project */
export function programVersion(home: string): string {
  const { version } = JSON.parse(readFileSync(join(home, "package.json"), "utf8")) as { version: string };
  return version;
}
