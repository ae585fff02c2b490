import { t } from "../../language/t.ts";
import type { Condition, ShowWhen } from "../../scene/showWhen.ts";

/** Conditions that are joined to others: one, or several of a kind of their own. */
export type Rule = Condition | { readonly kind: Join; readonly of: readonly Condition[] };
export type Join = "all" | "any";

/** When an object is shown, as it is set by hand: no rule means always. */
export interface Rules {
  readonly join: Join;
  readonly rules: readonly Rule[];
}

/** Of each group of rules; more are refused by the format. */
export const MOST_RULES = 12;

export function rulesOf(showWhen: ShowWhen): Rules {
  if (showWhen.kind === "always") return { join: "all", rules: [] };
  return showWhen.kind === "all" || showWhen.kind === "any"
    ? { join: showWhen.kind, rules: showWhen.of as readonly Rule[] }
    : { join: "all", rules: [showWhen] };
}

export function showWhenOf({ join, rules }: Rules): ShowWhen {
  const [first] = rules;
  if (!first) return { kind: "always" };
  // One rule alone needs no joining; one that is a group of its own is the whole.
  if (rules.length === 1) return first as ShowWhen;
  return { kind: join, of: [...rules] } as ShowWhen;
}

/** What rules speak of, in people's words. */
export interface RuleNames {
  readonly field: (name: string) => string;
  readonly object: (id: string) => string;
}

const COMPARED: Readonly<Record<Extract<Condition, { kind: "number" }>["is"], string>> = {
  below: t`under`,
  atMost: t`at most`,
  equal: t`exactly`,
  atLeast: t`at least`,
  above: t`over`,
};

function sayCondition(condition: Condition, { field, object }: RuleNames): string {
  switch (condition.kind) {
    case "empty":
      return t`${field(condition.field)} is empty`;
    case "notEmpty":
      return t`${field(condition.field)} is not empty`;
    case "equals":
      return t`${field(condition.field)} says “${condition.text}”`;
    case "contains":
      return t`${field(condition.field)} has “${condition.text}” in it`;
    case "longerThan":
      return t`${field(condition.field)} has more than ${condition.characters} ${condition.characters === 1 ? t`letter` : t`letters`}`;
    case "number":
      return t`${field(condition.field)} is ${COMPARED[condition.is]} ${condition.than}`;
    case "drawn":
      return t`“${object(condition.object)}” is shown`;
    case "notDrawn":
      return t`“${object(condition.object)}” is not shown`;
  }
}

export const isJoined = (rule: Rule): rule is Extract<Rule, { readonly kind: Join }> =>
  rule.kind === "all" || rule.kind === "any";

const sayRule = (rule: Rule, names: RuleNames): string =>
  isJoined(rule) ? join(rule.of, rule.kind, names) : sayCondition(rule, names);

const join = (rules: readonly Rule[], how: Join, names: RuleNames): string => {
  const said = rules.map((rule) => {
    const words = sayRule(rule, names);
    // A group among others is said as one: “(a or b) and c”.
    return isJoined(rule) && rule.of.length > 1 && rules.length > 1 ? `(${words})` : words;
  });
  return said.join(how === "all" ? " and " : " or ");
};

/** The rules alone, to be said in other sentences; empty where there are none. */
export function sayRules(showWhen: ShowWhen, names: RuleNames): string {
  const { join: how, rules } = rulesOf(showWhen);
  return join(rules, how, names);
}

/** When an object is shown, as a sentence: “Shown when Role is not empty and Score is over 3.” */
export function sayShowWhen(showWhen: ShowWhen, names: RuleNames): string {
  const rules = sayRules(showWhen, names);
  return rules === "" ? t`Always shown.` : t`Shown when ${rules}.`;
}
