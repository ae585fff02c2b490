import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { RotateCw } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { Output, Venue } from "../../core/venue/plan.ts";
import { NumberField } from "./fields.tsx";

const STEP_M = 0.5;
const TURN_DEG = 45;

type Place = NonNullable<Output["place"]>;

/** The room from above: where each screen hangs, where it faces, how far it is seen. The front is at the top. */
export function VenuePlan({
  outputs,
  venue,
  chosenId,
  onChoose,
  onPlace,
  onVenue,
}: {
  outputs: readonly Output[];
  venue: Venue;
  chosenId: string | undefined;
  onChoose: (outputId: string) => void;
  onPlace: (output: Output, place: Place | null) => void;
  onVenue: (venue: Venue) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => entry && setSize(entry.contentRect));
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  const pxPerM = Math.max(1, Math.min(size.width / venue.widthM, size.height / venue.depthM));
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const within = (value: number, most: number) =>
    Math.min(most, Math.max(0, Math.round(value / STEP_M) * STEP_M));
  const placed = outputs.flatMap((output, at) => (output.place ? [{ output, place: output.place, at }] : []));
  const waiting = outputs.flatMap((output, at) => (output.place ? [] : [{ output, at }]));
  const onDragEnd = ({ active, delta }: DragEndEvent) => {
    const { output, place } = placed.find((each) => each.output.id === active.id) ?? {};
    if (!output || !place) return;
    onPlace(output, {
      ...place,
      xM: within(place.xM + delta.x / pxPerM, venue.widthM),
      yM: within(place.yM + delta.y / pxPerM, venue.depthM),
    });
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 px-5 py-4">
      <div className="flex items-end gap-5 text-[15px]">
        <div className="flex w-64 shrink-0 gap-3">
          <NumberField
            label={t`Room wide, m`}
            value={venue.widthM}
            min={2}
            max={500}
            step={0.5}
            onSave={(widthM) => onVenue({ ...venue, widthM })}
          />
          <NumberField
            label={t`Room deep, m`}
            value={venue.depthM}
            min={2}
            max={500}
            step={0.5}
            onSave={(depthM) => onVenue({ ...venue, depthM })}
          />
        </div>
        <p className="text-second">
          {t`Drag a screen to its place, or move it by arrow keys;`} <kbd>R</kbd> {t`turns it,`}{" "}
          <kbd>Del</kbd> {t`takes it out. The fan reaches as far as its farthest seat.`}
        </p>
      </div>
      {waiting.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 text-[15px] text-second">
          {t`Not in the room`}
          {waiting.map(({ output, at }) => (
            <button
              key={output.id}
              type="button"
              onClick={() => {
                onChoose(output.id);
                onPlace(output, {
                  xM: within(venue.widthM / 2, 500),
                  yM: within(venue.depthM / 2, 500),
                  facingDeg: 0,
                });
              }}
              className="min-h-8 rounded-md border border-dashed border-edge-strong px-2.5 text-[14px] text-paper hover:border-act"
            >
              {at + 1} · {output.name}
            </button>
          ))}
        </p>
      )}
      <div ref={frame} className="grid min-h-0 flex-1 place-content-center">
        <div
          role="application"
          aria-label={t`The room from above`}
          className="relative rounded border-2 border-edge-strong bg-raised"
          style={{ width: venue.widthM * pxPerM, height: venue.depthM * pxPerM }}
        >
          <span className="absolute top-1 left-2.5 text-[14px] text-second">{t`front`}</span>
          <DndContext sensors={sensors} onDragEnd={onDragEnd}>
            {placed.map(({ output, place, at }) => (
              <PlacedScreen
                key={output.id}
                output={output}
                number={at + 1}
                place={place}
                pxPerM={pxPerM}
                venue={venue}
                isChosen={output.id === chosenId}
                onChoose={() => onChoose(output.id)}
                onMove={(dx, dy) =>
                  onPlace(output, {
                    ...place,
                    xM: within(place.xM + dx * STEP_M, venue.widthM),
                    yM: within(place.yM + dy * STEP_M, venue.depthM),
                  })
                }
                onTurn={() => onPlace(output, { ...place, facingDeg: (place.facingDeg + TURN_DEG) % 360 })}
                onRemove={() => onPlace(output, null)}
              />
            ))}
          </DndContext>
        </div>
      </div>
    </div>
  );
}

