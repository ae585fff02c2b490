import type { Placement } from "../core/compose/placements.ts";
import type { Adjustments, Whole } from "../core/scene/adjustment.ts";
import type { HouseStyle } from "../core/scene/houseStyle.ts";
import { type LayOutMemory, layOut } from "../core/scene/layOut.ts";
import type { MediaCatalog } from "../core/scene/media.ts";
import type { SceneObject } from "../core/scene/objectKinds.ts";
import type { Part } from "../core/scene/part.ts";
import type { Template } from "../core/scene/template.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { HARBOUR_LAMP } from "../designs/houseStyles.ts";

export const HD = { widthPx: 1920, heightPx: 1080 };

/** A template of these objects on a 1920 × 1080 canvas. */
export const templateOf = (...objects: SceneObject[]): Template => ({
  kind: "template",
  format: 2,
  id: "under-test",
  name: "under test",
  fieldSet: "name",
  canvas: HD,
  objects,
  shapes: [],
  editing: { guides: [], note: "" },
});

export function lay(
  template: Template,
  values: Record<string, string>,
  shaper: Shaper,
  more: {
    readonly output?: { readonly widthPx: number; readonly heightPx: number };
    readonly style?: HouseStyle;
    readonly memory?: LayOutMemory;
    readonly media?: MediaCatalog;
    readonly whole?: Whole;
    readonly adjust?: Adjustments | undefined;
  } = {},
) {
  return layOut(template, values, more.style ?? HARBOUR_LAMP, more.output ?? HD, {
    shaper,
    fallbackFonts: FALLBACK_FONTS,
    timeZone: "UTC",
    ...(more.memory ? { memory: more.memory } : {}),
    ...(more.media ? { media: more.media } : {}),
    ...(more.whole ? { whole: more.whole } : {}),
    ...(more.adjust ? { adjust: more.adjust } : {}),
  });
}

export function partOf(parts: readonly Part[], objectId: string): Part {
  const found = parts.find((part) => part.objectId === objectId);
  if (!found) throw new Error(`no part ${objectId} among ${parts.map((part) => part.objectId).join(", ")}`);
  return found;
}

export function plateOf(parts: readonly Part[], objectId: string) {
  const { content } = partOf(parts, objectId);
  if (content.kind !== "plate" && content.kind !== "shape")
    throw new Error(`${objectId} is a ${content.kind}`);
  return content.plate;
}

/** Placements with groups opened: every plate, clip and window. */
export function flat(placements: readonly Placement[]): Exclude<Placement, { kind: "group" }>[] {
  return placements.flatMap((placement) =>
    placement.kind === "group" ? flat(placement.children) : [placement],
  );
}
