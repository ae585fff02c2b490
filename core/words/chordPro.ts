import { hasChords, isChordLine, mergeChords } from "./chords.ts";
import { dropInvisible, splitLines } from "./cleanLines.ts";
import { NO_CREDITS } from "./credits.ts";
import { findLoneLabel } from "./reader/label.ts";
import { type SongFields, songOf } from "./songFields.ts";

/**
 * Songs in the ChordPro format: directives in braces, chords in brackets. Published directives that say what we
 * know are read into fields; all others are kept as they came and written again.
 */

/** Name, whether its selector is turned round, the selector, the value. */
const DIRECTIVE = /^\{\s*(\w+)(?:-(!?)([\w-]+))?\s*(?::|\s)?\s*(.*?)\s*\}$/;
const SHORT: ReadonlyMap<string, string> = new Map(
  Object.entries({
    t: "title",
    st: "subtitle",
    su: "subtitle",
    soc: "start_of_chorus",
    eoc: "end_of_chorus",
    sov: "start_of_verse",
    eov: "end_of_verse",
    sob: "start_of_bridge",
    eob: "end_of_bridge",
    c: "comment",
    ci: "comment_italic",
    cb: "comment_box",
    h: "highlight",
    sot: "start_of_tab",
    eot: "end_of_tab",
    sog: "start_of_grid",
    eog: "end_of_grid",
    ns: "new_song",
  }),
);
/** Markup of the published format within values and words. */
const MARKUP = /<\/?(?:b|i|u|s|o|small|big|strut|span|sub|sup|tt|img|sym)\b[^<>]*>/gi;
const plain = (value: string) => value.replace(MARKUP, "");

/** Lines with continuations joined and escaped characters as they are: a backslash at the end goes on on the next line. */
const expand = (text: string): string =>
  splitLines(text)
    .join("\n")
    .replace(/\\\n\s*/g, "")
    .replace(/\\u\{([0-9a-f]{1,6})\}|\\u([0-9a-f]{4})/gi, (whole, long?: string, short?: string) => {
      const code = Number.parseInt(long ?? short ?? "", 16);
      return code > 31 && code <= 0x10ffff && !(code >= 0xd800 && code <= 0xdfff)
        ? String.fromCodePoint(code)
        : whole;
    });

/** The songs of a file: `{new_song}` begins each but the first. */
export function splitChordPro(text: string): string[] {
  const songs: string[][] = [[]];
  for (const line of splitLines(text)) {
    const name = DIRECTIVE.exec(line.trim())?.[1]?.toLowerCase();
    if (name === "new_song" || name === "ns") songs.push([]);
    else songs.at(-1)?.push(line);
  }
  return songs.map((lines) => lines.join("\n")).filter((song) => song.trim() !== "");
}

/** Environments whose lines are not words to sing. */
const NOT_SUNG = /^start_of_(tab|grid|abc|ly|svg|textblock|strum|comment)$/;

export const isChordPro = (text: string): boolean =>
  splitLines(text).some((line) => {
    const name = DIRECTIVE.exec(line.trim())?.[1]?.toLowerCase();
    return (
      name !== undefined &&
      (SHORT.has(name) || /^(title|start_of_|chorus|artist|key|composer|lyricist)/.test(name))
    );
  });

/**
 * Reads a ChordPro song. Chords stay in the text as they stand.
 * @param name what it is called where it has no title of its own
 */
