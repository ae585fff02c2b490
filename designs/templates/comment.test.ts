import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { lay, partOf, plateOf } from "../../test-support/pages.ts";
import { comment as onBand } from "./band.ts";
import { comment as onWall } from "./wall.ts";

const bench = prepareBench();
const SAID = { comment: "Keep them lit, we are nearly home, all of us on the ferry!", from: "Mira" };

describe.each([
  ["on the wall", onWall],
  ["over a picture", onBand],
])("a comment %s", (_where, template) => {
  const laid = (picture: string) => {
    const { parts, findings } = lay(template, { ...SAID, picture }, bench.shaper);
    expect(findings.filter(({ code }) => code === "overflow")).toEqual([]);
    /** From where to where it is seen, px from the left. */
    const spanOf = (id: string): readonly [from: number, to: number] => {
      const { x } = partOf(parts, id).at;
      const { bounds } = plateOf(parts, id).picture;
      return [x + bounds.x, x + bounds.x + bounds.width];
    };
    return { ids: parts.map(({ objectId }) => objectId), spanOf };
  };

  test("stands beside the picture of who wrote, and takes its room where there is none", () => {
    const withPicture = laid("f".repeat(64));
    const alone = laid("");
    expect([withPicture.ids.includes("picture"), alone.ids.includes("picture")]).toEqual([true, false]);
    const [, pictureEnds] = withPicture.spanOf("picture");
    const [, panelEnds] = withPicture.spanOf("panel");
    for (const id of ["comment", "from"]) {
      const [from, to] = withPicture.spanOf(id);
      expect(from).toBeGreaterThan(pictureEnds);
      expect(to).toBeLessThan(panelEnds);
      expect(alone.spanOf(id)[0]).toBeLessThan(from - 50);
    }
  });
});
