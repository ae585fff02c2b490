import { t } from "../language/t.ts";
import { oncePer } from "../memo/oncePer.ts";
import { type FieldValues, stepField } from "../scene/lookup.ts";
import { linesOf } from "../text/lines.ts";
import { uniteDivisions } from "../words/divide.ts";
import { joinSecond, joinUnits } from "../words/flow.ts";
import { formatPassage } from "../words/reference/reference.ts";
import { baseLanguage } from "../words/scripture.ts";
import { type Anchor, sameAnchor } from "./anchor.ts";
import type { Flow, Occurrence, PageContent } from "./content.ts";

/** What one press of the take key brings. */
export interface Step {
  readonly anchor: Anchor;
  readonly kind: "page" | "words" | "blank" | "credit" | "leave";
  /** Section or verses; empty where the label above still holds. */
  readonly label: string;
  readonly words: string;
}

/** The only step of a page without running words. */
export const PAGE_ANCHOR: Anchor = { occurrence: "page", unit: 0 };
/** Steps of a page of points. */
export const POINTS_OCCURRENCE = "points";
/** The last step of running words: they leave. */
export const LEAVE_ANCHOR: Anchor = { occurrence: "leave", unit: 0 };

/** The step of a song that shows who made it. */
export const CREDIT_ANCHOR: Anchor = { occurrence: "credit", unit: 0 };

/** The steps of a content in order: the union of the divisions of the outfits it is seen in, then one that takes the words off. */
export const stepsOf = oncePer((content: PageContent): readonly Step[] =>
  content.flow ? flowSteps(content.flow, content) : pageSteps(content),
);

/** A page is one step, or one for each point or group of points. */
function pageSteps({ points, pointsField, values, title }: PageContent): Step[] {
  if (!points || points.length === 0) return [{ anchor: PAGE_ANCHOR, kind: "page", label: "", words: title }];
  const lines = linesOf(values[pointsField] ?? "");
  return points.map((count, i) => ({
    anchor: { occurrence: POINTS_OCCURRENCE, unit: i },
    kind: "page",
    label: i === 0 ? title : "",
    words: lines.slice(points[i - 1] ?? 0, count).join("\n"),
  }));
}

function flowSteps(flow: Flow, { endPage, stepsBy }: PageContent): Step[] {
  const steps: Step[] = [];
  const all = Object.entries(flow.divisions);
  const chosen = all.filter(([outfitId]) => stepsBy?.includes(outfitId));
  const seen = chosen.length > 0 ? chosen : all;
  for (const [index, occurrence] of flow.occurrences.entries()) {
    const starts = uniteDivisions(seen.map(([, byOccurrence]) => byOccurrence[index] ?? []));
    for (const [i, unit] of starts.entries()) {
      const end = starts[i + 1] ?? occurrence.units.length;
      steps.push({
        anchor: { occurrence: occurrence.key, unit },
        kind: occurrence.units.every(({ text }) => text === "") ? "blank" : "words",
        label: occurrence.book ? verseLabel(occurrence, unit, end) : i === 0 ? occurrence.label : "",
        words: joinUnits(occurrence.units, unit, end),
      });
    }
  }
  if (endPage)
    steps.push({
      anchor: CREDIT_ANCHOR,
      kind: "credit",
      label: t`Credit`,
      words: [endPage.values.writers, endPage.values.publisher, endPage.values.licence]
        .filter((line) => line)
        .join("\n"),
    });
  steps.push({ anchor: LEAVE_ANCHOR, kind: "leave", label: "", words: "" });
  return steps;
}

function verseLabel(occurrence: Occurrence, from: number, to: number): string {
  const first = occurrence.units[from]?.verse;
  const last = occurrence.units[to - 1]?.verse;
  const before = occurrence.units[from - 1]?.verse;
  if (!first || !last) return "";
  const begins = before?.verse === first.verse && before.chapter === first.chapter;
  if (first.verse === last.verse && first.chapter === last.chapter) return begins ? "" : `${first.verse}`;
  return `${first.verse}–${last.verse}`;
}

/** What an outfit wears at a step; undefined when nothing of the content shows there. */
export function wornAt(
  content: PageContent,
  outfitId: string,
  anchor: Anchor,
): PageContent["wardrobe"][string] | undefined {
  const { wardrobe, endPage } = content;
  return (sameAnchor(anchor, CREDIT_ANCHOR) && endPage ? endPage.wardrobe : wardrobe)[outfitId];
}

/** The slide of an outfit that holds an anchor: units [from, to) of one occurrence. */
export interface Chunk {
  readonly occurrence: Occurrence;
  readonly from: number;
  readonly to: number;
  readonly isLast: boolean;
}

export function findChunk(flow: Flow, outfitId: string, anchor: Anchor): Chunk | undefined {
  const index = flow.occurrences.findIndex((occurrence) => occurrence.key === anchor.occurrence);
  const occurrence = flow.occurrences[index];
  const starts = flow.divisions[outfitId]?.[index];
  if (!occurrence || !starts) return undefined;
  let at = 0;
  while (at + 1 < starts.length && (starts[at + 1] as number) <= anchor.unit) at++;
  const start = starts[at] ?? 0;
  return {
    occurrence,
    from: anchor.from === undefined ? start : Math.max(start, anchor.from),
    to: starts[at + 1] ?? occurrence.units.length,
    isLast: index === flow.occurrences.length - 1 && at === starts.length - 1,
  };
}

/**
 * The field values a step gives the page of one outfit; undefined when nothing of the content shows there.
 * Credit and reference come on the slides they were asked for; a reference names the verses on this very slide.
 */