export function readChordPro(text: string, name = ""): SongFields {
  const lines: string[] = [];
  const kept: string[] = [];
  const keptAt: number[] = [];
  const keep = (line: string) => {
    kept.push(line.slice(0, 1_000));
    keptAt.push(lines.filter(isSolid).length);
  };
  const written: Record<string, string[]> = {};
  let title = "";
  let version = "";
  let skipping: string | undefined;
  const verses = { count: 0 };
  const label = (words: string) => {
    if (lines.length > 0 && lines.at(-1) !== "") lines.push("");
    lines.push(words);
  };
  for (const raw of splitLines(expand(text))) {
    const line = dropInvisible(raw.replace(/\t/g, " ")).trimEnd();
    if (line.startsWith("#")) {
      keep(line);
      continue;
    }
    const match = DIRECTIVE.exec(line.trim());
    if (!match) {
      if (skipping) keep(line);
      else lines.push(plain(line));
      continue;
    }
    const given = (match[1] as string).toLowerCase();
    const directive = SHORT.get(given) ?? given;
    const value = plain(match[4] ?? "");
    // A selector wants an instrument or a voice that nobody has chosen here; turned round, it is for all others.
    const isForOthers = match[3] !== undefined && match[2] !== "!";
    if (skipping) {
      keep(line.trim());
      if (directive === `end_of_${skipping}`) skipping = undefined;
      continue;
    }
    const add = () => {
      written[directive] = [...(written[directive] ?? []), value];
    };
    const begins = /^start_of_(\w+)$/.exec(directive);
    if (NOT_SUNG.test(directive) || (begins && isForOthers)) {
      skipping = begins?.[1];
      keep(line.trim());
    } else if (isForOthers) keep(line.trim());
    else if (begins) label(sectionLabel(begins[1] as string, value, verses));
    else if (/^end_of_\w+$/.test(directive)) lines.push("");
    else if (directive === "chorus") {
      label(findLoneLabel(value) ? value : "Chorus");
      lines.push("");
    } else if (directive === "title") title = title || value;
    else if (directive === "subtitle") version = version || value;
    else if (directive === "comment" && findLoneLabel(value)) label(value);
    else if (/^(artist|composer|lyricist|arranger|copyright|year|meta|language|order)$/.test(directive)) {
      const meta = directive === "meta" ? /^(\w+)\s+(.*)$/.exec(value) : undefined;
      if (
        directive === "meta" &&
        !(
          meta &&
          /^(artist|composer|lyricist|copyright|year|language|order|number|publicdomain)$/.test(
            meta[1] as string,
          )
        )
      )
        keep(line.trim());
      else if (meta) written[meta[1] as string] = [...(written[meta[1] as string] ?? []), meta[2] as string];
      else add();
    } else keep(line.trim());
  }
  const body = lines
    .join("\n")
    .replace(/\n{3,}/g, "\n\n")
    .trim();
  const copyright = (written.copyright ?? []).join(" ");
  const year = written.year?.[0] ?? /\b\d{4}\b/.exec(copyright)?.[0] ?? "";
  const isPublic = written.publicdomain?.[0] === "yes" || /public domain/i.test(copyright);
  return {
    ...songOf(title || name, body === "" ? "" : `${mergeChordLines(body)}\n`),
    version: version.slice(0, 80),
    order: (written.order?.[0] ?? "").slice(0, 2_000),
    language: (written.language?.[0] ?? "").slice(0, 20),
    credits: {
      ...NO_CREDITS,
      writers: writersOf(written).slice(0, 300),
      publisher: isPublic
        ? ""
        : copyright
            .replace(/^\s*(©|\(c\)|copyright)\s*/i, "")
            .replace(year, "")
            .replace(/^[\s,;·-]+|[\s,;·-]+$/g, "")
            .slice(0, 300),
      year: isPublic ? "" : year.slice(0, 40),
      number: (written.number?.[0] ?? "").slice(0, 40),
      publicDomain: isPublic,
    },
    kept: kept.slice(0, 200),
    keptAt: keptAt.slice(0, 200),
  };
}

function writersOf(written: Readonly<Record<string, readonly string[]>>): string {
  const named = [
    ["Words", written.lyricist],
    ["Music", written.composer],
  ] as const;
  const parts = named.flatMap(([what, people]) => (people ? [`${what}: ${people.join(", ")}`] : []));
  return parts.length > 0 ? parts.join(" · ") : (written.artist ?? []).join(", ");
}

/** Lines that stay as they are when chords come into the words: neither blank nor chords. */
const isSolid = (line: string): boolean => line.trim() !== "" && !isChordLine(line);

