import { t } from "../language/t.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import { findStepIndex, stepsOf } from "../rundown/steps.ts";
import { type Actor, actorName, isHand } from "../show/actor.ts";
import type { AsRun, Cause, Shown } from "./asRun.ts";

/** One line of the as-run log, as people read it. Times are server time, ms. */
export interface AsRunRow {
  readonly key: string;
  /** Number of the event that began it: what notes are kept by. */
  readonly seq: number;
  readonly fromMs: number;
  /** Null: it is still there. */
  readonly untilMs: number | null;
  readonly layer: string;
  readonly screens: readonly string[];
  readonly outputIds: readonly string[];
  readonly cueId: string;
  /** Hash of what was shown. */
  readonly content: string;
  readonly step: Anchor;
  readonly kind: PageContent["cueKind"] | "";
  readonly title: string;
  /** Section, where the step has one; empty. */
  readonly part: string;
  readonly words: string;
  readonly by: string;
  /** No hand brought it. */
  readonly isByItself: boolean;
  /** It was brought then; otherwise it was there, and was only seen again. */
  readonly isBrought: boolean;
  /** What began it: "take", "screen plan". */
  readonly began: string;
  /** What ended it; empty while it is there. */
  readonly ended: string;
  readonly endedBy: string;
}

/** A cue of the script against its plan, as it was when the line came to it. */
export interface CueRow {
  readonly key: string;
  readonly seq: number;
  readonly cueId: string;
  readonly title: string;
  readonly fromMs: number;
  readonly tookMs: number;
  /** The line is still in it. */
  readonly isOpen: boolean;
  readonly plannedAtMs: number | null;
  readonly plannedMs: number | null;
  /** Longer than planned by this, shorter where negative; null where nothing was planned. */
  readonly overMs: number | null;
}

export interface AsRunNames {
  readonly findContent: (hash: string) => PageContent | undefined;
  readonly layerName: (id: string) => string;
  readonly outputName: (id: string) => string;
}

/** What is said of a cue whose content is not in the file any more. */
const UNKNOWN = t`(its words are not kept any more)`;

const CAUSES: Partial<Readonly<Record<Cause["kind"], string>>> = {
  taken: t`take`,
  acted: t`action`,
  repeated: t`came again`,
  sent: t`edits sent`,
  cleared: t`taken off`,
  undone: t`undo`,
  planSwitched: t`screen plan`,
  shut: t`black or stand-by`,
  tested: t`test picture`,
  countdownPaused: "countdown",
  stay: t`its time was over`,
};
const causeOf = ({ kind }: Cause): string => CAUSES[kind] ?? t`something else`;
const whoOf = (by: Actor | null): string =>
  by === null || by.kind === "timer"
    ? t`by itself`
    : by.kind === "desk"
      ? (by.name ?? "a desk")
      : actorName(by);

export function asRunRows(shown: AsRun["shown"], names: AsRunNames): AsRunRow[] {
  return shown.map((each): AsRunRow => {
    const { page, began, ended, fromMs, untilMs } = each;
    const content = names.findContent(page.content);
    const step = content && stepsOf(content)[findStepIndex(content, page.step)];
    const isWords = step?.kind === "words";
    return {
      ...{ key: keyOf(each), seq: began.seq, fromMs, untilMs, cueId: page.cueId },
      layer: names.layerName(each.layerId),
      screens: each.outputIds.map(names.outputName),
      ...{ outputIds: each.outputIds, content: page.content, step: page.step },
      kind: content?.cueKind ?? "",
      title: content?.title ?? UNKNOWN,
      part: isWords ? step.label : step?.kind === "credit" ? "Credit" : step?.kind === "blank" ? "Blank" : "",
      words: isWords ? step.words.replace(/\s*\n\s*/g, " / ") : "",
      by: whoOf(began.by),
      isByItself: !isHand(began.by),
      isBrought: began.kind === "taken" || began.kind === "repeated",
      began: causeOf(began),
      ended: ended ? causeOf(ended) : "",
      endedBy: ended && ended.kind !== "stay" ? whoOf(ended.by) : "",
    };
  });
}

const keyOf = ({ began, layerId, page, fromMs, outputIds }: Shown): string =>
  [began.seq, layerId, page.cueId, page.step.occurrence, page.step.unit, fromMs, outputIds.join("+")].join(
    "/",
  );

/** @param nowMs until when a cue that the line is still in has lasted */
export function cueRows({ visits }: AsRun, { findContent }: AsRunNames, nowMs: number): CueRow[] {
  return visits.map(({ cueId, content, fromMs, untilMs, planned, began }): CueRow => {
    const tookMs = Math.max(0, (untilMs ?? nowMs) - fromMs);
    const plannedMs = planned?.lengthMs ?? null;
    return {
      ...{ key: `${began.seq}/${cueId}`, seq: began.seq, cueId, fromMs, tookMs, plannedMs },
      title: findContent(content)?.title ?? UNKNOWN,
      isOpen: untilMs === null,
      plannedAtMs: planned?.atMs ?? null,
      overMs: plannedMs === null ? null : tookMs - plannedMs,
    };
  });
}
