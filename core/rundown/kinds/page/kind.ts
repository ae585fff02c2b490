import { t } from "../../../language/t.ts";
import { fieldKind } from "../../../scene/fieldKinds.ts";
import type { CueKind, FieldSets } from "../cueKind.ts";
import { compilePage } from "./compile.ts";
import type { PageDoc } from "./doc.ts";

const fieldsOf = ({ fieldSet }: PageDoc, fieldSets: FieldSets) => fieldSets.get(fieldSet)?.fields ?? [];
const nameOf = ({ fieldSet }: PageDoc, fieldSets: FieldSets) =>
  (fieldSets.get(fieldSet)?.name ?? "page").toLowerCase();

export const pageKind: CueKind<PageDoc> = {
  nameOf,
  plural: t`Pages`,
  typedTitle: ({ values }) => Object.values(values).find((value) => value.trim() !== ""),
  emptyTitle: (doc, fieldSets) => t`Empty ${nameOf(doc, fieldSets)}`,
  isTaken: true,
  bringsPage: true,
  fieldSetOf: ({ fieldSet }) => fieldSet,
  canRepeat: true,
  hasWordsOfTheDay: true,
  madeOf: ["media"],
  compile: compilePage,
  emptied: (doc, fieldSets) => {
    const stay = fieldsOf(doc, fieldSets).filter(({ kind }) => !fieldKind(kind).isOfTheDay);
    const values = Object.fromEntries(
      stay.flatMap(({ name }) => (doc.values[name] ? [[name, doc.values[name]]] : [])),
    );
    // The next day starts without a pick.
    return { ...doc, values, picks: {} };
  },
  visitTexts: (doc, fieldSets, visit) => {
    const values = { ...doc.values };
    for (const { name, label, kind } of fieldsOf(doc, fieldSets)) {
      const value = values[name];
      if (value !== undefined && fieldKind(kind).canBeReplaced) values[name] = visit(value, label);
    }
    return { ...doc, values };
  },
  asides: ({ values }) => Object.values(values).slice(1),
};
