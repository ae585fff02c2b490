import { describe, expect, test } from "vitest";
import { accept, offersFor } from "./offers.ts";
import { readSong } from "./readSong.ts";

function offersOf(text: string) {
  const read = readSong(text);
  if ("problem" in read) throw new Error(read.problem.kind);
  return offersFor(text, read.reading);
}

const ENGLISH = [
  "When the lamps are low",
  "and the tide is in",
  "carry it down to the water",
  "for the boats are home",
];
const SPANISH = [
  "Cuando las lámparas están bajas",
  "y la marea ha subido",
  "llévala hasta el agua",
  "que los botes están en casa",
];

describe("two languages", () => {
  const expected = { languages: ["en", "es"] };
  test("that alternate line by line are taken apart", () => {
    const text = `Verse 1\n${ENGLISH.slice(0, 2)
      .map((line, i) => `${line}\n${SPANISH[i]}`)
      .join("\n")}\n\nChorus\n${ENGLISH.slice(2)
      .map((line, i) => `${line}\n${SPANISH[i + 2]}`)
      .join("\n")}`;
    const [offer] = offersOf(text);
    expect(offer).toMatchObject({ kind: "twoLanguages", how: "lines", ...expected });
    if (offer?.kind !== "twoLanguages") throw new Error("no offer");
    expect(offer.first).toBe(
      `Verse 1\n${ENGLISH[0]}\n${ENGLISH[1]}\n\nChorus\n${ENGLISH[2]}\n${ENGLISH[3]}\n`,
    );
    expect(offer.second).toBe(
      `Verse 1\n${SPANISH[0]}\n${SPANISH[1]}\n\nChorus\n${SPANISH[2]}\n${SPANISH[3]}\n`,
    );
    expect(accept(offer).fields.second?.language).toBe("es");
  });

  test("that alternate stanza by stanza are taken apart", () => {
    const text = `${ENGLISH.slice(0, 2).join("\n")}\n\n${SPANISH.slice(0, 2).join("\n")}\n\n${ENGLISH.slice(2).join("\n")}\n\n${SPANISH.slice(2).join("\n")}`;
    expect(offersOf(text)[0]).toMatchObject({
      how: "stanzas",
      ...expected,
      first: `${ENGLISH.slice(0, 2).join("\n")}\n\n${ENGLISH.slice(2).join("\n")}\n`,
    });
  });

  test("beside each other with a tab are taken apart", () => {
    const text = `Verse 1\tEstrofa 1\n${ENGLISH.map((line, i) => `${line}\t${SPANISH[i]}`).join("\n")}`;
    const offer = offersOf(text).find(({ kind }) => kind === "twoLanguages");
    expect(offer).toMatchObject({ how: "columns", ...expected });
  });

  test("in other scripts are told by their letters", () => {
    const text = "Carry the lamp to the water\n물가로 등불을 가져가요\nand hold it there\n거기서 들고 있어요";
    expect(offersOf(text)[0]).toMatchObject({ how: "lines", languages: ["en", "ko"] });
  });

  test("one language is one", () => {
    expect(offersOf(`Verse 1\n${ENGLISH.join("\n")}\n\nChorus\n${ENGLISH.join("\n")}`)).toEqual([]);
    expect(offersOf(`${SPANISH.join("\n")}\n\n${SPANISH.slice(0, 2).join("\n")}`)).toEqual([]);
  });
});

describe("syllables", () => {
  test("are joined when asked, and words with hyphens are none", () => {
    const [offer] = offersOf(
      "When the lan - terns are low - er\nand the wa - ter is high\n\nCar - ry it home",
    );
    expect(offer).toMatchObject({
      kind: "syllables",
      joined: "When the lanterns are lower\nand the water is high\n\nCarry it home",
    });
    expect(offersOf("The half-light of the evening\ncomes down – and we sing\n\nCarry it home")).toEqual([]);
  });
});

describe("a refrain that stands once", () => {
  test("is offered after every verse", () => {
    const [offer] = offersOf(
      "1. When the lamps\nare low\n\nRefrain\nCarry it home\n\n2. When the nets\nare dry\n\n3. Hold the line",
    );
    expect(offer).toMatchObject({ kind: "refrain", order: "V1 R V2 R V3 R" });
  });

  test("is not where it is sung again, or stands at the end", () => {
    expect(
      offersOf(
        "1. When the lamps\nare low\n\nRefrain\nCarry it home\n\n2. When the nets\nare dry\n\nRefrain",
      ),
    ).toEqual([]);
  });
});
