import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { PART_NAMES, PARTS } from "../../core/carry/carriedShow.ts";
import { checkFiles, missingFiles, readParts } from "../carry/readParts.ts";
import { unpackShow } from "../carry/unpackShow.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { type Command, CommandMisused, CommandProblem } from "./command.ts";
import { readOptions } from "./options.ts";

export const checkFile: Command = {
  does: "says what is in a show file, and whether it is whole",
  help: `Usage: node vesko.mjs check-file FILE

Unpacks a show file aside, looks at every file and document in it as opening it would, and says what it holds.
Nothing of any show is changed. Ends with 1 when it could not be opened.`,
  run: async (args) => {
    const { positionals } = readOptions(args, {}, true);
    const [named, ...more] = positionals;
    if (named === undefined || more.length > 0) throw new CommandMisused("Name one show file");
    const file = resolve(named);
    if (!existsSync(file)) throw new CommandProblem(`There is no file ${file}.`);
    const folder = mkdtempSync(join(tmpdir(), "vesko-check-"));
    const files = join(folder, "files");
    try {
      const { about, parts } = await unpackShow(file, files);
      const show = readParts(parts);
      await checkFiles(
        show,
        (sum) => {
          const path = join(files, sum);
          return existsSync(path) ? path : undefined;
        },
        () => {},
      );
      const missing = missingFiles(show, [files]).length;
      return [
        `${about.name}: ${about.holds.kind === "all" ? "all of the show" : `the evening “${about.holds.name}”`}, saved ${new Date(about.madeAtMs).toISOString()} by Vesko ${about.program}`,
        ...PART_NAMES.filter((part) => part !== "house" && show[part].length > 0).map(
          (part) => `  ${show[part].length} ${show[part].length === 1 ? PARTS[part].one : PARTS[part].many}`,
        ),
        missing === 0
          ? "It is whole and can be opened."
          : `It can be opened; ${missing} of its files are missing and will have a stand-in.`,
      ];
    } catch (error) {
      if (error instanceof FileProblem) throw new CommandProblem(error.message);
      throw error;
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
