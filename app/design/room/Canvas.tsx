import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import Moveable from "react-moveable";
import Selecto from "react-selecto";
import { type Boxes, outermost, type Rect } from "../../../core/design/edit/objects.ts";
import { moveObjects, placeObject, turnObject } from "../../../core/design/edit/place.ts";
import { t } from "../../../core/language/t.ts";
import type { ReadableObject } from "../../../core/scene/objectKinds.ts";
import type { LaidOutPage } from "../../../core/scene/part.ts";
import type { Template } from "../../../core/scene/template.ts";
import type { Drawing } from "../../live/drawing.ts";
import { useKeys } from "../../ui/useKeys.ts";
import { useSize } from "../../ui/useSize.ts";
import { CanvasPoints } from "./CanvasPoints.tsx";
import type { Playhead } from "./playhead.ts";
import { Rulers } from "./Rulers.tsx";
import { Sheet } from "./Sheet.tsx";
import { heldObjects } from "./selection.ts";
import { isOnObjects } from "./useRoomActs.ts";

/**
 * Of the canvas, from each edge: within the first every receiver shows what words and marks need, within the second what happens.
 * Source, from memory: EBU R 95 (2017), graphics safe 5 % and action safe 3.5 %; SMPTE ST 2046-1 asks for the same of 16 : 9.
 */
const SAFE_SHARES = { graphics: 0.05, action: 0.035 } as const;
const LEAST_ZOOM = 0.05;
const MOST_ZOOM = 8;
/** A notch of the wheel, 100 px of it, makes it this much larger. */
const WHEEL_PX = 400;
/** Room around the canvas in which objects can still be taken hold of, px. */
const MARGIN_PX = 48;
const SNAP_WITHIN_PX = 6;

export interface CanvasProps {
  readonly template: Template;
  readonly page: LaidOutPage;
  readonly boxes: Boxes;
  readonly drawing: Drawing;
  readonly ground: string;
  /** With other words, for how the content changes. */
  readonly other: LaidOutPage;
  readonly playhead: Playhead;
  readonly selected: readonly string[];
  readonly entered: ReadonlySet<string>;
  readonly onSelect: (ids: readonly string[]) => void;
  readonly onEnter: (groupId: string) => void;
  readonly onPreview: (label: string, change: (template: Template) => Template) => void;
  readonly onDone: () => void;
  readonly onEdit: (label: string, change: (template: Template) => Template) => void;
  readonly showSafe: boolean;
}

