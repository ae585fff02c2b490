import { diff3Merge } from "node-diff3";
import { type SongFields, songFieldsOf } from "./songFields.ts";

/** A stretch of a text, or a whole field, that both changed otherwise. */
export interface SongConflict {
  readonly field: keyof SongFields;
  readonly before: string;
  readonly theirs: string;
  readonly ours: string;
}

export type Side = "theirs" | "ours";

/** Pieces of a merged song: settled ones, and those that somebody must choose. */
export interface MergedSong {
  readonly conflicts: readonly SongConflict[];
  /** The fields that only one of them changed, by who. */
  readonly changed: {
    readonly theirs: readonly (keyof SongFields)[];
    readonly ours: readonly (keyof SongFields)[];
  };
  /** @param choose for each conflict, in order, whose it is */
  readonly settle: (choose: (conflict: SongConflict, at: number) => Side) => SongFields;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const show = (value: unknown): string => (typeof value === "string" ? value : JSON.stringify(value));

/**
 * Two changes of one song brought together: what only one of them changed is theirs, what both changed alike is that,
 * words line by line. Only what both changed otherwise is asked; nobody's change is lost in silence.
 * @param then the song as it was before either change
 */
export function mergeSongs(then: SongFields, theirs: SongFields, ours: SongFields): MergedSong {
  const [base, one, other] = [then, theirs, ours].map(songFieldsOf) as [SongFields, SongFields, SongFields];
  const conflicts: SongConflict[] = [];
  const changed = { theirs: [] as (keyof SongFields)[], ours: [] as (keyof SongFields)[] };
  const settled: Record<string, (choose: (at: number) => Side) => unknown> = {};
  for (const field of Object.keys(other) as (keyof SongFields)[]) {
    const [was, their, our] = [base[field], one[field], other[field]];
    if (!same(was, their)) changed.theirs.push(field);
    if (!same(was, our)) changed.ours.push(field);
    if (same(was, our) || same(their, our)) settled[field] = () => their;
    else if (same(was, their)) settled[field] = () => our;
    else if (field === "text") {
      const regions = diff3Merge(one.text.split("\n"), base.text.split("\n"), other.text.split("\n"));
      const parts = regions.map((region) => {
        if (region.ok) return () => region.ok as string[];
        const { a = [], o = [], b = [] } = region.conflict ?? {};
        const at =
          conflicts.push({ field, before: o.join("\n"), theirs: a.join("\n"), ours: b.join("\n") }) - 1;
        return (choose: (at: number) => Side) => (choose(at) === "theirs" ? a : b);
      });
      settled[field] = (choose) => parts.flatMap((part) => part(choose)).join("\n");
    } else {
      const at = conflicts.push({ field, before: show(was), theirs: show(their), ours: show(our) }) - 1;
      settled[field] = (choose) => (choose(at) === "theirs" ? their : our);
    }
  }
  return {
    conflicts,
    changed,
    settle: (choose) =>
      Object.fromEntries(
        Object.entries(settled).map(([field, value]) => [
          field,
          value((at) => choose(conflicts[at] as SongConflict, at)),
        ]),
      ) as unknown as SongFields,
  };
}
