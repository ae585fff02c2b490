import { afterAll, beforeAll, expect, test } from "vitest";
import { changesOf } from "../../core/design/designKinds.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { docOf } from "../store/designStore.ts";
import { whyFontStays } from "./whyFontStays.ts";

const FONT = "added-under-test";
const by = { actor: "person-under-test", atMs: 1_000 };
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

const kept = () => whyFontStays(show.services, FONT);
/** Sets the titles of a style that nobody wears, as a draft. */
async function setTitlesIn(id: string, regular: string[]): Promise<void> {
  const { designs } = show.services;
  const style = designs.find("style", id);
  if (!style) throw new Error(`there is no style ${id}`);
  const before: HouseStyle = docOf(style);
  const typeface = before.fonts.titles;
  if (!typeface) throw new Error("the style has no titles");
  const after: HouseStyle = { ...before, fonts: { ...before.fonts, titles: { ...typeface, regular } } };
  await designs.change(style, changesOf("style", before, after), { ...by, label: "Titles", joins: false });
}

test("a font stays while a style has it, as a draft or in use, and while the air is set in it", async () => {
  const { designs, host, rundown, wearStyle } = show.services;
  expect(kept()).toBeUndefined();
  const regatta = { kind: "style", id: "regatta" } as const;
  const usual = designs.find("style", "regatta")?.published?.doc.fonts.titles?.regular as string[];
  await setTitlesIn("regatta", [FONT, ...usual]);
  expect(kept()).toBe(
    "“Regatta” uses this font, so it stays. Choose another there first; nothing was changed.",
  );
  const { published } = await designs.publish(regatta, { ...by, note: "" });
  // What is in use has it still, whatever the draft says.
  await setTitlesIn("regatta", usual);
  expect(kept()).toMatch(/“Regatta” uses this font/);

  await wearStyle({ id: "regatta", style: published?.doc as HouseStyle, hash: published?.hash as string });
  const [cue] = rundown.ready();
  if (!cue) throw new Error("nothing can be taken");
  const target = { cueId: cue.cueId, content: cue.hash, step: { occurrence: "page", unit: 0 } };
  await host.submit(
    { kind: "take", id: "take-under-test", how: "cut", builtOn: host.state.airRevision, target },
    { kind: "desk", id: "desk-under-test" },
  );
  await designs.publish(regatta, { ...by, note: "" });
  expect(kept()).toMatch(/^What is on air, or what undo would bring back, is set in this font/);
});