/** The template at its true size, with what is chosen on it in hand. */
export function Canvas(props: CanvasProps) {
  const { template, page, boxes, drawing, selected, entered, onSelect, onEnter, onPreview, onDone } = props;
  const room = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const moveable = useRef<Moveable>(null);
  const selecto = useRef<Selecto>(null);
  const { widthPx, heightPx } = useSize(room);
  const [isAlive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  const { canvas } = template;
  const fit = Math.min(
    (widthPx - 2 * MARGIN_PX) / canvas.widthPx,
    (heightPx - 2 * MARGIN_PX) / canvas.heightPx,
  );
  const [own, setOwn] = useState<number | null>(null);
  const zoom = own ?? Math.max(LEAST_ZOOM, fit);
  /** What of the canvas stays where it is while the zoom changes, and where that is in the room. */
  const steady = useRef<{ readonly x: number; readonly y: number; readonly px: number; readonly py: number }>(
    undefined,
  );
  const zoomTo = (wanted: number, at?: { readonly clientX: number; readonly clientY: number }) => {
    if (!room.current || !sheet.current) return;
    const frame = room.current.getBoundingClientRect();
    const from = sheet.current.getBoundingClientRect();
    const [clientX, clientY] = at
      ? [at.clientX, at.clientY]
      : [frame.left + frame.width / 2, frame.top + frame.height / 2];
    steady.current = {
      x: (clientX - from.left) / zoom,
      y: (clientY - from.top) / zoom,
      px: clientX,
      py: clientY,
    };
    setOwn(Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, wanted)));
  };
  useLayoutEffect(() => {
    const point = steady.current;
    if (!point || !room.current || !sheet.current) return;
    const now = sheet.current.getBoundingClientRect();
    room.current.scrollLeft += now.left + point.x * zoom - point.px;
    room.current.scrollTop += now.top + point.y * zoom - point.py;
    steady.current = undefined;
  }, [zoom]);
  const turnWheel = useRef<(event: WheelEvent) => void>(undefined);
  turnWheel.current = (event) => {
    // Without the key the wheel moves the room, as it moves everything.
    if (!event.ctrlKey && !event.metaKey) return;
    event.preventDefault();
    zoomTo(zoom * Math.exp(-event.deltaY / WHEEL_PX), event);
  };
  useEffect(() => {
    const element = room.current;
    const turn = (event: WheelEvent) => turnWheel.current?.(event);
    // React listens in a way in which the browser's own zoom cannot be stopped.
    element?.addEventListener("wheel", turn, { passive: false });
    return () => element?.removeEventListener("wheel", turn);
  }, []);
  useKeys({
    ...Object.fromEntries(
      // With Shift on most keyboards, on some without, and on the keys of figures.
      ["+", "=", "Shift++"].map((key) => [key, { run: () => zoomTo(zoom * 1.25), where: isOnObjects }]),
    ),
    "-": { run: () => zoomTo(zoom / 1.25), where: isOnObjects },
    "0": { run: () => setOwn(null), where: isOnObjects },
  });
  const held = heldObjects(template, boxes, entered);
  // What is moved is worked out from where it stood when it was taken hold of.
  const begun = useRef<{ template: Template; boxes: Boxes }>({ template, boxes });
  const begin = () => {
    begun.current = { template, boxes };
  };
  const isOpen = ({ editing }: { editing: { isLocked: boolean } }) => !editing.isLocked;
  const targets = held.filter(({ object }) => selected.includes(object.id) && isOpen(object));
  const lone = targets.length === 1 && selected.length === 1 ? targets[0] : undefined;
  const elementOf = (id: string) =>
    sheet.current?.querySelector<HTMLElement>(`[data-object="${CSS.escape(id)}"]`);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is drawn around follows what it is drawn around
  useEffect(() => {
    // What is under way measures itself.
    if (!moveable.current?.isDragging()) moveable.current?.updateRect();
  }, [boxes, zoom, selected]);

  const move = (xPx: number, yPx: number) =>
    onPreview(t`Move`, () => {
      const { template: from, boxes: at } = begun.current;
      return moveObjects(from, selected, { xPx: Math.round(xPx), yPx: Math.round(yPx) }, at);
    });
  const place = (placed: readonly { id: string; to: Rect }[]) =>
    onPreview(t`Resize`, () => {
      const { template: from, boxes: at } = begun.current;
      return placed.reduce((now, { id, to }) => placeObject(now, id, rounded(to), at), from);
    });
  const idOf = (element: Element) => element.getAttribute("data-object") ?? "";
  const boxOf = (id: string): Rect => begun.current.boxes.get(id) ?? { x: 0, y: 0, width: 0, height: 0 };
  /** What a hand did to a box; the side that it did not touch is exactly as it was. */
  const resized = (e: {
    target: Element;
    direction: number[];
    dist: number[];
    drag: { beforeDist: number[] };
  }) => {
    const id = idOf(e.target);
    const box = boxOf(id);
    const [across = 0, down = 0] = e.direction;
    const [dw, dh] = [across && (e.dist[0] ?? 0), down && (e.dist[1] ?? 0)];
    const isTurned = e.target.matches("[data-turned]");
    // The opposite side stays; of what is turned, the corner does.
    const dx = across || isTurned ? (e.drag.beforeDist[0] ?? 0) : 0;
    const dy = down || isTurned ? (e.drag.beforeDist[1] ?? 0) : 0;
    return {
      id,
      to: {
        x: box.x + dx / zoom,
        y: box.y + dy / zoom,
        width: box.width + dw / zoom,
        height: box.height + dh / zoom,
      },
    };
  };
  const turn = (turned: readonly { id: string; byDeg: number }[]) =>
    onPreview(t`Turn`, () => {
      const { template: from } = begun.current;
      return turned.reduce((now, { id, byDeg }) => turnObject(now, id, byDeg), from);
    });
  const guides = template.editing.guides;
  const lines = (along: "x" | "y", length: number) =>
    [
      0,
      length / 2,
      length,
      ...(props.showSafe
        ? Object.values(SAFE_SHARES).flatMap((share) => [share * length, length * (1 - share)])
        : []),
      ...guides.flatMap((guide) => (guide.along === along ? [guide.atPx] : [])),
    ].map((px) => px * zoom);

  const onEdit = useRef(props.onEdit);
  onEdit.current = props.onEdit;
  const setGuides = useCallback(
    (next: Template["editing"]["guides"]) =>
      onEdit.current(t`Guides`, (from) => ({ ...from, editing: { ...from.editing, guides: [...next] } })),
    [],
  );

  // Where the canvas begins in what is seen of the room: there the rulers have their zero.
  const [origin, setOrigin] = useState({ x: 0, y: 0 });
  const measure = () => {
    if (!room.current || !sheet.current) return;
    const frame = room.current.getBoundingClientRect();
    const at = sheet.current.getBoundingClientRect();
    const [x, y] = [at.left - frame.left, at.top - frame.top];
    setOrigin((before) => (before.x === x && before.y === y ? before : { x, y }));
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it moves with the size of the room and of the canvas
  useLayoutEffect(measure, [zoom, widthPx, heightPx, canvas]);
  return (
    <div className="relative isolate grid min-h-0 min-w-0 flex-1 grid-cols-[24px_minmax(0,1fr)] grid-rows-[24px_minmax(0,1fr)]">
      <span className="border-r border-b border-edge bg-raised" />
      {isAlive && <Rulers zoom={zoom} origin={origin} guides={guides} onGuides={setGuides} />}
      <div
        ref={room}
        onScroll={measure}
        // The middle button takes hold of the room itself.
        onPointerDown={(event) => {
          if (event.button !== 1) return;
          event.preventDefault();
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
          event.currentTarget.scrollBy(-event.movementX, -event.movementY);
        }}
        className="relative col-start-2 row-start-2 min-h-0 min-w-0 overflow-auto bg-[#0c0a09]"
        data-room
      >
        <div
          className="relative grid place-content-center"
          style={{
            minWidth: "100%",
            minHeight: "100%",
            width: canvas.widthPx * zoom + 2 * MARGIN_PX,
            height: canvas.heightPx * zoom + 2 * MARGIN_PX,
          }}
        >
          <div
            ref={sheet}
            role="application"
            // biome-ignore lint/a11y/noNoninteractiveTabindex: keys move what is chosen on it
            tabIndex={0}
            aria-label={t`Canvas of ${template.name}, ${canvas.widthPx} by ${canvas.heightPx}`}
            className="relative outline-offset-4"
            style={{
              width: canvas.widthPx * zoom,
              height: canvas.heightPx * zoom,
              background: props.ground,
            }}
          >
            {widthPx > 0 && (
              <Sheet
                page={page}
                other={props.other}
                drawing={drawing}
                zoom={zoom}
                playhead={props.playhead}
              />
            )}
            {props.showSafe &&
              Object.entries(SAFE_SHARES).map(([area, share]) => (
                <div
                  key={area}
                  aria-hidden="true"
                  className={`pointer-events-none absolute border border-dashed ${area === "graphics" ? "border-act/70" : "border-paper/30"}`}
                  style={{ inset: `${canvas.heightPx * share * zoom}px ${canvas.widthPx * share * zoom}px` }}
                />
              ))}
            {held.map(({ object, box }) => (
              // biome-ignore lint/a11y/noStaticElementInteractions: the list of objects does the same by keys
              <div
                key={object.id}
                data-object={object.id}
                data-turned={object.rotationDeg === 0 ? undefined : ""}
                className={`absolute ${object.editing.isLocked ? "pointer-events-none" : "room-object cursor-move"} ${selected.includes(object.id) ? "" : "hover:outline hover:outline-1 hover:outline-act"}`}
                onDoubleClick={() => object.kind === "group" && onEnter(object.id)}
                style={{
                  left: box.x * zoom,
                  top: box.y * zoom,
                  width: Math.max(2, box.width * zoom),
                  height: Math.max(2, box.height * zoom),
                  ...turnOf(object),
                }}
              />
            ))}
            {isAlive && (
              <Moveable
                ref={moveable}
                target={targets.flatMap(({ object }) => elementOf(object.id) ?? [])}
                className="room-handles"
                origin={false}
                draggable
                resizable
                rotatable
                throttleDrag={0}
                keepRatio={false}
                // Boxes are drawn after the hand has moved, not while it does.
                checkResizableError={false}
                snappable
                snapGap
                isDisplaySnapDigit
                isDisplayInnerSnapDigit
                snapThreshold={SNAP_WITHIN_PX}
                maxSnapElementGuidelineDistance={600}
                snapDirections={ALL_EDGES}
                elementSnapDirections={ALL_EDGES}
                elementGuidelines={held.flatMap(({ object }) =>
                  selected.includes(object.id) ? [] : (elementOf(object.id) ?? []),
                )}
                verticalGuidelines={lines("x", canvas.widthPx)}
                horizontalGuidelines={lines("y", canvas.heightPx)}
                snapDistFormat={(px: number) => String(Math.round(px / zoom))}
                onDragStart={begin}
                onDrag={({ beforeDist }) => move((beforeDist[0] ?? 0) / zoom, (beforeDist[1] ?? 0) / zoom)}
                onDragEnd={onDone}
                onDragGroupStart={begin}
                onDragGroup={({ events }) => {
                  const [dx = 0, dy = 0] = events[0]?.beforeDist ?? [];
                  move(dx / zoom, dy / zoom);
                }}
                onDragGroupEnd={onDone}
                onResizeStart={begin}
                onResize={(e) => place([resized(e)])}
                onResizeEnd={onDone}
                onResizeGroupStart={begin}
                onResizeGroup={({ events }) => place(events.map(resized))}
                onResizeGroupEnd={onDone}
                onRotateStart={begin}
                onRotate={({ target, beforeDist }) => turn([{ id: idOf(target), byDeg: beforeDist }])}
                onRotateEnd={onDone}
                onRotateGroupStart={begin}
                onRotateGroup={({ events }) =>
                  turn(events.map(({ target, beforeDist }) => ({ id: idOf(target), byDeg: beforeDist })))
                }
                onRotateGroupEnd={onDone}
                onClickGroup={(e) => selecto.current?.clickTarget(e.inputEvent, e.inputTarget)}
              />
            )}
            {lone && (
              <CanvasPoints
                object={lone.object}
                box={lone.box}
                zoom={zoom}
                onPreview={onPreview}
                onDone={onDone}
              />
            )}
          </div>
          {isAlive && (
            <Selecto
              ref={selecto}
              dragContainer={room.current ?? undefined}
              selectableTargets={[".room-object"]}
              hitRate={40}
              selectByClick
              selectFromInside={false}
              toggleContinueSelect="shift"
              ratio={0}
              onDragStart={(e) => {
                const { target } = e.inputEvent as { target: Element };
                const isHeld = targets.some(({ object }) => elementOf(object.id)?.contains(target));
                const isPoint = target.closest("[data-point]") !== null;
                if (moveable.current?.isMoveableElement(target) || isHeld || isPoint) e.stop();
              }}
              onSelectEnd={(e) => {
                const ids = e.selected.map(idOf).filter(Boolean);
                onSelect(outermost(template, ids));
                if (!e.isDragStart) return;
                e.inputEvent.preventDefault();
                void moveable.current
                  ?.waitToChangeTarget()
                  .then(() => moveable.current?.dragStart(e.inputEvent));
              }}
            />
          )}
        </div>
        <div className="sticky bottom-2 left-2 flex w-fit gap-1 rounded-lg bg-raised/95 p-1 text-[14px]">
          <button
            type="button"
            aria-label={t`Smaller`}
            onClick={() => zoomTo(zoom / 1.25)}
            className={zoomClass}
          >
            −
          </button>
          <button
            type="button"
            aria-label={t`${Math.round(zoom * 100)} per cent: fit it in`}
            title={t`Fit it in: 0. Larger and smaller: + and −, or the wheel with Ctrl.`}
            onClick={() => setOwn(null)}
            className={zoomClass}
          >
            {Math.round(zoom * 100)} %
          </button>
          <button
            type="button"
            aria-label={t`Larger`}
            onClick={() => zoomTo(zoom * 1.25)}
            className={zoomClass}
          >
            +
          </button>
        </div>
      </div>
    </div>
  );
}

const zoomClass = "min-h-8 min-w-8 rounded-md px-2 hover:bg-lifted";
const ALL_EDGES = { top: true, left: true, bottom: true, right: true, center: true, middle: true };

const rounded = ({ x, y, width, height }: Rect): Rect => ({
  x: Math.round(x),
  y: Math.round(y),
  width: Math.round(width),
  height: Math.round(height),
});

/** Nothing for what is not turned: the browser keeps a layer's worth of things for each turn. */
function turnOf({ rotationDeg, pivot }: ReadableObject): React.CSSProperties {
  if (typeof rotationDeg !== "number" || rotationDeg === 0) return {};
  return { transform: `rotate(${rotationDeg}deg)`, transformOrigin: `${pivot.x * 100}% ${pivot.y * 100}%` };
}
