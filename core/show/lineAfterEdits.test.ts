import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { mulberry } from "../../test-support/random.ts";
import type { PageContent } from "../rundown/content.ts";
import { songCue } from "../rundown/cueDoc.ts";
import { compileSong } from "../rundown/kinds/song/compile.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findChunk, stepsOf } from "../rundown/steps.ts";
import { stepNow, textPlaceOf } from "../rundown/textPlace.ts";
import type { Line } from "./line.ts";
import { findNext } from "./next.ts";

const bench = prepareBench();
const VOCABULARY =
  "lamp quay tide net boat gull rope salt mast keel wind wave dusk dawn pier sail oar deck hull reef bell fog star moon rain storm shore cliff sand shell foam drift".split(
    " ",
  );

function compiled(text: string, order = "", lines: Record<string, number> = {}): PageContent {
  const made = compileSong(songCue({ title: "Test", text, order, lines }), bench.context);
  if (!("content" in made)) throw new Error(JSON.stringify(made));
  return made.content;
}

let made = 0;
const cueOf = (content: PageContent): ReadyCue => ({
  cueId: "song",
  index: 0,
  hash: String(++made).padStart(64, "0"),
  content,
  doc: songCue({ title: "Test", text: "" }),
});

/** Whoever takes through a song while it is edited, and what is sung by then. */
class Evening {
  #line: Line = { at: null, asides: [] };
  cue: ReadyCue;
  /** The words of each take. */
  readonly takes: string[] = [];

  constructor(content: PageContent) {
    this.cue = cueOf(content);
  }

  edit(content: PageContent): void {
    this.cue = cueOf(content);
  }

