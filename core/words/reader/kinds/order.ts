import type { Weigh } from "../candidate.ts";
import { findOrderLine } from "../orderLine.ts";

/** "Order: V1 C V2 C", or nothing but names of sections one after another. */
export const weighOrder: Weigh = ({ text }) => {
  const found = findOrderLine(text);
  if (!found) return undefined;
  return { kind: "order", weight: found.isNamed ? 11 : 9, why: "says the order it is sung in" };
};
