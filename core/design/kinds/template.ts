import { t } from "../../language/t.ts";
import { findCircles } from "../../scene/findCircles.ts";
import type { ReadableObject } from "../../scene/objectKinds.ts";
import { propertiesOf } from "../../scene/propertiesOf.ts";
import { allObjects, type Template } from "../../scene/template.ts";
import { templateKind } from "../../stored/kinds/template.ts";
import { putTogether, takeApart } from "../keyedList.ts";
import { byThing, fromTo, isAdded, isGone, listed } from "../sayChanges.ts";
import { type Branch, isBranch, isOrder, type Json } from "../tree.ts";
import type { DesignKind } from "./designKind.ts";

const isGroup = (object: Json | undefined): object is Branch & { readonly objects: readonly Branch[] } =>
  isBranch(object) && object.kind === "group" && Array.isArray(object.objects);

/** Objects are found by their ids, whatever group they lie in; what lies in a group is an order of its own. */
export const templateDesign: DesignKind<Template> = {
  stored: templateKind,
  faultOf: findCircles,
  toTree: ({ objects, shapes, ...head }) => {
    const all: Record<string, Json> = {};
    const members: Record<string, Json> = {};
    const walk = (list: readonly Branch[]): readonly string[] => {
      const { things, order } = takeApart(list, ({ id }) => String(id));
      for (const [id, object] of Object.entries(things)) {
        if (!isGroup(object)) {
          all[id] = object;
          continue;
        }
        const { objects: inside, ...group } = object;
        all[id] = group;
        members[id] = walk(inside);
      }
      return order;
    };
    const order = walk(objects as unknown as readonly Branch[]);
    const variants = takeApart(shapes as unknown as Branch[], ({ name }) => String(name));
    return {
      ...(head as unknown as Branch),
      objects: all,
      order,
      members,
      shapes: variants.things,
      shapeOrder: variants.order,
    };
  },
  inWords: (changes, before, after) => {
    const names = new Map(
      [...allObjects(before), ...allObjects(after)].map(({ object }) => [object.id, object]),
    );
    const sentences = [...byThing(changes, 2)].flatMap(([, ofOne]): readonly string[] => {
      const [change] = ofOne;
      const [part = "", name = ""] = change?.path ?? [];
      if (!change) return [];
      switch (part) {
        case "objects": {
          const object = names.get(name);
          const called = `“${object?.editing.name || name}”`;
          if (change.path.length === 2 && isAdded(change)) return [t`${called} was added.`];
          if (change.path.length === 2 && isGone(change)) return [t`${called} was deleted.`];
          return [`${called}: ${listed(ofOne.map(({ path }) => propertyName(object, path[2] ?? "")))}.`];
        }
        case "order":
        case "members":
          return [ORDERED];
        case "shapes":
        case "shapeOrder":
          return [name ? t`The shape “${name}” was changed.` : t`Shapes were added or deleted.`];
        case "canvas":
          return [t`The canvas is ${after.canvas.widthPx} × ${after.canvas.heightPx}.`];
        case "name":
          return [t`The name ${fromTo(change)}.`];
        case "editing":
          return [name === "note" ? t`The note was changed.` : t`Guides were changed.`];
        default:
          return [t`“${part}” was changed.`];
      }
    });
    // What was added or deleted stands in another order of itself.
    const isOnlyOrder = sentences.every((sentence) => sentence === ORDERED);
    return [...new Set(isOnlyOrder ? sentences : sentences.filter((sentence) => sentence !== ORDERED))];
  },
  fromTree: ({ objects, order, members, shapes, shapeOrder, ...head }) => {
    const all = isBranch(objects) ? objects : {};
    const orders = isBranch(members) ? members : {};
    const placed = new Set<string>();
    const build = (ids: Json | undefined): Json[] =>
      (isOrder(ids) ? ids : []).flatMap((id): Json[] => {
        const object = all[id];
        if (placed.has(id) || !isBranch(object)) return [];
        placed.add(id);
        return [object.kind === "group" ? { ...object, objects: build(orders[id]) } : object];
      });
    const ordered = build(order);
    // What was put into a group that somebody else took away meanwhile lies on top of all.
    const left = Object.keys(all).flatMap((id) => (placed.has(id) ? [] : build([id])));
    return { ...head, objects: [...ordered, ...left], shapes: putTogether(shapes, shapeOrder) };
  },
};

const ORDERED = t`Objects lie in another order.`;

/** A property as people know it: “fill”, “corner radius”. */
function propertyName(object: ReadableObject | undefined, name: string): string {
  const title = object && propertiesOf(object.kind).find((property) => property.name === name)?.title;
  return (title ?? name).toLowerCase();
}
