import { sectionUnits } from "../core/rundown/kinds/song/compile.ts";
import { divideByLines, divideTogether, uniteDivisions } from "../core/words/divide.ts";
import type { FlowUnit } from "../core/words/flow.ts";
import { parseSong } from "../core/words/song.ts";
import * as demo from "../demo/songs.ts";
import { ALL_OUTFITS } from "../designs/starter.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";
import { madeUpSongs } from "./madeUpSongs.ts";

const SONGS = few(500, 20);
/** How many lines a slide of each outfit that ships has, and how long a line of it may be, in letters: by its shape. */
const HOLDS: Readonly<Record<string, { readonly lines: number; readonly letters: number }>> = {
  full: { lines: 4, letters: 60 },
  band: { lines: 2, letters: 64 },
  ribbon: { lines: 2, letters: 56 },
  porch: { lines: 4, letters: 30 },
  stage: { lines: 4, letters: 46 },
};

/** Presses a song, each outfit divided by itself and all of them together, over the demo's songs and made-up ones. */
export function benchPresses(): void {
  const { random, songs } = madeUpSongs(SONGS, 12);
  // Stanzas of two to nine lines: made-up songs have four in each.
  const texts = songs.map(({ song }) => {
    const lines = song.text
      .split("\n")
      .filter((line) => line.includes(" ") && !/^(?:Verse|Chorus|Bridge)/.test(line));
    return ["Verse 1", "Chorus", "Verse 2", "Bridge"]
      .map(
        (label) =>
          `${label}\n${Array.from({ length: 2 + random(8) }, () => lines[random(lines.length)]).join("\n")}`,
      )
      .join("\n\n");
  });
  for (const outfitIds of [["full", "band"], ["full", "band", "porch"], ALL_OUTFITS.map(({ id }) => id)]) {
    for (const [name, list] of [
      ["the demo’s songs", Object.values(demo).map(String)],
      [`${SONGS} made-up songs`, texts],
    ] as const) {
      const apart: number[] = [];
      const together: number[] = [];
      for (const text of list) {
        const parsed = parseSong(text, "Bench");
        if ("problem" in parsed) continue;
        const presses = { apart: 0, together: 0 };
        for (const units of sectionUnits(parsed.song).values()) {
          const holders = outfitIds.map((id) => holderOf(units, HOLDS[id] as (typeof HOLDS)[string]));
          presses.together += uniteDivisions(divideTogether(units, holders)).length;
          presses.apart += uniteDivisions(
            holders.map(({ maxLines, fillOf }) => divideByLines(units, maxLines, fillOf)),
          ).length;
        }
        apart.push(presses.apart);
        together.push(presses.together);
      }
      printRow(
        `presses a song, ${outfitIds.join(" + ")}, each by itself: ${name}`,
        "presses",
        distributionOf(apart),
        "",
      );
      printRow("… all together", "presses", distributionOf(together), "");
      const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
      console.log(`| … ratio | | | ${(sum(together) / sum(apart)).toFixed(3)} | | | | |`);
    }
  }
}

function holderOf(
  units: readonly FlowUnit[],
  { lines, letters }: { readonly lines: number; readonly letters: number },
) {
  const linesOf = (unit: FlowUnit) => Math.ceil(unit.text.length / letters);
  return {
    maxLines: lines,
    fillOf: (from: number, to: number) => {
      // A long line of words breaks in two on a narrow screen, which holds six such lines.
      const needed = units.slice(from, to).reduce((sum, unit) => sum + linesOf(unit), 0);
      return needed <= lines + 2 ? needed / (lines + 2) : undefined;
    },
  };
}
