import Papa from "papaparse";
import { readTimeOfDay } from "../time/timeOfDay.ts";
import { isChordPro } from "../words/chordPro.ts";
import { foldWords } from "../words/foldWords.ts";
import { findLoneLabel } from "../words/reader/label.ts";
import { withoutHead } from "./nameAndRole.ts";

/** One thing of a rundown that somebody wrote as text. */
export interface RundownEntry {
  /** A part of the evening; something that is done; or the words of a song, several lines of them. */
  readonly kind: "heading" | "item" | "song";
  readonly text: string;
  /** HH:MM; empty when not said. */
  readonly plannedAt: string;
  readonly plannedMs: number | null;
  readonly note: string;
}

/** What is longer is a book. */
export const MOST_ENTRIES = 1_000;
const LONGEST_TEXT = 500_000;
/** Lines together without a mark that are words to sing. */
const STANZA_LINES = 3;

const entry = (kind: RundownEntry["kind"], text: string, more: Partial<RundownEntry> = {}): RundownEntry => ({
  ...{ kind, text, plannedAt: "", plannedMs: null, note: "" },
  ...more,
});

/**
 * Reads a rundown as people write them: plain text or Markdown with headings, lists and tables, or cells (CSV). What a line is for is
 * not decided here, but what stands about it: its time, its length, a note, and which lines are the words of one song.
 */
export function readRundownText(raw: string): RundownEntry[] {
  const text = raw
    .slice(0, LONGEST_TEXT)
    .replace(/^\ufeff/, "")
    .replace(/\r\n?/g, "\n");
  if (text.trim() === "") return [];
  if (isChordPro(text)) return [entry("song", text.trim())];
  const table = readCells(text);
  if (table) return table.slice(0, MOST_ENTRIES);
  return new Lines(text.split("\n")).read().slice(0, MOST_ENTRIES);
}

/** What people call the columns of a rundown. */
const COLUMNS: Readonly<Record<"title" | "at" | "length" | "seconds" | "kind" | "note", readonly string[]>> =
  {
    title: [
      "cue",
      "title",
      "item",
      "what",
      "name",
      "programme",
      "program",
      "element",
      "titel",
      "titulo",
      "titre",
    ],
    at: ["at", "time", "start", "starts", "begin", "from", "hora", "zeit", "heure"],
    length: ["length", "duration", "dur", "min", "minutes", "takes", "dauer", "duracion", "duree"],
    seconds: ["seconds", "sec", "secs"],
    kind: ["kind", "type", "art", "tipo"],
    note: ["note", "notes", "remark", "remarks", "comment", "comments", "notiz", "nota"],
  };
type Column = keyof typeof COLUMNS;

/** Cells with a first row that names them; undefined: it is no table of a rundown. */
function readCells(text: string): RundownEntry[] | undefined {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy" });
  const [head = [], ...rows] = data;
  const places = placesOf(head);
  if (rows.length === 0 || head.length < 2 || places.title === undefined) return undefined;
  return rows.flatMap((row) => entryOfCells(row, places));
}

function placesOf(head: readonly string[]): Partial<Record<Column, number>> {
  const names = head.map((cell) => foldWords(cell));
  return Object.fromEntries(
    (Object.keys(COLUMNS) as Column[]).flatMap((column) => {
      const at = names.findIndex((name) => COLUMNS[column].includes(name));
      return at < 0 ? [] : [[column, at]];
    }),
  );
}

function entryOfCells(row: readonly string[], places: Partial<Record<Column, number>>): RundownEntry[] {
  const cell = (column: Column) =>
    places[column] === undefined ? "" : (row[places[column] as number] ?? "").trim();
  const title = plain(cell("title"));
  if (title === "") return [];
  const isHeading = foldWords(cell("kind")) === "heading";
  const seconds = Number(cell("seconds"));
  const plannedMs =
    cell("seconds") !== "" && Number.isFinite(seconds)
      ? seconds * 1_000
      : (readLength(cell("length")) ??
        (/^\d+$/.test(cell("length")) ? Number(cell("length")) * 60_000 : null));
  return [
    entry(isHeading ? "heading" : "item", title, {
      ...{ plannedAt: readTimeOfDay(cell("at")) ?? "", plannedMs, note: cell("note") },
    }),
  ];
}

class Lines {
  readonly #lines: readonly string[];
  readonly #entries: RundownEntry[] = [];
  /** Columns of the table of Markdown that goes on. */
  #places: Partial<Record<Column, number>> | undefined;

  constructor(lines: readonly string[]) {
    this.#lines = lines;
  }

