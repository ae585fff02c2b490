import { mediaNamedBy } from "../scene/templateMedia.ts";
import { canvasOf } from "../venue/plan.ts";
import { outfitForShape } from "../venue/shape.ts";
import { pinCellPictures } from "./cellPictures.ts";
import type { CompileContext, Compiled } from "./compileContext.ts";
import { MOST_MEDIA, type PageContent } from "./content.ts";
import type { CueDoc } from "./cueDoc.ts";
import { kindOf } from "./kinds.ts";

/** Turns what was typed into what can be taken. Pure, and the same for the same input. */
export function compileCue(doc: CueDoc, context: CompileContext): Compiled {
  if (doc.isOff) return { silent: true };
  const compiled = kindOf(doc).compile(doc, context);
  if (!("content" in compiled)) return compiled;
  const { plan, stepPlans, only, opacity, adjust, whole, effectMs, stageNote } = doc;
  const { values, media } = pinCellPictures(compiled.content, context);
  return {
    content: {
      ...compiled.content,
      values,
      plan,
      stepPlans,
      only,
      opacity,
      adjust,
      whole,
      effectMs,
      stageNote: stageNote.trim(),
      stepsBy: outfitsSeen(doc, compiled.content, context),
      media: mediaOf({ ...compiled.content, media }, context),
    },
  };
}

/** The pictures and clips of its fields, and those that the templates it wears name themselves. */
function mediaOf({ media, wardrobe, endPage }: PageContent, context: CompileContext): string[] {
  const worn = new Set(
    [wardrobe, endPage?.wardrobe ?? {}].flatMap((one) => Object.values(one).map(({ template }) => template)),
  );
  const named = context.wardrobes.flatMap(({ templates }) =>
    [...templates.values()].flatMap((offered) =>
      offered.flatMap(({ hash, template }) => (worn.has(hash) ? mediaNamedBy(template) : [])),
    ),
  );
  return [...new Set([...media, ...named.filter(context.hasMedia)])].slice(0, MOST_MEDIA);
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
