import fc from "fast-check";
import { expect, test } from "vitest";
import { evolveValues, joinChanges, type LiveValues, NO_VALUES, type ValueChange } from "./values.ts";

const change = fc.record({
  actor: fc.constantFrom<ValueChange["actor"]>(
    { kind: "entry", id: "entry-one" },
    { kind: "feed", id: "feed-one" },
  ),
  tableId: fc.constantFrom("quiz", "guests"),
  cells: fc.dictionary(fc.constantFrom("a", "b", "c"), fc.option(fc.string({ maxLength: 4 }), { nil: null })),
});
const inOrder = fc
  .array(change, { maxLength: 40 })
  .map((changes) => changes.map((each, i): ValueChange => ({ ...each, seq: i + 1, atMs: i })));

const after = (changes: readonly ValueChange[], from: LiveValues = NO_VALUES) =>
  changes.reduce(evolveValues, from);

test("seed 1311: joined changes come to the same as all of them, wherever they are cut in two", () => {
  fc.assert(
    fc.property(inOrder, fc.nat(40), (changes, cut) => {
      const all = after(changes);
      const [first, second] = [changes.slice(0, cut), changes.slice(cut)];
      expect(after(joinChanges(second), after(joinChanges(first)))).toEqual(all);
      expect(joinChanges(changes).length).toBeLessThanOrEqual(changes.length);
      // What comes again, or late, changes nothing.
      for (const known of changes) expect(evolveValues(all, known)).toBe(all);
    }),
    { seed: 1311, numRuns: 300 },
  );
});

test("a table that is not spoken of stays the very same object; null takes a cell away", () => {
  const by = { atMs: 0, actor: { kind: "entry", id: "entry-one" } } as const;
  const one = evolveValues(NO_VALUES, {
    ...by,
    seq: 1,
    tableId: "quiz",
    cells: { ropewalk: "3", kiln: "5" },
  });
  const two = evolveValues(one, { ...by, seq: 4, tableId: "guests", cells: { next: "Noor" } });
  expect(two.tables.quiz).toBe(one.tables.quiz);
  const three = evolveValues(two, { ...by, seq: 9, tableId: "quiz", cells: { kiln: null } });
  expect(three).toEqual({ seq: 9, tables: { quiz: { ropewalk: "3" }, guests: { next: "Noor" } } });
});
