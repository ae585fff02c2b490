import { t } from "../../../language/t.ts";
import type { CueKind } from "../cueKind.ts";
import { compileReading } from "./compile.ts";
import type { ReadingDoc } from "./doc.ts";

export const readingKind: CueKind<ReadingDoc> = {
  nameOf: () => "reading",
  plural: t`Readings`,
  typedTitle: ({ reference }) => reference || undefined,
  emptyTitle: () => "Reading",
  isTaken: true,
  bringsPage: true,
  fieldSetOf: () => "reading",
  canRepeat: false,
  hasWordsOfTheDay: true,
  madeOf: ["scripture"],
  compile: compileReading,
  emptied: (doc) => ({ ...doc, reference: "", breaks: [] }),
  // Scripture is not ours to change.
  visitTexts: (doc) => doc,
  asides: () => [],
};
