import { t } from "../../../language/t.ts";
import type { CueKind } from "../cueKind.ts";
import { compileAction } from "./compile.ts";
import type { ActionDoc } from "./doc.ts";

export const actionKind: CueKind<ActionDoc> = {
  nameOf: () => "action",
  plural: t`Actions`,
  typedTitle: ({ title }) => title || undefined,
  emptyTitle: () => "Action",
  isTaken: true,
  bringsPage: false,
  fieldSetOf: () => null,
  canRepeat: false,
  hasWordsOfTheDay: false,
  madeOf: [],
  compile: compileAction,
  emptied: (doc) => doc,
  visitTexts: (doc, _fieldSets, visit) => ({ ...doc, title: visit(doc.title, "Title") }),
  asides: () => [],
};
