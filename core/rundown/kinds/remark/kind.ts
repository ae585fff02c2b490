import { t } from "../../../language/t.ts";
import type { CueKind } from "../cueKind.ts";
import type { RemarkDoc } from "./doc.ts";

export const remarkKind: CueKind<RemarkDoc> = {
  nameOf: ({ isHeading }) => (isHeading ? "heading" : "remark"),
  plural: t`Remarks`,
  typedTitle: ({ text }) => text.split("\n")[0] || undefined,
  emptyTitle: ({ isHeading }) => (isHeading ? "Heading" : "Remark"),
  isTaken: false,
  bringsPage: false,
  fieldSetOf: () => null,
  canRepeat: false,
  hasWordsOfTheDay: true,
  madeOf: [],
  compile: () => ({ silent: true }),
  emptied: (doc) => ({ ...doc, text: "" }),
  visitTexts: (doc, _fieldSets, visit) => ({ ...doc, text: visit(doc.text, "Text") }),
  asides: ({ text }) => [text],
};
