import type { FieldSet } from "../scene/fieldSet.ts";
import { canvasOf } from "../screens/plan.ts";
import { outfitForShape } from "../screens/shape.ts";
import { linesOf } from "../text/lines.ts";
import type { CompileContext, Compiled } from "./compileContext.ts";
import { compileReading } from "./compileReading.ts";
import { compileSong } from "./compileSong.ts";
import type { Hash, PageContent } from "./content.ts";
import type { ActionDoc, CueDoc, PageDoc } from "./cueDoc.ts";
import { emptyContent, wornBy } from "./wear.ts";

/** Turns what was typed into what can be taken. Pure, and the same for the same input. */
export function compileCue(doc: CueDoc, context: CompileContext): Compiled {
  if (doc.isOff) return { silent: true };
  const compiled = compileKind(doc, context);
  if (!("content" in compiled)) return compiled;
  const { plan, stepPlans, only, opacity, adjust, whole, effectMs, stageNote } = doc;
  return {
    content: {
      ...compiled.content,
      plan,
      stepPlans,
      only,
      opacity,
      adjust,
      whole,
      effectMs,
      stageNote: stageNote.trim(),
      stepsBy: outfitsSeen(doc, compiled.content, context),
    },
  };
}

/** The outfits that the cue can be seen in: those that the plans it may run under give to its outputs, shape by shape. */
function outfitsSeen(doc: CueDoc, content: PageContent, context: CompileContext): string[] | null {
  const { plan: needed, stepPlans, only } = doc;
  const ids = needed && [needed.id, ...stepPlans.map(({ planId }) => planId)];
  const offered = new Map(
    context.wardrobes.flatMap(({ templates }) =>
      (templates.get(content.fieldSet) ?? []).map(({ hash, template }) => [hash, template] as const),
    ),
  );
  const seen = new Set<string>();
  for (const plan of context.plans) {
    if (ids && !ids.includes(plan.id)) continue;
    for (const output of context.outputs) {
      const planned = plan.outputs[output.id];
      if (!planned || (only && !only.includes(output.id))) continue;
      const { outfitId } = planned;
      seen.add(
        outfitForShape(
          outfitId,
          content.variants[outfitId] ?? [],
          canvasOf(output),
          (id) => offered.get(content.wardrobe[id]?.template ?? "")?.canvas,
        ),
      );
    }
  }
  return seen.size > 0 ? [...seen].sort() : null;
}

function compileKind(doc: CueDoc, context: CompileContext): Compiled {
  switch (doc.kind) {
    case "page":
      return compilePage(doc, context);
    case "song":
      return compileSong(doc, context);
    case "reading":
      return compileReading(doc, context);
    case "action":
      return compileAction(doc);
    case "remark":
      return { silent: true };
  }
}

function compileAction({ title, clear, shutter }: ActionDoc): Compiled {
  return {
    content: {
      kind: "page",
      cueKind: "action",
      title: title.trim() || actionTitle(clear, shutter),
      fieldSet: "",
      layerId: "",
      values: {},
      flow: null,
      points: null,
      wardrobe: {},
      endPage: null,
      opacity: 1,
      adjust: {},
      whole: null,
      effectMs: null,
      stageNote: "",
      action: { clear, shutter },
      stayMs: null,
      plan: null,
      stepPlans: [],
      only: null,
      stepsBy: null,
      variants: {},
      lastsMs: 0,
      media: [],
    },
  };
}

function actionTitle(clear: readonly string[], shutter: ActionDoc["shutter"]): string {
  if (shutter === "black") return "To black";
  if (shutter === "standBy") return "To the stand-by";
  if (shutter === "back") return "The picture again";
  return clear.length > 0 ? "Layers out" : "Wait";
}

function compilePage(doc: PageDoc, context: CompileContext): Compiled {
  const fieldSet = context.fieldSets.get(doc.fieldSet);
  if (!fieldSet)
    return { problem: `No template offers the fields “${doc.fieldSet}”. Choose another kind of page.` };
  const values: Record<string, string> = {};
  for (const field of fieldSet.fields) values[field.name] = (doc.values[field.name] ?? "").trim();
  const first = fieldSet.fields[0];
  if (first && !first.optional && values[first.name] === "")
    return { problem: `The ${first.label.toLowerCase()} is empty. Fill it in and the page can be taken.` };
  const media: Hash[] = [];
  for (const { name, kind } of fieldSet.fields) {
    const hash = kind === "media" ? context.findMedia(values[name] ?? "") : undefined;
    if (!hash) continue;
    values[name] = hash;
    media.push(hash);
  }
  return {
    content: {
      ...emptyContent(context, fieldSet, wornBy(context, fieldSet.id, { look: doc.look })),
      cueKind: "page",
      layerId: doc.layerId ?? fieldSet.layerId,
      title: pageTitle(fieldSet, doc),
      values,
      media,
      points: fieldSet.stepsBy === null ? null : pointCounts(doc.values[fieldSet.stepsBy] ?? ""),
      stayMs: doc.stayMs,
    },
  };
}

/** What the script calls a page: its first words. */
function pageTitle(fieldSet: FieldSet, doc: PageDoc): string {
  const named = linesOf(doc.values[fieldSet.titledBy ?? ""] ?? "")[0];
  if (named) return named.slice(0, 200);
  for (const { name, kind } of fieldSet.fields) {
    const line = kind === "media" || kind === "color" ? undefined : linesOf(doc.values[name] ?? "")[0];
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
