import { createHash } from "node:crypto";
import { existsSync, readFileSync, renameSync, rmSync } from "node:fs";
import { open } from "node:fs/promises";
import { setImmediate as nextTurn } from "node:timers/promises";
import type { PageContent } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { log } from "../log/log.ts";

/** What a cue was made to. */
interface Made {
  readonly cueId: string;
  readonly hash: string;
  readonly content: PageContent;
}

/** … with the words that it was made of. */
export interface MadeContent extends Made {
  readonly doc: CueDoc;
}

/** … with a sum of them. */
export interface KeptContent extends Made {
  readonly docSum: string;
}

/** Cues written at once, between other work. */
const AT_ONCE = 40;

/** The words of a cue, as one short text that no others have. */
export const sumOfDoc = (doc: CueDoc): string =>
  createHash("sha256").update(JSON.stringify(doc)).digest("base64url");

const nameBeside = (file: string): string => `${file}.contents`;

/**
 * What the cues of a show were made to, kept beside it so that the next start need not make all of them. It is no part of the show: it
 * is in no copy and no show file, and whatever is not of this very program, this very show's ingredients and whole is made anew.
 */
export class KeptContents {
  readonly #file: string;
  readonly #program: string;
  #writing: Promise<void> = Promise.resolve();

  /** @param program what tells this build of the program from every other one */
  constructor(databaseFile: string, program: string) {
    this.#file = nameBeside(databaseFile);
    this.#program = program;
  }

  /** @param stamp of everything that contents are made with besides the cue's own words */
  read(stamp: string): KeptContent[] {
    if (!existsSync(this.#file)) return [];
    try {
      const text = readFileSync(this.#file, "utf8");
      const end = text.lastIndexOf("\n") + 1;
      if (sumOf(text.slice(0, end)) !== text.slice(end)) return [];
      const [head, ...lines] = text.slice(0, Math.max(end - 1, 0)).split("\n");
      return head === this.#head(stamp) ? lines.map((line) => JSON.parse(line) as KeptContent) : [];
    } catch (error) {
      log.warn("What cues were made to could not be read beside the show; it is made anew", error);
      return [];
    }
  }

  /** Writes it in the place of what was kept, between other work. */
  write(stamp: string, made: readonly MadeContent[]): Promise<void> {
    this.#writing = this.#writing
      .then(() => this.#write(stamp, made))
      .catch((error: unknown) => {
        rmSync(`${this.#file}.new`, { force: true });
        log.warn(
          "What cues were made to could not be kept for the next start; the show itself is whole",
          error,
        );
      });
    return this.#writing;
  }

  async #write(stamp: string, contents: readonly MadeContent[]): Promise<void> {
    const made = `${this.#file}.new`;
    const sum = createHash("sha256");
    const handle = await open(made, "w", 0o600);
    try {
      const put = async (lines: readonly string[]) => {
        const text = lines.map((line) => `${line}\n`).join("");
        sum.update(text);
        await handle.write(text);
      };
      await put([this.#head(stamp)]);
      for (let at = 0; at < contents.length; at += AT_ONCE) {
        await put(
          contents.slice(at, at + AT_ONCE).map(({ cueId, doc, hash, content }) => {
            const kept: KeptContent = { cueId, docSum: sumOfDoc(doc), hash, content };
            return JSON.stringify(kept);
          }),
        );
        await nextTurn();
      }
      await handle.write(sum.digest("base64url"));
    } finally {
      await handle.close();
    }
    renameSync(made, this.#file);
  }

  #head(stamp: string): string {
    return `${this.#program} ${stamp}`;
  }
}

const sumOf = (text: string): string => createHash("sha256").update(text).digest("base64url");
