import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { contentsIn, type LoggedEvent } from "../../core/show/events.ts";
import type { ContentStore } from "../store/contentStore.ts";

const MOST_EVENTS = 5_000;

/** What was done in a rehearsal, with the contents it speaks of: they are stored nowhere else. */
export class RehearsalLog {
  readonly log: LoggedEvent[] = [];
  readonly contents = new Map<string, PinnedDocument>();

  add(logged: LoggedEvent, known: ContentStore): void {
    if (this.log.length >= MOST_EVENTS) return;
    this.log.push(logged);
    for (const hash of contentsIn(logged.event)) {
      const document = known.find(hash);
      if (document) this.contents.set(hash, document);
    }
  }
}
