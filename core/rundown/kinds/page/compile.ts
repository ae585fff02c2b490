import { emptyField } from "../../../findings/kinds/emptyField.ts";
import { unknownFields } from "../../../findings/kinds/unknownFields.ts";
import { fieldKind } from "../../../scene/fieldKinds.ts";
import type { FieldSet } from "../../../scene/fieldSet.ts";
import { linesOf } from "../../../text/lines.ts";
import { emptyContent, wornBy } from "../../chooseTemplate.ts";
import type { CompileContext, Compiled } from "../../compileContext.ts";
import type { Hash } from "../../content.ts";
import type { PageDoc } from "./doc.ts";

const PAGE = { kind: "page", id: "" } as const;

export function compilePage(doc: PageDoc, context: CompileContext): Compiled {
  const fieldSet = context.fieldSets.get(doc.fieldSet);
  if (!fieldSet) return { problem: unknownFields(PAGE, { fieldSet: doc.fieldSet }) };
  const values: Record<string, string> = {};
  for (const field of fieldSet.fields)
    values[field.name] = (doc.values[field.name] ?? field.usual ?? "").trim();
  const first = fieldSet.fields[0];
  if (first && !first.optional && values[first.name] === "")
    return { problem: emptyField(PAGE, { label: first.label.toLowerCase() }, first.name) };
  const media: Hash[] = [];
  for (const { name, kind } of fieldSet.fields) {
    const hash = fieldKind(kind).media ? context.findMedia(values[name] ?? "") : undefined;
    if (!hash) continue;
    values[name] = hash;
    media.push(hash);
  }
  return {
    content: {
      ...emptyContent(context, fieldSet, wornBy(context, fieldSet.id, { template: doc.template })),
      cueKind: "page",
      layerId: doc.layerId ?? fieldSet.layerId,
      title: pageTitle(fieldSet, doc),
      values,
      media,
      pointsField: fieldSet.stepsBy ?? "",
      points: fieldSet.stepsBy === null ? null : pointCounts(doc.values[fieldSet.stepsBy] ?? ""),
      stayMs: doc.stayMs,
      leavesAtZeroOf: doc.leavesAtZero
        ? (fieldSet.fields.find(({ kind }) => kind === "time")?.name ?? "")
        : "",
    },
  };
}

/** What the script calls a page: its first words. */
function pageTitle(fieldSet: FieldSet, doc: PageDoc): string {
  const named = linesOf(doc.values[fieldSet.titledBy ?? ""] ?? "")[0];
  if (named) return named.slice(0, 200);
  for (const { name, kind } of fieldSet.fields) {
    const line = linesOf(fieldKind(kind).words(doc.values[name] ?? "") ?? "")[0];
    if (line) return line.slice(0, 200);
  }
  return fieldSet.name;
}

/** How many points stand after each step: one more each time, or the next group where blank lines part groups. */
export function pointCounts(typed: string): number[] {
  const groups = typed
    .trim()
    .split(/(?:\r\n|\r|\n)[^\S\n]*(?:\r\n|\r|\n)\s*/)
    .map((group) => linesOf(group).length)
    .filter((count) => count > 0);
  const steps = groups.length > 1 ? groups : Array.from({ length: groups[0] ?? 0 }, () => 1);
  let sum = 0;
  return steps.map((count) => {
    sum += count;
    return sum;
  });
}
