import { DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Eye, EyeOff, GripVertical, Lock, LockOpen } from "lucide-react";
import { memo, useMemo, useState } from "react";
import { idsWithin } from "../../../core/design/edit/objects.ts";
import { sayRules } from "../../../core/design/edit/rules.ts";
import { t } from "../../../core/language/t.ts";
import { fieldsShownBy } from "../../../core/scene/findReferenceFaults.ts";
import { kindOf, type SceneObject } from "../../../core/scene/objectKinds.ts";
import type { Template } from "../../../core/scene/template.ts";
import { useListSensors } from "../../ui/useListSensors.ts";
import { useSteady } from "../../ui/useSteady.ts";
import { type Known, useKnown } from "./properties/known.ts";

interface RowOf {
  readonly object: SceneObject;
  readonly depth: number;
  readonly parentId: string | null;
}

/** From the front to the back, as they lie: members under their group. */
function rowsOf(objects: readonly SceneObject[], parentId: string | null = null, depth = 0): RowOf[] {
  return [...objects]
    .reverse()
    .flatMap((object) => [
      { object, depth, parentId },
      ...(object.kind === "group" ? rowsOf(object.objects, object.id, depth + 1) : []),
    ]);
}

const nameOf = (object: SceneObject): string =>
  object.kind === "unreadable" ? object.id : object.editing.name || object.id;
const kindName = (object: SceneObject): string =>
  object.kind === "unreadable" ? t`not readable` : object.kind === "group" ? "group" : kindOf(object).name;

/** The fields of a page that an object shows, by their labels; those of a group are its members'. */
function shownBy(object: SceneObject, { field }: Known): string {
  if (object.kind === "unreadable" || object.kind === "group") return "";
  const titleOf = (name: string) => field.find((each) => each.name === name)?.title ?? name;
  return fieldsShownBy(object).map(titleOf).join(", ");
}

/** What hides it; nothing where nothing does. */
function ruleOf(object: SceneObject, known: Known): string {
  if (object.kind === "unreadable") return "";
  const titleIn = (list: Known["field"]) => (name: string) =>
    list.find((each) => each.name === name)?.title ?? name;
  const rules = sayRules(object.showWhen, { field: titleIn(known.field), object: titleIn(known.object) });
  return rules && t`when ${rules}`;
}

/** When it is seen, where that is not for as long as the page is there: the canvas shows a page that has stood for a while. */
function timeOf(object: SceneObject): string {
  if (object.kind === "unreadable") return "";
  const { fromMs, untilMs } = object.timeWindow;
  const seconds = (ms: typeof fromMs) =>
    typeof ms === "number" ? `${ms / 1_000} s` : t`a measure of the style`;
  if (untilMs !== null) return t`from ${seconds(fromMs)} to ${seconds(untilMs)}`;
  return fromMs === 0 ? "" : t`from ${seconds(fromMs)} on`;
}

/** What can be done to one of the list. */
interface RowActs {
  readonly select: (id: string, isMore: boolean) => void;
  readonly rename: (id: string, name: string) => void;
  readonly lock: (id: string, isLocked: boolean) => void;
  readonly hide: (id: string) => void;
}

/** What the template is made of: named, put in front or behind by dragging, locked, hidden while one works. */
export function ObjectsList({
  template,
  selected,
  hidden,
  outside,
  isDrawn,
  onSelect,
  onRename,
  onLock,
  onHide,
  onMove,
}: {
  template: Template;
  selected: readonly string[];
  /** Out of sight here alone. */
  hidden: ReadonlySet<string>;
  outside: ReadonlySet<string>;
  isDrawn: (id: string) => boolean;
  onSelect: (ids: readonly string[]) => void;
  onRename: (id: string, name: string) => void;
  onLock: (id: string, isLocked: boolean) => void;
  onHide: (id: string) => void;
  /** Puts one where another is, in what that one lies in. */
  onMove: (id: string, parentId: string | null, index: number) => void;
}) {
  const known = useKnown();
  const rows = rowsOf(template.objects);
  const order = rows.map(({ object }) => object.id);
  // What is sorted is told only when its order is another: else every row would be drawn with every change of one.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the order, not the list that it comes in
  const items = useMemo(() => order, [JSON.stringify(order)]);
  const sensors = useListSensors();
  const acts: RowActs = useSteady({
    select: (id: string, isMore: boolean) =>
      onSelect(isMore ? [...selected.filter((each) => each !== id), id] : [id]),
    rename: onRename,
    lock: onLock,
    hide: onHide,
  });
  const drop = ({ active, over }: DragEndEvent) => {
    const onto = rows.find(({ object }) => object.id === over?.id);
    const moved = rows.find(({ object }) => object.id === active.id);
    if (!onto || !moved || onto === moved || idsWithin(moved.object).includes(onto.object.id)) return;
    const siblings = rows.filter(({ parentId }) => parentId === onto.parentId).reverse();
    onMove(
      moved.object.id,
      onto.parentId,
      siblings.findIndex(({ object }) => object.id === onto.object.id),
    );
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ul aria-label={t`Objects, from the front to the back`} className="flex flex-col">
          {rows.map((row) => (
            <ObjectRow
              key={row.object.id}
              object={row.object}
              depth={row.depth}
              shows={shownBy(row.object, known)}
              rule={[ruleOf(row.object, known), timeOf(row.object)].filter(Boolean).join(", ")}
              isSelected={selected.includes(row.object.id)}
              isHidden={hidden.has(row.object.id)}
              isOutside={outside.has(row.object.id)}
              isDrawn={isDrawn(row.object.id)}
              acts={acts}
            />
          ))}
        </ul>
      </SortableContext>
      {rows.length === 0 && (
        <p className="px-3 py-2 text-[15px] text-second">{t`Nothing is on the canvas yet.`}</p>
      )}
    </DndContext>
  );
}

