import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";

/** Outfits that divide the words alike share one column of brackets. */
export interface BracketGroup {
  readonly id: string;
  /** Names of the outfits, joined. */
  readonly name: string;
  readonly outfits: readonly DeskOutfit[];
}

/** @param divisionOf what tells outfits apart, such as their divisions as text; undefined where one shows nothing */
export function groupAlike(
  outfits: readonly DeskOutfit[],
  divisionOf: (outfit: DeskOutfit) => string | undefined,
): BracketGroup[] {
  const groups = new Map<string, DeskOutfit[]>();
  for (const outfit of outfits) {
    const division = divisionOf(outfit);
    if (division !== undefined) groups.set(division, [...(groups.get(division) ?? []), outfit]);
  }
  return [...groups.values()].map((members) => ({
    id: members[0]?.id ?? "",
    name: members.map(({ name }) => name).join(", "),
    outfits: members,
  }));
}

/** Colour of a column's brackets; each column also has its place and its name. */
export const BRACKET_EDGES = ["border-second", "border-act", "border-attention", "border-paper"] as const;
export const bracketEdge = (column: number): string => BRACKET_EDGES[column % BRACKET_EDGES.length] as string;