  /** @returns the lines that came; undefined when the words are through */
  take(): string[] | undefined {
    const next = findNext({ arm: null, line: this.#line }, [this.cue]);
    if (!next) return undefined;
    const { content } = this.cue;
    this.#line = {
      at: { cueId: "song", cueIndex: 0, step: next.step, words: textPlaceOf(content, next.step) },
      asides: [],
    };
    const steps = stepsOf(content);
    const holding = steps.findLastIndex(
      ({ anchor }) => anchor.occurrence === next.step.occurrence && anchor.unit <= next.step.unit,
    );
    const step = steps[holding];
    if (step?.kind !== "words") return undefined;
    const following = steps[holding + 1];
    const occurrence = content.flow?.occurrences.find(({ key }) => key === step.anchor.occurrence);
    const end =
      following?.anchor.occurrence === step.anchor.occurrence
        ? following.anchor.unit
        : occurrence?.units.length;
    const lines =
      occurrence?.units.slice(next.step.from ?? step.anchor.unit, end).map(({ text }) => text) ?? [];
    this.takes.push(lines.join(" / "));
    return lines;
  }
}

const SONG =
  "Verse 1\nlamp quay tide\nnet boat gull\nrope salt mast\nkeel wind wave\n\nChorus\ndusk dawn pier\nsail oar deck\n\nVerse 2\nhull reef bell\nfog star moon\n\nChorus";

describe("a place held by its words", () => {
  test("stays when lines are put in before it", () => {
    const evening = new Evening(compiled(SONG));
    expect(evening.take()).toEqual(["lamp quay tide", "net boat gull"]);
    evening.edit(compiled(SONG.replace("lamp quay", "cliff sand shell\nlamp quay")));
    expect(evening.take()?.[0]).toBe("rope salt mast");
  });

  test("stays when lines are taken out before it, and when sections get other names", () => {
    const evening = new Evening(compiled(SONG));
    evening.take();
    evening.take();
    evening.take();
    expect(evening.takes.at(-1)).toBe("dusk dawn pier / sail oar deck");
    evening.edit(
      compiled(
        SONG.replace("net boat gull\n", "").replace("Verse 1", "Verse 7").replaceAll("Chorus", "Refrain"),
      ),
    );
    expect(evening.take()?.[0]).toBe("hull reef bell");
  });

  test("knows which of two choruses it is in", () => {
    const evening = new Evening(compiled(SONG));
    for (let i = 0; i < 5; i++) evening.take();
    expect(evening.takes.at(-1)).toBe("dusk dawn pier / sail oar deck");
    evening.edit(compiled(`${SONG}\n\nVerse 3\nstorm shore cliff`));
    expect(evening.take()).toEqual(["storm shore cliff"]);
  });

  test("where the line itself is gone, next is the first after it that was not shown", () => {
    const before = compiled(SONG);
    const evening = new Evening(before);
    evening.take();
    const now = compiled(SONG.replace("lamp quay tide\nnet boat gull\n", ""));
    expect(stepNow(before, now, { occurrence: "V1", unit: 0 })).toBeUndefined();
    evening.edit(now);
    expect(evening.take()?.[0]).toBe("rope salt mast");
  });

  test("a line whose spelling was mended is the same line", () => {
    const evening = new Evening(compiled(SONG));
    evening.take();
    evening.edit(compiled(SONG.replace("net boat gull", "net boats gull")));
    expect(evening.take()?.[0]).toBe("rope salt mast");
  });

  test("another order goes on after the words on air", () => {
    const evening = new Evening(compiled(SONG));
    for (let i = 0; i < 3; i++) evening.take();
    evening.edit(compiled(SONG, "V2 C V1"));
    expect(evening.take()?.[0]).toBe("lamp quay tide");
  });

  test("an outfit that divides the words otherwise shows only what was not shown", () => {
    const content = compiled(SONG.replace("lamp quay", "cliff sand shell\nlamp quay"));
    const flow = content.flow;
    if (!flow) throw new Error("no flow");
    const [outfit = ""] = Object.keys(flow.divisions);
    const chunk = findChunk(flow, outfit, { occurrence: "V1", unit: 3, from: 3 });
    expect(chunk?.from).toBe(3);
  });
});

describe("edits at random while the song is on air", () => {
  const seeds = Array.from({ length: 300 }, (_, i) => i + 1);
  test.each([seeds])(
    "no line comes twice, none is left out: seeds 1 to 300",
    (...list) => {
      for (const seed of list) {
        const random = mulberry(seed);
        const below = (n: number) => Math.floor(random() * n);
        let count = 0;
        // Each line has words of its own, so that the test knows which it is.
        const newLine = () =>
          `${VOCABULARY[below(VOCABULARY.length)]}${count} ${VOCABULARY[below(VOCABULARY.length)]}${count} so${count++}`;
        const sections = Array.from({ length: 3 + below(3) }, () =>
          Array.from({ length: 2 + below(6) }, newLine),
        );
        let names = sections.map((_, i) => `Verse ${i + 1}`);
        let perSlide = 2;
        const text = () => sections.map((lines, i) => `${names[i]}\n${lines.join("\n")}`).join("\n\n");
        const wardrobe = Object.fromEntries(
          bench.context.wardrobes.map(({ outfitId }) => [outfitId, perSlide]),
        );
        const now = () =>
          compiled(text(), "", Object.fromEntries(Object.keys(wardrobe).map((id) => [id, perSlide])));
        const evening = new Evening(now());
        const shown: string[] = [];
        const optional = new Set<string>();
        for (let step = 0; step < 60; step++) {
          if (random() < 0.5) {
            const came = evening.take();
            if (!came) break;
            for (const line of came) expect(shown, `seed ${seed}: “${line}” comes again`).not.toContain(line);
            shown.push(...came);
          } else {
            const lines = sections[below(sections.length)] as string[];
            const kind = below(4);
            if (kind === 0) {
              const at = below(lines.length + 1);
              const line = newLine();
              // What is put in before words that were shown is behind; after the last of them it is to come.
              const all = sections.flat();
              const place =
                at < lines.length
                  ? all.indexOf(lines[at] as string)
                  : all.indexOf(lines.at(-1) as string) + 1;
              if (all.slice(place).some((later) => shown.includes(later))) optional.add(line);
              lines.splice(at, 0, line);
            } else if (kind === 1 && lines.length > 1) lines.splice(below(lines.length), 1);
            else if (kind === 2) names = names.map((_, i) => `Verse ${i + 1 + below(2) * 20}`);
            else perSlide = 2 + below(3);
            evening.edit(now());
          }
        }
        while (true) {
          const came = evening.take();
          if (!came) break;
          for (const line of came) expect(shown, `seed ${seed}: “${line}” comes again`).not.toContain(line);
          shown.push(...came);
        }
        const leftOut = sections.flat().filter((line) => !shown.includes(line) && !optional.has(line));
        expect(leftOut, `seed ${seed}`).toEqual([]);
      }
    },
    120_000,
  );
});
