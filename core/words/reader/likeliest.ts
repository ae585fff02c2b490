import { t } from "../../language/t.ts";
import { type Candidate, LINE_KINDS, type LineKind, type Zone } from "./candidate.ts";
import type { SongFacts } from "./facts.ts";
import { WEIGHERS } from "./kinds.ts";

const ZONES: readonly Zone[] = ["top", "head", "body", "foot"];

/** What a kind costs in a zone, and the zone that it leads to; a kind that is not named cannot stand there. */
const STANDS: Readonly<Record<Zone, Partial<Record<LineKind, readonly [cost: number, leadsTo: Zone]>>>> = {
  top: {
    title: [0, "head"],
    note: [0, "top"],
    rule: [0, "top"],
    key: [1, "top"],
    order: [1, "top"],
    credit: [1, "top"],
    label: [0, "body"],
    words: [0, "body"],
    repeat: [1, "body"],
    chords: [0, "body"],
    tab: [0, "body"],
  },
  head: {
    note: [1, "head"],
    rule: [0, "head"],
    key: [0, "head"],
    order: [0, "head"],
    credit: [0, "head"],
    label: [0, "body"],
    words: [0, "body"],
    repeat: [1, "body"],
    chords: [0, "body"],
    tab: [0, "body"],
  },
  body: {
    label: [0, "body"],
    words: [0, "body"],
    repeat: [0, "body"],
    chords: [0, "body"],
    tab: [0, "body"],
    rule: [0, "body"],
    note: [1, "body"],
    key: [1.5, "body"],
    order: [0.5, "body"],
    credit: [4, "body"],
  },
  foot: {
    note: [0, "foot"],
    rule: [0, "foot"],
    key: [1, "foot"],
    order: [0, "foot"],
    credit: [0, "foot"],
  },
};

export interface Chosen extends Candidate {
  readonly zone: Zone;
  /** What it could be instead with nearly the same weight. */
  readonly isDoubtful: boolean;
}

/** Below this much weight between the two likeliest, a person should look. */
const DOUBT = 2.5;
/** What a person said counts more than anything. */
const TOLD = 1_000;

/**
 * The likeliest reading of all lines together: the way through the zones, which only go on from top to foot, that has
 * the most weight (the Viterbi algorithm over lines and zones).
 * @param told what a person said a line is, by its index
 * @returns for each line that is not blank what it is
 */
export function likeliest(song: SongFacts, told: ReadonlyMap<number, LineKind>): Chosen[] {
  interface Way {
    readonly weight: number;
    readonly from: Way | undefined;
    readonly candidate: Candidate;
    readonly zone: Zone;
  }
  const hasTitle = [...told.values()].includes("title");
  const options = song.lines.map((line) => {
    const said = told.get(line.index);
    if (said !== undefined)
      return [{ kind: said, weight: TOLD, why: t`was said by hand` }] satisfies Candidate[];
    // Who says which line is the title says that no other is.
    const kinds = hasTitle ? LINE_KINDS.filter((kind) => kind !== "title") : LINE_KINDS;
    return kinds.flatMap((kind) => WEIGHERS[kind](line, song) ?? []);
  });
  let ways = new Map<Zone, { weight: number; way: Way | undefined }>([
    ["top", { weight: 0, way: undefined }],
  ]);
  for (const candidates of options) {
    const next = new Map<Zone, { weight: number; way: Way }>();
    const offer = (zone: Zone, stands: Zone, weight: number, from: Way | undefined, candidate: Candidate) => {
      const known = next.get(zone);
      if (!known || weight > known.weight)
        next.set(zone, { weight, way: { weight, from, candidate, zone: stands } });
    };
    for (const zone of ZONES) {
      const before = ways.get(zone);
      if (!before) continue;
      for (const candidate of candidates) {
        const isTold = candidate.weight === TOLD;
        const places: Zone[] = zone === "body" ? ["body", "foot"] : [zone];
        for (const place of places) {
          if (candidate.zones && !candidate.zones.includes(place)) continue;
          const stands = STANDS[place][candidate.kind] ?? (isTold ? ([0, place] as const) : undefined);
          if (!stands) continue;
          offer(stands[1], place, before.weight + candidate.weight - stands[0], before.way, candidate);
        }
      }
    }
    ways = next;
    if (ways.size === 0) throw new Error("Every line must be readable as something");
  }
  const best = [...ways.values()].sort((a, b) => b.weight - a.weight)[0];
  const chosen: Chosen[] = [];
  for (let way = best?.way; way; way = way.from) {
    const candidates = options[song.lines.length - 1 - chosen.length] ?? [];
    const rival = Math.max(
      ...candidates
        .filter(
          ({ kind, zones }) =>
            kind !== way.candidate.kind && (!zones || zones.includes(way.zone)) && STANDS[way.zone][kind],
        )
        .map(({ weight }) => weight),
    );
    chosen.push({
      ...way.candidate,
      zone: way.zone,
      isDoubtful: way.candidate.weight !== TOLD && way.candidate.weight - rival < DOUBT,
    });
  }
  return chosen.reverse();
}
