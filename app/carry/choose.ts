import { keyOf, type Met } from "../../core/carry/compare.ts";
import { type Choice, type Choices, comes } from "../../core/carry/merge.ts";

/** What is chosen before anybody chose: nothing here changes; of a file all that is new comes, of a copy nothing does. */
export const chosenAtFirst = (met: readonly Met[], isCopy: boolean): Choices =>
  Object.fromEntries(
    met.map(({ part, id, state }) => [keyOf(part, id), state === "new" && !isCopy ? "take" : "keep"]),
  );

/** A choice for one thing; with one that comes, what it needs and nobody here has comes too. */
export function choose(met: readonly Met[], choices: Choices, of: Met, choice: Choice): Choices {
  const next = { ...choices, [keyOf(of.part, of.id)]: choice };
  if (!comes(of, choice)) return next;
  const needed = new Set(of.needs);
  for (const { part, id, state } of met)
    if (state === "new" && needed.has(keyOf(part, id))) next[keyOf(part, id)] = "take";
  return next;
}

/** The same choice for all that clash, as far as each can have it. */
export const chooseForAll = (met: readonly Met[], choices: Choices, choice: Choice): Choices => ({
  ...choices,
  ...Object.fromEntries(
    met
      .filter(({ state, canBeBoth }) => state === "other" && (choice !== "both" || canBeBoth))
      .map(({ part, id }) => [keyOf(part, id), choice]),
  ),
});

export const countComing = (met: readonly Met[], choices: Choices): number =>
  met.filter((each) => comes(each, choices[keyOf(each.part, each.id)])).length;
