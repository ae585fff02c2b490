import { type Bindings, type Picks, pickedFeeds } from "../../../feeds/binding.ts";
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
  const bindings = Object.fromEntries(
    Object.entries(doc.bindings).filter(([name]) => fieldSet.fields.some((field) => field.name === name)),
  );
  if (first && !first.optional && values[first.name] === "" && !bindings[first.name])
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
      title: pageTitle(fieldSet, doc, bindings),
      values,
      ...(Object.keys(bindings).length > 0 && { live: { bindings, picks: picksFor(bindings, doc.picks) } }),
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

/** Of feeds that it takes no picked row from any more nothing is kept. */
const picksFor = (bindings: Bindings, picks: Picks): Picks =>
  Object.fromEntries(pickedFeeds(bindings).flatMap((id) => (picks[id] ? [[id, picks[id]]] : [])));

/** What the script calls a page: its first words, typed ones before those that only stand there until a feed gives others. */
function pageTitle(
  { fields, titledBy, name: ofAll }: FieldSet,
  { values }: PageDoc,
  bindings: Bindings,
): string {
  const named = fields.filter(({ name }) => name === titledBy);
  const inTurn = [...named, ...fields.filter(({ name }) => name !== titledBy)];
  for (const { name, kind } of [
    ...inTurn.filter((field) => !bindings[field.name]),
    ...inTurn.filter((field) => bindings[field.name]),
  ]) {
    const words = name === titledBy ? values[name] : fieldKind(kind).words(values[name] ?? "");
    const line = linesOf(words ?? "")[0];
    if (line) return line.slice(0, 200);
  }
  return ofAll;
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