  read(): RundownEntry[] {
    for (let at = 0; at < this.#lines.length; ) at = this.#take(at);
    return this.#entries;
  }

  /** @returns the line after what was taken */
  #take(at: number): number {
    const line = this.#lines[at] ?? "";
    const trimmed = line.trim();
    if (trimmed === "") {
      this.#places = undefined;
      return at + 1;
    }
    if (/^\|.*\|$/.test(trimmed)) return this.#takeTableRow(at, trimmed);
    this.#places = undefined;
    if (/^([-*_]\s*){3,}$/.test(trimmed)) return at + 1;
    const marked = /^#{1,6}\s+(.*?)\s*#*$/.exec(trimmed)?.[1];
    const isUnderlined = /^(=+|-{3,})$/.test((this.#lines[at + 1] ?? "").trim());
    if (marked !== undefined || (isUnderlined && !isListed(line))) {
      const title = marked ?? trimmed;
      const next = at + (isUnderlined && marked === undefined ? 2 : 1);
      const song = this.#takeSong(next, plain(title));
      if (song !== undefined) return song;
      this.#add(withTimes(plain(title), "heading"));
      return next;
    }
    const quoted = /^(?:>|(?:note|notes|nb)\s*[:.])\s*(.*)$/i.exec(trimmed)?.[1];
    if (quoted !== undefined && this.#noteTo(quoted)) return at + 1;
    // What is set in under a line says more of it.
    if (/^(\s{2,}|\t)/.test(line) && !isListed(line) && this.#noteTo(trimmed)) return at + 1;
    if (!isListed(line)) {
      const song = this.#takeSong(at, "");
      if (song !== undefined) return song;
      if (isCapitals(trimmed) || /^[^:]{2,60}:$/.test(trimmed)) {
        this.#add(withTimes(plain(trimmed.replace(/:$/, "")), "heading"));
        return at + 1;
      }
    }
    this.#add(withTimes(plain(withoutHead(line).trim()), "item"));
    return at + 1;
  }

  #takeTableRow(at: number, trimmed: string): number {
    const cells = trimmed
      .slice(1, -1)
      .split(/(?<!\\)\|/)
      .map((cell) => cell.trim());
    if (cells.every((cell) => /^:?-*:?$/.test(cell))) return at + 1;
    if (this.#places) for (const each of entryOfCells(cells, this.#places)) this.#add(each);
    else {
      const places = placesOf(cells);
      if (places.title === undefined)
        this.#add(withTimes(plain(cells.filter((cell) => cell !== "").join(" ")), "item"));
      else this.#places = places;
    }
    return at + 1;
  }

  /** Several lines in a row without a mark, or with the name of a section over them, are words to sing. */
  #takeSong(at: number, title: string): number | undefined {
    let from = at;
    if (title !== "") while ((this.#lines[from] ?? "x").trim() === "" && from < this.#lines.length) from++;
    let end = from;
    const isOver = (index: number) => {
      const line = this.#lines[index] ?? "";
      return (
        /^\s*(?:#{1,6}\s|>|\|.*\|\s*$)/.test(line) ||
        isListed(line) ||
        startsWithTime(line.trim()) ||
        /^(=+|-{3,})$/.test((this.#lines[index + 1] ?? "").trim())
      );
    };
    while (end < this.#lines.length && !isOver(end)) end++;
    const lines = this.#lines.slice(from, end);
    const stanza = lines.findIndex((line) => line.trim() === "");
    const first = (stanza < 0 ? lines : lines.slice(0, stanza)).length;
    const hasLabel = lines.some((line) => line.trim() !== "" && findLoneLabel(line.trim()) !== undefined);
    if (!hasLabel && first < STANZA_LINES) return undefined;
    const words = lines.join("\n").trim();
    // A label alone is no song.
    if (words.split("\n").filter((line) => line.trim() !== "").length < STANZA_LINES) return undefined;
    this.#add(entry("song", title === "" ? words : `${title}\n\n${words}`));
    return end;
  }

  #noteTo(words: string): boolean {
    const last = this.#entries.at(-1);
    if (!last || last.kind === "song") return false;
    this.#entries[this.#entries.length - 1] = {
      ...last,
      note: [last.note, plain(words)].filter((text) => text !== "").join("\n"),
    };
    return true;
  }

  #add(next: RundownEntry): void {
    if (next.text !== "") this.#entries.push(next);
  }
}

const isListed = (line: string): boolean =>
  /^\s*(?:[-*+•·▪◦‣●○∙➤►▸–—]\s+(?!\*)|\(?\d{1,3}[.)]\s+)/u.test(line) && !/^\s*\*\*[^*]+\*\*\s*$/.test(line);

/** A short line in capitals heads what follows. */
const isCapitals = (line: string): boolean =>
  line.length <= 60 && /\p{Lu}.*\p{Lu}/u.test(line) && !/\p{Ll}/u.test(line) && !startsWithTime(line);

const TIME = /^(\d{1,2}[:.h]\d{2}(?:\s*[ap]\.?m\.?)?|\d{1,2}\s*[ap]\.?m\.?)/i;
const startsWithTime = (line: string): boolean => readTimeOfDay(TIME.exec(line)?.[1] ?? "") !== undefined;

/** A line with its time in front and its length behind taken off. */
function withTimes(line: string, kind: RundownEntry["kind"]): RundownEntry {
  let text = line;
  let plannedAt = "";
  let plannedMs: number | null = null;
  const at = TIME.exec(text)?.[1];
  const time = at === undefined ? undefined : readTimeOfDay(at);
  if (at !== undefined && time !== undefined) {
    plannedAt = time;
    text = text.slice(at.length).replace(/^\s*(?:uhr|h)?\s*/i, "");
    const until = /^(?:[-–—]|to|until)\s*(\S+(?:\s*[ap]\.?m\.?)?)/i.exec(text);
    const end = until ? readTimeOfDay((TIME.exec(until[1] ?? "")?.[1] ?? "").trim()) : undefined;
    if (until && end !== undefined) {
      plannedMs = lengthBetween(time, end);
      text = text.slice(until[0].length);
    }
    text = text.replace(/^\s*[-–—:|]?\s*/, "");
  }
  const length =
    /\s*(?:[([]\s*([^)\]]{1,20})\s*[)\]]|[-–—,]\s*(\d{1,3}\s*(?:min(?:utes?)?|mins|m|s|sec(?:onds?)?|['’′″"])))\s*$/i.exec(
      text,
    );
  const ms = length ? readLength(length[1] ?? length[2] ?? "") : undefined;
  if (length && ms !== undefined) {
    plannedMs ??= ms;
    text = text.slice(0, length.index);
  }
  return entry(kind, text.trim(), { plannedAt, plannedMs });
}

const DAY_MINUTES = 24 * 60;
function lengthBetween(from: string, until: string): number {
  const [a, b] = [from, until].map((time) => {
    const [hours = 0, minutes = 0] = time.split(":").map(Number);
    return hours * 60 + minutes;
  }) as [number, number];
  return ((b - a + DAY_MINUTES) % DAY_MINUTES) * 60_000;
}

/** "5 min", "90 s", "3:20", "1 h", "5'", "1:02:30": ms; undefined when it is no length. */
export function readLength(said: string): number | undefined {
  const text = said.trim().toLowerCase();
  const clock = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)(?:\s*(?:min|minutes?|m))?$/.exec(text);
  if (clock) return ((Number(clock[1] ?? 0) * 60 + Number(clock[2])) * 60 + Number(clock[3])) * 1_000;
  const parts = [
    ...text.matchAll(
      /(\d+(?:[.,]\d+)?)\s*(h(?:ours?|rs?)?|min(?:ute)?s?|mins|m|['’′]|s(?:ec(?:onds?)?)?|secs|["″])(?![\p{L}])/gu,
    ),
  ];
  if (
    parts.length === 0 ||
    text.replace(/[\d.,\s]|h(?:ours?|rs?)?|min(?:ute)?s?|mins|m|s(?:ec(?:onds?)?)?|secs|and|['’′"″]/g, "") !==
      ""
  )
    return undefined;
  const ms = parts.reduce((sum, [, number = "0", unit = ""]) => {
    const per = unit.startsWith("h") ? 3_600_000 : /^(?:m|['’′])/.test(unit) ? 60_000 : 1_000;
    return sum + Number(number.replace(",", ".")) * per;
  }, 0);
  return ms > 0 && ms <= 86_400_000 ? Math.round(ms) : undefined;
}

/** Without the marks of Markdown: emphasis, code, links, boxes to tick. */
const plain = (text: string): string =>
  text
    .replace(/^\[[ xX]\]\s+/, "")
    .replace(/!?\[([^\]]*)\]\([^)]*\)/g, "$1")
    .replace(/(\*\*|__|~~|`)(.+?)\1/g, "$2")
    .replace(/(^|[\s(])[*_]([^*_\s][^*_]*)[*_](?=$|[\s.,;:!?)])/g, "$1$2")
    .replace(/\\([\\`*_[\]<>|#~])/g, "$1")
    .replace(/\s+/g, " ")
    .trim();
