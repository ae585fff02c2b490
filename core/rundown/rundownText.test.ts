import { describe, expect, test } from "vitest";
import { readLength, readRundownText } from "./rundownText.ts";

const brief = (text: string) =>
  readRundownText(text).map(({ kind, text: words, plannedAt, plannedMs, note }) =>
    [kind, words.split("\n")[0], plannedAt, plannedMs === null ? "" : plannedMs / 1_000, note].join("|"),
  );

describe("as a hurried stranger writes it", () => {
  test("times in front, lengths behind, notes beneath, headings in capitals", () => {
    expect(
      brief(`Sunday 6 December

GATHERING
10:28  Countdown (2 min)
10.30am - Welcome, Noor Halvard   [3']
      mic 2, stand at the lectern
- Carry the Lamp Down – 4 min
* Psalm 107:23-30
> lights down first

THE TALK:
11:00–11:25 Brisa Quell, lamp keeper
7pm Soup`),
    ).toEqual([
      "item|Sunday 6 December|||",
      "heading|GATHERING|||",
      "item|Countdown|10:28|120|",
      "item|Welcome, Noor Halvard|10:30|180|mic 2, stand at the lectern",
      "item|Carry the Lamp Down||240|",
      "item|Psalm 107:23-30|||lights down first",
      "heading|THE TALK|||",
      "item|Brisa Quell, lamp keeper|11:00|1500|",
      "item|Soup|19:00||",
    ]);
  });

  test("Markdown: headings, boxes, emphasis, links, rules, numbered lists", () => {
    expect(
      brief(`# Lantern Evening
## Songs
1. **Harbour Kind** (3:00)
2. [Nine Bells](https://x.example/bells)
- [ ] *Ilse Tarrow* – net mender
---
Readings
--------
- John 1:1-5`),
    ).toEqual([
      "heading|Lantern Evening|||",
      "heading|Songs|||",
      "item|Harbour Kind||180|",
      "item|Nine Bells|||",
      "item|Ilse Tarrow – net mender|||",
      "heading|Readings|||",
      "item|John 1:1-5|||",
    ]);
  });

  test("songs written out between the lines are songs, under their headings or without", () => {
    const entries = readRundownText(`## Carry the Lamp Down

[Verse 1]
The tide has gone to fetch the moon,
the slip is dark with rain;

[Chorus]
Carry the lamp down

## Talk
- Brisa Quell, lamp keeper

## Second song
one line to sing
another line to sing
a third line to sing`);
    expect(entries.map(({ kind, text }) => `${kind}: ${text.split("\n")[0]}`)).toEqual([
      "song: Carry the Lamp Down",
      "heading: Talk",
      "item: Brisa Quell, lamp keeper",
      "song: Second song",
    ]);
    expect(entries[0]?.text).toContain("[Chorus]\nCarry the lamp down");
  });
});

test("cells with a first row that names them, as this program saves them and as others do", () => {
  expect(
    brief(`No.,At,Cue,Kind,Seconds,By itself,Note,Left out
1,19:00,Welcome,heading,,,,
2,19:00,"Harbour Kind, slow",song,185,,Singers stand,
3,,Psalm 23,reading,,,,`),
  ).toEqual([
    "heading|Welcome|19:00||",
    "item|Harbour Kind, slow|19:00|185|Singers stand",
    "item|Psalm 23|||",
  ]);
  expect(brief("Time;Item;Duration\n9:30;Notices;5 min\n9:35;Talk;20")).toEqual([
    "item|Notices|09:30|300|",
    "item|Talk|09:35|1200|",
  ]);
});

test("a table of Markdown comes back as it was saved", () => {
  expect(
    brief(`# Lantern \\| Evening

| No. | At | Cue | Kind | Length | Note |
| ---: | :--- | :--- | :--- | ---: | :--- |
| 2 | 19:05 | Nine Bells \\| No Wind | Song | 3:05 | two · lines |`),
  ).toEqual(["heading|Lantern | Evening|||", "item|Nine Bells | No Wind|19:05|185|two · lines"]);
});

test("lengths as people write them", () => {
  for (const [said, seconds] of [
    ["5 min", 300],
    ["90 s", 90],
    ["3:20", 200],
    ["1:02:30", 3_750],
    ["1 h 15 min", 4_500],
    ["4'", 240],
    ["1,5 min", 90],
    ["20 people", undefined],
    ["verse 2", undefined],
    ["soft", undefined],
    ["", undefined],
  ] as const)
    expect(readLength(said), said).toBe(seconds === undefined ? undefined : seconds * 1_000);
});

test("what is no rundown breaks nothing", () => {
  for (const text of [
    "",
    "\n\n",
    "\u0000",
    "|||",
    "|",
    "# ",
    "---",
    "[",
    ":",
    "a".repeat(100_000),
    "- ".repeat(5_000),
    "\n".repeat(50_000),
  ])
    expect(Array.isArray(readRundownText(text))).toBe(true);
  expect(readRundownText(Array.from({ length: 3_000 }, (_, n) => `- item ${n}`).join("\n")).length).toBe(
    1_000,
  );
});
