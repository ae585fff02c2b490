import { z } from "zod";
import { t } from "../../language/t.ts";
import { makePart } from "../objectContext.ts";
import { common, levelProperty, mediaSourceSchema, named } from "../properties.ts";
import { defineKind } from "./objectKind.ts";
import { isMediaBlank, mediaField } from "./ofMedia.ts";
import { findPlayed } from "./video.ts";

/** Nothing to see: its box is where it stands in the designer's hand, its opacity how loud it is of its level. */
const schema = z.strictObject({
  ...common,
  kind: z.literal("sound"),
  source: named(mediaSourceSchema, "Content", "Sound"),
  atEnd: named(z.enum(["loop", "leave"]).default("leave"), "Content", t`At its end`),
  /** Heard on outputs that play sound. Tracks of opacity fade it. */
  level: levelProperty,
});

export const soundKind = defineKind({
  name: t`sound`,
  schema,
  moves: [],
  mayBeFlat: true,
  fieldOf: mediaField,
  isBlank: isMediaBlank,
  adjust: (object, { level, isLooped }) => ({
    ...object,
    level: level ?? object.level,
    atEnd: isLooped === null ? object.atEnd : isLooped ? "loop" : "leave",
  }),
  layOut: (object, context) => {
    const info = findPlayed(object.source, "sound", object.id, context);
    if (!info) return [];
    const { hash, file, durationMs } = info;
    return [
      makePart(
        object,
        context,
        { x: 0, y: 0 },
        { kind: "sound", hash, file, durationMs, atEnd: object.atEnd, level: object.level },
      ),
    ];
  },
});
