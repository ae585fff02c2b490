import { feedsIn } from "../../core/feeds/binding.ts";
import { t } from "../../core/language/t.ts";
import { type Trigger, triggerSchema } from "../../core/triggers/trigger.ts";
import { newId } from "../api/newId.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";

type Known = Pick<DeskSnapshot, "cues" | "sources" | "follow" | "feeds" | "state" | "chosenId">;

/** Triggers that are wanted often, each made by one press with what is there. */
export const TYPICAL = [
  {
    id: "source",
    name: t`A page with a source`,
    hint: t`comes when it comes to program, gone when it leaves`,
  },
  { id: "clip", name: t`The title of each clip`, hint: t`10 s in, for 10 s` },
  { id: "time", name: t`A page at a time of day`, hint: t`comes by the clock` },
  { id: "value", name: t`A page when a number is reached`, hint: t`of a feed, such as lanterns lit` },
  { id: "message", name: t`A page when a message comes`, hint: t`by OSC or HTTP, from another device` },
] as const;
export type TypicalId = (typeof TYPICAL)[number]["id"];

/** @returns why it cannot be made, in a sentence */
export function newTrigger(id: TypicalId, known: Known): Trigger | string {
  const { cues, sources, feeds, chosenId } = known;
  const pages = cues.filter(({ ready }) => ready && ready.content.action === null);
  const cue = pages.find(({ view }) => view.cueId === chosenId) ?? pages[0];
  if (!cue) return t`There is no cue that a trigger could take yet. Make one in Prepare first.`;
  const act = { kind: "take", cueId: cue.view.cueId };
  const usual = { id: newId(), act };
  switch (id) {
    case "source": {
      const [source] = sources;
      if (!source) return t`There is no source yet. Make one first, beside this.`;
      const when = { kind: "source", sourceId: source.id };
      return triggerSchema.parse({ ...usual, when, stay: { kind: "open" }, leavesWith: true });
    }
    case "clip": {
      if ((known.follow?.clips.length ?? 0) === 0)
        return t`There is no clip in the list yet. Bring one under Material → Clips first.`;
      const when = { kind: "clip", clipId: "", does: "in", ms: 10_000 };
      // A page that says what is on now is the one that is meant.
      const running = known.feeds.find(({ doc }) => doc.source.kind === "running")?.id;
      const own =
        pages.find(({ ready }) =>
          feedsIn(ready?.content.live?.bindings ?? {}).some((feedId) => feedId === running),
        ) ?? cue;
      const title = { kind: "take", cueId: own.view.cueId };
      return triggerSchema.parse({
        ...usual,
        act: title,
        when,
        stay: { kind: "for", ms: 10_000 },
        leavesWith: true,
      });
    }
    case "time":
      return triggerSchema.parse({ ...usual, isOn: false, when: { kind: "time", at: "19:00:00" } });
    case "value": {
      const feed = feeds.find(({ columns }) => columns.length > 0);
      if (!feed) return t`There is no feed with columns yet. Make one in Material first.`;
      const column = feed.columns.find((each) => feed.kinds[each] === "number") ?? feed.columns[0];
      const when = { kind: "value", feedId: feed.id, column, does: "rises", limit: 100 };
      return triggerSchema.parse({ ...usual, isOn: false, when, stay: { kind: "for", ms: 10_000 } });
    }
    case "message":
      return triggerSchema.parse({ ...usual, when: { kind: "message", address: "/vesko/go" } });
  }
}
