import { randomUUID } from "node:crypto";
import { t } from "../../core/language/t.ts";
import type { EveningEdit } from "../../core/rundown/evening.ts";
import { emptied } from "../../core/rundown/ofTheDay.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import { fieldSetsOf } from "../store/wardrobes.ts";
import type { ShowHost } from "./showHost.ts";

/** Evenings in one show; beyond this none is added. */
const MOST_EVENINGS = 500;
const GONE = t`That evening is not here any more. Nothing was changed; choose another.`;

/** Changes what evenings there are, and opens one. @returns a sentence when it cannot be done */
export function createEveningsEditor(
  evenings: EveningStore,
  rundown: Rundown,
  designs: DesignStore,
  hosts: () => readonly ShowHost[],
  now: () => number,
): (edit: EveningEdit) => Promise<string | undefined> {
  const hasRoom = async () => (await evenings.list()).length < MOST_EVENINGS;
  return async (edit) => {
    switch (edit.kind) {
      case "create":
      case "duplicate": {
        if (!(await hasRoom()))
          return t`There are ${MOST_EVENINGS} evenings, which is the most. Nothing was added.`;
        const docs = edit.kind === "duplicate" ? await evenings.cuesOf(edit.eveningId) : [];
        if (edit.kind === "duplicate" && docs.length === 0) return GONE;
        const fieldSets = fieldSetsOf(designs);
        const toEmpty = new Set(edit.kind === "duplicate" ? edit.emptied : []);
        await evenings.create(
          edit.fields,
          docs.map(({ cueId, doc }) => (toEmpty.has(cueId) ? emptied(doc, fieldSets) : doc)),
          now(),
        );
        return undefined;
      }
      case "change":
        return (await evenings.change(edit.eveningId, edit.fields)) ? undefined : GONE;
      case "open": {
        const wanted = (await evenings.list()).find(({ id }) => id === edit.eveningId);
        if (!wanted || wanted.isDeleted) return GONE;
        if (wanted.id === evenings.open.id) return undefined;
        await rundown.openEvening(wanted.id);
        await evenings.setOpen(wanted.id);
        // The script stands at the start of the new one, in a rehearsal too; what is on air stays.
        for (const host of hosts())
          await host.submit({ kind: "beginAnew", id: randomUUID() }, { kind: "timer" });
        return undefined;
      }
      case "remove":
        if (edit.eveningId === evenings.open.id)
          return t`The evening that is open cannot be deleted. Nothing was changed; open another first.`;
        return (await evenings.setDeleted(edit.eveningId, Math.round(now()))) ? undefined : GONE;
      case "restore":
        return (await evenings.setDeleted(edit.eveningId, null)) ? undefined : GONE;
    }
  };
}
