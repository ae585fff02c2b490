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
  const named = withSources(template, (source) => {
    if (source.kind !== "library") return undefined;
    const hash = find(source.name);
    if (hash) return { kind: "media", hash };
    missing.add(source.name);
    return undefined;
  });
  return { template: named, missing: [...missing] };
}

/** A template with what it names of the library by hash named by name, for another show. @param nameOf undefined leaves it */
export const withMediaNames = (template: Template, nameOf: (hash: string) => string | undefined): Template =>
  withSources(template, (source) => {
    const name = source.kind === "media" ? nameOf(source.hash) : undefined;
    return name === undefined ? undefined : { kind: "library", name };
  });

/** A template with one thing of the library in the place of another. */
export const withMedia = (template: Template, before: string, after: string): Template =>
  withSources(template, (source) =>
    source.kind === "media" && source.hash === before ? { kind: "media", hash: after } : undefined,
  );

type LibrarySource =
  | { readonly kind: "media"; readonly hash: string }
  | { readonly kind: "library"; readonly name: string };

/** A template with what it names of the library replaced, wherever that stands. @param replace undefined leaves it */
function withSources(
  template: Template,
  replace: (source: LibrarySource) => LibrarySource | undefined,
): Template {
  const replaced = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(replaced);
    if (typeof value !== "object" || value === null) return value;
    const source = sourceOf(value);
    if (source) return replace(source) ?? value;
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, replaced(inner)]));
  };
  return { ...template, objects: replaced(template.objects) as SceneObject[] };
}

function sourceOf(value: object): LibrarySource | undefined {
  const { kind, hash, name } = value as Readonly<Record<string, unknown>>;
  if (kind === "media" && typeof hash === "string") return { kind, hash };
  return kind === "library" && typeof name === "string" ? { kind, name } : undefined;
}
