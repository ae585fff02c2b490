import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { addSight, hasJustChanged, meaningOfLayer, meaningOfOut, outTarget, type Sight } from "./meaning.ts";

const bench = prepareBench();
const show = () =>
  new Clocked(readyCues(bench, [song("Nine bells\n\nno wind"), strap("Ilse", "", 3_000), strap("Noor")]));

/** What a desk sees: every event, and whose doing it was. */
function watch(clocked: Clocked) {
  let sights: readonly Sight[] = [];
  const see = (isOwn: boolean) => {
    sights = addSight(sights, { state: clocked.state, next: undefined, atMs: clocked.atMs, isOwn });
  };
  see(true);
  return { see, changed: (meaning = meaningOfOut) => hasJustChanged(sights, meaning, clocked.atMs) };
}

describe("a meaning that has just changed by itself", () => {
  test("a page that came by its time is a surprise for 700 ms; one's own take is none", () => {
    const clocked = show();
    const desk = watch(clocked);
    clocked.take(0);
    desk.see(true);
    expect(desk.changed(meaningOfLayer("words"))).toBe(false);
    clocked.wait(2_000);
    clocked.timed(2);
    desk.see(false);
    expect(desk.changed(meaningOfLayer("titles"))).toBe(true);
    // Out still means the line's page: nothing changed for it.
    expect(desk.changed()).toBe(false);
    clocked.wait(699);
    expect(desk.changed(meaningOfLayer("titles"))).toBe(true);
    clocked.wait(2);
    expect(desk.changed(meaningOfLayer("titles"))).toBe(false);
  });

  test("a stay that ends is a surprise too, though nothing was said", () => {
    const clocked = show();
    const desk = watch(clocked);
    clocked.take(1);
    desk.see(true);
    clocked.wait(2_900);
    expect(desk.changed()).toBe(false);
    clocked.wait(200);
    expect(outTarget(clocked.state, clocked.atMs)).toBeUndefined();
    expect(desk.changed()).toBe(true);
    clocked.wait(700);
    expect(desk.changed()).toBe(false);
  });

  test("a surprise stays one, whatever is done beside it meanwhile", () => {
    const clocked = show();
    const desk = watch(clocked);
    clocked.take(1);
    desk.see(true);
    clocked.wait(3_100);
    clocked.press({ kind: "disarm", id: "nothing-to-it" });
    desk.see(true);
    clocked.wait(100);
    expect(desk.changed()).toBe(true);
  });

  test("out takes the line's page off while it is there, else the topmost that does not stay", () => {
    const clocked = show();
    clocked.take(0);
    clocked.take(2);
    expect(outTarget(clocked.state, clocked.atMs)).toEqual({ layerId: "words", cueId: "cue-1" });
    clocked.press({ kind: "out", id: "words-out-now", layerId: "words", seen: "cue-1", how: "cut" });
    expect(outTarget(clocked.state, clocked.atMs)).toEqual({ layerId: "titles", cueId: "cue-3" });
    expect(
      clocked.press({ kind: "out", id: "seen-another", layerId: "titles", seen: "cue-2", how: "cut" }),
    ).toBe("outMoved");
    expect(clocked.on("titles")).toBe("cue-3");
  });
});
