import { expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, table } from "../../test-support/designs.ts";
import { templateOf } from "../../test-support/pages.ts";
import { pinCellPictures } from "./cellPictures.ts";

const bench = prepareBench();
const FLAG = "f".repeat(64);

test("cells of a picture column are pinned by what the library knows of them; other columns, and names it does not have, stay", () => {
  const template = templateOf(
    table(
      "t",
      "rows",
      box(0, 0, 900, 500),
      [
        [1, "start"],
        [1, "center", { shows: "picture" }],
      ],
      { min: 10, max: 40 },
    ),
  );
  const offered = { hash: "a".repeat(64), template };
  const context = {
    ...bench.context,
    wardrobes: [
      { outfitId: "full", linesPerSlide: 2, variants: [], templates: new Map([["standings", [offered]]]) },
    ],
    findMediaByName: (name: string) => (name === "flag.png" ? FLAG : undefined),
  };
  const content = {
    values: { rows: "flag.png|flag.png|3\nKiln Lane | gone.png | 2" },
    media: [],
    wardrobe: { full: { template: offered.hash, style: "b".repeat(64) } },
  };
  expect(pinCellPictures(content, context)).toEqual({
    values: { rows: `flag.png|${FLAG}|3\nKiln Lane | gone.png | 2` },
    media: [FLAG],
  });
  expect(pinCellPictures({ ...content, wardrobe: {} }, context)).toMatchObject({
    values: content.values,
    media: [],
  });
});
