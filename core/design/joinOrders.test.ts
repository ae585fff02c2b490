import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { joinOrders } from "./joinOrders.ts";

const was = ["a", "b", "c", "d"];

describe("two hands at one order", () => {
  test.each([
    ["both put something in", ["a", "x", "b", "c", "d"], ["a", "b", "c", "d", "y"], "a x b c d y"],
    ["one takes out, one puts in behind it", ["a", "c", "d"], ["a", "b", "y", "c", "d"], "a y c d"],
    ["one moves, one puts in", ["d", "a", "b", "c"], ["a", "b", "y", "c", "d"], "d a b y c"],
    ["one puts in first of all", ["x", "a", "b", "c", "d"], ["a", "b", "d"], "x a b d"],
  ])("%s", (_what, mine, theirs, joined) => {
    expect(joinOrders(was, mine, theirs)?.join(" ")).toBe(joined);
    expect(new Set(joinOrders(was, theirs, mine))).toEqual(new Set(joined.split(" ")));
  });

  test("both move the same things: one has to look again", () => {
    expect(joinOrders(was, ["b", "a", "c", "d"], ["a", "b", "d", "c"])).toBeUndefined();
  });

  test("nothing is lost, doubled or brought back", () => {
    const names = fc.subarray(["a", "b", "c", "d", "e", "f"]);
    const order = (base: readonly string[], more: string) =>
      fc
        .tuple(fc.subarray([...base]), fc.subarray([`${more}1`, `${more}2`]), fc.nat())
        .map(([kept, added, at]) => kept.toSpliced(at % (kept.length + 1), 0, ...added));
    fc.assert(
      fc.property(
        names.chain((before) => fc.tuple(fc.constant(before), order(before, "m"), order(before, "t"))),
        ([before, mine, theirs]) => {
          const joined = joinOrders(before, mine, theirs) as string[];
          const wanted = [...new Set([...before, ...mine, ...theirs])].filter(
            (name) => !before.includes(name) || (mine.includes(name) && theirs.includes(name)),
          );
          expect([...joined].sort()).toEqual(wanted.sort());
        },
      ),
      { seed: 20261128, numRuns: 2_000 },
    );
  });
});
