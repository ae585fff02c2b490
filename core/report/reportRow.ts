import { z } from "zod";
import { actorSchema } from "../show/actor.ts";
import type { AirEvent, LoggedEvent } from "../show/events.ts";
import { type StoryLine, type StoryNames, tellStory } from "./airStory.ts";

/** What is kept of an event once the event itself is let go: what was done, in words, and what reports count by. */
export const reportRowSchema = z.strictObject({
  seq: z.number().int().min(1),
  /** Server time, ms. */
  atMs: z.number(),
  who: actorSchema.nullable(),
  what: z.string(),
  words: z.string(),
  /** Kind of the event. */
  kind: z.string(),
  /** The cue it was about, its kind and title; null where it was about none. */
  cue: z.strictObject({ id: z.string(), kind: z.string(), title: z.string() }).nullable(),
});
export type ReportRow = z.infer<typeof reportRowSchema>;

/** Events as rows of the report. What changed nothing that anybody could see has none. */
export function reportRows(log: readonly LoggedEvent[], names: StoryNames): ReportRow[] {
  const events = new Map(log.map(({ seq, event }) => [seq, event]));
  return tellStory(log, names).map((line) => {
    const event = events.get(line.seq) as AirEvent;
    const page = pageOf(event);
    const content = page && names.findContent(page.content);
    const cue = page && { id: page.cueId, kind: content?.cueKind ?? "", title: content?.title ?? "" };
    return { ...line, kind: event.kind, cue: cue ?? null };
  });
}

export const lineOfRow = ({ seq, atMs, who, what, words }: ReportRow): StoryLine => ({
  seq,
  atMs,
  who,
  what,
  words,
});

function pageOf(event: AirEvent): { readonly cueId: string; readonly content: string } | undefined {
  switch (event.kind) {
    case "taken":
    case "acted":
    case "lineMoved":
      return event.target;
    case "sent":
      return Object.values(event.pages)[0];
    case "repeated":
      return event.page;
    case "stageNoted":
      return event.page ?? undefined;
    default:
      return undefined;
  }
}
