import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";
import type { PlacedLine } from "../facts.ts";
import { findOrderLine, isOrderHead } from "../orderLine.ts";

/** "Order: V1 C V2 C", nothing but names of sections one after another, or a list of them under "Order:". */
export const weighOrder: Weigh = (line, { lines }) => {
  if (isInList(line, lines)) return { kind: "order", weight: 14, why: t`says the order it is sung in` };
  const found = findOrderLine(line.text);
  if (!found) return undefined;
  return { kind: "order", weight: found.isNamed ? 11 : 9, why: t`says the order it is sung in` };
};

const LONGEST_LIST = 40;

function isInList({ index, placeInStanza, stanzaLength }: PlacedLine, lines: readonly PlacedLine[]): boolean {
  const first = index - placeInStanza;
  const [head, ...names] = lines.slice(first, first + stanzaLength);
  return (
    head !== undefined &&
    names.length > 1 &&
    names.length < LONGEST_LIST &&
    isOrderHead(head.text) &&
    names.every(({ label }) => label?.behind === "")
  );
}
