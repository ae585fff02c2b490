const NAMED =
  /^(?:song ?title|title|song|titel|título|titulo|titre|titolo|tytuł|название|назва|שם השיר|曲名|歌名|제목|タイトル)\s*(?:[:=]|\s[–—-]\s)\s*(.+)$/iu;
const QUOTES = /^["“„«‚‘'「『《](.+)["”“»’'」』》]$/u;
/** 'First song is "Harbour Wall":' */
const ANNOUNCED =
  /^(?:.{0,40}\b(?:song|hymn|it|called|title|lied|canción|chant|canto|piosenka|lied|liedje)\b.{0,24})[\s:]["“„«‚](.{2,60})["”“»’]\s*[:.!,]?$/iu;
/** What else a title says on a web page. */
const ON_THE_WEB =
  /\s*[([](?:official\s+)?(?:lyrics?|audio|music|live|video|visuali[sz]er)(?:\s+(?:lyrics?|video|version|audio|hd))*[)\]]$/i;
const WRITTEN_BY =
  /^(.{2,}?)\s+(?:by|von|par)\s+(\p{Lu}\S+(?:\s+(?:\p{Lu}\S*|&|and|und|et|de|van|von|der))*)$/u;

/** The title on a title line, who it says wrote it, and whether the line says that it is one. */
export function readTitle(line: string): {
  readonly title: string;
  readonly writers: string;
  readonly isNamed: boolean;
} {
  const named = NAMED.exec(line) ?? ANNOUNCED.exec(line);
  let title = (named?.[1] ?? line).trim();
  if (!named)
    title = title.replace(/^(?:#\s?|no\.? ?|nr\.? ?)?\d{1,4}[.):]?\s+(?=\p{L})/iu, (head) =>
      /^\d{1,2}\s/.test(head) ? head : "",
    );
  title = title
    .replace(ON_THE_WEB, "")
    .replace(/\s*[-–|:(]*\s*\b(?:lyrics|song lyrics|chords|songtext|letra|paroles|testo)\b\s*[):]*$/i, "")
    .trim();
  title = title.replace(/\s*[([](?:key:? ?|in )?[A-H](?:[#b♯♭]|is|es)?m?[)\]]$/, "").trim();
  const written = WRITTEN_BY.exec(title);
  if (written) title = (written[1] as string).trim();
  const quoted = QUOTES.exec(title);
  if (quoted) title = (quoted[1] as string).trim();
  return { title: title.replace(/[,;:]+$/, "").trim(), writers: written?.[2] ?? "", isNamed: named !== null };
}
