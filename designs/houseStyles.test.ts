import { wcagContrast } from "culori";
import { describe, expect, test } from "vitest";
import { houseStyleSchema } from "../core/scene/houseStyle.ts";
import { SHIPPED_FONTS } from "../core/text/fontList.ts";
import { HOUSE_STYLES } from "./houseStyles.ts";

/** Words and what they lie on. */
const PAIRS = [
  ["words", "ground"],
  ["words", "rise"],
  ["quiet", "ground"],
  ["onPanel", "panel"],
  ["quietPanel", "panel"],
  ["onAccent", "accent"],
] as const;

describe("house styles", () => {
  // Source: WCAG 2.2, success criterion 1.4.3: 4.5 to 1 for words; contrast by the library culori.
  test.each(HOUSE_STYLES.map((style) => [style.name, style] as const))(
    "%s: words can be read on what they lie on",
    (_, style) => {
      const low = PAIRS.flatMap(([words, ground]) => {
        const ratio = wcagContrast(style.colors[words] ?? "", style.colors[ground] ?? "");
        return ratio >= 4.5 ? [] : [`${words} on ${ground}: ${ratio.toFixed(2)}`];
      });
      // Marks that are not words: 3 to 1 (1.4.11).
      const accent = wcagContrast(style.colors.panelAccent ?? "", style.colors.panel ?? "");
      expect([low, accent >= 3]).toEqual([[], true]);
    },
  );

  test("are valid, and name only fonts that ship", () => {
    const fonts = new Set(SHIPPED_FONTS.map(({ id }) => id));
    expect(new Set(HOUSE_STYLES.map(({ name }) => name)).size).toBe(5);
    for (const style of HOUSE_STYLES) {
      expect(houseStyleSchema.parse(style)).toEqual(style);
      for (const face of Object.values(style.fonts))
        for (const id of Object.values(face).flat()) expect(fonts).toContain(id);
    }
  });
});
