import { randomUUID } from "node:crypto";
import { t } from "../../core/language/t.ts";
import type { Actor } from "../../core/show/actor.ts";
import type { ScreenPlan } from "../../core/venue/plan.ts";
import { log } from "../log/log.ts";
import type { LinkStore } from "../store/linkStore.ts";
import type { ScreenStore, ScreensEdit } from "../store/screenStore.ts";
import type { ShowHost } from "./showHost.ts";

/** Who changes screens where no desk says its name. */
const SCREENS = { kind: "desk", id: "screens-view", name: t`Screens` } as const;

/**
 * Changes screens and plans. A new screen is in every plan from the start, showing every layer in the first outfit. What is
 * changed in the plan in use is a draft: the air stays under the plan as it was switched to, until it is used anew.
 */
/** Whether two plans show the same: their names do not matter. */
const isSamePlan = (a: ScreenPlan, b: ScreenPlan): boolean =>
  JSON.stringify(a.outputs) === JSON.stringify(b.outputs);

export function createScreensEditor(
  screens: ScreenStore,
  links: LinkStore,
  host: ShowHost,
  firstOutfit: string,
) {
  // What undo puts back is not an act of its own.
  host.onUndone(({ before }) => {
    for (const [outputId, output] of Object.entries(before.screens)) {
      const restore = output
        ? ({ kind: "saveOutput", output } as const)
        : ({ kind: "removeOutput", outputId } as const);
      void change(restore, SCREENS).catch((error) => log.error("A screen could not be put back", error));
    }
  });
  const change = async (edit: ScreensEdit, actor: DeskActor): Promise<string | undefined> => {
    const before = screens.plans.find(({ id }) => id === host.state.plan.id);
    const wasUsed = before !== undefined && isSamePlan(before, host.state.plan);
    const isNew = edit.kind === "saveOutput" && !screens.outputs.some(({ id }) => id === edit.output.id);
    if (edit.kind === "removePlan" && host.state.plan.id === edit.planId)
      return t`That plan is in use, so it stays. Switch to another first.`;
    if (edit.kind === "saveOutput") await links.ensure(edit.output.id);
    const refused = await screens.edit(edit);
    if (refused !== undefined) return refused;
    if (isNew && edit.kind === "saveOutput") {
      const layerIds = host.state.layers.map(({ id }) => id);
      for (const plan of screens.plans)
        await screens.edit({
          kind: "savePlan",
          plan: {
            ...plan,
            outputs: { ...plan.outputs, [edit.output.id]: { outfitId: firstOutfit, layerIds } },
          },
        });
    }
    if (edit.kind === "removeOutput") await links.forget(edit.outputId);
    const used = screens.plans.find(({ id }) => id === host.state.plan.id);
    if (used && wasUsed && edit.kind !== "savePlan" && !isSamePlan(used, host.state.plan))
      await host.submit(
        { kind: "switchPlan", id: randomUUID(), planId: used.id, builtOn: host.state.airRevision },
        actor,
      );
    return undefined;
  };
  return async (edit: ScreensEdit, deskId?: string): Promise<string | undefined> => {
    const actor = deskId ? ({ kind: "desk", id: deskId } as const) : SCREENS;
    const outputId =
      edit.kind === "saveOutput" ? edit.output.id : edit.kind === "removeOutput" ? edit.outputId : null;
    const before = screens.outputs.find(({ id }) => id === outputId) ?? null;
    const refused = await change(edit, actor);
    if (refused !== undefined || outputId === null) return refused;
    const after = screens.outputs.find(({ id }) => id === outputId) ?? null;
    if (JSON.stringify(before) !== JSON.stringify(after))
      await host.record({ kind: "screenChanged", outputId, before, after }, actor);
    return undefined;
  };
}

type DeskActor = Extract<Actor, { kind: "desk" }>;
