import { t } from "../language/t.ts";
import { findCircle } from "./showWhen.ts";
import { allObjects, type Template } from "./template.ts";
import { findTieCircle } from "./ties.ts";

/** Rules or ties of a template that lead back to where they began, as the beginning of a sentence; undefined: there are none. */
export function findCircles(template: Pick<Template, "objects">): string | undefined {
  const all = allObjects(template);
  const objects = all.map(({ object }) => object);
  const parents = new Map(
    all.flatMap(({ object, parentId }) => (parentId === null ? [] : [[object.id, parentId]])),
  );
  const inOrder = (ids: readonly string[]) => ids.map((id) => `“${id}”`).join(" → ");
  const rules = findCircle(objects, parents);
  if (rules) return t`the show-when rules go in a circle (${inOrder(rules)})`;
  const ties = findTieCircle(objects);
  return ties && t`the ties go in a circle (${inOrder(ties)})`;
}
