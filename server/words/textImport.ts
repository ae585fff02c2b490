import { Worker } from "node:worker_threads";
import { languageCode, t } from "../../core/language/t.ts";
import type { ImportState } from "../../core/words/importState.ts";
import type { ScriptureInfo } from "../../core/words/scripture.ts";
import type { Incoming, IncomingFile } from "../files/incoming.ts";
import { FileProblem, type ParsedVerse } from "../files/scriptureFile.ts";
import type { TextMessage } from "../files/textWorker.ts";
import { log } from "../log/log.ts";
import type { ScriptureStore } from "../store/scriptureStore.ts";
import { afterRunning } from "../time/afterRunning.ts";

export type TextHead = Omit<Extract<TextMessage, { kind: "head" }>, "kind">;

/** A file that is being read: its head, then its verses piece by piece. */
export interface TextReading {
  readonly head: TextHead;
  readonly batches: AsyncIterable<readonly ParsedVerse[]> | Iterable<readonly ParsedVerse[]>;
}

/** Reads a file, by where it lies, until it is called off. @throws FileProblem */
export type ReadText = (path: string, signal: AbortSignal) => Promise<TextReading>;

/** A piece of a text that takes longer than this to read is never going to come. */
const DEADLINE_MS = 120_000;
const CALLED_OFF = t`That was called off. Nothing was brought in; the texts you have are as they were.`;

/** Reads in a thread of its own, so that nothing else waits. */
export function readInWorker(workerFile: URL): ReadText {
  return async (path, signal) => {
    const worker = new Worker(workerFile, { resourceLimits: { maxOldGenerationSizeMb: 768 } });
    const inbox: TextMessage[] = [];
    let wake: (() => void) | undefined;
    let failed: Error | undefined;
    const giveUp = (sentence: string) => {
      failed = new FileProblem(sentence);
      void worker.terminate();
      wake?.();
    };
    signal.addEventListener("abort", () => giveUp(CALLED_OFF), { once: true });
    worker.on("message", (message: TextMessage) => {
      inbox.push(message);
      wake?.();
    });
    worker.on("error", (error) => {
      failed = error instanceof Error ? error : new Error(String(error));
      wake?.();
    });
    worker.on("exit", () => {
      failed ??= new Error("The reader ended before the file did");
      wake?.();
    });
    const next = async (): Promise<TextMessage> => {
      const stopWaiting = afterRunning(DEADLINE_MS, () =>
        giveUp(t`Reading the file took too long and was given up. Nothing was brought in.`),
      );
      try {
        return await nextMessage();
      } finally {
        stopWaiting();
      }
    };
    const nextMessage = async (): Promise<TextMessage> => {
      for (;;) {
        const message = inbox.shift();
        if (message?.kind === "problem") throw new FileProblem(message.sentence);
        if (message) return message;
        if (failed instanceof FileProblem) throw failed;
        if (failed) {
          log.error("The reader of texts failed", failed);
          const isTooLarge = (failed as NodeJS.ErrnoException).code === "ERR_WORKER_OUT_OF_MEMORY";
          throw new FileProblem(
            isTooLarge
              ? t`Reading the file needs more memory than may be used for it. Nothing was brought in; bring it in parts.`
              : t`The file could not be read, for a fault of ours that is in the server’s log. Nothing was brought in; the texts you have are as they were.`,
          );
        }
        await new Promise<void>((resolve) => {
          wake = resolve;
        });
      }
    };
    worker.postMessage(path);
    const head = await next();
    if (head.kind !== "head") throw new Error(`The reader began with ${head.kind}`);
    const batches = async function* () {
      try {
        for (;;) {
          worker.postMessage("more");
          const message = await next();
          if (message.kind !== "verses") return;
          yield message.verses;
        }
      } finally {
        void worker.terminate();
      }
    };
    return { head, batches: batches() };
  };
}

export interface WantedText {
  /** As the file is called. */
  readonly fileName: string;
  readonly file: IncomingFile;
  /** In place of what the file says; empty leaves it. */
  readonly name: string;
  readonly rights: string;
  readonly language: string;
}

const MOST_TEXTS = 40;

/** Brings texts in, one at a time, beside everything else. */
export class TextImport {
  readonly #store: ScriptureStore;
  readonly #readText: ReadText;
  readonly #incoming: Incoming;
  #state: ImportState = { kind: "idle" };
  #abort = new AbortController();

  constructor(store: ScriptureStore, incoming: Incoming, readText: ReadText) {
    this.#store = store;
    this.#incoming = incoming;
    this.#readText = readText;
  }

  /** Calls off what is being brought in: nothing of it remains. */
  callOff(): void {
    this.#abort.abort();
  }

  get state(): ImportState {
    return this.#state;
  }

  /** Begins; `state` tells how far it is. @returns a sentence when it cannot begin */
  start(wanted: WantedText, onDone: () => void): string | undefined {
    if (this.#state.kind === "importing")
      return t`“${this.#state.name}” is being brought in. Wait until it is there, then bring the next.`;
    if (this.#store.list().length >= MOST_TEXTS)
      return t`There are ${MOST_TEXTS} texts, which is the most. Nothing was brought in; take one out first.`;
    this.#state = { kind: "importing", name: wanted.name || wanted.fileName, verses: 0, of: 0 };
    void this.bringIn(wanted).then(
      (sentence) => {
        this.#state = { kind: "done", name: wanted.name || wanted.fileName, sentence };
        onDone();
      },
      (error: unknown) => {
        if (!(error instanceof FileProblem)) log.error("A text could not be brought in", error);
        this.#state = {
          kind: "failed",
          name: wanted.name || wanted.fileName,
          sentence:
            error instanceof FileProblem
              ? error.message
              : t`The text could not be brought in, and nothing of it was kept. The texts you have are as they were; try again.`,
        };
      },
    );
    return undefined;
  }

  /** The whole import. @returns what was brought in, in a sentence */
  async bringIn(wanted: WantedText): Promise<string> {
    this.#abort = new AbortController();
    try {
      return await this.#bringIn(wanted, this.#abort.signal);
    } finally {
      await this.#incoming.discard(wanted.file);
    }
  }

  async #bringIn(wanted: WantedText, signal: AbortSignal): Promise<string> {
    const { head, batches } = await this.#readText(wanted.file.path, signal);
    const name = wanted.name || head.title || wanted.fileName.replace(/\.[^.]+$/, "");
    const info: ScriptureInfo = {
      code: this.#freeCode(name),
      name: name.slice(0, 200),
      language: (wanted.language || head.language).slice(0, 35),
      rights: (wanted.rights || head.rights).slice(0, 2_000),
    };
    const tell = (verses: number) => {
      if (signal.aborted) throw new FileProblem(CALLED_OFF);
      this.#state = { kind: "importing", name, verses, of: head.verseCount };
    };
    tell(0);
    await this.#store.add(info, batches, tell);
    return t`${name}: ${head.verseCount.toLocaleString(languageCode())} verses.${head.note === "" ? "" : ` ${head.note}`}`;
  }

  #freeCode(name: string): string {
    const base =
      name
        .normalize("NFD")
        .replace(/[^A-Za-z0-9]+/g, "-")
        .replace(/^-+|-+$/g, "")
        .toLowerCase()
        .slice(0, 30) || "text";
    const taken = new Set(this.#store.list().map(({ code }) => code));
    for (let n = 1; ; n++) {
      const code = n === 1 ? base : `${base}-${n}`;
      if (!taken.has(code)) return code;
    }
  }
}