const iconClass =
  "grid size-7 shrink-0 place-content-center rounded-md text-quiet hover:bg-edge hover:text-paper";

const ObjectRow = memo(function ObjectRow({
  object,
  depth,
  shows,
  rule,
  isSelected,
  isHidden,
  isOutside,
  isDrawn,
  acts,
}: {
  object: SceneObject;
  depth: number;
  /** Labels of the fields in it. */
  shows: string;
  /** What hides it, and when it is seen. */
  rule: string;
  isSelected: boolean;
  isHidden: boolean;
  isOutside: boolean;
  isDrawn: boolean;
  acts: RowActs;
}) {
  const sortable = useSortable({ id: object.id });
  const [isNaming, setNaming] = useState(false);
  const isLocked = object.kind !== "unreadable" && object.editing.isLocked;
  const name = nameOf(object);
  return (
    <li
      ref={sortable.setNodeRef}
      style={{
        transform: CSS.Translate.toString(sortable.transform),
        transition: sortable.transition,
        paddingLeft: depth * 14,
      }}
      className={`flex items-center border-b border-edge ${isSelected ? "bg-act-ground" : ""} ${sortable.isDragging ? "z-10 bg-lifted" : ""}`}
    >
      <button
        type="button"
        aria-label={t`Move ${name} in front or behind`}
        {...sortable.attributes}
        {...sortable.listeners}
        className="grid size-7 shrink-0 cursor-grab place-content-center text-quiet hover:text-paper"
      >
        <GripVertical aria-hidden="true" className="size-4" />
      </button>
      {isNaming ? (
        <input
          aria-label={t`Name of ${name}`}
          // biome-ignore lint/a11y/noAutofocus: it was asked for to type into
          autoFocus
          defaultValue={name}
          maxLength={80}
          onBlur={({ target }) => {
            setNaming(false);
            if (target.value !== name) acts.rename(object.id, target.value);
          }}
          onKeyDown={(event) => {
            if (event.key === "Enter") event.currentTarget.blur();
            if (event.key === "Escape") {
              event.currentTarget.value = name;
              event.currentTarget.blur();
            }
          }}
          className="min-h-8 min-w-0 flex-1 rounded-md border border-act bg-ground px-1.5 text-[15px]"
        />
      ) : (
        <button
          type="button"
          aria-pressed={isSelected}
          onClick={(event) => acts.select(object.id, event.shiftKey || event.ctrlKey)}
          onDoubleClick={() => setNaming(true)}
          onKeyDown={(event) => event.key === "F2" && setNaming(true)}
          className="flex min-h-9 min-w-0 flex-1 flex-col justify-center py-0.5 text-left"
        >
          <span className="flex w-full min-w-0 items-baseline gap-2">
            <span className={`min-w-0 truncate text-[15px] ${isDrawn && !isHidden ? "" : "text-quiet"}`}>
              {name}
            </span>
            <span className="shrink-0 text-[14px] text-second">{kindName(object)}</span>
            {isOutside && <span className="shrink-0 text-[14px] text-attention">{t`outside`}</span>}
            {!isDrawn && !isOutside && (
              <span className="shrink-0 text-[14px] text-quiet">{t`not shown`}</span>
            )}
          </span>
          {(shows || rule) && (
            <span title={rule || undefined} className="w-full truncate text-[14px] text-second">
              {[shows && `“${shows}”`, rule].filter(Boolean).join(" · ")}
            </span>
          )}
        </button>
      )}
      <button
        type="button"
        aria-label={isHidden ? t`Show ${name} here` : t`Hide ${name} here`}
        aria-pressed={isHidden}
        onClick={() => acts.hide(object.id)}
        className={iconClass}
      >
        {isHidden ? <EyeOff className="size-4" /> : <Eye className="size-4" />}
      </button>
      <button
        type="button"
        aria-label={isLocked ? t`Unlock ${name}` : t`Lock ${name}`}
        aria-pressed={isLocked}
        onClick={() => acts.lock(object.id, !isLocked)}
        className={iconClass}
      >
        {isLocked ? <Lock className="size-4 text-paper" /> : <LockOpen className="size-4" />}
      </button>
    </li>
  );
});
