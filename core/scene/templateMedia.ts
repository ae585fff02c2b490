import { oncePer } from "../memo/oncePer.ts";
import type { SceneObject } from "./objectKinds.ts";
import { walk } from "./resolveObject.ts";
import { allObjects, type Template } from "./template.ts";

/** What is known of the pictures, clips and sounds that a template itself names, by hash. */
export const mediaNamedBy = oncePer((template: Pick<Template, "objects">): readonly string[] => {
  const hashes = new Set<string>();
  for (const { object } of allObjects(template))
    walk(object, (part) => {
      if ("kind" in part && part.kind === "media" && "hash" in part) hashes.add(String(part.hash));
    });
  return [...hashes];
});

/**
 * A template with what it names of the library by name named by hash.
 * @param find what of the library is called so
 * @returns also the names that nothing there has
 */
export function withLibraryMedia(
  template: Template,
  find: (name: string) => string | undefined,
): { readonly template: Template; readonly missing: readonly string[] } {
  const missing = new Set<string>();
  const named = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(named);
    if (typeof value !== "object" || value === null) return value;
    if ("kind" in value && value.kind === "library" && "name" in value) {
      const hash = find(String(value.name));
      if (hash) return { kind: "media", hash };
      missing.add(String(value.name));
      return value;
    }
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, named(inner)]));
  };
  const objects = named(template.objects) as SceneObject[];
  return { template: { ...template, objects }, missing: [...missing] };
}
