import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import { allObjects, findTextOf, templateKey } from "../scene/template.ts";
import type { CompileContext, OfferedTemplate } from "./compileContext.ts";
import type { PageContent } from "./content.ts";

/** New text of a crawl joins what still passes: as long as that may take, the air remembers it. */
const CRAWL_LASTS_MS = 900_000;

export interface Choice {
  /** The template the page chose, by its key; cues of before say its name. */
  readonly template?: string | null;
  /** Rather a template with words of this field, where an outfit offers one. */
  readonly showing?: string;
}

/** What each outfit wears for a field set: the template that was chosen, else one that shows what is to be shown. */
export function wornBy(
  context: Pick<CompileContext, "wardrobes">,
  fieldSetId: string,
  { template = null, showing }: Choice = {},
): Map<string, OfferedTemplate> {
  const worn = new Map<string, OfferedTemplate>();
  for (const { outfitId, templates } of context.wardrobes) {
    const offered = templates.get(fieldSetId) ?? [];
    const chosen =
      offered.find((one) => templateKey(one.template) === template) ??
      offered.find((one) => one.template.name === template) ??
      (showing === undefined ? undefined : offered.find(({ template }) => findTextOf(template, showing))) ??
      offered[0];
    if (chosen) worn.set(outfitId, chosen);
  }
  return worn;
}

export function wardrobeOf(
  context: CompileContext,
  worn: ReadonlyMap<string, OfferedTemplate>,
): PageContent["wardrobe"] {
  return Object.fromEntries(
    [...worn].map(([outfitId, { hash }]) => [outfitId, { template: hash, style: context.style.hash }]),
  );
}

/** A content that shows nothing yet, dressed for every outfit. */
export function emptyContent(
  context: CompileContext,
  fieldSet: FieldSet,
  worn: ReadonlyMap<string, OfferedTemplate>,
): Omit<PageContent, "cueKind" | "title" | "values"> {
  const crawls = [...worn.values()].some(({ template }) =>
    allObjects(template).some(({ object }) => object.kind === "crawl"),
  );
  return {
    kind: "page",
    fieldSet: fieldSet.id,
    layerId: fieldSet.layerId,
    flow: null,
    pointsField: "",
    points: null,
    media: [],
    wardrobe: wardrobeOf(context, worn),
    endPage: null,
    plan: null,
    stepPlans: [],
    only: null,
    stepsBy: null,
    variants: Object.fromEntries(
      context.wardrobes.flatMap(({ outfitId, variants }) =>
        variants.length > 0 && worn.has(outfitId) ? [[outfitId, variants.filter((id) => worn.has(id))]] : [],
      ),
    ),
    opacity: 1,
    adjust: {},
    whole: null,
    effectMs: null,
    stageNote: "",
    action: null,
    stayMs: null,
    leavesAtZeroOf: "",
    lastsMs: crawls ? CRAWL_LASTS_MS : LONGEST_MOTION_MS,
  };
}

export function getFieldSet(context: CompileContext, id: string): FieldSet {
  const found = context.fieldSets.get(id);
  if (!found) throw new Error(`The field set "${id}" is built in and must exist`);
  return found;
}
