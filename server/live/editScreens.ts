import { randomUUID } from "node:crypto";
import type { LinkStore } from "../store/linkStore.ts";
import type { ScreenStore, ScreensEdit } from "../store/screenStore.ts";
import type { ShowHost } from "./showHost.ts";

const SCREENS = { kind: "desk", id: "screens-view", name: "Screens" } as const;

/**
 * Changes screens and plans. A new screen is in every plan from the start, showing every layer in the first outfit; a plan
 * that is in use is switched to anew when it was changed.
 */
export function createScreensEditor(
  screens: ScreenStore,
  links: LinkStore,
  host: ShowHost,
  firstOutfit: string,
) {
  return async (edit: ScreensEdit): Promise<string | undefined> => {
    const isNew = edit.kind === "saveOutput" && !screens.outputs.some(({ id }) => id === edit.output.id);
    if (edit.kind === "removePlan" && host.state.plan.id === edit.planId)
      return "That plan is in use, so it stays. Switch to another first.";
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
    if (used && JSON.stringify(used) !== JSON.stringify(host.state.plan))
      await host.submit(
        { kind: "switchPlan", id: randomUUID(), planId: used.id, builtOn: host.state.airRevision },
        SCREENS,
      );
    return undefined;
  };
}