const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function PlacedScreen({
  output,
  number,
  place,
  pxPerM,
  venue,
  isChosen,
  onChoose,
  onMove,
  onTurn,
  onRemove,
}: {
  output: Output;
  number: number;
  place: Place;
  pxPerM: number;
  venue: Venue;
  isChosen: boolean;
  onChoose: () => void;
  onMove: (dx: number, dy: number) => void;
  onTurn: () => void;
  onRemove: () => void;
}) {
  const { listeners, setNodeRef, transform } = useDraggable({ id: output.id });
  const shape = output.widthPx / output.heightPx;
  const widthM = (output.pictureHeightM ?? 1) * shape;
  const barPx = Math.max(34, widthM * pxPerM);
  // Labels stay inside the room: above what hangs low, towards the middle at the sides.
  const isLow = place.yM > venue.depthM / 2;
  const across = `translateX(-${(place.xM / venue.widthM) * 100}%)`;
  const reachPx = (output.farthestM ?? 0) * pxPerM;
  return (
    <div
      className="pointer-events-none absolute"
      style={{
        left: place.xM * pxPerM + (transform?.x ?? 0),
        top: place.yM * pxPerM + (transform?.y ?? 0),
      }}
    >
      {reachPx > 0 && (
        <svg
          aria-hidden="true"
          className="absolute overflow-visible text-act"
          width={1}
          height={1}
          style={{ transform: `rotate(${place.facingDeg}deg)` }}
        >
          <path
            d={`M0 0 L${-reachPx * 0.5} ${reachPx * 0.866} A${reachPx} ${reachPx} 0 0 0 ${reachPx * 0.5} ${reachPx * 0.866} Z`}
            fill="currentColor"
            fillOpacity={0.1}
            stroke="currentColor"
            strokeOpacity={0.5}
          />
        </svg>
      )}
      <div
        className={`absolute h-2 -translate-y-1/2 rounded-sm ${isChosen ? "bg-act" : "bg-paper"}`}
        style={{ width: barPx, left: -barPx / 2, transform: `rotate(${place.facingDeg}deg)` }}
      />
      <button
        ref={setNodeRef}
        type="button"
        {...listeners}
        aria-label={t`${output.name}, ${place.xM} m from the left, ${place.yM} m from the front, facing ${place.facingDeg}°`}
        aria-pressed={isChosen}
        onClick={onChoose}
        onKeyDown={(event) => {
          const move = ARROWS[event.key];
          if (move) onMove(...move);
          else if (event.key === "r" || event.key === "R") onTurn();
          else if (event.key === "Delete") onRemove();
          else return;
          event.preventDefault();
        }}
        style={{ transform: across }}
        className={`pointer-events-auto absolute ${isLow ? "bottom-2.5" : "top-2.5"} flex min-h-8 touch-none items-center gap-1.5 rounded-md border px-2.5 text-[14px] whitespace-nowrap ${isChosen ? "border-act bg-act-ground" : "border-edge-strong bg-lifted"}`}
      >
        {number} · {output.name}
      </button>
      {isChosen && (
        <button
          type="button"
          aria-label={t`Turn ${output.name}`}
          onClick={onTurn}
          style={{ transform: across }}
          className={`pointer-events-auto absolute ${isLow ? "bottom-12" : "top-12"} grid size-8 place-content-center rounded-md bg-lifted hover:bg-edge`}
        >
          <RotateCw aria-hidden="true" className="size-4" />
        </button>
      )}
    </div>
  );
}