export function valuesAt(content: PageContent, outfitId: string, anchor: Anchor): FieldValues | undefined {
  if (!wornAt(content, outfitId, anchor)) return undefined;
  if (content.points) {
    const { points, pointsField: field } = content;
    const at = Math.min(anchor.unit, points.length - 1);
    const shown = points[at] ?? 0;
    const lines = linesOf(content.values[field] ?? "");
    return {
      ...content.values,
      shown: String(shown),
      [stepField(field, "soFar")]: lines.slice(0, shown).join("\n"),
      [stepField(field, "ofStep")]: lines.slice(points[at - 1] ?? 0, shown).join("\n"),
    };
  }
  if (content.endPage && sameAnchor(anchor, CREDIT_ANCHOR)) return content.endPage.values;
  if (!content.flow) return content.values;
  const chunk = findChunk(content.flow, outfitId, anchor);
  if (!chunk) return undefined;
  const { flow } = content;
  const { occurrence, from, to } = chunk;
  const isFirst = occurrence === flow.occurrences[0] && from === 0;
  const isOn = (place: string) =>
    place === "each" || (place === "first" && isFirst) || (place === "last" && chunk.isLast);
  const values: Record<string, string> = {
    ...content.values,
    credit: isOn(flow.creditAt) ? (content.values.credit ?? "") : "",
    [flow.field]: joinUnits(occurrence.units, from, to, flow.numbers),
    second: joinSecond(occurrence.units, from, to),
    section: occurrence.label,
    title: content.title,
    next: textAfter(flow, outfitId, chunk),
  };
  const first = occurrence.units[from]?.verse;
  const last = occurrence.units[to - 1]?.verse;
  if (occurrence.book && first && last && isOn(flow.referenceAt))
    values.reference = formatPassage(
      { from: { book: occurrence.book, ...first }, to: { book: occurrence.book, ...last } },
      baseLanguage(occurrence.language ?? "en"),
    );
  if (occurrence.translation && values.translation) values.translation = occurrence.translation;
  // What the owner of a text wants said stands with its name, once.
  if (chunk.isLast && values.rights)
    values.translation = [values.translation, values.rights].filter((line) => line).join(" · ");
  return values;
}

/** What the next slide of an outfit will say: for those who sing and read from a screen. */
function textAfter(flow: Flow, outfitId: string, { occurrence, to }: Chunk): string {
  const index = flow.occurrences.indexOf(occurrence);
  const later = to < occurrence.units.length ? occurrence : flow.occurrences[index + 1];
  if (!later) return "";
  const next = findChunk(flow, outfitId, { occurrence: later.key, unit: later === occurrence ? to : 0 });
  return next ? glimpse(joinUnits(next.occurrence.units, next.from, next.to, flow.numbers)) : "";
}

/** How the words of a step begin on an outfit, for those who read ahead; undefined when it brings no running words there. */
export function textAhead(content: PageContent, outfitId: string, anchor: Anchor): string | undefined {
  const chunk =
    content.flow && wornAt(content, outfitId, anchor) && findChunk(content.flow, outfitId, anchor);
  return chunk && content.flow
    ? glimpse(joinUnits(chunk.occurrence.units, chunk.from, chunk.to, content.flow.numbers))
    : undefined;
}

/** How the next words begin: as much as one reads ahead. */
const GLIMPSE_LINES = 3;
const GLIMPSE_LETTERS = 150;

function glimpse(words: string): string {
  const lines = words.split("\n").slice(0, GLIMPSE_LINES).join("\n");
  if (lines.length <= GLIMPSE_LETTERS) return lines;
  return `${lines.slice(0, lines.lastIndexOf(" ", GLIMPSE_LETTERS))} …`;
}

/** Which step an anchor is, or stands in the midst of; -1 when its words are not there. */
export function findStepIndex(content: PageContent, anchor: Anchor): number {
  const steps = stepsOf(content);
  const exact = steps.findIndex((step) => sameAnchor(step.anchor, anchor));
  if (exact >= 0 || anchor.from === undefined) return exact;
  const occurrence = content.flow?.occurrences.find(({ key }) => key === anchor.occurrence);
  if (!occurrence || anchor.unit >= occurrence.units.length) return -1;
  return steps.findLastIndex(
    (step) => step.anchor.occurrence === anchor.occurrence && step.anchor.unit <= anchor.unit,
  );
}

/** The first step after an anchor, in a content that may have been edited since: undefined at the end. */
export function findStepAfter(content: PageContent, anchor: Anchor): Step | undefined {
  const steps = stepsOf(content);
  const exact = findStepIndex(content, anchor);
  if (exact >= 0) return steps[exact + 1];
  if (anchor.occurrence === LEAVE_ANCHOR.occurrence || anchor.occurrence === PAGE_ANCHOR.occurrence)
    return undefined;
  const later = steps.find(
    (step) => step.anchor.occurrence === anchor.occurrence && step.anchor.unit > anchor.unit,
  );
  if (later) return later;
  const lastOfSame = steps.findLastIndex((step) => step.anchor.occurrence === anchor.occurrence);
  return lastOfSame >= 0 ? steps[lastOfSame + 1] : steps[0];
}

/** The step that holds an anchor in a content that may have been edited since: the same, or the last before it. */
export function stepAtOrBefore(content: PageContent, anchor: Anchor): Anchor {
  const steps = stepsOf(content);
  const found =
    steps.find((step) => sameAnchor(step.anchor, anchor)) ??
    steps.findLast(
      (step) => step.anchor.occurrence === anchor.occurrence && step.anchor.unit <= anchor.unit,
    ) ??
    steps.find((step) => step.anchor.occurrence === anchor.occurrence) ??
    steps[0];
  if (!found) throw new Error(`The content “${content.title}” has no steps`);
  return found.anchor;
}
