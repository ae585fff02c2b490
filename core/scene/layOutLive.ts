import { objectSubject } from "../findings/finding.ts";
import { missingMedia } from "../findings/kinds/missingMedia.ts";
import { wrongMedia } from "../findings/kinds/wrongMedia.ts";
import { placeInBox } from "../picture/place.ts";
import {
  makePart,
  type ObjectContext,
  placeBox,
  plateAround,
  resolveCorners,
  resolvePaint,
} from "./objectContext.ts";
import type { Part } from "./part.ts";
import type { ReadableObject } from "./template.ts";

/** A clip in its box. */
export function layOutVideo(
  object: Extract<ReadableObject, { kind: "video" }>,
  context: ObjectContext,
): Part[] {
  const { hash, info } = context.lookup.media(object.source);
  if (hash === "") return [];
  if (info?.type !== "video" || info.durationMs === null) {
    const name = info?.name ?? hash.slice(0, 12);
    context.report((info ? wrongMedia : missingMedia)(objectSubject(object.id), { name }));
    return [];
  }
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
      hash,
      file: info.file,
      box: local,
      frame,
      radiiPx,
      durationMs: info.durationMs,
      atEnd: object.atEnd,
      level: object.level,
      poster,
    }),
  ];
}

/** The window for the program picture: a border around it, and the picture itself where the stage has one. */
export function layOutProgram(
  object: Extract<ReadableObject, { kind: "program" }>,
  context: ObjectContext,
): Part[] {
  const { at, local } = placeBox(object.box, context.place);
  const radiiPx = resolveCorners(object.corners, local, context);
  const { stroke, shadows } = resolvePaint({ ...object, fill: { kind: "none" } }, local, context);
  const border = stroke
    ? plateAround(
        [{ kind: "rectangle", rect: local, radiiPx, fill: { kind: "none" }, stroke, shadows }],
        local,
      )
    : null;
  return [makePart(object, context, at, { kind: "program", box: local, radiiPx, border })];
}
