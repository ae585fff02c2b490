import { objectSubject } from "../findings/finding.ts";
import { missingMedia } from "../findings/kinds/missingMedia.ts";
import { wrongMedia } from "../findings/kinds/wrongMedia.ts";
import type { PictureItem, Shape } from "../picture/picture.ts";
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

type ShapeObject = Extract<
  ReadableObject,
  { kind: "rectangle" | "ellipse" | "line" | "polygon" | "picture" }
>;

/** Shapes and pictures: one plate each. */
export function layOutShape(object: ShapeObject, context: ObjectContext): Part[] {
  const { at, local } = placeBox(object.box, context.place);
  const paint = resolvePaint(object, local, context);
  const shape = ((): Shape => {
    switch (object.kind) {
      case "rectangle":
      case "picture":
        return { kind: "rectangle", rect: local, radiiPx: resolveCorners(object.corners, local, context) };
      case "ellipse":
        return { kind: "ellipse", rect: local };
      case "line": {
        const [top, bottom] = [local.y, local.y + local.height];
        const isDown = object.from === "topLeft";
        return {
          kind: "line",
          from: { x: local.x, y: isDown ? top : bottom },
          to: { x: local.x + local.width, y: isDown ? bottom : top },
        };
      }
      case "polygon":
        return {
          kind: "polygon",
          points: object.points.map(({ x, y }) => ({
            x: local.x + x * local.width,
            y: local.y + y * local.height,
          })),
        };
    }
  })();
  const items: PictureItem[] = [];
  if (object.kind === "picture") {
    const { hash, info } = context.lookup.media(object.source);
    if (paint.fill.kind !== "none") items.push({ ...shape, ...paint, stroke: null });
    if (info?.type === "picture") {
      const dest = placeInBox(info, local, object.mode, object.focus, context.place.scale);
      const shadows = paint.fill.kind === "none" ? paint.shadows : [];
      items.push({ ...shape, fill: { kind: "image", file: info.file, dest }, stroke: null, shadows });
    } else if (hash !== "") {
      context.report(
        (info ? wrongMedia : missingMedia)(objectSubject(object.id), {
          name: info?.name ?? hash.slice(0, 12),
        }),
      );
      items.push({ ...shape, fill: { kind: "image", file: hash, dest: local }, stroke: null, shadows: [] });
    }
    if (paint.stroke) items.push({ ...shape, fill: { kind: "none" }, stroke: paint.stroke, shadows: [] });
    if (items.length === 0) return [];
  } else {
    const dashPx = object.kind === "line" ? object.dashPx.map((px) => px * context.place.scale) : [];
    const stroke = paint.stroke && dashPx.length > 0 ? { ...paint.stroke, dashPx } : paint.stroke;
    items.push({ ...shape, ...paint, stroke });
  }
  const cornerPx = shape.kind === "rectangle" ? Math.max(...shape.radiiPx) : 0;
  const scale = context.place.scale;
  return [
    makePart(object, context, at, {
      kind: "plate",
      plate: plateAround(items, inkOf(shape, local), undefined, object.blurPx * scale),
      cornerPx,
      blurPx: object.motion.blurPx * scale,
      tint: object.motion.tint === null ? null : context.lookup.color(object.motion.tint),
    }),
  ];
}

/** Polygons may reach past their box. */
function inkOf(shape: Shape, box: { x: number; y: number; width: number; height: number }) {
  if (shape.kind !== "polygon") return box;
  const xs = shape.points.map(({ x }) => x);
  const ys = shape.points.map(({ y }) => y);
  const x = Math.min(...xs);
  const y = Math.min(...ys);
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}
