import { useMemo } from "react";
import { AIR_ACTIONS, type AirAction } from "../../core/keys/keyMap.ts";
import { chorusFrom, sectionsOf } from "../../core/rundown/sections.ts";
import type { Target } from "../../core/show/state.ts";
import type { DeskMode } from "../../core/show/wire.ts";
import type { DeskStore } from "../desk/deskStore.ts";

/** What the operator can do, by key or by button. */
export interface AirActs {
  readonly act: (action: AirAction) => void;
  readonly layerOut: (index: number) => void;
  readonly switchPlan: (index: number) => void;
  readonly armSection: (index: number) => void;
}

export function useAirActs(
  store: DeskStore,
  mode: DeskMode,
  outLayerId: string | undefined,
  own: { readonly lock: () => void; readonly stageNote: () => void; readonly edit: () => void },
): AirActs {
  return useMemo(() => {
    const guard = (worksLocked: boolean, run: () => void) => {
      if (mode !== "locked" || worksLocked) run();
      else
        store.say(
          "word",
          "The desk is locked to take, arm and out. Hold the lock key to unlock it; the air is as it was.",
        );
    };
    const armIn = (find: (target: Pick<Target, "cueId" | "step">) => Target | undefined) => {
      const { state, next } = store.getSnapshot();
      const from = state.position ?? next;
      const target = from && find(from);
      if (target) store.arm(target);
    };
    const cueOf = (cueId: string) => store.getSnapshot().ready.find((cue) => cue.cueId === cueId);
    const run: Readonly<Record<AirAction, () => void>> = {
      take: () => store.take("usual"),
      cut: () => store.take("cut"),
      dissolve: () => store.take("dissolve"),
      out: () => outLayerId && store.press({ kind: "out", layerId: outLayerId, how: "animated" }),
      undo: () => store.press({ kind: "undoTake" }),
      clear: () => store.press({ kind: "clear", how: "animated" }),
      clearEverything: () => store.press({ kind: "clearEverything", how: "animated" }),
      black: () => shut(store, "black"),
      standBy: () => shut(store, "standBy"),
      send: () => store.press({ kind: "send", layerId: null }),
      hold: () => store.press({ kind: "hold" }),
      armNext: () => store.armNeighbour(1, "step"),
      armBefore: () => store.armNeighbour(-1, "step"),
      armNextCue: () => store.armNeighbour(1, "cue"),
      armCueBefore: () => store.armNeighbour(-1, "cue"),
      back: () => store.armBefore(),
      chorus: () =>
        armIn(({ cueId, step }) => {
          const cue = cueOf(cueId);
          const chorus = cue && chorusFrom(cue.content, step);
          return chorus && { cueId, content: cue.hash, step: chorus.anchor };
        }),
      follow: () => store.press({ kind: "disarm" }),
      stageNote: own.stageNote,
      edit: own.edit,
      lock: own.lock,
    };
    return {
      act: (action) => guard(AIR_ACTIONS[action].worksLocked, run[action]),
      layerOut: (index) => {
        const layer = store.getSnapshot().state.layers[index];
        if (layer) guard(true, () => store.press({ kind: "out", layerId: layer.id, how: "animated" }));
      },
      switchPlan: (index) => {
        const { plans, state } = store.getSnapshot();
        const plan = plans[index];
        if (plan && plan.id !== state.plan.id)
          guard(false, () =>
            store.press({ kind: "switchPlan", planId: plan.id, builtOn: state.airRevision }),
          );
      },
      armSection: (index) =>
        guard(true, () =>
          armIn(({ cueId }) => {
            const cue = cueOf(cueId);
            const section = cue && sectionsOf(cue.content)[index];
            return section && { cueId, content: cue.hash, step: section.anchor };
          }),
        ),
    };
  }, [store, mode, outLayerId, own]);
}

/** Shuts all screens, or opens them when any is shut by it. */
function shut(store: DeskStore, picture: "black" | "standBy"): void {
  const { shutters } = store.getSnapshot().state;
  const isOn = Object.values(shutters).some(
    (shutter) => shutter.untilMs === null && shutter.picture === picture,
  );
  store.press({ kind: "shut", outputIds: null, picture: isOn ? null : picture });
}
