import { useRef } from "react";
import { type Rect, withObjects } from "../../../core/design/edit/objects.ts";
import { type EditPoint, movePoint, pointsOf } from "../../../core/design/edit/points.ts";
import { t } from "../../../core/language/t.ts";
import type { ReadableObject } from "../../../core/scene/objectKinds.ts";
import type { Template } from "../../../core/scene/template.ts";

const SHAPES: Readonly<Record<EditPoint["kind"], string>> = {
  pivot:
    "rounded-full border-2 border-paper bg-transparent before:absolute before:inset-[3px] before:rounded-full before:bg-paper",
  focus: "rounded-full border-2 border-attention bg-attention/30",
  stop: "rotate-45 border-2 border-paper bg-act",
  gradient: "rounded-full border-2 border-act bg-raised",
};
/** How far beside its place a point is drawn where the handles of the box may be, px. */
const BESIDE_PX = 16;
/** Of a press of an arrow key, px of the canvas; with Shift ten times that. */
const STEP_PX = 1;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP_PX, 0],
  ArrowRight: [STEP_PX, 0],
  ArrowUp: [0, -STEP_PX],
  ArrowDown: [0, STEP_PX],
};

/** Pivot, what is kept in sight and colours of the gradient of the chosen object, dragged where they are. */
export function CanvasPoints({
  object,
  box,
  zoom,
  onPreview,
  onDone,
}: {
  object: ReadableObject;
  box: Rect;
  zoom: number;
  onPreview: (label: string, change: (template: Template) => Template) => void;
  onDone: () => void;
}) {
  /** What was dragged, as it was when it was taken hold of. */
  const begun = useRef<{
    readonly x: number;
    readonly y: number;
    readonly point: EditPoint;
    readonly from: ReadableObject;
  }>(undefined);
  const put = (from: ReadableObject, { name, label }: EditPoint, to: EditPoint["at"]) =>
    onPreview(t`Move: ${label.toLowerCase()}`, (template) =>
      withObjects(template, (each) => (each.id === from.id ? movePoint(from, box, name, to) : each)),
    );
  return (
    <>
      {pointsOf(object, box).map((point) => (
        <button
          key={point.name}
          type="button"
          aria-label={point.label}
          title={point.label}
          data-point={point.name}
          onPointerDown={(event) => {
            event.stopPropagation();
            event.currentTarget.setPointerCapture(event.pointerId);
            begun.current = { x: event.clientX, y: event.clientY, point, from: object };
          }}
          onPointerMove={(event) => {
            const hold = begun.current;
            if (!hold || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
            put(hold.from, hold.point, {
              x: hold.point.at.x + (event.clientX - hold.x) / zoom,
              y: hold.point.at.y + (event.clientY - hold.y) / zoom,
            });
          }}
          onPointerUp={() => {
            begun.current = undefined;
            onDone();
          }}
          onKeyDown={(event) => {
            const [dx, dy] = STEPS[event.key] ?? [];
            if (dx === undefined || dy === undefined) return;
            event.preventDefault();
            event.stopPropagation();
            const by = event.shiftKey ? 10 : 1;
            put(object, point, { x: point.at.x + dx * by, y: point.at.y + dy * by });
          }}
          onKeyUp={(event) => STEPS[event.key] && onDone()}
          className={`absolute z-[3001] size-3.5 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none shadow ${SHAPES[point.kind]}`}
          style={{
            left: point.at.x * zoom + point.beside.x * BESIDE_PX,
            top: point.at.y * zoom + point.beside.y * BESIDE_PX,
          }}
        />
      ))}
    </>
  );
}
