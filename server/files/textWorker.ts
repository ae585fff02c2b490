import { readFileSync } from "node:fs";
import { parentPort } from "node:worker_threads";
import { t } from "../../core/language/t.ts";
import { log } from "../log/log.ts";
import { readScriptureFile } from "./readScriptureFile.ts";
import { FileProblem, type ParsedVerse } from "./scriptureFile.ts";

/** Verses in one message: taking one in holds the server's thread for about a millisecond. */
const VERSES_A_MESSAGE = 500;

export type TextMessage =
  | {
      readonly kind: "head";
      readonly title: string;
      readonly language: string;
      readonly rights: string;
      readonly note: string;
      readonly verseCount: number;
    }
  | { readonly kind: "verses"; readonly verses: readonly ParsedVerse[] }
  | { readonly kind: "done" }
  | { readonly kind: "problem"; readonly sentence: string };

const port = parentPort;

/** Reads a text in a thread of its own: a take never waits for it. The next piece goes when the last was asked for. */
port?.once("message", (path: string) => {
  try {
    const { verses, ...head } = readScriptureFile(readFileSync(path));
    port.postMessage({ kind: "head", ...head, verseCount: verses.length } satisfies TextMessage);
    let at = 0;
    port.on("message", () => {
      const piece = verses.slice(at, at + VERSES_A_MESSAGE);
      at += piece.length;
      port.postMessage(
        (piece.length > 0 ? { kind: "verses", verses: piece } : { kind: "done" }) satisfies TextMessage,
      );
      if (piece.length === 0) port.close();
    });
  } catch (error) {
    if (!(error instanceof FileProblem)) log.error("A text could not be read", error);
    port.postMessage({
      kind: "problem",
      sentence:
        error instanceof FileProblem
          ? error.message
          : t`The file could not be read. Nothing was brought in; the texts you have are as they were.`,
    } satisfies TextMessage);
    port.close();
  }
});
