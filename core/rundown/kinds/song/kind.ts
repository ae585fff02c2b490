import { t } from "../../../language/t.ts";
import { songOf } from "../../../words/songFields.ts";
import type { CueKind } from "../cueKind.ts";
import { compileSong } from "./compile.ts";
import type { SongDoc } from "./doc.ts";

export const songKind: CueKind<SongDoc> = {
  nameOf: () => "song",
  plural: t`Songs`,
  typedTitle: ({ title }) => title || undefined,
  emptyTitle: () => t`Song without words`,
  isTaken: true,
  bringsPage: true,
  fieldSetOf: () => "words",
  canRepeat: false,
  hasWordsOfTheDay: true,
  madeOf: ["sectionNames", "licence"],
  compile: compileSong,
  emptied: (doc) => ({ ...doc, ...songOf("", ""), lines: doc.lines, source: null }),
  visitTexts: (doc, _fieldSets, visit) => ({
    ...doc,
    title: visit(doc.title, "Title"),
    text: visit(doc.text, "Words"),
    second: doc.second && { ...doc.second, text: visit(doc.second.text, t`Second language`) },
  }),
  asides: () => [],
};
