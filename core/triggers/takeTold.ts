import type { MessageValue } from "./happening.ts";
import { typedValue } from "./typedValue.ts";
import { oscAddressSchema } from "./whens/message.ts";

/** What others can be told of a take, by the names that templates use in braces. */
export const TAKE_FACTS = ["what", "cue", "number", "title", "step", "words", "layer"] as const;
export type TakeFacts = Readonly<Record<(typeof TAKE_FACTS)[number], string>>;

const MOST_VALUES = 8;
const LONGEST_VALUE = 400;
const filled = (template: string, facts: TakeFacts, write: (value: string) => string): string =>
  template.replace(/\{(\w+)\}/g, (whole, name: string) =>
    name in facts ? write(facts[name as keyof TakeFacts]) : whole,
  );

/**
 * A message as a template has it: "/show/{what} {number} {title}". What is put in stays one value, whatever stands in it; what is
 * a number is sent as one. Undefined: it makes no address.
 */
export function messageOfTake(
  template: string,
  facts: TakeFacts,
):
  | { readonly address: string; readonly args: readonly Extract<MessageValue, string | number>[] }
  | undefined {
  const [first = "", ...others] = template.trim().split(/\s+/);
  const address = oscAddressSchema.safeParse(
    filled(first, facts, (value) => value.replace(/[\s#*,?[\]{}/]+/g, "-")),
  );
  if (!address.success) return undefined;
  const args = others.slice(0, MOST_VALUES).map((part) => {
    const text = filled(part, facts, (value) => value.replace(/\s*\n\s*/g, " / ")).slice(0, LONGEST_VALUE);
    return typedValue(text);
  });
  return { address: address.data, args };
}

/** An address as a template has it; what is put in is written so that it cannot change where it leads. Undefined: it is none. */
export function addressOfTake(template: string, facts: TakeFacts): URL | undefined {
  const text = filled(template.trim(), facts, encodeURIComponent);
  if (!URL.canParse(text)) return undefined;
  const url = new URL(text);
  // Filled with anything else its host is the same: nothing is put in there.
  const plain = template.trim().replace(/\{\w+\}/g, "x");
  const isPlain = URL.canParse(plain) && new URL(plain).host === url.host;
  return /^https?:$/.test(url.protocol) && isPlain ? url : undefined;
}
