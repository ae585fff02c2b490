import { type Branch, isBranch, isOrder, type Json } from "./tree.ts";

/** A list of things that have a name, as two branches: the things by it, and its order. */
export interface KeyedList {
  readonly things: Branch;
  readonly order: readonly string[];
}

export function takeApart(list: readonly Branch[], nameOf: (thing: Branch) => string): KeyedList {
  const things: Record<string, Json> = {};
  const order: string[] = [];
  for (const thing of list) {
    let name = nameOf(thing);
    // Two of one name are both kept.
    while (Object.hasOwn(things, name)) name += "′";
    things[name] = thing;
    order.push(name);
  }
  return { things, order };
}

/** The list again: what no order names comes last, so that nothing is lost when two hands were at it. */
export function putTogether(things: Json | undefined, order: Json | undefined): Json[] {
  const all = isBranch(things) ? things : {};
  const named = isOrder(order) ? order.filter((name) => Object.hasOwn(all, name)) : [];
  const others = Object.keys(all).filter((name) => !named.includes(name));
  return [...named, ...others].map((name) => all[name] as Json);
}
