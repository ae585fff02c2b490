import { readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { prepareBench } from "../../../../test-support/contents.ts";
import { readScriptureFile } from "../../../../test-support/onDisk.ts";
import type { Passage } from "../../../words/reference/passage.ts";
import { type Scripture, type ScriptureInfo, type Verse, versesOf } from "../../../words/scripture.ts";
import { compileCue } from "../../compile.ts";
import type { PageContent } from "../../content.ts";
import { type ReadingDoc, readingCue } from "../../cueDoc.ts";
import { stepsOf, valuesAt } from "../../steps.ts";

const bench = prepareBench();
const INFO: Record<string, ScriptureInfo> = {
  web: { code: "web", name: "World English Bible", language: "en", rights: "Public Domain" },
  rv1909: { code: "rv1909", name: "Reina-Valera 1909", language: "es", rights: "Dominio público" },
};
const texts = new Map<string, Map<string, Verse[]>>();

/** The two texts that ship, in memory. */
const scripture: Scripture = {
  info: (code) => INFO[code],
  counts: (code) =>
    new Map(
      [...(texts.get(code) ?? [])].map(([book, verses]) => {
        const chapters: number[] = [];
        for (const { chapter, verse } of verses)
          chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
        return [book, chapters];
      }),
    ),
  verses: (code, { from, to }: Passage) =>
    (texts.get(code)?.get(from.book) ?? []).filter(
      (v) =>
        (v.chapter > from.chapter || (v.chapter === from.chapter && v.verse >= from.verse)) &&
        (v.chapter < to.chapter || (v.chapter === to.chapter && v.verse <= to.verse)),
    ),
};

beforeAll(() => {
  for (const code of Object.keys(INFO)) {
    const file = join(import.meta.dirname, `../../../../texts/scripture/${code}.osis.xml.gz`);
    const books = new Map<string, Verse[]>();
    for (const { book, chapter, verse, words } of readScriptureFile(readFileSync(file)).verses)
      books.set(book, [...(books.get(book) ?? []), { chapter, verse, text: words }]);
    texts.set(code, books);
  }
}, 60_000);

function read(reference: string, more: Partial<ReadingDoc> = {}): PageContent {
  const compiled = compileCue(readingCue({ reference, text: "web", numbers: false, ...more }), {
    ...bench.context,
    scripture,
  });
  if (!("content" in compiled)) throw new Error(JSON.stringify(compiled));
  return compiled.content;
}
const slides = (content: PageContent, outfit = "full") => {
  const seen: Record<string, string>[] = [];
  for (const { anchor, kind } of stepsOf(content)) {
    const values = kind === "words" ? valuesAt(content, outfit, anchor) : undefined;
    if (values && values.words !== seen.at(-1)?.words) seen.push(values as Record<string, string>);
  }
  return seen;
};
const plain = (text: string) => text.replace(/\s+/g, " ").trim();

describe("readings", () => {
  test.each(["Ps 107:23-30", "John 1:1-18", "Isa 40:1-11", "Rom 8:28-39", "Luke 2:1-20", "Gen 1:1-2:3"])(
    "%s: every word is shown once and in order, on every outfit, and no slide is one word",
    (reference) => {
      const content = read(reference);
      const expected = plain(
        content.flow?.occurrences.flatMap(({ units }) => units.map(({ text }) => text)).join(" ") ?? "",
      );
      for (const outfit of ["full", "band"]) {
        const shown = slides(content, outfit);
        expect(plain(shown.map(({ words }) => words).join(" "))).toBe(expected);
        for (const { words = "" } of shown) expect(words.trim()).toMatch(/\s/);
      }
    },
  );

  test("slides end at verses where they can, then at sentences, then at clauses", () => {
    const { flow } = read("John 1:1-18");
    const ends = (outfit: string) =>
      (flow?.divisions[outfit]?.[0] ?? [])
        .slice(1)
        .map((start) => flow?.occurrences[0]?.units[start - 1]?.endRank);
    expect(new Set(ends("full"))).toEqual(new Set(["verse"]));
    const band = ends("band");
    expect(band.filter((rank) => rank === "verse" || rank === "sentence").length).toBeGreaterThan(
      band.length / 2,
    );
    expect(band).not.toContain("line");
  });

  test("lines of poetry stay lines, or run on", () => {
    expect(slides(read("Ps 23:1-2"))[0]?.words).toContain("\n");
    expect(slides(read("Ps 23:1-2", { poetry: false }))[0]?.words).not.toContain("\n");
  });

  test("reference, name and rights stand where they were asked for", () => {
    const where = (more: Partial<ReadingDoc>) =>
      slides(read("John 1:1-18", more)).map(({ reference }) => reference !== "");
    expect(where({}).every(Boolean)).toBe(true);
    expect(where({ referenceAt: "none" }).some(Boolean)).toBe(false);
    const last = where({ referenceAt: "last" });
    expect(last.indexOf(true)).toBe(last.length - 1);
    expect(where({ referenceAt: "first" }).lastIndexOf(true)).toBe(0);
    const named = slides(read("John 1:1-18", { rights: true })).map(({ translation }) => translation);
    expect(named[0]).toBe("World English Bible");
    expect(named.at(-1)).toBe("World English Bible · Public Domain");
    expect(slides(read("John 1:1-18", { translation: false }))[0]?.translation).toBe("");
  });

  test("a half of a verse is that half, and both make the whole", () => {
    const whole = plain(
      slides(read("John 3:16"))
        .map(({ words }) => words)
        .join(" "),
    );
    const [a, b] = ["John 3:16a", "John 3:16b"].map((reference) =>
      plain(
        slides(read(reference))
          .map(({ words }) => words)
          .join(" "),
      ),
    );
    expect(`${a} ${b}`).toBe(whole);
    expect(read("John 3:16a").title).toBe("John 3:16a");
  });

  test("a second text beside shows the same verses on the same slide", () => {
    const content = read("John 1:1-5", { second: { text: "rv1909", how: "beside" }, numbers: true });
    const shown = slides(content);
    expect(shown[0]?.words).toMatch(/^\^1\^\u00a0In the beginning/);
    expect(shown[0]?.second).toMatch(/^\^1\^\u00a0EN el principio/);
    const numbers = (text = "") => [...text.matchAll(/\^(\d+)\^/g)].map(([, n]) => n);
    for (const { words, second } of shown) expect(numbers(second)).toEqual(numbers(words));
    expect(shown[0]).toMatchObject({
      translation: "World English Bible",
      secondTranslation: "Reina-Valera 1909",
    });
  });

  test("where the numbers part, the words that belong together stand together", () => {
    const [first] = slides(read("Jonah 1:17", { second: { text: "rv1909", how: "beside" }, numbers: true }));
    expect(first?.words).toContain("huge fish");
    expect(first?.second).toContain("^1^");
    expect(first?.second).toContain("gran pez");
  });

  test("a second text after each passage is named in its own language", () => {
    const content = read("John 1:1-2; Jonah 1:17", { second: { text: "rv1909", how: "after" } });
    expect(content.flow?.occurrences.map(({ label }) => label)).toEqual([
      "John 1:1–2",
      "Juan 1:1–2",
      "Jonah 1:17",
      "Jonás 2:1",
    ]);
    expect(slides(content)[1]).toMatchObject({ reference: "Juan 1:1–2", translation: "Reina-Valera 1909" });
  });

  test("what a text prints elsewhere is told with the reference that has it", () => {
    const compiled = compileCue(readingCue({ reference: "Rom 16:25-27", text: "web" }), {
      ...bench.context,
      scripture,
    });
    expect(compiled).toMatchObject({
      problem: {
        code: "unreadReference",
        subject: { kind: "reading", id: "Rom 16:25-27" },
        sentence:
          "Romans 16 has no verse 25; it has 24 verses. World English Bible prints these words at the end of 14:23.",
      },
    });
    expect(slides(read("Rom 16:25-27", { text: "rv1909" }))[0]?.reference).toMatch(/^Romanos 16:25/);
  });
});

test("a verse that is printed together with the one before it has their words, by either number", () => {
  const bridged: Scripture = {
    info: () => ({ code: "web", name: "A text", language: "en", rights: "" }),
    counts: () => new Map([["Gen", [5]]]),
    verses: (_, { from, to }) =>
      [
        { chapter: 1, verse: 3, text: "Let there be light, and it was good." },
        { chapter: 1, verse: 4, text: "" },
        { chapter: 1, verse: 5, text: "Day." },
      ].filter(({ verse }) => verse >= from.verse && verse <= to.verse),
  };
  const shown = (verse: number) => {
    const ref = { book: "Gen", chapter: 1, verse };
    return versesOf(bridged, "web", { from: ref, to: { ...ref, verse: 5 } }).map(({ text }) => text);
  };
  expect(shown(4)).toEqual(["Let there be light, and it was good.", "Day."]);
  expect(shown(3)).toEqual(["Let there be light, and it was good.", "Day."]);
  expect(shown(5)).toEqual(["Day."]);
});
