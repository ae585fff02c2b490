import { z } from "zod";
import { objectSubject } from "../../findings/finding.ts";
import { missingMedia } from "../../findings/kinds/missingMedia.ts";
import { wrongMedia } from "../../findings/kinds/wrongMedia.ts";
import { t } from "../../language/t.ts";
import { placeInBox } from "../../picture/place.ts";
import type { MediaInfo } from "../media.ts";
import { makePart, type ObjectContext, placeBox, plateAround, resolveCorners } from "../objectContext.ts";
import {
  common,
  cornersSchema,
  focusSchema,
  levelProperty,
  type MediaSource,
  mediaSourceSchema,
  named,
  scaleModeProperty,
} from "../properties.ts";
import { adjustedBox, defineKind } from "./objectKind.ts";
import { isMediaBlank, mediaField } from "./ofMedia.ts";

const schema = z.strictObject({
  ...common,
  kind: z.literal("video"),
  source: named(mediaSourceSchema, "Content", "Clip"),
  mode: scaleModeProperty,
  focus: named(focusSchema, "Look", t`Kept in sight`),
  corners: cornersSchema,
  /** What it does at its end. */
  atEnd: named(z.enum(["loop", "hold", "leave"]).default("loop"), "Content", t`At its end`),
  /** 0 is silent. Heard on outputs that play sound. */
  level: levelProperty,
});

export const videoKind = defineKind({
  name: t`clip`,
  schema,
  moves: ["blur", "tint", "width", "height", "corners"],
  bleeds: true,
  fieldOf: mediaField,
  isBlank: isMediaBlank,
  adjust: (object, adjustment) => ({
    ...object,
    box: adjustedBox(object, adjustment),
    level: adjustment.level ?? object.level,
    atEnd: adjustment.isLooped === null ? object.atEnd : adjustment.isLooped ? "loop" : endOnce(object.atEnd),
  }),
  layOut: (object, context) => {
    const info = findPlayed(object.source, "video", object.id, context);
    if (!info) return [];
    const { at, local } = placeBox(object.box, context.place);
    const frame = placeInBox(info, local, object.mode, object.focus, context.place.scale);
    const radiiPx = resolveCorners(object.corners, local, context);
    const poster =
      info.poster === null
        ? null
        : plateAround(
            [
              {
                kind: "rectangle",
                rect: local,
                radiiPx,
                fill: { kind: "image", file: info.poster, dest: frame },
                stroke: null,
                shadows: [],
              },
            ],
            local,
          );
    return [
      makePart(object, context, at, {
        kind: "video",
        hash: info.hash,
        file: info.file,
        box: local,
        frame,
        radiiPx,
        durationMs: info.durationMs,
        hasAlpha: info.hasAlpha || info.key !== null,
        atEnd: object.atEnd,
        level: object.level,
        poster,
      }),
    ];
  },
});

const endOnce = (atEnd: "loop" | "hold" | "leave") => (atEnd === "loop" ? "hold" : atEnd);

type Played = MediaInfo & { readonly hash: string; readonly durationMs: number };

/** The clip or sound that a source names; what is missing or something else is told. */
export function findPlayed(
  source: MediaSource,
  type: "video" | "sound",
  objectId: string,
  context: ObjectContext,
): Played | undefined {
  const { hash, info } = context.lookup.media(source);
  if (hash === "") return undefined;
  if (info?.type === type && info.durationMs !== null) return { ...info, hash, durationMs: info.durationMs };
  const name = info?.name ?? hash.slice(0, 12);
  context.report((info ? wrongMedia : missingMedia)(objectSubject(objectId), { name }));
  return undefined;
}