function sectionLabel(kind: string, value: string, verses: { count: number }): string {
  const named = value.replace(/^label="(.*)"$/, "$1");
  if (named !== "" && findLoneLabel(named)) return named;
  if (kind === "verse") {
    verses.count++;
    return `Verse ${verses.count}`;
  }
  const plain = kind[0]?.toUpperCase() + kind.slice(1).replace(/_/g, " ");
  return findLoneLabel(plain) ? plain : `Verse ${++verses.count}`;
}

/** Chords written above words, where a file has them so, come into the words. */
export function mergeChordLines(text: string): string {
  const lines = text.split("\n");
  const merged: string[] = [];
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as string;
    const next = lines[i + 1];
    if (
      isChordLine(line) &&
      next !== undefined &&
      next.trim() !== "" &&
      !isChordLine(next) &&
      !findLoneLabel(next)
    ) {
      merged.push(mergeChords(line, next));
      i++;
    } else merged.push(line);
  }
  return merged.join("\n");
}

/** A song as ChordPro: fields as directives, sections as environments, what was kept put back on top. */
export function writeChordPro(song: SongFields): string {
  const { credits } = song;
  const out: string[] = [`{title: ${song.title}}`];
  if (song.version !== "") out.push(`{subtitle: ${song.version}}`);
  const meta = (name: string, value: string) => value !== "" && out.push(`{meta: ${name} ${value}}`);
  const words = /^Words: (.*?) · Music: (.*)$/.exec(credits.writers);
  if (words) out.push(`{lyricist: ${words[1]}}`, `{composer: ${words[2]}}`);
  else if (credits.writers !== "") out.push(`{artist: ${credits.writers}}`);
  if (credits.publicDomain) out.push("{copyright: Public Domain}");
  else if (credits.publisher !== "") out.push(`{copyright: ${credits.publisher}}`);
  if (!credits.publicDomain && credits.year !== "") out.push(`{year: ${credits.year}}`);
  meta("number", credits.number);
  meta("language", song.language);
  meta("order", song.order);
  let solid = 0;
  let written = 0;
  /** What was kept goes back to where it stood. */
  const putBack = (upTo: number) => {
    while (written < song.kept.length && (song.keptAt[written] ?? 0) <= upTo)
      out.push(song.kept[written++] as string);
  };
  const lines = splitLines(song.text);
  let open: string | undefined;
  const close = () => {
    if (!open) return;
    while (out.at(-1) === "") out.pop();
    out.push(`{end_of_${open}}`);
    open = undefined;
  };
  for (const [i, line] of lines.entries()) {
    if (isSolid(line)) putBack(solid++);
    const label = findLoneLabel(line);
    if (!label) {
      out.push(line);
      continue;
    }
    close();
    if (out.at(-1) !== "") out.push("");
    const isBare = (lines.slice(i + 1).find((later) => later.trim() !== "") ?? "Verse 1") as string;
    if (label.letter === "C" && findLoneLabel(isBare)) {
      for (let n = 0; n < label.times; n++)
        out.push(label.number === "" ? "{chorus}" : `{chorus: ${line.trim()}}`);
      continue;
    }
    open = ["V", "C", "B"].includes(label.letter)
      ? ({ V: "verse", C: "chorus", B: "bridge" } as Record<string, string>)[label.letter]
      : "verse";
    const plain = label.letter === "C" && label.number === "" && label.times === 1;
    out.push(
      plain
        ? "{start_of_chorus}"
        : `{start_of_${open}: ${line
            .trim()
            .replace(/^\[(.*)\]$/, "$1")
            .replace(/:$/, "")}}`,
    );
  }
  close();
  putBack(Number.POSITIVE_INFINITY);
  return `${out
    .join("\n")
    .replace(/\n{3,}/g, "\n\n")
    .trim()}\n`;
}

/** Whether any line has chords that slides leave out. */
export const textHasChords = (text: string): boolean =>
  splitLines(text).some((line) => hasChords(line) || isChordLine(line));
