import { spawn } from "node:child_process";
import { copyFile, mkdir, mkdtemp, readdir, readFile, rm, stat } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { t } from "../../core/language/t.ts";
import { SerialQueue } from "../queue/serialQueue.ts";

const GIVES_UP_MS = 3 * 60_000;
const LARGEST_PDF_BYTES = 300 * 1024 * 1024;
/** Of what it said when it failed, so much is told. */
const MOST_SAID = 200;

/** Parts of a command, as they are separated by spaces; a part may stand in double quotes. */
const partsOf = (command: string): string[] =>
  [...command.matchAll(/"([^"]*)"|(\S+)/g)].map(([, quoted, plain]) => quoted ?? plain ?? "");

/** Whether a command says where the presentation lies and where its PDF is to be. */
export const isConverterCommand = (command: string): boolean =>
  command.includes("{in}") && command.includes("{out}") && partsOf(command).length > 2;

/**
 * Makes PDF of presentations with a program of this machine, which whoever started the server named: no shell is in between, it has a
 * folder of its own as its home, and it is ended when it takes too long. What has macros is not given to it.
 */
export class SlideConverter {
  readonly #parts: readonly string[];
  /** Such programs are large: one at a time. */
  readonly #queue = new SerialQueue();

  /** @param command in which {in} stands for the file and {out} for the folder in which its PDF is expected */
  constructor(command: string) {
    this.#parts = partsOf(command);
  }

  /**
   * @param file where the presentation lies
   * @param ending ".pptx"
   */
  convert(
    file: string,
    ending: string,
    signal: AbortSignal,
  ): Promise<{ readonly pdf: Buffer } | { readonly problem: string }> {
    return this.#queue.run(async () => {
      const folder = await mkdtemp(join(tmpdir(), "vesko-slides-"));
      try {
        const given = join(folder, `slides${ending}`);
        const out = join(folder, "out");
        await mkdir(out);
        await copyFile(file, given);
        const failed = await this.#run({ "{in}": given, "{out}": out }, folder, signal);
        const name = (await readdir(out)).find((each) => /\.pdf$/i.test(each));
        if (name === undefined)
          return {
            problem: t`The program that makes PDF of slides made none${failed === "" ? "" : ` (${failed})`}.`,
          };
        const made = join(out, name);
        if ((await stat(made)).size > LARGEST_PDF_BYTES)
          return { problem: t`The PDF of these slides would be larger than 300 MB.` };
        return { pdf: await readFile(made) };
      } finally {
        await rm(folder, { recursive: true, force: true });
      }
    });
  }

  /** @returns why it failed; empty when it did not */
  #run(values: Readonly<Record<string, string>>, home: string, signal: AbortSignal): Promise<string> {
    const [program = "", ...args] = this.#parts.map((part) =>
      part.replace(/\{in\}|\{out\}/g, (name) => values[name] ?? name),
    );
    return new Promise((done) => {
      const child = spawn(program, args, {
        cwd: home,
        // Nothing of ours is any business of it.
        env: { PATH: process.env.PATH ?? "", HOME: home, TMPDIR: home, LANG: process.env.LANG ?? "C.UTF-8" },
        stdio: ["ignore", "ignore", "pipe"],
        detached: true,
      });
      let said = "";
      child.stderr.on("data", (data: Buffer) => {
        said = (said + String(data)).slice(-MOST_SAID);
      });
      const end = () => {
        // It may have started others.
        if (child.pid !== undefined)
          try {
            process.kill(-child.pid, "SIGKILL");
          } catch {
            // It has ended.
          }
      };
      const timer = setTimeout(end, GIVES_UP_MS);
      signal.addEventListener("abort", end, { once: true });
      const settle = (why: string) => {
        clearTimeout(timer);
        signal.removeEventListener("abort", end);
        end();
        done(why);
      };
      child.once("error", (error) => settle(error.message));
      child.once("exit", (code, ended) =>
        settle(code === 0 ? "" : said.trim().split("\n").at(-1) || t`it ended with ${code ?? ended}`),
      );
    });
  }
}
