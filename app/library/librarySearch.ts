import { languageCode } from "../../core/language/t.ts";
import type { LibraryItem } from "../api/loaded.ts";

/** What is looked for in the library. */
export interface LibrarySearch {
  readonly typed: string;
  readonly type: LibraryItem["info"]["type"] | "all";
  /** Folder, and what lies in folders within it; null: everywhere. */
  readonly folder: string | null;
  readonly tag: string | null;
  readonly isUnusedOnly: boolean;
}

export const EVERYTHING: LibrarySearch = {
  typed: "",
  type: "all",
  folder: null,
  tag: null,
  isUnusedOnly: false,
};

const plain = (text: string): string => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** Whether something is looked for: every word that is typed stands in its name, folder or tags. */
export function isLookedFor(
  { info, folder, tags, uses }: LibraryItem,
  { typed, type, folder: within, tag, isUnusedOnly }: LibrarySearch,
): boolean {
  if (type !== "all" && info.type !== type) return false;
  if (within !== null && folder !== within && !folder.startsWith(`${within}/`)) return false;
  if (tag !== null && !tags.includes(tag)) return false;
  if (isUnusedOnly && uses.length > 0) return false;
  const said = plain([info.name, folder, ...tags].join(" "));
  return plain(typed)
    .split(/\s+/)
    .every((word) => said.includes(word));
}

/** Every folder that something lies in, and those around it, in the order of their names. */
export function foldersOf(items: readonly Pick<LibraryItem, "folder">[]): readonly string[] {
  const folders = new Set<string>();
  for (const { folder } of items) {
    const parts = folder.split("/").filter((part) => part !== "");
    for (let length = 1; length <= parts.length; length++) folders.add(parts.slice(0, length).join("/"));
  }
  return [...folders].sort((a, b) => a.localeCompare(b, languageCode()));
}

/** Every tag, the most used first. */
export function tagsOf(items: readonly Pick<LibraryItem, "tags">[]): readonly string[] {
  const counts = new Map<string, number>();
  for (const { tags } of items) for (const tag of tags) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  return [...counts]
    .sort(([a, m], [b, n]) => n - m || a.localeCompare(b, languageCode()))
    .map(([tag]) => tag);
}
