import { findOrderLine } from "./orderLine.ts";

const NAMED =
  /^(?:song ?title|title|song(?: ?\d{1,2})?|titel|título|titulo|titre|titolo|tytuł|название|назва|שם השיר|曲名|歌名|제목|タイトル)\s*(?:[:=]|\s[–—-]\s)\s*(.+)$/iu;
const QUOTES = /^["“„«‚‘'「『《](.+)["”“»’'」』》]$/u;
/** 'First song is "Harbour Wall":', "It's called Harbour Wall", "words for Harbour Wall below": what mails say. */
const ANNOUNCED = [
  /^.{0,40}\b(?:song|hymn|it['’]?s|it is|called|title|lied|canción|chant|canto|piosenka|liedje)\b.{0,24}[\s:]["“„«‚](.{2,60})["”“»’]\s*[:.!,]?$/iu,
  /^.{0,80}\b(?:song|one|hymn|it['’]?s|it is)\s+(?:is\s+)?called\s+(.{2,60}?)[.:!]?$/iu,
  /^.{0,40}\b(?:words|lyrics)\s+(?:for|to|of)\s+["“]?(.{2,40}?)["”]?(?:\s+(?:below|attached|are|here|as|for|please)\b.*|\s*[:.])$/iu,
];
/** What else a title says on a web page. */
const ON_THE_WEB =
  /\s*[([](?:official\s+)?(?:lyrics?|audio|music|live|video|visuali[sz]er)(?:\s+(?:lyrics?|video|version|audio|hd))*[)\]]$/i;
/** Key and tempo on the same line: "Old Bell   Key: D   72 bpm". */
const FOR_PLAYERS = /\s+[([]?(?:(?:key|tempo|capo|bpm)\s*[:=].*|\d{2,3}\s?bpm\b.*)$/i;
const WRITTEN_BY =
  /^(.{2,}?)\s+(?:by|von|par)\s+(\p{Lu}\S+(?:\s+(?:\p{Lu}\S*|&|and|und|et|de|van|von|der))*)$/u;

const ORDERED = /\s*[([]([^()[\]]{3,60})[)\]]$/;

/** The title on a title line, who it says wrote it, and whether the line says that it is one. */
export function readTitle(line: string): {
  readonly title: string;
  readonly writers: string;
  readonly isNamed: boolean;
  /** The order it is sung in, where it stands behind the title in brackets; empty otherwise. */
  readonly order: string;
} {
  const named = NAMED.exec(line) ?? ANNOUNCED.map((says) => says.exec(line)).find((match) => match !== null);
  let title = (named?.[1] ?? line).trim();
  if (!named)
    title = title.replace(/^(?:#\s?|no\.? ?|nr\.? ?)?\d{1,4}[.):]?\s+(?=\p{L})/iu, (head) =>
      /^\d{1,2}\s/.test(head) ? head : "",
    );
  title = title
    .replace(ON_THE_WEB, "")
    .replace(FOR_PLAYERS, "")
    .replace(/\s+(?:가사|歌詞|歌词|текст песни|текст пісні|слова|מילים|كلمات)$/u, "")
    .replace(
      /\s*[-–|:(]*\s*\b(?:lyrics|song lyrics|chords|songtext|songtekst|letra|paroles|testo|tekst(?: piosenki)?|låttext)\b\s*[):]*$/i,
      "",
    )
    .trim();
  title = title.replace(/\s*[([](?:key:? ?|in )?[A-H](?:[#b♯♭]|is|es)?m?[)\]]$/, "").trim();
  const order = findOrderLine(ORDERED.exec(title)?.[1] ?? "")?.order ?? "";
  if (order !== "") title = title.replace(ORDERED, "").trim();
  const written = WRITTEN_BY.exec(title);
  if (written) title = (written[1] as string).trim();
  const quoted = QUOTES.exec(title);
  if (quoted) title = (quoted[1] as string).trim();
  return {
    title: title.replace(/[,;:]+$/, "").trim(),
    writers: written?.[2] ?? "",
    isNamed: named !== undefined,
    order,
  };
}
