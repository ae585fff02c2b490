import { log } from "../log/log.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ShowHost } from "./showHost.ts";

/** Cues whose edits go on air as they are saved: each save is sent by every host, the air's and a rehearsal's. */
export function sendSavedCues(rundown: Rundown, hosts: () => readonly ShowHost[]): void {
  rundown.onSaved((cueIds) => {
    const isLive = new Map(rundown.ready().map(({ cueId, doc }) => [cueId, doc.isLive]));
    for (const cueId of cueIds.filter((id) => isLive.get(id)))
      for (const host of hosts())
        host.sendSaved(cueId).catch((error) => log.error("Saved words could not be put on air", error));
  });
}
