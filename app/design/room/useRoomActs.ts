import { distributeObjects, equalSizes } from "../../../core/design/edit/arrange.ts";
import { newObject } from "../../../core/design/edit/newObject.ts";
import { type Boxes, findObject, withObjects } from "../../../core/design/edit/objects.ts";
import { moveObjects } from "../../../core/design/edit/place.ts";
import { objectFor } from "../../../core/design/edit/showField.ts";
import {
  groupObjects,
  insertObjects,
  type Restacking,
  removeObjects,
  restack,
  ungroup,
} from "../../../core/design/edit/structure.ts";
import { t } from "../../../core/language/t.ts";
import { fieldKind } from "../../../core/scene/fieldKinds.ts";
import type { FieldDef, FieldSet } from "../../../core/scene/fieldSet.ts";
import { type LeafKindName, OBJECT_KINDS, type ReadableObject } from "../../../core/scene/objectKinds.ts";
import type { Template } from "../../../core/scene/template.ts";
import { isTyping } from "../../ui/isTyping.ts";
import { useClipboard } from "../../ui/useClipboard.ts";
import type { KeyActs } from "../../ui/useKeys.ts";
import { objectsIn, textOfObjects } from "./copiedObjects.ts";

export type ArrangeAct =
  | "front"
  | "forward"
  | "backward"
  | "back"
  | "spread"
  | "stack"
  | "sameWidth"
  | "sameHeight"
  | "group"
  | "ungroup"
  | "duplicate"
  | "delete";

/** What can be done to what is chosen, by keys and by menus. */
export function useRoomActs({
  edit,
  step,
  doc,
  boxes,
  chosen,
  fieldSet,
  setSelected,
  setEntered,
  say,
}: {
  edit: (label: string, change: (from: Template) => Template, joins?: boolean) => void;
  step: (direction: "undo" | "redo") => void;
  /** As it is seen: in its shape. */
  doc: Template;
  boxes: Boxes;
  chosen: readonly string[];
  fieldSet: FieldSet | undefined;
  setSelected: (ids: readonly string[]) => void;
  setEntered: (ids: ReadonlySet<string>) => void;
  say: (sentence: string) => void;
}) {
  const objects = chosen.flatMap((id) => findObject(doc, id) ?? []);
  const insert = (label: string, wanted: readonly ReadableObject[], by: number) => {
    if (wanted.length === 0) return;
    const { template, ids } = insertObjects(doc, wanted, { xPx: by, yPx: by });
    edit(label, () => template);
    setSelected(ids);
  };
  const nudge = (xPx: number, yPx: number) =>
    edit(t`Nudge`, (from) => moveObjects(from, chosen, { xPx, yPx }, boxes), true);
  const stack = (how: Restacking) => () =>
    edit(t`Put in front or behind`, (from) => restack(from, chosen, how));
  const arrange: Readonly<Record<ArrangeAct, () => void>> = {
    front: stack("front"),
    forward: stack("forward"),
    backward: stack("backward"),
    back: stack("back"),
    spread: () => edit(t`Equal room, side by side`, (from) => distributeObjects(from, chosen, "x", boxes)),
    stack: () =>
      edit(t`Equal room, one under another`, (from) => distributeObjects(from, chosen, "y", boxes)),
    sameWidth: () => edit(t`Equal widths`, (from) => equalSizes(from, chosen, "width", boxes)),
    sameHeight: () => edit(t`Equal heights`, (from) => equalSizes(from, chosen, "height", boxes)),
    group: () => {
      const made = groupObjects(doc, chosen, boxes);
      if (!made) return;
      edit(t`Group`, () => made.template);
      setSelected([made.groupId]);
    },
    ungroup: () => edit(t`Ungroup`, (from) => chosen.reduce(ungroup, from)),
    duplicate: () => insert(t`Duplicate`, objects, 24),
    delete: () => {
      edit(t`Delete`, (from) => removeObjects(from, chosen));
      setSelected([]);
    },
  };
  useClipboard({
    copied: () => textOfObjects(objects),
    onCopied: (isCut) => {
      say(objects.length === 1 ? t`The object is copied.` : t`${objects.length} objects are copied.`);
      if (isCut) arrange.delete();
    },
    paste: (text) => {
      const pasted = objectsIn(text);
      insert(t`Paste`, pasted, 0);
      return pasted.length > 0;
    },
  });
  const keys: KeyActs = {
    "Control+z": { run: () => step("undo") },
    "Control+Shift+z": { run: () => step("redo") },
    "Control+y": { run: () => step("redo") },
    "Control+d": { run: () => arrange.duplicate() },
    "Control+g": { run: () => arrange.group() },
    "Control+Shift+g": { run: () => arrange.ungroup() },
    "Control+a": { run: () => setSelected(doc.objects.map(({ id }) => id)) },
    Delete: { run: () => arrange.delete(), where: isOnObjects },
    Backspace: { run: () => arrange.delete(), where: isOnObjects },
    Escape: {
      run: () => {
        setSelected([]);
        setEntered(new Set());
      },
    },
    "Control+]": { run: () => arrange.forward() },
    "Control+[": { run: () => arrange.backward() },
    ...Object.fromEntries(
      (
        [
          ["ArrowLeft", -1, 0],
          ["ArrowRight", 1, 0],
          ["ArrowUp", 0, -1],
          ["ArrowDown", 0, 1],
        ] as const
      ).flatMap(([key, x, y]) => [
        [key, { run: () => nudge(x, y), where: isOnObjects }],
        [`Shift+${key}`, { run: () => nudge(x * 10, y * 10), where: isOnObjects }],
      ]),
    ),
  };
  return {
    keys,
    arrange,
    add: (kind: LeafKindName) => {
      const fields = (fieldSet?.fields ?? []).map((field) => ({
        name: field.name,
        media: fieldKind(field.kind).media,
        isRows: field.kind === "rows",
      }));
      insert(t`Add ${OBJECT_KINDS[kind].name}`, [newObject(doc, kind, fields) as ReadableObject], 0);
    },
    /** What was made of the template, with one of its objects chosen. */
    put: (label: string, made: Template, id: string) => {
      edit(label, () => made);
      setSelected([id]);
    },
    /** One of our own marks, in a colour of the style. */
    addMark: (name: string, path: string, token: string) => {
      const made = newObject(doc, "path") as ReadableObject;
      const fill = { kind: "solid", color: { token } };
      insert(
        t`Add ${name}`,
        [{ ...made, path, fill, editing: { ...made.editing, name } } as ReadableObject],
        0,
      );
    },
    /** An object for a field that nothing shows yet. */
    show: (field: FieldDef) =>
      insert(t`Show ${field.label}`, [objectFor(doc, field, boxes) as ReadableObject], 0),
    editing: (id: string, label: string, change: Partial<ReadableObject["editing"]>) =>
      edit(label, (from) =>
        withObjects(from, (each) =>
          each.id === id ? { ...each, editing: { ...each.editing, ...change } } : each,
        ),
      ),
  };
}

/** The canvas, the list of objects, or nothing has the focus: keys mean what is chosen. */
export const isOnObjects = (target: EventTarget | null): boolean =>
  !isTyping(target) &&
  target instanceof Element &&
  (target === document.body || target.closest("[data-room], [data-objects]") !== null);
