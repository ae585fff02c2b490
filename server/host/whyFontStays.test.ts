import { afterAll, beforeAll, expect, test } from "vitest";
import { changesOf } from "../../core/design/designKinds.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { fontWith } from "../../test-support/fontWith.ts";
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

test("a font stays while it alone has a letter that is on air", async () => {
  const { addFont, host, media, rundown } = show.services;
  const added = await addFont("old-letters", "Old letters.ttf", await media.incoming.hold(fontWith(0x13080)));
  if (!("font" in added)) throw new Error(added.problem);
  const why = () => whyFontStays(show.services, added.font.id);
  const doc = pageCue({ fieldSet: "name", values: { name: "\u{13080}", role: "" } });
  await rundown.edit("person-under-test", { kind: "addCue", cueId: "old", doc, afterId: null }, 1_000);
  expect(why()).toBeUndefined();
  const ready = rundown.ready().find(({ cueId }) => cueId === "old");
  if (!ready) throw new Error("the page cannot be taken");
  const target = { cueId: "old", content: ready.hash, step: { occurrence: "page", unit: 0 } };
  await host.submit(
    { kind: "take", id: "take-of-old-letters", how: "cut", builtOn: host.state.airRevision, target },
    { kind: "desk", id: "desk-under-test" },
  );
  expect(why()).toBe(
    "What is on air, or what undo would bring back, has letters that only this font draws, so it stays. Nothing was changed.",
  );
});
