import type { Anchor } from "./anchor.ts";
import type { PageContent } from "./content.ts";
import { stepsOf } from "./steps.ts";

/** A section of running words as it is sung or read, and the step it begins with. */
export interface SectionStart {
  readonly label: string;
  readonly anchor: Anchor;
}

/** The sections of a content in order; a page without running words has none. */
export function sectionsOf(content: PageContent): SectionStart[] {
  const labels = new Map(content.flow?.occurrences.map(({ key, label }) => [key, label]));
  const seen = new Set<string>();
  return stepsOf(content).flatMap(({ anchor }) => {
    const label = labels.get(anchor.occurrence);
    if (!label || seen.has(anchor.occurrence)) return [];
    seen.add(anchor.occurrence);
    return [{ label, anchor }];
  });
}

/** The chorus to sing again: the next one after an anchor, else the last before it. */
export function chorusFrom(content: PageContent, from: Anchor | null): SectionStart | undefined {
  const order = content.flow?.occurrences.map(({ key }) => key) ?? [];
  const at = from ? order.indexOf(from.occurrence) : -1;
  const choruses = sectionsOf(content).filter(({ anchor }) => isChorus(anchor.occurrence));
  return choruses.find(({ anchor }) => order.indexOf(anchor.occurrence) > at) ?? choruses.at(-1);
}

/** Keys of sections: kind, number, and how often it was sung before. */
const isChorus = (key: string) => /^C\d*(\W|$)/.test(key);
