import { type ClipPlay, clipEndsAtMs } from "../clips/clipPlay.ts";
import type { ReadyClip } from "../clips/readyClip.ts";
import { columnNames, type Table } from "../feeds/table.ts";
import { formatClock, formatSpan } from "../figures/clockText.ts";
import type { Programme, ProgrammeItem } from "./programme.ts";

/** Names of the rows: what is on, what comes next, and what comes after that. */
const ROWS = ["now", "next", "later", "later 2", "later 3", "later 4", "later 5", "later 6"] as const;
/** The columns that every show has; fields of clips come after them. */
const COLUMNS = ["when", "title", "starts", "ends", "length", "what"] as const;

export interface NowNextParts {
  readonly play: ClipPlay | null;
  readonly clips: readonly ReadyClip[];
  readonly programme: Programme;
  /** Fields of clips that are columns. */
  readonly fields: readonly string[];
  readonly timeZone: string;
}

interface Item {
  readonly title: string;
  readonly startsAtMs: number | null;
  readonly endsAtMs: number | null;
  readonly lengthMs: number | null;
  readonly what: "clip" | "script";
  readonly details: Readonly<Record<string, string>>;
}

/**
 * Now, next and later as a table: a clip that plays is now, and what plays after it by itself is next; then come the parts of the
 * script. Times are of the show's zone; what nothing fixes has none.
 */
export function nowNextTable(parts: NowNextParts, nowMs: number): Table {
  const { fields, timeZone } = parts;
  const items = itemsOf(parts, nowMs);
  const clock = (atMs: number | null) => (atMs === null ? "" : formatClock(roundedMs(atMs), "hms", timeZone));
  return {
    columns: columnNames([...COLUMNS, ...fields]),
    rows: ROWS.map((name, index) => {
      const item = items[index];
      if (!item) return [name, ...Array.from({ length: COLUMNS.length - 1 + fields.length }, () => "")];
      const { title, startsAtMs, endsAtMs, lengthMs, what, details } = item;
      const length = lengthMs === null ? "" : formatSpan(Math.round(lengthMs / 1_000));
      const cells = [name, title, clock(startsAtMs), clock(endsAtMs), length, what];
      return [...cells, ...fields.map((field) => details[field] ?? "")];
    }),
  };
}

/** Whole seconds: a countdown to the end of a clip is at zero within half a second of it. */
const roundedMs = (atMs: number): number => Math.round(atMs / 1_000) * 1_000;
/** The script runs as it runs: its times are told to the minute. */
const toTheMinute = (atMs: number | null): number | null =>
  atMs === null ? null : Math.round(atMs / 60_000) * 60_000;

function itemsOf({ play, clips, programme }: NowNextParts, nowMs: number): (Item | undefined)[] {
  const { present, coming } = programme;
  const script = coming.map(scriptItem);
  if (!play || play.isOver) return [present ? scriptItem(present) : undefined, ...script];
  const after = comingClips(play, clips, nowMs);
  const shown = new Set([play.clipId, ...after.map(({ clipId }) => clipId)]);
  // What plays already, or comes by itself, is not told once more where its cue stands in the script.
  const others = coming.filter(({ clip }) => !clip || !shown.has(clip.clip.id)).map(scriptItem);
  const playing: Item = {
    title: play.title,
    startsAtMs: play.begunAtMs,
    endsAtMs: play.atEnd === "loop" ? null : clipEndsAtMs(play, nowMs),
    lengthMs: play.lengthMs,
    what: "clip",
    details: clips.find(({ clip }) => clip.id === play.clipId)?.details ?? {},
  };
  return [playing, ...after.map(({ item }) => item), ...others];
}

/** The clips that play after one another by themselves, with their times while it runs. */
function comingClips(play: ClipPlay, clips: readonly ReadyClip[], nowMs: number) {
  const found: { clipId: string; item: Item }[] = [];
  let at = clips.findIndex(({ clip }) => clip.id === play.clipId);
  let { atEnd } = play;
  let startsAtMs = clipEndsAtMs(play, nowMs);
  while (atEnd === "next" && at >= 0 && found.length < ROWS.length) {
    const next = clips[++at];
    const lengthMs = next?.media?.durationMs;
    if (!next || !lengthMs) break;
    const endsAtMs = startsAtMs === null || next.clip.atEnd === "loop" ? null : startsAtMs + lengthMs;
    const { title, details } = next;
    found.push({
      clipId: next.clip.id,
      item: { title, startsAtMs, endsAtMs, lengthMs, what: "clip", details },
    });
    ({ atEnd } = next.clip);
    startsAtMs = endsAtMs;
  }
  return found;
}

function scriptItem({ title, startsAtMs, lengthMs, clip }: ProgrammeItem): Item {
  const endsAtMs = startsAtMs === null || lengthMs === null ? null : startsAtMs + lengthMs;
  return {
    title,
    startsAtMs: toTheMinute(startsAtMs),
    endsAtMs: toTheMinute(endsAtMs),
    lengthMs,
    what: clip ? "clip" : "script",
    details: clip?.details ?? {},
  };
}
