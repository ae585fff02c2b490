import { afterAll, beforeAll, expect, test } from "vitest";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import type { Edit } from "../../core/rundown/edits.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { mulberry } from "../../test-support/random.ts";

let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

let atMs = 0;
const edit = async (wanted: Edit) => {
  atMs += 10_000;
  expect(await show.services.rundown.edit("person-under-test", wanted, atMs)).toMatchObject({
    kind: "saved",
  });
};
const order = () => show.services.rundown.views().map(({ cueId }) => cueId);
const doc = pageCue({ fieldSet: "name", values: { name: "Ilse" } });

test("a hundred cues added after one stand where they were put, each right after it", async () => {
  const [first = "", ...others] = order();
  const added: string[] = [];
  for (let i = 0; i < 100; i++) {
    const cueId = `after-one-${i}`;
    await edit({ kind: "addCue", cueId, doc, afterId: first });
    added.unshift(cueId);
    expect(order()).toEqual([first, ...added, ...others]);
  }
});

test("a deleted cue comes back between its neighbours, where others were put meanwhile", async () => {
  const [a = "", gone = "", b = ""] = order();
  await edit({ kind: "deleteCue", cueId: gone });
  await show.services.rundown.edit(
    "another-person",
    { kind: "addCue", cueId: "in-its-place", doc, afterId: a },
    atMs,
  );
  await edit({ kind: "undo" });
  const now = order();
  expect(now.indexOf(gone)).toBeGreaterThan(now.indexOf(a));
  expect(now.indexOf(gone)).toBeLessThan(now.indexOf(b));
  // And there is room between the two.
  const [first = "", second = ""] = now.slice(1, 3);
  await edit({ kind: "addCue", cueId: "between-the-two", doc, afterId: first });
  expect(order().slice(1, 4)).toEqual([first, "between-the-two", second]);
});

test("seed 4711: cues added, moved, doubled and deleted at random stand as a plain list has them", async () => {
  const random = mulberry(4711);
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)] as T;
  const model = order();
  const putAfter = (afterId: string | null, ids: readonly string[]) =>
    model.splice(afterId === null ? 0 : model.indexOf(afterId) + 1, 0, ...ids);
  for (let i = 0; i < 250; i++) {
    const afterId = random() < 0.1 ? null : pick(model.slice(0, 4));
    const roll = random();
    if (roll < 0.4) {
      await edit({ kind: "addCue", cueId: `random-add-${i}`, doc, afterId });
      putAfter(afterId, [`random-add-${i}`]);
    } else if (roll < 0.55) {
      const cueId = pick(model);
      await edit({ kind: "duplicateCue", cueId, newId: `random-copy-${i}` });
      putAfter(cueId, [`random-copy-${i}`]);
    } else if (roll < 0.7) {
      const cueId = pick(model.filter((id) => id !== afterId));
      await edit({ kind: "moveCue", cueId, afterId });
      model.splice(model.indexOf(cueId), 1);
      putAfter(afterId, [cueId]);
    } else if (roll < 0.85) {
      const moved = model.filter((id) => id !== afterId && random() < 0.1);
      if (moved.length === 0) continue;
      await edit({ kind: "moveCues", cueIds: moved, afterId });
      for (const id of moved) model.splice(model.indexOf(id), 1);
      putAfter(afterId, moved);
    } else {
      const cueId = pick(model);
      await edit({ kind: "deleteCue", cueId });
      model.splice(model.indexOf(cueId), 1);
    }
    expect(order(), `after edit ${i}`).toEqual(model);
  }
});
