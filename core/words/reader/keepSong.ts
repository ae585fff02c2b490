import { NO_CREDITS } from "../credits.ts";
import { type SongFields, songOf } from "../songFields.ts";
import type { LineKind } from "./candidate.ts";
import { type ReadLine, readSong, type SongReading } from "./readSong.ts";
import { MOST_TOLD, TOLD_KINDS, type Told, type ToldKind } from "./told.ts";

/** What stays in a song's text; the rest goes into fields or was no part of the song. */
const STAYS: ReadonlySet<LineKind> = new Set(["words", "label", "repeat", "chords"]);

const same = (a: SongReading, b: SongReading) =>
  JSON.stringify([a.song.sections.map(({ key, stanzas }) => [key, stanzas]), a.song.order]) ===
  JSON.stringify([b.song.sections.map(({ key, stanzas }) => [key, stanzas]), b.song.order]);

/**
 * The song as it is kept: labels, words, chords and what says to repeat stay in the text as they were typed; title,
 * credits and order go into their fields; what was no part of the song is left out.
 * The text that is kept is read the same again, whatever stood about it: where it would not be, it says which line is
 * what, and where even that does not help, the text stays whole.
 * @param text as it was pasted
 */
export function keepSong(text: string, reading: SongReading, told: readonly Told[] = []): SongFields {
  const { song, typedOrder } = reading;
  const fields = {
    ...songOf(song.title.slice(0, 200), ""),
    order: typedOrder.slice(0, 2_000),
    credits: { ...NO_CREDITS, ...song.credits },
  };
  const kept = keptText(reading.lines);
  for (const says of [stillTold(told, reading.lines), everyLine(reading.lines)]) {
    const again = readSong(kept, { title: fields.title, told: says });
    if (
      "reading" in again &&
      same(
        {
          ...again.reading,
          song: { ...again.reading.song, order: withoutTypedOrder(again.reading, reading) },
        },
        reading,
      )
    )
      return { ...fields, text: kept, told: [...says] };
  }
  return { ...fields, text, told: [...told] };
}

/** An order that a line said is kept in its own field, and is not compared. */
const withoutTypedOrder = (again: SongReading, { song, typedOrder }: SongReading) =>
  typedOrder === "" ? again.song.order : song.order;

function keptText(lines: readonly ReadLine[]): string {
  const kept: string[] = [];
  let breaks = false;
  for (const [i, line] of lines.entries()) {
    breaks ||= line.blankBefore || line.kind === "rule";
    if (!STAYS.has(line.kind)) continue;
    if (kept.length > 0 && kept.at(-1) !== "" && breaks) kept.push("");
    breaks = false;
    const isUnderChords = lines[i - 1]?.kind === "chords";
    kept.push(
      line.kind === "chords" || (isUnderChords && line.typed.trim().replace(/\s+/g, " ") === line.text)
        ? line.typed.trimEnd()
        : line.text,
    );
  }
  return kept.join("\n").trim();
}

/** What was told of lines that stay. */
const stillTold = (told: readonly Told[], lines: readonly ReadLine[]) =>
  told.filter(({ line }) => lines.some((each) => each.text === line && STAYS.has(each.kind)));

const isToldKind = (kind: LineKind): kind is LineKind & ToldKind =>
  (TOLD_KINDS as readonly string[]).includes(kind);

/** Every line that stays, said to be what it is. */
function everyLine(lines: readonly ReadLine[]): Told[] {
  const seen = new Map<string, number>();
  return lines
    .filter(({ kind }) => STAYS.has(kind))
    .flatMap(({ text, kind }) => {
      const nth = seen.get(text) ?? 0;
      seen.set(text, nth + 1);
      return isToldKind(kind) ? [{ line: text.slice(0, 400), nth, kind }] : [];
    })
    .slice(0, MOST_TOLD);
}
