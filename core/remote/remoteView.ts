import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepIndex, stepsOf } from "../rundown/steps.ts";
import { pagesOn } from "../show/layers.ts";
import { findNext } from "../show/next.ts";
import { pageAt } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import type { Output } from "../venue/plan.ts";
import type { RemoteLink } from "./remoteLink.ts";

/** A step of a cue, as a phone shows it. */
export interface RemotePage {
  readonly cueId: string;
  readonly content: string;
  readonly step: Anchor;
  readonly title: string;
  /** The section or verses; empty where there are none. */
  readonly label: string;
  readonly words: string;
  /** What whoever prepared the cue wrote beside it. */
  readonly note: string;
}

/** One step of the cue on air, for whoever follows the words. */
export interface RemoteStep {
  readonly label: string;
  readonly words: string;
  readonly is: "now" | "next" | null;
}

/** All that a phone is told. */
export interface RemoteTold {
  /** What it may do, and shows large. */
  readonly link: RemoteLink;
  /** Whose picture it shows. */
  readonly screen: Pick<Output, "id" | "name" | "widthPx" | "heightPx"> | null;
  readonly view: RemoteView;
}

/** What of the show it is told. */
export interface RemoteView {
  readonly evening: string;
  /** The step that the line stands in; null before the first. */
  readonly now: (RemotePage & { readonly isOnAir: boolean }) | null;
  /** What a take would bring; null at the end. */
  readonly next: RemotePage | null;
  /** What lies on other layers. */
  readonly others: readonly { readonly layer: string; readonly title: string }[];
  /** All screens are shut. */
  readonly shut: "black" | "standBy" | null;
  /** From the desk to those on the stage. */
  readonly stageNote: string;
  readonly script: readonly RemoteStep[];
  /** Names what was seen: a press is for this and nothing else. */
  readonly seen: string;
}

export interface RemoteSource {
  readonly state: ShowState;
  readonly cues: readonly ReadyCue[];
  readonly find: (hash: string) => PinnedDocument | undefined;
  readonly evening: string;
}

/** Steps of one cue that are told. */
const MOST_STEPS = 300;

/** What phones show of a state. @param atMs server time */
export function remoteViewOf({ state, cues, find, evening }: RemoteSource, atMs: number): RemoteView {
  const now = nowOf(state, cues, find, atMs);
  const target = findNext(state, cues);
  const nextCue = target && cues.find(({ cueId }) => cueId === target.cueId);
  const next = target && nextCue ? pageOf(nextCue, nextCue.content, target.content, target.step) : null;
  const shutters = Object.values(state.shutters).filter(({ untilMs, byAll }) => untilMs === null && byAll);
  const { at } = state.line;
  return {
    evening,
    now: now?.page ?? null,
    next,
    others: state.layers.flatMap(({ id, name }) =>
      [...new Set([...pagesOn(state, id, atMs).values()].flatMap((page) => (page ? [page.content] : [])))]
        .filter((hash) => hash !== now?.page.content || !now.page.isOnAir)
        .flatMap((hash) => {
          const content = find(hash);
          return content?.kind === "page" ? [{ layer: name, title: content.title }] : [];
        }),
    ),
    shut: shutters[0]?.picture ?? null,
    stageNote: noteText(state, find, atMs),
    script: now
      ? scriptOf(now.content, now.page.step, next?.cueId === now.page.cueId ? next.step : null)
      : [],
    seen: JSON.stringify([at && [at.cueId, at.step], target && [target.cueId, target.step]]),
  };
}

function nowOf(
  state: ShowState,
  cues: readonly ReadyCue[],
  find: RemoteSource["find"],
  atMs: number,
): { readonly page: NonNullable<RemoteView["now"]>; readonly content: PageContent } | undefined {
  const { at } = state.line;
  const cue = at && cues.find(({ cueId }) => cueId === at.cueId);
  if (!at || !cue) return undefined;
  const shown = [...pagesOn(state, cue.content.layerId, atMs).values()].find(
    (page) => page?.cueId === at.cueId,
  );
  const pinned = shown ? find(shown.content) : undefined;
  // What is on air is what was taken, whatever was edited since.
  const content = pinned?.kind === "page" ? pinned : cue.content;
  const step = shown && pinned ? shown.step : at.step;
  const hash = shown && pinned ? shown.content : cue.hash;
  return { page: { ...pageOf(cue, content, hash, step), isOnAir: shown !== undefined }, content };
}

function pageOf(cue: ReadyCue, content: PageContent, hash: string, step: Anchor): RemotePage {
  const found = stepsOf(content)[findStepIndex(content, step)];
  return {
    ...{ cueId: cue.cueId, content: hash, step, title: content.title },
    label: found?.label ?? "",
    words: found?.words ?? "",
    note: cue.doc.note,
  };
}

function scriptOf(content: PageContent, now: Anchor, next: Anchor | null): RemoteStep[] {
  const steps = stepsOf(content);
  const [at, following] = [now, next].map((anchor) => (anchor ? findStepIndex(content, anchor) : -1));
  return steps
    .flatMap((step, index): RemoteStep[] =>
      step.kind === "leave"
        ? []
        : [
            {
              label: step.label,
              words: step.words,
              is: index === at ? "now" : index === following ? "next" : null,
            },
          ],
    )
    .slice(0, MOST_STEPS);
}

function noteText(state: ShowState, find: RemoteSource["find"], atMs: number): string {
  const page = pageAt(state.stageNote, atMs);
  const content = page ? find(page.content) : undefined;
  return content?.kind === "page" ? (content.values.note ?? "") : "";
}
