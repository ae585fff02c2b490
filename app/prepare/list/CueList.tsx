import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { defaultRangeExtractor, useVirtualizer } from "@tanstack/react-virtual";
import { GripVertical, TriangleAlert } from "lucide-react";
import { memo, type RefObject, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { Anchor } from "../../../core/rundown/anchor.ts";
import { PAGE_ANCHOR, stepsOf } from "../../../core/rundown/steps.ts";
import { pagesOn } from "../../../core/show/layers.ts";
import { CueFeedMark } from "../../desk/CueFeedMark.tsx";
import { CueFindings } from "../../desk/check/CueFindings.tsx";
import { useDesk } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { useLiveValues } from "../../desk/useLiveValues.ts";
import { usePresentTime } from "../../desk/usePresentTime.ts";
import { CueThumbnail } from "../../pictures/CueThumbnail.tsx";
import { CueTagMark } from "../../ui/CueTagMark.tsx";
import { cueTiming, describeAction, wordsOf } from "../../ui/describeCue.ts";
import { useListSensors } from "../../ui/useListSensors.ts";
import { CueEditor } from "../forms/CueEditor.tsx";
import { keepInSight } from "./keepInSight.ts";

/** A cue that is not open, before it is measured. */
const ROW_PX = 98;

/** The cues in order; the chosen one is opened for editing where it stands. */
export function CueList({
  selectedId,
  marked,
  actor,
  onSelect,
  onMove,
  onAnchor,
}: {
  selectedId: string | null;
  /** Cues marked besides the chosen one. */
  marked: ReadonlySet<string>;
  actor: string;
  onSelect: (cueId: string, isMore: boolean) => void;
  onMove: (cueId: string, afterId: string | null) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { cues, state } = useDesk("cues", "state");
  const presentMs = usePresentTime();
  const sensors = useListSensors();
  const ids = useMemo(() => cues.map(({ view }) => view.cueId), [cues]);
  const [carriedId, setCarriedId] = useState<string | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  // Only cues in sight are drawn, the open one, and the one that is carried.
  const kept = [selectedId, carriedId].flatMap((id) => {
    const index = id === null ? -1 : ids.indexOf(id);
    return index < 0 ? [] : [index];
  });
  const virtualizer = useVirtualizer({
    count: cues.length,
    getScrollElement: () => scroller.current,
    getItemKey: (index) => ids[index] ?? index,
    estimateSize: () => ROW_PX,
    rangeExtractor: (range) => [...new Set([...defaultRangeExtractor(range), ...kept])].sort((a, b) => a - b),
    overscan: 4,
    initialRect: { width: 860, height: 640 },
  });
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    setCarriedId(null);
    if (!over || active.id === over.id) return;
    const others = ids.filter((id) => id !== active.id);
    const from = ids.indexOf(String(active.id));
    const to = ids.indexOf(String(over.id));
    const at = others.indexOf(String(over.id));
    onMove(String(active.id), (to > from ? others[at] : others[at - 1]) ?? null);
  };
  const onAir = new Set(
    state.layers.flatMap(({ id }) =>
      [...pagesOn(state, id, presentMs ?? 0).values()].flatMap((page) => page?.cueId ?? []),
    ),
  );

  if (cues.length === 0)
    return (
      <div className="grid flex-1 place-content-center gap-2 p-8 text-center">
        <p className="font-words text-[22px]">{t`The rundown is empty.`}</p>
        <p className="max-w-md text-second">
          {t`Paste the words of a song into the box above, or type a reference such as Ps 107:23-30, or a name and role. What you type is saved as you type it.`}
        </p>
      </div>
    );
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto [overflow-anchor:none]">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragStart={({ active }) => setCarriedId(String(active.id))}
        onDragCancel={() => setCarriedId(null)}
        onDragEnd={onDragEnd}
        id="rundown"
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="relative" style={{ height: virtualizer.getTotalSize() }}>
            {virtualizer
              .getVirtualItems()
              .flatMap(({ index, start }) => (cues[index] ? [{ cue: cues[index], start }] : []))
              .map(({ cue, start }) => (
                <CueRow
                  key={cue.view.cueId}
                  cue={cue}
                  count={cues.length}
                  topPx={start}
                  measure={virtualizer.measureElement}
                  scroller={scroller}
                  actor={actor}
                  isSelected={cue.view.cueId === selectedId}
                  isMarked={marked.has(cue.view.cueId)}
                  isOnAir={onAir.has(cue.view.cueId)}
                  onSelect={onSelect}
                  onAnchor={onAnchor}
                />
              ))}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

function CueRow({
  cue,
  count,
  topPx,
  measure,
  scroller,
  actor,
  isSelected,
  isMarked,
  isOnAir,
  onSelect,
  onAnchor,
}: {
  cue: DeskCue;
  count: number;
  /** Where it begins in the list, as far as the heights above it are known. */
  topPx: number;
  measure: (element: Element | null) => void;
  scroller: RefObject<HTMLDivElement | null>;
  actor: string;
  isSelected: boolean;
  isOnAir: boolean;
  onSelect: (cueId: string, isMore: boolean) => void;
  isMarked: boolean;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { view, index, title } = cue;
  const sortable = useSortable({ id: view.cueId });
  const row = useRef<HTMLLIElement | null>(null);
  const { setNodeRef } = sortable;
  const attach = useCallback(
    (element: HTMLLIElement | null) => {
      row.current = element;
      setNodeRef(element);
      measure(element);
    },
    [setNodeRef, measure],
  );
  useEffect(() => {
    if (isSelected && row.current && scroller.current) return keepInSight(scroller.current, row.current);
  }, [isSelected, scroller]);
  return (
    <li
      ref={attach}
      data-index={index}
      aria-setsize={count}
      aria-posinset={index + 1}
      data-cue={view.cueId}
      data-selected={isSelected}
      style={{
        top: topPx,
        transform: CSS.Translate.toString(sortable.transform),
        transition: sortable.transition,
      }}
      className={`absolute inset-x-0 grid grid-cols-[24px_92px_minmax(0,1fr)] border-b sm:grid-cols-[36px_148px_minmax(0,1fr)] border-edge ${isSelected ? "bg-raised" : isMarked ? "bg-act-ground" : ""} ${sortable.isDragging ? "z-10 bg-lifted opacity-90 shadow-xl" : ""}`}
    >
      <button
        type="button"
        aria-label={t`Move ${title}`}
        {...sortable.attributes}
        {...sortable.listeners}
        className="grid cursor-grab place-content-center text-quiet hover:text-paper"
      >
        <GripVertical aria-hidden="true" className="size-5" />
      </button>
      <button
        type="button"
        aria-pressed={isSelected}
        onClick={(event) => onSelect(view.cueId, event.shiftKey)}
        // The arrows choose cues here too.
        onKeyDown={(event) => {
          if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
          event.currentTarget.blur();
        }}
        className={`flex flex-col items-end justify-start border-r border-edge px-3 py-3 text-right ${isSelected ? "border-l-4 border-l-act" : ""}`}
      >
        <span title={title} className="line-clamp-4 text-[15px] leading-snug font-semibold">
          <span className={view.doc.isOff ? "line-through" : ""}>
            {index + 1} · {title}
          </span>
        </span>
        <span className="flex items-center gap-1.5 text-[14px] text-second">
          <CueTagMark tag={view.doc.tag} />
          {cue.kindName}
        </span>
        {cueTiming(view.doc) && <span className="block text-[14px] text-second">{cueTiming(view.doc)}</span>}
        <CueFeedMark cueId={view.cueId} live={cue.ready?.content.live} />
        {isOnAir && (
          <span className="mt-1 inline-block rounded bg-air px-1.5 text-[14px] font-bold text-on-bright">
            {t`ON AIR`}
          </span>
        )}
      </button>
      <div className="min-w-0 px-5 py-3">
        <CueFindings cueId={view.cueId} />
        {isSelected ? (
          <CueEditor key={view.cueId} cue={cue} actor={actor} onAnchor={onAnchor} />
        ) : (
          <Summary cue={cue} />
        )}
      </div>
    </li>
  );
}

const Summary = memo(function Summary({ cue }: { cue: DeskCue }) {
  const live = useLiveValues(cue.view.cueId, cue.ready?.content, cue.ready?.hash ?? "");
  const { outputs, state, fieldSets } = useDesk("outputs", "state", "fieldSets");
  const { view, ready } = cue;
  if ("problem" in view.compiled)
    return (
      <p className="flex items-start gap-2.5 text-[15px] text-attention">
        <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
        {view.compiled.problem.sentence}
      </p>
    );
  if (view.doc.kind === "remark")
    return (
      <p
        className={
          view.doc.isHeading ? "text-[19px] font-semibold" : "text-[16px] whitespace-pre-line text-second"
        }
      >
        {view.doc.text}
      </p>
    );
  if (!ready)
    return (
      <p className="text-[15px] text-second">
        {"pending" in view.compiled ? t`being laid out…` : t`left out of the run`}
      </p>
    );
  if (ready.content.action) return <p className="text-[16px] text-second">{describeAction(ready.content)}</p>;
  const steps = stepsOf(ready.content);
  const [first] = steps;
  if (ready.content.flow && first)
    return (
      <p className="truncate">
        <span className="font-words text-[18px]">{first.words.split("\n")[0]}</span>
        <span className="ml-3 text-[14px] text-second">{t`${steps.length - 1} steps`}</span>
      </p>
    );
  const [words = "", ...rest] =
    view.doc.kind === "page" ? wordsOf(view.doc, ready.content.title, fieldSets, live) : [];
  const shown = steps.at(-1)?.anchor ?? PAGE_ANCHOR;
  return (
    <div className="flex items-center gap-4">
      <CueThumbnail
        content={ready.content}
        cueId={view.cueId}
        hash={ready.hash}
        anchor={shown}
        outputs={outputs}
        plan={state.plan}
      />
      <div className="min-w-0">
        <p className="font-words truncate text-[18px]">{words.split("\n").join(" · ")}</p>
        <p className="truncate text-[15px] text-second">{rest.join(" · ")}</p>
      </div>
    </div>
  );
});
